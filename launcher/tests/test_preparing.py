"""What stops the launcher, said in one line with exit status 2; backup and restore."""

from __future__ import annotations

import errno
import io
import os
import socket
import sqlite3
import sys
from contextlib import closing, redirect_stderr
from pathlib import Path
from unittest import mock

from launcher import environment, serve, store
from launcher.tests.case import CommandCase


class Stops(CommandCase):
    def test_an_old_python(self) -> None:
        with mock.patch.object(sys, "version_info", (3, 8, 0)):
            self.assertIn("needs Python 3.11 or newer", self.stopped("size", "M8"))

    def test_an_old_or_missing_node(self) -> None:
        old = self.folder / "node"
        old.write_text("#!/bin/sh\necho v12.1.0\n")
        old.chmod(0o755)
        (self.folder / "npm").symlink_to("/bin/true")
        for path, told in ((str(self.folder), "this is v12.1.0"), ("/nowhere", "none was found")):
            said = io.StringIO()
            with (
                mock.patch.dict(os.environ, {"PATH": path}),
                redirect_stderr(said),
                self.assertRaises(SystemExit) as left,
            ):
                environment.check_node()
            self.assertEqual(left.exception.code, 2)
            self.assertIn(told, said.getvalue())

    def test_a_port_in_use_or_that_is_none(self) -> None:
        with socket.socket() as taken:
            taken.bind((serve.HOST, 0))
            taken.listen()
            port = taken.getsockname()[1]
            self.assertIn(f"port {port} is in use", self.stopped("start", "--port", str(port)))
        self.assertIn("is no port", self.stopped("start", "--port", "99999"))

    def test_a_folder_that_cannot_be_written(self) -> None:
        """Root may write everywhere, so the refusal is played."""
        with mock.patch.object(Path, "touch", side_effect=PermissionError(errno.EACCES, "Permission denied")):
            told = self.stopped("backup", "x", "--data", str(self.folder / "data"))
        self.assertIn("cannot write in", told)
        self.assertIn("Permission denied", told)

    def test_a_folder_that_is_a_file(self) -> None:
        (self.folder / "data").touch()
        self.assertIn("cannot write in", self.stopped("backup", "x", "--data", str(self.folder / "data")))


class Store(CommandCase):
    def make(self, folder: Path, title: str) -> Path:
        folder.mkdir(exist_ok=True)
        file = folder / store.NAME
        with closing(sqlite3.connect(file)) as made:
            made.execute("CREATE TABLE jobs_job (title TEXT)")
            made.execute("CREATE TABLE jobs_entry (id INTEGER)")
            made.execute("INSERT INTO jobs_job VALUES (?)", (title,))
            made.commit()
        return file

    def title(self, file: Path) -> str:
        with closing(sqlite3.connect(file)) as kept:
            return str(kept.execute("SELECT title FROM jobs_job").fetchone()[0])

    def test_there_and_back(self) -> None:
        data, file = self.folder / "data", self.folder / "kept.sqlite3"
        self.make(data, "before")
        self.assertEqual(self.run_command("backup", str(file), "--data", str(data))[0], 0)
        with closing(sqlite3.connect(data / store.NAME)) as changed:
            changed.execute("UPDATE jobs_job SET title = 'after'")
            changed.commit()
        self.assertEqual(self.run_command("restore", str(file), "--data", str(data))[0], 0)
        self.assertEqual(self.title(data / store.NAME), "before")
        self.assertEqual(self.title(data / "conch-before-restore.sqlite3"), "after")

    def test_nothing_is_written_over(self) -> None:
        data, file = self.folder / "data", self.folder / "kept.sqlite3"
        self.make(data, "mine")
        file.write_text("precious")
        self.assertIn("exists already", self.stopped("backup", str(file), "--data", str(data)))
        self.assertEqual(file.read_text(), "precious")

    def test_what_is_no_store_is_refused_and_the_old_one_stands(self) -> None:
        data, file = self.folder / "data", self.folder / "other.sqlite3"
        self.make(data, "mine")
        file.write_text("not a store")
        self.assertIn("not a store of Conch", self.stopped("restore", str(file), "--data", str(data)))
        with closing(sqlite3.connect(self.folder / "foreign.sqlite3")) as foreign:
            foreign.execute("CREATE TABLE other (x)")
        told = self.stopped("restore", str(self.folder / "foreign.sqlite3"), "--data", str(data))
        self.assertIn("not a sound store", told)
        self.assertIn("there is no file", self.stopped("restore", str(self.folder / "none"), "--data", str(data)))
        self.assertEqual(self.title(data / store.NAME), "mine")

    def test_nothing_to_back_up_yet(self) -> None:
        told = self.stopped("backup", str(self.folder / "x"), "--data", str(self.folder / "new"))
        self.assertIn("nothing to back up", told)
