"""Which piece of a batch is worked on next: piece by piece, or each holding for all of them before the next holding."""

from __future__ import annotations

from collections.abc import Set as AbstractSet
from dataclasses import dataclass

from lathework.bench.tally import InHand, Tally
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan

TURNS_TOLD = 12
"""Turns from piece to piece that are told ahead: enough to go on with while nobody answers."""

RECHUCKED = (
    "This piece was out of the chuck between cuts. Hold it on a finished diameter, true it with an "
    "indicator, touch the tool off on the face and set Z 0 again."
)
"""Practice."""


def to_do(plan: Plan, done: AbstractSet[str]) -> Operation | None:
    """The first step that is not done; None where all are."""
    return next((step for step in plan.operations if step.key not in done), None)


def may_begin(plan: Plan, tally: Tally) -> bool:
    """Whether one more piece is wanted beside those in work."""
    return tally.good + 1 + len(tally.aside) < plan.job.quantity


def piece_after(plan: Plan, tally: Tally, step: Operation, *, scrapped: bool = False) -> int | None:
    """Which piece is taken up when `step` is done for the one in hand, or that is `scrapped`; None where work goes on
    as it would piece by piece.

    Holding by holding: the piece that this holding is still to be done for, the next first; else one more, while more
    are wanted; else the first of those in work, for the holding that follows.
    """
    if plan.job.method.batch != "holding":
        return None
    follows = to_do(plan, tally.done | {step.key})
    if not scrapped and follows is not None and follows.chucking == step.chucking:
        return None
    stays = not scrapped and follows is not None
    behind = [piece for piece, one in sorted(tally.aside.items()) if _behind(plan, one.done, step)]
    if behind:
        return next((piece for piece in behind if piece > tally.piece), behind[0])
    good = tally.good + (not scrapped and not stays)
    if good + len(tally.aside) + stays < plan.job.quantity:
        return tally.begun + 1
    first = min([*tally.aside, *([tally.piece] if stays else [])], default=None)
    return None if first == tally.piece else first


def _behind(plan: Plan, done: AbstractSet[str], step: Operation) -> bool:
    """Whether a piece is still to go through the holding of a step."""
    follows = to_do(plan, done)
    return follows is not None and follows.chucking <= step.chucking


@dataclass(frozen=True, slots=True)
class Turn:
    """Work turns to a piece, at the step of that key."""

    piece: int
    step: str


def turns(plan: Plan, tally: Tally) -> tuple[Turn, ...]:
    """To which pieces work turns at the ends of the holdings that follow, were all to go well; nothing piece by piece.

    At most 12 are told.
    """
    found: list[Turn] = []
    now = Tally(piece=tally.piece, begun=tally.begun, good=tally.good, done=set(tally.done))
    now.aside = {piece: InHand(done=set(one.done)) for piece, one in tally.aside.items()}
    while plan.job.method.batch == "holding" and len(found) < TURNS_TOLD:
        follows = to_do(plan, now.done)
        if follows is None or now.good >= plan.job.quantity:
            break
        *rest, last = [step for step in plan.operations if step.chucking == follows.chucking]
        now.done |= {step.key for step in rest}
        then = piece_after(plan, now, last)
        now.done.add(last.key)
        if to_do(plan, now.done) is None:
            now.next_piece(good=True, then=then)
        elif then is not None:
            now.take_up(then)
        step = to_do(plan, now.done)
        if step is not None and now.good < plan.job.quantity:
            found.append(Turn(now.piece, step.key))
    return tuple(found)
