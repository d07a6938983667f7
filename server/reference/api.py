"""Size line and choices."""

from __future__ import annotations

from django.http import HttpRequest, HttpResponse
from ninja import Query, Router, Schema

from lathework.part import DRIVES, EDGES, FINISHES, PART_KINDS
from lathework.present.threads import size_shown
from lathework.rules.blank import REMARKS, SCHOOL_NAMES
from lathework.rules.gauging import MEANINGS
from lathework.rules.materials import materials
from lathework.rules.turning import DIALS
from lathework.size import size
from server.reference.schemas import SizeOut
from server.site.problems import PROBLEMS, answer

router = Router(tags=["reference"])


class Alive(Schema):
    """A constant."""

    alive: bool


class Choice(Schema):
    """One choice: what is stored, what is shown, and a remark."""

    code: str
    name: str
    remark: str


class ChoicesOut(Schema):
    """Everything a form offers."""

    materials: list[Choice]
    schools: list[Choice]
    kinds: list[Choice]
    finishes: list[Choice]
    drives: list[Choice]
    dials: list[Choice]
    edges: list[Choice]
    verdicts: list[Choice]


_NAMES = {
    "stud": ("plain stud", "a thread, then the bar as bought"),
    "shouldered-screw": ("shouldered screw", "a thread, a turned shank, a head of bar size"),
    "groove": ("relief groove", "the die runs out into it"),
    "die-turned-round": ("die turned round", "no groove: the die finishes the last threads from its plain side"),
    "hand": ("spindle by hand", "motor off"),
    "power": ("slow power", "back gear, the holder free to slip"),
    "diameter": ("diameter dial", "reads what comes off the diameter"),
    "radius": ("radius dial", "reads the tool's advance: half of it"),
    "left": ("left edge", "the edge toward the chuck was touched off"),
    "right": ("right edge", "the edge toward the tailstock was touched off"),
}


def _choices(codes: tuple[str, ...]) -> list[dict[str, str]]:
    return [{"code": code, "name": _NAMES[code][0], "remark": _NAMES[code][1]} for code in codes]


@router.get("/alive", response=Alive)
def alive(request: HttpRequest) -> HttpResponse:
    """A constant through the whole stack: what other answers are measured against."""
    return answer({"alive": True})


@router.get("/size", response={200: SizeOut, **PROBLEMS}, by_alias=True)
def size_line(request: HttpRequest, q: str = Query(..., max_length=200)) -> HttpResponse:
    """Blank, drills, groove and wires of the thread that `q` designates."""
    return answer(size_shown(size(q)))


@router.get("/choices", response=ChoicesOut)
def choices(request: HttpRequest) -> HttpResponse:
    """Everything a form offers, in the trade's words."""
    metals = [
        {"code": m.code, "name": m.name, "remark": f"blank {m.blank_fraction:g} of the pitch under; {m.lubricant}"}
        for m in materials().values()
    ]
    return answer(
        {
            "materials": metals,
            "schools": [{"code": c, "name": SCHOOL_NAMES[c], "remark": REMARKS[c]} for c in SCHOOL_NAMES],
            "kinds": _choices(PART_KINDS),
            "finishes": _choices(FINISHES),
            "drives": _choices(DRIVES),
            "dials": _choices(DIALS),
            "edges": _choices(EDGES),
            "verdicts": [
                {"code": m.code, "name": m.words, "remark": "passes" if m.passes else "does not pass"}
                for m in MEANINGS.values()
            ],
        }
    )
