"""Everything recorded for a job as CSV."""

from __future__ import annotations

import csv
import io

from lathework.units import convert
from server.jobs.models import Job

COLUMNS = (
    *("at", "job", "thread", "part", "piece", "step", "kind", "typed"),
    *("reading_mm", "reading_in", "dialled_mm", "word", "eighths", "text"),
)
_FORMULA_STARTS = ("=", "+", "-", "@", "\t", "\r")


def _safe(text: str) -> str:
    """Keeps a spreadsheet from running text that a person typed as a formula."""
    return f"'{text}" if text.startswith(_FORMULA_STARTS) else text


def _number(value: float | None, places: int) -> str:
    return "" if value is None else f"{value:.{places}f}"


def readings_csv(job: Job) -> str:
    """The live entries of `job`, oldest first; diameters in millimetres and inches."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(COLUMNS)
    for entry in job.entries.all():
        if entry.undone_at is not None:
            continue
        mm = entry.value_mm
        told = [entry.at.isoformat(), _safe(job.title), job.thread, entry.part, entry.piece, entry.step, entry.kind]
        lengths = [
            _number(mm, 4),
            _number(None if mm is None else convert(mm, "mm", "in"), 5),
            _number(entry.dialled_mm, 4),
        ]
        said = [entry.word, "" if entry.eighths is None else f"{entry.eighths:g}", _safe(entry.text)]
        writer.writerow([*told, _safe(entry.typed), *lengths, *said])
    return out.getvalue()
