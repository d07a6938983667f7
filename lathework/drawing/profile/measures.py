"""Where the evidence of a thread is measured: a thread from the side with what the form asks for written beside it."""

from __future__ import annotations

import math
from functools import cache

from lathework.drawing.shapes import Label, Line, Path, Point, Sheet

WIDTH, HEIGHT = 660.0, 330.0
AXIS = 160.0
LEFT, SHOULDER = 40.0, 170.0
TURNS, PITCH = 7, 44.0
CREST = 84.0
"""Half the diameter over the crests, in sheet units."""
DEPTH = PITCH * 0.75 * math.sqrt(3) / 2
"""A 60 degree thread is three quarters of its sharp triangle deep."""
ARROW = 9.0
END = SHOULDER + TURNS * PITCH


def _flank(upper: bool) -> list[Point]:
    """Crest and root, turn after turn; the far side is half a turn behind, as a helix is."""
    sign, shift = (-1, 0.0) if upper else (1, PITCH / 2)
    line: list[Point] = [(SHOULDER + shift, AXIS + sign * (CREST - DEPTH))]
    if not upper:
        line.insert(0, (SHOULDER, AXIS + CREST))
    for turn in range(TURNS):
        x = SHOULDER + turn * PITCH + shift
        line.append((min(x + PITCH / 2, END), AXIS + sign * CREST))
        line.append((min(x + PITCH, END), AXIS + sign * (CREST - DEPTH)))
    return line


def _arrow(tip: Point, toward: Point) -> Line:
    """A filled head at `tip`, pointing there from the side of `toward`."""
    length = math.dist(tip, toward)
    along = ((toward[0] - tip[0]) / length, (toward[1] - tip[1]) / length)
    base = (tip[0] + ARROW * along[0], tip[1] + ARROW * along[1])
    aside = (along[1] * ARROW / 3, -along[0] * ARROW / 3)
    return (tip, (base[0] + aside[0], base[1] + aside[1]), (base[0] - aside[0], base[1] - aside[1]))


def _dimension(one: Point, other: Point, *extensions: Line) -> list[Path]:
    """A line with a head at each end."""
    heads = (_arrow(one, other), _arrow(other, one))
    return [Path("dimension", ((one, other), *extensions)), Path("arrow", heads, closed=True)]


def _said(x: float, y: float, words: str) -> Label:
    return Label(x, y, words, words)


def _metal() -> Path:
    """The thread from the side, with a stretch of plain shank."""
    side = ((LEFT, AXIS - CREST), (SHOULDER - 12, AXIS - CREST), *_flank(upper=True))
    far = (*reversed(_flank(upper=False)), (SHOULDER - 12, AXIS + CREST), (LEFT, AXIS + CREST))
    return Path("part", ((*side, *far),), closed=True)


def _along(left: float, right: float, edge: float, out: float) -> list[Path]:
    """A length along the axis, drawn `out` beyond the crests at `edge` (sheet units; negative is above)."""
    ends = tuple(((x, edge), (x, edge + out + math.copysign(8, out))) for x in (left, right))
    return _dimension((left, edge + out), (right, edge + out), *ends)


def _across() -> list[Path]:
    """The diameter over the crests, behind the end."""
    x, ends = END + 40, (AXIS - CREST, AXIS + CREST)
    return _dimension((x, ends[0]), (x, ends[1]), *(((END - 20, y), (x + 8, y)) for y in ends))


@cache
def measures() -> Sheet:
    """The drawing: outside over the crests, the pitch, threads counted over a length, the angle of the flanks."""
    top, bottom = AXIS - CREST, AXIS + CREST
    first, second, last = (SHOULDER + turns * PITCH for turns in (1.5, 2.5, 5))
    counted = first - PITCH / 2
    root, rise = (last, top + DEPTH), DEPTH + 38
    rays = tuple((root, (root[0] + side * rise * math.tan(math.pi / 6), root[1] - rise)) for side in (-1, 1))
    paths = (
        _metal(),
        Path("centre", (((LEFT - 16, AXIS), (END + 24, AXIS)),)),
        *_across(),
        *_along(first, second, top, -22),
        *_along(counted, last, bottom, 26),
        Path("edge", rays),
    )
    labels = (
        Label(END + 50, AXIS + 5, "outside", "outside", anchor="start"),
        _said((first + second) / 2, top - 36, "pitch"),
        _said((first + last) / 2, bottom + 52, "threads counted over a length"),
        _said(root[0], root[1] - rise - 8, "flank angle"),
    )
    return Sheet(WIDTH, HEIGHT, paths, labels, "Where a thread is measured", 1.0)
