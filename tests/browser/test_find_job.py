"""A job found among many: by its thread, its state, whatever stands on its card."""

from __future__ import annotations

from playwright.sync_api import expect

from tests.browser.base import BrowserCase, type_into


class FindJob(BrowserCase):
    def test_by_its_thread_and_its_state(self) -> None:
        page = self.page
        page.goto("/")
        jobs = page.get_by_role("article")
        expect(jobs.first).to_be_visible()
        before = jobs.count()
        find = page.get_by_role("textbox", name="Find a job")
        type_into(find, "1/2 BSW bench")
        expect(jobs.filter(has_text="Levelling studs")).to_have_count(1)
        expect(jobs).not_to_have_count(before)
        # The list narrows with each key: asked again until it is the whole text's.
        expect(jobs.filter(has_not_text="1/2 BSW")).to_have_count(0)
        type_into(find, "no such job")
        expect(page.get_by_role("status")).to_have_text("No job here has “no such job” in it.")
        type_into(find, "")
        expect(jobs).to_have_count(before)

    def test_by_a_press_on_a_state_or_a_thread(self) -> None:
        page = self.page
        page.goto("/")
        jobs = page.get_by_role("article")
        expect(jobs.first).to_be_visible()
        states = page.get_by_role("navigation", name="Show jobs of one state")
        states.get_by_role("button", name="on hold").click()
        expect(jobs).to_have_count(1)
        expect(jobs).to_contain_text("on hold")
        states.get_by_role("button", name="All").click()
        page.get_by_role("button", name="1/2 BSF").first.click()
        expect(page.get_by_role("textbox", name="Find a job")).to_have_value("1/2 BSF")
        expect(jobs.filter(has_not_text="1/2 BSF")).to_have_count(0)
