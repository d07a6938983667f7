"""Starts: new, killed, two at once, over stores of other versions, foreign and broken ones; and how a server leaves."""

from __future__ import annotations

import gzip
import os
import signal
import sqlite3
import subprocess
import sys
import tempfile
import time
import unittest
from concurrent.futures import ThreadPoolExecutor
from contextlib import closing, suppress
from pathlib import Path

from server.store import NAME, SIDES, is_unborn
from tests.browser.server import DEMO_JOBS, ROOT, Server
from tests.campaign.client import Client, Lost
from tests.campaign.disks import NO_ROOM, READ_ONLY, can_mount, start_on
from tests.processes import ended

OLD_STORE = ROOT / "server" / "jobs" / "tests" / "data" / "store-2.sqlite3.gz"
OLD_JOBS = 23
ALL_BUT_JOBS = """
import django
django.setup()
from django.db import connection
from django.db.migrations.executor import MigrationExecutor
run = MigrationExecutor(connection)
run.migrate([leaf for leaf in run.loader.graph.leaf_nodes() if leaf[0] in ("book", "devices", "instruments")])
"""


def _catches_term(pid: int) -> bool:
    """Whether a process has its own answer to being told to stop."""
    status = Path(f"/proc/{pid}/status").read_text(encoding="ascii")
    caught = next(line.split()[1] for line in status.splitlines() if line.startswith("SigCgt:"))
    return bool(int(caught, 16) >> (signal.SIGTERM - 1) & 1)


class Starts(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory(prefix="conch-starts-")
        self.addCleanup(folder.cleanup)
        self.data = Path(folder.name)

    def begun(self, out: int = subprocess.PIPE) -> subprocess.Popen[str]:
        """A start on the folder, not waited for; it writes to the file `out`."""
        command = [sys.executable, "-m", "server.serve", "--port", "0"]
        environment = {**os.environ, "CONCH_DATA": str(self.data)}
        return subprocess.Popen(command, cwd=ROOT, env=environment, stdout=out, stderr=subprocess.PIPE, text=True)

    def served(self) -> Server:
        server = Server(self.data, empty=False)
        server.start()
        self.addCleanup(server.end)
        return server

    def jobs(self, server: Server) -> int:
        counts = Client(server.port).get("/api/jobs")["counts"]
        return int(counts["open"])

    def refused(self) -> str:
        """The one line of a start that cannot go on; exit status 2."""
        with ended(self.begun()) as process:
            out, err = process.communicate(timeout=60)
        self.assertEqual((process.returncode, out), (2, ""), err)
        lines = err.strip().splitlines()
        self.assertEqual(len(lines), 1, err)
        self.assertTrue(lines[0].startswith("conch: "), err)
        return lines[0]

    def test_a_first_start_that_was_killed_loads_its_demo_the_next_time(self) -> None:
        for after in (0.3, 0.5, 0.7, 0.9):
            with ended(self.begun()) as process:
                time.sleep(after)
                process.send_signal(signal.SIGKILL)
        self.assertEqual(self.jobs(self.served()), DEMO_JOBS)

    def test_a_start_killed_before_its_first_table_is_gone_on_with(self) -> None:
        """What is then on disk: no table at all, or those of the first room of two."""
        migrate = [sys.executable, "server/manage.py", "migrate", "book", "--verbosity", "0"]
        environment = {**os.environ, "CONCH_DATA": str(self.data)}
        for target in (None, "0001"):
            with self.subTest(target):
                (self.data / NAME).unlink(missing_ok=True)
                with closing(sqlite3.connect(self.data / NAME)) as begun:
                    begun.execute("PRAGMA journal_mode = WAL")
                if target:
                    # What follows the migrations finds no jobs, and gives up: the file is left as a kill leaves it.
                    stopped = [*migrate[:4], target, *migrate[4:]]
                    subprocess.run(stopped, cwd=ROOT, env=environment, capture_output=True, check=False)
                    with closing(sqlite3.connect(self.data / NAME)) as left:
                        tables = {row[0] for row in left.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
                    self.assertIn("book_favourite", tables)
                    self.assertNotIn("jobs_job", tables)
                server = self.served()
                self.assertEqual(self.jobs(server), DEMO_JOBS)
                server.stop()

    def test_two_starts_at_once_are_one(self) -> None:
        with ended(self.begun()) as one, ended(self.begun()) as two:
            lines = {process: process.stdout.readline() for process in (one, two) if process.stdout}
            serving = [process for process, line in lines.items() if "Conch is running" in line]
            self.assertEqual(len(serving), 1, lines)
            [other] = {one, two} - set(serving)
            self.assertEqual(other.wait(60), 2)
            assert other.stderr is not None
            self.assertIn("already running", other.stderr.read())
            serving[0].terminate()
        self.assertEqual(self.jobs(self.served()), DEMO_JOBS)

    def test_two_first_starts_make_their_key_at_once(self) -> None:
        """Ten that read the settings together: each has a key, and the one that is kept is whole."""
        command = [sys.executable, "-c", "from server.settings import SECRET_KEY; print(SECRET_KEY)"]
        env = {**os.environ, "CONCH_DATA": str(self.data)}

        def read() -> subprocess.CompletedProcess[str]:
            return subprocess.run(command, cwd=ROOT, env=env, capture_output=True, text=True, timeout=60, check=False)

        for _ in range(3):
            (self.data / "secret-key").unlink(missing_ok=True)
            with ThreadPoolExecutor(10) as pool:
                said = [(one.stdout, one.stderr) for one in pool.map(lambda _: read(), range(10))]
            self.assertEqual([err for _, err in said if err], [])
            kept = (self.data / "secret-key").read_text(encoding="ascii")
            self.assertIn(kept, {out.strip() for out, _ in said})
            self.assertGreater(len(kept), 60)
            self.assertEqual(list(self.data.glob(".secret-key*")), [])

    def test_a_launcher_that_is_killed_takes_its_server_with_it(self) -> None:
        command = [sys.executable, str(ROOT / "conch"), "start", "--port", "0", "--data", str(self.data)]
        with ended(subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, text=True)) as launcher:
            assert launcher.stdout is not None
            address = launcher.stdout.readline()
            port = int(address.split(":")[2].partition("/")[0])
            self.assertEqual(Client(port).ask("GET", "/api/alive")[0], 200)
            launcher.kill()
            deadline = time.monotonic() + 30
            with suppress(Lost):
                while time.monotonic() < deadline:
                    Client(port).ask("GET", "/api/alive")
            # It listens no more, and brings what its log still keeps into the store.
            while time.monotonic() < deadline and any(Path(f"{self.data / NAME}{side}").exists() for side in SIDES):
                time.sleep(0.05)
            self.assertLess(time.monotonic(), deadline)

    def test_a_launcher_that_is_told_to_end_ends_its_server_without_a_word(self) -> None:
        command = [sys.executable, str(ROOT / "conch"), "start", "--port", "0", "--data", str(self.data)]
        with ended(subprocess.Popen(command, stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True)) as launcher:
            assert launcher.stdout is not None
            self.assertIn("Conch is running", launcher.stdout.readline())
            launcher.terminate()
            _, said = launcher.communicate(timeout=60)
        # What it prepared before that is told too.
        self.assertEqual(said.splitlines()[-1], "Starting Conch ...")

    def test_disks_that_cannot_be_written_are_told_in_one_line(self) -> None:
        if not can_mount():
            self.skipTest("this machine lets no process have a file system of its own")
        for then, told in ((READ_ONLY, "Read-only file system"), (NO_ROOM, "No space left on device")):
            status, said = start_on(then)
            self.assertEqual((status, len(said.splitlines())), (2, 1), said)
            self.assertIn(told, said)

    def test_a_first_start_that_was_killed_between_its_tables_is_gone_on_with(self) -> None:
        """The tables of every app but that of the jobs."""
        env = {**os.environ, "CONCH_DATA": str(self.data), "DJANGO_SETTINGS_MODULE": "server.settings"}
        subprocess.run([sys.executable, "-c", ALL_BUT_JOBS], cwd=ROOT, env=env, check=True)
        self.assertTrue(is_unborn(self.data / NAME))
        server = Server(self.data, empty=True)
        server.run()
        self.addCleanup(server.end)
        self.assertEqual(self.jobs(server), 0)

    def test_a_store_that_cannot_be_used_is_told_in_one_line(self) -> None:
        store = self.data / NAME
        store.write_bytes(b"no store at all " * 400)
        self.assertIn("damaged, or is not Conch data", self.refused())
        store.unlink()
        with closing(sqlite3.connect(store)) as foreign:
            foreign.execute("CREATE TABLE recipes (title TEXT)")
        self.assertIn("is not Conch data", self.refused())
        store.write_bytes(gzip.decompress(OLD_STORE.read_bytes()))
        with closing(sqlite3.connect(store)) as later:
            later.execute("INSERT INTO django_migrations (app, name, applied) VALUES ('jobs', '9999_of_later', '')")
            later.commit()
        self.assertIn("a later version", self.refused())
        broken = bytearray(gzip.decompress(OLD_STORE.read_bytes()))
        broken[8192:20480] = b"\x55" * 12288
        store.write_bytes(broken)
        self.assertIn("damaged", self.refused())

    def test_an_upgrade_keeps_the_store_as_it_was(self) -> None:
        old = gzip.decompress(OLD_STORE.read_bytes())
        (self.data / NAME).write_bytes(old)
        (self.data / NAME).chmod(0o644)
        self.assertEqual(self.jobs(self.served()), OLD_JOBS)
        self.assertEqual((self.data / NAME).stat().st_mode & 0o777, 0o600)
        [kept] = self.data.glob("conch-before-upgrade-*.sqlite3")
        with closing(sqlite3.connect(kept)) as before:
            names = [row[0] for row in before.execute("SELECT name FROM django_migrations WHERE app = 'jobs'")]
        self.assertEqual(names[-1], "0004_threads")

    def test_a_server_told_to_stop_while_it_still_says_where_it_is_leaves_a_whole_store(self) -> None:
        """Its line cannot be written, for nobody reads: it is caught between being ready and answering."""
        outlet, line = os.pipe()
        os.set_blocking(line, False)
        with suppress(BlockingIOError):
            while True:
                os.write(line, b" " * 4096)
        os.set_blocking(line, True)
        with ended(self.begun(line)) as process, os.fdopen(outlet, "rb") as said:
            os.close(line)
            while not _catches_term(process.pid):
                self.assertIsNone(process.poll())
                time.sleep(0.02)
            process.terminate()
            said.read()
            assert process.stderr is not None
            self.assertEqual((process.stderr.read(), process.wait(60)), ("", 0))
        self.assertEqual([side for side in SIDES if Path(f"{self.data / NAME}{side}").exists()], [])

    def test_a_server_leaves_a_whole_store_for_its_owner_alone(self) -> None:
        server = self.served()
        self.assertEqual((self.data / NAME).stat().st_mode & 0o777, 0o600)
        server.stop()
        self.assertEqual([side for side in SIDES if Path(f"{self.data / NAME}{side}").exists()], [])
        self.assertEqual({file.stat().st_mode & 0o077 for file in self.data.iterdir()}, {0})
        server.start()
        self.assertEqual(self.jobs(server), DEMO_JOBS)
