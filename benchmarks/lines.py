"""Counts code lines: what is not blank, in Python, TypeScript and Vue files that git tracks or would."""

from __future__ import annotations

import subprocess
from pathlib import Path

KINDS = ("*.py", "*.ts", "*.vue", "*.css", "conch")
NOT_OURS = ("migrations/", "generated")
HOW = (
    "non-blank lines of .py, .ts, .vue, .css and ./conch, without migrations and generated files; "
    "tests are the files in a tests folder"
)


def count(root: Path) -> tuple[int, int]:
    """Lines of tests and lines of all code."""
    command = ["git", "ls-files", "--cached", "--others", "--exclude-standard", *KINDS]
    names = subprocess.run(command, cwd=root, capture_output=True, text=True, check=True).stdout.split()
    tests = total = 0
    for name in names:
        if any(part in name for part in NOT_OURS) or not (root / name).exists():
            continue
        lines = sum(1 for line in (root / name).read_text(encoding="utf-8").splitlines() if line.strip())
        total += lines
        if "tests" in Path(name).parts[:-1]:
            tests += lines
    return tests, total
