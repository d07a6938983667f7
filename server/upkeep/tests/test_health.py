"""How the store stands: what is told of it, and that what is wrong is found."""

from __future__ import annotations

import json
import os
import sqlite3
import subprocess
import sys
import tempfile
from contextlib import closing
from datetime import datetime, timedelta
from pathlib import Path
from unittest import mock

from django.test import override_settings

from server import backups
from server.jobs.models import StandingRow
from server.jobs.tests.case import ApiCase
from server.store import NAME
from tests.browser.server import ROOT, first_store


class Findings(ApiCase):
    def setUp(self) -> None:
        super().setUp()
        folder = tempfile.TemporaryDirectory(prefix="conch-health-")
        self.addCleanup(folder.cleanup)
        self.data = Path(folder.name)
        here = override_settings(DATA=self.data)
        here.enable()
        self.addCleanup(here.disable)

    def found(self, name: str) -> tuple[bool, str]:
        [one] = [one for one in self.get("/api/health")["findings"] if one["name"] == name]
        return one["well"], one["told"]

    def test_what_is_in_it(self) -> None:
        self.record("note", reason="new bar from here")
        told = self.get("/api/health")
        self.assertEqual((told["jobs"], told["entries"], told["last_copy"]), (1, 1, None))
        self.assertEqual(told["folder"], str(self.data))

    def test_copies_that_are_missing_or_old(self) -> None:
        self.assertFalse(self.found("daily backups")[0])
        (self.data / backups.FOLDER).mkdir()
        for age, well in ((timedelta(days=5), False), (timedelta(hours=5), True)):
            made = datetime.now() - age
            (self.data / backups.FOLDER / f"{backups.STEM}{made:{backups.STAMP}}.sqlite3").touch()
            self.assertEqual(self.found("daily backups")[0], well)
            day = f"{made.day} {made:%b %Y, %H:%M}"
            self.assertRegex(self.found("daily backups")[1], rf"^\d kept, the latest from {day}$")

    def test_a_disk_that_is_nearly_full(self) -> None:
        self.assertTrue(self.found("disk")[0])
        with mock.patch("shutil.disk_usage", return_value=mock.Mock(free=10**6)):
            self.assertEqual(self.found("disk"), (False, "1.0 MB free"))

    def test_a_job_that_is_not_read(self) -> None:
        self.assertTrue(self.found("jobs")[0])
        StandingRow.objects.update(unreadable="a length is missing")
        self.assertEqual(self.found("jobs"), (False, "this version cannot open Levelling studs"))


class TheCommand(ApiCase):
    def check(self, data: Path) -> tuple[int, dict[str, bool]]:
        """The exit status, and what was found well."""
        command = [sys.executable, "-m", "server.upkeep.run", "check", "--json"]
        env = {**os.environ, "CONCH_DATA": str(data)}
        done = subprocess.run(command, cwd=ROOT, env=env, capture_output=True, text=True, check=False)
        self.assertEqual(done.stderr, "")
        return done.returncode, {one["name"]: one["well"] for one in json.loads(done.stdout)["findings"]}

    def test_sound_and_spoilt(self) -> None:
        """The last daily copy is put in place for a trial; a store or a copy with a spoilt page is found."""
        with tempfile.TemporaryDirectory(prefix="conch-check-") as folder:
            data = Path(folder)
            (data / NAME).write_bytes(first_store(empty=False).read_bytes())
            copy = backups.back_up(data, datetime.now())
            self.assertEqual(self.check(data), (0, dict.fromkeys(self.check(data)[1], True)))
            self.spoil(copy)
            status, found = self.check(data)
            self.assertEqual((status, found["store"], found["latest backup"]), (1, True, False))
            self.spoil(data / NAME)
            status, found = self.check(data)
            self.assertEqual((status, found["store"]), (1, False))

    def spoil(self, file: Path) -> None:
        with closing(sqlite3.connect(file)) as store:
            pages = store.execute("PRAGMA page_count").fetchone()[0]
            size = store.execute("PRAGMA page_size").fetchone()[0]
        with file.open("r+b") as raw:
            raw.seek(pages // 2 * size)
            raw.write(b"\x55" * size * 3)
