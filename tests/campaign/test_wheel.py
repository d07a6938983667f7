"""The wheel: installed in an environment of its own, it serves page and demo with no Node and no checkout."""

from __future__ import annotations

import json
import os
import subprocess
import sys
import tempfile
import unittest
import urllib.request
import venv
from pathlib import Path

from launcher.bill import bill_of_materials, licences
from launcher.environment import HOME, in_venv, venv_python
from tests.browser.server import ROOT

LONGEST_S = 300


class Built(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory(prefix="conch-wheel-")
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)

    def run_quietly(self, *command: str | Path, **more: str) -> str:
        done = self.run_alone(*command, **more)
        self.assertEqual(done.returncode, 0, done.stdout + done.stderr)
        return done.stdout

    def run_alone(self, *command: str | Path, **more: str) -> subprocess.CompletedProcess[str]:
        """Run something that finds nothing of the checkout, and no Node."""
        return subprocess.run(
            [str(part) for part in command],
            cwd=self.folder,
            env={"PATH": "/usr/bin:/bin", "HOME": str(self.folder), **more},
            capture_output=True,
            text=True,
            timeout=LONGEST_S,
            check=False,
        )

    def test_it_runs_by_itself(self) -> None:
        built, own = self.folder / "built", self.folder / "own"
        self.run_quietly(sys.executable, ROOT / "conch", "build", "--to", built, PATH=os.environ["PATH"])
        [wheel] = built.glob("*.whl")
        venv.create(own, with_pip=True)
        # What it needs is there already: nothing is fetched in a test.
        needs = [path for path in sys.path if path.endswith("site-packages")]
        [site] = own.glob("lib/python*/site-packages")
        (site / "needs.pth").write_text("\n".join(needs), encoding="utf-8")
        self.run_quietly(in_venv(own, "python"), "-m", "pip", "install", "--no-deps", "--no-index", wheel)
        conch = in_venv(own, "conch")
        self.assertIn("ISO metric", self.run_quietly(conch, "size", "M8"))
        refused = self.run_alone(conch, "test")
        self.assertEqual((refused.returncode, refused.stderr.count("\n")), (2, 1))
        self.serves(conch)

    def serves(self, conch: Path) -> None:
        env = {"PATH": "/usr/bin:/bin", "HOME": str(self.folder), "XDG_DATA_HOME": str(self.folder / "data")}
        command = [str(conch), "start", "--port", "0"]
        with subprocess.Popen(command, cwd=self.folder, env=env, stdout=subprocess.PIPE, text=True) as running:
            assert running.stdout is not None
            address = running.stdout.readline().split()[3]
            with urllib.request.urlopen(address) as page:
                self.assertIn(b'id="app"', page.read())
            with urllib.request.urlopen(f"{address}api/jobs") as jobs:
                self.assertEqual(json.load(jobs)["counts"]["open"], 10)
            running.terminate()
        self.assertTrue((self.folder / "data" / "conch" / "conch.sqlite3").exists(), "where this user's data is kept")

    def test_the_list_of_licences_is_current(self) -> None:
        """`./conch build` writes it; it stands in docs."""
        told = licences(bill_of_materials(HOME / "python-dev", venv_python()))
        self.assertEqual((ROOT / "docs" / "licences.md").read_text(encoding="utf-8"), told)
        self.assertNotIn("not told", told)
