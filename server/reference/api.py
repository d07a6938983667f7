"""Size line and choices."""

from __future__ import annotations

from typing import Literal

from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema
from ninja.params.functions import Query

from lathework.answers.size import size
from lathework.cautions import HAZARD_CAUTIONS, HAZARD_NAMES
from lathework.cutting.blank import REMARKS, SCHOOL_NAMES
from lathework.cutting.cuts import LATHES
from lathework.cutting.next_cut import DIALS
from lathework.gauging.wires import MEANINGS
from lathework.job.model import FINISHES, ORDERS, READOUTS, SUPPORTS
from lathework.lengths import Span, read_length, within
from lathework.methods.die import DIE_HOLDINGS
from lathework.methods.reversing import MOUNTS
from lathework.methods.tap import TAP_HOLDINGS
from lathework.part.model import CUTTERS, EDGES, MOUTHS, SHAPES
from lathework.part.sample import nominals
from lathework.part.stock import STOCK_FORMS
from lathework.present.threads import size_shown
from lathework.present.values import length_shown
from lathework.shop.metals import materials
from lathework.threads.designation import read_called
from server.reference.schemas import SizeOut
from server.site.problems import PROBLEMS, answer
from server.site.schemas import Shown

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
    shapes: list[Choice]
    stocks: list[Choice]
    finishes: list[Choice]
    holders: list[Choice]
    orders: list[Choice]
    supports: list[Choice]
    dials: list[Choice]
    readouts: list[Choice]
    lathes: list[Choice]
    edges: list[Choice]
    mounts: list[Choice]
    mouths: list[Choice]
    tappings: list[Choice]
    cutters: list[Choice]
    hazards: list[Choice]
    verdicts: list[Choice]


class NominalOut(Schema):
    """A size a reading may have meant: as one would type it, and how far the reading lies under it."""

    typed: str
    under: Shown


_NAMES = {
    "thread": ("thread", "cut with a die"),
    "round": ("turned", "turned to a diameter"),
    "bar": ("bar as bought", "left as it comes"),
    "hexagon": ("hexagon", "six flats, milled"),
    "square": ("square", "four flats, milled"),
    "flats": ("two flats", "for a spanner, milled on the round beside them"),
    "knurl": ("knurl", "turned, then knurled"),
    "groove": ("relief groove", "the die runs out into it"),
    "die-turned-round": ("die turned round", "no groove: the die finishes the last threads from its plain side"),
    "run-out": ("run-out left", "the last threads stay unfinished; the nut is counterbored"),
    "from-the-bar": ("thread first, then part off", "held by the bar, up to four diameters long; longer work is sawn"),
    "blanks-first": ("blanks first, then each end", "sawn to length, held by the body; short stick-out, no parting"),
    "chuck": ("chuck alone", "up to about four diameters"),
    "centre": ("chuck and centre", "up to about twelve, beyond with a steady; leaves a centre hole"),
    "diameter": ("diameter dial", "reads what comes off the diameter"),
    "radius": ("radius dial", "reads the tool's advance: half of it"),
    "readout": ("readout along the bed", "places as Z"),
    "stops": ("no readout: stop or marks", "places as carriage travel from the face"),
    "light": ("light lathe", "half the cut"),
    "middling": ("middling lathe", "the metal's own cut"),
    "heavy": ("heavy lathe", "half as deep again"),
    "unsaid": ("chuck: not said", "taken for one that may unscrew in reverse"),
    "screwed": ("chuck screwed on", "unscrews when the spindle is reversed under load"),
    "locked": ("chuck bolted or locked on", "the spindle may be reversed"),
    "left": ("left edge", "the edge toward the chuck was touched off"),
    "right": ("right edge", "the edge toward the tailstock was touched off"),
}
_MOUTHS = {
    "right": ("from the right end", "faced first"),
    "left": ("from the left end", "toward the chuck"),
    "across": ("across", "through the side, square to the axis"),
}
_CUTTERS = {
    "tap": ("tap", "the usual"),
    "form-tap": ("form tap", "no chips, a stronger thread; ductile metal, its own larger hole, twice the torque"),
    "tap-as-chaser": ("tap held as a chaser", "a smaller tap of the same pitch, on the leadscrew"),
    "boring-tool": ("inside threading tool", "single point, on the leadscrew"),
}
_STOCKS = {
    "round": ("round bar", "by its diameter"),
    "hexagon": ("hexagon bar", "across the flats"),
    "square": ("square bar", "across the flats"),
    "bolt": ("bolt cut down", "an existing bolt, by its shank; it keeps its head"),
    "kept": ("a part to be made good", "the part itself, where it is worked; its damaged end is sawn off"),
}


def _choices(codes: tuple[str, ...], names: dict[str, tuple[str, str]] = _NAMES) -> list[dict[str, str]]:
    return [{"code": code, "name": names[code][0], "remark": names[code][1]} for code in codes]


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
    metals = [
        {"code": m.code, "name": m.name, "remark": f"blank {m.blank_fraction:g} of the pitch under; {m.lubricant}"}
        for m in materials().values()
    ]
    return answer(
        {
            "materials": metals,
            "schools": [{"code": c, "name": SCHOOL_NAMES[c], "remark": REMARKS[c]} for c in SCHOOL_NAMES],
            "shapes": _choices(SHAPES),
            "stocks": _choices(STOCK_FORMS, _STOCKS),
            "finishes": _choices(FINISHES),
            "holders": [{"code": h.code, "name": h.name, "remark": h.remark} for h in DIE_HOLDINGS.values()],
            "orders": _choices(ORDERS),
            "supports": _choices(SUPPORTS),
            "dials": _choices(DIALS),
            "readouts": _choices(READOUTS),
            "lathes": _choices(LATHES),
            "edges": _choices(EDGES),
            "mounts": _choices(MOUNTS),
            "mouths": _choices(MOUTHS, _MOUTHS),
            "tappings": [{"code": t.code, "name": t.name, "remark": t.remark} for t in TAP_HOLDINGS.values()],
            "cutters": _choices(CUTTERS, _CUTTERS),
            "hazards": [
                {"code": code, "name": name, "remark": HAZARD_CAUTIONS[code].do} for code, name in HAZARD_NAMES.items()
            ],
            "verdicts": [
                {"code": m.code, "name": m.words, "remark": "passes" if m.passes else "does not pass"}
                for m in MEANINGS.values()
            ],
        }
    )
