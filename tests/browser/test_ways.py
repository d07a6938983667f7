"""One stud three ways: by its die, single point, by a die head for sixty; a chased bore; gears; the break-even."""

from __future__ import annotations

import re

from playwright.sync_api import Locator, Route, TimeoutError, expect

from lathework.tests.samples import bore, document, section
from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into

ON = re.compile(r"^(Done|Step done, not measured|Tool touched off|Touched off\. The zero stays good\.|Piece done)$")
GONE_MS = 3000
"""A button that cannot be pressed for so long has gone, in milliseconds."""
MOVED = """([step, label]) => {
  const now = document.querySelector("h1")?.innerText
  if (now === undefined || now !== step) return now !== undefined
  // The same step goes on with another button; one that only waits for its answer has no words.
  const buttons = [...document.querySelectorAll("button")].map(one => one.innerText)
  return !buttons.includes(label) && buttons.some(words => /^(Done|Touched off|Piece done)/.test(words))
}"""
RING = {
    "title": "Lens ring",
    "part.stock.across": "1-1/2",
    "part.overall_length": "1",
    "part.sections": [section("bar")],
    "part.bores": [bore("1.045-24 UNS", cut="tap-as-chaser")],
    "material": "brass",
    "quantity": 1,
}
STUD = {
    "Name of the job": "Gallery studs",
    "Thread": "3/8-16",
    "How many": "2",
    "Bar diameter, in": "1/2",
    "Thread length, in": "1",
    "Overall length, in": "1-3/4",
}


class Ways(BrowserCase):
    """On the demo's shop: it has a die head with chasers for 3/8-16, threading tools, and a lathe with its wheels."""

    def press(self, name: str) -> None:
        self.page.get_by_role("button", name=name, exact=True).click()

    @property
    def step(self) -> Locator:
        return self.page.get_by_role("heading", level=1)

    def work_to(self, words: str) -> None:
        """Through the steps of a piece, measuring nothing, until one says so."""
        wanted = self.step.filter(has_text=words)
        for _ in range(30):
            large = self.page.get_by_role("button", name=ON).first
            expect(wanted.or_(large).first).to_be_visible()
            # An answer may come between a look and a press: what it took away is not pressed.
            words_now, step = large.all_inner_texts(), self.step.all_inner_texts()
            if wanted.count():
                return
            if not words_now or not step:
                continue
            try:
                large.click(timeout=GONE_MS)
            except TimeoutError:
                continue
            self.page.wait_for_function(MOVED, arg=[step[0], words_now[0]])
        self.fail(f"no step says {words}")

    def open_ways(self) -> Locator:
        ways = self.page.get_by_role("region", name="Methods", exact=True)
        if ways.get_by_role("button", name="Methods", exact=True).get_attribute("aria-expanded") == "false":
            ways.get_by_role("button", name="Methods", exact=True).click()
        return ways

    def to_the_last_of(self, pieces: int) -> None:
        """End the first piece; those between are made as it was; the last one is in hand."""
        self.work_to("Set the bar")
        number = self.page.url.split("/")[-2]
        file = self.page.request.get(f"/api/jobs/{number}/job.json").json()
        entries = file["record"]["entries"]
        first = [entry for entry in entries if entry["piece"] == 1]
        entries += [one | {"piece": piece} for piece in range(2, pieces) for one in first]
        again = self.post("/api/jobs/import", file)["id"]
        self.page.goto(f"/jobs/{again}/bench")
        expect(self.page.get_by_text(f"piece {pieces} of {pieces}")).to_be_visible()

    def cut_by(self, words: str) -> None:
        self.open_facts("Sections")
        self.choose("Section 1, cut by", words)

    def test_single_point_from_plan_to_log(self) -> None:
        """Set up, pass after pass; a nut that binds wants it deeper; then it passes, and the log has the piece."""
        page = self.page
        self.start_job("thread at one end", STUD)
        self.cut_by("single point")
        page.get_by_role("button", name="Set up for screwcutting").click()
        detail = page.get_by_role("region", name="Set up for screwcutting")
        expect(detail).to_contain_text("Gear the leadscrew for 0.0625 in per turn")
        expect(detail).to_contain_text("Set the top slide 29.5° from the cross-slide direction")
        expect(page.get_by_role("button", name="Run the die on")).to_have_count(0)
        self.page.get_by_role("button", name=TO_THE_BENCH).click()
        self.work_to("on the top slide in all")
        passes = page.get_by_role("region", name="Passes")
        expect(passes).to_contain_text("pass 1 of")
        for _ in range(3):
            page.keyboard.press("t")
        expect(passes).to_contain_text("pass 4 of")
        self.work_to("Clean the thread")
        page.get_by_role("button", name="starts, then binds").click()
        expect(page.get_by_role("status")).to_contain_text("Not deep enough")
        self.press("Cut deeper")
        expect(page.get_by_role("status")).to_contain_text("Cut further")
        page.get_by_role("button", name="snug, turns by hand, no play").click()
        self.press("Done")
        page.goto("/log?q=Gallery")
        self.choose("Show", "everything")
        expect(page.get_by_role("region", name="All records")).to_contain_text("thread cut further")

    def test_sixty_by_the_head_and_the_break_even_overruled(self) -> None:
        """Two go by a die; from some dozens on the head is quicker; sixty take it, until one says why not."""
        page = self.page
        self.start_job("thread at one end", STUD | {"Name of the job": "Railing studs"})
        ways = self.open_ways()
        expect(ways).to_contain_text(re.compile(r"From \d+ pieces: self-opening die head\."))
        expect(ways.get_by_role("img", name=re.compile("Total minutes against number of pieces"))).to_be_visible()
        pieces = page.get_by_role("textbox", name="Pieces")
        type_into(pieces, "60")
        pieces.press("Enter")
        first = ways.get_by_role("listitem").first
        expect(first).to_contain_text("self-opening die head")
        expect(first).to_contain_text("◆ quickest")
        first.get_by_role("button", name="Use self-opening die head").click()
        expect(first).to_contain_text("● used in this job")
        page.get_by_role("button", name="Run the die head on").click()
        expect(page.get_by_role("region", name="Run the die head on")).to_contain_text("Set the stop so that the head")
        self.page.get_by_role("button", name=TO_THE_BENCH).click()
        self.work_to("Set the stop so that the head")
        setting = page.get_by_role("region", name="Die setting")
        expect(setting).to_contain_text("Set the scale")
        expect(setting).not_to_contain_text("screw")
        setting.get_by_role("button", name="Set as shown").click()
        expect(setting).to_contain_text("Setting of the head:")
        self.work_to("Clean the thread")
        page.get_by_role("button", name="loose").click()
        expect(page.get_by_role("status")).to_contain_text("open the head by")
        page.get_by_role("button", name="snug, turns by hand, no play").click()
        self.press("Done")
        job = page.url.removesuffix("/bench")
        page.goto("/log?q=Railing")
        self.choose("Show", "everything")
        expect(page.get_by_role("region", name="All records")).to_contain_text("set: ")
        page.goto(f"{job}/bench")
        self.to_the_last_of(60)
        self.work_to("Clean the thread")
        page.get_by_role("button", name="snug, turns by hand, no play").click()
        self.press("Done")
        self.work_to("60 of 60")
        page.goto("/log?q=Railing")
        expect(page.get_by_text("60 of 60")).to_be_visible()
        page.goto(job)
        ways = self.open_ways()
        ways.get_by_role("button", name="Use sliding holder, spindle by hand").click()
        reason = ways.get_by_role("textbox", name="Reason for this method")
        type_into(reason, "the head is at the harbour")
        reason.press("Enter")
        expect(page.get_by_role("button", name="Run the die on")).to_be_visible()
        page.reload()
        ways = self.open_ways()
        expect(ways.get_by_role("textbox", name="Reason for this method")).to_have_value("the head is at the harbour")

    def test_the_jaws_want_a_reason(self) -> None:
        page = self.page
        page.goto("/jobs/2")
        self.open_facts("Process")
        self.choose("Die held in", "die gripped in the chuck's jaws: a last resort")
        expect(page.get_by_text("Chuck jaws close a die and may crack it").first).to_be_visible()

    def test_a_chased_bore(self) -> None:
        """1.045 by 24 in brass, with a tap of that pitch held as a chaser: no larger than two thirds of the bore."""
        page = self.page
        page.goto("/")
        job = self.post("/api/jobs/import", document(RING))
        page.goto(f"/jobs/{job['id']}")
        page.get_by_role("button", name="Chase the thread").click()
        detail = page.get_by_role("region", name="Chase the thread")
        expect(detail).to_contain_text("Hold a tap of the same pitch in the toolpost")
        expect(detail).to_contain_text("0.0417 in per turn")
        self.page.get_by_role("button", name=TO_THE_BENCH).click()
        self.work_to("Hold a tap of the same pitch")
        expect(page.get_by_role("region", name="Passes")).to_contain_text("by the diameter each leaves")

    def test_nothing_moves_under_the_hand_when_the_ways_are_weighed(self) -> None:
        """However late the shop answers: the steps stand where they will stand before they can be pressed."""
        page = self.page
        page.goto("/")
        job = self.post("/api/jobs/import", document(RING))

        def late(route: Route) -> None:
            answer = route.fetch()
            page.wait_for_timeout(900)
            route.fulfill(response=answer)

        page.route(re.compile("/(ways|needs)\\?"), late)
        page.goto(f"/jobs/{job['id']}")
        step = page.get_by_role("button", name="Chase the thread")
        expect(step).to_be_visible()
        before = step.bounding_box()
        page.wait_for_timeout(1500)
        self.assertEqual(step.bounding_box(), before)

    def test_gears_for_a_pitch(self) -> None:
        """A near miss is no 1 mm; a leadscrew in no unit is asked about; what was typed stays."""
        page = self.page
        page.goto("/gears?pitch=24+tpi&leadscrew=8+tpi&gears=20,30,40,60")
        trains = page.get_by_role("region", name="Trains")
        expect(trains).to_contain_text("20 drives 60")
        expect(trains).to_contain_text("✓ exact")
        expect(trains).to_contain_text("Close the half nuts at any point.")
        expect(page.get_by_role("img", name=re.compile("Change gears"))).to_be_visible()
        screw = page.get_by_role("textbox", name="Leadscrew")
        type_into(screw, "8")
        expect(page.get_by_text("a bare number could be either")).to_be_visible()
        type_into(screw, "3 mm")
        expect(trains).to_contain_text("◆ No train of these gears")

    def test_gears_before_a_gearbox(self) -> None:
        """25.4/8 x 50/127 is 1.25 mm: at 8 tpi, 50 drives 127. What the box cuts by itself needs no gears."""
        page = self.page
        page.goto("/gears?pitch=1.25+mm&leadscrew=8+tpi&gears=50,127")
        type_into(page.get_by_role("textbox", name="Gearbox"), "8, 16, 20 tpi")
        trains = page.get_by_role("region", name="Trains")
        expect(trains).to_contain_text("gearbox at 8 tpi; 50 drives 127")
        type_into(page.get_by_role("textbox", name="Pitch or thread"), "20 tpi")
        expect(trains).to_contain_text("gearbox at 20 tpi, with its own gears")
        type_into(page.get_by_role("textbox", name="Gearbox"), "8, 16")
        expect(page.get_by_text("is not a list of pitches").or_(page.get_by_text("is not a pitch"))).to_be_visible()
