"""ISO metric threads: ISO 261, ISO 965."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.tables.common import common_sizes
from lathework.tables.loader import load
from lathework.threads.families.family import (
    SIXTY_METRIC,
    Letter,
    Series,
    ThreadFamily,
    Typed,
    both,
    by_major,
)
from lathework.threads.series import metric_row, trim
from lathework.threads.standards import metric
from lathework.threads.thread import Thread

CODE = "metric"
SERIES = (
    Series("coarse", "Metric coarse", "ISO metric, coarse", 50),
    Series("fine", "Metric fine", "ISO metric, fine", 60),
    Series("old", "Metric, no longer standard", "metric, no longer standard", 180),
)


def _threads() -> Iterable[Thread]:
    table = load("metric")
    return (metric_row(row, table) for row in table.rows)


def _letters(thread: Thread) -> list[Letter]:
    pitch = f"pitch {both(thread.pitch, thread)}"
    named = "x" in thread.plain_name.split()[0]
    return [
        Letter("M", "ISO metric, 60 degree flanks"),
        Letter(trim(thread.major), f"nominal major diameter, {both(thread.major, thread)}"),
        Letter(f"x{trim(thread.pitch)}", pitch) if named else Letter("", f"coarse: {pitch}"),
        *((Letter("special", "no series lists it"),) if thread.special else ()),
    ]


METRIC = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=lambda thread: metric.RULES,
    letters=_letters,
    percent=SIXTY_METRIC,
    drills="metric",
    typed=Typed(),
    stressed="metric",
    preferred=lambda thread: f"{thread.major:g}" in common_sizes("first-choice"),
    number=by_major,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=True,
)
