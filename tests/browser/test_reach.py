"""Hands that are full, wet, gloved or left: a number pad, a foot switch, a voice, the layout turned over."""

from __future__ import annotations

from playwright.sync_api import Locator, Page, expect

from lathework.tests.samples import SCREW, document
from tests.browser.base import BrowserCase

PHONE = (390, 844)
HELD_MS = 1200
#: The device's voice, as far as a page without a loudspeaker can hear it.
EAR = """
window.heard = []
window.speechSynthesis.speak = (said) => window.heard.push(said.text)
"""
#: A browser that cannot keep the screen on, as over plain http.
NO_LOCK = (
    "Object.defineProperty(Navigator.prototype, 'wakeLock', { get: undefined }); delete Navigator.prototype.wakeLock"
)


class Reach(BrowserCase):
    empty = True

    def setUp(self) -> None:
        super().setUp()
        self.page.goto("/")
        self.job = int(self.post("/api/jobs/import", document(SCREW | {"quantity": 3, "setup.tools": "kept"}))["id"])

    def at_the_turning(self, page: Page) -> None:
        """The bench, its face faced: a diameter is to be measured next."""
        page.goto(f"/jobs/{self.job}/bench")
        now = page.request.get(f"/api/jobs/{self.job}/bench").json()
        if now["step"]["measure"] != "diameter":
            self.end_step(self.job, now)
            page.reload()
        expect(page.get_by_role("textbox", name="New reading")).to_be_visible()

    def second_acts(self, page: Page) -> Locator:
        page.get_by_role("button", name="more", exact=True).click()
        return page.get_by_role("group", name="More at the bench")

    def test_a_reading_by_the_number_pad_alone(self) -> None:
        """On a phone: digits, a fraction, one taken back, a unit; the keyboard of the device is told to stay down."""
        page = self.new_page(PHONE, has_touch=True)
        self.at_the_turning(page)
        field = page.get_by_role("textbox", name="New reading")
        page.get_by_role("button", name="123, number pad").tap()
        expect(field).to_have_attribute("inputmode", "none")
        pad = page.get_by_role("group", name="Number pad")
        for key in ("7", "Fraction bar", "1", "5", "Delete the last character", "6"):
            pad.get_by_role("button", name=key, exact=True).tap()
        expect(field).to_have_value("7/16")
        for one in (field, page.get_by_role("button", name="Record", exact=True), page.locator(".bench-figure .big")):
            box = one.bounding_box()
            assert box is not None
            self.assertGreaterEqual(box["y"], 0)
            self.assertLessEqual(box["y"] + box["height"], PHONE[1])
        page.get_by_role("button", name="Record", exact=True).tap()
        expect(page.get_by_text("On size")).to_be_visible()
        # It is out at the next look, too, until it is put away.
        page.reload()
        expect(pad).to_be_visible()
        pad.get_by_role("button", name="8", exact=True).tap()
        pad.get_by_role("button", name="mm", exact=True).tap()
        expect(field).to_have_value("8 mm")
        page.get_by_role("button", name="123, number pad").tap()
        expect(pad).to_have_count(0)

    def test_no_keyboard_comes_up_unasked(self) -> None:
        """Under a finger the field waits to be touched; with keys it has the focus at once."""
        page = self.new_page(PHONE, has_touch=True)
        self.at_the_turning(page)
        expect(page.get_by_role("textbox", name="New reading")).not_to_be_focused()
        self.at_the_turning(self.page)
        expect(self.page.get_by_role("textbox", name="New reading")).to_be_focused()

    def test_a_foot_switch(self) -> None:
        """Learned by one press; pressed it does what the large button does, held it undoes; a typing key is refused."""
        page = self.page
        page.goto(f"/jobs/{self.job}/bench")
        heading = page.get_by_role("heading", level=1)
        expect(heading).to_contain_text("face the end")
        panel = self.second_acts(page)
        panel.get_by_role("button", name="Set up a foot switch").click()
        page.keyboard.press("x")
        expect(panel).to_contain_text("That key types “x”.")
        page.keyboard.press("F9")
        expect(panel).to_contain_text("Foot switch (F9)")
        page.keyboard.press("Escape")
        expect(panel).to_be_hidden()
        expect(page.locator("button.go:not(.resting)")).to_be_visible()
        page.keyboard.press("F9")
        expect(heading).to_contain_text("Turn to")
        page.keyboard.type("0.4375")
        page.keyboard.press("F9")
        expect(page.get_by_text("On size")).to_be_visible()
        page.keyboard.press("F9", delay=HELD_MS)
        expect(page.get_by_text("On size")).to_have_count(0)
        page.keyboard.press("F9", delay=HELD_MS)
        expect(heading).to_contain_text("face the end")

    def test_a_foot_switch_that_sends_enter_types_in_a_note(self) -> None:
        """While something is asked its key is what it is elsewhere; a menu that was left learns no key."""
        page = self.page
        page.goto(f"/jobs/{self.job}/bench")
        panel = self.second_acts(page)
        panel.get_by_role("button", name="Set up a foot switch").click()
        page.keyboard.press("Enter")
        expect(panel).to_contain_text("Foot switch (Enter)")
        page.keyboard.press("Escape")
        page.get_by_role("button", name="note").click()
        page.keyboard.type("the bar is bent")
        page.keyboard.press("Enter")
        expect(page.get_by_role("button", name="Save the note")).to_have_count(0)
        expect(page.get_by_role("heading", level=1)).to_contain_text("face the end")
        panel = self.second_acts(page)
        panel.get_by_role("button", name="Remove the foot switch").click()
        panel.get_by_role("button", name="Set up a foot switch").click()
        page.get_by_role("heading", level=1).click()
        expect(panel).to_have_count(0)
        page.keyboard.press("F8")
        expect(self.second_acts(page).get_by_role("button", name="Set up a foot switch")).to_be_visible()

    def test_a_thread_is_gauged_again_on_a_phone(self) -> None:
        """It binds, the die is moved, and the thread is tried again: the verdicts are there again."""
        page = self.new_page(PHONE, has_touch=True)
        while (now := page.request.get(f"/api/jobs/{self.job}/bench").json())["step"]["measure"] != "verdict":
            self.end_step(self.job, now)
        page.goto(f"/jobs/{self.job}/bench")
        page.get_by_role("button", name="starts, then binds").tap()
        page.get_by_role("button", name="None of these: adjust the die").tap()
        page.get_by_role("button", name="Die adjusted").tap()
        page.get_by_role("button", name="snug, turns by hand, no play").tap()
        page.get_by_role("button", name="Done", exact=True).tap()
        expect(page.get_by_role("note", name="Just done")).to_be_visible()

    def test_the_figure_is_said(self) -> None:
        """As a sentence to a screen reader, and aloud where one asks: the figure, what to expect, what it came to."""
        page = self.new_page()
        page.add_init_script(EAR)
        self.at_the_turning(page)
        said = page.locator("[aria-live][data-say=now]")
        expect(said).to_contain_text("inches. Expect ")
        expect(said).to_contain_text("Limits ")
        panel = self.second_acts(page)
        panel.get_by_text("Speak figures and counts").click()
        page.keyboard.press("Escape")
        page.get_by_role("textbox", name="New reading").click()
        page.keyboard.type("0.4375")
        page.keyboard.press("Enter")
        expect(page.get_by_text("On size")).to_be_visible()
        heard = page.evaluate("window.heard")
        self.assertIn("Expect ", heard[0])
        self.assertIn("On size", heard[-1])

    def test_the_layout_turned_over(self) -> None:
        """For the left hand what is pressed is on the left, and stays so."""
        page = self.page
        self.at_the_turning(page)
        button, drawing = page.locator(".act .go"), page.locator(".bench .sketch")

        def left(one: Locator) -> float:
            box = one.bounding_box()
            assert box is not None
            return box["x"]

        self.assertGreater(left(button), 640)
        self.assertGreater(left(drawing), 640)
        self.second_acts(page).get_by_text("Left-handed layout").click()
        page.keyboard.press("Escape")
        for _ in range(2):
            expect(page.locator(".bench.left-handed")).to_be_visible()
            self.assertLess(left(button), 100)
            self.assertLess(left(drawing), 100)
            page.reload()

    def test_a_screen_that_may_go_dark_says_so(self) -> None:
        page = self.new_page()
        page.add_init_script(NO_LOCK)
        page.goto(f"/jobs/{self.job}/bench")
        expect(self.second_acts(page)).to_contain_text("The screen may go dark")


class ForcedColours(BrowserCase):
    """Where the system chooses the colours, what is chosen can be read, and drawings are inked in them."""

    def test_letters_and_lines_stand_out(self) -> None:
        page = self.page
        page.emulate_media(forced_colors="active")
        inks = """(name) => [...document.querySelectorAll(name)].filter(one => one.checkVisibility()).map(one => {
          const { color, backgroundColor, stroke } = getComputedStyle(one)
          return [one.textContent.trim(), color, backgroundColor, stroke]
        })"""
        for address, ready in (("/jobs/5", ".steps"), ("/week", ".chart"), ("/jobs/6/bench", ".bench-figure")):
            page.goto(address)
            expect(page.locator(ready).first).to_be_visible()
            chosen = page.evaluate(inks, "[aria-pressed='true'], .v-btn--active")
            self.assertTrue(chosen, address)
            for words, color, ground, _ in chosen:
                self.assertNotEqual(color, ground, f"{address}: {words}")
        ground = page.evaluate("getComputedStyle(document.body).backgroundColor")
        lines = page.evaluate(inks, "svg path")
        self.assertTrue([one for one in lines if one[3] not in ("none", ground)])
