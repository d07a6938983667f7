"""Trapezoidal threads and Acme: recognised and sized, cut single point."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace
from functools import cache

from lathework.tables.loader import load
from lathework.threads.families.family import (
    FIFTY_FIVE,
    Letter,
    Series,
    ThreadFamily,
    Typed,
    both,
    by_major,
    inch_letters,
    no_limits,
)
from lathework.threads.forms import ACME, TRAPEZOIDAL
from lathework.threads.series import basic, trim
from lathework.threads.thread import Thread

CODE = "trapezoidal"
SERIES = (
    Series("Tr", "Trapezoidal", "trapezoidal, 30 degree flanks", 230),
    Series("Acme", "Acme", "Acme, 29 degree flanks", 240),
)
NOTE = (
    "No die or tap cuts this form. Cut it single point: outside to a root of {root:.4g} {unit}; bore the nut "
    "to {bore:.4g} {unit}, major {nut:.4g} {unit}."
)


def _threads() -> Iterable[Thread]:
    table = load("trapezoidal")
    for row in table.rows:
        series, size, major = row.text("series"), row.text("size"), row.number("major")
        metric = series == "Tr"
        tpi = None if metric else row.number("tpi")
        pitch = row.number("pitch") if tpi is None else 1 / tpi
        thread = basic(
            designation=f"Tr{size}x{trim(pitch)}" if tpi is None else f"{size}-{trim(tpi)} Acme",
            family=CODE,
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
        note = NOTE.format(root=root, unit=thread.unit, bore=thread.minor, nut=nut)
        yield replace(thread, notes=(note,), crest_clearance=float(clear) / 2)


def _letters(thread: Thread) -> list[Letter]:
    if thread.series == "Tr":
        return [
            Letter("Tr", SERIES[0].means),
            Letter(trim(thread.major), f"nominal major diameter, {both(thread.major, thread)}"),
            Letter(f"x{trim(thread.pitch)}", f"pitch {both(thread.pitch, thread)}"),
        ]
    return [*inch_letters()(thread), Letter("Acme", SERIES[1].means)]


@cache
def _first_pitches() -> frozenset[str]:
    """Trapezoidal threads of first choice: the first of their size."""
    first: dict[float, str] = {}
    for thread in _threads():
        if thread.series == "Tr":
            first.setdefault(thread.major, thread.designation)
    return frozenset(first.values())


OF_MOTION = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=no_limits,
    letters=_letters,
    percent=FIFTY_FIVE,
    drills="inch",
    typed=Typed(),
    stressed="mean",
    preferred=lambda thread: thread.series != "Tr" or thread.designation in _first_pitches(),
    number=by_major,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=False,
)
