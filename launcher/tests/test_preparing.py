"""What stops the launcher, said in one line with exit status 2."""

from __future__ import annotations

import errno
import io
import os
import socket
import sys
from contextlib import redirect_stderr
from pathlib import Path
from unittest import mock

from launcher import environment
from launcher.tests.case import CommandCase
from server.network import HERE


class Stops(CommandCase):
    def test_an_old_python(self) -> None:
        with mock.patch.object(sys, "version_info", (3, 8, 0)):
            self.assertIn("Python 3.11 or newer is needed", self.stopped("size", "M8"))

    def test_an_old_or_missing_node(self) -> None:
        old = self.folder / "node"
        old.write_text("#!/bin/sh\necho v12.1.0\n")
        old.chmod(0o755)
        (self.folder / "npm").symlink_to("/bin/true")
        for path, told in ((str(self.folder), "this is v12.1.0"), ("/nowhere", "was not found")):
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
            taken.bind((HERE, 0))
            taken.listen()
            port = taken.getsockname()[1]
            self.assertIn(f"port {port} is in use", self.stopped("start", "--port", str(port)))
        self.assertIn("is not a valid port", self.stopped("start", "--port", "99999"))

    def test_a_folder_that_cannot_be_written(self) -> None:
        """Root may write everywhere, so the refusal is played."""
        with mock.patch.object(Path, "touch", side_effect=PermissionError(errno.EACCES, "Permission denied")):
            told = self.stopped("backup", "x", "--data", str(self.folder / "data"))
        self.assertIn("cannot write to", told)
        self.assertIn("Permission denied", told)

    def test_a_folder_that_is_a_file(self) -> None:
        (self.folder / "data").touch()
        self.assertIn("cannot write to", self.stopped("backup", "x", "--data", str(self.folder / "data")))
