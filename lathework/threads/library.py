"""Every thread of the tables, in the order of the tables."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace
from functools import cache

from lathework.tables.loader import Row, Table, load
from lathework.threads.forms import (
    ACME,
    AMERICAN_PIPE,
    AMERICAN_STRAIGHT,
    BA_FORM,
    CYCLE,
    TRAPEZOIDAL,
    UNIFIED,
    WHITWORTH,
    Form,
)
from lathework.threads.series import basic, inch_row, metric_row, tabulated, trim
from lathework.threads.taper import TAPER
from lathework.threads.thread import Family, Thread
from lathework.units import round_half_up

SEALING_NOTE = "A taper pipe thread, 1 in 16: the diameters are those of the gauge plane, {length}."
AMERICAN_NOTE = "Not BSP: 60 degree flanks, and at most sizes another count. The two do not seal together."
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


def _sealing(row: Row, table: Table) -> Iterable[Thread]:
    """R, Rc and Rp of one size: taper outside, taper inside, parallel inside."""
    size = row.text("size")
    for series in ("R", "Rc", "Rp"):
        thread = tabulated(row, table, designation=f"{series}{size}", family="bsp", series=series, form=WHITWORTH)
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
            inch_row(row, table, "cycle", CYCLE) if family == "cycle" else inch_row(row, table, "whitworth", WHITWORTH)
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
        yield replace(thread, notes=(note,), crest_clearance=float(clear) / 2)


def _inch(name: str, family: Family, form: Form) -> Iterable[Thread]:
    table = load(name)
    return (inch_row(row, table, family, form) for row in table.rows)


@cache
def library() -> tuple[Thread, ...]:
    """Every thread of the tables, in the order of the tables."""
    metric, pipes, ba = load("metric"), load("bsp_parallel"), load("ba")
    sealing, american = load("bsp_taper"), load("npt")
    return (
        *_inch("unified", "unified", UNIFIED),
        *(metric_row(row, metric) for row in metric.rows),
        *_inch("whitworth", "whitworth", WHITWORTH),
        *_inch("model_engineer", "model-engineer", WHITWORTH),
        *(
            tabulated(row, pipes, designation=f"G{row.text('size')}", family="bsp", series="G", form=WHITWORTH)
            for row in pipes.rows
        ),
        *(
            tabulated(row, ba, designation=f"{row.text('number')} BA", family="ba", series="BA", form=BA_FORM)
            for row in ba.rows
        ),
        *(thread for row in sealing.rows for thread in _sealing(row, sealing)),
        *(thread for row in american.rows for thread in _american(row, american)),
        *_trades(),
        *_trapezoidal(),
    )
