"""A few turns of a form, small: the picture of a family of threads."""

from __future__ import annotations

import math

from lathework.drawing.shapes import Path, Point, Sheet
from lathework.threads.thread import Thread

TURNS, ACROSS, HIGH = 3, 132.0, 44.0
"""Turns drawn, and the size of the picture in sheet units."""


ARC = 6
"""Chords that a rounded crest is drawn by."""


def stamp(thread: Thread) -> Sheet:
    """The profile of a thread from crest to root, true in its angle, crests and roots as its form has them: flat, or
    rounded where the standard rounds both."""
    pitch = ACROSS / TURNS
    deep = (thread.major - thread.minor) / 2 / thread.pitch * pitch
    top, bottom = (HIGH - deep) / 2, (HIGH + deep) / 2
    turn = _rounded(thread, pitch, deep) if thread.form.rounded else _flat(thread, pitch, deep)
    line = [(number * pitch + x, top + y) for number in range(TURNS) for x, y in turn]
    metal = (*line, (ACROSS, bottom), (ACROSS, HIGH), (0.0, HIGH))
    return Sheet(ACROSS, HIGH, (Path("part", (metal,), closed=True),), (), thread.form.name, pitch / thread.pitch)


def _flat(thread: Thread, pitch: float, deep: float) -> list[Point]:
    """A turn from root to root, with flats; its crest at 0, its root at `deep` (sheet units)."""
    flank = deep * math.tan(math.radians(thread.form.angle_deg / 2))
    flat = max(0.0, (pitch - 2 * flank) / 2)
    return [(0.0, deep), (flat, deep), (flat + flank, 0.0), (2 * flat + flank, 0.0)]


def rounding(thread: Thread) -> float:
    """The radius of crest and root over the pitch where a form rounds both so that arcs meet the flanks: what the
    sharp thread has more in depth, cut at either end. Source: plane geometry.

    >>> from lathework.threads.designation import read_designation
    >>> round(rounding(read_designation("1/2 BSW")), 3)
    0.137
    """
    half = math.radians(thread.form.angle_deg / 2)
    sharp = 0.5 / math.tan(half)
    return (sharp - thread.form.single_depth) / 2 / (1 / math.sin(half) - 1)


def _rounded(thread: Thread, pitch: float, deep: float) -> list[Point]:
    """The same with arcs: from the middle of a root over the crest to the next."""
    half, radius = math.radians(thread.form.angle_deg / 2), rounding(thread) * pitch
    opens = math.pi / 2 - half
    arc = [opens * number / ARC for number in range(ARC + 1)]
    falls = [(radius * math.sin(angle), radius * (1 - math.cos(angle))) for angle in arc]
    root = [(x, deep - y) for x, y in falls]
    crest = [(pitch / 2 - x, y) for x, y in reversed(falls)]
    rest = [(pitch - x, y) for x, y in reversed([*root, *crest[:-1]])]
    return [*root, *crest, *rest[1:-1]]
