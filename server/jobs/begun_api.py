"""Jobs that are being begun: the shapes to begin with, drawn while their forms are filled. Nothing is stored."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Any

from django.http import HttpRequest, HttpResponse
from ninja import Router

from lathework.answers.repair_shown import RepairSketch, repair_sketch
from lathework.answers.start_shown import BeginningShown, StartSketch, beginnings_shown, start_sketch
from lathework.answers.values import FigureShown, figures_shown
from lathework.job.repair import AskedRepair, stud_repair
from lathework.job.starts import of_the_shop
from server.devices.known import looks
from server.jobs.schemas import Narrow, StartIn, StoredDocument, StudRepairIn
from server.site.problems import PROBLEMS, answer

router = Router(tags=["jobs"])


@dataclass(frozen=True)
class StudRepairShown:
    """A stud repair: its figures, and the document of its job of three parts."""

    designation: str
    figures: tuple[FigureShown, ...]
    document: StoredDocument


@router.get("/beginnings", response=list[BeginningShown])
def beginnings(request: HttpRequest) -> HttpResponse:
    """What a job may begin as, with pictures, and what each asks for."""
    return answer(beginnings_shown())


@router.post("/new/sketch", auth=looks, response={200: StartSketch, **PROBLEMS})
def sketch(request: HttpRequest, payload: StartIn, narrow: Narrow = False) -> HttpResponse:
    """The part that a form describes so far: the answer to a keystroke, not stored."""
    return answer(start_sketch(payload.typed, payload.method, payload.setup, narrow=narrow))


@router.post("/stud-repair", auth=looks, response={200: StudRepairShown, **PROBLEMS})
def work_out_repair(request: HttpRequest, payload: StudRepairIn) -> HttpResponse:
    """A stud repair worked out, not stored: its figures and the document to start its job with."""
    repair = stud_repair(*_asked_repair(payload))
    return answer(StudRepairShown(repair.thread.designation, figures_shown(repair.figures), repair.document))


@router.post("/stud-repair/sketch", auth=looks, response={200: RepairSketch, **PROBLEMS})
def sketch_repair(request: HttpRequest, payload: StudRepairIn, narrow: Narrow = False) -> HttpResponse:
    """A stud repair drawn together, with usual sizes where nothing is typed yet, or where it cannot be read."""
    return answer(repair_sketch(*_asked_repair(payload), narrow=narrow))


def _asked_repair(payload: StudRepairIn) -> tuple[AskedRepair, dict[str, Any], dict[str, Any]]:
    typed = payload.model_dump()
    method, setup = of_the_shop(payload.unit, typed.pop("method"), typed.pop("setup"))
    return AskedRepair(**typed, drills=setup["drills"]), method, setup
