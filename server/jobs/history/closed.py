"""What a closed job answers: kept as it was when the job was closed, so that no later version says otherwise."""

from __future__ import annotations

import zlib
from typing import Any

import orjson
from django.utils.timezone import localdate

from lathework.drawing.part.layout import WIDE
from lathework.drawing.part.view import part_sheet
from lathework.drawing.svg import sheet_svg
from server.jobs.answers import job_bench, job_shown
from server.jobs.models import ClosedAnswer, Job
from server.jobs.needed import kits
from server.jobs.standing import Standing

SHEET, BENCH = "sheet.pdf", "bench"


def plan_name(part: int) -> str:
    """The name of what the plan page of part number `part` (from 1) answers."""
    return f"job-{part}"


def drawing_name(part: int, end: int, kind: str) -> str:
    """The name of the drawing of a part's chucking `end` (both from 1) as "svg" or "dxf"."""
    return f"part-{part}-{end}.{kind}"


_THEN: dict[str, Any] = {
    **dict.fromkeys(("preset", "cause", "sized", "count", "next")),
    **{name: [] for name in ("causes", "waiting", "turns", "sizes", "lessons", "before")},
    "begins": None,
    "tried": "",
    "mate": "",
    "mates": [],
    "contradiction": "",
    "moves": "die",
    "due": {"now": True, "piece": 1},
    "becomes": "",
}
"""What the bench of a job that was closed by an earlier version does not tell."""
_STEP_THEN: dict[str, Any] = {"dimensions": [], "inside": False, "gauges": [], "passes": [], "passes_told": ""}
_STANDING_THEN: dict[str, Any] = {"first": None, "done": {"does": "done", "label": "Done"}}
"""What it does not tell of the step in hand, and of every step."""


def kept_bench(job: Job) -> dict[str, Any] | None:
    """What the bench of a closed job answers, whatever version closed it; None where nothing is kept."""
    kept = kept_answer(job, BENCH)
    if not kept:
        return None
    told: dict[str, Any] = _THEN | orjson.loads(kept)
    if told["verdict"]:
        told["verdict"] = {"metal": "right" if told["verdict"]["passes"] else "unclear"} | told["verdict"]
    if told["advice"]:
        told["advice"] = {"again": "", "more": None} | told["advice"]
    if told["step"]:
        told["step"] = _STEP_THEN | told["step"]
    told["steps"] = [_STANDING_THEN | one for one in told["steps"]]
    told["sizes"] = [{"next": _STANDING_THEN["done"]} | one for one in told["sizes"]]
    return told


def sheet_of(now: Standing, address: str = "") -> bytes:
    """The set-up sheet of a job as it is today, as PDF bytes; a camera is led to the `address` of its bench."""
    from server.paper.setup_sheet import setup_sheet

    today = localdate()
    issued = f"revision {now.job.revision}, {today.day} {today:%B %Y}"
    return setup_sheet(now.plans, kits(now.plans), address, issued)


def _answers(now: Standing) -> dict[str, bytes]:
    from server.paper.dxf import sheet_dxf

    found = {BENCH: orjson.dumps(job_bench(now)), SHEET: sheet_of(now)}
    for part, plan in enumerate(now.plans, 1):
        found[plan_name(part)] = orjson.dumps(job_shown(now, part))
        for chucking in plan.chuckings:
            sheet, unit = part_sheet(plan, WIDE, chucking.number), plan.job.unit
            found[drawing_name(part, chucking.number, "svg")] = sheet_svg(sheet, unit).encode()
            found[drawing_name(part, chucking.number, "dxf")] = sheet_dxf(sheet, 1.0, unit).encode()
    return found


def keep(now: Standing) -> None:
    """Keep everything that a job answers now."""
    forget(now.job)
    ClosedAnswer.objects.bulk_create(
        ClosedAnswer(job=now.job, name=name, content=zlib.compress(content)) for name, content in _answers(now).items()
    )


def forget(job: Job) -> None:
    """Forget what a job answered: it is opened again."""
    ClosedAnswer.objects.filter(job=job).delete()


def is_kept(job: Job) -> bool:
    """Whether the answers of a closed job are kept."""
    return ClosedAnswer.objects.filter(job=job).exists()


def kept_plan(job: Job, part: int) -> bytes | None:
    """What the plan page of a closed job answers for part number `part` (from 1; past the last is the last)."""
    answers = (kept_answer(job, plan_name(number)) for number in range(part, 0, -1))
    return next((found for found in answers if found is not None), None)


def kept_answer(job: Job, name: str) -> bytes | None:
    """What a closed job answers under a name; None for an open job, or where nothing of that name is kept."""
    if job.closed_at is None:
        return None
    found = ClosedAnswer.objects.filter(job=job, name=name).first()
    return zlib.decompress(found.content) if found else None
