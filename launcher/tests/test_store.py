"""Backup and restore: what they promise, and what they leave when they cannot keep it."""

from __future__ import annotations

import errno
import os
import sqlite3
import subprocess
import sys
from contextlib import closing
from pathlib import Path
from unittest import mock

from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from launcher.tests.case import CommandCase
from server import store
from tests.processes import ended

HOLD = """
import sys
from pathlib import Path
from server import store
with store.held(Path(sys.argv[1])):
    print("held", flush=True)
    input()
"""
ROOT = Path(__file__).resolve().parents[2]


class StoreCase(CommandCase):
    """A data folder, and stores with a title in them."""

    def setUp(self) -> None:
        super().setUp()
        self.data = self.folder / "data"
        self.store = self.data / store.NAME

    def make(self, file: Path, title: str, migrations: tuple[str, ...] = ("0001_initial",)) -> Path:
        file.parent.mkdir(exist_ok=True)
        with closing(sqlite3.connect(file)) as made:
            made.execute("PRAGMA journal_mode = WAL")
            made.execute("CREATE TABLE jobs_job (title TEXT)")
            made.execute("CREATE TABLE jobs_entry (id INTEGER)")
            made.execute("CREATE TABLE django_migrations (app TEXT, name TEXT)")
            made.execute("INSERT INTO jobs_job VALUES (?)", (title,))
            made.executemany("INSERT INTO django_migrations VALUES ('jobs', ?)", [(name,) for name in migrations])
            made.commit()
        return file

    def retitle(self, title: str) -> None:
        with closing(sqlite3.connect(self.store)) as changed:
            changed.execute("UPDATE jobs_job SET title = ?", (title,))
            changed.commit()

    def title(self, file: Path) -> str:
        with closing(sqlite3.connect(file)) as kept:
            return str(kept.execute("SELECT title FROM jobs_job").fetchone()[0])

    def kept(self) -> list[str]:
        """The titles of the stores that were put aside."""
        return sorted(self.title(file) for file in self.data.glob("conch-before-restore-*.sqlite3"))

    def backup(self, file: Path) -> int:
        return self.run_command("backup", str(file), "--data", str(self.data))[0]

    def restore(self, file: Path) -> int:
        return self.run_command("restore", str(file), "--data", str(self.data))[0]

    def left(self) -> list[str]:
        """Passing files that nobody took away."""
        return [file.name for folder in (self.data, self.folder) for file in folder.glob(".conch-*")]


class ThereAndBack(StoreCase):
    def test_what_was_there_is_kept_each_time(self) -> None:
        """Restored twice: the store of the first day and the one between are both still there."""
        file = self.folder / "kept.sqlite3"
        self.make(self.store, "first")
        self.assertEqual(self.backup(file), 0)
        self.retitle("second")
        self.assertEqual(self.restore(file), 0)
        self.assertEqual((self.title(self.store), self.kept()), ("first", ["second"]))
        self.retitle("third")
        self.assertEqual(self.restore(file), 0)
        self.assertEqual((self.title(self.store), self.kept()), ("first", ["second", "third"]))
        self.assertEqual(self.left(), [])

    def test_a_backup_of_a_store_in_use_holds_what_its_log_holds(self) -> None:
        self.make(self.store, "before")
        with closing(sqlite3.connect(self.store)) as busy:
            busy.execute("UPDATE jobs_job SET title = 'written a moment ago'")
            busy.commit()
            self.assertEqual(self.backup(self.folder / "live"), 0)
        self.assertEqual(self.title(self.folder / "live"), "written a moment ago")

    @settings(max_examples=15, deadline=None, suppress_health_check=list(HealthCheck))
    @given(st.text(st.characters(exclude_characters="/\x00", exclude_categories=["Cs"]), min_size=1, max_size=40))
    def test_any_file_name_will_do(self, name: str) -> None:
        if name in (".", "..") or name.startswith("-") or len(name.encode()) > 200:
            return
        self.make(self.store, "x") if not self.store.exists() else None
        file = self.folder / name
        if file.exists():
            return
        self.assertEqual(self.backup(file), 0)
        self.assertEqual(self.title(file), "x")
        self.assertEqual(self.restore(file), 0)

    def test_a_backup_is_for_its_owner_alone(self) -> None:
        self.make(self.store, "mine")
        self.backup(self.folder / "kept")
        self.assertEqual((self.folder / "kept").stat().st_mode & 0o777, 0o600)
        self.assertEqual(self.data.stat().st_mode & 0o777, 0o700)


class Refused(StoreCase):
    def test_nothing_is_written_over(self) -> None:
        file = self.folder / "kept.sqlite3"
        self.make(self.store, "mine")
        file.write_text("precious")
        self.assertIn("already exists", self.stopped("backup", str(file), "--data", str(self.data)))
        self.assertEqual(file.read_text(), "precious")

    def test_what_is_no_store_is_refused_and_the_old_one_stands(self) -> None:
        self.make(self.store, "mine")
        text, foreign, half = (self.folder / name for name in ("text", "foreign.sqlite3", "half.sqlite3"))
        text.write_text("not a store" * 200)
        with closing(sqlite3.connect(foreign)) as other:
            other.execute("CREATE TABLE other (x)")
        self.make(half, "half")
        half.write_bytes(half.read_bytes()[:9000])
        later = self.make(self.folder / "later.sqlite3", "later", ("0001_initial", "9999_from_the_future"))
        for file, told in (
            (text, "not a database"),
            (foreign, "is not Conch data"),
            (half, "malformed"),
            (later, "a later version"),
            (self.folder / "none", "file not found"),
        ):
            with self.subTest(file.name):
                self.assertIn(told, self.stopped("restore", str(file), "--data", str(self.data)))
                self.assertEqual((self.title(self.store), self.kept(), self.left()), ("mine", [], []))

    def test_a_damaged_store_is_not_called_a_backup(self) -> None:
        self.make(self.store, "mine")
        content = bytearray(self.store.read_bytes())
        content[4096:8192] = b"\x55" * 4096
        self.store.write_bytes(content)
        told = self.stopped("backup", str(self.folder / "kept"), "--data", str(self.data))
        self.assertIn("nothing was written", told)
        self.assertFalse((self.folder / "kept").exists())
        self.assertEqual(self.left(), [])

    def test_a_broken_store_is_replaced_and_kept(self) -> None:
        sound = self.make(self.folder / "sound.sqlite3", "sound")
        self.data.mkdir()
        self.store.write_text("rubbish")
        self.assertEqual(self.restore(sound), 0)
        self.assertEqual(self.title(self.store), "sound")
        [kept] = self.data.glob("conch-before-restore-*.sqlite3")
        self.assertEqual(kept.read_text(), "rubbish")

    def test_a_full_disk_leaves_nothing_half_done(self) -> None:
        sound = self.make(self.folder / "sound.sqlite3", "sound")
        self.make(self.store, "mine")
        full = OSError(errno.ENOSPC, os.strerror(errno.ENOSPC))
        for at in ("server.store.os.fsync", "server.store.check_store"):
            with self.subTest(at), mock.patch(at, side_effect=full):
                told = self.stopped("restore", str(sound), "--data", str(self.data))
                self.assertIn("No space left", told)
                told = self.stopped("backup", str(self.folder / "kept"), "--data", str(self.data))
                self.assertIn("No space left", told)
            self.assertEqual((self.title(self.store), self.kept(), self.left()), ("mine", [], []))
            self.assertFalse((self.folder / "kept").exists())

    def test_restore_waits_for_nobody_while_a_server_runs(self) -> None:
        sound = self.make(self.folder / "sound.sqlite3", "sound")
        self.make(self.store, "mine")
        command = [sys.executable, "-c", HOLD, str(self.data)]
        with ended(subprocess.Popen(command, cwd=ROOT, stdin=subprocess.PIPE, stdout=subprocess.PIPE)) as other:
            assert other.stdout is not None
            other.stdout.readline()
            told = self.stopped("restore", str(sound), "--data", str(self.data))
            other.communicate(b"\n")
        self.assertIn("already running", told)
        self.assertEqual(self.title(self.store), "mine")
        self.assertEqual(self.restore(sound), 0)

    def test_nothing_to_back_up_yet(self) -> None:
        told = self.stopped("backup", str(self.folder / "x"), "--data", str(self.folder / "new"))
        self.assertIn("to back up", told)
        self.assertIn("no Conch data", self.stopped("rebuild", "--data", str(self.folder / "new")))
