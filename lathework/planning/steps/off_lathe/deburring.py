"""Burrs taken off by hand when the cutting is done: those that the acts before it left."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Mapping

from lathework import cautions
from lathework.lathe.acts import Assemble, Burr, Deburr
from lathework.planning.operation import Operation, makes

WHERE: Mapping[Burr, str] = {
    "flats": "the edges of the flats",
    "keyway": "the edges of the keyway",
    "crossing": "inside, where the cross hole comes out",
    "threads": "the threads cut by the cross hole",
    "parted": "the mouth of the hole that the blade cut open",
}
_HOW: Mapping[Burr, str] = {
    "crossing": "Inside: use a scraper, or emery on a slotted rod turned by hand. Then push the mating part or a plug "
    "through.",
    "threads": "Threads: run the die over them once more at the same setting, or use a thread file.",
    "parted": "Mouth: use a scraper, or a countersink turned by hand.",
}
_AND = " and "


def _listed(places: list[str]) -> str:
    *most, last = places
    return _AND.join((", ".join(most), last)) if most else last


def _deburr(burrs: list[Burr], chucking: int) -> Operation:
    return Operation(
        key="deburr",
        kind="deburr",
        title="Remove the burrs",
        sentence=f"Remove the burrs by hand: {_listed([WHERE[burr] for burr in burrs])}. Feel each edge with a wooden "
        "pick, not a finger.",
        headline="",
        figures={},
        tool="fine file, scraper",
        edge="",
        cautions=(cautions.FILE,),
        notes=tuple(_HOW[burr] for burr in burrs if burr in _HOW),
        acts=(Deburr(""),),
        chucking=chucking,
        figure_words="burr off",
        makes=makes(burrs=", ".join(burrs)),
    )


def deburred(operations: Iterable[Operation]) -> Iterator[Operation]:
    """The steps in order, with one that takes off every burr they left, before anything is put together."""
    burrs, chucking, done = dict[Burr, None](), 0, False
    for operation in operations:
        for act in operation.acts:
            if burrs and not done and isinstance(act, Assemble):
                yield _deburr(list(burrs), chucking)
                done = True
            for burr in act.burrs:
                burrs[burr] = None
        chucking = operation.chucking
        yield operation
    if burrs and not done:
        yield _deburr(list(burrs), chucking)
