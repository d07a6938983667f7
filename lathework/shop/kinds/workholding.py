"""What holds the work: collets, chucks, centres."""

from __future__ import annotations

import re
from collections.abc import Iterator
from dataclasses import dataclass
from fractions import Fraction

from lathework.fields import Choice, Extent, Text
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import (
    RING,
    InLine,
    KindField,
    Owned,
    ThingKind,
    check_range,
    lies_under,
    no_size,
    unchecked,
)
from lathework.shop.kinds.shared import GRIPS, TAPER, joined, span
from lathework.shop.kit_choices import CENTRE_FORMS, CHUCK_FORMS, CentreForm, ChuckForm, Morse
from lathework.shop.typing.line_words import SOCKETS, own_forms
from lathework.shop.typing.reads import STEPS, drills, most, words_alone
from lathework.shop.typing.sizes import number_of

ER_MOST = {"ER8": 5, "ER11": 7, "ER16": 10, "ER20": 13, "ER25": 16, "ER32": 20, "ER40": 26, "ER50": 34}
"""Largest diameter in millimetres that the collets of each size take. Source: DIN 6499, from memory."""
ER_LEAST = 2
_SYSTEM = re.compile(r"^(?P<name>er\s?\d{1,2}|[1-9]\d?c|r8|c\d+|mk\d|esx\s?\d+)\b", re.IGNORECASE)
GRIP_DEEP = Span("How deep it grips", 1, 300)


@dataclass(frozen=True, slots=True)
class Collet(Owned):
    """A collet and what it closes on."""

    system: str
    least: Length | None
    most: Length
    deep: Length | None


@dataclass(frozen=True, slots=True)
class Chuck(Owned):
    """A chuck or a faceplate."""

    form: ChuckForm
    least: Length | None
    most: Length | None
    taper: Morse


@dataclass(frozen=True, slots=True)
class Centre(Owned):
    """A centre."""

    form: CentreForm
    taper: Morse


def _reads_collet(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A collet by what it takes; a run in steps closes over one step each; a set of a system by its own steps. Source:
    practice; DIN 6499 for ER, from memory."""
    system = _SYSTEM.match(rest)
    if system is not None:
        name = system["name"].upper().replace(" ", "")
        told, rest = {**told, "system": name}, rest[system.end() :].strip()
        rest = rest or (f"{ER_LEAST}-{ER_MOST[name]} x 1" if name in ER_MOST else rest)
    steps = STEPS.match(rest)
    if steps is None:
        return iter(({"most": drills(rest)[0], **told},))
    step = number_of(steps["step"])
    unit = " in" if "/" in rest else " mm"
    return (
        {"least": f"{_decimal(number_of(size.removesuffix(unit)) - step)}{unit}", "most": size, **told}
        for size in drills(rest)
        if number_of(size.removesuffix(unit)) > step
    )


def _decimal(size: Fraction) -> str:
    return f"{float(size):g}"


def _chuck_name(chuck: Chuck) -> str:
    size = f", to {chuck.most.typed}" if chuck.most else ""
    return joined(chuck.form, "" if chuck.form == "faceplate" else "chuck") + size


def _centre_name(centre: Centre) -> str:
    return joined(centre.form, "centre") + (f", {centre.taper}" if centre.taper else "")


def _collet_name(collet: Collet) -> str:
    return joined(collet.system, span(collet.least, collet.most), "collet")


COLLET = ThingKind(
    code="collet",
    place=11,
    called="collet",
    about="a collet",
    made=Collet,
    fields={
        "system": KindField(Text("collet system, as marked"), "Collet system"),
        "least": KindField(Extent(GRIPS, "smallest diameter it closes on"), "From"),
        "most": KindField(Extent(GRIPS, "largest diameter it takes", optional=False), "To"),
        "deep": KindField(Extent(GRIP_DEEP, "how deep it grips"), "Depth"),
    },
    check=check_range,
    name=_collet_name,
    short=_collet_name,
    drawer=lies_under("Collets and chucks"),
    across=lambda collet: (collet.most.mm, 0.0),
    sign=RING,
    line=InLine(called=r"collets?", rank=5, words={}, reads=_reads_collet, alone=False, more=False),
)
CHUCK = ThingKind(
    code="chuck",
    place=12,
    called="chuck",
    about="a chuck or a faceplate",
    made=Chuck,
    fields={
        "form": KindField(Choice(CHUCK_FORMS, "three-jaw", "how it holds"), "Form"),
        "least": KindField(Extent(GRIPS, "smallest diameter it closes on"), "From"),
        "most": KindField(Extent(GRIPS, "largest diameter it takes"), "To"),
        "taper": TAPER,
    },
    check=check_range,
    name=_chuck_name,
    short=_chuck_name,
    drawer=lies_under("Collets and chucks"),
    across=no_size,
    sign="M12 4h28v36H12zM40 6h10v10H40zM40 28h10v10H40zM4 14h8v16H4z",
    line=InLine(
        called=r"chucks?|faceplates?",
        rank=6,
        words=SOCKETS
        | own_forms("three-jaw", "four-jaw", "drill", "collet", "faceplate")
        | {"3-jaw": ("form", "three-jaw"), "4-jaw": ("form", "four-jaw")},
        reads=most,
        alone=False,
        more=False,
    ),
)
CENTRE = ThingKind(
    code="centre",
    place=13,
    called="centre",
    about="a centre",
    made=Centre,
    fields={"form": KindField(Choice(CENTRE_FORMS, "dead", "its form"), "Form"), "taper": TAPER},
    check=unchecked,
    name=_centre_name,
    short=_centre_name,
    drawer=lies_under("Collets and chucks"),
    across=no_size,
    sign="M4 14h36l26 8l-26 8H4z",
    line=InLine(
        called=r"(?:tailstock )?centres?",
        rank=7,
        words=SOCKETS | own_forms("dead", "live", "half", "pipe"),
        reads=words_alone,
        alone=False,
        more=False,
    ),
)
