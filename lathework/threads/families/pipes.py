"""Pipe threads: G, R, Rc and Rp of ISO 228 and ISO 7, NPT and NPSM of ASME B1.20.1."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import replace
from types import MappingProxyType

from lathework.tables.loader import Row, Table, load
from lathework.threads.families.family import (
    FIFTY_FIVE,
    SIXTY,
    Letter,
    Series,
    ThreadFamily,
    Typed,
    all_alike,
    both,
    by_major,
    inch_letters,
)
from lathework.threads.forms import AMERICAN_PIPE, AMERICAN_STRAIGHT, WHITWORTH
from lathework.threads.series import tabulated, trim
from lathework.threads.standards import npsm, pipe
from lathework.threads.standards.rules import Rules
from lathework.threads.taper import TAPER
from lathework.threads.thread import Thread
from lathework.units import round_half_up

CODE, AMERICAN_CODE = "bsp", "npt"
SEALING_NOTE = "A taper pipe thread, 1 in 16: the diameters are those of the gauge plane, {length}."
AMERICAN_NOTE = "Not BSP: 60 degree flanks, and at most sizes a different pitch. The two do not seal together."
SERIES = (
    Series(
        "G",
        "BSP parallel",
        "parallel pipe thread, 55 degree flanks: it does not seal on the thread",
        110,
        "parallel, sealed by a washer",
        by_size=True,
    ),
    Series(
        "R",
        "BSP taper, external",
        "external taper pipe thread, 1 in 16, 55 degree flanks: it seals on the thread",
        130,
        "taper, outside, seals on the thread",
    ),
    Series("Rc", "BSP taper, internal", "internal taper pipe thread, 1 in 16, 55 degree flanks", 140),
    Series(
        "Rp",
        "BSP parallel, internal, sealing",
        "internal parallel pipe thread for an external taper thread, 55 degree flanks",
        150,
        "parallel hole for a taper",
        drilled=(95.0, 85.0, 98.0),
    ),
)
AMERICAN_SERIES = (
    Series(
        "NPT",
        "American taper pipe",
        "American taper pipe thread, 1 in 16, 60 degree flanks: it seals on the thread with a sealant",
        160,
        "American taper pipe",
        by_size=True,
    ),
    Series(
        "NPSM",
        "American parallel pipe",
        "American parallel pipe thread for free-fitting joints, 60 degree flanks",
        170,
        drilled=(80.0, 60.0, 82.0),
    ),
)
MEANS: Mapping[str, str] = MappingProxyType({one.code: one.means for one in (*SERIES, *AMERICAN_SERIES)})


def _sealing(row: Row, table: Table) -> Iterable[Thread]:
    """R, Rc and Rp of one size: taper outside, taper inside, parallel inside."""
    size = row.text("size")
    for series in ("R", "Rc", "Rp"):
        thread = tabulated(row, table, designation=f"{series}{size}", family=CODE, series=series, form=WHITWORTH)
        length = f"{row.number('gauge_length')} mm from the small end" if series == "R" else "at the mouth of the hole"
        notes = thread.notes if series == "Rp" else (*thread.notes, SEALING_NOTE.format(length=length))
        taper = 0.0 if series == "Rp" else TAPER
        yield replace(thread, taper=taper, notes=notes, outside=series == "R", inside=series != "R")


def _threads() -> Iterable[Thread]:
    parallel, sealing = load("bsp_parallel"), load("bsp_taper")
    for row in parallel.rows:
        name = f"G{row.text('size')}"
        yield tabulated(row, parallel, designation=name, family=CODE, series="G", form=WHITWORTH)
    for row in sealing.rows:
        yield from _sealing(row, sealing)


def _american() -> Iterable[Thread]:
    """NPT, its diameters in the gauge plane; NPSM, cut to the depths of a 60 degree screw thread there."""
    table = load("npt")
    for row in table.rows:
        size, tpi, across = row.text("size"), row.number("tpi"), row.number("pitch_diameter")
        for series, form in (("NPT", AMERICAN_PIPE), ("NPSM", AMERICAN_STRAIGHT)):
            taper, below = series == "NPT", form.depth_on_diameter - form.pitch_on_diameter
            length = f"{row.number('gauge_length')} in from the small end"
            yield Thread(
                designation=f"{size}-{trim(tpi)} {series}",
                family=AMERICAN_CODE,
                series=series,
                form=form,
                unit="in",
                major=round_half_up(across + form.pitch_on_diameter / tpi, 5),
                pitch=float(1 / tpi),
                pitch_diameter=float(across),
                minor=round_half_up(across - below / tpi, 5),
                source=table.source,
                tpi=float(tpi),
                tabulated=True,
                notes=(AMERICAN_NOTE, *((SEALING_NOTE.format(length=length),) if taper else ())),
                taper=TAPER if taper else 0.0,
            )


def _rules(thread: Thread) -> Rules | None:
    if thread.series == "G":
        return pipe.PARALLEL
    return pipe.SEALING if thread.series == "Rp" else None


def _letters(thread: Thread) -> list[Letter]:
    size = thread.plain_name.split()[0].removeprefix(thread.series)
    return [
        Letter(thread.series, MEANS[thread.series]),
        Letter(size, f"nominal pipe size, not a diameter: {both(thread.major, thread)} across the crests"),
        Letter("", f"{trim(thread.tpi or 0)} threads per inch"),
    ]


def _american_letters(thread: Thread) -> list[Letter]:
    return [*inch_letters("nominal pipe size")(thread), Letter(thread.series, MEANS[thread.series])]


BRITISH_PIPE = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=_rules,
    letters=_letters,
    percent=FIFTY_FIVE,
    drills="metric",
    typed=Typed(dict.fromkeys(("bsp", "bspp", "g", "gas"), "G")),
    stressed="mean",
    preferred=all_alike,
    number=by_major,
    crests_cut=False,
    pipe=True,
    by_limits=True,
    classes_as_typed=False,
)
AMERICAN_PIPES = ThreadFamily(
    code=AMERICAN_CODE,
    series=AMERICAN_SERIES,
    threads=_american,
    rules=lambda thread: npsm.RULES if npsm.tabulated(thread) else None,
    letters=_american_letters,
    percent=SIXTY,
    drills="inch",
    typed=Typed(),
    stressed="mean",
    preferred=all_alike,
    number=by_major,
    crests_cut=True,
    pipe=True,
    by_limits=False,
    classes_as_typed=False,
)
