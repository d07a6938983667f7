"""What the benchmark asks of a server is still answered: it would not be noticed before somebody measures."""

from __future__ import annotations

import shutil
import tempfile
import unittest
from pathlib import Path

from benchmarks.history import PAGES, Recorder, asks
from benchmarks.in_browser import MEASURED_JOB
from benchmarks.speed import LiveServer, interleaved
from server.store import NAME
from tests.browser.server import ROOT, first_store


class Asked(unittest.TestCase):
    def test_every_page_and_a_reading(self) -> None:
        with tempfile.TemporaryDirectory(prefix="conch-benchmark-") as folder:
            shutil.copy(first_store(empty=False), Path(folder) / NAME)
            server = LiveServer(ROOT, Path(folder))
            self.addCleanup(server.stop)
            self.assertEqual(set(interleaved(asks(server, MEASURED_JOB), rounds=1, warm_up=0)), set(PAGES))
            recorder = Recorder(server, MEASURED_JOB)
            before = len(recorder.now["sizes"][0]["readings"])
            recorder(1)
            self.assertEqual(len(recorder.now["sizes"][0]["readings"]), before + 1)
