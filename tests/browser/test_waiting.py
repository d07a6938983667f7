"""An answer on its way never looks like one: quiet at first, a sign after a blink; what was refused blanks nothing."""

from __future__ import annotations

from playwright.sync_api import Page, Route, expect

from tests.browser.base import BrowserCase

#: Pages, and what each says it fetches.
PAGES = (
    ("/", "the jobs"),
    ("/new", "the shapes"),
    ("/jobs/2", "the plan"),
    ("/jobs/2/bench", "the bench"),
    ("/jobs/2/batch", "the batch"),
    ("/threads?q=M8", "the thread"),
    ("/identify", "the candidates"),
    ("/shop", "the shop"),
    ("/holders", "the holders"),
    ("/log", "the log"),
    ("/log/lessons", "the lessons"),
    ("/upkeep", "the data"),
    ("/week", "the week"),
)
NEVER = ("undefined", "No thread of that name", "No jobs yet", "Your shop is empty", "Nothing recorded yet")
#: Asked by every page, before it knows who is there.
AT_ONCE = ("/api/me", "/api/news")


class Waiting(BrowserCase):
    def held(self) -> Page:
        """A page whose answers do not come until they are let go."""
        page = self.new_page()
        self.routes: list[Route] = []
        self.holding = True

        def hold(route: Route) -> None:
            if not self.holding or any(route.request.url.endswith(one) for one in AT_ONCE):
                route.continue_()
            else:
                self.routes.append(route)

        page.route("**/api/**", hold)
        return page

    def test_every_page_waits_quietly_then_says_so(self) -> None:
        for address, what in PAGES:
            with self.subTest(address):
                page = self.held()
                page.goto(address)
                expect(page.get_by_text(f"Fetching {what}")).to_be_visible()
                words = page.locator("main").inner_text()
                for never in NEVER:
                    self.assertNotIn(never, words)
                self.holding = False
                for route in self.routes:
                    route.continue_()
                expect(page.get_by_text(f"Fetching {what}")).to_have_count(0)
                page.context.close()


class Hole(BrowserCase):
    def test_refused_drills_blank_nothing_and_go_nowhere(self) -> None:
        """Typed wrong: told beside the field, the answer stays, also at the next load; never offered to the shop."""
        page = self.page
        page.goto("/threads?q=M8")
        hole = page.get_by_role("region", name="Tapped hole")
        field = hole.get_by_role("textbox", name="Drills you own")
        expect(hole.get_by_role("table")).to_be_visible()
        field.click()
        page.keyboard.type("6.8, banana")
        page.keyboard.press("Tab")
        expect(hole.get_by_role("alert")).to_contain_text("banana")
        expect(hole.get_by_role("table")).to_be_visible()
        page.reload()
        expect(hole.get_by_role("table")).to_be_visible()
        self.assertNotIn("banana", page.evaluate("() => localStorage.getItem('conch.drills') ?? ''"))
        page.goto("/shop")
        expect(page.get_by_role("heading", name="Shop", level=1)).to_be_visible()
        expect(page.get_by_text("banana")).to_have_count(0)

    def test_a_browser_that_kept_them_from_before_shows_the_answer(self) -> None:
        page = self.page
        page.add_init_script("localStorage.setItem('conch.drills', JSON.stringify('6.8, banana'))")
        page.goto("/threads?q=M8")
        hole = page.get_by_role("region", name="Tapped hole")
        expect(hole.get_by_role("alert")).to_contain_text("banana")
        expect(hole.get_by_role("table")).to_be_visible()

    def test_drills_that_are_understood_stay(self) -> None:
        page = self.page
        page.goto("/threads?q=M8")
        hole = page.get_by_role("region", name="Tapped hole")
        hole.get_by_role("textbox", name="Drills you own").click()
        page.keyboard.type("6.5, 7")
        expect(hole.get_by_role("row", name="6.5")).to_be_visible()
        # Such a drill is in the rack of before, too: what was typed is kept once it was answered.
        page.wait_for_function("() => Object.values(localStorage).some((kept) => kept.includes('6.5, 7'))")
        page.reload()
        expect(hole.get_by_role("textbox", name="Drills you own")).to_have_value("6.5, 7")


class AFile(BrowserCase):
    """A file that takes a while: seen to be made, stopped, and made again."""

    def test_everything_is_seen_to_be_made_and_can_be_stopped(self) -> None:
        page = self.page
        page.goto("/upkeep")
        held: list[Route] = []
        page.route("**/api/everything.zip", lambda route: held.append(route))
        export = page.get_by_role("link", name="Export everything")
        export.click()
        expect(page.get_by_text("Making the export")).to_be_visible()
        page.get_by_role("button", name="Stop").click()
        expect(page.get_by_text("Making the export")).to_have_count(0)
        expect(page.get_by_role("alert")).to_have_count(0)
        self.assertEqual(len(held), 1)
        page.unroute("**/api/everything.zip")
        with page.expect_download() as saved:
            export.click()
        self.assertEqual(saved.value.suggested_filename, "conch-shop.zip")
        page.route("**/api/everything.zip", lambda route: route.abort())
        export.click()
        expect(page.get_by_role("alert")).to_contain_text("Conch does not answer.")
