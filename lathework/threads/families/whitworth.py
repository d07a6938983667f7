"""Threads of Whitworth form: BSW, BSF and what trades made of it; the model engineer's and brass."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import replace
from types import MappingProxyType

from lathework.tables.loader import load
from lathework.threads.families.family import (
    FIFTY_FIVE,
    Letter,
    Series,
    ThreadFamily,
    Typed,
    all_alike,
    both,
    by_major,
    inch_letters,
)
from lathework.threads.families.unified import inch_preferred
from lathework.threads.forms import WHITWORTH as FORM
from lathework.threads.series import inch_row
from lathework.threads.standards import whitworth
from lathework.threads.thread import Thread

CODE, SMALL_CODE = "whitworth", "model-engineer"
SERIES = (
    Series("BSW", "Whitworth", "British Standard Whitworth, coarse, 55 degree flanks", 70, "coarse"),
    Series("BSF", "British Standard Fine", "British Standard Fine, 55 degree flanks", 80, "fine"),
    Series("Conduit", "Conduit", "electrical conduit, Whitworth form", 200, "conduit"),
    Series("RMS", "Microscope objective", "microscope objective, 36 threads per inch, Whitworth form", 210),
    Series("W", "Gas cylinder valve", "gas cylinder valve, 21.8 mm, 14 threads per inch, Whitworth form", 220),
)
SMALL_SERIES = (
    Series("ME", "Model engineer", "model engineer, Whitworth form, 55 degree flanks", 90, "model engineering"),
    Series(
        "Brass",
        "Brass, 26 per inch",
        "brass thread, 26 threads per inch at every size, Whitworth form",
        100,
        "brass tube",
    ),
)
MEANS: Mapping[str, str] = MappingProxyType(
    {one.code: one.means for one in (*SERIES, *SMALL_SERIES)} | {"special": "no series lists it"}
)
WITHOUT_COUNT = ("RMS", "W")
"""Series of one thread, named by itself."""
NOTES: Mapping[str, str] = MappingProxyType(
    {
        "W": "Gas cylinder valves: only a licensed station may fit or repair them. Listed only so that you can "
        "recognise it.",
        "RMS": "Microscope objectives, 36 threads per inch: the mount measures about 0.800 in.",
        "Conduit": "Electrical conduit from before metric sizes; its dies have the Whitworth form.",
    }
)
_NAMED = {"RMS": "RMS", "W": "W21.8"}
_DIAMETER = r"21[.,]80?(?:\s*[-x]?\s*(?:1/)?14)?"


def _threads() -> Iterable[Thread]:
    table, trades = load("whitworth"), load("trades")
    yield from (inch_row(row, table, CODE, FORM) for row in table.rows)
    for row in trades.rows:
        if row.text("family") == CODE:
            thread, series = inch_row(row, trades, CODE, FORM), row.text("series")
            yield replace(thread, designation=_NAMED.get(series, thread.designation), notes=(NOTES[series],))


def _small() -> Iterable[Thread]:
    table = load("model_engineer")
    return (inch_row(row, table, SMALL_CODE, FORM) for row in table.rows)


def _letters(thread: Thread) -> list[Letter]:
    own = Letter(thread.series, MEANS[thread.series])
    if thread.series in WITHOUT_COUNT:
        size = thread.plain_name.split()[0].removeprefix(thread.series)
        return [own, Letter(size, f"major {both(thread.major, thread)}, pitch {both(thread.pitch, thread)}")]
    return [*inch_letters(counted=thread.series == "Conduit")(thread), own]


def _small_letters(thread: Thread) -> list[Letter]:
    return [*inch_letters()(thread), Letter(thread.series, MEANS[thread.series])]


WHITWORTH = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=lambda thread: whitworth.RULES,
    letters=_letters,
    percent=FIFTY_FIVE,
    drills="inch",
    typed=Typed(
        {
            "bsw": "BSW",
            "bsf": "BSF",
            "conduit": "Conduit",
            **dict.fromkeys(("whitworth", "whit", "ww", "w"), CODE),
        },
        (
            (r"rms(?:\s*(?:0?\.7965|0?\.8)?\s*[-x]?\s*36)?", "RMS"),
            (rf"w\s*{_DIAMETER}|{_DIAMETER}\s*w", "W21.8"),
        ),
    ),
    stressed="mean",
    preferred=inch_preferred,
    number=by_major,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=False,
)
MODEL_ENGINEER = ThreadFamily(
    code=SMALL_CODE,
    series=SMALL_SERIES,
    threads=_small,
    rules=lambda thread: whitworth.RULES,
    letters=_small_letters,
    percent=FIFTY_FIVE,
    drills="inch",
    typed=Typed({"me": "ME", "model engineer": "ME", "brass": "Brass"}),
    stressed="mean",
    preferred=all_alike,
    number=by_major,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=False,
)
