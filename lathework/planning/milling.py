"""Flats, keyways and holes across: made when all is turned, or on the bar before the piece is parted off."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import replace

from lathework.planning.holdings.chucking import Chucking, milled, place
from lathework.planning.holdings.grips import grip_of
from lathework.planning.notice import Notice
from lathework.planning.operation import Operation
from lathework.planning.steps.holes import cross
from lathework.planning.steps.off_lathe import flats, keyway
from lathework.planning.work import Work

AS_IT_WAS = (
    "Mark the bar against a jaw before you take it out. Clamp it behind the piece. Put it back in the chuck "
    "as it was, true it, and set Z 0 on the face again before you part off."
)
"""What bar that leaves the chuck wants (practice)."""


def off_the_lathe(work: Work) -> bool:
    """Whether a part has anything that is milled, or drilled across."""
    part = work.part
    keyed = any(section.key is not None for section in part.sections) or any(one.key is not None for one in part.bores)
    return keyed or bool(milled(work)) or any(bore.end == "across" for bore in part.bores)


def on_its_bar(work: Work, ways: tuple[Chucking, ...]) -> bool:
    """Whether that is made while the piece is on its bar: as chosen, where nothing is turned from a second end."""
    chosen = work.job.method.milling != "after" and off_the_lathe(work)
    return chosen and len(ways) == 1 and ways[0].parted


def _flats(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Operation]:
    """Mill what is to have flats, held by what lies beside it."""
    for number in milled(work):
        chucking = min(ways, key=lambda way: [p.number for p in way.placed].index(number))
        at = [p.number for p in chucking.placed].index(number)
        order, made = chucking.placed, at + 1
        if made == len(order):
            order, made = place(work, tuple(p.number for p in reversed(order))), 1
        # On its bar the bar itself is held.
        grip = chucking.grip if on_its_bar(work, ways) else grip_of(order, made)[0]
        yield flats.mill_flats(work, chucking, chucking.placed[at], grip)


def milling(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Operation]:
    """What is done off the lathe: flats, keyways, holes across."""
    yield from _flats(work, ways)
    yield from keyway.keyways(work, ways[-1])
    yield from cross.cross_holes(work, ways[-1])


def on_the_bar(operations: Iterable[Operation]) -> Iterator[Operation]:
    """Steps off the lathe for a piece on its bar: how that leaves the chuck is said with the first."""
    for number, operation in enumerate(operations):
        yield operation if number else replace(operation, notes=(AS_IT_WAS, *operation.notes))


def milling_notices(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Notice]:
    """Why something is made after turning all the same."""
    if work.job.method.milling != "after" and off_the_lathe(work) and not on_its_bar(work, ways):
        text = "This cannot be made on one bar from one end: milling and cross holes are done after turning."
        yield Notice("mill-after", "method.milling", text)
