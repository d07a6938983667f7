"""What must be said of spindle speeds that nobody gave."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.cutting.speeds import BELIEVED, MOST_BELIEVED
from lathework.job.model import Job
from lathework.planning.notice import Notice
from lathework.planning.operation import Operation


def unknown_speeds(job: Job, operations: Iterable[Operation]) -> tuple[Notice, ...]:
    """That the lathe's speeds were not given, where a step would run faster than is believed without them."""
    given = (one for step in operations for figure in step.figures.values() for one in figure.inputs)
    if job.setup.speeds or not any(one.name == BELIEVED for one in given):
        return ()
    text = (
        f"No spindle speeds are given: the plan stays below {MOST_BELIEVED:g} rev/min. Choose your lathe, or "
        "type its speeds."
    )
    return (Notice("unknown-speeds", "setup.speeds", text),)
