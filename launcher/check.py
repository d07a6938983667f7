"""`conch test`: everything that decides whether the product is sound."""

from __future__ import annotations

import subprocess
import tempfile
import time
from pathlib import Path

from launcher.environment import ROOT, WEB, built_page, chromium, node_modules, venv_python
from launcher.messages import say
from launcher.serve import server_environment


def _checks(python: Path) -> list[tuple[str, list[str], Path]]:
    bin_folder = python.parent
    return [
        ("ruff", [str(bin_folder / "ruff"), "check", "."], ROOT),
        ("ruff format", [str(bin_folder / "ruff"), "format", "--check", "."], ROOT),
        ("mypy", [str(bin_folder / "mypy")], ROOT),
        ("layers", [str(bin_folder / "lint-imports"), "--no-logo"], ROOT),
        ("prettier", ["npx", "--no-install", "prettier", "--check", "src", "bare"], WEB),
        ("eslint", ["npm", "run", "--silent", "lint"], WEB),
        ("vue-tsc", ["npm", "run", "--silent", "types"], WEB),
        ("api types", ["npm", "run", "--silent", "api", "--", "--check"], WEB),
        (
            "tests",
            [str(python), "server/manage.py", "test", "--parallel", "2", "lathework", "launcher", "server", "tests"],
            ROOT,
        ),
    ]


def run_tests(only: list[str], *, same_draws: bool) -> int:
    """Run every check, or the Django tests named in `only`; say at the end what failed.

    With `same_draws` the property tests draw the same examples in each run, so that a run says only what changed.
    """
    python = venv_python(dev=True)
    node_modules()
    built_page()
    started = time.monotonic()
    failed = []
    with tempfile.TemporaryDirectory(prefix="conch-test-") as data:
        env = {**server_environment(Path(data)), "CONCH_CHROMIUM": chromium()}
        if same_draws:
            env["CI"] = "1"  # hypothesis' profile for a gate: no random seed, no deadline
        else:
            env.pop("CI", None)
        checks = _checks(python)
        if only:
            checks = [("tests", [*checks[-1][1][:3], *only], ROOT)]
        for name, command, folder in checks:
            say(f"== {name}")
            if subprocess.run(command, cwd=folder, env=env, check=False).returncode:
                failed.append(name)
    minutes = (time.monotonic() - started) / 60
    say(f"== {'failed: ' + ', '.join(failed) if failed else 'all green'} ({minutes:.1f} minutes)")
    return 1 if failed else 0
