"""Cycle threads: BS 811."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace

from lathework.tables.loader import load
from lathework.threads.families.family import (
    SIXTY_METRIC,
    Letter,
    Series,
    ThreadFamily,
    Typed,
    all_alike,
    by_major,
    inch_letters,
)
from lathework.threads.forms import CYCLE as FORM
from lathework.threads.series import inch_row
from lathework.threads.standards import whitworth
from lathework.threads.thread import Thread

CODE = "cycle"
SERIES = (Series("BSC", "Cycle", "British Standard Cycle, 60 degree flanks, rounded", 190, "cycles"),)
NOTE = "A cycle thread: 60 degrees with rounded crests. A Whitworth or unified nut of the same pitch binds or is loose."


def _threads() -> Iterable[Thread]:
    table = load("trades")
    for row in table.rows:
        if row.text("family") == CODE:
            yield replace(inch_row(row, table, CODE, FORM), notes=(NOTE,))


def _letters(thread: Thread) -> list[Letter]:
    return [*inch_letters()(thread), Letter("BSC", SERIES[0].means)]


CYCLE = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=lambda thread: whitworth.RULES,
    letters=_letters,
    percent=SIXTY_METRIC,
    drills="inch",
    typed=Typed(dict.fromkeys(("bsc", "cei", "cycle"), "BSC")),
    stressed="mean",
    preferred=all_alike,
    number=by_major,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=False,
)
