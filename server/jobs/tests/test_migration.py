"""Stores and job files of earlier versions: after the upgrade every job stands where it stood."""

from __future__ import annotations

import gzip
import json
import os
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path
from typing import Any

from django.conf import settings

from lathework.tests.test_document import OLD
from server.jobs.lift import bring_up_to_date
from server.jobs.models import Entry, Job, StandingRow
from server.jobs.tests.case import ApiCase

DATA = Path(__file__).parent / "data"
SAME = (
    "title",
    "thread",
    "material",
    "state",
    "quantity",
    "good",
    "scrapped",
    "piece",
    "next_step",
    "held",
    "closed",
    "needed_by",
)
ASK = """
import json, django
django.setup()
from django.core.management import call_command
call_command("migrate", verbosity=0)
from django.test import Client
client = Client(headers={"host": "127.0.0.1"})
from server.jobs.models import Entry, Job
from server.jobs.file import job_file
out = {}
for job in Job.objects.order_by("pk"):
    told = client.get(f"/api/jobs/{job.pk}/bench").json()
    out[job.pk] = {
        "card": client.get(f"/api/jobs/{job.pk}/standing").json(), "bench": told, "file": job_file(job),
        "parts": job.row.folded["parts"],
    }
print(json.dumps(out))
"""
"""Runs over the store of the version before: migrates it, and asks every job."""
RETITLED = {
    "Turn round for the hexagon": "Turn the round for the hexagon",
    "Flip the die, finish to the shoulder": "Flip the die, finish to the shoulder",
    "Mark and spot the hole across": "Mark and spot the cross hole",
    "Drill across": "Drill the cross hole",
    "Countersink the hole across": "Countersink the cross hole",
    "Tap the hole across": "Tap the cross hole",
    "Try the hole across": "Try the cross hole",
}
"""Steps that are called otherwise since."""


class Upgraded(unittest.TestCase):
    """A store written by the version before ids: its six demo jobs of version 1, ten of version 2, seven more."""

    found: dict[str, Any]
    before: list[dict[str, Any]]

    @classmethod
    def setUpClass(cls) -> None:
        with tempfile.TemporaryDirectory(prefix="conch-upgrade-") as folder:
            (Path(folder) / "conch.sqlite3").write_bytes(gzip.decompress((DATA / "store-2.sqlite3.gz").read_bytes()))
            environment = {**os.environ, "CONCH_DATA": folder, "DJANGO_SETTINGS_MODULE": "server.settings"}
            done = subprocess.run(
                [sys.executable, "-c", ASK],
                cwd=settings.ROOT,
                env=environment,
                capture_output=True,
                text=True,
                check=True,
            )
        cls.found = json.loads(done.stdout)
        cls.before = json.loads((DATA / "standings-2.json").read_text(encoding="utf-8"))

    def test_every_job_stands_where_it_stood(self) -> None:
        self.assertEqual(len(self.found), len(self.before))
        for before in self.before:
            card = self.found[str(before["id"])]["card"]
            with self.subTest(before["title"]):
                wanted = {name: RETITLED.get(before[name], before[name]) for name in SAME}
                if before["title"] == "Holes from both ends":
                    # A sawn end's edge is broken now, before what was next.
                    wanted["next_step"] = "Chamfer the plain body"
                self.assertEqual({name: card[name] for name in SAME}, wanted)
                # A piece has other steps now; what was whole is whole, what was begun is begun.
                self.assertEqual(card["steps_done"] == card["steps"], before["steps_done"] == before["steps"])
                self.assertEqual(card["steps_done"] > 0, before["steps_done"] > 0)

    def test_the_same_steps_are_done_and_the_same_readings_stand(self) -> None:
        for before in self.before:
            found = self.found[str(before["id"])]
            job, bench = found["file"], found["bench"]
            with self.subTest(before["title"]):
                self.assertEqual(len(job["record"]["entries"]), before["seen"])
                self.assertEqual(bench["opened_eighths"], before["opened"])
                here = bench["part"] - 1
                done = [step["title"] for step in bench["steps"] if step["state"] == "done"]
                if not bench["finished"]:
                    self.assertEqual(
                        done,
                        [RETITLED.get(old, old) for old in (told.split(" / ")[0] for told in before["done"][here])],
                    )
                told = [reading["reading"]["mm"]["text"] for size in bench["sizes"][:1] for reading in size["readings"]]
                self.assertEqual(told, [f"{mm:.3f}" for mm in before["readings"][here]] if told else [])
                self.assertEqual(len(told), len(before["readings"][here]))

    def test_every_entry_tells_its_story(self) -> None:
        for found in self.found.values():
            for entry in found["file"]["record"]["entries"]:
                if entry["step"]:
                    self.assertTrue(entry["told"]["title"], entry)
                    self.assertTrue(entry["told"]["metal"], entry)


class Lifted(ApiCase):
    def test_a_job_of_version_one_goes_on_where_it_stood(self) -> None:
        """A stud of version 1, faced and turned, as it lay in a store of before; the groove is next."""
        self.walk_to("groove:s1")
        old = {"face:right": "face", "turn:s1": "turn-blank", "": ""}
        for entry in Entry.objects.all():
            Entry.objects.filter(pk=entry.pk).update(part="1", step=old[entry.step], title="", makes="", aim_mm=None)
        Job.objects.filter(pk=self.job.pk).update(document=OLD | {"pressure": False})
        StandingRow.objects.all().delete()
        for _ in (1, 2):
            bring_up_to_date()
            self.assertEqual(self.stored().document["version"], 3)
            self.assertEqual(self.get(self.url("/bench"))["step"]["key"], "groove:s1")
        self.assertEqual(self.get(self.url())["plan"]["overall"]["inch"]["text"], "2.500")
