"""Desk pages on a tablet held upright, and by keys alone: nothing runs off the side, everything is within reach."""

from __future__ import annotations

from typing import ClassVar

from playwright.sync_api import expect

from lathework.holders.workshop import designed
from tests.browser.base import BrowserCase


class Tablet(BrowserCase):
    size: ClassVar[tuple[int, int]] = (820, 1180)

    def test_the_views_are_a_thumb_away(self) -> None:
        self.page.goto("/")
        rail = self.page.get_by_role("navigation", name="Main menu")
        for name, title in (
            ("Identify", "Identify a thread"),
            ("Threads", "Threads"),
            ("Log", "Log"),
            ("Jobs", "Jobs"),
        ):
            rail.get_by_role("link", name=name).click()
            expect(self.page).to_have_title(f"{title} · Conch")
            box = rail.get_by_role("link", name=name).bounding_box()
            assert box is not None
            self.assertGreaterEqual(box["height"], 44)
            self.assertLessEqual(box["y"] + box["height"], self.size[1] + 1)

    def test_a_thread_by_touch_alone(self) -> None:
        self.page.goto("/threads")
        self.page.get_by_role("button", name="Whitworth").click()
        self.page.get_by_role("button", name="1/2 BSW", exact=True).last.click()
        expect(self.page.get_by_role("heading", name="1/2 BSW")).to_be_visible()
        self.page.get_by_role("button", name="Compare with another thread").click()
        field = self.page.get_by_label("Nut of another thread")
        expect(field).to_be_focused()
        self.page.keyboard.type("1/2-13")
        expect(self.page.get_by_role("region", name="Compare with another thread")).to_contain_text("Do not force it")


class KeysAlone(BrowserCase):
    def test_the_size_line_leads_to_a_page_and_back(self) -> None:
        """Slash, a thread, tab to its page, enter: no mouse."""
        page = self.page
        page.goto("/log")
        expect(page.get_by_role("heading", name="Log")).to_be_visible()
        page.keyboard.press("/")
        page.keyboard.type("2ba")
        link = page.get_by_role("button", name="Open the thread page")
        expect(link).to_be_visible()
        for _ in range(40):
            page.keyboard.press("Tab")
            if link.evaluate("node => node === document.activeElement"):
                break
        page.keyboard.press("Enter")
        expect(page.get_by_role("heading", name="2 BA")).to_be_visible()

    def test_units_change_everywhere_with_one_key(self) -> None:
        """ISO 965-1: M10 6g pitch diameter 8.862 mm is 0.3489 in."""
        page = self.page
        page.goto("/threads?q=M10")
        ring = page.get_by_role("region", name="Gauges").get_by_role("button").nth(1)
        expect(ring).to_contain_text("8.862")
        page.get_by_role("heading", name="M10").click()
        page.keyboard.press("u")
        expect(ring).to_contain_text("0.3489")
        page.keyboard.press("u")
        expect(ring).to_contain_text("8.862")


class Phone(BrowserCase):
    size: ClassVar[tuple[int, int]] = (390, 844)
    empty = True

    def test_words_as_long_as_they_are_make_the_page_no_wider(self) -> None:
        """Where the holes of a die stock are round it is told in a line each."""
        self.page.goto("/")
        design = designed("die-stock", {"die": "1-1/2", "thick": "1/2", "thread": "1/2-13", "unit": "in"})
        job = self.post("/api/jobs/import", design.document)["id"]
        self.page.goto(f"/jobs/{job}")
        self.page.get_by_text("Holes", exact=True).first.click()
        where = self.page.get_by_label("Hole 5, position round the part")
        expect(where).to_have_value("45° from the split of the die, square to each other")
        self.assertLessEqual(self.page.evaluate("document.documentElement.scrollWidth"), self.size[0])
