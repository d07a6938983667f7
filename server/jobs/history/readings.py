"""Everything recorded for a job as CSV."""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable

from lathework.spreadsheet import guarded
from lathework.units import convert
from server.jobs.models import Entry, Job
from server.jobs.stored import live_entries

COLUMNS = (
    *("at", "job", "thread", "part", "piece", "step", "title", "kind", "measured", "typed", "unit"),
    *("reading_mm", "reading_in", "aim_mm", "least_mm", "most_mm", "dialled_mm", "dialled_by", "wire_mm"),
    *("tried", "mate", "within_mm", "by", "device"),
    *("word", "eighths", "text", "why", "revision"),
)


def _number(value: float | None, places: int = 4) -> str:
    return "" if value is None else f"{value:.{places}f}"


def _cells(job: Job, entry: Entry) -> list[str]:
    mm = entry.value_mm
    inches = None if mm is None else convert(mm, "mm", "in")
    words = (entry.at.isoformat(), job.title, entry.thread, entry.part_name or entry.part)
    step = (str(entry.piece), entry.step, entry.title, entry.kind, entry.measured, entry.typed, entry.unit)
    limits = (entry.aim_mm, entry.low_mm, entry.high_mm) if mm is not None else (None, None, None)
    lengths = (_number(mm), _number(inches, 5), *(_number(limit) for limit in limits), _number(entry.dialled_mm))
    dialled = "" if entry.dialled_mm is None else "said" if entry.stated else "asked"
    eighths = "" if entry.eighths is None else f"{entry.eighths:g}"
    said = (entry.word, eighths, entry.text, entry.why, str(entry.revision))
    how = (entry.tried, guarded(entry.mate), _number(entry.within_mm), guarded(entry.by), guarded(entry.device))
    sizes = [*lengths, dialled, _number(entry.wire_mm), *how]
    return [*map(guarded, (*words, *step)), *sizes, guarded(said[0]), *said[1:2], guarded(said[2]), *said[3:]]


def readings_csv(job: Job) -> str:
    """The live entries of `job`, oldest first; sizes in millimetres and inches."""
    return every_reading_csv((job,))


def every_reading_csv(jobs: Iterable[Job]) -> str:
    """The same of several jobs, one after the other."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(COLUMNS)
    for job in jobs:
        writer.writerows(_cells(job, entry) for entry in live_entries(job.pk))
    return out.getvalue()
