"""The sizes of the step in hand: how each reads, what comes next; a blank held against the class of its thread, said at
once, while it can still be helped."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.bench.size.cuts import Cuts, known_cuts
from lathework.bench.size.still_serves import still_serves
from lathework.bench.tally import Reading, Tally, learned_by, read_of, stands_there
from lathework.cutting.dimension import Dimension
from lathework.cutting.next_cut import NextCut, next_cut
from lathework.cutting.to_size.usual_share import usual_share
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.threads.limits import external_limits
from lathework.units import LENGTH_UNITS, BothUnits, convert, show_length

_HAIR_MM = 0.0005
"""Under the last digit that a thread's limits are printed with."""


@dataclass(frozen=True, slots=True)
class Judged:
    """What a reading is to the class, in words, and whether the class allows it; what one under it `still` serves."""

    words: BothUnits
    within: bool
    still: str = ""


@dataclass(frozen=True, slots=True)
class SizeNow:
    """A size of the step in hand, with its `readings`, the cut that comes next, and the last reading `judged`."""

    dimension: Dimension
    readings: tuple[Reading, ...]
    cut: NextCut
    judged: Judged | None

    @property
    def hindrance(self) -> str:
        """Why the step cannot be ticked off without a reason; empty when it can."""
        if not self.readings or self.cut.state == "on-size":
            return ""
        name, grows = self.dimension.name, self.dimension.grows
        if self.cut.state == "past":
            return (
                f"{_named(name)} is {'over' if grows else 'under'}size. Scrap the piece, or give a reason to keep it."
            )
        if self.cut.move == "knock":
            return f"{_named(name)} is out of limits. True the work, or give a reason to accept it."
        again = "Rework it" if self.cut.dial is None else "Cut again"
        return f"{_named(name)} is still {'under' if grows else 'over'}size. {again}, or give a reason to accept it."


def _named(name: str) -> str:
    """The last reading of what is called `name`, as the beginning of a sentence."""
    return f"The last reading of the {name}" if name != "diameter" else "The last reading"


def size_now(plan: Plan, step: Operation, tally: Tally, dimension: Dimension, cuts: Cuts) -> SizeNow:
    """Where one size of a step stands; `cuts` are those of other jobs."""
    readings = tally.readings.get(read_of(step.key, dimension.measured), [])
    own = tally.passes.get(learned_by(step), [])
    known = known_cuts(plan, step, cuts, own)
    cut = next_cut(
        last_mm=readings[-1].value_mm if readings else dimension.start_mm,
        dimension=dimension,
        passes=known,
        elsewhere=len(known) - len(own),
        stands=bool(own) and stands_there(readings),
        usual=_usual_share(plan, step),
        dear=plan.job.method.dearness,
        dial=plan.job.setup.dial,
        unit=plan.job.unit,
    )
    judged = judge(step, readings) if dimension.measured == "diameter" else None
    return SizeNow(dimension, tuple(readings), cut, judged)


def _usual_share(plan: Plan, step: Operation) -> float:
    """The share of a cut that is believed to spring away before anything was cut."""
    chucking = plan.chuckings[step.chucking - 1]
    return usual_share(chucking.worked_mm / chucking.bar_mm, plan.job.material.cutting_force)


def judge(step: Operation, readings: Sequence[Reading]) -> Judged | None:
    """The last reading of a thread's blank against the crest that its class allows; None where there is none.

    A blank that is still being cut is over the class, and nothing is said of that.
    """
    if step.thread is None or step.measure != "diameter" or step.thread.taper or not readings:
        return None
    limits = external_limits(step.thread, step.class_name)
    if limits is None:
        return None
    unit, last = step.thread.unit, readings[-1].value_mm
    least, most = (convert(size, unit, "mm") for size in (limits.major.minimum, limits.major.maximum))
    if last > most + _HAIR_MM:
        return None
    name, short = f"class {limits.class_name}", least - last
    if short <= _HAIR_MM:
        return Judged(BothUnits(*(f"in {name}",) * 2), within=True)
    inch, mm = (f"{show_length(short, 'mm', u)} {u} below the minimum for {name}" for u in LENGTH_UNITS)
    return Judged(BothUnits(inch, mm), within=False, still=still_serves(step.thread, step.class_name, last))
