"""Jobs put away, thrown away and taken out again; closed ones that answer what they answered; ones nobody can read."""

from __future__ import annotations

import csv
import io
import json
import zlib
from importlib import import_module
from unittest import mock

from django.apps import apps
from django.test import Client

from lathework.tests.samples import document
from server.jobs import kept
from server.jobs.actions.documents import start_job
from server.jobs.models import ClosedAnswer, Job
from server.jobs.tests.case import ApiCase


class PutAway(ApiCase):
    def test_an_archived_job_is_off_the_list_and_in_the_log(self) -> None:
        self.record("note", reason="lacquered")
        self.assertEqual(self.act("archive").json()["shelf"], "archive")
        self.assertEqual((self.jobs(), len(self.jobs("?shelf=archive"))), ([], 1))
        self.assertEqual(len(self.get("/api/log?q=lacquered")["entries"]), 1)
        self.act("take-out")
        self.assertEqual(len(self.jobs()), 1)
        self.assertEqual(self.told(self.act("take-out"), 409), {"job": "not-away"})

    def test_a_deleted_job_is_gone_until_it_is_taken_out(self) -> None:
        self.change({"part.sections.0.die": "d7"})
        self.walk_to("part-off")
        later = start_job(document({"title": "More studs", "part.sections.0.die": "d7"}))
        self.act("delete")
        self.told(self.client.get(self.url()), 404)
        self.told(self.client.get(self.url("/bench")), 404)
        found = self.get("/api/log?q=levelling")
        self.assertEqual((found["jobs"], found["entries"], self.get("/api/log")["entries"]), ([], [], []))
        self.assertEqual(self.get(f"/api/jobs/{later.pk}")["die_records"], [])
        self.assertEqual([job["title"] for job in self.jobs("?shelf=bin")], ["Levelling studs"])
        self.act("take-out")
        self.assertEqual(self.get(self.url("/bench"))["step"]["key"], "part-off")
        self.assertEqual(len(self.get("/api/log?q=0.3687")["entries"]), 1)
        self.assertEqual(self.get(f"/api/jobs/{later.pk}")["die_records"][0]["pieces"], 1)


class Closed(ApiCase):
    FILES = ("sheet.pdf", "part.svg", "part.dxf", "job.json", "readings.csv")

    def test_a_bench_that_was_kept_by_an_earlier_version_is_shown(self) -> None:
        """What no answer told then is nothing now: the page finds what it reads."""
        self.walk_to("gauge:s1")
        self.act("close", reason="drawing withdrawn")
        row = ClosedAnswer.objects.get(job=self.job, name="bench")
        told = json.loads(zlib.decompress(row.content))
        for name in ("preset", "causes", "cause", "due", "sized"):
            del told[name]
        row.content = zlib.compress(json.dumps(told).encode())
        row.save()
        now = self.get(self.url("/bench"))
        self.assertEqual((now["causes"], now["due"]["now"], now["sized"]), ([], True, None))
        self.assertEqual(now["step"]["key"], "gauge:s1")

    def test_it_answers_what_it_answered_whatever_the_rules_become(self) -> None:
        """The rules of a later version make another plan of the same part: a closed job does not know them."""
        self.walk_to("gauge:s1")
        self.act("close", reason="drawing withdrawn")
        before = [self.client.get(self.url(f"/{file}")).content for file in self.FILES]
        told = self.get(self.url()), self.get(self.url("/bench")), self.jobs()

        def other(*_: object) -> object:
            raise AssertionError("a closed job is not worked out again")

        with mock.patch("server.jobs.api.standing", other), mock.patch("server.jobs.kept.rules", lambda: "of tomorrow"):
            kept.rebuild()
            kept.rebuild_outdated()
            self.assertEqual((self.get(self.url()), self.get(self.url("/bench")), self.jobs()), told)
            self.assertEqual([self.client.get(self.url(f"/{file}")).content for file in self.FILES], before)

    def test_what_was_kept_before_inches_had_their_name_is_told_alike(self) -> None:
        self.walk_to("gauge:s1")
        self.act("close", reason="drawing withdrawn")
        told = self.get(self.url()), self.get(self.url("/bench"))
        for kept_one in ClosedAnswer.objects.filter(name__in=("bench", "job-1")):
            old = zlib.decompress(kept_one.content).replace(b'"inch":', b'"in":')
            ClosedAnswer.objects.filter(pk=kept_one.pk).update(content=zlib.compress(old))
        self.assertIn("in", self.get(self.url())["plan"]["overall"])
        import_module("server.jobs.migrations.0007_kept_inch").rename(apps, None)
        self.assertEqual((self.get(self.url()), self.get(self.url("/bench"))), told)

    def test_an_imported_one_too_and_an_opened_one_no_more(self) -> None:
        self.act("close", reason="drawing withdrawn")
        again = self.send("POST", "/api/jobs/import", self.get(self.url("/job.json"))).json()
        self.assertEqual(again["state"], "closed")
        self.assertTrue(ClosedAnswer.objects.filter(job=again["id"]).exists())
        self.assertEqual(self.get(f"/api/jobs/{again['id']}?part=4")["plan"]["quantity"], 6)
        self.act("reopen")
        self.assertFalse(ClosedAnswer.objects.filter(job=self.job).exists())
        self.assertEqual(self.get(self.url("/bench"))["state"], "planned")


class OneBadJob(ApiCase):
    """It never takes the shop down."""

    def test_half_a_character_is_refused_beside_its_field(self) -> None:
        """The sign for an emoji cut in two, in a file's notes, in its title, in a field nobody knows, in an entry."""
        file = self.get(self.url("/job.json"))
        half = "\ud83d"
        entry = {"kind": "note", "piece": 1, "part": "p1", "step": "", "text": half, "at": "2026-11-21T10:02:00+00:00"}
        for change, field in (
            ({"notes": half}, "notes"),
            ({"title": half}, "title"),
            ({half: 1}, "?"),
            ({"record": {"entries": [entry]}}, "record.entries.0.text"),
        ):
            with self.subTest(field):
                told = self.told(self.send("POST", "/api/jobs/import", {**file, **change}), 422)
                self.assertEqual(list(told), [field])
        self.told(self.send("POST", "/api/jobs", document({"notes": half})), 422)
        self.assertEqual(self.told(self.record("note", reason=half), 422), {"reason": "unreadable"})
        self.assertEqual(Job.objects.count(), 1)
        self.assertEqual(len(self.jobs()), 1)

    def test_what_cannot_be_told_is_not_stored(self) -> None:
        """The answer fails after the act: the act is undone with it."""
        client = Client(raise_request_exception=False)
        before = self.saw()
        body = {**before, "step": "face:right", "kind": "done"}
        with mock.patch("server.jobs.api.job_bench", side_effect=ValueError), self.assertLogs("django.request"):
            answer = client.post(self.url("/entries"), json.dumps(body), content_type="application/json")
        self.assertEqual(answer.status_code, 500)
        self.assertEqual(self.saw(), before)

    def spoil(self) -> None:
        """The job as a stricter version finds it: a metal it no longer knows, a field it never knew."""
        self.record("note", reason="=1+1; before the upgrade")
        spoilt = self.stored().document | {"material": "unobtainium", "colour": "red"}
        Job.objects.filter(pk=self.job.pk).update(document=spoilt)
        kept.rebuild()

    def test_a_job_the_rules_no_longer_read_is_listed_with_its_reason(self) -> None:
        start_job(document({"title": "Sound"}))
        self.spoil()
        cards = {job["title"]: job for job in self.jobs()}
        self.assertEqual(cards["Sound"]["state"], "planned")
        self.assertEqual(cards["Levelling studs"]["state"], "unreadable")
        self.assertIn("material", cards["Levelling studs"]["unreadable"])
        for tail in ("", "/bench", "/sheet.pdf", "/part.svg"):
            answer = self.client.get(self.url(tail))
            self.assertEqual(answer.json()["code"], "unreadable-job")
            self.assertEqual(set(self.told(answer, 409)), {"material", "colour"})
        self.told(self.act("hold", reason="x"), 409)
        self.assertEqual(len(self.get("/api/log")["entries"]), 1)
        self.assertEqual(len(self.get("/api/log?q=levelling")["jobs"]), 1)

    def test_its_file_and_its_entries_are_still_to_be_had(self) -> None:
        self.spoil()
        file = self.get(self.url("/job.json"))
        self.assertEqual((file["material"], len(file["record"]["entries"])), ("unobtainium", 1))
        rows = list(csv.DictReader(io.StringIO(self.client.get(self.url("/readings.csv")).content.decode())))
        self.assertEqual(rows[0]["text"], "'=1+1; before the upgrade")

    def test_it_is_repaired_by_the_person(self) -> None:
        self.spoil()
        self.assertEqual(self.change({"title": "Mended"}).status_code, 200)
        now = self.get(self.url("/bench"))
        self.assertEqual((now["title"], now["state"], self.jobs()[0]["unreadable"]), ("Mended", "on the bench", ""))

    def test_or_deleted(self) -> None:
        self.spoil()
        self.assertEqual(self.act("delete").status_code, 200)
        self.assertEqual(self.jobs(), [])
        self.assertEqual(self.act("take-out").json()["state"], "unreadable")

    def test_one_that_cannot_be_worked_out_at_all(self) -> None:
        with mock.patch("server.jobs.kept.fold", side_effect=ZeroDivisionError), self.assertLogs("server.jobs.kept"):
            kept.rebuild()
        self.assertEqual(self.jobs()[0]["state"], "unreadable")
        kept.rebuild()
        self.assertEqual(self.jobs()[0]["state"], "planned")
