"""Running the command line in process."""

from __future__ import annotations

import io
import tempfile
import unittest
from contextlib import redirect_stderr, redirect_stdout
from pathlib import Path

from launcher.main import main


class CommandCase(unittest.TestCase):
    """A folder of its own, and `run` for one command."""

    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory(prefix="conch-launcher-")
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)

    def run_command(self, *arguments: str) -> tuple[int, str, str]:
        """Exit status, standard output, standard error."""
        out, err = io.StringIO(), io.StringIO()
        with redirect_stdout(out), redirect_stderr(err):
            try:
                status = main(list(arguments))
            except SystemExit as left:
                status = int(left.code or 0)
        return status, out.getvalue(), err.getvalue()

    def stopped(self, *arguments: str) -> str:
        """The one clear line of a command that cannot go on; exit status 2."""
        status, _, err = self.run_command(*arguments)
        self.assertEqual(status, 2)
        last = err.strip().splitlines()[-1]
        self.assertTrue(last.startswith("conch: "), err)
        return last
