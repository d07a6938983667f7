"""Where to set a die before it runs, and what to do after a verdict: with the die, or the tool that cut the thread."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from lathework.bench.entry import die_of, made_of
from lathework.bench.gauge.die import DieNow, Preset, advice_after, known_as, preset, scale_of
from lathework.bench.gauge.die_history import starts_of
from lathework.bench.gauge.thread import sized
from lathework.bench.gauge.tool import tool_advice
from lathework.bench.tally import Tally, stands_open
from lathework.dies.counted_from import HERE
from lathework.dies.odds import Mate, room_over
from lathework.dies.setting import Advice
from lathework.dies.trial import Trial
from lathework.errors import InputError
from lathework.gauging.verdicts import Verdict
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.threads.limits import internal_limits


def advised(plan: Plan, step: Operation, verdict: Verdict, tally: Tally, trials: Sequence[Trial]) -> Advice | None:
    """What to do after a verdict: with the die, or with the tool that cut the thread."""
    if step.cut_by.sized_by == "depth":
        size = tally.sizes.get(step.key)
        return tool_advice(plan.job, step, verdict, sized(step, size) if size else None)
    return advice_after(step, verdict, plan.job.material.name, trials, scale_of(step, plan), plan.job.method.dearness)


def _set_to(plan: Plan, step: Operation, tally: Tally) -> float | None:
    """Where the die of a step was set for the piece in hand, in eighths of a turn; None where nobody said yet."""
    if step.key not in tally.adjusted or step.thread is None:
        return None
    return stands_open(tally.opened, die_of(plan, step.key), known_as(step, step.thread.designation))


def _mate(step: Operation, tally: Tally) -> Mate:
    """What the thread of a step is to be tried with: what was used last, on the blank as it was measured."""
    made = made_of(step.key)
    blank_mm, mate = tally.blanks.get(made), tally.mates.get(made, "")
    assert step.thread is not None  # what has a die has one
    if blank_mm is None or step.inside:
        return Mate(tally.tried, mate)
    try:
        nut = internal_limits(step.thread)
    except InputError:
        nut = None
    return Mate(tally.tried, mate, room_over(step.thread, nut, blank_mm))


def preset_of(
    plan: Plan, step: Operation, trials: Sequence[Trial], tally: Tally, starts: Mapping[str, str]
) -> Preset | None:
    """Where to set the die of a step; or what it does where it was set. `starts` say where the settings of dies are
    counted from."""
    if step.thread is None or step.thread.taper:
        return None
    own = die_of(plan, step.key) or known_as(step, step.thread.designation)
    start = (starts_of((tally,)) | dict(starts)).get(own, HERE)
    # Before its first thread of this job the die was out of its holder.
    since = tally.since.get(own, "" if own in tally.trials else "seated")
    die = DieNow(_set_to(plan, step, tally), start, since, plan.job.method.dearness)
    return preset(step, plan.job.material.name, trials, scale_of(step, plan), die, _mate(step, tally))
