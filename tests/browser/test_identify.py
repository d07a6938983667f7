"""A worn stud, from the caliper to a job: evidence, the question, the answer, the thread with its evidence kept."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from tests.browser.base import BrowserCase, type_into


class IdentifyPage(BrowserCase):
    def type_evidence(self, label: str, value: str) -> None:
        field = self.page.get_by_label(label, exact=True)
        type_into(field, value)
        expect(field).to_have_value(value)

    def test_from_a_worn_stud_to_a_job(self) -> None:
        """Worn crests of 0.368 in and the 16 leaf: 3/8-16 or 3/8 BSW, told apart by the flanks."""
        page = self.page
        page.goto("/identify")
        asked = page.get_by_role("region", name="Next")
        expect(asked).to_contain_text("Start with the diameter")
        self.type_evidence("Major diameter over the crests", "0.368")
        expect(asked).to_contain_text(re.compile("pitch gauges|Count"))
        self.type_evidence("Pitch gauge, threads per inch", "16")
        expect(asked).to_contain_text("flank-angle gauge")
        expect(asked).to_contain_text("60 degrees means 3/8-16 UNC")
        self.choose("Flank angle", "60° gauge fits")
        expect(page.get_by_role("list", name="Candidates")).to_contain_text("the 60 degree gauge fits")
        page.get_by_role("button", name="Start a job with this thread").click()
        page.get_by_role("radio", name="thread at one end").click()
        form = page.get_by_role("form", name="New job")
        expect(form.get_by_role("textbox", name="Thread", exact=True)).to_have_value("3/8-16 UNC")
        self.fill_job(
            {
                "Name of the job": "Replacement stud",
                "How many": "1",
                "Bar diameter, in": "1/2",
                "Thread length, in": "1",
                "Overall length, in": "2",
            }
        )
        page.get_by_role("button", name="Show the plan").click()
        expect(page).to_have_title(re.compile(", plan · Conch$"))
        expect(page.get_by_text(re.compile("Identified, .* certain: outside 0.368; tpi 16; angle 60"))).to_be_visible()
        page.goto("/log?q=0.368")
        expect(page.get_by_text("Identified,").first).to_be_visible()

    def test_contradictions_and_slips_are_told_beside_the_field(self) -> None:
        self.page.goto("/identify")
        self.type_evidence("Major diameter over the crests", "0.518 mm")
        expect(self.page.get_by_role("alert")).to_contain_text("Did you mean 0.518 in?")
        self.page.get_by_role("button", name="0.518 in").click()
        expect(self.page.get_by_role("alert")).to_have_count(0)
        self.type_evidence("Minor diameter (bore) of a nut", "0.6")
        expect(self.page.get_by_role("alert")).to_contain_text("larger than the outside")

    def test_a_pipe_size_is_explained_where_it_trips(self) -> None:
        self.page.goto("/identify")
        self.type_evidence("Major diameter over the crests", "0.518")
        self.type_evidence("Pitch gauge, threads per inch", "19")
        expect(self.page.get_by_text("A pipe size is not a diameter")).to_be_visible()
        expect(self.page.get_by_text("the joint leaks")).to_be_visible()

    def test_instruments_not_owned_are_not_asked_for(self) -> None:
        self.page.goto("/identify")
        self.type_evidence("Major diameter over the crests", "0.2465")
        self.type_evidence("Pitch gauge, threads per inch", "20")
        asked = self.page.get_by_role("region", name="Next")
        expect(asked).to_contain_text("flank-angle gauge")
        self.page.get_by_label("flank-angle gauges").uncheck()
        expect(asked).not_to_contain_text("flank-angle gauge")

    def test_the_person_sets_how_often_a_series_is_met(self) -> None:
        self.page.goto("/identify")
        self.type_evidence("Major diameter over the crests", "0.2465")
        self.type_evidence("Pitch gauge, threads per inch", "20")
        candidates = self.page.get_by_role("list", name="Candidates").get_by_role("listitem")
        expect(candidates.first).to_contain_text("1/4-20 UNC")
        self.page.get_by_role("button", name="Change the odds").click()
        self.type_evidence("Odds of Whitworth, per cent", "60")
        self.type_evidence("Odds of Unified coarse, per cent", "5")
        expect(candidates.first).to_contain_text("1/4 BSW")

    def test_nothing_fits(self) -> None:
        self.page.goto("/identify")
        self.type_evidence("Major diameter over the crests", "0.3")
        self.type_evidence("Pitch gauge, threads per inch", "37")
        expect(self.page.get_by_role("heading", name="No standard thread matches")).to_be_visible()
        self.page.get_by_role("link", name="0.300-37 UNS").click()
        expect(self.page.get_by_role("heading", name="0.300-37 UNS")).to_be_visible()

    def test_what_is_typed_in_millimetres_is_answered_in_them(self) -> None:
        """7.9 mm is answered in millimetres, and a candidate tells its pitch both ways."""
        self.page.goto("/identify")
        self.type_evidence("Major diameter over the crests", "7.9 mm")
        answer = self.page.get_by_role("list", name="Candidates")
        expect(answer).to_contain_text("major diameter 8.000 mm")
        expect(answer).to_contain_text("pitch 1.25 mm (20.3 per inch)")
