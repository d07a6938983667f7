"""What was refused for safety's sake, told on the terminal once: whoever knocks a thousand times fills no log."""

from __future__ import annotations

import sys
import threading
from contextlib import suppress

MOST_TOLD, LONGEST = 200, 120
_told: set[str] = set()
_lock = threading.Lock()


def tell_refusal(text: str) -> None:
    """One line on standard error, the first time that this is said."""
    line = "".join(c if c.isprintable() else "?" for c in text[:LONGEST])
    with _lock:
        if line in _told or len(_told) >= MOST_TOLD:
            return
        _told.add(line)
    # The terminal may be closed, or the disk of its log full: what was refused stays refused.
    with suppress(OSError, ValueError):
        print(f"conch: refused: {line}", file=sys.stderr, flush=True)
