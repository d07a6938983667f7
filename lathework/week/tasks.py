"""What is left of a job, as tasks: what is done at one station without something else between."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.bench.bench import Bench
from lathework.bench.progress import Progress
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.week.learned import Learned, Work, size_of
from lathework.week.model import SetUp, Task
from lathework.week.set_ups import holds_of, lathe_of, sized

BENCH, MILL, PRESS = "bench", "mill", "press"
STATIONS = {BENCH: "Bench, vice", MILL: "Mill", PRESS: "Drill press"}
"""Where work is done off the lathe, and what that is called."""
_OFF_THE_LATHE = {"saw": BENCH, "deburr": BENCH, "fit": BENCH, "flats": MILL, "keyway": MILL}
_CUTS_THREADS = ("thread", "finish", "screwcut")
"""Steps whose time depends on how a thread is cut: a blank is turned alike for all."""
IN_PASSING_MIN = 30
"""Less than this at the bench is done beside the work at a machine (minutes, practice)."""


@dataclass(frozen=True, slots=True)
class Run:
    """Steps at one station for all the pieces that want them: the minutes of each that is left, how many pieces."""

    number: int
    station: str
    steps: tuple[Operation, ...]
    minutes: tuple[float, ...]
    pieces: int

    def with_more(self, other: Run) -> Run:
        """The same with what is done beside it."""
        steps, minutes = (*self.steps, *other.steps), (*self.minutes, *other.minutes)
        return Run(self.number, self.station, steps, minutes, max(self.pieces, other.pieces))


@dataclass(frozen=True, slots=True)
class Asked:
    """What is said of a job beside its plan: when it may begin (minutes from now), who may do it."""

    ready: int = 0
    people: tuple[str, ...] = ()


def station_of(step: Operation, plan: Plan) -> str:
    """Where a step is done."""
    if step.key.startswith("cross-"):
        return PRESS
    if step.key.startswith("hub-keyway"):
        return lathe_of(plan)
    return _OFF_THE_LATHE.get(step.kind) or lathe_of(plan)


def holding_of(step: Operation, plan: Plan) -> int:
    """The holding that a step is done in for all pieces before the next one; 0 where work goes piece by piece."""
    return step.chucking if plan.job.method.batch == "holding" and plan.job.quantity > 1 else 0


def runs_of(plan: Plan) -> list[tuple[str, list[Operation]]]:
    """The steps of a plan, those together that are done at one station, and in one holding where that is done for all
    pieces first: a moment at the bench between two steps on the lathe is spent beside it."""
    lathe = lathe_of(plan)
    runs: list[tuple[str, int, list[Operation]]] = []
    for step in plan.operations:
        station = station_of(step, plan)
        holding = holding_of(step, plan) if station == lathe else 0
        if runs and runs[-1][:2] == (station, holding):
            runs[-1][2].append(step)
        else:
            runs.append((station, holding, [step]))
    settled: list[tuple[str, int, list[Operation]]] = []
    for number, (station, holding, steps) in enumerate(runs):
        between = station == BENCH and 0 < number < len(runs) - 1 and settled and settled[-1][0] == lathe
        if settled and (between or settled[-1][:2] == (station, holding)):
            settled[-1][2].extend(steps)
        else:
            settled.append((station, holding, steps))
    return [(station, steps) for station, _, steps in settled]


def _in_passing(runs: Sequence[Run]) -> list[Run]:
    """The same, where a few minutes at the bench belong to what is done beside them: nobody goes home between sawing
    and turning."""
    kept: list[Run] = []
    saw: Run | None = None
    for run in runs:
        if run.station == BENCH and sum(run.minutes) < IN_PASSING_MIN and len(runs) > 1:
            if kept:
                kept[-1] = kept[-1].with_more(run)
            else:
                saw = run if saw is None else saw.with_more(run)
            continue
        kept.append(run if saw is None else run.with_more(saw))
        saw = None
    return kept if saw is None else [*kept, saw]


def _to_make(bench: Bench) -> list[frozenset[str]]:
    """What is done of each piece that is still to be made."""
    if bench.finished:
        return []
    begun = [bench.done, *bench.aside.values()]
    fresh = max(0, bench.plan.job.quantity - bench.good - len(begun))
    return [*begun, *([frozenset[str]()] * fresh)]


def work_of(step: Operation, plan: Plan, *, first: bool) -> Work:
    """What a step is, as far as its time may depend on it; `first` says that it is of a first piece."""
    job = plan.job
    way = step.cutter if step.kind in _CUTS_THREADS and not step.inside else ""
    return Work(step.kind, job.material.name, job.setup.machine, first, way, size_of(job.part.stock.across.mm))


def _task_minutes(bench: Bench, steps: Sequence[Operation], learned: Learned) -> tuple[list[float], int]:
    """The minutes of each step that is still to be done, at the pace of this shop; how many pieces that is."""
    plan, expected = bench.plan, bench.plan.minutes

    def takes(*, first: bool) -> dict[str, float]:
        return {step.key: expected[step.key] * learned.factor(work_of(step, plan, first=first)) for step in steps}

    minutes, pieces = list[float](), 0
    later = takes(first=False)
    for number, done in enumerate(_to_make(bench)):
        each = takes(first=True) if number == 0 and bench.good == 0 else later
        left = [each[step.key] for step in steps if step.key not in done]
        pieces += bool(left)
        minutes += left
    return minutes, pieces


def expected_of(progress: Progress, learned: Learned) -> float:
    """Minutes that all that is left of a job takes at a pace, setting up left out."""
    going = (bench for bench in progress.benches if bench.plan.goes)
    return sum(sum(_task_minutes(bench, bench.plan.operations, learned)[0]) for bench in going)


def _runs_left(bench: Bench, learned: Learned) -> list[Run]:
    """What is left of a part, run by run."""
    left = []
    for number, (station, steps) in enumerate(runs_of(bench.plan)):
        minutes, pieces = _task_minutes(bench, steps, learned)
        if minutes:
            left.append(Run(number, station, tuple(steps), tuple(minutes), pieces))
    return _in_passing(left)


def _holds(plan: Plan, job: int, run: Run) -> SetUp:
    """What a run is set up with: a bench needs nothing, a mill and a drill press their vice."""
    if run.station == lathe_of(plan):
        return holds_of(plan, job, run.steps)
    return frozenset() if run.station == BENCH else frozenset({("vice", f"{job}.{plan.job.part.id}.{run.number}")})


def tasks_of(job: int, progress: Progress, learned: Learned, asked: Asked) -> tuple[Task, ...]:
    """What is left of a job, in the order it is done: each task waits for the one before it."""
    tasks: list[Task] = []
    for bench in progress.benches:
        plan = bench.plan
        for run in _runs_left(bench, learned) if plan.goes else ():
            tasks.append(
                Task(
                    ident=f"{job}.{plan.job.part.id}.{run.number}",
                    job=job,
                    title=plan.job.title,
                    station=run.station,
                    minutes=max(1, round(sum(run.minutes))),
                    spread=learned.spread(run.minutes),
                    holds=_holds(plan, job, run),
                    after=(tasks[-1].ident,) if tasks else (),
                    ready=asked.ready,
                    people=asked.people,
                    pieces=run.pieces,
                    what=_what(plan, run),
                )
            )
    return tuple(tasks)


def _what(plan: Plan, run: Run) -> str:
    """What is done in a task, in a few words."""
    if run.station == lathe_of(plan):
        return plan.job.designations or sized(plan.job.part.stock.across)
    titles = list(dict.fromkeys(step.title for step in run.steps))
    return titles[0] if len(titles) == 1 else f"{titles[0]} and {len(titles) - 1} more"
