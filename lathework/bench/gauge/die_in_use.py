"""Which die a step, or a part, is made with."""

from __future__ import annotations

from lathework.bench.entry import die_of
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan


def die_id(plan: Plan, step: Operation | None) -> str:
    """Which die of the shop `Bench.die` is: the step's own; at any other step that of the part's first thread."""
    if step is not None and step.thread is not None:
        return die_of(plan, step.key)
    first = plan.job.part.thread
    return next(
        (section.die for section in plan.job.part.sections if first is not None and section.thread == first), ""
    )


def thread_of(plan: Plan, step: Operation | None) -> str:
    """The thread of a step; at any other that of the part's first thread, "" where it has none."""
    thread = step.thread if step is not None and step.thread is not None else plan.job.part.thread
    return thread.designation if thread is not None else ""
