"""The standard series, from the tables, and special sizes of a standard form."""

from __future__ import annotations

from decimal import Decimal

from lathework.figures import Source
from lathework.tables.loader import Row, Table
from lathework.threads.forms import (
    METRIC,
    Form,
)
from lathework.threads.thread import Family, Thread
from lathework.units import LengthUnit

PIPE_NOTE = "A pipe size is not a diameter: {name} measures {major:.3f} mm over the crests."
_PLACES: dict[LengthUnit, int] = {"in": 4, "mm": 3}


def trim(number: Decimal | float) -> str:
    """A number without idle zeros: 20, 4.5, 0.75.

    >>> trim(Decimal("20.0")), trim(4.5)
    ('20', '4.5')
    """
    return f"{float(number):.6g}"


def basic(
    *,
    designation: str,
    family: Family,
    series: str,
    form: Form,
    unit: LengthUnit,
    major: Decimal,
    pitch: Decimal,
    source: Source,
    tpi: Decimal | None = None,
    special: bool = False,
) -> Thread:
    """A thread from its form: pitch and minor diameters to the standard's printed digits.

    4 decimals of an inch or 3 of a millimetre, by `Form.diameters`. `major` and `pitch` are in `unit`.
    Source: the form's standard.
    """
    pitch_diameter, minor = form.diameters(major, pitch, _PLACES[unit])
    return Thread(
        designation=designation,
        family=family,
        series=series,
        form=form,
        unit=unit,
        major=float(major),
        pitch=float(pitch),
        pitch_diameter=pitch_diameter,
        minor=minor,
        source=source,
        tpi=None if tpi is None else float(tpi),
        special=special,
    )


def inch_row(row: Row, table: Table, family: Family, form: Form) -> Thread:
    """A thread of a table in inches, its diameters derived by its form."""
    size, series, tpi = row.text("size"), row.text("series"), row.number("tpi")
    counted = family in ("unified", "model-engineer", "cycle") or series == "Conduit"
    return basic(
        designation=f"{size}-{trim(tpi)} {series}" if counted else f"{size} {series}",
        family=family,
        series=series,
        form=form,
        unit="in",
        major=row.number("major"),
        pitch=1 / tpi,
        tpi=tpi,
        source=table.source,
    )


def metric_row(row: Row, table: Table) -> Thread:
    """A metric thread of the table, its diameters derived by its form."""
    diameter, pitch, series = row.number("diameter"), row.number("pitch"), row.text("series")
    name = f"M{trim(diameter)}" if series in ("coarse", "old") else f"M{trim(diameter)}x{trim(pitch)}"
    return basic(
        designation=name,
        family="metric",
        series=series,
        form=METRIC,
        unit="mm",
        major=diameter,
        pitch=pitch,
        source=table.source,
    )


def tabulated(row: Row, table: Table, *, designation: str, family: Family, series: str, form: Form) -> Thread:
    """A pipe or BA thread of a table that prints the diameters itself, in millimetres."""
    tpi = row.number("tpi") if family == "bsp" else None
    note = PIPE_NOTE.format(name=designation, major=row.number("major")) if family == "bsp" else ""
    return Thread(
        designation=designation,
        family=family,
        series=series,
        form=form,
        unit="mm",
        major=float(row.number("major")),
        pitch=float(Decimal("25.4") / tpi if tpi is not None else row.number("pitch")),
        pitch_diameter=float(row.number("pitch_diameter")),
        minor=float(row.number("minor")),
        source=table.source,
        tpi=None if tpi is None else float(tpi),
        tabulated=True,
        notes=(note,) if note else (),
    )
