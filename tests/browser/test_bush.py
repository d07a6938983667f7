"""A guide bush: no thread, bored to run on a measured shaft, turned to be pressed in."""

from __future__ import annotations

import io
import re

from ezdxf.entities.lwpolyline import LWPolyline
from ezdxf.filemanagement import read
from playwright.sync_api import TimeoutError, expect

from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into
from tests.browser.test_ways import GONE_MS, MOVED, ON

HOLDER = {
    "Die diameter, in": "1",
    "Die thickness, in": "3/8",
    "Second die (other end), diameter, in": "13/16",
    "Second die, thickness, in": "1/4",
    "Largest thread": "1/2-13",
    "Longest thread, in": "1-1/2",
    "Bar diameter, in": "3/4",
}
BUSH = {
    "Name of the job": "Guide bush",
    "How many": "1",
    "Bar diameter, in": "5/8",
    "Outside diameter, in": "1/2",
    "Hole, in": "3/8",
    "Overall length, in": "3/4",
}


class Bush(BrowserCase):
    def test_from_the_picture_to_a_bore_that_fits(self) -> None:
        """A shaft of 0.3742; close running leaves 0.0007 between the middles: bored to 0.3749, give or take 0.0003, but
        only when the bush is pressed in, for that closes it."""
        page = self.page
        self.start_job("bush or sleeve", BUSH)
        self.open_facts("Sections")
        self.choose("Section 1, fit", "press")
        self.open_facts("Holes")
        self.choose("Hole 1, fit", "close running")
        mate = page.get_by_role("textbox", name="Hole 1, mating part measures")
        type_into(mate, "3/4")
        mate.press("Enter")
        expect(page.get_by_text("they cannot belong together")).to_be_visible()
        type_into(mate, "0.3742")
        mate.press("Enter")
        page.get_by_role("button", name="Bore after pressing in").click()
        detail = page.get_by_role("region", name="Bore after pressing in")
        expect(detail).to_contain_text("Bore to 0.3749 in")
        expect(detail).to_contain_text("never put a finger with emery into a bore that is turning")
        page.get_by_role("button", name="Turn to the fit").click()
        expect(page.get_by_role("region", name="Turn to the fit")).to_contain_text("0.5009 in")
        page.get_by_role("button", name=TO_THE_BENCH).click()
        expect(page).to_have_title(re.compile("bench"))
        job = re.search(r"/jobs/(\d+)/", page.url)
        assert job is not None
        self.tick_off(job[1], "bore:")
        page.goto(f"/jobs/{job[1]}/bench")
        self.read("0.3700")
        expect(page.get_by_text("Half of what is left. Measure it")).to_be_visible()
        self.read("0.3760")
        expect(page.get_by_text("oversize").first).to_be_visible()

    def test_from_the_shop_to_a_bush_in_the_shop(self) -> None:
        """Designed for a stock, made at the bench, put in the shop; the way that lacked it has it then."""
        page = self.page
        page.goto("/shop")
        page.get_by_role("link", name="Design a holder").click()
        type_into(page.get_by_role("textbox", name="Thread", exact=True), "3/8-16")
        type_into(page.get_by_role("textbox", name="Bore of the die stock, in"), "5/8")
        against = page.get_by_role("list", name="Problems with this design")
        expect(against).to_contain_text("Give the depth of the bore in the stock")
        type_into(page.get_by_role("textbox", name="Depth of the bore, down to the die, in"), "3/8")
        expect(against).to_have_count(0)
        dimensions = page.get_by_role("list", name="Dimensions")
        expect(dimensions).to_contain_text("It stops on the face of the stock, never on the die.")
        expect(dimensions).to_contain_text("0.6244")
        page.get_by_role("button", name="Start the job").click()
        expect(page).to_have_title(re.compile(", plan · Conch$"))
        expect(page.get_by_role("textbox", name="Job title")).to_have_value("Guide bush, 3/8-16 UNC")
        page.get_by_role("button", name=TO_THE_BENCH).click()
        made = page.get_by_role("button", name="Add to the shop")
        for _ in range(30):
            large = page.get_by_role("button", name=ON).first
            expect(large.or_(made).first).to_be_visible()
            if made.count():
                break
            words, step = large.all_inner_texts(), page.get_by_role("heading", level=1).all_inner_texts()
            if not words or not step:
                continue
            try:
                large.click(timeout=GONE_MS)
            except TimeoutError:
                continue
            page.wait_for_function(MOVED, arg=[step[0], words[0]])
        made.click()
        expect(page.get_by_role("status")).to_contain_text("Added to the shop")
        page.goto("/shop")
        expect(page.get_by_role("button", name="guide bush, 0.37 in bore")).to_be_visible()

    def test_a_holder_for_two_dies_on_a_bar(self) -> None:
        """On 3/4 bar the small die has hardly anything to sit on; on 5/8 it has. Drawn as DXF, and made."""
        page = self.page
        page.goto("/holders")
        page.get_by_role("button", name="die holder on a bar").click()
        for label, size in HOLDER.items():
            type_into(page.get_by_role("textbox", name=label, exact=True), size)
        against = page.get_by_role("list", name="Problems with this design")
        expect(against).to_contain_text("The second die would sit on 0.8 mm all round")
        type_into(page.get_by_role("textbox", name="Bar diameter, in"), "5/8")
        expect(against).to_have_count(0)
        dimensions = page.get_by_role("list", name="Dimensions")
        expect(dimensions).to_contain_text("two diameters of the bar are always inside")
        page.get_by_role("button", name="Start the job").click()
        expect(page.get_by_role("textbox", name="Job title")).to_have_value("Die holder, 1 and 13/16")
        page.get_by_role("button", name="Fit it").click()
        expect(page.get_by_role("region", name="Fit it")).to_contain_text("a pointed one over the split opens it")
        job = page.url.rsplit("/", 1)[-1]
        drawing = read(io.StringIO(page.request.get(f"/api/jobs/{job}/part.dxf").text()))
        told = {str(one.dxf.text) for one in drawing.modelspace().query("TEXT")}
        self.assertTrue(any("3.367" in text for text in told), told)
        self.tick_off(job)
        page.goto(f"/jobs/{job}/bench")
        page.get_by_role("button", name="Add to the shop").click()
        expect(page.get_by_role("status")).to_contain_text("Added to the shop")
        page.goto("/shop")
        expect(page.get_by_role("button", name="tailstock die holder, 1 in, on a guide")).to_be_visible()

    def tick_off(self, job: str, until: str = "never") -> None:
        """Every step of every piece without a reading, or up to the first whose key begins so."""
        while (now := self.page.request.get(f"/api/jobs/{job}/bench").json())["step"] is not None:
            if now["step"]["key"].startswith(until) and not now["zero"]:
                break
            self.end_step(int(job), now)

    def test_a_sleeve_for_a_plain_stock(self) -> None:
        """Bored to the bar, a spigot for the stock: asked for, found too thin, drawn apart, and its job planned."""
        page = self.page
        page.goto("/holders")
        page.get_by_role("button", name="sleeve for a plain die stock").click()
        for label, size in (("Bar diameter, in", "1/2"), ("Bore of the die stock, in", "0.55")):
            type_into(page.get_by_role("textbox", name=label, exact=True), size)
        type_into(page.get_by_role("textbox", name="Spigot length, in", exact=True), "1/4")
        against = page.get_by_role("list", name="Problems with this design")
        expect(against).to_contain_text("The wall round the hole is thinner")
        type_into(page.get_by_role("textbox", name="Bore of the die stock, in", exact=True), "13/16")
        expect(against).to_have_count(0)
        page.get_by_role("button", name="exploded").click()
        expect(page.get_by_role("group", name="Sleeve for a plain die stock, in section, apart")).to_be_visible()
        page.get_by_role("button", name="Start the job").click()
        expect(page.get_by_role("textbox", name="Job title")).to_have_value("Sleeve for a plain die stock")
        expect(page.get_by_role("region", name="Sections")).to_contain_text("push fit")

    def test_a_stock_for_a_large_die(self) -> None:
        """For a 2 x 5/8 die: drawn together and apart, a size of one's own, ring and handles made, and put in the
        shop by what the job says."""
        page = self.page
        page.goto("/holders")
        page.get_by_role("button", name="die stock", exact=True).click()
        for label, size in (
            ("Die diameter, in", "2"),
            ("Die thickness, in", "5/8"),
            ("Largest thread", "1-8"),
        ):
            type_into(page.get_by_role("textbox", name=label, exact=True), size)
        design = page.get_by_role("region", name="Design")
        expect(design.get_by_role("group", name="together, to scale")).to_be_visible()
        page.get_by_role("button", name="exploded").click()
        expect(design.get_by_role("group", name="apart, to scale")).to_be_visible()
        own = page.get_by_role("textbox", name="Your own ring across")
        type_into(own, "2-1/4")
        expect(page.get_by_role("list", name="Problems with this design")).to_contain_text("less than their diameter")
        type_into(own, "4")
        expect(page.get_by_role("list", name="Problems with this design")).to_have_count(0)
        with page.expect_download() as downloaded:
            page.get_by_role("link", name="Drawing, full size (DXF)").click()
        drawing = read(io.StringIO(downloaded.value.path().read_text()))
        ring = [one for one in drawing.modelspace() if isinstance(one, LWPolyline) and one.dxf.layer == "part"]
        high = [float(y) for one in ring for _, y in one.get_points("xy")]
        self.assertGreaterEqual(max(high) - min(high), 4 * 25.4)
        page.get_by_role("button", name="Start the job").click()
        expect(page.get_by_role("textbox", name="Job title")).to_have_value("Die stock, 2 x 5/8")
        parts = page.get_by_role("navigation", name="Parts of this job")
        expect(parts.get_by_role("textbox", name="Part name")).to_have_value("ring")
        parts.get_by_text("handle").click()
        expect(page.get_by_role("textbox", name="Pieces")).to_have_value("2")

    def read(self, size: str) -> None:
        reading = self.page.get_by_role("textbox", name="New reading")
        type_into(reading, size)
        reading.press("Enter")
        expect(reading).to_have_value("")
