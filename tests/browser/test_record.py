"""A record that stays true, on the screen: changed parts, other tablets, lost answers, jobs put away or spoilt."""

from __future__ import annotations

import json
import sqlite3
from contextlib import closing

from playwright.sync_api import APIResponse, Page, Route, expect

from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into

STUDS = "Levelling studs, lamp carriage"
PINS = "Shutter pivot screws"


class Record(BrowserCase):
    """On the demo's levelling studs: piece 3, three readings on the way to a blank of 0.4933."""

    def bench(self, page: Page | None = None) -> Page:
        page = page or self.page
        page.goto("/jobs/2/bench")
        expect(page.get_by_role("textbox", name="New reading")).to_be_visible()
        return page

    def rethread(self, thread: str) -> None:
        """Name another thread on the plan, and go to the bench: it waits until the change is stored."""
        self.page.goto("/jobs/2")
        field = self.field("Section 1, thread")
        type_into(field, thread)
        field.press("Enter")
        self.page.get_by_role("button", name=TO_THE_BENCH).click()

    def test_a_reading_that_no_longer_counts_is_told(self) -> None:
        """Another thread is cut on the studs: what was measured for the old blank is told, and stands in no way."""
        page = self.bench()
        expect(page.get_by_role("table")).to_contain_text("0.5132")
        self.rethread("7/16 BSW")
        told = page.get_by_role("status").filter(has_text="measure again")
        expect(told).to_contain_text("0.5132 was measured for a target of 0.4933; the target is now")
        expect(page.get_by_role("table")).to_have_count(0)
        self.rethread("1/2 BSW")
        expect(page.get_by_role("table")).to_contain_text("0.5132")
        expect(told).to_have_count(0)

    def test_what_was_read_before_an_act_does_not_undo_it_on_the_screen(self) -> None:
        """The bench is looked at again, and before that answer is here a reading is told: the older one is dropped."""
        page = self.bench()
        late: list[tuple[Route, APIResponse]] = []
        page.route("**/api/jobs/2/bench", lambda route: late.append((route, route.fetch())))
        with page.expect_request("**/api/jobs/2/bench"):
            page.evaluate("() => window.dispatchEvent(new Event('focus'))")
        field = page.get_by_role("textbox", name="New reading")
        type_into(field, "0.5050")
        field.press("Enter")
        expect(page.get_by_role("table")).to_contain_text("0.5050")
        for route, older in late:
            route.fulfill(response=older)
        page.get_by_role("button", name="note n").click()
        expect(page.get_by_label("Note")).to_be_visible()
        expect(page.get_by_role("table")).to_contain_text("0.5050")

    def test_what_is_typed_while_a_reading_is_on_its_way_stays(self) -> None:
        """A quick hand types the next reading before the answer is here: that clears its own reading alone."""
        page = self.bench()
        held: list[Route] = []
        page.route("**/entries", lambda route: held.append(route))
        field = page.get_by_role("textbox", name="New reading")
        type_into(field, "0.5050")
        with page.expect_request("**/entries"):
            field.press("Enter")
        type_into(field, "0.4991")
        with self.answered("**/entries"):
            held[0].continue_()
        expect(page.get_by_role("table")).to_contain_text("0.5050")
        expect(field).to_have_value("0.4991")
        page.unroute("**/entries")
        with self.answered("**/entries"):
            field.press("Enter")
        expect(field).to_have_value("")
        for _ in (1, 2):
            with self.answered("**/undo"):
                page.get_by_role("button", name="undo z").click()

    def test_a_second_tab_learns_of_the_change_when_it_is_looked_at(self) -> None:
        """The other tablet adds a note; this one is looked at again, and goes on without a word of conflict."""
        first, other = self.bench(), self.bench(self.new_page())
        other.get_by_role("button", name="note n").click()
        type_into(other.get_by_label("Note"), "from the other tablet")
        other.get_by_role("button", name="Save the note").click()
        expect(other.get_by_label("Note")).to_have_count(0)
        with first.expect_response("**/bench"):
            first.evaluate("() => window.dispatchEvent(new Event('focus'))")
        field = first.get_by_role("textbox", name="New reading")
        type_into(field, "0.5050")
        field.press("Enter")
        expect(first.get_by_role("table")).to_contain_text("0.5050")
        expect(first.get_by_role("alert")).to_have_count(0)
        for _ in (1, 2):
            with self.answered("**/undo", first):
                first.get_by_role("button", name="undo z").click()

    def test_an_answer_that_is_lost_is_no_second_reading(self) -> None:
        """The server stores the reading, its answer never comes; sent again by the device, it is there once."""
        page = self.bench()
        lost, stored = [True], list[object]()

        def lose(route: Route) -> None:
            """No answer arrives for as long as they are lost; the first of them was stored all the same."""
            if not lost:
                route.fallback()
                return
            if not stored:
                stored.append(route.fetch())
            route.abort()

        page.route("**/entries", lose)
        field = page.get_by_role("textbox", name="New reading")
        type_into(field, "0.5011")
        field.press("Enter")
        expect(page.get_by_role("region", name="Not sent yet")).to_contain_text("1 record is saved")
        lost.clear()
        expect(page.get_by_role("region", name="Not sent yet")).to_have_count(0)
        expect(page.get_by_role("cell", name="0.5011")).to_have_count(1)
        page.get_by_role("button", name="undo z").click()
        expect(page.get_by_role("cell", name="0.5011")).to_have_count(0)


class Shelves(BrowserCase):
    def row(self, title: str = PINS) -> None:
        expect(self.page.get_by_role("article").filter(has_text=title)).to_be_visible()

    def gone(self, title: str = PINS) -> None:
        expect(self.page.get_by_role("article").first).to_be_visible()
        expect(self.page.get_by_role("article").filter(has_text=title)).to_have_count(0)

    def test_put_away_and_taken_out(self) -> None:
        page = self.page
        page.goto("/")
        page.get_by_role("link", name=PINS).click()
        self.open_papers()
        page.get_by_role("button", name="Archive the job").click()
        expect(page.get_by_role("status").filter(has_text=f"Archived: {PINS}")).to_be_visible()
        self.gone()
        page.get_by_role("button", name="Archive 1").click()
        self.row()
        page.get_by_role("button", name="Restore").click()
        expect(page.get_by_text("No archived jobs")).to_be_visible()
        page.get_by_role("button", name="Current").click()
        self.row()

    def test_deleted_and_undone(self) -> None:
        page = self.page
        page.goto("/")
        page.get_by_role("link", name=PINS).click()
        page.get_by_role("button", name="Delete").click()
        expect(page.get_by_role("status").filter(has_text=f"Deleted: {PINS}")).to_be_visible()
        self.gone()
        page.get_by_role("button", name="Undo").click()
        self.row()
        expect(page.get_by_role("button", name="Undo")).to_have_count(0)

    def test_a_job_nobody_can_read_is_told_and_mended(self) -> None:
        """As a stricter version would find it: a metal that is no longer known. Its file, put right, mends it."""
        self.server.stop()
        with closing(sqlite3.connect(self.server.data / "conch.sqlite3")) as store:
            count = "SELECT count(*) FROM jobs_entry JOIN jobs_job ON job_id = jobs_job.id WHERE jobs_job.title = ?"
            [recorded] = store.execute(count, (STUDS,)).fetchone()
            spoilt = "json_set(document, '$.material', 'unobtainium')"
            store.execute(f"UPDATE jobs_job SET document = {spoilt} WHERE title = ?", (STUDS,))
            store.execute("UPDATE jobs_standingrow SET rules = ''")
            store.commit()
        self.server.start()
        page = self.page
        page.goto("/")
        row = page.get_by_role("article").filter(has_text=STUDS)
        expect(row).to_contain_text("cannot be opened")
        expect(row).to_contain_text("material: Choose one of")
        self.row()
        row.get_by_role("link", name="See why").click()
        told = page.get_by_role("region", name="This job cannot be opened")
        expect(told).to_contain_text("cannot open this job")
        with page.expect_download() as download:
            told.get_by_role("link", name="Save the job file").click()
        file = json.loads(download.value.path().read_text())
        self.assertEqual((file["material"], len(file["record"]["entries"])), ("unobtainium", recorded))

        def mend(material: str) -> None:
            content = json.dumps(file | {"material": material}).encode()
            told.get_by_label("Corrected job file").set_input_files(
                {"name": "mended.json", "mimeType": "application/json", "buffer": content}
            )

        mend("wood")
        expect(told.get_by_role("alert")).to_contain_text("Choose one of")
        mend("free-cutting-steel")
        expect(page.get_by_role("button", name=TO_THE_BENCH)).to_be_visible()
        page.get_by_role("button", name=TO_THE_BENCH).click()
        expect(page.get_by_role("table")).to_contain_text("0.5132")
