"""The basic diameters of a thread as figures with their working."""

from __future__ import annotations

from lathework.figures import Figure, Given
from lathework.threads.thread import Thread


def _formula(thread: Thread, depth_factor: str, depths: int) -> str:
    if thread.form.depth_rounded_first:
        times = "" if depths == 1 else f"{depths} × "
        return f"major − {times}depth of thread; depth = {thread.form.pitch_depth} × pitch, rounded to 4 decimals first"
    return f"major − {depth_factor} × pitch"


def basic_figures(thread: Thread) -> tuple[Figure, Figure, Figure]:
    """Basic major, pitch and minor diameter of `thread` in its own unit, with formula and source.

    Source: the form's standard, or the table where the standard prints the diameters themselves.
    """
    unit, form = thread.unit, thread.form
    major = Figure("major", thread.major, unit, "nominal size, by the series table", thread.source)
    if thread.tabulated:
        words = "as the standard's table prints it"
        return (
            major,
            Figure("pitch diameter", thread.pitch_diameter, unit, words, thread.source),
            Figure("minor", thread.minor, unit, words, thread.source),
        )
    given = (Given("major", thread.major, unit), Given("pitch", thread.pitch, unit))
    return (
        major,
        Figure(
            "pitch diameter",
            thread.pitch_diameter,
            unit,
            _formula(thread, f"{form.pitch_depth}", 1),
            form.source,
            given,
        ),
        Figure("minor", thread.minor, unit, _formula(thread, f"{form.full_depth}", 2), form.source, given),
    )
