"""Whether a section can be made as it stands among the others."""

from __future__ import annotations

from lathework.job.reading.job_reader import JobReader
from lathework.lengths import Length
from lathework.part.model import Section


def why_unreached(section: Section) -> str:
    """Why a thread is not cut where a section nearer the end stands above its roots; "" for a parallel one that a tool
    cuts between two grooves."""
    assert section.thread is not None  # only threads are asked about
    if not section.cutter.on_leadscrew:
        return (
            "A die cannot reach this thread: a section nearer the end is larger than its root. Use a "
            "threading tool, between two grooves."
        )
    if section.thread.taper:
        return "A section nearer the end is larger than the root of this thread: a gauge cannot reach a taper there."
    return ""


def check_round(reader: JobReader, path: str, milled_on: Length, across: Length) -> None:
    """Flats come to something on the round that was asked for."""
    if milled_on.mm <= across.mm:
        text = f"Flats of {across.typed} do not cut into a round of {milled_on.typed}. Make the round larger."
        reader.fail("does-not-fit", f"{path}.round", text)
