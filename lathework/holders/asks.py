"""What holders are designed here, and what each is asked for."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.declared import Field
from lathework.fields import Designation, Extent, Text
from lathework.job.part_declaration import KEY
from lathework.lengths import Span
from lathework.shop.kinds.dies import ACROSS, THICK
from lathework.shop.kinds.shared import SWALLOWS

HolderKind = Literal[
    "die-holder", "floating", "die-stock", "guide-bush", "bush-set", "sleeve", "taper-bar", "tap-holder", "backplate"
]
HOLDER_KINDS: tuple[HolderKind, ...] = get_args(HolderKind)
HOLE, DEEP, BLANK, BAR = (
    Span("The hole of a stock", 4, 80),
    Span("The depth of that hole", 1, 60),
    Span("A blank", 1, 60),
    Span("A bar", 3, 60),
)
SPIGOT, SHANK, OUT, PLATE = (
    Span("A spigot", 2, 60),
    Span("A shank", 1, 60),
    Span("Stick-out", 5, 300),
    Span("A plate", 20, 300),
)


@dataclass(frozen=True, slots=True)
class AskedSize:
    """What is asked for: its field, what it is called, an example in inches and one in millimetres."""

    field: str
    label: str
    inch: str
    mm: str
    of: Field


@dataclass(frozen=True, slots=True)
class Holder:
    """A holder that is designed here: what it is called and for, and what is asked."""

    code: HolderKind
    name: str
    remark: str
    asks: tuple[AskedSize, ...]


_SEAT = AskedSize("seat", "Bore of the die stock", "5/8", "16", Extent(HOLE, optional=False))
HOLDERS: Mapping[HolderKind, Holder] = {
    one.code: one
    for one in (
        Holder(
            "die-holder",
            "die holder on a bar",
            "Slides on a bar in the tailstock and takes one die, or a second one at the far end.",
            (
                AskedSize("die", "Die diameter", "1", "25.4", Extent(ACROSS, optional=False)),
                AskedSize("thick", "Die thickness", "3/8", "9.5", Extent(THICK, optional=False)),
                AskedSize("other", "Second die (other end), diameter", "none", "none", Extent(ACROSS)),
                AskedSize("other_thick", "Second die, thickness", "none", "none", Extent(THICK)),
                AskedSize("thread", "Largest thread", "1/2-13", "M12", Designation("largest thread to cut", "outside")),
                AskedSize("longest", "Longest thread", "1-1/2", "40", Extent(SWALLOWS, optional=False)),
                AskedSize("bar", "Bar diameter", "3/4", "20", Extent(BAR, optional=False)),
                AskedSize("key", "Key width", "none", "none", Extent(KEY)),
            ),
        ),
        Holder(
            "floating",
            "floating die holder",
            "Lets the die find the axis of the work if the tailstock is slightly off.",
            (
                AskedSize("die", "Die diameter", "1", "30", Extent(ACROSS, optional=False)),
                AskedSize("thick", "Die thickness", "3/8", "11", Extent(THICK, optional=False)),
                AskedSize("thread", "Largest thread", "1/2-13", "M12", Designation("largest thread to cut", "outside")),
                AskedSize("longest", "Longest thread", "1-1/2", "40", Extent(SWALLOWS, optional=False)),
                AskedSize("bar", "Bar diameter", "3/4", "20", Extent(BAR, optional=False)),
            ),
        ),
        Holder(
            "die-stock",
            "die stock",
            "A ring for one large die, with two screwed-in handles.",
            (
                AskedSize("die", "Die diameter", "2", "50", Extent(ACROSS, optional=False)),
                AskedSize("thick", "Die thickness", "5/8", "16", Extent(THICK, optional=False)),
                AskedSize("thread", "Largest thread", "1-8", "M24", Designation("largest thread to cut", "outside")),
            ),
        ),
        Holder(
            "guide-bush",
            "guide bush",
            "Runs on the blank ahead of the die and keeps a long thread straight.",
            (
                AskedSize("thread", "Thread", "3/8-16", "M10", Designation("thread to guide", "outside")),
                _SEAT,
                AskedSize("deep", "Depth of the bore, down to the die", "3/8", "10", Extent(DEEP)),
                AskedSize("blank", "Blank diameter", "standard", "standard", Extent(BLANK)),
            ),
        ),
        Holder(
            "bush-set",
            "set of guide bushes",
            "One bush for each thread, all for the same die stock.",
            (
                AskedSize(
                    "threads", "Threads, separated by commas", "1/4-20, 3/8-16", "M6, M8, M10", Text(required=True)
                ),
                _SEAT,
                AskedSize("deep", "Depth of the bore, down to the die", "3/8", "10", Extent(DEEP)),
            ),
        ),
        Holder(
            "sleeve",
            "sleeve for a plain die stock",
            "Lets a die stock slide squarely on a bar in the tailstock.",
            (
                AskedSize("bar", "Bar diameter", "1/2", "12", Extent(BAR, optional=False)),
                _SEAT,
                AskedSize("spigot", "Spigot length", "1/4", "6", Extent(SPIGOT, optional=False)),
            ),
        ),
        Holder(
            "taper-bar",
            "bar on a taper",
            "Fits the tailstock; holders slide on it.",
            (
                AskedSize("taper", "Tailstock taper", "MT2", "MT2", Text(required=True)),
                AskedSize("bar", "Bore of the holder", "3/4", "20", Extent(BAR, optional=False)),
                AskedSize("out", "Bar overhang", "4", "100", Extent(OUT, optional=False)),
            ),
        ),
        Holder(
            "tap-holder",
            "tap holder on a bar",
            "Slides and turns on a bar in the tailstock and keeps a tap straight.",
            (
                AskedSize("shank", "Tap shank diameter", "3/8", "9", Extent(SHANK, optional=False)),
                AskedSize("bar", "Bar diameter", "1/2", "12", Extent(BAR, optional=False)),
            ),
        ),
        Holder(
            "backplate",
            "backplate",
            "Fits between a spindle nose and a die head or a chuck.",
            (
                AskedSize("thread", "Spindle nose thread", "1-1/2-8 UN", "M39x4", Designation("the nose's", "inside")),
                AskedSize("plain", "Register diameter", "none", "none", Extent(PLATE)),
                AskedSize("plain_long", "Register length", "none", "none", Extent(DEEP)),
                AskedSize("seat", "Recess diameter in the head", "2-1/2", "65", Extent(PLATE, optional=False)),
                AskedSize("deep", "Recess depth", "1/8", "4", Extent(DEEP, optional=False)),
                AskedSize("wide", "Head diameter", "4", "100", Extent(PLATE, optional=False)),
            ),
        ),
    )
}
MADE_FOR: Mapping[str, HolderKind] = {"guide-bush": "guide-bush"}
"""What may be made where a way of cutting a thread lacks it, by the code of the way."""
