"""The rows that are kept ready: written with the entry they follow from, or made anew from all entries of a job."""

from __future__ import annotations

import hashlib
import logging
from collections.abc import Iterable, Sequence
from functools import cache
from typing import Any

from django.conf import settings
from django.db import transaction
from django.db.models import Q

from lathework.bench.events import Event, Excused, Gauged, PassTaken, PieceEnded
from lathework.bench.fold import fold, follow, steps_of_parts
from lathework.bench.progress import progress_of
from lathework.errors import InvalidDocument
from lathework.job.model import Job as JobSpec
from lathework.planning.plan import Plan
from server.jobs import search_index
from server.jobs.history.did_before import cut_row
from server.jobs.history.lessons import lesson_row
from server.jobs.history.took import add_took, took_rows
from server.jobs.models import CutRow, Entry, GaugingRow, Job, LessonRow, PieceRow, StandingRow, TookRow, TrialRow
from server.jobs.standing import Standing, plans_of
from server.jobs.stored import live_entries, recorded

log = logging.getLogger(__name__)
LONGEST_REASON = 2000
RANKS = {"on the bench": 0, "finished": 0, "held": 1, "unreadable": 1, "planned": 2, "closed": 3}
"""The order of the list: what one stands at, what is stuck, what is next, what is over."""


@cache
def rules() -> str:
    """A name for the rules of this program: rows folded by others are folded anew when it starts."""
    total = hashlib.sha256()
    for file in sorted((settings.ROOT / "lathework").rglob("*")):
        if file.suffix in (".py", ".csv") and "tests" not in file.parts:
            total.update(file.read_bytes())
    return total.hexdigest()


def _shelf(job: Job) -> str:
    if job.deleted_at is not None:
        return "bin"
    return "archive" if job.archived_at is not None else "open"


def _row(job: Job) -> StandingRow:
    return StandingRow.objects.filter(pk=job.pk).first() or StandingRow(job=job)


def _save_row(job: Job, row: StandingRow, state: str, more: Sequence[str], *, indexed: bool = False) -> None:
    """What every row has, readable or not; and the words the job is found by, unless they are `indexed` as they are."""
    row.shelf, row.state, row.rank = _shelf(job), state, RANKS[state]
    row.changed_at, row.title = job.changed_at, job.title
    row.held, row.closed = job.held, job.closed
    row.save()
    job.row = row
    if indexed:
        return
    if row.shelf == "bin":
        search_index.forget_job(job.pk)
    else:
        search_index.index_job(job, row, more)


def _words_of(spec: JobSpec) -> tuple[str, ...]:
    return (spec.notes, *(part.fits for part in spec.parts), *spec.part_names)


def _shown(row: StandingRow) -> tuple[object, ...]:
    """What entries change of the words that a job is found by."""
    return row.state, row.held, row.good, row.scrapped, row.setting


def _cutter(plan: Plan) -> str:
    """What the setting of a job is one of."""
    if plan.work.main is not None:
        return plan.work.main.cut
    return "adjustable-tap" if any(bore.cutter.sized_by == "graduations" for bore in plan.job.part.bores) else "die"


def write_standing(now: Standing, last: Entry | None, *, followed: bool = False) -> None:
    """Write the row of a job as it stands, by the `last` entry that counts; `followed` says that nothing but entries
    came since it was written."""
    row, spec, bench, progress = _row(now.job), now.spec, now.bench, now.progress
    before = _shown(row)
    row.needed_by, row.thread = spec.needed_by, spec.designations
    row.material = ", ".join(dict.fromkeys(part.material.name for part in spec.parts))
    row.identified = spec.identified.words if spec.identified else ""
    row.quantity, row.good, row.scrapped = progress.quantity, progress.good, progress.scrapped
    row.piece, row.steps, row.steps_done = bench.piece, progress.steps, progress.steps_done
    row.next_step = bench.step.title if bench.step else ""
    row.setting, row.unreadable = progress.opened_eighths, ""
    row.cutter = _cutter(bench.plan)
    row.paused_at = last.at if last is not None and last.kind == "pause" else None
    row.last_entry, row.folded, row.rules = now.last, progress.state.kept(), rules()
    row.state, row.held = now.state, now.job.held
    _save_row(now.job, row, now.state, _words_of(spec), indexed=followed and _shown(row) == before)


def write_unreadable(job: Job, reason: str) -> None:
    """Write the row of a job that the rules do not read: what was known of it stays."""
    row = _row(job)
    row.unreadable, row.rules = reason, rules()
    row.thread = row.thread or job.thread
    last = Entry.objects.filter(job=job, undone_at=None).order_by("-pk").first()
    row.last_entry = last.pk if last else 0
    _save_row(job, row, "closed" if job.closed_at is not None else "unreadable", ())


def touch(job: Job) -> None:
    """Write what the lists show of a job that was held, closed, or put away: nothing is folded for that."""
    row = job.row
    if row.unreadable and job.closed_at is None:
        _save_row(job, row, "unreadable", ())
        return
    made = 0 < row.steps == row.steps_done
    open_state = "finished" if made else "on the bench" if row.last_entry else "planned"
    _save_row(job, row, "closed" if job.closed_at else "held" if job.held else open_state, _more(job))


def _more(job: Job) -> tuple[str, ...]:
    """Further words of a job's document; none where the rules do not read it."""
    try:
        return _words_of(plans_of(job.document)[0].job)
    except InvalidDocument:
        return ()


def _row_of(job: Job, entry: Entry, event: PieceEnded | Gauged) -> PieceRow | GaugingRow:
    """The row of what came of an entry: a piece, or what a die did."""
    if isinstance(event, PieceEnded):
        return PieceRow(job=job, entry=entry, part=event.part, piece=event.piece, good=event.good)
    return GaugingRow(
        job=job,
        entry=entry,
        part=event.part,
        piece=event.piece,
        step=event.step,
        thread=event.thread,
        metal=event.metal,
        verdict=event.verdict,
        blank_mm=event.blank_mm,
        eighths=event.eighths,
        die=event.die,
        inside=event.inside,
        cutter=event.cutter,
    )


def _placed(event: Gauged) -> dict[str, Any]:
    """Where the die of a gauging stood, and with which mate its thread was tried."""
    return {"placed": event.placed, "on": event.on, "mate": event.mate, "since": event.since}


def _trial(row: GaugingRow, event: Gauged) -> TrialRow:
    """What a gauging teaches of its die."""
    names = ("job", "entry", "die", "thread", "metal", "verdict", "eighths")
    own = {name: getattr(row, name) for name in names}
    size = {"off_mm": event.off_mm, "within_mm": event.within_mm}
    return TrialRow(**own, **size, tried=event.tried, again=event.again, **_placed(event))


def _excuse(job: Job, event: Excused, unwritten: list[TrialRow]) -> None:
    """Forget what the last verdict of a step taught: of those not written yet, else of the rows."""
    here = (event.part, event.piece, event.step)
    for row in reversed(unwritten):
        if (row.entry.part, row.entry.piece, row.entry.step) == here:
            unwritten.remove(row)
            return
    of_step = {"entry__part": event.part, "entry__piece": event.piece, "entry__step": event.step}
    last = TrialRow.objects.filter(job=job, **of_step).order_by("-entry_id").first()
    if last is not None:
        last.delete()


def _write_events(job: Job, plans: Sequence[Plan], events: Iterable[tuple[Entry, Event]]) -> None:
    """Write what came of entries, as new rows; of a thread that is gauged again, the last verdict stands."""
    pieces: dict[tuple[str, int], PieceRow] = {}
    gaugings: dict[tuple[str, int, str], GaugingRow] = {}
    trials: list[TrialRow] = []
    cuts: list[CutRow | None] = []
    for entry, event in events:
        if isinstance(event, PassTaken):
            cuts.append(cut_row(job, plans, entry, event))
            continue
        if isinstance(event, Excused):
            _excuse(job, event, trials)
            continue
        row = _row_of(job, entry, event)
        if isinstance(row, PieceRow):
            pieces[row.part, row.piece] = row
        else:
            gaugings[row.part, row.piece, row.step] = row
            if isinstance(event, Gauged) and event.die and event.teaches:
                trials.append(_trial(row, event))
    PieceRow.objects.bulk_create(pieces.values())
    GaugingRow.objects.bulk_create(gaugings.values())
    TrialRow.objects.bulk_create(trials)
    CutRow.objects.bulk_create(filter(None, cuts))


def add(before: Standing, entry: Entry) -> Standing:
    """Fold one more stored entry into the rows of its job; where the job stands then.

    It costs the same however many went before: the state they were folded into is all that is read.
    """
    state = before.progress.state
    events = follow(state, recorded(entry), steps_of_parts(before.plans))
    now = Standing(before.job, before.plans, progress_of(before.plans, state), entry.pk)
    for event in events:
        if isinstance(event, Gauged):
            mine = GaugingRow.objects.filter(job=now.job, part=event.part, piece=event.piece, step=event.step)
            mine.delete()
    _write_events(now.job, now.plans, ((entry, event) for event in events))
    add_took(now.job, now.plans, before.last, entry)
    lesson = lesson_row(now.job, entry)
    if lesson is not None:
        lesson.save()
    write_standing(now, entry, followed=True)
    search_index.index_entry(entry, now.job.title)
    return now


def _forget(job: Job) -> None:
    for rows in (PieceRow, GaugingRow, TrialRow, CutRow, TookRow, LessonRow):
        rows.objects.filter(job=job).delete()


def rewrite(job: Job) -> Standing:
    """Make every row of a job anew from its entries. Raises InvalidDocument."""
    return _rewritten(job, plans_of(job.document))


def _rewritten(job: Job, plans: Sequence[Plan]) -> Standing:
    entries = live_entries(job.pk)
    state, events = fold(plans, [recorded(entry) for entry in entries])
    now = Standing(job, tuple(plans), progress_of(plans, state), entries[-1].pk if entries else 0)
    _forget(job)
    _write_events(job, plans, ((entries[at], event) for at, event in events))
    LessonRow.objects.bulk_create(filter(None, (lesson_row(job, entry) for entry in entries)))
    TookRow.objects.bulk_create(took_rows(job, plans, entries))
    write_standing(now, entries[-1] if entries else None)
    return now


def keep_ready(job: Job) -> None:
    """Make the rows and the index of a job anew, also of one that the rules no longer read.

    A closed job answers from what was stored: its row stays as it is.
    """
    if job.deleted_at is None:
        search_index.index_entries(job)
    if job.closed_at is not None and StandingRow.objects.filter(pk=job.pk).exists():
        return
    try:
        with transaction.atomic():
            rewrite(job)
    except InvalidDocument as invalid:
        write_unreadable(job, str(invalid)[:LONGEST_REASON])
    except Exception:
        # One job that cannot be worked out must not keep the others from being shown.
        log.exception("job %s cannot be worked out", job.pk)
        write_unreadable(job, "This version of Conch cannot work it out.")


def rebuild() -> int:
    """Make the rows of every job anew from the entries; how many jobs that were."""
    numbers = list(Job.objects.order_by("pk").values_list("pk", flat=True))
    for number in numbers:
        with transaction.atomic():
            keep_ready(Job.objects.get(pk=number))
    return len(numbers)


def outdated() -> list[int]:
    """The jobs whose rows are missing, or were folded by other rules."""
    wanting = Q(row=None) | (~Q(row__rules=rules()) & Q(closed_at=None))
    return list(Job.objects.filter(wanting).order_by("pk").values_list("pk", flat=True))


def rebuild_outdated() -> int:
    """Make the rows of those anew; how many that were."""
    numbers = outdated()
    for number in numbers:
        with transaction.atomic():
            keep_ready(Job.objects.get(pk=number))
    return len(numbers)
