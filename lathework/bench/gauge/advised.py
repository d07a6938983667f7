"""What to do after a verdict: with the die, or with the tool that cut the thread."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.bench.gauge.die import advice_after, scale_of
from lathework.bench.gauge.thread import sized
from lathework.bench.gauge.tool import tool_advice
from lathework.bench.tally import Tally
from lathework.dies.learner import Trial
from lathework.dies.setting import Advice
from lathework.gauging.verdicts import Verdict
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan


def advised(plan: Plan, step: Operation, verdict: Verdict, tally: Tally, trials: Sequence[Trial]) -> Advice | None:
    """What to do after a verdict: with the die, or with the tool that cut the thread."""
    if step.cutter == "threading-tool":
        size = tally.sizes.get(step.key)
        return tool_advice(plan.job, step, verdict, sized(step, size) if size else None)
    return advice_after(step, verdict, plan.job.material.name, trials, scale_of(step, plan))
