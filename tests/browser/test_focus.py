"""The keys are never lost: a page begins at its heading, what is taken away leaves the focus near by, an odd address
says so."""

from __future__ import annotations

from playwright.sync_api import Page, expect

from lathework.tests.samples import SCREW, document
from tests.browser.base import BrowserCase

NOWHERE = "() => document.activeElement === document.body"
#: Addresses that somebody typed or kept, and what stands there.
ODD = (
    ("/jobs/2?part=7", "This job has no part 7."),
    ("/jobs/2/batch?part=9", "This job has no part 9."),
    ("/jobs/999", "There is no job at this address."),
    ("/jobs/999/bench", "There is no job 999."),
    ("/jobs/999/batch", "There is no job 999."),
    ("/jobs/2/nothing", "There is no page at this address."),
)


class Focus(BrowserCase):
    def test_a_page_begins_at_its_heading(self) -> None:
        page = self.page
        page.goto("/")
        rail = page.get_by_role("navigation", name="Main menu")
        for name in ("Identify", "Threads", "Shop", "Log", "Jobs"):
            rail.get_by_role("link", name=name).press("Enter")
            expect(page.locator("main h1:focus")).to_be_visible()
        page.get_by_role("link", name="Levelling studs, lamp carriage").first.press("Enter")
        expect(page.locator("main h1:focus")).to_be_visible()
        self.assertFalse(page.evaluate(NOWHERE))

    def test_radios_of_pictures_move_by_arrows(self) -> None:
        """One stop of the Tab key; each arrow chooses the next one, past the last comes the first."""
        page = self.page
        page.goto("/new")
        shapes = page.get_by_role("radiogroup", name="Shape").get_by_role("radio")
        count = shapes.count()
        shapes.first.focus()
        page.keyboard.press("ArrowRight")
        expect(shapes.nth(1)).to_be_focused()
        expect(shapes.nth(1)).to_be_checked()
        page.keyboard.press("ArrowLeft")
        expect(shapes.first).to_be_focused()
        page.keyboard.press("ArrowUp")
        expect(shapes.nth(count - 1)).to_be_focused()
        expect(shapes.nth(count - 1)).to_be_checked()
        self.assertEqual(page.locator("[role=radiogroup] [role=radio][tabindex='0']").count(), 1)

    def test_an_odd_address_says_so(self) -> None:
        for address, words in ODD:
            with self.subTest(address):
                self.page.goto(address)
                expect(self.page.get_by_role("main")).to_contain_text(words)
                expect(self.page.get_by_role("main").get_by_role("link").first).to_be_visible()

    def test_what_is_taken_away_leaves_the_focus_near_by(self) -> None:
        """Buttons of the first steps of a bench, pressed by key: whatever they take away, the focus is somewhere."""
        page = self.page
        page.goto("/")
        job = self.post("/api/jobs/import", document(SCREW | {"setup.tools": "kept"}))["id"]
        page.goto(f"/jobs/{job}/bench")
        expect(page.get_by_role("heading", level=1)).to_contain_text("face the end")
        for name in ("note", "accept, redo or scrap"):
            page.get_by_role("button", name=name).first.press("Enter")
            page.get_by_role("button", name="Cancel").press("Enter")
            self.settled(page)
        page.locator("button.go:not(.resting)").press("Enter")
        expect(page.get_by_role("heading", level=1)).to_contain_text("Turn to")
        self.settled(page)
        page.get_by_role("button", name="undo").press("Enter")
        expect(page.get_by_role("heading", level=1)).to_contain_text("face the end")
        self.settled(page)

    def settled(self, page: Page) -> None:
        self.drawn(page)
        self.drawn(page)
        self.assertFalse(page.evaluate(NOWHERE))
