"""An installed wheel with nothing of the checkout about it, and no Node."""

from __future__ import annotations

import json
import os
import re
import subprocess
import sys
import tempfile
import urllib.request
import venv
from pathlib import Path

from launcher.environment import in_venv
from tests.browser.server import DEMO_JOBS, ROOT

LONGEST_S = 600


class Alone:
    """A folder with what is built, an environment for it, and the data of whoever runs it."""

    def __init__(self, folder: Path) -> None:
        self.folder, self.built, self.own = folder, folder / "built", folder / "own"
        self.conch, self.python = in_venv(self.own, "conch"), in_venv(self.own, "python")
        self.env = {"PATH": "/usr/bin:/bin", "HOME": str(folder), "XDG_DATA_HOME": str(folder / "data")}

    def build(self, *more: str) -> None:
        """Build the wheel, and make an environment that has nothing in it."""
        conch = ROOT / "conch"
        done = self.run(sys.executable, conch, "build", "--to", self.built, *more, PATH=os.environ["PATH"])
        if done.returncode:
            raise RuntimeError(done.stdout + done.stderr)
        venv.create(self.own)

    def run(self, *command: str | Path, **more: str) -> subprocess.CompletedProcess[str]:
        """Run something that finds nothing of the checkout, and no Node."""
        return subprocess.run(
            [str(part) for part in command],
            cwd=self.folder,
            env={**self.env, **more},
            capture_output=True,
            text=True,
            timeout=LONGEST_S,
            check=False,
        )

    def install(self, *arguments: str | Path) -> None:
        """Install into the environment, from no index. Raises RuntimeError with what was said."""
        pip = (sys.executable, "-m", "pip", "--python", self.python)
        done = self.run(*pip, "install", "--no-index", *arguments)
        if done.returncode:
            raise RuntimeError(done.stdout + done.stderr)

    def open_jobs(self) -> int:
        """How many jobs it shows once it is started, and has given its page."""
        command = [str(self.conch), "start", "--port", "0"]
        with subprocess.Popen(command, cwd=self.folder, env=self.env, stdout=subprocess.PIPE, text=True) as running:
            try:
                assert running.stdout is not None
                [address] = re.findall(r"http://\S+", running.stdout.readline())
                with urllib.request.urlopen(address) as page:
                    assert b'id="app"' in page.read()
                with urllib.request.urlopen(f"{address}api/jobs") as jobs:
                    return int(json.load(jobs)["counts"]["open"])
            finally:
                running.terminate()


def offline() -> dict[str, int]:
    """Built with all it needs, installed from that folder alone, started: how many wheels, how many jobs of the demo it
    did not show."""
    with tempfile.TemporaryDirectory(prefix="conch-offline-") as folder:
        alone = Alone(Path(folder))
        alone.build("--with-needs")
        alone.install("--find-links", alone.built, "conch")
        return {"offline_wheels": len(list(alone.built.glob("*.whl"))), "offline_wrong": DEMO_JOBS - alone.open_jobs()}
