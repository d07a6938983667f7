"""Which sections are made from which end of the part: the largest one divides them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.cutting.knurl import blank_mm
from lathework.part.fitted import section_limits
from lathework.part.model import MILLED, Edge, Part, Section, Shape
from lathework.part.stock import ACROSS_FLATS

_ALIKE_MM = 0.005
ALIKE_MM: dict[Shape, float] = {"round": 0.05, "taper": 0.1, "hexagon": 0.05, "square": 0.05, "flats": 0.05}
"""How far a plain size, the large end of a taper and the round of flats may be off a fit beside it to be turned in one
with it, in millimetres: within what a plain size may be off anyway (practice)."""


@dataclass(frozen=True, slots=True)
class Ends:
    """Section numbers, from the face toward the chuck, of the end made first and of the end made second.

    The largest section belongs to the first, but for one that tapers away from it. `turned_about` says that the first
    end is the part's left one.
    """

    first: tuple[int, ...]
    second: tuple[int, ...]
    turned_about: bool


def _milled_from_mm(part: Part, number: int) -> float:
    """Diameter the lathe leaves for flats where no round is asked for: the largest that gives them, six or four on
    their corners, two on the bar. Never that of a neighbour, which is another size."""
    section = part.sections[number]
    assert section.across is not None
    most = part.stock.corners_mm
    if part.stock.form != "round" or section.shape == "flats":
        return most
    return min(most, section.across.mm / ACROSS_FLATS[MILLED[section.shape]])


def _own_mm(section: Section) -> float | None:
    """What a plain round, a taper or flats on a round of their own are turned to by themselves, in millimetres."""
    own = section.round if section.shape in MILLED else section.across
    plain = own is not None and section.shape in ALIKE_MM and section.knurl is None
    return own.mm if own is not None and plain else None


def _fit_toward(part: Part, number: int, step: int) -> float | None:
    """What the next fit on one side is turned to, in millimetres, where nothing lies between but sections of its size;
    None for no such fit."""
    size = _own_mm(part.sections[number])
    at = number + step
    while size is not None and 0 <= at < len(part.sections):
        section = part.sections[at]
        limits = section_limits(section)
        if limits is not None:
            return limits.aim_mm if abs(limits.aim_mm - size) <= ALIKE_MM[part.sections[number].shape] else None
        other = _own_mm(section)
        if other is None or section.taper is not None or abs(other - size) > ALIKE_MM["round"]:
            return None
        at += step
    return None


def _fit_beside(part: Part, number: int) -> float | None:
    """What the fit beside a plain round, a taper or the round of flats is turned to, in millimetres, where both are as
    good as one size: they are turned in one, and the closer limits count. None for no such fit. Source: practice."""
    size = _own_mm(part.sections[number])
    if size is None or not any(section.fit for section in part.sections):
        return None
    aims = [aim for step in (-1, 1) if (aim := _fit_toward(part, number, step)) is not None]
    return min(aims, key=lambda aim: abs(aim - size), default=None)


def nominal_mm(part: Part, number: int) -> float:
    """Diameter of section `number` (from 0) as the lathe leaves it, in millimetres, a thread at its major diameter."""
    section = part.sections[number]
    if section.thread is not None:
        return section.thread.major_mm
    if section.shape in MILLED and section.round is None:
        return _milled_from_mm(part, number)
    if section.knurl is not None and section.across is not None:
        return blank_mm(section.knurl, section.across.mm)
    limits = section_limits(section)
    if limits is not None:
        return limits.aim_mm
    beside = _fit_beside(part, number)
    if beside is not None:
        return beside
    if section.round is not None:
        return section.round.mm
    return part.stock.corners_mm if section.across is None else section.across.mm


def ends_of(part: Part) -> Ends:
    """Divide the sections at the largest one: thread first, head last. Source: practice.

    What stands to the right of the largest is made from the right end, what stands to its left from the left end; a
    head at the right end is left for last.
    """
    sizes = [nominal_mm(part, number) for number in range(len(part.sections))]
    widest = [number for number, size in enumerate(sizes) if size >= max(sizes) - _ALIKE_MM]
    # A plain body before a thread as wide: no die passes over it, and jaws may hold it.
    largest = max(widest, key=lambda number: (part.sections[number].thread is None, number))
    if not part.stock.one_ended and _tapers(part.sections[largest]) and len(sizes) > 1:
        return _from_small_end(sizes, largest)
    return _divided(len(sizes), largest)


def _divided(count: int, largest: int) -> Ends:
    """`count` sections divided behind the largest; all from the left where the head stands at the right end."""
    first, second = tuple(range(largest + 1)), tuple(range(count - 1, largest, -1))
    if second and largest == 0:
        return Ends((*second, 0), (), turned_about=True)
    return Ends(first, second, turned_about=False)


def _tapers(section: Section) -> bool:
    """Whether a section has a small end: a taper, or a taper thread."""
    return section.taper is not None or (section.thread is not None and section.thread.taper > 0)


def _from_small_end(sizes: Sequence[float], largest: int) -> Ends:
    """Sections of those `sizes` (millimetres) whose largest tapers: its large end lies toward the largest of the
    others, and it is made from its small end, where it enters. At an end of the part it is made last, held by the
    others.

    Source: practice; a taper is turned, and a taper die run on, from the small end.
    """
    count = len(sizes)
    beside = max((number for number in range(count) if number != largest), key=lambda number: sizes[number])
    if beside > largest:
        rest = tuple(range(count - 1, 0, -1))
        return Ends(rest, (0,), turned_about=True) if largest == 0 else _divided(count, largest)
    return Ends(tuple(range(largest)), tuple(range(count - 1, largest - 1, -1)), turned_about=False)


def near_end(ends: Ends) -> Edge:
    """The end that the first chucking faces."""
    return "left" if ends.turned_about else "right"


def far_end(ends: Ends) -> Edge:
    """The end that the first chucking does not face."""
    return "right" if ends.turned_about else "left"
