"""The shop: filled by typing, looked at, changed; and what of it serves a thread."""

from __future__ import annotations

from typing import ClassVar

from playwright.sync_api import expect

from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into


class EmptyShop(BrowserCase):
    empty: ClassVar[bool] = True

    def test_from_an_empty_shop_to_what_serves_a_thread_in_a_few_lines(self) -> None:
        """A set, a rack and a worn die are three lines; what is not understood stays to be put right."""
        page = self.page
        page.goto("/shop")
        expect(page.get_by_text("Your shop is empty")).to_be_visible()
        form = page.get_by_role("form", name="Find or add")
        lines = form.get_by_role("textbox")
        type_into(lines, "M5-M8 dies\n1-8 x 0.5 drills, stand\n1/2 BSW die 1 x 3/8 worn, British box\nhammer")
        expect(form.get_by_role("alert")).to_contain_text("Say what it is: a die, a tap, a drill")
        form.get_by_role("checkbox", name="M5 split die").uncheck()
        form.get_by_role("button", name="Add 18 items to the shop").click()
        expect(lines).to_have_value("hammer")
        expect(page.get_by_role("region", name="Metric coarse dies").get_by_role("button")).to_have_count(2)
        expect(page.get_by_role("region", name="stand").get_by_role("button", name="mm drill")).to_have_count(15)
        chart = page.get_by_role("article", name="Threads I can cut")
        chart.get_by_role("button", name="Whitworth").click()
        expect(chart.get_by_role("listitem").filter(has_text="1/2 BSW")).to_contain_text("die")
        page.goto("/threads?q=M6")
        serves = page.get_by_role("region", name="In your shop")
        expect(serves).to_contain_text("M6 split die")
        expect(serves).to_contain_text("drill 5 mm")
        expect(serves).to_contain_text("no tap")


class FromFiles(BrowserCase):
    empty: ClassVar[bool] = True

    def test_a_table_with_two_bad_lines(self) -> None:
        """The good row goes in when one says so; the bad ones are told by line and column, and stay in sight."""
        page = self.page
        page.goto("/shop")
        table = "kind,thread,across,thick\ndie,M5,20 mm,7 mm\ndie,M6,9 mm,20 mm\ndie,M77,,\n"
        page.get_by_label("Shop file").set_input_files(
            {"name": "dies.csv", "mimeType": "text/csv", "buffer": table.encode()}
        )
        form = page.get_by_role("form", name="Items in dies.csv")
        expect(form).to_contain_text("Line 3, thick: A die is never thicker than its diameter")
        expect(form).to_contain_text("Line 4, thread")
        expect(page.get_by_text("Your shop is empty")).to_be_visible()
        form.get_by_role("button", name="Add 1 item to the shop").click()
        expect(page.get_by_role("button", name="M5 split die, 20 mm × 7 mm")).to_be_visible()
        expect(form).to_contain_text("Line 4, thread")

    def test_what_the_browser_remembers_moves_over_once(self) -> None:
        page = self.page
        page.goto("/shop")
        page.evaluate("localStorage.setItem('conch.drills', JSON.stringify('letter, 8.5 mm'))")
        page.reload()
        expect(page.get_by_role("note")).to_contain_text("letter drills, 8.5 mm drills")
        page.get_by_role("button", name="Add them to the shop").click()
        page.get_by_role("button", name="Add 27 items to the shop").click()
        expect(page.get_by_role("button", name="8.5 mm drill", exact=True)).to_be_visible()
        # The shop shows what another page would see, too; here it is done when the lines are gone.
        expect(page.get_by_role("textbox", name="Find, or type what you own: one line for each")).to_have_value("")
        page.reload()
        expect(page.get_by_role("button", name="8.5 mm drill", exact=True)).to_be_visible()
        expect(page.get_by_role("note")).to_have_count(0)
        self.the_lathe_of_the_last_job_moves_over()

    def test_words_that_are_left_over_are_asked_about(self) -> None:
        """Nothing was made of "yellow": by a press it is a note, and the line is as good as the others."""
        page = self.page
        page.goto("/shop")
        lines = page.get_by_role("textbox", name="Find, or type what you own: one line for each")
        type_into(lines, "M6 yellow tap; ER16 collet 6 mm")
        asked = page.get_by_role("alert").filter(has_text="yellow")
        expect(asked).to_contain_text("the place it lies in, a note on it, or nothing")
        asked.get_by_role("button", name="It is a note").click()
        expect(asked).to_have_count(0)
        page.get_by_role("button", name="Add 2 items to the shop").click()
        expect(lines).to_have_value("")
        kit = page.request.get("/api/kit").text()
        self.assertIn('"notes":"yellow"', kit.replace(": ", ":"))

    def the_lathe_of_the_last_job_moves_over(self) -> None:
        """What the browser knows of a lathe from its last job, where the shop has none."""
        page = self.page
        said = "{unit: 'in', method: {}, setup: {dial: 'radius', lathe: 'light'}}"
        page.evaluate(f"localStorage.setItem('conch.habits.in', JSON.stringify({said}))")
        page.reload()
        expect(page.get_by_role("note")).to_contain_text("radius dial, light")
        page.get_by_role("button", name="Add it to the shop").click()
        expect(page.get_by_role("note")).to_have_count(0)
        page.get_by_role("button", name="My lathe").click()
        expect(page.get_by_role("article", name="My lathe")).to_contain_text("radius dial")


class Shop(BrowserCase):
    def test_a_die_is_changed_taken_out_and_put_back(self) -> None:
        page = self.page
        page.goto("/shop")
        type_into(page.get_by_role("textbox", name="Find, or type what you own: one line for each"), "metric box M8")
        expect(page.get_by_role("region", name="British box")).to_have_count(0)
        page.get_by_role("button", name="M8 split die", exact=True).click()
        die = page.get_by_role("article", name="M8 split die")
        across = die.get_by_role("textbox", name="Outside diameter")
        type_into(across, "7 mm")
        across.press("Enter")
        expect(die.get_by_role("alert")).to_contain_text("A die's diameter")
        expect(across).to_have_value("7 mm")
        type_into(across, "25 mm")
        across.press("Enter")
        die = page.get_by_role("article", name="M8 split die, 25 mm")
        expect(die).to_be_visible()
        self.choose("Condition", "on loan")
        expect(page.get_by_role("button", name="M8 split die, 25 mm, on loan")).to_be_visible()
        die.get_by_role("button", name="Remove from the shop").click()
        expect(page.get_by_role("button", name="M8 split die, 25 mm, on loan")).to_have_count(0)
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("button", name="M8 split die, 25 mm, on loan")).to_be_visible()

    def test_one_field_finds_and_adds_on_one_screen(self) -> None:
        """All that the demo owns is in sight; words that name some of it narrow that, others say what is new."""
        page = self.page
        page.goto("/shop")
        british = page.get_by_role("region", name="British box")
        expect(british.get_by_role("button")).to_have_count(15)
        expect(page.get_by_role("region", name="lamp room")).to_be_visible()
        self.drawn()
        self.assertLessEqual(page.evaluate("document.documentElement.scrollHeight"), 800)
        field = page.get_by_role("textbox", name="Find, or type what you own: one line for each")
        type_into(field, "brass bar")
        expect(page.locator(".drawer")).to_have_count(1)
        expect(page.get_by_role("region", name="bar rack").get_by_role("button", name="brass bar")).to_have_count(5)
        expect(page.get_by_role("alert")).to_have_count(0)
        type_into(field, "M3-M5 dies carbon")
        expect(page.get_by_role("button", name="Add 3 items to the shop")).to_be_visible()
        expect(british).to_be_visible()

    def test_what_a_die_did_stands_before_what_is_known_of_it(self) -> None:
        page = self.page
        page.goto("/shop")
        page.get_by_role("button", name="1/2 BSW split die").click()
        die = page.get_by_role("article", name="1/2 BSW split die")
        expect(die.get_by_role("img", name="Pitch diameter of 1/2 BSW")).to_be_visible()
        # Where to set it next is the largest figure, with its chance; what holds it is told.
        expect(die.get_by_text("closed 1/4 turn", exact=True)).to_be_visible()
        chance = die.get_by_title("Show how in its class is worked out")
        working = die.get_by_role("region", name="How in its class is worked out")
        expect(working).to_be_hidden()
        chance.click()
        expect(working).to_contain_text("Source")
        serves = die.get_by_role("region", name="In your shop")
        expect(serves).to_contain_text("fits the die stock, 1 in")
        expect(serves).not_to_contain_text("split die")
        known = die.get_by_role("textbox", name="Outside diameter")
        expect(known).to_be_hidden()
        die.get_by_text("What is known of it").click()
        expect(known).to_be_visible()
        page.get_by_role("button", name="M3 split die").click()
        expect(page.get_by_role("article").get_by_role("textbox", name="Outside diameter")).to_be_visible()

    def test_a_job_finds_its_holder_missing_and_takes_the_stand_in(self) -> None:
        """A 1 in die, its holder lent, the others too small: the die stock takes it."""
        page = self.page
        page.goto("/shop")
        page.get_by_role("button", name="holder shelf", exact=True).click()
        page.get_by_role("button", name="tailstock die holder, 1 in, 3MT", exact=True).click()
        self.choose("Condition", "on loan")
        expect(page.get_by_role("button", name="tailstock die holder, 1 in, 3MT, on loan")).to_be_visible()
        typed = {"Name of the job": "Studs", "Thread": "3/8-16", "How many": "2", "Bar diameter, in": "5/8"}
        self.start_job("thread at one end", {**typed, "Thread length, in": "1", "Overall length, in": "2"})
        tools = page.get_by_role("region", name="Tools and stock", exact=True)
        expect(tools).to_contain_text("missing: holder for the 3/8-16 UNC die")
        tools.get_by_role("button", name="Tools and stock", exact=True).click()
        expect(tools).to_contain_text("a 1 in die does not fit a 25 mm pocket")
        page.get_by_role("button", name=TO_THE_BENCH).click()
        missing = page.get_by_role("region", name="Not in the shop")
        missing.get_by_role("button", name="Use instead").click()
        expect(missing).to_contain_text("die stock, 1 in")
        page.go_back()
        tools.get_by_role("button", name="Tools and stock", exact=True).click()
        tools.get_by_role("button", name="Use this").first.click()
        expect(tools.get_by_role("link", name="die stock, 1 in")).to_be_visible()
        expect(page.get_by_role("region", name="Process", exact=True)).to_contain_text(
            "die stock against the tailstock"
        )
