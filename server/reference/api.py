"""Size line and choices."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, Literal

from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema
from ninja.params.functions import Query

from lathework.answers.size import size
from lathework.gauging.wires import MEANINGS
from lathework.job import starts, words
from lathework.lengths import Span, read_length, within
from lathework.part.sample import nominals
from lathework.present.threads import size_shown
from lathework.present.values import length_shown
from lathework.threads.designation import read_called
from server.reference.schemas import SizeOut
from server.site.problems import PROBLEMS, answer
from server.site.schemas import Shown

router = Router(tags=["reference"])


class Alive(Schema):
    """A constant."""

    alive: bool


class ChoiceOut(Schema):
    """One choice: what is stored, what is shown, and a remark."""

    code: str
    name: str
    remark: str


class ChoicesOut(Schema):
    """Everything a form offers."""

    materials: list[ChoiceOut]
    schools: list[ChoiceOut]
    shapes: list[ChoiceOut]
    stocks: list[ChoiceOut]
    finishes: list[ChoiceOut]
    holders: list[ChoiceOut]
    orders: list[ChoiceOut]
    supports: list[ChoiceOut]
    dials: list[ChoiceOut]
    readouts: list[ChoiceOut]
    lathes: list[ChoiceOut]
    edges: list[ChoiceOut]
    mounts: list[ChoiceOut]
    mouths: list[ChoiceOut]
    tappings: list[ChoiceOut]
    cutters: list[ChoiceOut]
    hazards: list[ChoiceOut]
    starts: list[ChoiceOut]
    verdicts: list[ChoiceOut]


class NominalOut(Schema):
    """A size a reading may have meant: as one would type it, and how far the reading lies under it."""

    typed: str
    under: Shown


def _choices(named: Mapping[Any, tuple[str, str]]) -> list[dict[str, str]]:
    return [{"code": code, "name": name, "remark": remark} for code, (name, remark) in named.items()]


@router.get("/alive", response=Alive)
def alive(request: HttpRequest) -> HttpResponse:
    """A constant through the whole stack: what other answers are measured against."""
    return answer({"alive": True})


@router.get("/size", response={200: SizeOut, **PROBLEMS}, by_alias=True)
def size_line(request: HttpRequest, q: str = Query(..., max_length=200)) -> HttpResponse:
    """Blank, drills, groove and wires of the thread that `q` designates."""
    return answer(size_shown(size(q)) | {"length": read_called(q).length})


_READING = Span("A reading", 0.3, 700)


@router.get("/sample", response={200: list[NominalOut], **PROBLEMS}, by_alias=True)
def sample(
    request: HttpRequest,
    reading: str = Query(..., max_length=200),
    unit: Literal["in", "mm"] = "in",
    of: Literal["across", "length", "thread"] = "across",
) -> HttpResponse:
    """What a reading off a worn part was probably meant to be, likeliest first; a bare number is in `unit`."""
    length = within(read_length(reading, unit, "reading"), _READING, "reading")
    found = nominals(length.mm, along=of == "length", thread=of == "thread")
    return answer([{"typed": one.typed, "under": length_shown(one.under_mm)} for one in found])


@router.get("/choices", response=ChoicesOut)
def choices(request: HttpRequest) -> HttpResponse:
    """Everything a form offers, in the trade's words."""
    return answer(
        {
            "materials": _choices(words.METALS),
            "schools": _choices(words.SCHOOLS),
            "shapes": _choices(words.SHAPES),
            "stocks": _choices(words.STOCKS),
            "finishes": _choices(words.FINISHES),
            "holders": _choices(words.HOLDERS),
            "orders": _choices(words.ORDERS),
            "supports": _choices(words.SUPPORTS),
            "dials": _choices(words.DIALS),
            "readouts": _choices(words.READOUTS),
            "lathes": _choices(words.LATHES),
            "edges": _choices(words.EDGES),
            "mounts": _choices(words.MOUNTS),
            "mouths": _choices(words.MOUTHS),
            "tappings": _choices(words.TAPPINGS),
            "cutters": _choices(words.CUTTERS),
            "hazards": _choices(words.HAZARDS),
            "starts": _choices(starts.WORDS),
            "verdicts": [
                {"code": m.code, "name": m.words, "remark": "passes" if m.passes else "does not pass"}
                for m in MEANINGS.values()
            ],
        }
    )
