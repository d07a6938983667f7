"""The plan page: edited in place, every figure following, nothing typed ever lost."""

from __future__ import annotations

import re

from playwright.sync_api import Route, expect

from tests.browser.base import BrowserCase, type_into

#: Every answer of the server comes half a second late.
LATE_ANSWERS = """
const now = window.fetch
window.fetch = async (...asked) => {
  const answer = await now(...asked)
  await new Promise((done) => setTimeout(done, 500))
  return answer
}
"""
#: The words of choices and what the shop owns come long after all else.
LATE_WORDS = """
const now = window.fetch
window.fetch = async (...asked) => {
  const answer = await now(...asked)
  if (/api[/](choices|kit)$/.test(answer.url)) await new Promise((done) => setTimeout(done, 2000))
  return answer
}
"""


class PlanPage(BrowserCase):
    """On the demo's governor screws (M8x1, millimetres) and levelling studs."""

    def open(self, title: str) -> None:
        self.page.goto("/")
        self.page.get_by_role("link", name=title).click()
        expect(self.page.get_by_role("textbox", name="Job title")).to_have_value(title)

    def test_every_figure_tells_its_working_while_one_types(self) -> None:
        """The plan of a keystroke holds the working of one step; that of another is fetched when it is chosen."""
        page = self.page
        page.goto("/jobs/2")
        self.field("Section 1, length").press_sequentially("0")
        page.get_by_role("button", name="Relief groove").first.click()
        detail = page.get_by_role("region", name="Relief groove")
        detail.get_by_title("Show how groove diameter is worked out").click()
        expect(detail).to_contain_text("minor − 2 × clearance × pitch")

    def test_a_plan_is_on_one_screen(self) -> None:
        """At 1280 x 800: the page is not scrolled; steps, drawing, and the caution of the step in hand are in sight."""
        page = self.page
        for job in (2, 7, 8, 10):
            with self.subTest(job=job):
                page.goto(f"/jobs/{job}")
                step = page.get_by_role("list").locator("[aria-current=step]")
                expect(step).to_be_in_viewport(ratio=1)
                expect(page.get_by_role("group", name="the part in the chuck")).to_be_in_viewport(ratio=1)
                title = step.locator(".title").inner_text()
                detail = page.get_by_role("region", name=title, exact=True)
                expect(detail.get_by_role("heading")).to_be_in_viewport(ratio=1)
                expect(detail.locator(".cautions")).to_be_in_viewport(ratio=1)
                self.assertLessEqual(page.evaluate("document.documentElement.scrollHeight"), 800)

    def test_a_changed_length_changes_the_drawing_and_the_steps(self) -> None:
        self.open("Governor adjusting screws")
        self.page.get_by_role("button", name="mm", exact=True).click()
        self.page.get_by_role("button", name="Part off").click()
        detail = self.page.get_by_role("region", name="Part off")
        expect(detail).to_contain_text("Z −40.50 mm")
        type_into(self.field("Overall length"), "45")
        expect(detail).to_contain_text("Z −47.50 mm")
        expect(self.page.get_by_role("button", name="Change 45.00")).to_be_visible()

    def test_a_dimension_is_typed_over_on_the_drawing(self) -> None:
        self.open("Governor adjusting screws")
        self.page.get_by_role("button", name="mm", exact=True).click()
        self.page.get_by_role("button", name="Change 18.00").click()
        over = self.page.get_by_role("textbox", name="New value")
        type_into(over, "20")
        over.press("Enter")
        expect(self.field("Section 1, length")).to_have_value("20")
        self.page.reload()
        expect(self.field("Section 1, length")).to_have_value("20")

    def test_choosing_metal_on_the_drawing_chooses_the_step(self) -> None:
        self.open("Levelling studs, lamp carriage")
        band = self.page.locator("path.removal").nth(2).bounding_box()
        assert band is not None
        self.page.mouse.click(band["x"] + band["width"] * 0.8, band["y"] + 3)
        expect(self.page.locator("[aria-current=step]")).to_contain_text("Relief groove")

    def test_keys_walk_the_steps(self) -> None:
        self.open("Levelling studs, lamp carriage")
        self.page.keyboard.press("j")
        expect(self.page.locator("[aria-current=step]")).to_contain_text("Relief groove")
        self.page.keyboard.press("k")
        expect(self.page.locator("[aria-current=step]")).to_contain_text("Turn the thread blank")
        self.page.keyboard.press("b")
        expect(self.page).to_have_title(re.compile(", bench · Conch$"))

    def test_bad_input_is_told_beside_the_field_and_kept(self) -> None:
        """The commonest slips, each answered where it was typed; the stored job stays as it was."""
        self.open("Cover screws, generator terminal box")
        for typed, told in (
            ("0", "A length must be from"),
            ("-1", "is not a length"),
            ("1/0", "divides by zero"),
            ("nan", "is not a length"),
            ("9" * 30, "is not a length"),
            ("28", "Did you mean 28 mm"),
            ("<script>alert(1)</script>", "is not a length"),
            ("", "Type a length"),
        ):
            with self.subTest(typed=typed):
                field = self.field("Overall length")
                type_into(field, typed)
                alert = self.page.get_by_role("alert").filter(has_text=told)
                expect(alert).to_be_visible()
                expect(field).to_have_value(typed)
        self.page.reload()
        self.page.get_by_role("button", name="Pull the bar out").click()
        expect(self.page.get_by_role("button", name="Change 1.125")).to_be_visible()

    def test_an_offered_choice_mends_the_field(self) -> None:
        self.open("Cover screws, generator terminal box")
        type_into(self.field("Section 1, thread"), "10 whitworth")
        type_into(self.field("Section 1, thread"), "M5x0.7")
        alert = self.page.get_by_role("alert").filter(has_text="has the standard pitches")
        alert.get_by_role("button", name="M5x0.5").click()
        expect(self.field("Section 1, thread")).to_have_value("M5x0.5")
        expect(self.page.get_by_role("alert")).to_have_count(0)
        type_into(self.field("Section 1, thread"), "10-32")
        self.field("Section 1, thread").press("Enter")
        expect(self.page.get_by_role("button", name="Change #10-32 UNF")).to_be_visible()

    def test_a_failed_save_loses_nothing(self) -> None:
        """The store is out of reach: what was typed stays, also over a reload, and can be stored again."""

        def refuse(route: Route) -> None:
            route.abort() if route.request.method == "PUT" else route.continue_()

        self.open("Shutter pivot screws")
        self.page.route("**/api/jobs/*", refuse)
        type_into(self.field("Job title"), "Shutter pivot screws, north side")
        self.field("Job title").press("Enter")
        expect(self.page.get_by_role("alert").filter(has_text="Conch does not answer")).to_be_visible()
        expect(self.field("Job title")).to_have_value("Shutter pivot screws, north side")
        self.page.reload()
        expect(self.field("Job title")).to_have_value("Shutter pivot screws, north side")
        self.page.unroute("**/api/jobs/*", refuse)
        self.page.get_by_role("button", name="Save again").click()
        expect(self.page.get_by_role("alert")).to_have_count(0)
        type_into(self.field("Job title"), "Shutter pivot screws")
        self.field("Job title").press("Enter")
        expect(self.page.get_by_role("status")).to_have_text("stored")

    def test_script_in_a_name_stays_text(self) -> None:
        name = "<img src=x onerror=alert(1)>"
        self.open("Blanking plugs, fog-signal air line")
        type_into(self.field("Job title"), name)
        self.field("Job title").press("Enter")
        expect(self.page.get_by_role("status")).to_have_text("stored")
        self.page.get_by_role("link", name="Jobs").click()
        expect(self.page.get_by_role("link", name=name)).to_be_visible()
        self.assertEqual(self.page.locator("img").count(), 0)
        self.page.get_by_role("link", name=name).click()
        type_into(self.field("Job title"), "Blanking plugs, fog-signal air line")
        self.field("Job title").press("Enter")
        expect(self.page.get_by_role("status")).to_have_text("stored")

    def test_pressure_work_carries_its_caution(self) -> None:
        self.open("Blanking plugs, fog-signal air line")
        expect(self.page.get_by_text("Ask the inspector or a licensed trade before you fit it").first).to_be_visible()
        expect(self.page.get_by_text("A pipe size is not a diameter: G1/4 measures 13.157 mm")).to_be_visible()

    def test_setting_aside_and_closing_ask_for_a_reason(self) -> None:
        self.open("Governor adjusting screws")
        self.open_papers()
        self.page.get_by_role("button", name="Put on hold").click()
        reason = self.page.get_by_label("What is the job waiting for?")
        reason.press("Enter")
        expect(self.page.get_by_text("Give a reason in a few words.")).to_be_visible()
        type_into(reason, "the 10 mm reamer")
        reason.press("Enter")
        expect(self.page.get_by_text("waiting for the 10 mm reamer")).to_be_visible()
        self.page.get_by_role("button", name="Release").click()
        # The words of what it waited for go, and what stands beside them moves.
        expect(self.page.get_by_role("button", name="Put on hold")).to_be_visible()
        self.page.get_by_role("button", name="Close the job").click()
        expect(self.page.get_by_text("no piece was gauged")).to_be_visible()

    def test_nothing_moves_under_a_hand_once_the_page_is_shown(self) -> None:
        """The words of its sentences come late, and the page with them: what is pressed stands where it was aimed."""
        page = self.page
        page.add_init_script(LATE_WORDS)
        with page.expect_response("**/api/choices"), page.expect_response("**/api/kit"):
            page.goto("/jobs/2")
        aside = page.get_by_role("button", name="Papers")
        expect(aside).to_be_visible()
        page.evaluate("document.fonts.ready")
        shown = aside.bounding_box()
        page.wait_for_timeout(2500)
        self.assertEqual(aside.bounding_box(), shown)

    def test_acts_on_a_job_take_their_turn_after_what_is_still_under_way(self) -> None:
        """Answers come late: a field still being stored, a job still being taken up, are no change made elsewhere."""
        page = self.page
        page.add_init_script(LATE_ANSWERS)
        self.open("Governor adjusting screws")
        self.open_facts("Use")
        type_into(self.field("Mating part"), "the governor's yoke")
        self.open_papers()
        page.get_by_role("button", name="Put on hold").click()
        type_into(page.get_by_label("What is the job waiting for?"), "the reamer")
        page.get_by_label("What is the job waiting for?").press("Enter")
        page.get_by_role("button", name="Release").click()
        page.get_by_role("button", name="Close the job").click()
        expect(page.get_by_text("no piece was gauged")).to_be_visible()
        self.assertEqual(page.get_by_text("changed this job").count(), 0)
        page.reload()
        self.open_facts("Use")
        expect(self.field("Mating part")).to_have_value("the governor's yoke")

    def test_files_are_offered_and_read_back(self) -> None:
        self.open("Terminal studs, fog-signal timer")
        self.open_papers()
        with self.page.expect_download() as waiting:
            self.page.get_by_role("link", name="Job file (JSON)").click()
        file = waiting.value.path()
        self.page.goto("/")
        self.page.get_by_label("Choose a job file").set_input_files(
            {"name": "again.json", "mimeType": "application/json", "buffer": file.read_bytes()}
        )
        expect(self.page).to_have_title(re.compile(", plan · Conch$"))
        expect(self.page.get_by_text("Closed: all pieces made and gauged")).to_be_visible()

    def test_changes_are_taken_back_and_made_again(self) -> None:
        """Thread length 1-1/2, then 1, then 3/4: z goes back one change at a time, Z forward again."""
        page = self.page
        page.goto("/jobs/5")
        over = self.field("Section 1, length")
        before = over.input_value()
        for value in ("20 mm", "18 mm"):
            type_into(over, value)
            over.press("Enter")
            expect(page.get_by_role("status")).to_have_text("stored")
        page.get_by_role("heading", level=1).click(position={"x": 2, "y": 2})
        page.get_by_role("button", name="Undo: section 1, length").click()
        expect(over).to_have_value("20 mm")
        page.keyboard.press("z")
        expect(over).to_have_value(before)
        page.keyboard.press("Z")
        expect(over).to_have_value("20 mm")
        expect(page.get_by_role("status")).to_have_text("stored")
        # What is typed and not stored goes first: it is what was seen last.
        self.page.route(
            "**/api/jobs/*", lambda route: route.abort() if route.request.method == "PUT" else route.continue_()
        )
        type_into(over, "16 mm")
        over.press("Enter")
        # Half of what is typed may have been refused a moment before.
        expect(page.get_by_role("alert").filter(has_text="Conch does not answer")).to_be_visible()
        page.get_by_role("button", name="Undo: section 1, length").click()
        expect(over).to_have_value("20 mm")
        expect(page.get_by_role("alert")).to_have_count(0)
        page.reload()
        expect(self.field("Section 1, length")).to_have_value("20 mm")

    def test_a_broken_file_changes_nothing_and_says_where(self) -> None:
        self.page.goto("/")
        expect(self.page.get_by_role("article").first).to_be_visible()
        before = self.page.get_by_role("article").count()
        for content, told in (
            (b"{not json", "bad.json is not a job file"),
            (b'{"format": "conch-job", "version": 1, "title": "x"}', "part.sections.0.thread"),
            (b"[1]", "A job file is a JSON object"),
        ):
            with self.subTest(told=told):
                self.page.get_by_label("Choose a job file").set_input_files(
                    {"name": "bad.json", "mimeType": "application/json", "buffer": content}
                )
                expect(self.page.get_by_role("alert")).to_contain_text(told)
        self.page.reload()
        expect(self.page.get_by_role("article").first).to_be_visible()
        self.assertEqual(self.page.get_by_role("article").count(), before)
