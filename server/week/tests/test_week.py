"""The week by its API: days and hours as typed, an order that keeps to them, papers."""

from __future__ import annotations

import csv
import io
import json
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import date, datetime, timedelta
from itertools import pairwise
from typing import Any
from unittest.mock import patch

from django.test import TestCase
from icalendar import Calendar
from pypdf import PdfReader
from reportlab.pdfbase.pdfmetrics import stringWidth

from lathework.job.document import read_document
from lathework.planning.plan import make_plans
from lathework.tests.samples import PLUG, TIE_ROD, document
from lathework.week.likely import in_time
from lathework.week.tasks import work_of
from server.jobs.actions.documents import start_job
from server.jobs.models import Job, TookRow
from server.jobs.standing import standing
from server.kit.actions import add_typed
from server.paper.fonts import BOLD, WORDS, fonts
from server.week.answers import order_of, time_left
from server.week.gather import gather
from server.week.models import BestOrder, Person, PutBefore, Wish
from server.week.search import process as search
from tests.contract.working import agrees, evaluated

TUESDAY = datetime(2026, 12, 1, 18, 0)
HOURS = "Tue 19-21, Sat 9-14"


@contextmanager
def at(moment: datetime) -> Iterator[None]:
    """The shop's clock stands still."""
    with (
        patch("server.week.api.local_now", return_value=moment),
        patch("server.week.actions.today", return_value=moment.date()),
    ):
        yield


class WeekCase(TestCase):
    def setUp(self) -> None:
        frozen = at(TUESDAY)
        frozen.__enter__()
        self.addCleanup(frozen.__exit__, None, None, None)
        self.studs = start_job(document({"title": "Studs", "quantity": 4})).pk
        self.plugs = start_job(document({**PLUG, "title": "Plugs"})).pk

    def send(self, method: str, path: str, status: int = 200, **body: object) -> Any:
        call = getattr(self.client, method)
        answer = call(f"/api/week{path}", json.dumps(body), content_type="application/json")
        self.assertEqual(answer.status_code, status, answer.content)
        return answer.json()

    def week(self) -> Any:
        return self.client.get("/api/week").json()

    def hours(self, usual: str = HOURS, changed: str = "") -> Any:
        return self.send("put", "/people", people=[{"name": "fitter", "usual": usual, "changed": changed}])

    def job(self, week: Any, number: int) -> Any:
        return next(one for one in week["jobs"] if one["job"] == number)


class Week(WeekCase):
    def test_without_hours_nothing_is_placed(self) -> None:
        week = self.week()
        self.assertEqual((week["now"], week["bookings"], week["people"]), (None, [], []))
        self.assertEqual({one["job"] for one in week["jobs"]}, {self.studs, self.plugs})
        self.assertIsNone(self.client.get("/api/week/now").json())

    def test_work_lies_in_the_hours(self) -> None:
        week = self.hours()
        self.assertEqual([one["hours"] for one in week["stretches"]][:1], ["19:00 to 21:00"])
        spans = [(one["begin"], one["end"]) for one in week["stretches"]]
        self.assertTrue(week["bookings"])
        for booking in week["bookings"]:
            for worked in booking["worked"]:
                self.assertTrue(any(b <= worked["begin"] and worked["end"] <= e for b, e in spans), booking)
        self.assertEqual(week["now"]["job"], week["bookings"][0]["job"])
        self.assertIn("today 19:00", week["now"]["text"])

    def test_a_day_off_moves_the_work(self) -> None:
        week = self.hours(changed="today off")
        self.assertEqual(week["stretches"][0]["day"], "Saturday")
        # The words stay, and so does the day that they meant.
        with at(TUESDAY + timedelta(days=1)):
            self.hours(changed="today off")
        [day] = Person.objects.get().days.all()
        self.assertEqual(day.day, date(2026, 12, 1))

    def test_what_is_wanted_first_comes_first(self) -> None:
        self.hours()
        pins = start_job(document({"title": "Pins", "quantity": 3})).pk
        for first, other in ((self.studs, pins), (pins, self.studs)):
            self.send("put", f"/jobs/{other}", wanted="", weight="nice")
            week = self.send("put", f"/jobs/{first}", wanted="Saturday", weight="stopped")
            self.assertEqual(week["now"]["job"], first)
            self.assertEqual(self.job(week, first)["day"], "Saturday 5 December")
            self.assertIn("Saturday 5 December", week["now"]["because"])

    def test_a_day_that_was_said_stays_that_day(self) -> None:
        self.send("put", f"/jobs/{self.studs}", wanted="Saturday")
        with at(TUESDAY + timedelta(days=6)):
            week = self.send("put", f"/jobs/{self.studs}", wanted="Saturday", weight="stopped")
            self.assertEqual(self.job(week, self.studs)["day"], "Saturday 5 December")
        self.assertEqual(Wish.objects.get().day, date(2026, 12, 5))

    def test_late_says_what_would_help(self) -> None:
        self.hours("Tue 19-20")
        Job.objects.filter(pk=self.studs).update(document=document({"title": "Studs", "quantity": 60}))
        self.studs = start_job(document({"title": "Many", "quantity": 60})).pk
        week = self.send("put", f"/jobs/{self.studs}", wanted="tomorrow", weight="stopped")
        late = self.job(week, self.studs)
        self.assertEqual(late["mark"], "late")
        self.assertRegex(late["helps"][0], r"\d+ h( \d+ min)? more in the shop before then would do\.")

    def test_one_job_waits_for_another(self) -> None:
        self.hours()
        week = self.send("put", f"/jobs/{self.plugs}", after=self.studs)
        ends = max(one["end"] for one in week["bookings"] if one["job"] == self.studs)
        self.assertTrue(all(one["begin"] >= ends for one in week["bookings"] if one["job"] == self.plugs))
        self.assertIn("Plugs waits for Studs.", [one["text"] for one in week["reasons"]])

    def test_circles_are_named(self) -> None:
        self.send("put", f"/jobs/{self.plugs}", after=self.studs)
        told = self.send("put", f"/jobs/{self.studs}", 422, after=self.plugs)
        [error] = told["errors"]
        self.assertEqual((error["field"], error["code"]), ("after", "circle"))
        self.assertEqual(error["message"], "Studs waits for Plugs waits for Studs: one of them must go first.")
        told = self.send("post", "/before", 422, first=self.plugs, then=self.studs)
        self.assertEqual(told["errors"][0]["field"], "then")

    def test_put_by_hand_and_let_go(self) -> None:
        self.hours()
        self.send("put", f"/jobs/{self.studs}", wanted="Saturday", weight="stopped")
        week = self.send("post", "/before", first=self.plugs, then=self.studs)
        lathe = [one["job"] for one in week["bookings"] if one["station"].startswith("lathe:")]
        self.assertEqual(lathe, [self.plugs, self.studs])
        self.assertEqual(self.job(week, self.studs)["by_hand"]["before"], [self.plugs])
        self.assertRegex(week["by_hand"][0], r"^Studs is done .* instead of .*, as you put the order\.$")
        # The other way round takes the first back.
        self.send("post", "/before", first=self.studs, then=self.plugs)
        self.assertEqual(PutBefore.objects.count(), 1)
        week = self.send("delete", f"/before/{self.studs}")
        self.assertEqual(PutBefore.objects.count(), 0)
        self.assertEqual(week["now"]["job"], self.studs)

    def test_what_cannot_be_is_said_beside_its_field(self) -> None:
        for body, field, code in (
            ({"wanted": "31 Feb"}, "wanted", "no-such-day"),
            ({"wanted": "30 November 2026"}, "wanted", "day-over"),
            ({"from_day": "the regatta"}, "from_day", "not-a-day"),
            ({"weight": "heavy"}, "weight", "not-a-choice"),
            ({"who": "somebody"}, "who", "not-known"),
        ):
            told = self.send("put", f"/jobs/{self.studs}", 422, **body)
            self.assertEqual([(one["field"], one["code"]) for one in told["errors"]], [(field, code)])
        self.assertFalse(Wish.objects.exists())
        self.send("put", "/jobs/999", 404, wanted="Saturday")
        told = self.send(
            "put",
            "/people",
            422,
            people=[{"name": "", "usual": "Sat 14-9"}, {"name": "a", "changed": "5 Dec"}, {"name": "a"}],
        )
        fields = {one["field"] for one in told["errors"]}
        self.assertEqual(
            fields, {"people.0.name", "people.0.usual", "people.1.name", "people.1.changed", "people.2.name"}
        )

    def test_hours_of_nothing_are_no_hours(self) -> None:
        week = self.hours("")
        self.assertEqual((week["bookings"], week["now"]), ([], None))
        self.assertEqual(set(week["unplaced"]), {"Studs", "Plugs"})

    def test_a_held_job_is_not_in_the_week(self) -> None:
        now = self.client.get(f"/api/jobs/{self.studs}/standing").json()
        body = {"last": now["last"], "revision": now["revision"], "reason": "a die"}
        self.client.post(f"/api/jobs/{self.studs}/hold", json.dumps(body), content_type="application/json")
        week = self.hours()
        self.assertEqual([(one["title"], one["why"]) for one in week["out"]], [("Studs", "on hold: a die")])
        self.assertEqual({one["job"] for one in week["bookings"]}, {self.plugs})

    def test_a_lathe_that_was_sold(self) -> None:
        add_typed("bench lathe 2MT, shed")
        lathe = next(one for one in self.client.get("/api/kit").json()["things"] if one["kind"] == "lathe")
        spec = document({"title": "Rods", "setup.machine": lathe["id"]})
        rods = start_job(spec).pk
        week = self.hours()
        self.assertIn(rods, {one["job"] for one in week["bookings"]})
        self.client.post(f"/api/kit/{lathe['id']}/retire", "{}", content_type="application/json")
        [out] = self.week()["out"]
        self.assertEqual((out["job"], out["why"]), (rods, "its lathe is no longer in the shop, choose one on its plan"))

    def test_many_jobs_are_bounded(self) -> None:
        """Those of which something was said are in; how many are not is told."""
        self.send("put", f"/jobs/{self.plugs}", wanted="Saturday")
        start_job(document({"title": "One more"}))
        with patch("server.week.gather.MOST_JOBS", 1):
            week = self.hours()
        self.assertEqual(([one["job"] for one in week["jobs"]], week["more"]), ([self.plugs], 2))

    def test_before_anything_was_timed_the_plan_is_believed(self) -> None:
        """Its own minutes, a quarter more for the first piece; what it alone says is what the plan's page says."""
        self.hours()
        gathered = gather(TUESDAY)
        [left] = [one for one in gathered.left if one.job.pk == self.studs]
        figure = time_left(gathered, order_of(gathered)[1], left)
        piece = sum(standing(Job.objects.get(pk=self.studs)).plans[0].minutes.values())
        given = {one.name: one.value for one in figure.inputs}
        self.assertAlmostEqual(given["time by its plan"], 4 * piece, delta=0.06)
        self.assertAlmostEqual(given["time by its plan"] * given["pace here"], 4.25 * piece, delta=1)
        self.assertTrue(agrees(figure, evaluated(figure)))

    def test_somebody_who_leaves_is_asked_for_no_more(self) -> None:
        self.hours()
        self.send("put", f"/jobs/{self.studs}", who="fitter")
        week = self.send("put", "/people", people=[{"name": "keeper", "usual": "Sat 9-17"}])
        self.assertEqual({one["person"] for one in week["bookings"]}, {"keeper"})

    def test_what_another_page_said_meanwhile(self) -> None:
        """Is not written over: whoever looked at an earlier state is told."""
        self.send("put", f"/jobs/{self.studs}", wanted="Saturday", revision=0)
        week = self.send("put", f"/jobs/{self.studs}", wanted="Sunday", revision=1)
        self.assertEqual(self.job(week, self.studs)["revision"], 2)
        self.send("put", f"/jobs/{self.studs}", 409, wanted="Friday", revision=1)
        self.assertEqual(Wish.objects.get().said, "Sunday")

    def test_not_this_week(self) -> None:
        """It begins on the Monday that is named, and what that costs is said."""
        week = self.hours("every day 9-17")
        self.assertEqual(week["next_week"], "Monday 7 December")
        week = self.send("put", f"/jobs/{self.studs}", from_day=week["next_week"])
        begins = min(one["begin"] for one in week["bookings"] if one["job"] == self.studs)
        self.assertEqual(TUESDAY + timedelta(minutes=begins), datetime(2026, 12, 7, 9, 0))
        self.assertRegex(week["by_hand"][0], r"^Studs is done .* it may not begin before Monday 7 December\.$")

    def test_who_uses_which_lathe(self) -> None:
        add_typed("bench lathe 2MT, shed\nbig lathe 3MT, hall")
        small, big = sorted(one["id"] for one in self.client.get("/api/kit").json()["things"] if one["kind"] == "lathe")
        rods = start_job(document({"title": "Rods", "setup.machine": big})).pk
        people = [{"name": "fitter", "usual": HOURS, "lathes": [small]}, {"name": "keeper", "usual": "Sat 9-12"}]
        week = self.send("put", "/people", people=people)
        self.assertEqual({one["person"] for one in week["bookings"] if one["job"] == rods}, {"keeper"})
        self.assertEqual([one["lathes"] for one in week["people"]], [[small], []])
        week = self.send("put", f"/jobs/{rods}", who="fitter")
        self.assertRegex(self.job(week, rods)["no_place"], r"^no one who may do it uses .+")
        # A lathe that was sold keeps nobody from the others.
        self.client.post(f"/api/kit/{small}/retire", "{}", content_type="application/json")
        week = self.week()
        self.assertEqual(self.job(week, rods)["no_place"], "")
        # Nor is it in the way of saying something else.
        self.assertEqual([one["lathes"] for one in week["people"]], [[], []])
        told = self.send("put", "/people", 422, people=[{"name": "fitter", "usual": HOURS, "lathes": ["gone"]}])
        self.assertEqual([one["field"] for one in told["errors"]], ["people.0.lathes"])

    def test_how_sure_a_day_is_carries_its_working(self) -> None:
        self.hours()
        self.send("put", f"/jobs/{self.studs}", wanted="Saturday")
        placing, order = order_of(gather(TUESDAY))
        sure = in_time(placing, order, self.studs)
        figure = sure.figure
        assert figure is not None and sure.chance is not None
        self.assertTrue(agrees(figure, evaluated(figure)))
        self.assertAlmostEqual(figure.value, 100 * sure.chance, delta=0.5)

    def test_a_batch_done_by_holdings_is_a_task_for_each(self) -> None:
        """All first ends from the bar, then all second ends: the bar may serve another job meanwhile."""
        self.hours("every day 8-20")
        ended = document({**TIE_ROD, "title": "Rods", "quantity": 5, "method.batch": "holding"})
        rods = start_job(ended).pk
        tasks = [
            task for task in gather(TUESDAY).problem.tasks if task.job == rods and task.station.startswith("lathe:")
        ]
        self.assertEqual(len(tasks), 2)
        first, second = ({kind for kind, _ in task.holds} for task in tasks)
        self.assertTrue("bar" in first and "jaws" not in first)
        self.assertTrue("jaws" in second and "bar" not in second)
        self.assertEqual(tasks[1].after, (tasks[0].ident,))
        self.assertEqual([task.pieces for task in tasks], [5, 5])


class Papers(WeekCase):
    def test_the_calendar_has_every_task(self) -> None:
        week = self.hours()
        answer = self.client.get("/api/week/week.ics")
        self.assertEqual(answer["Content-Type"], "text/calendar; charset=utf-8")
        events = Calendar.from_ical(answer.content.decode()).events
        self.assertEqual(len(events), len(week["bookings"]))
        first = min(events, key=lambda event: event.start)
        self.assertEqual(first.start.strftime("%H:%M"), "19:00")

    def test_a_calendar_is_read(self) -> None:
        ics = (
            "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20261201T000000\r\n"
            "DTSTART:20261205T100000\r\nDTEND:20261205T120000\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n"
        )
        told = self.send("post", "/busy", text=ics, usual="Sat 9-14, Sun 9-12", changed="6 Dec off")
        changed = "Saturday 5 December 9-10 and 12-14; Sunday 6 December off"
        self.assertEqual(told, {"times": 1, "changed": changed})
        # What it says is typed in its place: it reads back as it is.
        week = self.hours("Sat 9-14, Sun 9-12", told["changed"])
        self.assertEqual([one["hours"] for one in week["stretches"]][:2], ["9:00 to 10:00", "12:00 to 14:00"])
        refused = self.send("post", "/busy", 422, text="no calendar")
        self.assertEqual(refused["errors"][0]["field"], "text")

    def test_what_is_repeated_counts_each_time(self) -> None:
        """By the examples of RFC 5545, 3.8.5.3: every other week, but for one day; a day that was moved; until a
        day."""
        begin = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\n"
        head = "BEGIN:VEVENT\r\nUID:{0}\r\nDTSTAMP:20261201T000000\r\nDTSTART:{1}\r\nDTEND:{2}\r\n"
        watch = head.format("watch", "20260905T090000", "20260905T110000")
        watch += "RRULE:FREQ=WEEKLY;INTERVAL=2\r\nEXDATE:20261212T090000\r\nEND:VEVENT\r\n"
        moved = head.format("watch", "20261227T100000", "20261227T120000")
        moved += "RECURRENCE-ID:20261226T090000\r\nEND:VEVENT\r\n"
        choir = head.format("choir", "20261201T190000", "20261201T200000")
        choir += "RRULE:FREQ=WEEKLY;UNTIL=20261208T235900Z\r\nEND:VEVENT\r\n"
        until = "".join((begin, watch, moved, choir, "END:VCALENDAR\r\n"))
        told = self.send("post", "/busy", text=until, usual="Tue 19-21, Sat 9-14, Sun 9-14", changed="")
        days = told["changed"].split("; ")
        self.assertEqual(
            days[:3], ["Tuesday 1 December 20-21", "Tuesday 8 December 20-21", "Sunday 27 December 9-10 and 12-14"]
        )
        self.assertEqual(days[3], "Saturday 9 January 11-14")
        self.assertNotIn("Saturday 12 December", told["changed"])
        # Every second for ever is no calendar of a person, and takes no time to read.
        often = head.format("often", "20261201T190000", "20261201T190001") + "RRULE:FREQ=SECONDLY\r\nEND:VEVENT\r\n"
        self.send("post", "/busy", text=f"{begin}{often}END:VCALENDAR\r\n", usual="Tue 19-21")
        rule = head.format("odd", "20261201T190000", "20261201T200000") + "RRULE:FREQ=SOMETIMES\r\nEND:VEVENT\r\n"
        self.send("post", "/busy", 422, text=f"{begin}{rule}END:VCALENDAR\r\n", usual="Tue 19-21")
        long_ago = (
            head.format("often{0}", "20201201T190000", "20201201T190001") + "RRULE:FREQ=SECONDLY\r\nEND:VEVENT\r\n"
        )
        many = "".join(long_ago.format(number) for number in range(40))
        told = self.send("post", "/busy", 422, text=f"{begin}{many}END:VCALENDAR\r\n", usual="Tue 19-21")
        self.assertEqual(told["errors"][0]["code"], "too-many")

    def test_the_table_and_the_sheet_say_the_same(self) -> None:
        week = self.hours()
        rows = list(csv.DictReader(io.StringIO(self.client.get("/api/week/week.csv").content.decode())))
        self.assertEqual([row["job"] for row in rows], [one["title"] for one in week["bookings"]])
        self.assertEqual([int(row["setting_up_min"]) for row in rows], [one["setting_up"] for one in week["bookings"]])
        pages = PdfReader(io.BytesIO(self.client.get("/api/week/week.pdf").content)).pages
        text = "".join(page.extract_text() for page in pages)
        for words in ("This week", "Studs", "Plugs", "today 19:00"):
            self.assertIn(words, text)

    def test_no_words_of_the_paper_run_into_others(self) -> None:
        """However long a job is called: measured in the file, by the widths of its own letters."""
        for row in Job.objects.all():
            row.document["title"] = "Winding spindle of the lamp carriage, its stripped end cut off and tapped"
            row.title = row.document["title"]
            row.save()
        self.hours()
        fonts()
        lines: dict[tuple[int, float], list[tuple[float, float]]] = {}
        for number, page in enumerate(PdfReader(io.BytesIO(self.client.get("/api/week/week.pdf").content)).pages):

            def note(text: str, _: Any, at: list[float], font: dict[str, Any], size: float, page: int = number) -> None:
                face = BOLD if "Bold" in str(font and font["/BaseFont"]) else WORDS
                if text.strip():
                    wide = stringWidth(text.strip(), face, size)
                    lines.setdefault((page, at[5]), []).append((at[4], at[4] + wide))

            page.extract_text(visitor_text=note)
        side_by_side = [sorted(line) for line in lines.values() if len(line) > 1]
        self.assertTrue(side_by_side)
        for line in side_by_side:
            for (_, end), (begin, _) in pairwise(line):
                self.assertLess(end, begin)

    def test_the_cutting_list(self) -> None:
        self.assertTrue(any("for Studs" in line for line in self.week()["buys"]))
        add_typed("1/2 mild steel bar 26 in, rack")
        week = self.week()
        [bar] = week["bars"]
        self.assertAlmostEqual(sum(bar["shares"]), 1, places=3)
        self.assertEqual(bar["cuts"][0]["title"], "Studs")
        self.assertFalse([one for one in week["missing"] if "bar" in one["what"]])
        rows = list(csv.DictReader(io.StringIO(self.client.get("/api/week/cutting.csv").content.decode())))
        self.assertIn("Studs", [row["job"] for row in rows])


class Searched(WeekCase):
    def test_a_search_is_kept_and_can_be_stopped(self) -> None:
        self.hours()
        self.addCleanup(search.end)
        # What it finds is stored by a thread of its own, which a test's open transaction would keep waiting.
        with patch("server.week.api.actions.keep_order"):
            told = self.send("post", "/search")
            self.assertTrue(told["runs"])
            stopped = self.send("delete", "/search")
        self.assertFalse(stopped["runs"] or stopped["failed"])
        self.assertIsNotNone(search.latest())

    def test_an_order_that_was_kept_is_begun_from(self) -> None:
        """Also one that names a task which is gone, and lacks one that is new."""
        self.hours()
        _, before = order_of(gather(TUESDAY))
        idents = [task.ident for task in before.sequence]
        BestOrder.objects.create(sequence=[*idents[1:], "999.gone.0"], at="2026-12-01T00:00:00+00:00")
        placing, after = order_of(gather(TUESDAY))
        self.assertLessEqual(after.cost, before.cost)
        self.assertEqual({task.ident for task in after.sequence}, set(idents))
        self.assertEqual(placing.problem.dues, gather(TUESDAY).problem.dues)


class Timed(WeekCase):
    """What passes between entries, by a clock that the test sets."""

    BEGIN = datetime.fromisoformat("2026-12-01T10:00:00").astimezone()

    def record(self, job: int, minutes: float, **act: object) -> Any:
        """Record what is next at the bench of a job, or an act, so many minutes after the beginning."""
        stands = self.client.get(f"/api/jobs/{job}/bench").json()
        body = dict(act) or ({"kind": "zero"} if stands["zero"] else {"kind": "done"})
        if body == {"kind": "zero"} and stands["asks_keeping"]:
            body["keeps"] = "kept"
        body |= {"last": stands["last"], "revision": stands["revision"], "step": stands["step"]["key"]}
        with patch("django.utils.timezone.now", return_value=self.BEGIN + timedelta(minutes=minutes)):
            answer = self.client.post(f"/api/jobs/{job}/entries", json.dumps(body), content_type="application/json")
        self.assertEqual(answer.status_code, 200, answer.content)
        return answer.json()

    def test_steps_are_timed_between_entries(self) -> None:
        """Two minutes after the first entry the next step is done; what the clock says backwards counts for nothing."""
        for minutes in (0, 2, -30):
            self.record(self.studs, minutes)
        self.assertEqual([round(row.minutes, 3) for row in TookRow.objects.all()], [2.0])

    def test_a_pause_that_was_said_is_no_time_of_the_step(self) -> None:
        """Two minutes before it, three after it; of the forty between nothing is left. The bench says since when."""
        self.record(self.studs, 0)
        stands = self.record(self.studs, 2, kind="pause")
        self.assertEqual(datetime.fromisoformat(stands["paused"]), self.BEGIN + timedelta(minutes=2))
        self.assertEqual(self.record(self.studs, 42, kind="go-on")["paused"], "")
        self.record(self.studs, 45)
        self.assertEqual([round(row.minutes, 3) for row in TookRow.objects.all()], [5.0])
        # Whoever forgets to say that it goes on has lost no more than what lies between.
        self.record(self.studs, 46, kind="pause")
        self.assertEqual(self.record(self.studs, 90)["paused"], "")
        self.assertEqual(sum(round(row.minutes, 3) for row in TookRow.objects.all()), 6.0)

    def test_a_word_in_between_is_no_end_of_setting_up(self) -> None:
        self.record(self.studs, 0)
        self.record(self.plugs, 5, kind="note", reason="where is the collet?")
        self.assertFalse(TookRow.objects.exists())

    def test_how_a_thread_is_cut_counts_where_it_is_cut(self) -> None:
        """A blank is turned alike for a die and for a single point."""
        for cut, way in (("die", "die"), ("threading-tool", "threading-tool")):
            [plan] = make_plans(read_document(document({"part.sections.0.cut": cut})))
            ways = {step.kind: work_of(step, plan, first=False).way for step in plan.operations}
            cuts = {kind for kind, own in ways.items() if own}
            self.assertTrue(cuts and cuts <= {"thread", "finish", "screwcut"}, ways)
            self.assertEqual({ways[kind] for kind in cuts}, {way})

    def test_setting_up_is_timed_from_the_job_before(self) -> None:
        """From its last entry to the first of the next one, beside the minutes that the change takes as planned."""
        self.record(self.studs, 0)
        self.record(self.plugs, 25)
        [row] = TookRow.objects.all()
        self.assertEqual((row.kind, row.job_id, row.minutes), ("set-up", self.plugs, 25.0))
        self.assertGreater(row.expected, 5)
        # After a night nobody set up all the while.
        self.record(self.studs, 26)
        later = start_job(document({"title": "Later"})).pk
        self.record(later, 26 + 11 * 60)
        self.assertFalse(TookRow.objects.filter(job=later).exists())

    def test_what_was_done_today_and_what_it_moves(self) -> None:
        self.hours("every day 9-17")
        self.assertIsNone(self.client.get("/api/week/today").json())
        for step in range(4):
            self.record(self.studs, 2 * step)
        with at(datetime(2026, 12, 1, 16, 0)):
            told = self.client.get("/api/week/today").json()
        [done] = told["done"]
        self.assertEqual(done["job"], self.studs)
        self.assertRegex(done["text"], r"^\d steps?, 6 min$")
        # Six hours went by since then: what was to be done today is done tomorrow.
        self.assertTrue(told["moves"])
        for line in told["moves"]:
            self.assertRegex(line, r"^\w+ is done .+ instead of today \d+:\d\d\.$")
        with at(datetime(2026, 12, 2, 16, 0)):
            self.assertIsNone(self.client.get("/api/week/today").json())
