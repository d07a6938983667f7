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
    Span("What stands out", 5, 300),
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


_SEAT = AskedSize("seat", "Hole of the stock measures", "5/8", "16", Extent(HOLE, optional=False))
HOLDERS: Mapping[HolderKind, Holder] = {
    one.code: one
    for one in (
        Holder(
            "die-holder",
            "die holder on a bar",
            "slides on a bar in the tailstock, and takes one die, or another at its far end",
            (
                AskedSize("die", "The die measures across", "1", "25.4", Extent(ACROSS, optional=False)),
                AskedSize("thick", "Its thickness", "3/8", "9.5", Extent(THICK, optional=False)),
                AskedSize("other", "Another die at the far end, across", "none", "none", Extent(ACROSS)),
                AskedSize("other_thick", "Thickness of that one", "none", "none", Extent(THICK)),
                AskedSize("thread", "Largest thread", "1/2-13", "M12", Designation("the largest it cuts", "outside")),
                AskedSize("longest", "Longest thread", "1-1/2", "40", Extent(SWALLOWS, optional=False)),
                AskedSize("bar", "The bar measures", "3/4", "20", Extent(BAR, optional=False)),
                AskedSize("key", "Keyed to the bar, a key of", "none", "none", Extent(KEY)),
            ),
        ),
        Holder(
            "floating",
            "floating die holder",
            "lets the die find the axis of the work, where the tailstock does not quite",
            (
                AskedSize("die", "The die measures across", "1", "30", Extent(ACROSS, optional=False)),
                AskedSize("thick", "Its thickness", "3/8", "11", Extent(THICK, optional=False)),
                AskedSize("thread", "Largest thread", "1/2-13", "M12", Designation("the largest it cuts", "outside")),
                AskedSize("longest", "Longest thread", "1-1/2", "40", Extent(SWALLOWS, optional=False)),
                AskedSize("bar", "The bar measures", "3/4", "20", Extent(BAR, optional=False)),
            ),
        ),
        Holder(
            "die-stock",
            "die stock",
            "takes one large die, with two handles screwed into a ring",
            (
                AskedSize("die", "The die measures across", "2", "50", Extent(ACROSS, optional=False)),
                AskedSize("thick", "Its thickness", "5/8", "16", Extent(THICK, optional=False)),
                AskedSize("thread", "Largest thread", "1-8", "M24", Designation("the largest it cuts", "outside")),
            ),
        ),
        Holder(
            "guide-bush",
            "guide bush",
            "runs on the blank ahead of the die, and keeps a long thread straight",
            (
                AskedSize("thread", "Thread", "3/8-16", "M10", Designation("the thread it guides", "outside")),
                _SEAT,
                AskedSize("deep", "Its depth, down to the die", "3/8", "10", Extent(DEEP)),
                AskedSize("blank", "The blank measures", "as usual", "as usual", Extent(BLANK)),
            ),
        ),
        Holder(
            "bush-set",
            "set of guide bushes",
            "is a bush for each thread, all for one stock",
            (
                AskedSize("threads", "Threads, with commas", "1/4-20, 3/8-16", "M6, M8, M10", Text(required=True)),
                _SEAT,
                AskedSize("deep", "Its depth, down to the die", "3/8", "10", Extent(DEEP)),
            ),
        ),
        Holder(
            "sleeve",
            "sleeve for a plain die stock",
            "lets a stock slide square on a bar in the tailstock",
            (
                AskedSize("bar", "The bar measures", "1/2", "12", Extent(BAR, optional=False)),
                _SEAT,
                AskedSize("spigot", "The spigot goes in by", "1/4", "6", Extent(SPIGOT, optional=False)),
            ),
        ),
        Holder(
            "taper-bar",
            "bar on a taper",
            "sits in the tailstock, and holders slide on it",
            (
                AskedSize("taper", "Taper of the tailstock", "MT2", "MT2", Text(required=True)),
                AskedSize("bar", "The holder's bore measures", "3/4", "20", Extent(BAR, optional=False)),
                AskedSize("out", "The bar stands out", "4", "100", Extent(OUT, optional=False)),
            ),
        ),
        Holder(
            "tap-holder",
            "tap holder on a bar",
            "slides and turns on a bar in the tailstock, and keeps a tap straight",
            (
                AskedSize("shank", "Shank of the tap measures", "3/8", "9", Extent(SHANK, optional=False)),
                AskedSize("bar", "The bar measures", "1/2", "12", Extent(BAR, optional=False)),
            ),
        ),
        Holder(
            "backplate",
            "backplate",
            "goes between the nose of a spindle and a die head or a chuck",
            (
                AskedSize("thread", "Thread of the nose", "1-1/2-8 UN", "M39x4", Designation("the nose's", "inside")),
                AskedSize("plain", "Its plain register measures", "none", "none", Extent(PLATE)),
                AskedSize("plain_long", "How long that is", "none", "none", Extent(DEEP)),
                AskedSize("seat", "Recess of the head measures", "2-1/2", "65", Extent(PLATE, optional=False)),
                AskedSize("deep", "How deep that is", "1/8", "4", Extent(DEEP, optional=False)),
                AskedSize("wide", "The head is across", "4", "100", Extent(PLATE, optional=False)),
            ),
        ),
    )
}
MADE_FOR: Mapping[str, HolderKind] = {"guide-bush": "guide-bush"}
"""What may be made where a way of cutting a thread lacks it, by the code of the way."""
