"""Instruments: what they show comes in, what a bench makes of it is streamed out; stand-ins; reference pieces."""

from __future__ import annotations

import time
from typing import Literal

from django.http import HttpRequest, HttpResponse, StreamingHttpResponse
from django.utils import timezone
from ninja import Field, Router

from lathework.answers.declared_answer import answer as declared
from lathework.answers.values import FigureShown, Shown, figure_shown, length_shown
from lathework.errors import InputError
from lathework.instruments.believed import doubt
from lathework.instruments.offset import MOST_OFF_MM, offset
from lathework.instruments.sample import Source, read_sample
from lathework.instruments.stand_in import SIMULATED, STEP_MM
from lathework.lengths import read_length
from lathework.units import LengthUnit
from server.devices.known import let_in, who
from server.instruments.hub import HUB
from server.instruments.live import PLACES, LiveShown, SentShown, events
from server.instruments.models import LONGEST_NAME, Correction
from server.jobs.actions.guard import find_job
from server.site.document_model import Strict
from server.site.problems import PROBLEMS, Refused, answer
from server.site.streams import stream

router = Router(tags=["instruments"])
REFERENCE_S = 300.0
"""Readings of a reference piece are those sent in this time, in seconds."""
MOST_JOG_MM = 300.0
_STREAMED = {
    200: {
        "description": "Events named as the fields are, each with the value of one as its data",
        "content": {"text/event-stream": {"schema": {"$ref": "#/components/schemas/Streamed"}}},
    }
}


class SampleIn(Strict):
    """What an instrument shows, in its own `unit`; `at` is when, in seconds since 1970, now where it is null."""

    name: str = Field(min_length=1, max_length=LONGEST_NAME)
    source: Source
    unit: LengthUnit
    shows: Literal["diameter", "radius"] = "diameter"
    x: float | None = None
    z: float | None = None
    length: float | None = None
    sent: bool = False
    at: float | None = None


class ReferenceIn(Strict):
    """A reference piece as typed, and within what it is known; its readings were sent before."""

    name: str = Field(max_length=LONGEST_NAME)
    reference: str = Field(max_length=60)
    within: str = Field("0", max_length=60)
    unit: LengthUnit = "mm"


class StandInIn(Strict):
    """What is done with the stand-ins; `value` as typed, a bare number in `unit`."""

    do: Literal["on", "off", "jog", "preset", "send", "fault"]
    axis: Literal["x", "z", ""] = ""
    value: str = Field("", max_length=60)
    unit: LengthUnit = "mm"
    fault: str = Field("", max_length=20)


@declared
class Streamed:
    """What the events of a bench tell, by the name of each."""

    live: LiveShown
    sent: SentShown


@declared
class HeardShown:
    """A sample as it was taken in: why it is not believed, "" where it is."""

    name: str
    doubt: str


@declared
class InstrumentShown:
    """An instrument that said something: what it showed last, how long ago in seconds, its correction where known."""

    name: str
    source: Source
    axes: dict[str, Shown]
    age_s: float
    doubt: str
    correction: Shown | None
    within: Shown | None
    stand_in: bool


@declared
class OffsetShown:
    """What an instrument is off by, and how surely a reading is known then."""

    name: str
    correction: FigureShown
    uncertainty: FigureShown
    readings: int


def _instruments() -> tuple[InstrumentShown, ...]:
    now_s = time.time()
    known = {one.name: one for one in Correction.objects.all()}
    told = []
    for heard in HUB.shown().values():
        sample, own = heard.sample, known.get(heard.sample.name)
        told.append(
            InstrumentShown(
                name=sample.name,
                source=sample.source,
                axes={axis: length_shown(mm) for axis, mm in sample.axes.items()},
                age_s=round(now_s - sample.at_s, 2),
                doubt=doubt(sample, None, now_s) or heard.doubt,
                correction=length_shown(own.correction_mm) if own else None,
                within=length_shown(own.uncertainty_mm) if own else None,
                stand_in=HUB.stand_in is not None and sample.name.startswith(SIMULATED),
            )
        )
    return tuple(told)


@router.get("/instruments", response=list[InstrumentShown])
def instruments(request: HttpRequest) -> HttpResponse:
    """The instruments that said something since the server was started."""
    return answer(_instruments())


@router.post("/instruments/samples", response={200: HeardShown, **PROBLEMS})
def sample(request: HttpRequest, payload: SampleIn) -> HttpResponse:
    """Take in what an instrument shows."""
    now_s = time.time()
    told = read_sample(
        payload.name,
        payload.source,
        {"x": payload.x, "z": payload.z, "length": payload.length},
        unit=payload.unit,
        on_radius=payload.shows == "radius",
        at_s=now_s if payload.at is None else payload.at,
        sent=payload.sent,
    )
    heard = HUB.put(told, now_s)
    if heard is None:
        raise Refused(InputError("too-many", "name", "Too many instruments are connected. Close one first."))
    return answer(HeardShown(told.name, heard.doubt))


def _mm(text: str, unit: LengthUnit, field: str) -> float:
    """A place on a slide as typed: a length with a sign before it, in millimetres. Raises InputError on `field`."""
    bare = text.strip().replace("−", "-")
    sign = -1 if bare.startswith("-") else 1
    length = read_length(bare.lstrip("+-"), unit, field)
    if length.mm > MOST_JOG_MM:
        raise InputError("out-of-range", field, f"At most {MOST_JOG_MM:g} mm.")
    return sign * length.mm


def _do(payload: StandInIn, now_s: float) -> None:
    if payload.do == "off":
        HUB.switch_off()
        return
    made = HUB.switch_on()
    match payload.do:
        case "jog":
            made.jog(payload.axis, _mm(payload.value, payload.unit, "value"), now_s)
        case "preset":
            made.preset(payload.axis, _mm(payload.value, payload.unit, "value"), now_s)
        case "fault":
            made.fail(payload.fault)
        case "send":
            told = made.caliper(_mm(payload.value, payload.unit, "value"), now_s)
            if told is not None:
                HUB.put(told, now_s)
    HUB.tick(now_s)


@router.post("/instruments/stand-in", response={200: list[InstrumentShown], **PROBLEMS})
def stand_in(request: HttpRequest, payload: StandInIn) -> HttpResponse:
    """Move, zero, preset the stand-in readout; send what the stand-in caliper reads; wish for a fault."""
    _do(payload, time.time())
    return answer(_instruments())


@router.post("/instruments/reference", response={200: OffsetShown, **PROBLEMS})
def reference(request: HttpRequest, payload: ReferenceIn) -> HttpResponse:
    """Find what an instrument is off by, from what it sent just now that can be a reading of the reference piece."""
    piece = read_length(payload.reference, payload.unit, "reference")
    within = read_length(payload.within, payload.unit, "within")
    now_s = time.time()
    sent = [one for one in HUB.sent(name=payload.name) if now_s - one.sample.at_s <= REFERENCE_S and not one.doubt]
    readings = [one.sample.axes["length"] for one in sent if "length" in one.sample.axes]
    near = [mm for mm in readings if abs(mm - piece.mm) <= MOST_OFF_MM]
    told = offset(near, reference_mm=piece.mm, reference_within_mm=within.mm, step_mm=STEP_MM)
    Correction.objects.update_or_create(
        name=payload.name,
        defaults={
            "correction_mm": told.correction.value,
            "uncertainty_mm": told.uncertainty.value,
            "reference_mm": piece.mm,
            "readings": len(near),
            "at": timezone.now(),
        },
    )
    figures = figure_shown(told.correction), figure_shown(told.uncertainty)
    return answer(OffsetShown(payload.name, *figures, len(near)))


@router.get("/jobs/{job_id}/live", response={200: Streamed, **PROBLEMS}, openapi_extra={"responses": _STREAMED})
def live(request: HttpRequest, job_id: int) -> StreamingHttpResponse:
    """What the instruments say at the bench of a job, as Server-Sent Events: "live" and "sent"."""
    told = stream(events(find_job(job_id).pk, lambda: who(request) is not None), PLACES, let_in(request).ident)
    if told is None:
        raise Refused(InputError("too-many", "job", "Too many benches are open. Close one first."))
    return told
