"""A thing of the shop out of its document, and what a fitter calls it."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from lathework.declared import Group
from lathework.field_reader import FieldReader
from lathework.lengths import Length
from lathework.shop.dial import check_dial
from lathework.shop.equipment import (
    Bar,
    Bush,
    Centre,
    Chuck,
    Collet,
    DieHead,
    DieHolder,
    DieStock,
    Instrument,
    OwnLathe,
    ThreadGauge,
)
from lathework.shop.kinds import CLASSES, Owned
from lathework.shop.kit_choices import KINDS
from lathework.shop.kit_declaration import GROUPS
from lathework.shop.leadscrew import read_lead, read_leads
from lathework.shop.metals import materials
from lathework.shop.things import Blade, Die, Reamer, ShopDrill, Tap, Tool

LEAST_DRAWN_MM, DRAWN_WIDTH = 16.0, 2.2
"""A die that nobody measured is drawn as wide as so many times its thread, and no smaller (practice)."""


def _check_die(reader: FieldReader, said: Mapping[str, Any]) -> None:
    thread, across, thick = said["thread"], said["across"], said["thick"]
    if across and thick and thick.mm >= across.mm:
        reader.fail("out-of-range", "thick", "No die is thicker than it is wide: are the two the other way round?")
    if across and thread and thread.major_mm >= across.mm:
        reader.fail("out-of-range", "across", f"A {thread.designation} thread does not go into so small a die.")


def _check_pocket(reader: FieldReader, said: Mapping[str, Any]) -> None:
    across, behind = said["across"], said.get("behind")
    if across and behind and behind.mm >= across.mm:
        reader.fail("out-of-range", "behind", "So wide a bore leaves the die nothing to sit on.")


def _check_tap(reader: FieldReader, said: Mapping[str, Any]) -> None:
    if said["shank"] and said["square"] and said["square"].mm >= said["shank"].mm:
        reader.fail("out-of-range", "square", "A square is smaller across than its shank is round.")


def _check_range(reader: FieldReader, said: Mapping[str, Any]) -> None:
    least, most = said.get("least"), said.get("most")
    if least and most and least.mm > most.mm:
        reader.fail("out-of-range", "least", "The least is larger than the most: are the two the other way round?")


def _check_lathe(reader: FieldReader, said: Mapping[str, Any]) -> None:
    reader.made("leadscrew", said["leadscrew"], read_lead)
    reader.made("gearbox", said["gearbox"], read_leads)
    check_dial(reader, said["dial_teeth"], said["dial_lines"])


_CHECKS = {
    "lathe": _check_lathe,
    "die": _check_die,
    "tap": _check_tap,
    "holder": _check_pocket,
    "head": _check_range,
    "collet": _check_range,
    "chuck": _check_range,
}


def _said(reader: FieldReader, group: Group) -> dict[str, Any]:
    """Every field of a thing, read as it is declared."""
    return {name: reader.declared(name, field) for name, field in group.fields.items() if not isinstance(field, Group)}


def read_thing(kind: str, document: Mapping[str, Any]) -> Owned:
    """A thing out of its document; bare numbers are millimetres. Raises InvalidDocument with every error by field."""
    reader = FieldReader({**document, "unit": "mm"})
    if kind not in KINDS:
        reader.fail("unknown-choice", "kind", f"Choose one of {', '.join(KINDS)}.", KINDS)
        raise reader.invalid()
    known = next(one for one in KINDS if one == kind)
    reader.section("", (*GROUPS[known].keys, "unit"))
    said = _said(reader, GROUPS[known])
    if known in _CHECKS:
        _CHECKS[known](reader, said)
    if reader.errors:
        raise reader.invalid()
    return CLASSES[known](**said)


def drawn_mm(die: Die) -> float:
    """How wide a die is drawn, in millimetres: as measured, or as wide as one of its thread commonly is."""
    return die.across.mm if die.across else max(LEAST_DRAWN_MM, DRAWN_WIDTH * die.thread.major_mm)


def _sizes(*lengths: Length | None) -> str:
    """Lengths as typed, with a cross between; those nobody measured left out."""
    return " × ".join(length.typed for length in lengths if length)


def _range(least: Length | None, most: Length | None) -> str:
    return " to ".join(length.typed for length in (least, most) if length)


def _joined(*words: str) -> str:
    return " ".join(word for word in words if word)


def _spaced(code: str) -> str:
    return code.replace("-", " ")


_GAUGES = {
    "ring": "ring gauge",
    "plug": "plug gauge",
    "nut": "trusted nut",
    "mate": "mating part",
    "wires": "wires",
    "leaf": "leaf gauge",
}


def name_of(thing: Owned) -> str:
    """What a fitter calls it.

    >>> from lathework.shop.kit import read_thing
    >>> name_of(read_thing("die", {"id": "d1", "thread": "1/2 bsw", "across": "1 in", "thick": "3/8 in"}))
    '1/2 BSW split die, 1 in × 3/8 in'
    >>> name_of(read_thing("holder", {"id": "h1", "across": "1 in", "shank": "2MT"}))
    'tailstock die holder, 1 in, 2MT'
    """
    match thing:
        case Die():
            size = _sizes(thing.across, thing.thick)
            form = "set of chasers" if thing.form == "chasers" else f"{thing.form} die"
            return f"{thing.thread.designation} {form}" + (f", {size}" if size else "")
        case Tap():
            form = "taps, a set" if thing.form == "set" else f"{_spaced(thing.form)} tap"
            return f"{thing.thread.designation} {form}"
        case ShopDrill():
            return f"{thing.size.typed} drill"
        case Reamer():
            return f"{thing.size.typed} reamer"
        case Blade():
            return _joined(thing.width.typed, "" if thing.use == "either" else thing.use, "blade")
        case Tool():
            return _joined(f"{thing.angle:g}°" if thing.angle else "", thing.form, "tool")
        case ThreadGauge():
            named = thing.thread.designation if thing.thread else thing.size.typed if thing.size else ""
            return _joined(named, _GAUGES[thing.form])
        case Bar():
            metal = materials()[thing.metal].name if thing.metal else ""
            return _joined(thing.across.typed, thing.form, metal, "bar") + (
                f", {thing.long.typed}" if thing.long else ""
            )
        case OwnLathe():
            return thing.name
        case _:
            return _holding_name(thing)


def _holding_name(
    thing: DieStock | DieHolder | Bush | DieHead | Collet | Chuck | Centre | Instrument,
) -> str:
    """What a fitter calls something that holds or measures."""
    match thing:
        case DieStock():
            return f"die stock, {thing.across.typed}"
        case DieHolder():
            words = [thing.across.typed, _spaced(thing.shank), "keyed" if thing.keyed == "yes" else ""]
            return ", ".join(["tailstock die holder", *(word for word in words if word)])
        case Bush():
            return f"guide bush, {thing.bore.typed} bore"
        case DieHead():
            size = _range(thing.least, thing.most)
            return "self-opening die head" + (f", {size}" if size else "")
        case Collet():
            return _joined(thing.system, _range(thing.least, thing.most), "collet")
        case Chuck():
            size = f", to {thing.most.typed}" if thing.most else ""
            return _joined(thing.form, "" if thing.form == "faceplate" else "chuck") + size
        case Centre():
            return _joined(thing.form, "centre") + (f", {thing.taper}" if thing.taper else "")
        case Instrument():
            return thing.form + (f", to {thing.most.typed}" if thing.most else "")
