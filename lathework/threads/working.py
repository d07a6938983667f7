"""The basic diameters of a thread as figures with their working."""

from __future__ import annotations

from lathework.figures import Figure, Given
from lathework.threads.thread import Thread


def _below(thread: Thread, name: str, diameter: float, factor: float, depths: int) -> Figure:
    """A diameter below the major: by the form's depth in pitches, or by the depth that the table rounds first."""
    unit, major = thread.unit, Given("major", thread.major, thread.unit)
    if thread.form.depth_rounded_first:
        depth = Given("depth of thread", (thread.major - diameter) / depths, unit)
        return Figure(
            name,
            diameter,
            unit,
            f"major − {depths} × depth of thread",
            thread.form.source,
            (major, depth),
            note=f"The depth is {thread.form.pitch_on_diameter} × pitch, rounded to the standard's digits first.",
        )
    given = (major, Given("pitch", thread.pitch, unit))
    return Figure(name, diameter, unit, f"major − {factor} × pitch", thread.form.source, given)


def basic_figures(thread: Thread) -> tuple[Figure, Figure, Figure]:
    """Basic major, pitch and minor diameter of `thread` in its own unit, with formula and source.

    Source: the form's standard, or the table where the standard prints the diameters themselves.
    """
    unit, form = thread.unit, thread.form
    major = Figure("major", thread.major, unit, "nominal size, by the series table", thread.source, kind="table")
    if thread.tabulated:
        words = "as the standard's table prints it"
        return (
            major,
            Figure("pitch diameter", thread.pitch_diameter, unit, words, thread.source, kind="table"),
            Figure("minor", thread.minor, unit, words, thread.source, kind="table"),
        )
    return (
        major,
        _below(thread, "pitch diameter", thread.pitch_diameter, float(form.pitch_on_diameter), 1),
        _below(thread, "minor", thread.minor, float(form.depth_on_diameter), 2),
    )
