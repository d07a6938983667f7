"""The job that makes a holder turned in one holding: sections from the right-hand end, a hole right through."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.fields import Json
from lathework.fits.fit import FitCode
from lathework.holders.design import length_text
from lathework.job.declaration import BORE, SECTION
from lathework.job.starts import Typed, new_document
from lathework.part.model import Edge
from lathework.shop.metals import Material
from lathework.units import LengthUnit, convert

EDGE_MM = 0.5
"""The edge that goes into a hole first is broken by so much (practice)."""


@dataclass(frozen=True, slots=True)
class Turned:
    """A round section: how far across and how long, in the job's unit; how it goes with a mate of so much."""

    across: float
    long: float
    fit: FitCode = ""
    mate: float | None = None
    chamfer: bool = False


@dataclass(frozen=True, slots=True)
class Bored:
    """A hole from an `end`, right through where it is not `deep`, in the job's unit; how it goes with a mate of so
    much."""

    across: float
    fit: FitCode = ""
    mate: float | None = None
    deep: float | None = None
    end: Edge = "right"


def _plain(fields: Sequence[str]) -> Json:
    return dict.fromkeys(fields, "")


def turned_job(
    title: str,
    *,
    fits: str,
    unit: LengthUnit,
    metal: Material,
    bar: float,
    turned: Sequence[Turned],
    bored: Sequence[Bored],
    becomes: str = "",
    afterwards: str = "",
) -> Json:
    """The document of a job for one holder, of a `bar` so wide (lengths in `unit`); `becomes` is what it is in the shop
    once it is made, as one types it there, `afterwards` what is done to it off the lathe."""

    def text(value: float | None) -> str:
        return "" if value is None else length_text(value, unit)

    typed = Typed("bush", unit, title, quantity="1", material=metal.code, stock=text(bar))
    made = new_document(typed, None, None)
    edge = text(convert(EDGE_MM, "mm", unit))
    sections = [
        _plain(list(SECTION.fields))
        | {"id": f"s{number}", "shape": "round", "cut": "die", "across": text(one.across), "length": text(one.long)}
        | {"fit": one.fit, "mate": text(one.mate), "chamfer": edge if one.chamfer else ""}
        for number, one in enumerate(turned, 1)
    ]
    holes = [
        _plain(list(BORE.fields))
        | {"id": f"b{number}", "end": one.end, "cut": "tap", "across": text(one.across), "depth": text(one.deep)}
        | {"fit": one.fit, "mate": text(one.mate)}
        for number, one in enumerate(bored, 1)
    ]
    part = made["part"] | {"sections": sections, "bores": holes, "overall_length": "", "afterwards": afterwards}
    return made | {"fits": fits, "part": part, "becomes": becomes}
