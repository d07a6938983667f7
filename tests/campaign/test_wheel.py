"""The wheel: installed in an environment of its own, it serves page and demo with no Node and no checkout."""

from __future__ import annotations

import sys
import tempfile
import unittest
from pathlib import Path

from django.test import tag

from launcher.bill import bill_of_materials, licences
from launcher.environment import HOME, venv_python
from tests.browser.server import DEMO_JOBS, ROOT
from tests.campaign.alone import Alone
from tests.long import TAG


class Built(unittest.TestCase):
    @tag(TAG)
    def test_it_runs_by_itself(self) -> None:
        """What it needs is taken from what there is: nothing is fetched in a test, but in `./conch campaign`."""
        folder = tempfile.TemporaryDirectory(prefix="conch-wheel-")
        self.addCleanup(folder.cleanup)
        alone = Alone(Path(folder.name))
        alone.build()
        [wheel] = alone.built.glob("*.whl")
        needs = [path for path in sys.path if path.endswith("site-packages")]
        [site] = alone.own.glob("lib/python*/site-packages")
        (site / "needs.pth").write_text("\n".join(needs), encoding="utf-8")
        alone.install("--no-deps", wheel)
        self.assertIn("ISO metric", alone.run(alone.conch, "size", "M8").stdout)
        refused = alone.run(alone.conch, "test")
        self.assertEqual((refused.returncode, refused.stderr.count("\n")), (2, 1))
        self.assertEqual(alone.open_jobs(), DEMO_JOBS)
        self.assertTrue((alone.folder / "data/conch/conch.sqlite3").exists(), "where this user's data is kept")

    def test_the_list_of_licences_is_current(self) -> None:
        """`./conch build` writes it; it stands in docs."""
        told = licences(bill_of_materials(HOME / "python-dev", venv_python()))
        self.assertEqual((ROOT / "docs" / "licences.md").read_text(encoding="utf-8"), told)
        self.assertNotIn("not stated", told)
