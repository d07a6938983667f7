"""The hand and the screen: a second tap, an empty Enter, letters while a list is open, a dimension that takes the keys.

Everything is done by taps and keys, at the sizes of a desk, a tablet and a phone.
"""

from __future__ import annotations

import re
from typing import Any, ClassVar

from playwright.sync_api import Locator, Page, expect

from lathework.tests.samples import SCREW, body, bore, document
from tests.browser.base import BrowserCase, type_into
from tests.long import draws

SIZES = ((1280, 800), (820, 1180), (390, 844))
CHANGE = re.compile("^Change ")
PRESS_MS = 120
DOUBLE_MS = (0, 120, 200, 350, 500)
"""How long after the first tap the second comes, in milliseconds."""
#: Every answer of the server comes a moment late, as over a network.
LATE = """
const now = window.fetch
window.fetch = async (...asked) => {
  const answer = await now(...asked)
  if (/entries$/.test(answer.url)) await new Promise((done) => setTimeout(done, 250))
  return answer
}
"""


class Bench(BrowserCase):
    empty = True

    def job(self) -> int:
        """A fresh job, at its first step."""
        self.page.goto("/")
        return int(self.post("/api/jobs/import", document(SCREW | {"quantity": 3, "setup.tools": "kept"}))["id"])

    def at_bench(self, job: int, size: tuple[int, int], *, late: bool = False) -> Page:
        """The bench of a job on a screen of that size, touched where it is small."""
        page = self.new_page(size, has_touch=size[0] < 1000)
        if late:
            page.add_init_script(LATE)
        page.goto(f"/jobs/{job}/bench")
        expect(page.get_by_role("heading", level=1)).to_be_visible()
        return page

    def recorded(self, job: int) -> list[tuple[str, str]]:
        """What the server has, oldest first."""
        kept = self.page.request.get(f"/api/jobs/{job}/job.json").json()["record"]["entries"]
        return [(one["kind"], one["step"]) for one in kept]

    def middle(self, what: Locator) -> tuple[float, float]:
        box = what.bounding_box()
        assert box is not None
        return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2

    def touch(self, page: Page, place: tuple[float, float]) -> None:
        """A finger at a place of the screen, whatever stands there."""
        if page.viewport_size and page.viewport_size["width"] < 1000:
            page.touchscreen.tap(*place)
        else:
            page.mouse.click(*place)

    def large(self, page: Page, name: str) -> Locator:
        return page.get_by_role("button", name=name, exact=True)

    def test_a_tap_that_breaks_dry_is_oiled_before_it_turns(self) -> None:
        """M4 in mild steel bears less than four times its torque oiled, half of that dry: the button asks for the oil
        before the turns are counted, and again at the next piece; M10 bears five times and is not asked for it."""
        for thread, asked in (("M4", True), ("M10", False)):
            holed = body(bore(thread, depth="3/8"), **{"quantity": 2, "setup.tools": "kept"})
            self.page.goto("/")
            page = self.at_bench(int(self.post("/api/jobs/import", document(holed))["id"]), SIZES[0])
            said, oiled = page.get_by_text("This tap breaks dry"), self.large(page, "Oil is on")
            counter = page.get_by_role("region", name="Turns")
            while not counter.or_(oiled).is_visible():
                self.next_step(page)
            if asked:
                expect(said).to_be_visible()
                expect(counter).to_be_hidden()
                page.locator("button.go:not(.resting)").click()
            expect(said).to_be_hidden()
            expect(counter).to_be_visible()
            expect(self.large(page, "Done")).to_be_visible()

    def next_step(self, page: Page) -> None:
        """Whatever the large button says, by Enter, when it could be read."""
        key = page.get_by_role("heading", level=1).inner_text()
        page.locator("button.go:not(.resting)").press("Enter")
        expect(page.get_by_role("heading", level=1)).not_to_have_text(key)

    def test_a_second_tap_closes_nothing(self) -> None:
        """At once, or up to half a second later: one step is closed, the one whose words stood there."""
        gaps = draws(DOUBLE_MS[::2], DOUBLE_MS)
        for size in SIZES:
            for gap in gaps if size == SIZES[0] else DOUBLE_MS[2:3]:
                with self.subTest(size=size, gap=gap):
                    self.double_tap(size, gap, late=gap == DOUBLE_MS[2])

    def double_tap(self, size: tuple[int, int], gap: int, *, late: bool) -> None:
        job = self.job()
        page = self.at_bench(job, size, late=late)
        done = self.large(page, "Done")
        expect(done).to_be_enabled()
        place = self.middle(done)
        before = len(self.recorded(job))
        self.touch(page, place)
        page.wait_for_timeout(gap)
        self.touch(page, place)
        expect(page.get_by_role("heading", level=1)).not_to_contain_text("face the end")
        page.wait_for_timeout(300)
        told = self.recorded(job)
        self.assertEqual(told[before:], [("done", "face:right")])
        page.context.close()

    def test_a_finger_that_came_down_on_other_words_closes_nothing(self) -> None:
        """Down on Done, the step changes under it from another device, up: it was not meant for what stands there."""
        job = self.job()
        page = self.at_bench(job, SIZES[0])
        other = self.at_bench(job, SIZES[0])
        expect(self.large(page, "Done")).to_be_enabled()
        page.mouse.move(*self.middle(self.large(page, "Done")))
        page.mouse.down()
        self.large(other, "Done").click()
        expect(page.get_by_role("heading", level=1)).not_to_contain_text("face the end")
        page.wait_for_timeout(1000)
        page.mouse.up()
        page.wait_for_timeout(300)
        self.assertEqual([kind for kind, _ in self.recorded(job)].count("done"), 1)

    def test_what_was_closed_is_named_beside_its_undo(self) -> None:
        for size in SIZES:
            with self.subTest(size=size):
                job = self.job()
                page = self.at_bench(job, size)
                self.touch(page, self.middle(self.ready(page, "Done")))
                expect(page.get_by_role("note", name="Just done")).to_contain_text("Face the end")
                self.touch(page, self.middle(page.get_by_role("button", name="undo")))
                expect(page.get_by_role("heading", level=1)).to_contain_text("face the end")
                expect(page.get_by_role("note", name="Just done")).to_have_count(0)
                page.context.close()

    def ready(self, page: Page, name: str) -> Locator:
        """The large button, once it takes a press."""
        button = self.large(page, name)
        expect(button).to_be_enabled()
        return button

    def test_enter_in_an_empty_field_closes_no_step(self) -> None:
        job = self.job()
        page = self.at_bench(job, SIZES[0])
        self.ready(page, "Done").click()
        field = page.get_by_role("textbox", name="New reading")
        expect(field).to_be_focused()
        expect(self.large(page, "Step done, not measured")).to_be_enabled()
        before = self.recorded(job)
        for _ in range(3):
            page.keyboard.press("Enter")
        page.wait_for_timeout(300)
        self.assertEqual(self.recorded(job), before)

    def test_by_keys_a_reading_and_the_step(self) -> None:
        """Typed, Enter; on size the button has the focus: Enter closes the step, a figure is a reading still."""
        job = self.job()
        page = self.at_bench(job, SIZES[0])
        self.ready(page, "Done").click()
        expect(page.get_by_role("textbox", name="New reading")).to_be_focused()
        page.keyboard.type("0.4375")
        page.keyboard.press("Enter")
        expect(page.get_by_text("On size")).to_be_visible()
        done = self.ready(page, "Done")
        expect(done).to_be_focused()
        page.keyboard.type("0.437")
        expect(page.get_by_role("textbox", name="New reading")).to_have_value("0.437")
        page.keyboard.press("Enter")
        expect(page.get_by_role("table")).to_contain_text("0.4370")
        expect(self.ready(page, "Done")).to_be_focused()
        page.keyboard.press("Enter")
        expect(page.get_by_role("note", name="Just done")).to_be_visible()


class ServerAway(BrowserCase):
    empty = True
    size: ClassVar[tuple[int, int]] = (390, 844)

    def test_the_coral_figure_never_becomes_a_diameter(self) -> None:
        """On a phone, the plug pulled: what is to be dialled is not known, and nothing else stands in its style."""
        page = self.page
        page.goto("/")
        job = self.post("/api/jobs/import", document(SCREW | {"quantity": 3, "setup.tools": "kept"}))["id"]
        page.goto(f"/jobs/{job}/bench")
        button = page.get_by_role("button", name="Done", exact=True)
        expect(button).to_be_enabled()
        button.click()
        expect(page.locator(".bench-figure .big .fig").first).to_be_visible()
        page.wait_for_load_state("networkidle")
        self.server.stop()
        self.addCleanup(self.server.start)
        field = page.get_by_role("textbox", name="New reading")
        field.press_sequentially("0.4700")
        page.keyboard.press("Enter")
        expect(page.get_by_text("The next cut is shown when it answers.")).to_be_visible()
        expect(page.locator(".bench-figure .big")).to_have_count(0)
        expect(page.get_by_role("region", name="Not sent yet")).to_contain_text("0.4700")


class Drawing(BrowserCase):
    """A dimension pressed on the drawing takes the keys."""

    def open(self, size: tuple[int, int]) -> Page:
        page = self.new_page(size, has_touch=size[0] < 1000)
        page.goto("/jobs/2")
        expect(self.dimension(page)).to_be_visible()
        return page

    def dimension(self, page: Page) -> Any:
        return page.get_by_role("button", name=CHANGE).first

    def test_the_field_has_the_keys_at_once(self) -> None:
        for size in SIZES:
            with self.subTest(size=size):
                page = self.open(size)
                (self.dimension(page).tap if size[0] < 1000 else self.dimension(page).click)()
                over = page.get_by_role("textbox", name="New value")
                expect(over).to_be_focused()
                # Letters and signs that are keys elsewhere, and figures that must not be lost.
                page.keyboard.type("b/7")
                expect(over).to_have_value("b/7")
                self.assertTrue(page.url.endswith("/jobs/2"))
                page.keyboard.press("Escape")
                expect(over).to_have_count(0)
                expect(self.dimension(page)).to_be_focused()
                page.context.close()

    def test_by_keys_alone(self) -> None:
        """Space or Enter opens it, Enter stores and gives the focus back, Escape puts back what stood there."""
        page = self.open(SIZES[0])
        for key in ("Space", "Enter"):
            self.dimension(page).focus()
            page.keyboard.press(key)
            expect(page.get_by_role("textbox", name="New value")).to_be_focused()
            page.keyboard.press("Escape")
            expect(page.get_by_role("textbox", name="New value")).to_have_count(0)
        self.dimension(page).focus()
        page.keyboard.press("Space")
        page.keyboard.type("1.307")
        page.keyboard.press("Enter")
        expect(page.get_by_role("button", name="Change 1.307")).to_be_visible()

    def test_letters_find_in_an_open_list_and_turn_no_units(self) -> None:
        """ "alu" in the list of metals: u turns units elsewhere."""
        page = self.open(SIZES[0])
        page.get_by_role("combobox", name="Material", exact=True).press("Enter")
        expect(page.get_by_role("listbox")).to_be_visible()
        page.keyboard.type("alu")
        page.wait_for_timeout(200)
        units = page.get_by_role("group", name="Units")
        expect(units.get_by_role("button", pressed=True)).to_have_text(re.compile("job"))
        page.keyboard.press("Escape")
        expect(page.get_by_role("listbox")).to_have_count(0)
        page.get_by_role("link", name="Jobs").first.focus()
        page.keyboard.press("u")
        expect(units.get_by_role("button", pressed=True)).not_to_have_text(re.compile("job"))


class Presses(BrowserCase):
    """A press takes a tenth of a second, and leaving a field may move the page in it."""

    empty = True

    def press(self, page: Page, place: tuple[float, float]) -> None:
        """A finger, or the key of a mouse, that stays down a moment."""
        if not page.evaluate("'ontouchstart' in window"):
            page.mouse.move(*place)
            page.mouse.down()
            page.wait_for_timeout(PRESS_MS)
            page.mouse.up()
            return
        hand = page.context.new_cdp_session(page)
        point = {"x": place[0], "y": place[1]}
        hand.send("Input.dispatchTouchEvent", {"type": "touchStart", "touchPoints": [point]})
        page.wait_for_timeout(PRESS_MS)
        hand.send("Input.dispatchTouchEvent", {"type": "touchEnd", "touchPoints": []})

    def test_what_the_finger_came_down_on_is_pressed_though_it_moves_away(self) -> None:
        """The field that is left shows its error above the button; the first press sends the form all the same."""
        for size, touched in ((SIZES[0], False), (SIZES[1], True)):
            with self.subTest(size=size):
                page = self.new_page(size, has_touch=touched)
                page.goto("/new?as=screw")
                type_into(page.get_by_role("textbox", name="How many"), "six")
                button = page.get_by_role("button", name="Show the plan")
                button.scroll_into_view_if_needed()
                before = button.bounding_box()
                assert before is not None
                self.press(page, (before["x"] + 20, before["y"] + 10))
                expect(page.get_by_role("form", name="New job")).to_contain_text("Type a value.")
                page.context.close()
