"""Identify a thread from evidence, as it is typed."""

from __future__ import annotations

from typing import Literal

from django.http import HttpRequest, HttpResponse
from ninja import Field, Router, Schema
from pydantic import BaseModel, ConfigDict

from lathework.identify.answer import identify
from lathework.identify.question import Instrument
from lathework.present.identified import identified_json
from server.book.schemas import MatingOut
from server.site.problems import PROBLEMS, answer
from server.site.schemas import Shown

router = Router(tags=["identify"], by_alias=True)


class EvidenceIn(BaseModel):
    """Everything known of a thread, as typed; "" is not known. A bare number is in `unit`."""

    model_config = ConfigDict(extra="forbid")
    outside: str = ""
    bore: str = ""
    tpi: str = ""
    pitch: str = ""
    fit: str = ""
    count: str = ""
    over: str = ""
    angle: str = ""
    taper: str = ""
    hand: str = ""
    mate: str = ""
    goes: str = ""
    marking: str = ""
    origin: str = ""
    trade: str = ""
    worn: str = ""
    unit: str = ""


class IdentifyIn(BaseModel):
    """Evidence, the instruments that may be asked for, and the person's own shares of series in per cent."""

    model_config = ConfigDict(extra="forbid")
    evidence: EvidenceIn
    owned: list[str] | None = None
    shares: dict[str, str] = {}


class ExpectedOut(Schema):
    """What was to be expected, lengths in either unit."""

    inch: str = Field(alias="in")
    mm: str


class ReasonOut(Schema):
    """A piece of evidence on a candidate; `times` over 1 speaks for it."""

    evidence: str
    measured: str
    expected: ExpectedOut
    times: float


class CandidateOut(Schema):
    """A thread it may be."""

    designation: str
    also: list[str]
    probability: float
    family: str
    series: str
    angle_deg: float
    tpi: float | None
    major: Shown
    pitch: Shown
    notes: list[str]
    reasons: list[ReasonOut]


class QuestionOut(Schema):
    """What to measure next, how, and what each answer would mean."""

    ask: Literal["outside", "leaf", "counted", "angle", "taper", "mate"]
    instrument: Instrument
    how: str
    meanings: list[str]
    gain_bits: float
    mate: str
    count: int


class NextOut(Schema):
    """The next step in a sentence, with its question when there is one."""

    sentence: str
    question: QuestionOut | None


class PriorOut(Schema):
    """How often a series is met, where and in what the machine is."""

    series: str
    name: str
    share: float


class IdentifyOut(Schema):
    """Candidates, best first, and what to do next."""

    candidates: list[CandidateOut]
    none_of_these: float
    specials: list[str]
    settled: bool
    next: NextOut
    priors: list[PriorOut]
    mistake: str
    remarks: list[str]
    lookalike: MatingOut | None


@router.post("/identify", response={200: IdentifyOut, **PROBLEMS})
def what_thread(request: HttpRequest, payload: IdentifyIn) -> HttpResponse:
    """Rank the library by the evidence, and name the next best thing to measure."""
    owned = None if payload.owned is None else tuple(payload.owned)
    return answer(identified_json(identify(payload.evidence.model_dump(), owned, payload.shares)))
