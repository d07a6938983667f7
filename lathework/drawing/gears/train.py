"""The train from the spindle above to the leadscrew below: pitch circles that touch where wheels mesh."""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.drawing.shapes import Label, Line, Path, Point, Role, Sheet
from lathework.methods.gears import Train

WIDE, MARGIN, TEXT = 420.0, 18.0, 16.0
MOST_HIGH = 380.0
LEAN_DEG = (24.0, -38.0, 30.0)
"""How far each pair leans from straight down, one after the other, so that no wheel hides another."""
IDLER_TEETH = 40
"""Wheel drawn between where any may be: its size does not matter."""
POINTS = 72


@dataclass(frozen=True, slots=True)
class _Wheel:
    """A wheel by its shaft's place, its teeth, how it is drawn: "edge" drives, "ghost" is any wheel between."""

    at: Point
    teeth: int
    role: Role
    words: str


def _circle(at: Point, radius: float) -> Line:
    """A circle of `radius` (sheet units)."""
    turns = (2 * math.pi * n / POINTS for n in range(POINTS))
    return tuple((at[0] + radius * math.cos(turn), at[1] + radius * math.sin(turn)) for turn in turns)


def _moved(at: Point, far: float, lean_deg: float) -> Point:
    """A place so `far` from another (sheet units), leaning from straight down."""
    lean = math.radians(lean_deg)
    return at[0] + far * math.sin(lean), at[1] + far * math.cos(lean)


def _laid_out(train: Train) -> list[_Wheel]:
    """Each wheel at its place, a tooth a unit across two: radius is half its teeth."""
    at: Point = (0.0, 0.0)
    wheels = [_Wheel(at, train.drivers[0], "edge", "spindle")]
    pairs = list(zip(train.drivers, train.driven, strict=True))
    for number, (driver, driven) in enumerate(pairs):
        if len(pairs) == 1:
            # A single pair is far apart: any wheel between carries the turn over.
            at = _moved(at, (driver + IDLER_TEETH) / 2, LEAN_DEG[0])
            wheels.append(_Wheel(at, IDLER_TEETH, "ghost", "any gear"))
            driver = IDLER_TEETH
        at = _moved(at, (driver + driven) / 2, LEAN_DEG[number + (len(pairs) == 1)])
        last = number == len(pairs) - 1
        wheels.append(_Wheel(at, driven, "part", "leadscrew" if last else "driven"))
        if not last:
            wheels.append(_Wheel(at, train.drivers[number + 1], "edge", "drives"))
    return wheels


def train_sheet(train: Train) -> Sheet:
    """A train as one looks at it: driving wheels in outline, driven ones hatched; each with its teeth."""
    wheels = _laid_out(train)
    left = min(wheel.at[0] - wheel.teeth / 2 for wheel in wheels)
    top = min(wheel.at[1] - wheel.teeth / 2 for wheel in wheels)
    right = max(wheel.at[0] + wheel.teeth / 2 for wheel in wheels)
    low = max(wheel.at[1] + wheel.teeth / 2 for wheel in wheels)
    scale = min((WIDE - 2 * MARGIN - 150) / (right - left), (MOST_HIGH - 2 * MARGIN) / (low - top))
    place = [(MARGIN + (wheel.at[0] - left) * scale, MARGIN + (wheel.at[1] - top) * scale) for wheel in wheels]
    paths: list[Path] = []
    labels: list[Label] = []
    beside = max(at[0] + one.teeth / 2 * scale for at, one in zip(place, wheels, strict=True)) + 14
    for one, at in zip(wheels, place, strict=True):
        radius = one.teeth / 2 * scale
        cross = ((at[0] - 5, at[1]), (at[0] + 5, at[1])), ((at[0], at[1] - 5), (at[0], at[1] + 5))
        paths += [Path(one.role, (_circle(at, radius),), closed=True), Path("centre", cross)]
    for number, (one, at) in enumerate(zip(wheels, place, strict=True)):
        second = number > 0 and wheels[number - 1].at == one.at
        y = at[1] + (TEXT + 3 if second else 0) + TEXT / 3
        words = one.words if one.role == "ghost" else f"{one.teeth} {one.words}"
        labels.append(Label(beside, y, words, words, "start"))
        paths.append(Path("leader", (((at[0] + 8, y - TEXT / 3), (beside - 5, y - TEXT / 3)),)))
    high = MARGIN * 2 + (low - top) * scale
    return Sheet(WIDE, high, tuple(paths), tuple(labels), f"Change gears: {train.words}", scale)
