"""A holder cut along its axis, to scale: its parts and mates together, or apart in the order they go in."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from math import fsum

from lathework.drawing.part.layout import CHAR, LABEL_ROW
from lathework.drawing.shapes import Label, Line, Path, Role, Sheet, mirrored
from lathework.holders.design import Lying

MARGIN, GAP, BREAK = 22.0, 26.0, 4.0
"""Sheet units round the drawing, between two groups that are drawn apart, and of the mark on what is shortened."""
NAMES = 2
"""Rows of names under the work, so that neighbours do not meet."""


@dataclass(frozen=True, slots=True)
class Room:
    """The sheet that a holder is drawn on, in its units."""

    width: float
    height: float


BESIDE, BELOW, PAPER = Room(720, 330), Room(420, 260), Room(800, 340)
"""Beside a form, under it on a phone, on paper."""


@dataclass(frozen=True, slots=True)
class _Scale:
    """From millimetres behind the right-hand end to the sheet."""

    units: float
    right: float
    axis: float

    def x(self, behind_mm: float) -> float:
        return self.right - behind_mm * self.units


def _shifted(pieces: Sequence[Lying], gap_mm: float) -> tuple[Lying, ...]:
    """The pieces drawn apart: each group beside the one that follows it to the right, `gap_mm` between them."""
    out: list[Lying] = []
    at = 0.0
    for place in sorted({piece.apart for piece in pieces}, reverse=True):
        group = [piece for piece in pieces if piece.apart == place]
        near, far = min(one.near_mm for one in group), max(one.far_mm for one in group)
        out += [replace(one, near_mm=one.near_mm - near + at, far_mm=one.far_mm - near + at) for one in group]
        at += far - near + gap_mm
    return tuple(out)


def _scaled(pieces: Sequence[Lying], room: Room, gaps: int) -> tuple[float, float]:
    """Sheet units a millimetre, and millimetres that the pieces take along with `gaps` between them left out."""
    along = fsum(_extent(pieces, place) for place in {piece.apart for piece in pieces}) if gaps else _whole(pieces)
    across = max(piece.outer_mm for piece in pieces)
    wide = room.width - 2 * MARGIN - GAP * gaps
    return min(wide / along, (room.height - 2 * MARGIN - NAMES * LABEL_ROW) / across), along


def _extent(pieces: Sequence[Lying], place: int) -> float:
    return _whole([piece for piece in pieces if piece.apart == place])


def _whole(pieces: Sequence[Lying]) -> float:
    return max(piece.far_mm for piece in pieces) - min(piece.near_mm for piece in pieces)


def _rim(pieces: Sequence[Lying], scale: _Scale, across: Callable[[Lying], tuple[float, float]]) -> Line:
    """The upper line of pieces that are one body, from the right; `across` is how wide each is at both its ends."""
    ends = (end for piece in pieces for end in zip((piece.near_mm, piece.far_mm), across(piece), strict=True))
    return tuple((scale.x(at), scale.axis - wide / 2 * scale.units) for at, wide in ends)


def _outside(piece: Lying) -> tuple[float, float]:
    return piece.outer_mm, piece.outer_mm if piece.cone_mm is None else piece.cone_mm


def _drawn(group: Sequence[Lying], scale: _Scale) -> Iterator[Path]:
    """A body of one piece or of several: whole where it has no bore, else in section; a mate unhatched."""
    order, first = sorted(group, key=lambda one: one.near_mm), group[0]
    role: Role = "nut" if first.mate else "part"
    upper = _rim(order, scale, _outside)
    if all(one.inner_mm <= 0 for one in group):
        yield Path(role, (upper + mirrored(upper, scale.axis)[::-1],), closed=True)
        return
    wall = upper + _rim(order, scale, lambda one: (one.inner_mm, one.inner_mm))[::-1]
    both = (wall, mirrored(wall, scale.axis))
    yield Path(role, both, closed=True)
    if not first.mate and not first.square:
        yield Path("hatch", both, closed=True)
    if first.shortened:
        yield _broken(first, scale)


def _broken(piece: Lying, scale: _Scale) -> Path:
    """The mark over both ends of a rod that is not drawn to its length."""
    left, right = scale.x(piece.far_mm) - BREAK, scale.x(piece.near_mm) + BREAK
    end = scale.axis - piece.outer_mm / 2 * scale.units
    middle = (left + right) / 2
    wave = ((left, end + BREAK), (middle - 2, end - BREAK), (middle + 2, end + BREAK), (right, end - BREAK))
    return Path("edge", (wave, mirrored(wave, scale.axis)))


def _edges(pieces: Sequence[Lying], scale: _Scale) -> Path:
    """The edges of the bores that one sees behind the cut."""
    lines: list[Line] = []
    for piece in pieces:
        if piece.inner_mm > 0 and not piece.square:
            for at in (piece.near_mm, piece.far_mm):
                x, half = scale.x(at), piece.inner_mm / 2 * scale.units
                lines.append(((x, scale.axis - half), (x, scale.axis + half)))
    return Path("edge", tuple(lines))


def _bodies(pieces: Sequence[Lying]) -> list[list[Lying]]:
    """The pieces that are one body together; what stands square to the axis is drawn over the ring that it goes into,
    a rod over what it goes through."""
    bodies: dict[tuple[str, bool, float], list[Lying]] = {}
    for piece in pieces:
        bodies.setdefault((piece.name, piece.square, piece.near_mm if piece.square else 0.0), []).append(piece)
    return sorted(bodies.values(), key=lambda group: (group[0].square, group[0].mate and group[0].inner_mm <= 0))


def _names(pieces: Sequence[Lying], scale: _Scale, room: Room) -> Iterator[tuple[Label, Path]]:
    """What each is called, once, under it, with a line up to it; neighbours in rows of their own."""
    firsts = {piece.name: piece for piece in reversed(pieces)}
    placed = sorted(firsts.values(), key=lambda one: (one.near_mm + one.far_mm) / 2, reverse=True)
    ends = [-1e9] * NAMES
    for piece in placed:
        x = scale.x((piece.near_mm + piece.far_mm) / 2)
        half = len(piece.name) * CHAR / 2
        row = min(range(NAMES), key=lambda number: (ends[number] > x - half - CHAR, ends[number]))
        centre = min(max(x, half + 2, ends[row] + CHAR + half), room.width - half - 2)
        ends[row] = centre + half
        y = room.height - MARGIN / 2 - (NAMES - 1 - row) * LABEL_ROW
        foot = scale.axis + (piece.inner_mm + piece.outer_mm) / 4 * scale.units
        yield Label(centre, y, piece.name, piece.name), Path("leader", (((x, foot), (centre, y - 13)),))


def assembly(pieces: Sequence[Lying], title: str, room: Room, *, apart: bool = False) -> Sheet:
    """A holder from how its `pieces` lie, in section and to scale in its `room`; drawn `apart` where that is wished."""
    pieces = [piece for piece in pieces if apart or not piece.spare]
    gaps = len({piece.apart for piece in pieces}) - 1 if apart else 0
    units, along = _scaled(pieces, room, gaps)
    shown = _shifted(pieces, GAP / units) if apart else tuple(pieces)
    near = min(one.near_mm for one in shown)
    wide = along * units + GAP * gaps
    scale = _Scale(units, (room.width + wide) / 2 + near * units, (room.height - NAMES * LABEL_ROW) / 2)
    paths = [path for body in _bodies(shown) for path in _drawn(body, scale)]
    left, right = scale.x(max(one.far_mm for one in shown)), scale.x(near)
    axis = Path("centre", (((left - 14, scale.axis), (right + 14, scale.axis)),))
    named = list(_names(shown, scale, room))
    how = "apart" if apart else "together"
    return Sheet(
        room.width,
        room.height,
        (*paths, _edges([one for one in shown if not one.mate], scale), axis, *(line for _, line in named)),
        tuple(label for label, _ in named),
        f"{title}, in section, {how}, to scale",
        units,
    )
