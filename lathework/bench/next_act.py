"""What comes next at the bench: the one act that its large button is for, and what it says."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from lathework.bench.bench import Bench
from lathework.bench.progress import Progress
from lathework.bench.size.size_now import SizeNow
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan

Does = Literal["close", "zero", "oil", "not-that", "setting", "read", "done", "why"]
"""What a press does: "oil" and "not-that" are between the person and the screen, and no entry is kept of them; "read"
takes in what was measured, "why" asks for the reason that the step cannot be ticked off without."""
UNMEASURED, UNGAUGED = "Step done, not measured", "Step done, not gauged"


@dataclass(frozen=True, slots=True)
class NextAct:
    """What a press does, and what the button says."""

    does: Does
    label: str


CLOSE, ZERO = NextAct("close", "Close the job"), NextAct("zero", "Tool touched off")
OIL, NOT_THAT = NextAct("oil", "Oil is on"), NextAct("not-that", "No, next check")
READ, WHY = NextAct("read", "Record"), NextAct("why", "Give a reason, or scrap it")


def ends_step(plan: Plan, step: Operation) -> NextAct:
    """The step is done; with the last one its piece is."""
    last = plan.operations[-1].key == step.key
    return NextAct("done", "Piece done" if last else "Done")


def _gauged(now: Bench, step: Operation) -> NextAct | None:
    """At a thread: None where what it says to its gauge is asked for, and nothing else is a default."""
    if now.contradiction:
        return None  # a third gauge is asked for
    passes, advice = bool(now.verdict and now.passed), now.advice
    if advice is not None and advice.recut and not now.adjusted and not passes:
        return NextAct("setting", advice.again or f"{now.scale.sets.capitalize()} adjusted")
    if now.verdict is None:
        return None if now.due.now or now.cause else NextAct("done", UNGAUGED)
    if now.adjusted and not passes:
        return None  # the die was moved: it is gauged again
    return WHY if now.hindrance else ends_step(now.plan, step)


def next_act(whole: Progress) -> NextAct | None:
    """What comes next whichever size is looked at; None where that decides (`next_of`), or nothing is a default."""
    now = whole.bench
    if whole.finished:
        return CLOSE
    if now.step is None:
        return None
    if now.zero:
        return ZERO
    if now.step.measure == "verdict":
        return _gauged(now, now.step)
    if now.sizes:
        return None
    return WHY if now.hindrance else ends_step(now.plan, now.step)


def next_of(now: Bench, size: SizeNow) -> NextAct:
    """What comes next while that size of the step in hand is looked at, and nothing is typed."""
    assert now.step is not None  # it has sizes
    if size.readings and size.cut.state not in ("on-size", "past"):
        return READ
    if now.hindrance:
        return WHY
    if not size.readings and now.step.measure == "diameter" and size == now.sizes[0]:
        return NextAct("done", UNMEASURED)
    return ends_step(now.plan, now.step)


def before_it(now: Bench) -> Iterator[NextAct]:
    """What is settled at the screen before that, press by press: the oil that a tap breaks without, each thing that a
    nut may bind for beside its die."""
    if now.step is None or now.zero:
        return
    if now.step.oil:
        yield OIL
    for _ in now.causes:
        yield NOT_THAT


def first_act(plan: Plan, step: Operation) -> NextAct | None:
    """What comes next at a step where nothing was said yet, its zero aside; None where its thread is to be gauged."""
    if step.measure == "verdict":
        return None
    return NextAct("done", UNMEASURED) if step.measure == "diameter" and step.dimensions else ends_step(plan, step)
