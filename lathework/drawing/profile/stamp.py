"""A few turns of a form, small: the picture of a family of threads."""

from __future__ import annotations

import math

from lathework.drawing.shapes import Path, Sheet
from lathework.threads.thread import Thread

TURNS, ACROSS, HIGH = 3, 132.0, 44.0
"""Turns drawn, and the size of the picture in sheet units."""


def stamp(thread: Thread) -> Sheet:
    """The profile of a thread from crest to root, true in its angle, crests and roots drawn flat alike."""
    pitch = ACROSS / TURNS
    deep = (thread.major - thread.minor) / 2 / thread.pitch * pitch
    flank = deep * math.tan(math.radians(thread.form.angle_deg / 2))
    flat = max(0.0, (pitch - 2 * flank) / 2)
    top, bottom = (HIGH - deep) / 2, (HIGH + deep) / 2
    line = []
    for turn in range(TURNS):
        x = turn * pitch
        line += [(x, bottom), (x + flat, bottom), (x + flat + flank, top), (x + 2 * flat + flank, top)]
    line.append((ACROSS, bottom))
    metal = (*line, (ACROSS, HIGH), (0.0, HIGH))
    return Sheet(ACROSS, HIGH, (Path("part", (metal,), closed=True),), (), thread.form.name, pitch / thread.pitch)
