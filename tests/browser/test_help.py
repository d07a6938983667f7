"""What words and figures mean: behind the question mark, and where the working of a figure is opened."""

from __future__ import annotations

from playwright.sync_api import expect

from tests.browser.base import BrowserCase, type_into


class Help(BrowserCase):
    def test_the_question_mark_leads_to_the_ideas_and_the_words(self) -> None:
        page = self.page
        page.goto("/")
        page.keyboard.press("?")
        page.get_by_role("link", name="What the words and figures mean").click()
        expect(page).to_have_title("Help · Conch")
        expect(page.get_by_role("region", name="Five ideas").get_by_role("article")).to_have_count(5)
        words = page.get_by_role("region", name="Words")
        type_into(words.get_by_label("Find a word"), "undercut")
        expect(words.get_by_role("definition")).to_have_count(1)
        expect(words).to_contain_text("relief groove")
        type_into(words.get_by_label("Find a word"), "zzz")
        expect(words).to_contain_text("No such word here.")

    def test_a_figure_explains_its_name(self) -> None:
        page = self.page
        page.goto("/jobs/2")
        page.get_by_title("Show how blank diameter is worked out").first.click()
        working = page.get_by_role("region", name="How blank diameter is worked out")
        expect(working.get_by_role("note")).to_contain_text("the metal swells into the die")
