"""Identify a thread from evidence, as it is typed."""

from __future__ import annotations

from django.http import HttpRequest, HttpResponse
from ninja import Router
from pydantic import BaseModel, ConfigDict

from lathework.answers.identified_shown import IdentifiedShown, identified_shown
from lathework.identify.answer import identify
from server.devices.known import looks
from server.site.problems import PROBLEMS, answer

router = Router(tags=["identify"])


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


@router.post("/identify", auth=looks, response={200: IdentifiedShown, **PROBLEMS})
def what_thread(request: HttpRequest, payload: IdentifyIn) -> HttpResponse:
    """Rank the library by the evidence, and name the next best thing to measure."""
    owned = None if payload.owned is None else tuple(payload.owned)
    return answer(identified_shown(identify(payload.evidence.model_dump(), owned, payload.shares)))
