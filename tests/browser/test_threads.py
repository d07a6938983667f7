"""The book of threads: find by typing, change the class, compare two, keep one, take one away."""

from __future__ import annotations

import csv
from pathlib import Path

from playwright.sync_api import expect

from tests.browser.base import BrowserCase, type_into


class ThreadsPage(BrowserCase):
    def open(self, text: str) -> None:
        self.page.goto("/threads")
        type_into(self.page.get_by_label("Find a thread"), text)

    def limits(self) -> str:
        return self.page.get_by_role("region", name="Limits of size").inner_text()

    def test_find_by_typing_and_change_the_class(self) -> None:
        """ASME B1.1: 3/8-16 UNC pitch diameter 2A 0.3287 to 0.3331, 3A 0.3311 to 0.3344 in."""
        self.open("3/8 x 16")
        expect(self.page.get_by_role("heading", name="3/8-16 UNC")).to_be_visible()
        for printed in ("0.3287", "0.3331", "0.3344", "0.3401"):
            self.assertIn(printed, self.limits())
        self.choose("Class of the bolt", "3A")
        self.page.get_by_role("button", name="0.3311", exact=True).click()
        expect(self.page.get_by_role("region", name="How pitch diameter, minimum is worked out")).to_contain_text(
            "0.75 Td2"
        )

    def test_an_unclear_text_offers_its_choices(self) -> None:
        self.open("7/16 whitworth")
        self.page.get_by_role("button", name="7/16 BSF").click()
        expect(self.page.get_by_role("heading", name="7/16 BSF")).to_be_visible()

    def test_browse_a_series(self) -> None:
        self.page.goto("/threads")
        self.page.get_by_role("button", name="British Association").click()
        self.page.get_by_role("button", name="2 BA", exact=True).last.click()
        expect(self.page.get_by_text("the BA number")).to_be_visible()

    def test_its_neighbours_are_a_press_away(self) -> None:
        """9/16 follows 1/2 in the Whitworth series; the one that is shown is in sight in its strip."""
        self.open("1/2 BSW")
        strip = self.page.get_by_role("navigation", name="Threads", exact=True)
        strip.get_by_role("button", name="Larger: 9/16 BSW").click()
        expect(self.page.get_by_role("heading", level=1, name="9/16 BSW")).to_be_visible()
        here = strip.get_by_role("button", name="9/16 BSW", exact=True)
        expect(here).to_have_attribute("aria-current", "true")
        expect(here).to_be_in_viewport(ratio=1)
        strip.get_by_role("button", name="Smaller: 1/2 BSW").click()
        expect(self.page.get_by_role("heading", level=1, name="1/2 BSW")).to_be_visible()

    def test_a_size_is_a_line_through_every_series(self) -> None:
        """A worn 3/8: 3/8-16 UNC, 3/8 BSW and 3/8 BSF measure about so much, no metric coarse thread does."""
        self.open("0.372")
        rule = self.page.get_by_role("group", name="All sizes on one rule")
        hits = rule.get_by_role("status").get_by_role("listitem")
        expect(hits.filter(has_text="3/8-16 UNC")).to_have_count(1)
        expect(hits.filter(has_text="3/8 BSW")).to_have_count(1)
        expect(hits.filter(has_text="M10")).to_have_count(0)
        expect(self.page.get_by_role("alert")).to_have_count(0)

    def test_a_mark_is_pressed(self) -> None:
        """The mark at 10 mm among the metric coarse threads is M10."""
        self.page.goto("/threads")
        rule = self.page.get_by_role("group", name="All sizes on one rule")
        row = rule.locator(".line", has=self.page.get_by_role("button", name="Metric coarse"))
        expect(row).to_be_visible()
        self.drawn()
        at = row.locator("svg.sizes").bounding_box()
        scale = rule.locator(".foot text", has_text="10").first.bounding_box()
        assert at is not None and scale is not None
        self.page.mouse.click(scale["x"] + scale["width"] / 2, at["y"] + at["height"] / 2)
        expect(self.page.get_by_role("heading", name="M10")).to_be_visible()

    def test_compare_two(self) -> None:
        self.open("1/4-20")
        type_into(self.page.get_by_label("Nut of another thread"), "M6")
        overlay = self.page.get_by_role("region", name="Compare with another thread")
        expect(overlay.get_by_role("status")).to_contain_text("does not start")
        expect(overlay.get_by_role("status")).to_contain_text("Do not force it")
        expect(overlay.get_by_role("img")).to_be_visible()
        self.page.reload()
        expect(overlay.get_by_role("status")).to_contain_text("M6 nut")

    def test_what_the_shop_has(self) -> None:
        """A 5/16 drill in 3/8-16 leaves 77 % in practice; a wire of 0.02 in drowns between the crests."""
        self.open("3/8-16")
        drills = self.page.get_by_role("region", name="Tapping drill")
        type_into(drills.get_by_role("textbox"), "5/16")
        expect(drills.get_by_role("button", name="77")).to_be_visible()
        wires = self.page.get_by_role("region", name="Measure over wires")
        type_into(wires.get_by_role("textbox"), "0.02")
        expect(wires).to_contain_text("outside the usable range")
        type_into(wires.get_by_role("textbox"), "wide")
        expect(wires.get_by_role("alert")).to_contain_text("is not a length")
        expect(self.page.get_by_role("heading", name="3/8-16 UNC")).to_be_visible()

    def test_keep_one_at_hand(self) -> None:
        self.open("M12x1.25")
        self.page.get_by_role("button", name="Add to favourites").click()
        kept = self.page.get_by_role("group", name="Favourites").get_by_role("button", name="M12x1.25")
        expect(kept).to_be_visible()
        self.open("G1/2")
        expect(self.page.get_by_role("heading", name="G1/2")).to_be_visible()
        kept.click()
        expect(self.page.get_by_role("heading", name="M12x1.25")).to_be_visible()
        self.page.get_by_role("button", name="★ Remove from favourites").click()
        expect(kept).to_be_hidden()

    def test_another_thread_starts_with_its_own_usual_class(self) -> None:
        self.open("3/8-16")
        self.choose("Class of the bolt", "3A")
        type_into(self.page.get_by_label("Find a thread"), "M8")
        expect(self.page.get_by_role("heading", name="M8")).to_be_visible()
        expect(self.page.get_by_text("bolt class 6g")).to_be_visible()

    def test_take_one_away(self) -> None:
        self.open("M10")
        expect(self.page.get_by_role("heading", name="M10")).to_be_visible()
        for kind, holds in (("CSV", "8.862"), ("JSON", '"designation": "M10"'), ("SVG", "<svg"), ("DXF", "LWPOLYLINE")):
            with self.page.expect_download() as download:
                self.page.get_by_role("link", name=kind).click()
            content = Path(download.value.path()).read_text(encoding="utf-8")
            with self.subTest(kind):
                self.assertIn(holds, content)
                if kind == "CSV":
                    self.assertEqual(len(list(csv.DictReader(content.splitlines()))), 10)

    def test_from_the_size_line_to_its_page(self) -> None:
        self.page.goto("/")
        self.page.keyboard.press("/")
        self.page.keyboard.type("1/2 bsw")
        self.page.get_by_role("button", name="Open the thread page").click()
        expect(self.page.get_by_role("heading", name="1/2 BSW")).to_be_visible()

    def test_a_hole_from_the_drills_one_owns(self) -> None:
        """3/8-16 out of 5/16, 8 mm, 11/32: at 75 per cent 5/16, at 65 8 mm; the rack stays for the next thread."""
        page = self.page
        page.goto("/threads?q=3/8-16")
        hole = page.get_by_role("region", name="Tapped hole")
        type_into(hole.get_by_label("Drills you own"), "5/16, 8 mm, 11/32")
        expect(hole.get_by_text("nearest to 75 % thread by its own size")).to_be_visible()
        expect(hole.get_by_role("row", name="5/16")).to_contain_text("✓ in class")
        expect(hole.get_by_role("row", name="11/32")).to_contain_text("too large")
        type_into(hole.get_by_label("Per cent thread wanted"), "65")
        expect(hole.locator(".pick strong")).to_have_text("8 mm")
        type_into(hole.get_by_label("Depth of full thread"), "3/4")
        expect(hole.get_by_text("drill deep for a bottoming tap")).to_be_visible()
        type_into(hole.get_by_label("Drills you own"), "5/16, 8 mm, 11/32, !blunt")
        expect(hole.get_by_role("alert")).to_contain_text("is not a length")
        # What was refused is no rack: what was understood of it last goes along, and answers for the next thread. A
        # letter by itself would be a drill.
        page.goto("/threads?q=M10")
        expect(page.get_by_label("Drills you own")).to_have_value("5/16, 8 mm, 11/32")
        expect(hole.locator(".pick strong")).to_be_visible()
