"""Löwenherz threads, of German instruments before metric ones: as high as their pitch, an eighth off crest and root."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace
from decimal import Decimal

from lathework.figures import Source
from lathework.tables.loader import load
from lathework.threads.families.family import (
    Letter,
    Percent,
    Series,
    ThreadFamily,
    Typed,
    all_alike,
    both,
    by_major,
    no_limits,
)
from lathework.threads.forms import Form
from lathework.threads.series import basic, trim
from lathework.threads.thread import Thread

CODE = "lowenherz"
SERIES = (Series("Lö", "Löwenherz", "Löwenherz, flanks of 53 degrees 8 minutes", 185, "old German instruments"),)
FORM = Form(
    "Löwenherz, 53 degree 8 minutes",
    53.13,
    Decimal("0.75"),
    Decimal("1.5"),
    Source("memory", "Löwenherz, basic form: height of the sharp triangle = pitch, an eighth off crest and root"),
)
NOTE = (
    "Löwenherz: at 3, 4, 5 and 6 mm it has the pitch of an M thread, but its flank angle is 53° 8', not 60°. "
    "An M nut binds or holds badly."
)


def _threads() -> Iterable[Thread]:
    table = load("lowenherz")
    for row in table.rows:
        diameter, pitch = row.number("diameter"), row.number("pitch")
        thread = basic(
            designation=f"Lö{trim(diameter)}",
            family=CODE,
            series="Lö",
            form=FORM,
            unit="mm",
            major=diameter,
            pitch=pitch,
            source=table.source,
        )
        yield replace(thread, notes=(NOTE,))


def _letters(thread: Thread) -> list[Letter]:
    return [
        Letter("Lö", SERIES[0].means),
        Letter(trim(thread.major), f"major diameter, {both(thread.major, thread)}"),
        Letter("", f"pitch {both(thread.pitch, thread)}"),
    ]


LOWENHERZ = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=no_limits,
    letters=_letters,
    percent=Percent(1.5, "Löwenherz: 1.5 P is 100 %", 77.0),
    drills="metric",
    typed=Typed(patterns=((r"l(?:ö|oe|o)(?:wenherz)?\s*(?P<size>\d{1,2}(?:\.[1-9])?)(?:\.0)?", "Lö{size}"),)),
    stressed="mean",
    preferred=all_alike,
    number=by_major,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=False,
)
