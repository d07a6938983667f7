"""The browser of this process: started with its first test, and used by all that follow."""

from __future__ import annotations

import os
from functools import cache
from multiprocessing.util import Finalize

from playwright.sync_api import Browser, Playwright, sync_playwright

FLAGS = [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
]
LAUNCH_MS = 120_000
_STARTED: list[Browser] = []


def browser() -> Browser:
    """The browser, started where there is none, or none any more."""
    if not _STARTED or not _STARTED[-1].is_connected():
        _STARTED.append(_start())
    return _STARTED[-1]


@cache
def _playwright() -> Playwright:
    """What drives the browser: a thread can have it once."""
    # A loop stays behind in this thread, which Django takes for a program that may not wait for its database.
    os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"
    playwright = sync_playwright().start()
    # At the end of this process, and of each that runs tests beside it.
    Finalize(None, playwright.stop, exitpriority=1)
    return playwright


def _start() -> Browser:
    path = os.environ.get("CONCH_CHROMIUM", "/usr/bin/chromium")
    started = _playwright().chromium.launch(executable_path=path, args=FLAGS, timeout=LAUNCH_MS)
    Finalize(None, started.close, exitpriority=2)
    return started
