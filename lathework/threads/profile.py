"""The outline of a thread in its axial plane: diameters over one pitch, at any limits."""

from __future__ import annotations

import math
from bisect import bisect_right
from dataclasses import dataclass
from itertools import pairwise

from lathework.threads.forms import Form

ARC_STEPS = 6
"""Straight pieces in which a quarter of a rounded crest or root is drawn."""

Point = tuple[float, float]


@dataclass(frozen=True, slots=True)
class Profile:
    """One pitch of outline, from the middle of an external crest (an internal root) to the next.

    `points` are (distance along the axis, diameter), ascending along the axis, in the unit of `pitch`.
    """

    pitch: float
    points: tuple[Point, ...]

    def diameter_at(self, along: float) -> float:
        """Diameter of the outline at a distance along the axis, in the unit of the profile."""
        x = along % self.pitch
        at = min(max(bisect_right(self.points, x, key=lambda p: p[0]), 1), len(self.points) - 1)
        (x0, d0), (x1, d1) = self.points[at - 1], self.points[at]
        return d0 if x1 == x0 else d0 + (d1 - d0) * (x - x0) / (x1 - x0)

    def run(self, pitches: float, start: float = 0.0) -> list[Point]:
        """The outline over a number of pitches, from `start` along the axis (the unit of the profile)."""
        end = start + pitches * self.pitch
        first = math.floor(start / self.pitch)
        corners = [
            (x + turn * self.pitch, d)
            for turn in range(first, math.ceil(end / self.pitch) + 1)
            for x, d in self.points[:-1]
        ]
        inside = [p for p in corners if start < p[0] < end]
        return [(start, self.diameter_at(start)), *inside, (end, self.diameter_at(end))]


def _crest(half_angle: float, quarter: float, height: float, *, rounded: bool) -> list[Point]:
    """From the middle of a crest to where the flank begins: (along, height over the pitch line)."""
    apex = quarter / math.tan(half_angle)
    if height >= apex:
        return [(0.0, apex)]
    if not rounded:
        return [(0.0, height), (quarter - height * math.tan(half_angle), height)]
    sine = math.sin(half_angle)
    radius = (apex - height) * sine / (1 - sine)
    steps = [n / ARC_STEPS * (math.pi / 2 - half_angle) for n in range(ARC_STEPS + 1)]
    return [(radius * math.sin(t), height - radius + radius * math.cos(t)) for t in steps]


def profile(form: Form, pitch: float, *, major: float, pitch_diameter: float, minor: float) -> Profile:
    """The outline of a thread of `form` cut to the given diameters, all in one unit.

    Flanks lie so that thread and space are equally wide at `pitch_diameter`; flats or tangent arcs bound them at
    `major` and `minor`. Source: geometry of the form.
    """
    half, quarter = math.radians(form.angle_deg / 2), pitch / 4
    crest = _crest(half, quarter, (major - pitch_diameter) / 2, rounded=form.rounded)
    root = _crest(half, quarter, (pitch_diameter - minor) / 2, rounded=form.rounded)
    falling = [*crest, *((pitch / 2 - x, -y) for x, y in reversed(root))]
    rising = [(pitch - x, y) for x, y in reversed(falling)]
    once = [falling[0], *(b for a, b in pairwise([*falling, *rising]) if b[0] > a[0] + 1e-12)]
    return Profile(pitch, tuple((x, pitch_diameter + 2 * y) for x, y in once))
