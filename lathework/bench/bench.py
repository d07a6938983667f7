"""Where one part of a job stands: the piece and the step in hand, and all that the step needs."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from copy import deepcopy
from dataclasses import dataclass
from typing import Literal

from lathework.bench.due import Due, due
from lathework.bench.entry import die_of, made_of
from lathework.bench.gauge.contradiction import contradiction
from lathework.bench.gauge.die import Memory, Preset, known_as, known_of, scale_of
from lathework.bench.gauge.die_advice import advised, preset_of
from lathework.bench.gauge.die_in_use import die_id, thread_of
from lathework.bench.gauge.thread import found_cause, offered, sized, why_it_binds
from lathework.bench.outdated import outdated_words
from lathework.bench.put_down import Turn, may_begin, piece_after, to_do, turns
from lathework.bench.size.cuts import Cuts
from lathework.bench.size.from_measured import as_found, without_planned_verdict
from lathework.bench.size.size_now import Judged, SizeNow, size_now
from lathework.bench.tally import Reading, Tally, stands_open
from lathework.bench.zeros import Zeros, zero_of, zeros_of
from lathework.cautions import HAZARD_CAUTIONS, Caution
from lathework.cutting.next_cut import NextCut
from lathework.dies.scale import SCREW, Scale
from lathework.dies.setting import Advice
from lathework.gauging.causes import Cause
from lathework.gauging.sized import Sized
from lathework.gauging.tried import Gauge
from lathework.gauging.verdicts import MEANINGS, VERDICTS, Verdict
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.units import BothUnits

StepState = Literal["done", "now", "to do"]


@dataclass(frozen=True, slots=True)
class Bench:
    """Where a part stands: the piece in hand, the step, and all that the step needs.

    `die` is the thread of the die in use, `die_id` which of the shop it is, `opened` by how many eighths of a turn each
    die was opened here, by that id or its thread. `unread` are the cautions that must be read before anything else;
    `zero` is what to touch off first, "" when the tool's zero stands, `zeros` the same of every step by its key;
    `zeros_stay` that one of them stands for the pieces to come. `sizes` are those that can be measured of the
    step, the one that drives its cuts first; `contradiction` is what to do where its gauges
    contradict each other; `preset` where to set the die that runs in this step; `causes` what to
    look at before it is moved, `cause` what the nut was found to bind for; `due` whether the piece is to be gauged;
    `sized` its thread as measured; `gauges` what it may be tried with, `tried` what that was last and `mate` which
    very one, `mates` those that its threads were tried with before, by their names. `outdated` says what
    was recorded for the step before the part was changed, None where everything counts. `aside` are the pieces that
    were put down, with the steps done for each; `begun` the highest number of any, `may_begin` whether one more is
    wanted beside them; `then` the piece that is taken up when the step is done, `then_scrapped` when the one in hand is
    scrapped, None for no other than usual; `turns` to which pieces work turns at the ends of the holdings to come.
    """

    plan: Plan
    piece: int
    good: int
    scrapped: int
    gauged_pieces: int
    done: frozenset[str]
    step: Operation | None
    sizes: tuple[SizeNow, ...]
    verdict: Verdict | None
    adjusted: bool
    advice: Advice | None
    contradiction: str
    preset: Preset | None
    causes: tuple[Cause, ...]
    cause: Cause | None
    due: Due
    sized: Sized | None
    gauges: tuple[Gauge, ...]
    tried: Gauge
    mate: str
    mates: tuple[str, ...]
    die: str
    die_id: str
    opened: Mapping[str, float]
    unread: tuple[Caution, ...]
    zero: str
    zeros: Mapping[str, Zeros]
    zeros_stay: bool
    asks_keeping: bool
    aside: Mapping[int, frozenset[str]]
    begun: int
    may_begin: bool
    then: int | None
    then_scrapped: int | None
    turns: tuple[Turn, ...]
    outdated: BothUnits | None

    @property
    def scale(self) -> Scale:
        """What the die in use is set by."""
        return scale_of(self.step, self.plan) if self.step is not None else SCREW

    @property
    def opened_eighths(self) -> float:
        """By how many eighths of a turn the die in use was opened for this part."""
        return stands_open(self.opened, self.die_id, known_as(self.step, self.die))

    def size(self, measured: str) -> SizeNow | None:
        """The size of the step of that name, the first where none is named; None where it has no such."""
        return next((one for one in self.sizes if measured in ("", one.dimension.measured)), None)

    @property
    def _driving(self) -> SizeNow | None:
        """The size that drives the cuts of the step; None where none does."""
        driven = self.step is not None and self.step.measure == "diameter"
        return self.sizes[0] if driven else None

    @property
    def readings(self) -> tuple[Reading, ...]:
        """What was read of the size that drives the cuts."""
        return self._driving.readings if self._driving else ()

    @property
    def cut(self) -> NextCut | None:
        """The next cut of a step that is cut to a size."""
        return self._driving.cut if self._driving else None

    @property
    def judged(self) -> Judged | None:
        """The last reading of a blank against the class of its thread."""
        return self._driving.judged if self._driving else None

    @property
    def finished(self) -> bool:
        """Every piece wanted is made; a part without a plan never is."""
        return self.step is None and self.plan.goes

    @property
    def hindrance(self) -> str:
        """Why the step cannot be ticked off without a reason; empty when it can."""
        wrong = next((one.hindrance for one in self.sizes if one.hindrance), "")
        if wrong:
            return wrong
        if self.contradiction:
            return "The gauges contradict each other. Try a third one, or give a reason not to."
        if self.step is not None and self.step.measure == "verdict" and not self.passed and self._asked():
            return "Gauge the thread first, or give a reason not to."
        return ""

    def _asked(self) -> bool:
        """Whether the nut must be tried: it is due, or did not go on."""
        return self.due.now or self.verdict is not None or self.cause is not None

    @property
    def passed(self) -> bool:
        """Whether the thread of the step passed what it was last tried with."""
        return self.verdict is not None and MEANINGS[self.verdict].passes


def _settled(plan: Plan, tally: Tally) -> Tally:
    """The tally with the piece in hand counted, where every step of the plan as it is now was done for it."""
    if not plan.goes or not {step.key for step in plan.operations} <= tally.done:
        return tally
    whole = deepcopy(tally)
    whole.next_piece(good=True)
    return whole


def _current(plan: Plan, tally: Tally) -> Operation | None:
    """The step in hand; None when every piece is made."""
    if tally.good >= plan.job.quantity:
        return None
    return to_do(plan, tally.done)


def bench(plan: Plan, folded: Tally, memory: Memory, cuts: Cuts, starts: Mapping[str, str] | None = None) -> Bench:
    """Where the part of `plan` stands after what was folded into a tally; `memory` is what dies did until now, `cuts`
    what came off in other jobs, `starts` where the settings of dies are counted from that were said in this job to
    stand somewhere."""
    tally = _settled(plan, folded)
    step = _current(plan, tally)
    step = without_planned_verdict(plan, as_found(plan, step, tally), tally) if step is not None else None
    key = step.key if step else ""
    thread = step.thread if step is not None and step.measure == "verdict" else None
    said = tally.verdicts.get(key) if thread else None
    verdict = next((v for v in VERDICTS if v == said), None)
    trials = (
        known_of(memory, die_of(plan, key), known_as(step, step.thread.designation)) if step and step.thread else ()
    )
    asks, may = key not in tally.adjusted, offered(step) if step else ()
    mate = tally.mates.get(made_of(key), "")
    against = contradiction(step, tally.opinions.get(key, ()), may) if step and verdict else ""
    outdated = tally.outdated.get(key)
    keeping = plan.job.setup.tools if plan.job.setup.tools != "unsaid" else tally.keeping or "unsaid"
    return Bench(
        plan=plan,
        piece=tally.piece,
        good=tally.good,
        scrapped=tally.scrapped,
        gauged_pieces=tally.gauged,
        done=frozenset(tally.done),
        step=step,
        sizes=tuple(size_now(plan, step, tally, dimension, cuts) for dimension in step.dimensions) if step else (),
        verdict=verdict,
        adjusted=key in tally.adjusted,
        # What to do with the die rests as long as its gauges contradict each other.
        advice=advised(plan, step, verdict, tally, trials) if step and thread and verdict and not against else None,
        contradiction=against,
        preset=preset_of(plan, step, trials, tally, starts or {}) if step else None,
        causes=why_it_binds(plan, step, verdict, tally) if step and verdict and asks and not against else (),
        cause=found_cause(step, tally) if step else None,
        due=due(plan, step, tally),
        sized=sized(step, tally.sizes[key]) if step and key in tally.sizes else None,
        gauges=may,
        tried=tally.tried if tally.tried in may else "",
        mate=mate,
        mates=tuple(dict.fromkeys(filter(None, (mate, *(trial.mate for trial in reversed(trials)))))),
        die=thread_of(plan, step),
        die_id=die_id(plan, step),
        opened=tally.opened,
        unread=tuple(HAZARD_CAUTIONS[h] for h in plan.job.hazards if h not in tally.read) if step else (),
        zero=zero_of(step, tally, keeping) if step else "",
        zeros={
            operation.key: zeros_of(operation, tally, keeping)
            for operation in plan.operations
            if operation.zero or operation.cut is not None
        },
        zeros_stay=keeping != "each",
        asks_keeping=keeping == "unsaid",
        aside={piece: frozenset(one.done) for piece, one in sorted(tally.aside.items())},
        begun=tally.begun,
        may_begin=may_begin(plan, tally),
        then=piece_after(plan, tally, step) if step else None,
        then_scrapped=piece_after(plan, tally, step, scrapped=True) if step else None,
        turns=turns(plan, tally),
        outdated=outdated_words(outdated, step) if outdated and step else None,
    )


def steps_of(now: Bench) -> Sequence[tuple[Operation, StepState]]:
    """The steps of the piece in hand with their state."""
    here = now.step.key if now.step else ""
    return [
        (step, "now" if step.key == here else "done" if step.key in now.done or now.finished else "to do")
        for step in now.plan.operations
    ]
