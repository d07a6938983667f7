"""Jobs of several parts, start to set-up sheet: a worn end given a stud, and a tapped body with its cap."""

from __future__ import annotations

import io

from playwright.sync_api import Locator, expect
from pypdf import PdfReader

from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into


class Several(BrowserCase):
    empty = True

    def stored(self) -> None:
        expect(self.page.get_by_text("stored", exact=True)).to_be_attached()
        expect(self.page.get_by_role("alert")).to_have_count(0)

    def typed(self, label: str, text: str) -> None:
        type_into(self.field(label), text)
        self.field(label).press("Enter")
        self.stored()

    def sheet(self) -> list[str]:
        """The words of each page of the set-up sheet."""
        self.open_papers()
        href = self.page.get_by_role("link", name="Set-up sheet").get_attribute("href")
        answer = self.page.request.get(f"{self.server.url}{href}")
        return [" ".join(page.extract_text().split()) for page in PdfReader(io.BytesIO(answer.body())).pages]

    def open_repair(self) -> Locator:
        self.page.goto("/")
        self.page.get_by_role("button", name="New job").click()
        self.page.get_by_role("radio", name="worn end to repair").click()
        return self.page.get_by_role("form", name="Stud repair")

    def test_a_stud_repair(self) -> None:
        """1/2 BSF in 1-1/4: in 1/2, clamped 7/8, washer 3/32, nut .45, out 1/8: 2.044; three parts, made in turn."""
        page, form = self.page, self.open_repair()
        type_into(form.get_by_role("textbox", name="Name of the job"), "Winding spindle")
        type_into(form.get_by_role("textbox", name="Worn part, diameter, in"), "1-1/4")
        type_into(form.get_by_role("textbox", name="Stud thread"), "1/2 bsf")
        type_into(form.get_by_role("textbox", name="Face to washer, in"), "7/8")
        type_into(form.get_by_role("textbox", name="Washer thickness, in", exact=True), "3/32")
        expect(form).to_contain_text("2.044")
        form.get_by_role("button", name="Show the plan").click()
        parts = page.get_by_role("navigation", name="Parts of this job")
        expect(parts.get_by_role("button", name="2 nut")).to_be_visible()
        expect(page.get_by_role("button", name="Saw the damaged end off")).to_be_visible()
        page.get_by_role("button", name="Tap the hole").click()
        expect(page.get_by_role("region", name="Tap the hole")).to_contain_text("taper, second, then bottoming tap")
        # The length of thread is changed in the body; the stud keeps its own.
        self.typed("Hole 1, depth", "3/4")
        # Turned to while the change before it is still being stored.
        type_into(self.field("Hole 1, depth"), "11/16")
        parts.get_by_role("button", name="3 stud").click()
        expect(page.get_by_role("button", name="Fit it")).to_be_visible()
        self.stored()
        expect(page.get_by_role("button", name="Fit it")).to_be_visible()
        parts.get_by_role("button", name="1 body").click()
        expect(self.field("Hole 1, depth")).to_have_value("11/16")
        parts.get_by_role("button", name="3 stud").click()
        expect(self.field("Section 1, thread")).to_have_value("1/2 BSF")
        self.typed("Overall length", "2.1")
        pages = self.sheet()
        for words in ("1 of 3, body", "2 of 3, nut", "3 of 3, stud", "retaining compound", "Fit it"):
            self.assertIn(words, " ".join(pages))
        page.get_by_role("link", name="Jobs", exact=True).click()
        expect(page.get_by_role("article")).to_contain_text("0 of 3")
        page.get_by_role("link", name=TO_THE_BENCH).click()
        heading = page.get_by_role("heading", level=1)
        for words in (
            "Saw the damaged end",
            "face the end",
            "Spot the end",
            "Drill 7/32",
            "Drill 7/16",
            "Countersink",
            "Start the tap",
            "blow the hole out",
        ):
            expect(heading).to_contain_text(words)
            if words == "Start the tap":
                expect(page.get_by_text("1/2 BSF tap: taper, second, then bottoming tap")).to_be_visible()
            if words == "blow the hole out":
                page.get_by_role("button", name="3 snug").click()
            page.get_by_role(
                "button", name="Done" if words != "blow the hole out" else "Piece done", exact=True
            ).click()
        benches = page.get_by_role("navigation", name="Parts")
        in_hand = benches.locator("[aria-current]")
        expect(in_hand).to_have_text("nut 0/1")
        expect(heading).to_contain_text("face the end")
        # The bar for the stud is in the chuck already: it is taken up first, and left again.
        benches.get_by_role("button", name="stud 0/1").click()
        expect(in_hand).to_have_text("stud 0/1")
        expect(benches.get_by_role("button", name="body 1/1")).to_be_disabled()
        page.get_by_role("button", name="undo").click()
        expect(in_hand).to_have_text("nut 0/1")
        # The nut is begun and taken out of the job; put back, what was recorded for it counts again.
        page.get_by_role("button", name="Done", exact=True).click()
        expect(heading).to_contain_text("Spot the end")
        page.get_by_role("link", name="plan").click()
        page.get_by_role("button", name="Remove this part").click()
        expect(parts.get_by_role("button", name="2 stud")).to_be_visible()
        page.get_by_role("button", name="Undo: parts").click()
        expect(parts.get_by_role("button", name="3 stud")).to_be_visible()
        page.get_by_role("button", name=TO_THE_BENCH).click()
        expect(heading).to_contain_text("Spot the end")
        for words in ("face the end", "blow the hole out"):
            page.get_by_role("button", name="undo").click()
            expect(heading).to_contain_text(words)
        expect(in_hand).to_have_text("body 0/1")

    def test_a_repair_that_cannot_be_made_says_why_beside_the_field(self) -> None:
        form = self.open_repair()
        expect(form.get_by_role("textbox", name="Name of the job")).to_be_focused()
        type_into(form.get_by_role("textbox", name="Worn part, diameter, in"), "1/2")
        type_into(form.get_by_role("textbox", name="Stud thread"), "1/2 bsf")
        expect(form).to_contain_text("as large as the part it goes into")
        type_into(form.get_by_role("textbox", name="Stud thread"), "1/2")
        expect(form.get_by_role("button", name="1/2-13 UNC")).to_be_visible()
        self.page.reload()
        expect(form.get_by_role("textbox", name="Stud thread")).to_have_value("1/2")

    def test_a_tapped_body_with_its_cap(self) -> None:
        """A body tapped blind and drilled across, then a second part: the cap, threaded outside; one sheet for both."""
        page = self.page
        self.start_job(
            "nut or cap",
            {
                "Name of the job": "Grease cup",
                "Thread": "M16x1",
                "How many": "2",
                "Bar across the flats, mm": "24",
                "Thread depth, mm": "10",
                "Overall length, mm": "40",
            },
        )
        expect(page.get_by_role("button", name="Tap the hole")).to_be_visible()
        self.open_facts("Holes")
        page.get_by_role("button", name="Add a cross hole").click()
        type_into(self.field("Hole 2, drill"), "3")
        type_into(self.field("Hole 2, distance from the right-hand end"), "39.5")
        expect(page.get_by_role("alert").filter(has_text="break out of the end")).to_be_visible()
        self.typed("Hole 2, distance from the right-hand end", "30")
        page.get_by_role("button", name="Drill the cross hole").click()
        expect(page.get_by_role("region", name="Drill the cross hole")).to_contain_text("24.90 mm")
        self.open_facts("Drills and taps")
        type_into(self.field("Drills you own"), "14 mm")
        expect(page.get_by_text("No drill you own is near what M16x1 needs")).to_be_visible()
        self.typed("Drills you own", "metric")
        expect(page.get_by_text("No drill you own")).to_have_count(0)
        page.get_by_role("button", name="Add a part").click()
        expect(self.field("Part name")).to_have_value("part 2")
        self.typed("Part name", "cap")
        page.get_by_role("button", name="Remove hole 2").click()
        self.open_facts("Sections")
        page.get_by_role("button", name="Add a section").click()
        self.choose("Section 2, shape", "thread")
        type_into(self.field("Section 2, thread"), "M16x1")
        type_into(self.field("Section 2, length"), "12")
        self.field("Section 2, length").press("Enter")
        page.get_by_role("button", name="Remove hole 1").click()
        self.stored()
        expect(page.get_by_role("button", name="Run the die on")).to_be_visible()
        page.get_by_role("navigation", name="Parts of this job").get_by_role("button", name="1 part 1").click()
        expect(page.get_by_role("button", name="Tap the hole")).to_be_visible()
        pages = " ".join(self.sheet())
        for words in ("2 of 2, cap", "Drill the cross hole", "Run the die on"):
            self.assertIn(words, pages)
