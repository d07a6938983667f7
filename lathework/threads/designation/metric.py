"""Metric designations."""

from __future__ import annotations

import re
from decimal import Decimal

from lathework.threads.designation.common import ask, fail
from lathework.threads.library import library
from lathework.threads.series import trim
from lathework.threads.special import special_metric
from lathework.threads.thread import Thread

_METRIC = re.compile(
    r"^m\s*(?P<diameter>\d{1,4}(?:\.\d{1,4})?)(?:(?:\s*[-x*]\s*|\s+)(?P<pitch>\d{1,3}(?:\.\d{1,4})?|\.\d{1,4}))?"
    r"\s*(?P<word>coarse|fine|special)?$",
    re.ASCII,
)
_BARE = re.compile(r"^(?P<diameter>\d{1,3}(?:\.\d)?)\s*x\s*(?P<pitch>\d(?:\.\d{1,3})?)$", re.ASCII)


def _without_its_m(text: str) -> None:
    """A diameter and a pitch that the metric table pairs: what is meant is asked. Raises InputError."""
    match = _BARE.match(text)
    if match is None:
        return
    diameter, pitch = float(match["diameter"]), float(match["pitch"])
    found = [t for t in library() if t.family == "metric" and (t.major, t.pitch) == (diameter, pitch)]
    if found:
        raise ask(text, found)


def read_metric(text: str) -> Thread | None:
    """The thread a metric designation means, or None when `text` is none. Raises InputError."""
    match = _METRIC.match(text)
    if match is None:
        _without_its_m(text)
        return None
    diameter = Decimal(match["diameter"])
    sizes = [t for t in library() if t.family == "metric" and t.major == float(diameter)]
    pitch = Decimal(match["pitch"]) if match["pitch"] else None
    name = f"M{trim(diameter)}"
    if match["word"] == "special":
        if pitch is None or not 0 < pitch * 2 < diameter or not 1 <= diameter <= 300:
            raise fail("incomplete", "A special metric thread needs diameter and pitch, as in M8x1.3 special.")
        return special_metric(diameter, pitch)
    if not sizes:
        listed = {t.major for t in library() if t.family == "metric"}
        near = sorted(listed, key=lambda m: abs(m - float(diameter)))[:3]
        also = [f"{name}x{trim(pitch)} special"] if pitch and 0 < pitch * 2 < diameter else []
        raise fail("unknown-size", f"{name} is not a standard metric size.", [*(f"M{trim(m)}" for m in near), *also])
    if match["word"] == "fine" and pitch is None:
        sizes = [t for t in sizes if t.series == "fine"]
        if len(sizes) == 1:
            return sizes[0]
        raise ask(f"{name} fine", sizes)
    for thread in sizes:
        if (pitch is None and thread.series in ("coarse", "old")) or (
            pitch is not None and thread.pitch == float(pitch)
        ):
            return thread
    if pitch is None:
        raise ask(name, sizes)
    standard = ", ".join(trim(p) for p in sorted(t.pitch for t in sizes))
    also = [f"{name}x{trim(pitch)} special"] if 0 < pitch * 2 < diameter else []
    raise fail(
        "non-standard-pitch",
        f"{name} has the standard pitches {standard} mm, not {trim(pitch)} mm. Type “{name}x{trim(pitch)} "
        "special” if you want it anyway.",
        [*(t.designation for t in sizes), *also],
    )
