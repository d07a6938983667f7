"""Stores as earlier versions wrote them: a start brings each to today's, and every job stands where it stood."""

from __future__ import annotations

import json
import lzma
import os
import sqlite3
import subprocess
import sys
import tempfile
import unittest
from contextlib import closing
from pathlib import Path
from typing import Any

from server.store import NAME, check_store
from tests.browser.server import ROOT, Server
from tests.campaign.client import Client

STORES = ROOT / "server" / "jobs" / "tests" / "data" / "stores"
SAME = ("title", "thread", "material", "state", "shelf", "quantity", "good", "scrapped", "piece", "held", "closed")
"""What a standing tells, whatever steps the rules of today make of the job."""


class OldStores(unittest.TestCase):
    def test_each_is_brought_to_todays(self) -> None:
        stores = sorted(STORES.glob("*.sqlite3.xz"))
        self.assertGreaterEqual(len(stores), 2)
        for file in stores:
            with self.subTest(file.name), tempfile.TemporaryDirectory(prefix="conch-old-") as folder:
                data = Path(folder)
                (data / NAME).write_bytes(lzma.decompress(file.read_bytes()))
                told = json.loads(file.with_name(file.name.replace(".sqlite3.xz", ".json")).read_text("utf-8"))
                server = Server(data, empty=False, short_lived=True)
                server.run()
                self.addCleanup(server.end)
                self.stands(Client(server.port), told)
                server.end()
                check_store(data / NAME)
                # As it was, it is kept beside.
                self.assertEqual(len(list(data.glob("conch-before-upgrade-*.sqlite3"))), 1)

    def test_what_cannot_use_one_yet_says_what_to_do(self) -> None:
        """`export` and `rebuild` on a store that was not brought up to date, or is not there, change nothing."""
        file = sorted(STORES.glob("*.sqlite3.xz"))[-1]
        with tempfile.TemporaryDirectory(prefix="conch-old-") as folder:
            data = Path(folder)
            for content, why in ((None, "no Conch data"), (lzma.decompress(file.read_bytes()), "start`")):
                if content is not None:
                    (data / NAME).write_bytes(content)
                for command in (["server.upkeep.run", "export", str(data / "all.zip")], ["server.rebuild"]):
                    done = subprocess.run(
                        [sys.executable, "-m", *command],
                        cwd=ROOT,
                        env={**os.environ, "CONCH_DATA": folder},
                        capture_output=True,
                        text=True,
                        timeout=60,
                        check=False,
                    )
                    lines = done.stderr.splitlines()
                    self.assertEqual((done.returncode, len(lines)), (2, 1), done.stderr)
                    self.assertTrue(lines[0].startswith("conch: ") and why in lines[0], lines)
            self.assertEqual((data / NAME).read_bytes(), content)
            self.assertFalse((data / "all.zip").exists())

    def stands(self, client: Client, told: dict[str, Any]) -> None:
        entries = 0
        for number, before in told["jobs"].items():
            now = client.get(f"/api/jobs/{number}/standing")
            self.assertEqual({name: now[name] for name in SAME}, {name: before[name] for name in SAME})
            self.assertEqual((now["unreadable"], now["last"]), ("", before["last"]))
            if before["shelf"] != "bin":
                entries += len(client.get(f"/api/jobs/{number}/job.json")["record"]["entries"])
                for page in ("", "/bench", "/needs", "/ways", "/batch"):
                    client.get(f"/api/jobs/{number}{page}")
        binned = [number for number, one in told["jobs"].items() if one["shelf"] == "bin"]
        self.assertTrue(binned)
        self.assertLessEqual(entries, told["entries"])
        self.assertGreater(entries, told["entries"] / 2)
        self.assertEqual(len(client.get("/api/kit")["things"]), told["things"])

    def test_a_store_of_a_later_version_is_refused_with_the_way_back(self) -> None:
        """Started with an older program again, it says which copy was kept before the upgrade."""
        file = sorted(STORES.glob("*.sqlite3.xz"))[-1]
        with tempfile.TemporaryDirectory(prefix="conch-old-") as folder:
            data = Path(folder)
            (data / NAME).write_bytes(lzma.decompress(file.read_bytes()))
            server = Server(data, empty=False, short_lived=True)
            server.run()
            server.end()
            [kept] = data.glob("conch-before-upgrade-*.sqlite3")
            with closing(sqlite3.connect(data / NAME)) as later:
                later.execute("INSERT INTO django_migrations (app, name, applied) VALUES ('kit', '9999_later', '')")
                later.commit()
            said = server.refused()
            self.assertIn("a later version", said)
            self.assertIn(f"./conch restore {kept}", said)
