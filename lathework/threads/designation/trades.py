"""Designations of trapezoidal threads: Tr20x4, 1-5 Acme."""

from __future__ import annotations

import re

from lathework.threads.designation.common import SIZE, ask, fail, fraction
from lathework.threads.library import library
from lathework.threads.series import trim
from lathework.threads.thread import Thread

_TR = re.compile(r"^tr\s*(?P<size>\d{1,3})(?:\s*x?\s*(?P<pitch>\d{1,2}(?:\.\d)?))?$", re.ASCII)
_ACME = re.compile(rf"^(?P<size>{SIZE})(?:\s*[-x]\s*|\s+)?(?:(?<=[\s\-x])(?P<tpi>\d{{1,2}}))?\s*acme$", re.ASCII)


def _trapezoidal(size: str, pitch: str | None) -> Thread:
    known = [t for t in library() if t.series == "Tr"]
    found = [t for t in known if t.major == float(size)]
    if not found:
        near = sorted(known, key=lambda t: abs(t.major - float(size)))[:3]
        raise fail("unknown-size", f"Tr{size} is not in the tables.", [t.designation for t in near])
    wanted = [t for t in found if pitch is None or t.pitch == float(pitch)]
    if not wanted:
        text = f"Tr{size} is standard with a pitch of {' or '.join(trim(t.pitch) for t in found)} mm."
        raise fail("non-standard-pitch", text, [t.designation for t in found])
    # The pitch of first choice stands first in the table.
    return wanted[0]


def _acme(text: str, size: str, tpi: str | None) -> Thread:
    known = [t for t in library() if t.series == "Acme"]
    found = [t for t in known if t.major == float(fraction(size.replace(" ", "-")))]
    if not found:
        raise fail("unknown-size", f"{size} Acme is not in the tables.", [t.designation for t in known])
    if tpi is not None and found[0].tpi != float(tpi):
        raise ask(text, found)
    return found[0]


def read_trade(text: str) -> Thread | None:
    """The thread such a designation means, or None when `text` is none. Raises InputError."""
    if match := _TR.match(text):
        return _trapezoidal(match["size"], match["pitch"])
    if match := _ACME.match(text):
        return _acme(text, match["size"], match["tpi"])
    return None
