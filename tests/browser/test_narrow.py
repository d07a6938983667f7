"""Desk pages on a tablet held upright, and by keys alone: nothing runs off the side, everything is within reach."""

from __future__ import annotations

from typing import ClassVar

from playwright.sync_api import expect

from tests.browser.base import BrowserCase


class Tablet(BrowserCase):
    size: ClassVar[tuple[int, int]] = (820, 1180)

    def test_the_views_are_a_thumb_away(self) -> None:
        self.page.goto("/")
        rail = self.page.get_by_role("navigation", name="Views")
        for name, title in (("Identify", "Identify"), ("Threads", "Threads"), ("Log", "Log"), ("Jobs", "Jobs")):
            rail.get_by_role("link", name=name).click()
            expect(self.page).to_have_title(f"{title} · Conch")
            box = rail.get_by_role("link", name=name).bounding_box()
            assert box is not None
            self.assertGreaterEqual(box["height"], 44)
            self.assertLessEqual(box["y"] + box["height"], self.size[1] + 1)

    def test_a_thread_by_touch_alone(self) -> None:
        self.page.goto("/threads")
        self.choose("Series", "Whitworth (26)")
        self.page.get_by_role("button", name="1/2 BSW").first.click()
        expect(self.page.get_by_role("heading", name="1/2 BSW")).to_be_visible()
        self.page.get_by_role("button", name="lay another over it").click()
        field = self.page.get_by_label("Nut of another thread")
        expect(field).to_be_focused()
        field.fill("1/2-13")
        expect(self.page.get_by_role("region", name="Lay another thread over it")).to_contain_text("Never force it")


class KeysAlone(BrowserCase):
    def test_the_size_line_leads_to_a_page_and_back(self) -> None:
        """Slash, a thread, tab to its page, enter: no mouse."""
        page = self.page
        page.goto("/log")
        expect(page.get_by_role("heading", name="Log")).to_be_visible()
        page.keyboard.press("/")
        page.keyboard.type("2ba")
        link = page.get_by_role("button", name="Its page in the book")
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
