"""Faults put into the program one at a time, and how many of them its tests notice."""

from __future__ import annotations

import os
import subprocess
import sys
import tempfile
from pathlib import Path

from launcher.environment import ROOT, venv_python


def mutants(count: int, seed: int) -> dict[str, float]:
    """How many of `count` faults, drawn by `seed`, are noticed; those that live are told one a line.

    As many are tried at a time as there are processors, each on a clone of its own.
    """
    python = venv_python("mutants")
    with tempfile.TemporaryDirectory(prefix="conch-mutants-") as folder:
        clones = [Path(folder) / f"clone-{number}" for number in range(os.cpu_count() or 1)]
        for clone in clones:
            subprocess.run(["git", "clone", "--quiet", str(ROOT), str(clone)], check=True)
        drawn = ["--count", str(count), "--seed", str(seed)]
        command = [str(python), "-m", "tests.campaign.mutation", *map(str, clones), *drawn]
        done = subprocess.run(command, cwd=ROOT, stdout=subprocess.PIPE, text=True, check=True)
    figures: dict[str, float] = {}
    for line in done.stdout.splitlines():
        told, _, rest = line.partition(" ")
        if told == "room":
            room, caught, tried = rest.split()
            name = room.replace("/", "_")
            figures |= {f"mutants_{name}": float(tried), f"mutants_{name}_noticed": float(caught)}
        else:
            print(line, file=sys.stderr)
    return figures
