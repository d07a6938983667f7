"""The design of a holder from what was typed."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import replace
from typing import Any

from lathework.errors import InputError, InvalidDocument
from lathework.field_reader import FieldReader
from lathework.fits.taper import read_taper
from lathework.holders.asks import HOLDERS, HolderKind
from lathework.holders.backplate import OVERRULES as BACKPLATE_OWN
from lathework.holders.backplate import backplate
from lathework.holders.bush_set import bush_set
from lathework.holders.design import Design, Overruled
from lathework.holders.die_holder import die_holder
from lathework.holders.die_stock import OVERRULES as DIE_STOCK_OWN
from lathework.holders.die_stock import die_stock
from lathework.holders.floating import OVERRULES as FLOATING_OWN
from lathework.holders.floating import floating_holder
from lathework.holders.guide_bush import OVERRULES as GUIDE_BUSH_OWN
from lathework.holders.guide_bush import guide_bush
from lathework.holders.sleeve import OVERRULES as SLEEVE_OWN
from lathework.holders.sleeve import sleeve
from lathework.holders.tap_holder import OVERRULES as TAP_HOLDER_OWN
from lathework.holders.tap_holder import tap_holder
from lathework.holders.taper_bar import OVERRULES as TAPER_BAR_OWN
from lathework.holders.taper_bar import taper_bar
from lathework.job.declaration import MOST_OTHERS
from lathework.job.document import read_document
from lathework.lengths import Length, Span
from lathework.planning.notice import Notice
from lathework.shop.metals import Material, materials
from lathework.threads.designation import read_designation
from lathework.threads.thread import Thread
from lathework.units import LENGTH_UNITS, LengthUnit

MOST_BUSHES = MOST_OTHERS + 1
OWN = Span("A size of your own", 0.5, 600)
OWN_SPANS = {"play": Span("The play to any side", 0.05, 100)}
"""What a dimension may be set to that is no size of a part."""
NO_LARGEST = "Type the largest thread it must cut."
OWN_FIELDS: Mapping[HolderKind, tuple[str, ...]] = {
    "die-holder": ("long", "across"),
    "floating": tuple(FLOATING_OWN.values()),
    "die-stock": tuple(DIE_STOCK_OWN.values()),
    "guide-bush": tuple(GUIDE_BUSH_OWN.values()),
    "bush-set": ("across",),
    "sleeve": tuple(SLEEVE_OWN.values()),
    "taper-bar": tuple(TAPER_BAR_OWN.values()),
    "tap-holder": tuple(TAP_HOLDER_OWN.values()),
    "backplate": tuple(BACKPLATE_OWN.values()),
}
"""The dimensions that a person may set otherwise."""


def _unit(reader: FieldReader) -> LengthUnit:
    told = reader.choice("unit", LENGTH_UNITS, "in")
    return "mm" if told == "mm" else "in"


def _die_holder(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    """The design of a die holder; of another die both sizes are said, or neither."""
    for one, beside in (("other", "other_thick"), ("other_thick", "other")):
        if told[one] is not None and told[beside] is None:
            reader.fail("empty", beside, "Give both sizes of the second die, or neither.")
    if told["thread"] is None:
        reader.fail("empty", "thread", NO_LARGEST)
    if reader.errors:
        raise reader.invalid()
    dies = [(told["die"], told["thick"])]
    if told["other"] is not None:
        dies.append((told["other"], told["other_thick"]))
    return die_holder(
        dies=dies,
        thread=told["thread"],
        longest=told["longest"],
        bar=told["bar"],
        key=told["key"],
        metal=metal,
        own=own,
    )


def _floating(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    if told["thread"] is None:
        reader.fail("empty", "thread", NO_LARGEST)
        raise reader.invalid()
    die = (told["die"], told["thick"])
    return floating_holder(
        die=die, thread=told["thread"], longest=told["longest"], bar=told["bar"], metal=metal, own=own
    )


def _guide_bush(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    thread = told["thread"]
    if thread is None or thread.taper:
        reader.fail("does-not-fit", "thread", "A bush guides a parallel blank: type a parallel thread.")
        raise reader.invalid()
    return guide_bush(thread, seat=told["seat"], deep=told["deep"], blank=told["blank"], metal=metal, own=own)


def _die_stock(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    if told["thread"] is None:
        reader.fail("empty", "thread", NO_LARGEST)
        raise reader.invalid()
    return die_stock(die=told["die"], thick=told["thick"], thread=told["thread"], metal=metal, own=own)


def _sleeve(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    return sleeve(bar=told["bar"], seat=told["seat"], spigot=told["spigot"], metal=metal, own=own)


def _bush_set(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    names = [name.strip() for name in told["threads"].split(",") if name.strip()]
    if not names:
        reader.fail("empty", "threads", "Type the threads, separated by commas.")
    if len(names) > MOST_BUSHES:
        reader.fail(
            "too-many", "threads", f"One job has at most {MOST_BUSHES} parts: type at most {MOST_BUSHES} threads."
        )
    threads = [thread for name in names if (thread := reader.made("threads", name, _parallel)) is not None]
    if reader.errors:
        raise reader.invalid()
    return bush_set(threads, seat=told["seat"], deep=told["deep"], metal=metal, own=own)


def _parallel(name: str, field: str) -> Thread:
    """The thread of a blank that a bush guides."""
    try:
        thread = read_designation(name)
    except InputError as error:
        raise error.at(field) from None
    if thread.taper:
        raise InputError("does-not-fit", field, f"A bush guides a parallel blank, and {thread.designation} tapers.")
    return thread


def _taper_bar(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    taper = reader.made("taper", told["taper"], read_taper)
    if taper is not None and not taper.name:
        reader.fail("not-a-taper", "taper", "Type the tailstock taper, such as MT2.")
    if reader.errors or taper is None:
        raise reader.invalid()
    return taper_bar(taper=taper, bore=told["bar"], out=told["out"], metal=metal, own=own)


def _tap_holder(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    return tap_holder(shank=told["shank"], bar=told["bar"], metal=metal, own=own)


def _backplate(reader: FieldReader, told: Mapping[str, Any], metal: Material, own: Overruled) -> Design:
    """The design of a backplate; of the register both sizes are said, or neither."""
    both = told["plain"], told["plain_long"]
    for one, beside in (("plain", "plain_long"), ("plain_long", "plain")):
        if told[one] is not None and told[beside] is None:
            reader.fail("empty", beside, "Give both diameter and length of the register, or neither.")
    if told["thread"] is None:
        reader.fail("empty", "thread", "Type the spindle nose thread.")
    if reader.errors:
        raise reader.invalid()
    register = None if both[0] is None else (both[0], both[1])
    return backplate(
        thread=told["thread"],
        register=register,
        seat=told["seat"],
        recess=told["deep"],
        across=told["wide"],
        metal=metal,
        own=own,
    )


_DESIGNS: Mapping[HolderKind, Callable[[FieldReader, Mapping[str, Any], Material, Overruled], Design]] = {
    "die-holder": _die_holder,
    "floating": _floating,
    "die-stock": _die_stock,
    "guide-bush": _guide_bush,
    "bush-set": _bush_set,
    "sleeve": _sleeve,
    "taper-bar": _taper_bar,
    "tap-holder": _tap_holder,
    "backplate": _backplate,
}


def _overruled(reader: FieldReader, kind: HolderKind, unit: LengthUnit) -> Overruled:
    """The sizes that the person sets, by the fields of the dimensions."""
    sizes: dict[str, Length] = {}
    asked = reader.raw("own")
    for field in asked if isinstance(asked, Mapping) else ():
        if field not in OWN_FIELDS[kind]:
            reader.fail("unknown-field", "own", f"This holder has no dimension “{field}” that you can set.")
            continue
        size = reader.length(f"own.{field}", OWN_SPANS.get(field, OWN), optional=True)
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
    return _makeable(_DESIGNS[kind](reader, told, metal, own))


def _makeable(design: Design) -> Design:
    """The same, with why it cannot be made where nothing else speaks against it: a size of one's own out of all
    proportion."""
    if design.conflicts:
        return design
    try:
        read_document(design.document)
    except InvalidDocument as problem:
        text = f"These sizes cannot be made. The plan says: {problem.errors[0].message}"
        return replace(design, conflicts=(Notice("cannot-be-made", "own", text),))
    return design
