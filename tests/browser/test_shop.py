"""The shop: filled by typing, looked at, changed; and what of it serves a thread."""

from __future__ import annotations

from typing import ClassVar

from playwright.sync_api import expect

from tests.browser.base import BrowserCase


class EmptyShop(BrowserCase):
    empty: ClassVar[bool] = True

    def test_from_an_empty_shop_to_what_serves_a_thread_in_a_few_lines(self) -> None:
        """A set, a rack and a worn die are three lines; what is not understood stays to be put right."""
        page = self.page
        page.goto("/shop")
        expect(page.get_by_text("Nothing is in the shop yet")).to_be_visible()
        form = page.get_by_role("form", name="Put things in the shop")
        lines = form.get_by_role("textbox")
        lines.fill("M5-M8 dies\n1-8 x 0.5 drills, stand\n1/2 BSW die 1 x 3/8 worn, British box\nhammer")
        expect(form.get_by_role("alert")).to_contain_text("Is it a die, a tap or a drill")
        form.get_by_role("checkbox", name="M5 split die").uncheck()
        form.get_by_role("button", name="Put 18 in the shop").click()
        expect(lines).to_have_value("hammer")
        expect(page.get_by_role("region", name="Metric coarse dies").get_by_role("button")).to_have_count(2)
        expect(page.get_by_role("region", name="stand").get_by_role("button")).to_have_count(15)
        chart = page.get_by_role("article", name="What I can cut")
        expect(chart.get_by_role("listitem").filter(has_text="1/2 BSW")).to_contain_text("die")
        page.goto("/threads?q=M6")
        serves = page.get_by_role("region", name="In your shop")
        expect(serves).to_contain_text("M6 split die")
        expect(serves).to_contain_text("drill 5 mm")
        expect(serves).to_contain_text("no tap")


class Shop(BrowserCase):
    def test_a_die_is_changed_taken_out_and_put_back(self) -> None:
        page = self.page
        page.goto("/shop")
        page.get_by_role("textbox", name="Find in the shop").fill("metric box M8")
        expect(page.get_by_role("region", name="British box")).to_have_count(0)
        page.get_by_role("button", name="M8 split die", exact=True).click()
        die = page.get_by_role("article", name="M8 split die")
        across = die.get_by_role("textbox", name="Outside diameter")
        across.fill("7 mm")
        across.press("Enter")
        expect(die.get_by_role("alert")).to_contain_text("A die's diameter")
        expect(across).to_have_value("7 mm")
        across.fill("25 mm")
        across.press("Enter")
        die = page.get_by_role("article", name="M8 split die, 25 mm")
        expect(die).to_be_visible()
        self.choose("State", "lent")
        expect(page.get_by_role("button", name="M8 split die, 25 mm, lent")).to_be_visible()
        die.get_by_role("button", name="Take it out of the shop").click()
        expect(page.get_by_role("button", name="M8 split die, 25 mm, lent")).to_have_count(0)
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("button", name="M8 split die, 25 mm, lent")).to_be_visible()
