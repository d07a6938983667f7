"""What a lathe is set up with for a part: bar or jaws, what cuts its threads, the blade, the top slide."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from lathework.lengths import Length
from lathework.part.thread_cutters import OUTSIDE
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.notice import told
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.week.model import Item, SetUp

LATHE = "lathe:"
"""What the station of a lathe begins with: its id follows."""
_HELD_UP = {"centre": "the tailstock centre", "steady": "the travelling steady"}
"""What is set up to hold long work beside the chuck, which is there anyhow."""


def lathe_of(plan: Plan) -> str:
    """The station of a plan's lathe."""
    return LATHE + plan.job.setup.machine


def sized(length: Length) -> str:
    """A size as it was typed, with its unit where that is not plain.

    >>> sized(Length(22.0, "mm", "22"))
    '22 mm'
    """
    typed = length.typed.strip()
    plain = "/" in typed or not typed.replace(".", "").isdigit()
    return typed if plain else f"{typed} {length.unit}"


def _threads(plan: Plan, steps: Sequence[Operation]) -> Iterator[Item]:
    """What cuts the threads outside that steps make."""
    made = {step.thread.designation for step in steps if step.thread is not None and not step.inside}
    for thread in plan.work.threads.values():
        cutter, name = OUTSIDE[thread.cut], thread.thread.designation
        if name not in made:
            continue
        if cutter.on_leadscrew:
            yield "gears", name
        elif cutter.opens:
            yield "head", name
        else:
            yield "die", name
            yield "holder", "the die holder"


def _held(plan: Plan, chuckings: Sequence[Chucking]) -> Iterator[Item]:
    """What the work is held in: the bar it is of, or jaws on what is finished; and what holds up long work."""
    stock = plan.job.part.stock
    if not stock.one_ended and not all(chucking.second for chucking in chuckings):
        yield "bar", f"{sized(stock.across)} {plan.job.material.name}"
    elif chuckings and chuckings[0].second:
        yield "jaws", told(chuckings[0].grip.across_mm, plan.job.unit)
    carried = {chucking.carried for chucking in chuckings}
    yield from (("holding", words) for held, words in _HELD_UP.items() if held in carried)


def holds_of(plan: Plan, job: int, steps: Sequence[Operation] = ()) -> SetUp:
    """What the lathe of a plan is set up with for some of its steps; for all of them where none are named."""
    steps = steps or plan.operations
    kinds, numbers = {step.kind for step in steps}, {step.chucking for step in steps}
    items: list[Item] = [("part", f"{job}.{plan.job.part.id}"), *_threads(plan, steps)]
    items += _held(plan, [chucking for chucking in plan.chuckings if chucking.number in numbers])
    if "part-off" in kinds:
        items.append(("blade", sized(plan.job.setup.parting_blade)))
    inside = {step.thread.designation for step in steps if step.thread is not None and step.inside}
    items += [("tap", name) for name in sorted(inside)]
    if "taper" in kinds:
        items.append(("slide", f"the angle of {plan.job.title}"))
    return frozenset(items)
