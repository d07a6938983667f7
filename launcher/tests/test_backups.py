"""Daily copies: when one is due, that the last ten stay, and that a fault takes none of them away."""

from __future__ import annotations

import sqlite3
from contextlib import closing, redirect_stderr
from datetime import datetime, timedelta
from io import StringIO
from unittest import mock

from hypothesis import given
from hypothesis import strategies as st

from launcher.tests.test_store import StoreCase
from server import backups, store

NOON = datetime(2026, 3, 2, 12, 0)
DAY = timedelta(days=1)


class Daily(StoreCase):
    def setUp(self) -> None:
        super().setUp()
        self.make(self.store, "Levelling studs")

    def test_one_a_day_and_the_last_ten(self) -> None:
        """Twelve days with a look every hour: a copy a day, ten of them left, each a sound store with the job in it."""
        for hour in range(12 * 24):
            now = NOON + timedelta(hours=hour)
            if backups.due(self.data, now):
                backups.back_up(self.data, now)
        made = backups.kept(self.data)
        self.assertEqual([when for when, _ in made], [NOON + n * DAY for n in range(2, 12)])
        for _, file in made:
            store.check_store(file)
            with closing(sqlite3.connect(file)) as copy:
                self.assertEqual(copy.execute("SELECT title FROM jobs_job").fetchall(), [("Levelling studs",)])
        status, _, err = self.run_command("restore", str(made[-1][1]), "--data", str(self.data))
        self.assertEqual(status, 0, err)

    @given(st.integers(-400, 400))
    def test_a_clock_that_jumps(self, days: int) -> None:
        """Whatever the clock said before, a copy is due a day after the last one that is not of a time to come."""
        backups.back_up(self.data, NOON + days * DAY)
        newest = [when for when, _ in backups.kept(self.data) if when <= NOON]
        self.assertEqual(backups.due(self.data, NOON), not newest or NOON - newest[-1] >= DAY)

    def test_copies_from_a_time_to_come_push_none_out(self) -> None:
        """A clock a year ahead for ten days: set right again, the copy that is made stays, and is due a day later."""
        for day in range(backups.KEPT):
            backups.back_up(self.data, NOON + (365 + day) * DAY)
        made = backups.back_up(self.data, NOON)
        self.assertTrue(made.exists())
        self.assertFalse(backups.due(self.data, NOON + DAY / 2))
        self.assertTrue(backups.due(self.data, NOON + DAY))

    def test_a_fault_takes_nothing_away_and_is_told_once(self) -> None:
        backups.back_up(self.data, NOON)
        self.store.write_bytes(b"spoilt" * 500)
        thread, said = backups._Daily(self.data), StringIO()
        with redirect_stderr(said):
            thread.look(NOON + DAY)
            thread.look(NOON + DAY)
        self.assertEqual(said.getvalue().count("daily backup failed"), 1)
        (kept,) = backups.kept(self.data)
        self.assertEqual(kept[0], NOON)
        self.assertEqual([file.name for file in (self.data / backups.FOLDER).iterdir()], [kept[1].name])

    def test_a_full_disk_is_told_and_the_server_goes_on(self) -> None:
        thread, said = backups._Daily(self.data), StringIO()
        with (
            mock.patch.object(store, "_copy", side_effect=OSError(28, "No space left on device")),
            redirect_stderr(said),
        ):
            thread.look(NOON)
        self.assertIn("No space left", said.getvalue())
        self.assertEqual(list((self.data / backups.FOLDER).iterdir()), [])

    def test_what_a_kill_left_is_swept_away(self) -> None:
        folder = self.data / backups.FOLDER
        folder.mkdir()
        (folder / ".conch-abc.part").write_bytes(b"half")
        made = backups.back_up(self.data, NOON)
        self.assertEqual(list(folder.iterdir()), [made])

    def test_without_a_store_nothing_is_due(self) -> None:
        self.store.unlink()
        self.assertFalse(backups.due(self.data, NOON))
