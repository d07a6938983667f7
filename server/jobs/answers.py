"""Stored jobs as the endpoints answer with them."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any, Literal, get_args

from lathework.answers.bench.bench_shown import BenchShown, bench_shown
from lathework.answers.declared_answer import answer
from lathework.answers.plan_shown import PlanShown, plan_shown
from lathework.answers.values import FigureShown, figure_shown
from lathework.outfit.need import Need
from lathework.shop.kinds import name_of
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.taps import Tap
from lathework.units import LengthUnit
from server.jobs.history.dies import did_last, die_records
from server.jobs.history.lessons import LessonShown, lessons_of
from server.jobs.models import Job, StandingRow
from server.jobs.schemas import StoredDocument
from server.jobs.standing import STATE_WORDS, Standing
from server.site.choices import ChoiceShown

JobState = Literal["planned", "on the bench", "held", "finished", "closed", "unreadable"]
Shelf = Literal["open", "archive", "bin"]
SHELVES: tuple[Shelf, ...] = get_args(Shelf)
JOB_STATES: tuple[JobState, ...] = ("on the bench", "held", "planned", "finished", "closed", "unreadable")
"""In the order of the list."""


@answer
class JobNamed:
    """Which job it is and where it stands; `last` is the id of its last entry, 0 for none."""

    id: int
    title: str
    state: JobState
    shelf: Shelf
    held: str
    closed: str
    last: int
    changed_at: str


@answer
class JobNow(JobNamed):
    """What of an answer is the job's standing: it stays true of a closed one whose answer is kept."""

    revision: int


@answer
class JobCard(JobNamed):
    """A job on the list: what it is, where it stands, what is next.

    `unreadable` says why this version does not read it, "" when it does; `condition` is its state in words.
    """

    needed_by: str
    thread: str
    material: str
    quantity: int
    good: int
    scrapped: int
    piece: int
    steps: int
    steps_done: int
    next_step: str
    unreadable: str
    condition: str


@answer
class StateShown:
    """A state with its words, and how many jobs are in it."""

    code: JobState
    name: str
    jobs: int


@answer
class JobsPage:
    """A page of the list, what is worked at first; `more` when there is another, `counts` by shelf, `states` of those
    on this one that are looked for."""

    jobs: tuple[JobCard, ...]
    more: bool
    counts: dict[Shelf, int]
    states: tuple[StateShown, ...]


@answer
class StandingShown(JobCard, JobNow):
    """A job as it stands, with what an act must say it saw."""


@answer
class DieRecordShown:
    """What the log says of the blank for a thread: the figure, from how many pieces, as a fraction of the pitch."""

    thread: str
    blank: FigureShown
    pieces: int
    fraction: str


@answer
class StandInShown:
    """What may stand in, or what does not serve; taken by giving `field` of the document `value`, "" where it is told
    alone."""

    words: str
    field: str
    value: str
    serves: bool


@answer
class NeedShown:
    """Something a plan works with: what serves, with its id and where it lies, "" for what is missing; what to mind;
    what may stand in. `choices` are those that `field` of the document may name. `owns` is what to put in the shop, its
    kind and its fields, where one has it after all; `did` says what a die did last; `steps` are the keys of the steps
    that it is laid out for.
    """

    what: str
    thing: str
    id: str
    place: str
    note: str
    instead: tuple[StandInShown, ...]
    field: str
    choices: tuple[ChoiceShown, ...]
    owns: dict[str, str]
    did: str
    steps: tuple[str, ...]


def needs_shown(told: Sequence[Need]) -> tuple[NeedShown, ...]:
    """What a plan works with, each die with what it did last."""
    did = did_last([need.thing.id for need in told if isinstance(need.thing, Die | Tap)])
    return tuple(
        NeedShown(
            what=need.what,
            thing=name_of(need.thing) if need.thing else "",
            id=need.thing.id if need.thing else "",
            place=need.thing.place if need.thing else "",
            note=need.note,
            instead=tuple(StandInShown(one.words, one.field, one.value, one.serves) for one in need.instead),
            field=need.field,
            owns=dict(need.owns),
            steps=need.steps,
            did=did.get(need.thing.id, "") if need.thing else "",
            choices=tuple(ChoiceShown(choice.id, name_of(choice), choice.place) for choice in need.choices),
        )
        for need in told
    )


@answer
class JobShown(StandingShown):
    """A job with its document and the plan of one of its parts."""

    document: StoredDocument
    plan: PlanShown
    die_records: tuple[DieRecordShown, ...]


@answer
class JobBench(BenchShown, JobNow):
    """The bench of a job; what it `becomes` in the shop once it is made, as one types it there, "" for nothing;
    since when it is `paused`, "" where work goes on."""

    unit: LengthUnit
    lessons: tuple[LessonShown, ...]
    becomes: str
    paused: str


def _named(row: StandingRow) -> dict[str, Any]:
    names = ("title", "state", "shelf", "held", "closed")
    own = {"id": row.job_id, "last": row.last_entry, "changed_at": row.changed_at.isoformat()}
    return own | {name: getattr(row, name) for name in names}


def job_card(row: StandingRow) -> JobCard:
    """A job on the list."""
    return JobCard(
        **_named(row),
        needed_by=row.needed_by,
        thread=row.thread,
        material=row.material,
        quantity=row.quantity,
        good=row.good,
        scrapped=row.scrapped,
        piece=row.piece,
        steps=row.steps,
        steps_done=row.steps_done,
        next_step=row.next_step,
        unreadable=row.unreadable,
        condition=STATE_WORDS[row.state],
    )


def job_now(job: Job) -> JobNow:
    """Which job it is and where it stands."""
    return JobNow(**_named(job.row), revision=job.revision)


def standing_shown(job: Job) -> StandingShown:
    """A job as it stands after something was done to it."""
    return StandingShown(**vars(job_card(job.row)), revision=job.revision)


def _die_records(now: Standing, part: int) -> tuple[DieRecordShown, ...]:
    return tuple(
        DieRecordShown(record.thread.designation, figure_shown(record.blank), record.pieces, f"{record.fraction:g}")
        for record in die_records(now.plans[part - 1].job)
    )


def job_shown(now: Standing, part: int = 1, *, narrow: bool = False) -> JobShown:
    """A job with its document, and the plan of `part` (a number from 1; past the last is the last).

    `narrow` is for a screen as wide as a phone.
    """
    part = min(part, len(now.plans))
    return JobShown(
        **vars(standing_shown(now.job)),
        document=now.job.document,
        plan=plan_shown(now.plans[part - 1], narrow=narrow),
        die_records=_die_records(now, part),
    )


def _paused(now: Standing) -> str:
    """Since when a job is paused: what was recorded last says so."""
    at = now.job.row.paused_at
    return at.isoformat() if at else ""


def job_bench(now: Standing) -> JobBench:
    """The bench of a job."""
    bench = now.bench
    lessons = lessons_of(bench.plan, bench.step.key if bench.step else "")
    shown = vars(bench_shown(now.progress)) | vars(job_now(now.job))
    return JobBench(**shown, unit=now.spec.unit, lessons=lessons, becomes=now.spec.becomes, paused=_paused(now))
