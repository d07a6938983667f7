"""A batch of studs, the whole job as a person makes it: plan, bench, a die adjusted, a restart in the middle, log."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into
from tests.long import draws

PIECES = draws(4, 6)


class SixStuds(BrowserCase):
    """From an empty store to a closed job in the log."""

    empty = True

    def test_from_thread_to_log(self) -> None:
        self.start_the_job()
        self.read_the_plan()
        self.page.get_by_role("button", name=TO_THE_BENCH).click()
        self.make_first_piece()
        self.make_plain_piece(2)
        self.lose_the_server_in_the_middle()
        for piece in range(4, PIECES + 1):
            self.make_plain_piece(piece)
        self.close_and_find_it()

    def start_the_job(self) -> None:
        self.start_job(
            "thread at one end",
            {
                "Name of the job": "Levelling studs",
                "Thread": "3/8-16",
                "How many": f"{PIECES}",
                "Bar diameter, in": "1/2",
                "Thread length, in": "1.25",
                "Overall length, in": "2-1/2",
            },
        )

    def read_the_plan(self) -> None:
        """0.375 less a tenth of the pitch 0.0625 is 0.36875: 0.3688 to four decimals, halves up."""
        page = self.page
        detail = page.get_by_role("region", name="Turn the thread blank")
        expect(detail).to_contain_text("Turn to 0.3688 in over 1.438 in")
        detail.get_by_role("button", name="0.3688").click()
        working = page.get_by_role("region", name="How blank diameter is worked out")
        expect(working).to_contain_text("nominal major − fraction × pitch")
        expect(working).to_contain_text("0.3750")
        expect(working).to_contain_text("middle of the class limits")
        # Five diameters are sawn, unless somebody says why not.
        expect(page.get_by_role("button", name="Saw the blank")).to_be_visible()
        self.open_facts("Process")
        reason = page.get_by_role("textbox", name="Reason for this workholding")
        type_into(reason, "six from one bar")
        reason.press("Enter")
        expect(page.get_by_text("parted off the bar anyway: six from one bar")).to_be_visible()
        page.get_by_role("button", name="Part off").click()
        # Parting a 2.5 in piece with a 3/32 in blade: the left edge stands at 2.5 + 0.09375.
        expect(page.get_by_role("region", name="Part off")).to_contain_text("Z −2.5938 in")

    def press(self, name: str) -> None:
        self.page.get_by_role("button", name=name, exact=True).click()

    def at_step(self, words: str) -> None:
        expect(self.page.get_by_role("heading", level=1)).to_contain_text(words)

    def read(self, value: str) -> None:
        field = self.page.get_by_role("textbox", name="New reading")
        type_into(field, value)
        field.press("Enter")
        expect(self.page.get_by_role("table")).to_contain_text(value)
        expect(field).to_have_value("")

    def touch_off(self) -> None:
        """A tool that was changed finds its zero once; it stands for the pieces that follow."""
        expect(self.page.locator(".first").get_by_text("touch off the left edge")).to_be_visible()
        self.page.get_by_role(
            "button", name=re.compile(r"^(Tool touched off|Touched off\. The zero stays good\.)$")
        ).click()
        expect(self.page.locator(".first").get_by_text("touch off the left edge")).to_have_count(0)

    def up_to_the_nut(self, *readings: str, first: bool = False) -> None:
        self.at_step("face the end")
        self.press("Done")
        self.at_step("Turn to 0.3688 in")
        for value in readings:
            self.read(value)
        expect(self.page.get_by_text("On size")).to_be_visible()
        self.press("Done")
        self.at_step("Plunge the relief groove")
        if first:
            self.touch_off()
        self.press("Done")
        self.at_step("Chamfer the end")
        self.press("Done")
        self.at_step("Run the die on")
        if first:
            self.set_the_die()
        self.press("Done")
        self.at_step("Clean the thread")

    def set_the_die(self) -> None:
        """A die that nobody knows is set to touch; where it stands is said."""
        die = self.page.get_by_role("region", name="Die setting")
        expect(die).to_contain_text("no record of this die yet")
        die.get_by_role("button", name="Set as shown").click()
        expect(die).to_contain_text("Setting of the die: with the screw just touching")
        self.page.get_by_role("button", name="Undo").or_(self.page.get_by_role("button", name="undo z")).click()
        type_into(die.get_by_role("textbox", name="Setting of the die, × 1/8 turn"), "0.5")
        self.page.keyboard.press("Enter")
        expect(die).to_contain_text("Setting of the die: opened 1/16 turn")

    def it_was_swarf(self) -> None:
        """A nut that binds for swarf is not cured by the die: it stays as it is, and the nut is tried again."""
        why = self.page.get_by_role("region", name="Check before moving the die")
        expect(why).to_contain_text("1 of 6 before you adjust the die: chips")
        self.press("No, next check")
        expect(why).to_contain_text("2 of 6 before you adjust the die: last turns")
        self.page.keyboard.press("Enter")
        expect(why).to_contain_text("3 of 6")
        self.page.reload()
        why.get_by_role("button", name="Yes, that was the cause").click()
        expect(self.page.get_by_role("status")).to_contain_text("It was chips: leave the die as it is")
        expect(self.page.get_by_role("button", name="Die adjusted")).to_have_count(0)

    def make_first_piece(self) -> None:
        page = self.page
        self.at_step("face the end")
        expect(page.get_by_text(f"piece 1 of {PIECES}")).to_be_visible()
        self.up_to_the_nut("0.5000", "0.3686", first=True)
        page.get_by_role("button", name="starts, then binds").click()
        self.it_was_swarf()
        page.get_by_role("button", name="starts, then binds").click()
        page.get_by_role("button", name="None of these: adjust the die").click()
        expect(page.get_by_role("status")).to_contain_text("Close the die: slacken the middle screw")
        self.press("Die adjusted")
        expect(page.get_by_role("status")).to_contain_text("The die has been adjusted. Run it on again")
        page.get_by_role("button", name="snug, turns by hand, no play").click()
        self.press("Done")
        self.part_off(first=True)
        expect(page.get_by_text(f"piece 2 of {PIECES}")).to_be_visible()

    def make_plain_piece(self, number: int) -> None:
        expect(self.page.get_by_text(f"piece {number} of {PIECES}")).to_be_visible()
        self.up_to_the_nut("0.5001", "0.3687")
        self.finish_piece()

    def finish_piece(self) -> None:
        self.page.get_by_role("button", name="snug, turns by hand, no play").click()
        self.press("Done")
        self.part_off()

    def part_off(self, *, first: bool = False) -> None:
        self.at_step("Pull the bar out until 2.830 in sticks out")
        self.press("Done")
        self.at_step("until the core is 0.250 in")
        if first:
            self.touch_off()
        self.press("Done")
        self.at_step("Chamfer the far edge")
        self.press("Done")
        self.at_step("Part off")
        self.press("Piece done")

    def lose_the_server_in_the_middle(self) -> None:
        """The server dies while a reading is typed: it waits on the device, and a restart finds everything recorded."""
        page = self.page
        self.at_step("face the end")
        self.press("Done")
        self.read("0.5002")
        self.server.stop()
        field = page.get_by_role("textbox", name="New reading")
        type_into(field, "0.4404")
        field.press("Enter")
        waits = page.get_by_role("region", name="Not sent yet")
        expect(waits).to_contain_text("1 record is saved")
        self.server.start()
        expect(waits).to_have_count(0)
        expect(page.get_by_role("table")).to_contain_text("0.4404")
        address = page.url
        page.close()
        self.page = self.new_page()
        self.page.goto(address)
        expect(self.page.get_by_text(f"piece 3 of {PIECES}")).to_be_visible()
        expect(self.page.get_by_role("table")).to_contain_text("0.5002")
        expect(self.page.get_by_role("table")).to_contain_text("0.4404")
        self.read("0.3688")
        self.press("Done")
        for words in ("Plunge the relief groove", "Chamfer the end", "Run the die on"):
            self.at_step(words)
            self.press("Done")
        self.at_step("Clean the thread")
        self.finish_piece()

    def close_and_find_it(self) -> None:
        page = self.page
        expect(page.get_by_text(f"{PIECES} of {PIECES} pieces made")).to_be_visible()
        self.press("Close the job")
        expect(page).to_have_title(re.compile(", plan · Conch$"))
        expect(page.get_by_text("Closed: all pieces made and gauged")).to_be_visible()
        page.get_by_role("link", name="Log").click()
        type_into(page.get_by_role("textbox", name="Search jobs, threads, notes, results"), "levelling close")
        jobs = page.get_by_role("list", name="Closed jobs (1)")
        expect(jobs).to_contain_text("Levelling studs")
        expect(jobs).to_contain_text(f"{PIECES} of {PIECES}")
        expect(jobs).to_contain_text("die closed")
        entries = page.get_by_role("region", name="Die settings and problems")
        expect(entries.get_by_role("row")).to_have_count(3)  # the heading row, the day and the job, the one setting
        expect(entries).to_contain_text(re.compile(r"close .*turn"))
        self.choose("Show", "everything")
        type_into(page.get_by_role("textbox", name="Search jobs, threads, notes, results"), "0.4404")
        entries = page.get_by_role("region", name="All records")
        expect(entries).to_contain_text("0.4404 in")
