"""What holders are designed here, what each is asked for, and the design of what was typed."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from typing import Any, Literal, get_args

from lathework.declared import Field
from lathework.field_reader import FieldReader
from lathework.fields import Designation, Extent
from lathework.holders.design import Design, Overruled
from lathework.holders.die_holder import die_holder
from lathework.holders.die_stock import OVERRULES as DIE_STOCK_OWN
from lathework.holders.die_stock import die_stock
from lathework.holders.guide_bush import OVERRULES as GUIDE_BUSH_OWN
from lathework.holders.guide_bush import guide_bush
from lathework.holders.sleeve import OVERRULES as SLEEVE_OWN
from lathework.holders.sleeve import sleeve
from lathework.lengths import Length, Span
from lathework.shop.kit_declaration import ACROSS, SWALLOWS, THICK
from lathework.shop.metals import Material, materials
from lathework.units import LENGTH_UNITS, LengthUnit

HolderKind = Literal["die-holder", "die-stock", "guide-bush", "sleeve"]
HOLDER_KINDS: tuple[HolderKind, ...] = get_args(HolderKind)
HOLE, DEEP, BLANK, BAR = (
    Span("The hole of a stock", 4, 80),
    Span("The depth of that hole", 1, 60),
    Span("A blank", 1, 60),
    Span("A bar", 3, 60),
)
SPIGOT = Span("A spigot", 2, 60)
OWN = Span("A size of your own", 0.5, 600)


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
            "sleeve",
            "sleeve for a plain die stock",
            "lets a stock slide square on a bar in the tailstock",
            (
                AskedSize("bar", "The bar measures", "1/2", "12", Extent(BAR, optional=False)),
                _SEAT,
                AskedSize("spigot", "The spigot goes in by", "1/4", "6", Extent(SPIGOT, optional=False)),
            ),
        ),
    )
}
OWN_FIELDS: Mapping[HolderKind, tuple[str, ...]] = {
    "die-holder": ("long", "across"),
    "die-stock": tuple(DIE_STOCK_OWN.values()),
    "guide-bush": tuple(GUIDE_BUSH_OWN.values()),
    "sleeve": tuple(SLEEVE_OWN.values()),
}
"""The dimensions that a person may set otherwise."""
MADE_FOR: Mapping[str, HolderKind] = {"guide-bush": "guide-bush"}
"""What may be made where a way of cutting a thread lacks it, by the code of the way."""


def _unit(reader: FieldReader) -> LengthUnit:
    told = reader.choice("unit", LENGTH_UNITS, "in")
    return "mm" if told == "mm" else "in"


def _die_holder(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    """The design of a die holder; of another die both sizes are said, or neither."""
    for one, beside in (("other", "other_thick"), ("other_thick", "other")):
        if told[one] is not None and told[beside] is None:
            reader.fail("empty", beside, "Measure both sizes of the other die, or neither.")
    if told["thread"] is None:
        reader.fail("empty", "thread", "Name the largest thread it is to cut.")
    if reader.errors:
        raise reader.invalid()
    dies = [(told["die"], told["thick"])]
    if told["other"] is not None:
        dies.append((told["other"], told["other_thick"]))
    return die_holder(dies=dies, thread=told["thread"], longest=told["longest"], bar=told["bar"], metal=metal, own=own)


def _guide_bush(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    thread = told["thread"]
    if thread is None or thread.taper:
        reader.fail("does-not-fit", "thread", "A bush guides a parallel blank: name a parallel thread.")
        raise reader.invalid()
    return guide_bush(thread, seat=told["seat"], deep=told["deep"], blank=told["blank"], metal=metal, own=own)


def _die_stock(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    if told["thread"] is None:
        reader.fail("empty", "thread", "Name the largest thread it is to cut.")
        raise reader.invalid()
    return die_stock(die=told["die"], thick=told["thick"], thread=told["thread"], metal=metal, own=own)


def _sleeve(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    return sleeve(bar=told["bar"], seat=told["seat"], spigot=told["spigot"], metal=metal, own=own)


_DESIGNS: Mapping[HolderKind, Callable[[FieldReader, Mapping[str, Any], Material, Overruled], Design]] = {
    "die-holder": _die_holder,
    "die-stock": _die_stock,
    "guide-bush": _guide_bush,
    "sleeve": _sleeve,
}


def _overruled(reader: FieldReader, kind: HolderKind, unit: LengthUnit) -> Overruled:
    """The sizes that the person sets, by the fields of the dimensions."""
    sizes: dict[str, Length] = {}
    asked = reader.raw("own")
    for field in asked if isinstance(asked, Mapping) else ():
        if field not in OWN_FIELDS[kind]:
            reader.fail("unknown-field", "own", f"This holder has no dimension “{field}” that one sets.")
            continue
        size = reader.length(f"own.{field}", OWN, optional=True)
        if size is not None:
            sizes[field] = size
    return Overruled(sizes, unit)


def designed(kind: HolderKind, typed: Mapping[str, Any]) -> Design:
    """The design of a holder from what was typed: its asks, `unit`, `metal`, and the `own` sizes of dimensions. Raises
    InvalidDocument with every error beside its field."""
    reader = FieldReader({"unit": "in", "metal": "mild-steel", **typed})
    unit = _unit(reader)
    metal = materials()[reader.choice("metal", tuple(materials()), "mild-steel")]
    told = {ask.field: reader.declared(ask.field, ask.of) for ask in HOLDERS[kind].asks}
    own = _overruled(reader, kind, unit)
    if reader.errors:
        raise reader.invalid()
    return _DESIGNS[kind](reader, told, metal, own)
