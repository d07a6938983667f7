"""What is asked of a server first is loaded and worked out beforehand, without keeping that waiting."""

from __future__ import annotations

import gc
import os
import threading
import time
from importlib import import_module

from server.urls import API

SHORT_LIVED = "CONCH_SHORT_LIVED"
"""Set for a server that is started for a moment: only what every answer needs is loaded beforehand."""
GC_ALLOCATIONS = 50_000
QUIET_S = 2.0
"""From the API being ready until what is asked later is worked out: the page that was opened asks meanwhile."""


def _work_ahead() -> None:
    """Load and work out what an hour's work asks for."""
    from lathework.answers.size import size_of
    from lathework.threads.library import library
    from server.paper import dxf, holder_sheet, labels, setup_sheet  # noqa: F401  # they take long to be loaded

    for thread in library():
        size_of(thread)  # kept, so that the first keystroke is as quick as the next


def _warm() -> None:
    """Load the API, then what an hour's work asks for; and keep it out of the collector's rounds."""
    try:
        import_module(API)
        if SHORT_LIVED not in os.environ:
            time.sleep(QUIET_S)
            _work_ahead()
    finally:
        # What is kept for good is taken out of the collector's rounds, and these come seldom: an answer makes thousands
        # of small values, none of them in circles.
        gc.freeze()
        gc.set_threshold(GC_ALLOCATIONS)
        gc.enable()


def begin() -> None:
    """Begin, beside the server."""
    threading.Thread(target=_warm, name="warming", daemon=True).start()
