"""The size line: one key from anywhere, an answer at each keystroke, choices where the text is not one thread."""

from __future__ import annotations

from playwright.sync_api import expect

from tests.browser.base import BrowserCase, type_into


class SizeLine(BrowserCase):
    """Typing threads on every page."""

    def ask(self, text: str) -> None:
        self.page.keyboard.press("/")
        field = self.page.get_by_role("textbox", name="Size a thread")
        expect(field).to_be_focused()
        type_into(field, text)

    def test_is_one_key_away_on_every_page(self) -> None:
        for address in ("/", "/jobs/2", "/jobs/2/bench", "/log"):
            with self.subTest(address=address):
                self.page.goto(address)
                self.page.wait_for_load_state("networkidle")
                self.ask("2ba")
                expect(self.page.get_by_role("heading", name="2 BA")).to_be_visible()

    def test_gives_the_published_sizes(self) -> None:
        """1/4 BSW: BS 84 prints effective 0.2180 and core 0.1860 in; G1/4 measures 13.157 mm (ISO 228-1)."""
        self.page.goto("/")
        self.ask("1/4 bsw")
        answer = self.page.get_by_role("search")
        expect(answer).to_contain_text("0.2180")
        expect(answer).to_contain_text("0.1860")
        self.ask("G1/4")
        expect(answer).to_contain_text("13.157 mm")

    def test_follows_the_units_shown(self) -> None:
        self.page.goto("/")
        self.ask("M8")
        answer = self.page.get_by_role("search")
        expect(answer).to_contain_text("7.188")
        self.page.get_by_role("button", name="in", exact=True).click()
        self.ask("M8")
        expect(answer).to_contain_text("0.3150")

    def test_offers_what_an_unclear_text_may_mean(self) -> None:
        self.page.goto("/")
        self.ask("7/16 whitworth")
        answer = self.page.get_by_role("search")
        expect(answer).to_contain_text("Type the one you mean")
        answer.get_by_role("button", name="7/16 BSF").click()
        expect(answer.get_by_role("heading", name="7/16 BSF")).to_be_visible()

    def test_shows_the_working_of_a_figure(self) -> None:
        self.page.goto("/")
        self.ask("3/8-16")
        answer = self.page.get_by_role("search")
        answer.get_by_role("button", name="0.0361").click()
        working = self.page.get_by_role("region", name="How best wire is worked out")
        expect(working).to_contain_text("pitch ÷ (2 × cos(flank angle ÷ 2))")
        expect(working).to_contain_text("60 °")

    def test_starts_a_job_with_the_thread(self) -> None:
        self.page.goto("/log")
        self.ask("1/2-13")
        self.page.get_by_role("button", name="Start a job with this thread").click()
        self.page.get_by_role("radio", name="thread at one end").click()
        form = self.page.get_by_role("form", name="New job")
        expect(form.get_by_role("textbox", name="Thread", exact=True)).to_have_value("1/2-13 UNC")


class OtherUnit(BrowserCase):
    def test_what_stands_small_beside_a_figure_is_the_same_length_in_the_other_unit(self) -> None:
        """1 in is 25.4 mm: whichever unit is shown, the small one is the other, and as long."""
        boxes = "button.big:has(.other), .figure:has(.other)"
        checked = dict.fromkeys(("in", "mm"), 0)
        for address in ("/jobs/3/bench", "/jobs/4/bench", "/jobs/5/bench", "/jobs/7/bench"):
            for unit in checked:
                self.page.goto("/")
                self.page.evaluate("unit => localStorage.setItem('conch.units', JSON.stringify(unit))", unit)
                self.page.goto(address)
                expect(self.page.locator("main .fig").first).to_be_visible()
                for box in self.page.locator(boxes).all():
                    shown = box.locator(".fig:not(.other)").last.inner_text()
                    own = box.locator(".unit").last.inner_text().strip()
                    size, other = box.locator(".other").inner_text().split()[-2:]
                    self.assertEqual((own, {own, other}), (unit, {"in", "mm"}), address)
                    both = {own: float(shown), other: float(size)}
                    self.assertAlmostEqual(both["in"] * 25.4, both["mm"], delta=0.02)
                    checked[unit] += 1
        self.assertGreater(min(checked.values()), 2, checked)
