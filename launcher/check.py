"""`conch test`: everything that decides whether the product is sound."""

from __future__ import annotations

import os
import signal
import subprocess
import sys
import tempfile
import time
from concurrent.futures import ThreadPoolExecutor
from contextlib import suppress
from dataclasses import dataclass
from pathlib import Path

from launcher.environment import ROOT, WEB, chromium, prepared
from launcher.messages import say
from launcher.serve import many_starts

MOST_MINUTES, STACKS_S = 40, 5.0
"""How long everything together may take; and how long what hangs has to say where."""


@dataclass(frozen=True)
class Check:
    """A command that must end well."""

    name: str
    command: list[str]
    folder: Path


def _checks(python: Path) -> list[Check]:
    """Those that read the sources alone."""
    bin_folder = python.parent
    return [
        # The two that take longest go first, beside each other.
        Check("mypy", [str(bin_folder / "mypy")], ROOT),
        Check("vue-tsc", ["npm", "run", "--silent", "types"], WEB),
        Check("ruff", [str(bin_folder / "ruff"), "check", "."], ROOT),
        Check("ruff format", [str(bin_folder / "ruff"), "format", "--check", "."], ROOT),
        Check("layers", [str(bin_folder / "lint-imports"), "--no-logo"], ROOT),
        Check("prettier", ["npx", "--no-install", "prettier", "--check", "src", "bare", "tests"], WEB),
        Check("eslint", ["npm", "run", "--silent", "lint"], WEB),
        Check("vitest", ["npm", "run", "--silent", "test"], WEB),
        Check("api types", ["npm", "run", "--silent", "api", "--", "--check"], WEB),
    ]


def _tests(python: Path, only: list[str]) -> Check:
    # Twice as many at a time as there are processors: a page waits for its server, a server for its page, and both for
    # the half second in which a person would read what the button says.
    which = ["--testrunner", "tests.runner.TimedRunner"]
    which += only or ["--parallel", str(2 * (os.cpu_count() or 1)), "tests", "server", "lathework", "launcher"]
    return Check("tests", [str(python), "server/manage.py", "test", *which], ROOT)


def _said(python: Path) -> str:
    """Which interpreter the checks run on."""
    command = [str(python), "-c", "import platform; print(platform.python_implementation(), platform.python_version())"]
    return subprocess.run(command, check=True, capture_output=True, text=True).stdout.strip()


def _ended_in_time(check: Check, env: dict[str, str], until_s: float) -> str:
    """What went wrong with a check that may run until then (seconds of the steady clock); "" where it ended well.

    One that hangs is asked where, and ended with every process that it began.
    """
    with subprocess.Popen(check.command, cwd=check.folder, env=env, start_new_session=True) as running:
        try:
            return check.name if running.wait(max(0.0, until_s - time.monotonic())) else ""
        except subprocess.TimeoutExpired:
            if sys.platform != "win32":
                os.killpg(running.pid, signal.SIGUSR1)
                time.sleep(STACKS_S)
            return f"{check.name}: over {MOST_MINUTES} minutes, see above where it hung"
        finally:
            _end_group(running)


def _end_group(running: subprocess.Popen[bytes]) -> None:
    """End a process, where it is not over yet, and what it began and left behind."""
    if sys.platform == "win32":
        running.kill()
        return
    with suppress(ProcessLookupError):
        os.killpg(running.pid, signal.SIGKILL)


def _together(checks: list[Check], env: dict[str, str]) -> list[str]:
    """Run checks as many at a time as there are processors, tell what each said in their order; those that failed."""

    def run(check: Check) -> subprocess.CompletedProcess[str]:
        return subprocess.run(
            check.command,
            cwd=check.folder,
            env=env,
            check=False,
            text=True,
            stdout=subprocess.PIPE,
            stderr=subprocess.STDOUT,
        )

    failed = []
    with ThreadPoolExecutor(os.cpu_count()) as pool:
        for check, done in zip(checks, pool.map(run, checks), strict=True):
            say(f"== {check.name}\n{done.stdout.rstrip()}")
            if done.returncode:
                failed.append(check.name)
    return failed


def run_tests(only: list[str], *, same_draws: bool, long: bool = False) -> int:
    """Run every check, or the Django tests named in `only`; say at the end what failed.

    With `same_draws` the property tests draw the same examples in each run, so that a run says only what changed. A
    `long` run goes as far as a campaign does.
    """
    python = prepared(dev=True)
    started, interpreter = time.monotonic(), _said(python)
    with tempfile.TemporaryDirectory(prefix="conch-test-") as data:
        env = {**many_starts(Path(data)), "CONCH_CHROMIUM": chromium(), "CONCH_LONG": "1" if long else ""}
        if same_draws:
            env["CI"] = "1"  # hypothesis' profile for a gate: no random seed, no deadline
        else:
            env.pop("CI", None)
        failed = [] if only else _together(_checks(python), env)
        tests = _tests(python, only)
        say(f"== {tests.name}, on {interpreter}")
        if wrong := _ended_in_time(tests, env, started + 60 * MOST_MINUTES * (3 if long else 1)):
            failed.append(wrong)
    minutes = (time.monotonic() - started) / 60
    said = f"Failed: {', '.join(failed)}" if failed else "All tests passed"
    say(f"== {said} ({minutes:.1f} minutes, {interpreter})")
    return 1 if failed else 0
