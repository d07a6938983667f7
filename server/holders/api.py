"""Holders: what is designed here, and a design worked out from what was typed. Parse, work out, answer."""

from __future__ import annotations

from typing import Literal

from django.http import HttpRequest, HttpResponse
from ninja import Field, Router

from lathework.answers.declared_answer import answer as declared
from lathework.answers.holders_shown import DesignShown, HolderShown, design_shown, holders_shown
from lathework.holders.workshop import HolderKind, designed
from server.jobs.document_model import Strict
from server.jobs.schemas import StoredDocument
from server.site.problems import PROBLEMS, answer

router = Router(tags=["holders"])
LONGEST = 60


class HolderIn(Strict):
    """What was typed of a holder; which of them it asks for depends on its kind."""

    unit: Literal["in", "mm"] = "in"
    metal: str = Field("mild-steel", max_length=LONGEST)
    thread: str = Field("", max_length=LONGEST)
    seat: str = Field("", max_length=LONGEST)
    deep: str = Field("", max_length=LONGEST)
    blank: str = Field("", max_length=LONGEST)
    die: str = Field("", max_length=LONGEST)
    thick: str = Field("", max_length=LONGEST)
    other: str = Field("", max_length=LONGEST)
    other_thick: str = Field("", max_length=LONGEST)
    longest: str = Field("", max_length=LONGEST)
    bar: str = Field("", max_length=LONGEST)
    spigot: str = Field("", max_length=LONGEST)


@declared
class HolderDesigned(DesignShown):
    """A designed holder, and the document to start its job with."""

    document: StoredDocument


@router.get("/holders", response=list[HolderShown])
def holders(request: HttpRequest) -> HttpResponse:
    """The holders that are designed here, and what each asks for."""
    return answer(holders_shown())


@router.post("/holders/{kind}", response={200: HolderDesigned, **PROBLEMS})
def design(request: HttpRequest, kind: HolderKind, payload: HolderIn, narrow: bool = False) -> HttpResponse:
    """A holder designed from what was typed, not stored: the answer to a keystroke."""
    told = designed(kind, payload.model_dump())
    return answer(HolderDesigned(**vars(design_shown(told, narrow=narrow)), document=told.document))
