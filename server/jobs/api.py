"""Jobs: list, start, change, plan, bench, files. Parse, act, answer."""

from __future__ import annotations

import json
from collections.abc import Callable
from dataclasses import dataclass
from functools import wraps
from typing import Annotated, Any, Literal, ParamSpec

import orjson
from django.db import transaction
from django.db.models import Count
from django.http import HttpRequest, HttpResponse
from ninja import Body, Query, Router

from lathework.answers.plan_shown import PlanShown, plan_shown
from lathework.answers.ways_shown import WaysShown, ways_shown
from lathework.drawing.part.layout import WIDE
from lathework.drawing.part.view import part_sheet
from lathework.drawing.shapes import Sheet
from lathework.drawing.svg import sheet_svg
from lathework.errors import InputError, InvalidDocument
from lathework.job.declaration import MOST_OTHERS
from lathework.job.document import read_document
from lathework.job.starts import check_start, new_document
from lathework.planning.plan import make_plan
from lathework.units import LengthUnit
from server.devices.known import device_of, looks
from server.jobs.act_schemas import EntryIn, act_of
from server.jobs.actions import documents, ends, entries
from server.jobs.actions import suit as suiting
from server.jobs.actions.guard import Saw, find_job
from server.jobs.answers import (
    JOB_STATES,
    SHELVES,
    JobBench,
    JobShown,
    JobsPage,
    JobState,
    NeedShown,
    Shelf,
    StandingShown,
    StateShown,
    job_bench,
    job_card,
    job_now,
    job_shown,
    needs_shown,
    standing_shown,
)
from server.jobs.file import job_file, raw_file
from server.jobs.history import closed
from server.jobs.history.readings import readings_csv
from server.jobs.models import Job, StandingRow
from server.jobs.needed import needed, weighed
from server.jobs.queries import found_in
from server.jobs.schemas import ChangeIn, JobDocument, Narrow, ReasonIn, SawIn, StartIn, StepIn
from server.jobs.standing import STATE_WORDS, standing
from server.site.files import file_answer, file_in_schema
from server.site.keys import ActKey
from server.site.place import address_of
from server.site.problems import PROBLEMS, answer

router = Router(tags=["jobs"])
PAGE = 20
"""Jobs on a page of the list."""

End = Annotated[int, Query(ge=1, le=2)]
PartNumber = Annotated[int, Query(ge=1, le=MOST_OTHERS + 1)]
_P = ParamSpec("_P")


def acting(view: Callable[_P, HttpResponse]) -> Callable[_P, HttpResponse]:
    """Work out the answer in the transaction of the act: what cannot be told is not stored."""

    @wraps(view)
    def run(*args: _P.args, **kwargs: _P.kwargs) -> HttpResponse:
        with transaction.atomic():
            return view(*args, **kwargs)

    return run


def _document(document: JobDocument) -> dict[str, Any]:
    return document.model_dump(exclude_none=True)


def _saw(payload: SawIn) -> Saw:
    return Saw(payload.last, payload.revision)


def _job(job: Job, part: int = 1, status: int = 200, *, narrow: bool = False) -> HttpResponse:
    """A job with the plan of one of its parts; a closed one as it was when it was closed."""
    kept = closed.kept_plan(job, part)
    told = orjson.loads(kept) | vars(job_now(job)) if kept else job_shown(standing(job), part, narrow=narrow)
    return answer(told, status)


def _bench(job: Job) -> HttpResponse:
    kept = closed.kept_bench(job)
    return answer(kept | vars(job_now(job)) if kept else job_bench(standing(job)))


@dataclass(frozen=True)
class SuitShown:
    """What of a part would be changed, from what as typed, to what; what it costs, in sentences."""

    what: str
    before: str
    after: str
    costs: tuple[str, ...]


@router.get("", response={200: JobsPage, **PROBLEMS})
def list_jobs(
    request: HttpRequest,
    shelf: Shelf = "open",
    start: Annotated[int, Query(ge=0, le=10**6)] = 0,
    find: Annotated[str, Query(max_length=120)] = "",
    state: JobState | Literal[""] = "",
) -> HttpResponse:
    """A page of the jobs of a shelf, from number `start` (from 0): what is worked at, stuck, next, over; those alone
    that every word to `find` is in: name, thread, metal, for whom, state; and of one `state`, where it is named."""
    of_words = found_in(find).filter(shelf=shelf)
    states = dict(of_words.values_list("state").annotate(jobs=Count("pk")))
    rows = of_words.order_by("rank", "-changed_at", "-job").defer("folded")
    rows = rows.filter(state=state) if state else rows
    found = list(rows[start : start + PAGE + 1])
    counts = dict(StandingRow.objects.values_list("shelf").annotate(jobs=Count("pk")))
    return answer(
        JobsPage(
            jobs=tuple(job_card(row) for row in found[:PAGE]),
            more=len(found) > PAGE,
            counts={shelf: counts.get(shelf, 0) for shelf in SHELVES},
            states=tuple(StateShown(code, STATE_WORDS[code], states[code]) for code in JOB_STATES if code in states),
        )
    )


@router.post("", response={201: JobShown, **PROBLEMS})
@acting
def start_job(request: HttpRequest, document: JobDocument, key: ActKey = "") -> HttpResponse:
    """Start a job."""
    return _job(documents.start_job(_document(document), key), status=201)


@router.post("/new", response={201: JobShown, **PROBLEMS})
@acting
def new_job(request: HttpRequest, payload: StartIn, key: ActKey = "") -> HttpResponse:
    """Start a job from a few sizes; what is wrong is told beside what was typed."""
    identified = payload.identified.model_dump() if payload.identified else None
    document = new_document(payload.typed, payload.method, payload.setup, identified)
    check_start(payload.typed, document)
    return _job(documents.start_job(document, key), status=201)


@router.post("/import", response={201: JobShown, **PROBLEMS})
@acting
def import_job(request: HttpRequest, payload: Body[Any], key: ActKey = "") -> HttpResponse:
    """Read a job file with its record; a wrong one changes nothing."""
    if not isinstance(payload, dict):
        raise InvalidDocument((InputError("wrong-type", "", "A job file is a JSON object."),))
    return _job(documents.import_job(payload, key), status=201)


@router.post("/plan", auth=looks, response={200: PlanShown, **PROBLEMS})
def plan(
    request: HttpRequest,
    document: JobDocument,
    end: End = 1,
    part: PartNumber = 1,
    step: Annotated[str, Query(max_length=40)] = "",
    narrow: Narrow = False,
) -> HttpResponse:
    """The plan of a document that is not stored: the answer to a keystroke, for the part, end and step looked at."""
    parts = read_document(_document(document)).parts
    return answer(plan_shown(make_plan(parts[min(part, len(parts)) - 1]), end, step, narrow=narrow))


@router.get("/{job_id}", response={200: JobShown, **PROBLEMS})
def read_job(request: HttpRequest, job_id: int, part: PartNumber = 1, narrow: Narrow = False) -> HttpResponse:
    """One job with the plan of one of its parts."""
    return _job(find_job(job_id), part, narrow=narrow)


@router.get("/{job_id}/standing", response={200: StandingShown, **PROBLEMS})
def read_standing(request: HttpRequest, job_id: int) -> HttpResponse:
    """Where a job stands, from what is kept ready: also of one that this version does not read, or that was deleted."""
    return answer(standing_shown(find_job(job_id, binned=True)))


@router.get("/{job_id}/needs", response={200: list[NeedShown], **PROBLEMS})
def read_needs(request: HttpRequest, job_id: int, part: PartNumber = 1) -> HttpResponse:
    """What one of its parts works with, as the shop has it now; nothing for a job that is closed."""
    job = find_job(job_id)
    if job.closed_at is not None:
        return answer(())
    plans = standing(job).plans
    return answer(needs_shown(needed(plans[min(part, len(plans)) - 1])))


@router.get("/{job_id}/ways", response={200: WaysShown, **PROBLEMS})
def read_ways(request: HttpRequest, job_id: int, part: PartNumber = 1) -> HttpResponse:
    """The ways to make each thread of a part, ranked by what the shop has, its lathe and the pieces wanted; nothing for
    a job that is closed."""
    job = find_job(job_id)
    plans = standing(job).plans
    plan = plans[min(part, len(plans)) - 1]
    return answer(ways_shown(weighed(plan) if job.closed_at is None else (), plan))


@router.put("/{job_id}", response={200: JobShown, **PROBLEMS})
@acting
def change_job(
    request: HttpRequest,
    job_id: int,
    payload: ChangeIn,
    part: PartNumber = 1,
    narrow: Narrow = False,
    key: ActKey = "",
) -> HttpResponse:
    """Replace a job's document; the answer has the plan of one of its parts."""
    changed = documents.change_job(job_id, _document(payload.document), payload.revision, key)
    return _job(changed, part, narrow=narrow)


@router.get("/{job_id}/bench", response={200: JobBench, **PROBLEMS})
def read_bench(request: HttpRequest, job_id: int) -> HttpResponse:
    """The bench screen as it stands."""
    return _bench(find_job(job_id))


@router.post("/{job_id}/entries", response={200: JobBench, **PROBLEMS})
@acting
def record(request: HttpRequest, job_id: int, payload: EntryIn, key: ActKey = "") -> HttpResponse:
    """Record one thing at the bench; the answer is the next screen."""
    told = payload.root
    said = entries.Said(act_of(told), _saw(told), told.step, device_of(request))
    return _bench(entries.record(job_id, said, key))


@router.get("/{job_id}/suit", response={200: SuitShown | None, **PROBLEMS})
def read_suit(request: HttpRequest, job_id: int) -> HttpResponse:
    """What of the part would be changed to suit the size that its step in hand came to, and what that costs."""
    new = suiting.suits(job_id)
    return answer(SuitShown(new.what, new.before, new.after, new.costs) if new else None)


@router.post("/{job_id}/suit", response={200: JobBench, **PROBLEMS})
@acting
def suit(request: HttpRequest, job_id: int, payload: StepIn, key: ActKey = "") -> HttpResponse:
    """Change the part to suit the size that its step in hand came to."""
    return _bench(suiting.suit(job_id, _saw(payload), payload.step, key, device_of(request)))


@router.post("/{job_id}/undo", response={200: JobBench, **PROBLEMS})
@acting
def undo(request: HttpRequest, job_id: int, payload: SawIn, key: ActKey = "") -> HttpResponse:
    """Take back the last entry."""
    return _bench(entries.undo_last(job_id, _saw(payload), key, device_of(request)))


@router.post("/{job_id}/hold", response={200: StandingShown, **PROBLEMS})
@acting
def hold(request: HttpRequest, job_id: int, payload: ReasonIn, key: ActKey = "") -> HttpResponse:
    """Put the job aside."""
    return answer(standing_shown(ends.hold_job(job_id, _saw(payload), payload.reason, key)))


@router.post("/{job_id}/release", response={200: StandingShown, **PROBLEMS})
@acting
def release(request: HttpRequest, job_id: int, payload: SawIn, key: ActKey = "") -> HttpResponse:
    """Take the job up again."""
    return answer(standing_shown(ends.release_job(job_id, _saw(payload), key)))


@router.post("/{job_id}/close", response={200: StandingShown, **PROBLEMS})
@acting
def close(request: HttpRequest, job_id: int, payload: ReasonIn, key: ActKey = "") -> HttpResponse:
    """Close the job; without gauging or pieces it needs a reason."""
    return answer(standing_shown(ends.close_job(job_id, _saw(payload), payload.reason, key)))


@router.post("/{job_id}/reopen", response={200: StandingShown, **PROBLEMS})
@acting
def reopen(request: HttpRequest, job_id: int, payload: SawIn, key: ActKey = "") -> HttpResponse:
    """Open a closed job again."""
    return answer(standing_shown(ends.reopen_job(job_id, _saw(payload), key)))


@router.post("/{job_id}/archive", response={200: StandingShown, **PROBLEMS})
@acting
def archive(request: HttpRequest, job_id: int, payload: SawIn, key: ActKey = "") -> HttpResponse:
    """Put the job away: off the list, still in the log."""
    return answer(standing_shown(ends.archive_job(job_id, _saw(payload), key)))


@router.post("/{job_id}/take-out", response={200: StandingShown, **PROBLEMS})
@acting
def take_out(request: HttpRequest, job_id: int, payload: SawIn, key: ActKey = "") -> HttpResponse:
    """Take the job out of the bin, or out of the archive."""
    return answer(standing_shown(ends.take_out_job(job_id, _saw(payload), key)))


@router.post("/{job_id}/delete", response={200: StandingShown, **PROBLEMS})
@acting
def delete(request: HttpRequest, job_id: int, payload: SawIn, key: ActKey = "") -> HttpResponse:
    """Throw the job away; it can be taken out of the bin again."""
    return answer(standing_shown(ends.delete_job(job_id, _saw(payload), key)))


@router.get("/{job_id}/job.json", response={200: dict[str, Any], **PROBLEMS})
def job_as_file(request: HttpRequest, job_id: int) -> HttpResponse:
    """The job as a file, with its record; one that this version does not read as it is stored."""
    job = find_job(job_id)
    if job.row.unreadable:
        content = json.dumps(raw_file(job), indent=2).encode()
    else:
        content = orjson.dumps(job_file(job), option=orjson.OPT_INDENT_2)
    return file_answer(content, f"job-{job_id}.json", "application/json")


@router.get("/{job_id}/readings.csv", response=PROBLEMS, openapi_extra=file_in_schema("text/csv"))
def readings_as_csv(request: HttpRequest, job_id: int) -> HttpResponse:
    """Everything recorded, as CSV."""
    return file_answer(readings_csv(find_job(job_id)), f"job-{job_id}-readings.csv", "text/csv; charset=utf-8")


@router.get("/{job_id}/sheet.pdf", response=PROBLEMS, openapi_extra=file_in_schema("application/pdf"))
def sheet_as_pdf(request: HttpRequest, job_id: int) -> HttpResponse:
    """The set-up sheet."""
    job = find_job(job_id)
    content = closed.kept_answer(job, closed.SHEET) or closed.sheet_of(
        standing(job), address_of(f"/jobs/{job_id}/bench")
    )
    return file_answer(content, f"job-{job_id}-sheet.pdf", "application/pdf")


def _drawing(
    job_id: int, part: int, end: int, kind: str, content_type: str, draw: Callable[[Sheet, LengthUnit], str]
) -> HttpResponse:
    """A file of a part's drawing in chucking `end` (both from 1). Raises InputError on "end" or "part"."""
    job = find_job(job_id)
    content: bytes | str | None = closed.kept_answer(job, closed.drawing_name(part, end, kind))
    if content is None:
        plans = standing(job).plans
        if part > len(plans):
            raise InputError("out-of-range", "part", f"This job has {len(plans)} parts.")
        if end > len(plans[part - 1].chuckings):
            raise InputError("out-of-range", "end", f"This part has {len(plans[part - 1].chuckings)} set-ups.")
        content = draw(part_sheet(plans[part - 1], WIDE, end), plans[part - 1].job.unit)
    return file_answer(content, f"job-{job_id}-part-{part}-{end}.{kind}", content_type)


@router.get("/{job_id}/part.svg", response=PROBLEMS, openapi_extra=file_in_schema("image/svg+xml"))
def part_as_svg(request: HttpRequest, job_id: int, end: End = 1, part: PartNumber = 1) -> HttpResponse:
    """A part's drawing in its first or second chucking."""
    return _drawing(job_id, part, end, "svg", "image/svg+xml", sheet_svg)


@router.get("/{job_id}/part.dxf", response=PROBLEMS, openapi_extra=file_in_schema("image/vnd.dxf"))
def part_as_dxf(request: HttpRequest, job_id: int, end: End = 1, part: PartNumber = 1) -> HttpResponse:
    """A part's drawing as DXF, true size in millimetres."""
    from server.paper.dxf import sheet_dxf

    return _drawing(job_id, part, end, "dxf", "image/vnd.dxf", lambda sheet, unit: sheet_dxf(sheet, 1.0, unit))
