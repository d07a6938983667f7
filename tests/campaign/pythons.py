"""The core's and the contract's tests on every interpreter of this machine that the product may run on."""

from __future__ import annotations

import re
import shutil
import subprocess
import sys
import tempfile
from pathlib import Path

from launcher.environment import OLDEST_PYTHON
from tests.browser.server import ROOT

LATEST_MINOR, LONGEST_S = 20, 2400
TRIED = ("lathework", "tests.contract")


def _version(python: Path) -> tuple[int, int]:
    """Major and minor of an interpreter; (0, 0) for a file that runs none."""
    command = [str(python), "-c", "import sys; print(*sys.version_info[:2])"]
    done = subprocess.run(command, capture_output=True, text=True, timeout=60, check=False)
    found = re.fullmatch(r"(\d+) (\d+)\s*", done.stdout)
    return (int(found[1]), int(found[2])) if found else (0, 0)


def interpreters() -> dict[tuple[int, int], Path]:
    """One of each version that is found by its name, or installed beside the one that runs."""
    minors = range(OLDEST_PYTHON[1], LATEST_MINOR)
    named = [Path(found) for minor in minors if (found := shutil.which(f"python3.{minor}"))]
    beside = [file for minor in minors for file in Path(sys.base_prefix).parent.glob(f"*/bin/python3.{minor}")]
    out: dict[tuple[int, int], Path] = {}
    for one in (*named, *beside):
        version = _version(one)
        if version >= OLDEST_PYTHON:
            out.setdefault(version, one)
    return out


def pythons() -> dict[str, float]:
    """Whether they fail, by interpreter, each on a clone of its own."""
    out = {}
    for (major, minor), python in sorted(interpreters().items()):
        with tempfile.TemporaryDirectory(prefix="conch-python-") as folder:
            subprocess.run(["git", "clone", "--quiet", str(ROOT), folder], check=True)
            command = [str(python), "conch", "test", *TRIED]
            done = subprocess.run(command, cwd=folder, stdout=sys.stderr, timeout=LONGEST_S, check=False)
            out[f"python_{major}_{minor}_wrong"] = float(done.returncode != 0)
    return out
