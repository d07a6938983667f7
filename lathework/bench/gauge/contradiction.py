"""Gauges that contradict each other over one thread, and the cheapest third opinion."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.bench.gauge.die import aim_inside_of, aim_of
from lathework.dies.learner import Belief
from lathework.dies.trial import Trial
from lathework.gauging.tried import TRIED, Gauge
from lathework.gauging.verdicts import MEANINGS, Verdict, told_metal
from lathework.planning.operation import Operation

UNLIKELY = 0.03
"""Chance under which what a second gauge says contradicts what the first one said (practice)."""
SCATTERED_MM = 0.06
"""How far a thread of which nothing is known may be off the middle of its class: a standard deviation (practice)."""
WIRES = "three wires"
_BY_COST: tuple[Gauge, ...] = ("known", "limits", "thread-micrometer")
"""What a third opinion costs, the cheapest first; wires, where there are some, come after the known nut."""


@dataclass(frozen=True, slots=True)
class Opinion:
    """What one gauge said of a thread: what it was, the very one by its name; the verdict; the size that was measured,
    over the middle of the class, within a standard uncertainty (millimetres)."""

    tried: Gauge
    mate: str
    word: Verdict
    off_mm: float | None = None
    within_mm: float = 0.0

    def name(self, step: Operation) -> str:
        """What it is called."""
        if self.off_mm is not None and not self.tried:
            return WIRES
        return self.mate or (TRIED[self.tried].hole if step.inside else TRIED[self.tried].bolt)

    @property
    def judged_by(self) -> tuple[Gauge, str, bool]:
        """The gauge: by the same one the last word counts."""
        return self.tried, self.mate, self.off_mm is not None

    @property
    def trial(self) -> Trial:
        """As something to learn from."""
        return Trial(0.0, "", self.word, self.off_mm, self.within_mm, self.tried, mate=self.mate)


def with_opinion(before: Sequence[Opinion], last: Opinion) -> list[Opinion]:
    """All that was said of a thread, with the last: by one gauge the last word counts."""
    return [*(one for one in before if one.judged_by != last.judged_by), last]


def _against(step: Operation, first: Opinion, second: Opinion) -> bool:
    """Whether the second can hardly be so where the first is."""
    assert step.thread is not None  # what is gauged has a thread
    aim = (aim_inside_of if step.inside else aim_of)(step.thread, step.class_name)
    if aim is None:
        return False
    belief = Belief(aim)
    belief.anywhere(SCATTERED_MM)
    belief.learn(first.trial)
    return belief.chance_of(second.trial) < UNLIKELY


def _third(step: Operation, said: Sequence[Opinion], offered: Sequence[Gauge]) -> str:
    """What to try it with, the cheapest first, and what to believe; the same gauges once more where there is nothing
    else."""
    used: set[str] = {WIRES if one.off_mm is not None and not one.tried else one.tried for one in said}
    names: dict[str, str] = {
        gauge: TRIED[gauge].hole if step.inside else TRIED[gauge].bolt for gauge in _BY_COST if gauge in offered
    }
    if "wire" in step.figures:
        names = {gauge: names[gauge] for gauge in ("known",) if gauge in names} | {WIRES: WIRES} | names
    left = next((name for gauge, name in names.items() if gauge not in used), "")
    return f"Then try {left}, and believe what two of them say." if left else "Then try both once more."


def contradiction(step: Operation, said: Sequence[Opinion], offered: Sequence[Gauge]) -> str:
    """What to do where the last gauge contradicts one before it and no third agrees with it; "" where none does.
    Source: practice."""
    if len(said) < 2 or step.to_mate or step.thread is None or step.thread.taper:
        return ""
    last, metal = said[-1], told_metal(said[-1].word)
    if any(told_metal(one.word) == metal for one in said[:-1]):
        return ""
    first = next((one for one in said[:-1] if _against(step, one, last)), None)
    if first is None:
        return ""
    told = " ".join(f"{one.name(step).capitalize()}: {MEANINGS[one.word].words}." for one in (first, last))
    return (
        f"{told} These contradict each other. Clean the thread and the gauges and look for a burr. "
        f"{_third(step, said, offered)}"
    )
