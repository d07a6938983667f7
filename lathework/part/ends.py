"""Which sections are made from which end of the part: the largest one divides them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.cutting.knurl import blank_mm
from lathework.part.fitted import section_limits
from lathework.part.model import MILLED, Edge, Part, Section, Shape
from lathework.part.stock import ACROSS_FLATS

_ALIKE_MM = 0.005
ALIKE_MM: dict[Shape, float] = {"round": 0.05, "taper": 0.1}
"""How far a plain size, and the large end of a taper, may be off a fit beside it to be turned in one with it, in
millimetres: within what a plain size may be off anyway (practice)."""


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
    """Diameter the lathe leaves where flats will be milled: the round that was asked for, else the largest that gives
    them, six or four on their corners, two on the bar. Never that of a neighbour, which is another size."""
    section = part.sections[number]
    assert section.across is not None
    if section.round is not None:
        return section.round.mm
    most = part.stock.corners_mm
    if part.stock.form != "round" or section.shape == "flats":
        return most
    return min(most, section.across.mm / ACROSS_FLATS[MILLED[section.shape]])


def _fit_beside(part: Part, number: int) -> float | None:
    """What the fit beside a plain round or a taper is turned to, in millimetres, where both are as good as one size:
    they are turned in one, and the closer limits count. None for no such fit. Source: practice."""
    section = part.sections[number]
    if section.across is None or section.shape not in ALIKE_MM or section.knurl is not None:
        return None
    beside = (*part.sections[max(0, number - 1) : number], *part.sections[number + 1 : number + 2])
    aims = [limits.aim_mm for one in beside if (limits := section_limits(one)) is not None]
    size = section.across.mm
    alike = [aim for aim in aims if abs(aim - size) <= ALIKE_MM[section.shape]]
    return min(alike, key=lambda aim: abs(aim - size), default=None)


def nominal_mm(part: Part, number: int) -> float:
    """Diameter of section `number` (from 0) as the lathe leaves it, in millimetres, a thread at its major diameter."""
    section = part.sections[number]
    if section.thread is not None:
        return section.thread.major_mm
    if section.shape in MILLED:
        return _milled_from_mm(part, number)
    if section.knurl is not None and section.across is not None:
        return blank_mm(section.knurl, section.across.mm)
    limits = section_limits(section)
    if limits is not None:
        return limits.aim_mm
    beside = _fit_beside(part, number)
    if beside is not None:
        return beside
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
