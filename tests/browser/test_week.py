"""The week on the page: hours, a day wanted, a job dragged and put back; what is wrong beside its field; a phone."""

from __future__ import annotations

import re

from playwright.sync_api import Page, expect

from tests.browser.base import BrowserCase, choose, type_into


class TheWeek(BrowserCase):
    """On the demo's week, whose people and days are said."""

    def open_week(self, page: Page | None = None) -> Page:
        page = page or self.page
        page.goto("/")
        page.get_by_role("link", name="This week").click()
        expect(page.get_by_role("heading", level=1, name="This week")).to_be_focused()
        expect(page.get_by_role("region", name="When each job is done").get_by_role("article").first).to_be_visible()
        return page

    def job(self, title: str, page: Page | None = None) -> None:
        """Open a job of the list."""
        listed = (page or self.page).get_by_role("region", name="When each job is done")
        listed.get_by_role("button", name=title, exact=True).click()

    def test_from_the_jobs_to_what_is_now(self) -> None:
        page = self.page
        page.goto("/")
        now = page.get_by_role("note", name="Now")
        expect(now).to_contain_text("Now:")
        job = now.get_by_role("link").first.inner_text()
        self.open_week()
        expect(page.get_by_role("region", name="Now")).to_contain_text(job)
        page.get_by_role("region", name="Now").get_by_role("link", name="Open the bench").click()
        expect(page).to_have_title(re.compile(f"{re.escape(job)}.*bench"))

    def test_each_job_shows_how_far_it_is(self) -> None:
        page = self.open_week()
        row = page.get_by_role("article").filter(has_text="Levelling studs, lamp carriage")
        made = row.get_by_role("img", name=re.compile(r"^(\d+) of \d+ steps done$"))
        expect(made).to_be_visible()
        label = made.get_attribute("aria-label") or ""
        page.get_by_role("link", name="Jobs").first.click()
        card = page.get_by_role("img", name=label, exact=True)
        expect(card).to_be_visible()

    def test_a_day_is_typed_as_one_says_it(self) -> None:
        page = self.open_week()
        self.job("Tie rods, shutter linkage")
        wanted = page.get_by_role("textbox", name="Wanted, Tie rods, shutter linkage")
        type_into(wanted, "31 Feb")
        wanted.press("Enter")
        expect(page.get_by_role("alert")).to_contain_text("There is no 31 February.")
        expect(wanted).to_have_value("31 Feb")
        # Beside its own job alone; and what was typed is still there.
        self.job("Drain plugs, oil tank")
        expect(page.get_by_role("alert")).to_have_count(0)
        self.job("Tie rods, shutter linkage")
        expect(wanted).to_have_value("31 Feb")
        page.locator(".takes").click()
        expect(page.get_by_role("region", name="How time left is worked out")).to_contain_text("pace here")
        type_into(wanted, "before the regatta, in 9 days")
        wanted.press("Enter")
        row = page.get_by_role("article").filter(has=wanted)
        expect(row).to_contain_text(re.compile(r"wanted \w+day \d+ \w+:"))
        expect(page.get_by_role("alert")).to_have_count(0)
        choose(page, "Weight, Tie rods, shutter linkage", "a machine is waiting for it")
        expect(page.get_by_role("region", name="Now")).to_be_visible()

    def test_the_order_by_hand(self) -> None:
        """Put earlier by a press, and left to Conch again."""
        page = self.open_week()
        turn = list(dict.fromkeys(one["title"] for one in page.request.get("/api/week").json()["bookings"]))
        self.job(turn[-1])
        with page.expect_response("**/api/week/before") as answer:
            page.get_by_role("button", name="Do it earlier").click()
        [moved] = [one for one in answer.value.json()["jobs"] if one["title"] == turn[-1]]
        self.assertTrue(moved["by_hand"]["after"])
        back = page.get_by_role("button", name="Leave the order to Conch")
        back.click()
        expect(back).to_have_count(0)

    def test_not_this_week_and_how_sure(self) -> None:
        """A job is put off by a press, its cost is said; the chance of a day opens its working."""
        page = self.open_week()
        self.job("Levelling studs, lamp carriage")
        chance = page.get_by_role("button", name=re.compile("sure|in time"))
        # Opened or not, one mark has one colour.
        marks = "marks => marks.map(mark => getComputedStyle(mark).color)"
        colours = page.locator(".job.is-sure .sure").evaluate_all(marks)
        self.assertGreater(len(colours), 1)
        self.assertEqual(len(set(colours)), 1)
        chance.click()
        expect(page.get_by_role("region", name="How chance in time is worked out")).to_contain_text("spread")
        with page.expect_response("**/api/week/jobs/*") as answer:
            page.get_by_role("button", name="Not this week").click()
        self.assertTrue(answer.value.json()["by_hand"])
        begins = page.get_by_role("textbox", name="Not before, Levelling studs, lamp carriage")
        expect(begins).to_have_value("Monday 7 December")
        why = page.get_by_role("region", name="Why this order")
        expect(why).to_contain_text("may not begin before Monday 7 December")
        expect(page.get_by_role("button", name="Not this week")).to_have_count(0)

    def test_two_pages_do_not_write_over_each_other(self) -> None:
        """What another page said meanwhile comes in, beside what is typed here; that is kept, and said again."""
        title = "Tie rods, shutter linkage"
        page = self.open_week()
        said: list[object] = []
        # It hears of nothing before it says something itself.
        page.on("request", lambda request: said.append(request) if request.method == "PUT" else None)
        page.route("**/api/week", lambda route: route.continue_() if said else route.abort())
        [job] = [one for one in page.request.get("/api/week").json()["jobs"] if one["title"] == title]
        # Of a weight that no other test gives it: what comes in is seen to come in.
        self.assertNotEqual(job["weight"], "nice")
        elsewhere = {"weight": "nice", "revision": job["revision"]}
        self.post(f"/api/week/jobs/{job['job']}", elsewhere, method="PUT")
        self.job(title)
        wanted = page.get_by_role("textbox", name=f"Wanted, {title}")
        type_into(wanted, "in 9 days")
        with page.expect_response("**/api/week/jobs/*") as answer:
            wanted.press("Enter")
        self.assertEqual(answer.value.status, 409)
        expect(page.get_by_role("alert").filter(has_text="Someone changed this after you opened it.")).to_be_visible()
        expect(wanted).to_have_value("in 9 days")
        expect(page.get_by_role("article").filter(has=wanted)).to_contain_text("nice to have")
        expect(wanted).to_have_value("in 9 days")
        with page.expect_response("**/api/week/jobs/*") as answer:
            wanted.press("Enter")
        self.assertEqual(answer.value.status, 200)

    def test_a_late_job_and_the_cutting_list(self) -> None:
        """Wanted tomorrow, after everything else: it is late, and what would help is said; each bar has its cuts."""
        page, title = self.open_week(), "Grease cups, lamp carriage rollers"
        self.job(title)
        wanted = page.get_by_role("textbox", name=f"Wanted, {title}")
        type_into(wanted, "tomorrow")
        with page.expect_response("**/api/week/jobs/*") as answer:
            wanted.press("Enter")
        [late] = [job for job in answer.value.json()["jobs"] if job["title"] == title]
        self.assertEqual(late["mark"], "late")
        row = page.get_by_role("article").filter(has=wanted)
        expect(row).to_contain_text("✗")
        for line in late["helps"]:
            expect(row).to_contain_text(line)
        cut = page.get_by_role("region", name="To cut")
        expect(cut.get_by_role("listitem").first).to_contain_text(re.compile(r": .+ left"))
        file = page.request.get("/api/week/cutting.csv").text()
        self.assertIn("bar_mm", file.splitlines()[0])
        self.assertIn("Levelling studs", file)

    def test_a_block_is_dragged(self) -> None:
        """In front of all the others: it is done before the one it was let go on."""
        page = self.open_week()
        chart = page.get_by_role("region", name="Order of work")
        told = page.request.get("/api/week").json()["bookings"]
        own = [one for one in told if one["person"] == told[0]["person"] and one["begin"] < 5 * 24 * 60]
        title = own[-1]["title"]
        self.assertNotEqual(title, own[0]["title"])
        block = chart.get_by_role("button", name=re.compile(f"^{re.escape(title)}")).last
        box = block.bounding_box()
        assert box is not None
        page.mouse.move(box["x"] + 12, box["y"] + 20)
        page.mouse.down()
        page.mouse.move(240, box["y"] + 20, steps=8)
        with page.expect_response("**/api/week/before") as answer:
            page.mouse.up()
        [moved] = [job for job in answer.value.json()["jobs"] if job["by_hand"]["after"]]
        self.assertEqual(moved["title"], title)
        self.job(moved["title"])
        expect(page.get_by_role("button", name="Leave the order to Conch")).to_be_visible()

    def test_hours_of_a_second_person(self) -> None:
        page = self.open_week()
        page.get_by_role("button", name="Change the hours").click()
        form = page.get_by_role("form", name="Hours in the shop")
        form.get_by_role("button", name="Add a person").click()
        third = form.get_by_role("group", name="Person 3")
        type_into(third.get_by_role("textbox", name="Name or role"), "volunteer")
        usual = third.get_by_role("textbox", name="Usual week")
        type_into(usual, "Sunday 14-9")
        form.get_by_role("button", name="Save the hours").click()
        expect(form.get_by_role("alert")).to_contain_text("ends before it begins")
        expect(usual).to_have_value("Sunday 14-9")
        type_into(usual, "Sunday 9-14")
        form.get_by_role("button", name="Save the hours").click()
        expect(form).to_have_count(0)
        expect(page.get_by_text("volunteer: Sun 9-14")).to_be_visible()

    def test_a_longer_look_and_its_stop(self) -> None:
        page = self.open_week()
        page.get_by_role("button", name="Look longer for a better order").click()
        expect(page.get_by_role("progressbar", name="Search for a better order")).to_be_visible()
        page.get_by_role("button", name="Stop").click()
        expect(page.get_by_text(re.compile("better order (was )?found|An order was found"))).to_be_visible()

    def test_on_a_phone_it_is_a_list(self) -> None:
        page = self.open_week(self.new_page((390, 844), has_touch=True))
        listed = page.get_by_role("list", name="The week, day by day")
        expect(listed.get_by_role("listitem").first).to_be_visible()
        self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth"), 390)
        title = listed.get_by_role("button").first
        title.tap()
        expect(page.get_by_role("textbox", name=f"Wanted, {title.inner_text()}")).to_be_visible()


class FirstUse(BrowserCase):
    empty = True

    def test_it_asks_for_the_hours(self) -> None:
        page = self.page
        page.goto("/week")
        form = page.get_by_role("form", name="Hours in the shop")
        usual = form.get_by_role("textbox", name="Usual week")
        type_into(usual, "Sat 9-14")
        usual.press("Enter")
        expect(form).to_have_count(0)
        expect(page.get_by_text("Sat 9-14")).to_be_visible()
        expect(page.get_by_text("No open jobs.")).to_be_visible()
