"""Holders: what is designed here, and a design worked out from what was typed. Parse, work out, answer."""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Literal

from django.http import HttpRequest, HttpResponse
from ninja import Field, Query, Router

from lathework.answers.declared_answer import answer as declared
from lathework.answers.holders_shown import DesignShown, HolderShown, design_shown, holders_shown
from lathework.drawing.holder.assembly import PAPER, assembly
from lathework.drawing.shapes import Sheet
from lathework.drawing.svg import sheet_svg
from lathework.errors import InputError
from lathework.holders.asks import HolderKind
from lathework.holders.design import Design
from lathework.holders.workshop import designed
from lathework.units import LengthUnit
from server.devices.known import looks
from server.holders.examples import examples
from server.jobs.schemas import StoredDocument
from server.kit.owned import things
from server.site.document_model import Strict
from server.site.files import file_answer, file_in_schema
from server.site.problems import PROBLEMS, answer

router = Router(tags=["holders"])
LONGEST, MOST_OWN = 60, 12


class HolderTyped(Strict):
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
    threads: str = Field("", max_length=LONGEST)
    taper: str = Field("", max_length=LONGEST)
    out: str = Field("", max_length=LONGEST)
    shank: str = Field("", max_length=LONGEST)
    plain: str = Field("", max_length=LONGEST)
    plain_long: str = Field("", max_length=LONGEST)
    wide: str = Field("", max_length=LONGEST)
    key: str = Field("", max_length=LONGEST)


class HolderIn(HolderTyped):
    """What was typed of a holder, and the sizes of dimensions that the person sets, by their fields."""

    own: dict[str, Annotated[str, Field(max_length=LONGEST)]] = Field(default_factory=dict, max_length=MOST_OWN)


@declared
class HolderDesigned(DesignShown):
    """A designed holder, and the document to start its job with."""

    document: StoredDocument


@router.get("/holders", response=list[HolderShown])
def holders(request: HttpRequest) -> HttpResponse:
    """The holders that are designed here, and what each asks for, with examples of the shop's own dies and bars."""
    owned = things()
    return answer(holders_shown(lambda kind, unit: examples(kind, owned, unit)))


@router.post("/holders/{kind}", auth=looks, response={200: HolderDesigned, **PROBLEMS})
def design(request: HttpRequest, kind: HolderKind, payload: HolderIn, narrow: bool = False) -> HttpResponse:
    """A holder designed from what was typed, not stored: the answer to a keystroke."""
    told = designed(kind, payload.model_dump())
    return answer(HolderDesigned(**vars(design_shown(told, narrow=narrow)), document=told.document))


Own = Annotated[tuple[str, ...], Query(max_length=MOST_OWN, description="sizes that the person sets: long=2-1/2")]
Apart = Annotated[bool, Query(description="its parts drawn apart")]


def _own(told: tuple[str, ...]) -> dict[str, str]:
    """Sizes that the person sets, from the words of an address."""
    pairs = [word.partition("=") for word in told]
    if not all(sign for _, sign, _ in pairs):
        raise InputError("not-a-size", "own", "Write the field of the dimension, =, and the size: long=2-1/2.")
    return {field: size for field, _, size in pairs}


def _asked(kind: HolderKind, typed: HolderTyped, own: tuple[str, ...]) -> Design:
    return designed(kind, typed.model_dump() | {"own": _own(own)})


def _drawing(
    design: Design, kind: str, *, apart: bool, ending: str, of: str, draw: Callable[[Sheet], str]
) -> HttpResponse:
    sheet = assembly(design.lying, design.title, PAPER, apart=apart)
    return file_answer(draw(sheet), f"{kind}{'-apart' if apart else ''}.{ending}", of)


@router.get("/holders/{kind}/drawing.svg", response=PROBLEMS, openapi_extra=file_in_schema("image/svg+xml"))
def drawing_as_svg(
    request: HttpRequest, kind: HolderKind, typed: Query[HolderTyped], own: Own = (), apart: Apart = False
) -> HttpResponse:
    """A holder in section, its parts together or apart."""
    unit: LengthUnit = typed.unit
    design = _asked(kind, typed, own)
    return _drawing(design, kind, apart=apart, ending="svg", of="image/svg+xml", draw=lambda one: sheet_svg(one, unit))


@router.get("/holders/{kind}/drawing.dxf", response=PROBLEMS, openapi_extra=file_in_schema("image/vnd.dxf"))
def drawing_as_dxf(
    request: HttpRequest, kind: HolderKind, typed: Query[HolderTyped], own: Own = (), apart: Apart = False
) -> HttpResponse:
    """The same as DXF, true size in millimetres."""
    from server.paper.dxf import sheet_dxf

    unit: LengthUnit = typed.unit
    design = _asked(kind, typed, own)
    return _drawing(
        design, kind, apart=apart, ending="dxf", of="image/vnd.dxf", draw=lambda one: sheet_dxf(one, 1.0, unit)
    )


@router.get("/holders/{kind}/sheet.pdf", response=PROBLEMS, openapi_extra=file_in_schema("application/pdf"))
def sheet_as_pdf(request: HttpRequest, kind: HolderKind, typed: Query[HolderTyped], own: Own = ()) -> HttpResponse:
    """A holder on paper: drawn together and apart, every dimension with its reason, what is against it."""
    from server.paper.holder_sheet import holder_sheet

    return file_answer(holder_sheet(_asked(kind, typed, own), typed.unit), f"{kind}.pdf", "application/pdf")
