"""The standard series, from the tables, and special sizes of a standard form."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace
from decimal import Decimal
from functools import cache

from lathework.figures import PRACTICE, Source
from lathework.tables.loader import Row, Table, load
from lathework.threads.forms import (
    ACME,
    AMERICAN_PIPE,
    AMERICAN_STRAIGHT,
    BA_FORM,
    CYCLE,
    METRIC,
    TRAPEZOIDAL,
    UNIFIED,
    WHITWORTH,
    Form,
)
from lathework.threads.taper import TAPER
from lathework.threads.thread import Family, Thread
from lathework.units import LengthUnit, round_half_up

PIPE_NOTE = "A pipe size is no diameter: {name} measures {major:.3f} mm across the crests."
SEALING_NOTE = "A taper pipe thread, 1 in 16: the diameters are those of the gauge plane, {length}."
AMERICAN_NOTE = "Not BSP: 60 degree flanks, and at most sizes another count. The two do not seal together."
#: What each series is called in the book, in the order of the book.
SERIES_NAMES: dict[str, str] = {
    "UNC": "Unified coarse",
    "UNF": "Unified fine",
    "UNEF": "Unified extra fine",
    "UN": "Unified, constant pitch",
    "coarse": "Metric coarse",
    "fine": "Metric fine",
    "BSW": "Whitworth",
    "BSF": "British Standard Fine",
    "ME": "Model engineer",
    "Brass": "Brass, 26 to the inch",
    "G": "BSP parallel",
    "BA": "British Association",
    "R": "BSP taper, external",
    "Rc": "BSP taper, internal",
    "Rp": "BSP parallel, internal, sealing",
    "NPT": "American taper pipe",
    "NPSM": "American parallel pipe",
    "old": "Metric, no longer standard",
    "BSC": "Cycle",
    "Conduit": "Conduit",
    "RMS": "Microscope objective",
    "W": "Gas cylinder valve",
    "Tr": "Trapezoidal",
    "Acme": "Acme",
}
TRADE_NOTES: dict[str, str] = {
    "BSC": "A cycle thread: 60 degrees with rounded crests. A Whitworth or unified nut of the count binds or is loose.",
    "W": "Gas cylinder valves: only a licensed station may fit or mend them. Here so that it is recognised.",
    "RMS": "Microscope objectives, 36 to the inch: the mount's own diameter is about 0.800 in.",
    "Conduit": "Electrical conduit of before metric sizes; its dies are of Whitworth form.",
}
SINGLE_POINT = (
    "No die or tap makes it in one: single point, root to {root:.4g} {unit} outside; the nut bored to {bore:.4g}, its "
    "major {nut:.4g}."
)
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


def _inch_row(row: Row, table: Table, family: Family, form: Form) -> Thread:
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


def _metric_row(row: Row, table: Table) -> Thread:
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


def _tabulated(row: Row, table: Table, *, designation: str, family: Family, series: str, form: Form) -> Thread:
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


def _sealing(row: Row, table: Table) -> Iterable[Thread]:
    """R, Rc and Rp of one size: taper outside, taper inside, parallel inside."""
    size = row.text("size")
    for series in ("R", "Rc", "Rp"):
        thread = _tabulated(row, table, designation=f"{series}{size}", family="bsp", series=series, form=WHITWORTH)
        length = f"{row.number('gauge_length')} mm from the small end" if series == "R" else "at the mouth of the hole"
        notes = thread.notes if series == "Rp" else (*thread.notes, SEALING_NOTE.format(length=length))
        yield replace(thread, taper=0.0 if series == "Rp" else TAPER, notes=notes)


def _american(row: Row, table: Table) -> Iterable[Thread]:
    """NPT of one size, its diameters in the gauge plane; NPSM, cut to the depths of a 60 degree screw thread there."""
    size, tpi, across = row.text("size"), row.number("tpi"), row.number("pitch_diameter")
    for series, form in (("NPT", AMERICAN_PIPE), ("NPSM", AMERICAN_STRAIGHT)):
        taper = series == "NPT"
        outward, inward = form.pitch_depth / tpi, (form.full_depth - form.pitch_depth) / tpi
        length = f"{row.number('gauge_length')} in from the small end"
        yield Thread(
            designation=f"{size}-{trim(tpi)} {series}",
            family="npt",
            series=series,
            form=form,
            unit="in",
            major=round_half_up(across + outward, 5),
            pitch=float(1 / tpi),
            pitch_diameter=float(across),
            minor=round_half_up(across - inward, 5),
            source=table.source,
            tpi=float(tpi),
            tabulated=True,
            notes=(AMERICAN_NOTE, *((SEALING_NOTE.format(length=length),) if taper else ())),
            taper=TAPER if taper else 0.0,
        )


def _trades() -> Iterable[Thread]:
    """Threads of single trades, each with what its page must say."""
    table = load("trades")
    for row in table.rows:
        family, series = row.text("family"), row.text("series")
        thread = (
            _inch_row(row, table, "cycle", CYCLE)
            if family == "cycle"
            else _inch_row(row, table, "whitworth", WHITWORTH)
        )
        named = {"RMS": "RMS", "W": "W21.8"}.get(series, thread.designation)
        yield replace(thread, designation=named, notes=(TRADE_NOTES[series],))


def _trapezoidal() -> Iterable[Thread]:
    """Trapezoidal and Acme: recognised and sized, cut single point."""
    table = load("trapezoidal")
    for row in table.rows:
        series, size, major = row.text("series"), row.text("size"), row.number("major")
        metric = series == "Tr"
        tpi = None if metric else row.number("tpi")
        pitch = row.number("pitch") if tpi is None else 1 / tpi
        thread = basic(
            designation=f"Tr{size}x{trim(pitch)}" if tpi is None else f"{size}-{trim(tpi)} Acme",
            family="trapezoidal",
            series=series,
            form=TRAPEZOIDAL if metric else ACME,
            unit="mm" if metric else "in",
            major=major,
            pitch=pitch,
            tpi=tpi,
            source=table.source,
        )
        clear = row.number("clearance")
        root, nut = float(major - pitch - clear), float(major + clear)
        note = SINGLE_POINT.format(root=root, unit=thread.unit, bore=thread.minor, nut=nut)
        yield replace(thread, notes=(note,))


def _inch(name: str, family: Family, form: Form) -> Iterable[Thread]:
    table = load(name)
    return (_inch_row(row, table, family, form) for row in table.rows)


@cache
def library() -> tuple[Thread, ...]:
    """Every thread of the tables, in the order of the tables."""
    metric, pipes, ba = load("metric"), load("bsp_parallel"), load("ba")
    sealing, american = load("bsp_taper"), load("npt")
    return (
        *_inch("unified", "unified", UNIFIED),
        *(_metric_row(row, metric) for row in metric.rows),
        *_inch("whitworth", "whitworth", WHITWORTH),
        *_inch("model_engineer", "model-engineer", WHITWORTH),
        *(
            _tabulated(row, pipes, designation=f"G{row.text('size')}", family="bsp", series="G", form=WHITWORTH)
            for row in pipes.rows
        ),
        *(
            _tabulated(row, ba, designation=f"{row.text('number')} BA", family="ba", series="BA", form=BA_FORM)
            for row in ba.rows
        ),
        *(thread for row in sealing.rows for thread in _sealing(row, sealing)),
        *(thread for row in american.rows for thread in _american(row, american)),
        *_trades(),
        *_trapezoidal(),
    )


def special_unified(size: str, major: Decimal, tpi: Decimal) -> Thread:
    """A unified thread that no series lists; `major` in inches, named by `size`."""
    return basic(
        designation=f"{size}-{trim(tpi)} UNS",
        family="unified",
        series="UNS",
        form=UNIFIED,
        unit="in",
        major=major,
        pitch=1 / tpi,
        tpi=tpi,
        source=UNIFIED.source,
        special=True,
    )


def special_whitworth(size: str, major: Decimal, tpi: Decimal) -> Thread:
    """A thread of Whitworth form that no series lists; `major` in inches, named by `size`."""
    return basic(
        designation=f"{size}-{trim(tpi)} Whitworth special",
        family="whitworth",
        series="special",
        form=WHITWORTH,
        unit="in",
        major=major,
        pitch=1 / tpi,
        tpi=tpi,
        source=Source(PRACTICE.kind, "Whitworth form at a chosen size; form from BS 84"),
        special=True,
    )


def special_metric(major: Decimal, pitch: Decimal) -> Thread:
    """A metric thread that ISO 261 does not list; millimetres."""
    return basic(
        designation=f"M{trim(major)}x{trim(pitch)} special",
        family="metric",
        series="special",
        form=METRIC,
        unit="mm",
        major=major,
        pitch=pitch,
        source=METRIC.source,
        special=True,
    )
