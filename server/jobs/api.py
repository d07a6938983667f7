"""Jobs: list, start, change, plan, bench, files. Parse, act, answer."""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Any

import orjson
from django.http import HttpRequest, HttpResponse
from ninja import Body, Query, Router

from lathework.document import MOST_OTHERS, read_document
from lathework.drawing.layout import WIDE
from lathework.drawing.part_view import part_sheet
from lathework.drawing.shapes import Sheet
from lathework.drawing.svg import sheet_svg
from lathework.errors import InputError, InvalidDocument
from lathework.planning.plan import make_plan
from lathework.present.holes import repair_json
from lathework.present.plans import plan_json
from lathework.repair import AskedRepair, stud_repair
from lathework.units import LengthUnit
from server.jobs import actions
from server.jobs.models import Job
from server.jobs.present import bench_screen, card_json, job_file, job_json
from server.jobs.schemas import (
    BenchOut,
    ChangeIn,
    EntryIn,
    JobCard,
    JobDocument,
    JobOut,
    PlanOut,
    ReasonIn,
    SeenIn,
    StudRepairIn,
    StudRepairOut,
)
from server.jobs.standing import Standing, standing
from server.logbook.readings import readings_csv
from server.paper.dxf import sheet_dxf
from server.paper.setup_sheet import setup_sheet
from server.site.files import file_answer, file_in_schema
from server.site.problems import PROBLEMS, answer

router = Router(tags=["jobs"], by_alias=True)


End = Annotated[int, Query(ge=1, le=2)]
PartNumber = Annotated[int, Query(ge=1, le=MOST_OTHERS + 1)]


def _document(document: JobDocument) -> dict[str, Any]:
    return document.model_dump(exclude_none=True)


@router.get("", response=list[JobCard])
def list_jobs(request: HttpRequest) -> HttpResponse:
    """Every job, last touched first."""
    return answer([card_json(standing(job)) for job in Job.objects.prefetch_related("entries")])


@router.post("", response={201: JobOut, **PROBLEMS})
def start_job(request: HttpRequest, document: JobDocument) -> HttpResponse:
    """Start a job."""
    return answer(job_json(standing(actions.start_job(_document(document)))), 201)


@router.post("/import", response={201: JobOut, **PROBLEMS})
def import_job(request: HttpRequest, payload: Body[Any]) -> HttpResponse:
    """Read a job file with its record; a wrong one changes nothing."""
    if not isinstance(payload, dict):
        raise InvalidDocument((InputError("wrong-type", "", "A job file is a JSON object."),))
    return answer(job_json(standing(actions.import_job(payload))), 201)


@router.post("/plan", response={200: PlanOut, **PROBLEMS})
def plan(request: HttpRequest, document: JobDocument, end: End = 1, part: PartNumber = 1) -> HttpResponse:
    """The plan of a document that is not stored: the answer to a keystroke, for the part and end looked at."""
    parts = read_document(_document(document)).parts
    return answer(plan_json(make_plan(parts[min(part, len(parts)) - 1]), end))


@router.post("/stud-repair", response={200: StudRepairOut, **PROBLEMS})
def work_out_repair(request: HttpRequest, payload: StudRepairIn) -> HttpResponse:
    """A stud repair worked out, not stored: its figures and the document to start its job with."""
    typed = payload.model_dump()
    method, setup = typed.pop("method"), typed.pop("setup")
    return answer(repair_json(stud_repair(AskedRepair(**typed, drills=setup["drills"]), method, setup)))


@router.get("/{job_id}", response={200: JobOut, **PROBLEMS})
def read_job(request: HttpRequest, job_id: int, part: PartNumber = 1) -> HttpResponse:
    """One job with the plan of one of its parts."""
    return answer(job_json(standing(actions.find_job(job_id)), part))


@router.put("/{job_id}", response={200: JobOut, **PROBLEMS})
def change_job(request: HttpRequest, job_id: int, payload: ChangeIn, part: PartNumber = 1) -> HttpResponse:
    """Replace a job's document; the answer has the plan of one of its parts."""
    job = actions.change_job(job_id, _document(payload.document), payload.revision)
    return answer(job_json(standing(job), part))


@router.get("/{job_id}/bench", response={200: BenchOut, **PROBLEMS})
def read_bench(request: HttpRequest, job_id: int) -> HttpResponse:
    """The bench screen as it stands."""
    return answer(bench_screen(standing(actions.find_job(job_id))))


_RECORD: dict[str, Callable[[int, EntryIn], Standing]] = {
    "reading": lambda job, e: actions.record_reading(job, e.seen, e.reading, e.unit),
    "verdict": lambda job, e: actions.record_verdict(job, e.seen, e.verdict),
    "setting": lambda job, e: actions.record_setting(job, e.seen),
    "done": lambda job, e: actions.record_done(job, e.seen),
    "again": lambda job, e: actions.record_again(job, e.seen, e.step),
    "read": lambda job, e: actions.record_read(job, e.seen),
    "zero": lambda job, e: actions.record_zero(job, e.seen, lost=False),
    "zero-lost": lambda job, e: actions.record_zero(job, e.seen, lost=True),
    "turn-to": lambda job, e: actions.record_turn(job, e.seen, e.part),
}


@router.post("/{job_id}/entries", response={200: BenchOut, **PROBLEMS})
def record(request: HttpRequest, job_id: int, payload: EntryIn) -> HttpResponse:
    """Record one thing at the bench; the answer is the next screen."""
    act = _RECORD.get(payload.kind)
    if act is None:
        return answer(bench_screen(actions.record_with_reason(job_id, payload.seen, payload.kind, payload.reason)))
    return answer(bench_screen(act(job_id, payload)))


@router.post("/{job_id}/undo", response={200: BenchOut, **PROBLEMS})
def undo(request: HttpRequest, job_id: int, payload: SeenIn) -> HttpResponse:
    """Take back the last entry."""
    return answer(bench_screen(actions.undo_last(job_id, payload.seen)))


@router.post("/{job_id}/hold", response={200: BenchOut, **PROBLEMS})
def hold(request: HttpRequest, job_id: int, payload: ReasonIn) -> HttpResponse:
    """Put the job aside."""
    return answer(bench_screen(actions.hold_job(job_id, payload.reason)))


@router.post("/{job_id}/release", response={200: BenchOut, **PROBLEMS})
def release(request: HttpRequest, job_id: int) -> HttpResponse:
    """Take the job up again."""
    return answer(bench_screen(actions.release_job(job_id)))


@router.post("/{job_id}/close", response={200: BenchOut, **PROBLEMS})
def close(request: HttpRequest, job_id: int, payload: ReasonIn) -> HttpResponse:
    """Close the job; without gauging or pieces it needs a reason."""
    return answer(bench_screen(actions.close_job(job_id, payload.reason)))


@router.post("/{job_id}/reopen", response={200: BenchOut, **PROBLEMS})
def reopen(request: HttpRequest, job_id: int) -> HttpResponse:
    """Open a closed job again."""
    return answer(bench_screen(actions.reopen_job(job_id)))


@router.get("/{job_id}/job.json", response={200: dict[str, Any], **PROBLEMS})
def job_as_file(request: HttpRequest, job_id: int) -> HttpResponse:
    """The job as a file, with its record."""
    content = orjson.dumps(job_file(actions.find_job(job_id)), option=orjson.OPT_INDENT_2)
    return file_answer(content, f"job-{job_id}.json", "application/json")


@router.get("/{job_id}/readings.csv", response=PROBLEMS, openapi_extra=file_in_schema("text/csv"))
def readings_as_csv(request: HttpRequest, job_id: int) -> HttpResponse:
    """Everything recorded, as CSV."""
    return file_answer(readings_csv(actions.find_job(job_id)), f"job-{job_id}-readings.csv", "text/csv; charset=utf-8")


@router.get("/{job_id}/sheet.pdf", response=PROBLEMS, openapi_extra=file_in_schema("application/pdf"))
def sheet_as_pdf(request: HttpRequest, job_id: int) -> HttpResponse:
    """The set-up sheet."""
    now = standing(actions.find_job(job_id))
    return file_answer(setup_sheet(now.plans), f"job-{job_id}-sheet.pdf", "application/pdf")


def _sheet(job_id: int, end: int, part: int) -> tuple[Sheet, LengthUnit]:
    """The drawing of a part's chucking `end`, and the job's unit. Raises InputError on "end" or "part"."""
    plans = standing(actions.find_job(job_id)).plans
    if part > len(plans):
        raise InputError("out-of-range", "part", f"This job has {len(plans)} parts.")
    plan = plans[part - 1]
    if end > len(plan.chuckings):
        raise InputError("out-of-range", "end", f"This part is held {len(plan.chuckings)} times.")
    return part_sheet(plan, WIDE, end), plan.job.unit


@router.get("/{job_id}/part.svg", response=PROBLEMS, openapi_extra=file_in_schema("image/svg+xml"))
def part_as_svg(request: HttpRequest, job_id: int, end: End = 1, part: PartNumber = 1) -> HttpResponse:
    """A part's drawing in its first or second chucking."""
    sheet, unit = _sheet(job_id, end, part)
    return file_answer(sheet_svg(sheet, unit), f"job-{job_id}-part-{part}-{end}.svg", "image/svg+xml")


@router.get("/{job_id}/part.dxf", response=PROBLEMS, openapi_extra=file_in_schema("image/vnd.dxf"))
def part_as_dxf(request: HttpRequest, job_id: int, end: End = 1, part: PartNumber = 1) -> HttpResponse:
    """A part's drawing as DXF, true size in millimetres."""
    sheet, unit = _sheet(job_id, end, part)
    return file_answer(sheet_dxf(sheet, 1.0, unit), f"job-{job_id}-part-{part}-{end}.dxf", "image/vnd.dxf")
