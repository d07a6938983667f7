"""The shop: what one owns, typed as people say it; what of it serves a thread."""

from __future__ import annotations

from base64 import b64decode
from typing import Any

import orjson
from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema
from ninja.params.functions import Query
from pydantic import Field

from lathework.errors import InputError
from lathework.outfit.serving import capabilities, serving
from lathework.shop.kinds import kind_of, name_of
from lathework.shop.kit import read_thing
from lathework.shop.kit_file import MOST_ROWS, kit_csv, kit_json, read_kit_file
from lathework.shop.lines import read_lines
from lathework.threads.designation import read_called
from server.devices.known import looks
from server.kit import actions, photographs
from server.kit.answers import (
    CapabilityShown,
    FileRowShown,
    KitShown,
    LineShown,
    ServingShown,
    ThingShown,
    capabilities_shown,
    file_rows_shown,
    kit_shown,
    lines_shown,
    serving_shown,
    thing_shown,
)
from server.kit.kinds import KindCode, KindShown, kinds_shown
from server.kit.owned import owned
from server.kit.picture_bounds import LARGEST_BYTES, NO_PICTURE
from server.site.files import file_answer, file_in_schema
from server.site.keys import ActKey
from server.site.problems import PROBLEMS, answer

router = Router(tags=["kit"])
MOST_TEXT = 4_000_000
MOST_BASE64 = LARGEST_BYTES * 4 // 3 + 4
_INDENTED, _PDF = orjson.OPT_INDENT_2, "application/pdf"


class TypedKit(Schema):
    """What one owns, as typed: a line each."""

    text: str = Field("", max_length=8000)


class PhotographIn(Schema):
    """A photograph as base64."""

    content: str = Field(..., max_length=MOST_BASE64)


class KitText(Schema):
    """A kit file as text."""

    text: str = Field(..., max_length=MOST_TEXT)


class ThingIn(Schema):
    """A thing to be put in the shop."""

    kind: KindCode
    document: dict[str, Any]


class ThingsIn(Schema):
    """Things to be put in the shop, all or none."""

    things: list[ThingIn] = Field(..., max_length=MOST_ROWS)


class ThingChange(Schema):
    """What is said of a thing now; `revision` is the one that was looked at."""

    document: dict[str, Any]
    revision: int


@router.get("", response=KitShown)
def read_kit(request: HttpRequest) -> HttpResponse:
    """Everything owned, drawer by drawer."""
    return answer(kit_shown(owned()))


@router.get("/kinds", response=list[KindShown])
def read_kinds(request: HttpRequest) -> HttpResponse:
    """Every kind of thing there may be in a shop, and its fields."""
    return answer(kinds_shown())


@router.post("/typed", auth=looks, response={200: list[LineShown], **PROBLEMS})
def read_typed(request: HttpRequest, payload: TypedKit) -> HttpResponse:
    """What typed lines name: nothing is stored."""
    names = {name_of(thing) for _, thing in owned()}
    return answer(lines_shown(read_lines(payload.text), names))


@router.post("", response={200: KitShown, **PROBLEMS})
def add_things(request: HttpRequest, payload: ThingsIn, key: ActKey = "") -> HttpResponse:
    """Put things in the shop: the whole shop as it is then."""
    actions.add([(thing.kind, thing.document) for thing in payload.things], key)
    return answer(kit_shown(owned()))


@router.post("/read", auth=looks, response={200: list[FileRowShown], **PROBLEMS})
def read_file(request: HttpRequest, payload: KitText) -> HttpResponse:
    """What a kit file holds, JSON or CSV: nothing is stored."""
    names = {name_of(thing) for _, thing in owned()}
    return answer(file_rows_shown(read_kit_file(payload.text), names))


@router.get("/kit.json", response={200: dict[str, Any], **PROBLEMS})
def kit_as_json(request: HttpRequest) -> HttpResponse:
    """Everything owned, as a kit file."""
    content = orjson.dumps(kit_json((kind_of(thing).code, row.document) for row, thing in owned()), option=_INDENTED)
    return file_answer(content, "kit.json", "application/json")


@router.get("/labels.pdf", response=PROBLEMS, openapi_extra=file_in_schema("application/pdf"))
def labels_as_pdf(request: HttpRequest, place: str = Query("", max_length=120)) -> HttpResponse:
    """Labels for a drawer's things, or for all: a picture, a name, a place, and a code that opens the thing's page."""
    from server.kit.labelled import sheet

    return file_answer(sheet(request.build_absolute_uri("/shop?thing="), place), "labels.pdf", _PDF)


@router.get("/csv/{kind}", response=PROBLEMS, openapi_extra=file_in_schema("text/csv"))
def kit_as_csv(request: HttpRequest, kind: KindCode) -> HttpResponse:
    """The things of a kind as CSV."""
    rows = [row.document for row, _ in owned() if row.kind == kind]
    return file_answer(kit_csv(kind, rows), f"{kind}.csv", "text/csv; charset=utf-8")


@router.get("/serves", response={200: ServingShown, **PROBLEMS})
def read_serving(request: HttpRequest, thread: str = Query(..., max_length=120)) -> HttpResponse:
    """What of the shop serves a thread, as designated."""
    things = owned()
    told = serving(read_called(thread).thread, [thing for _, thing in things])
    return answer(serving_shown(told, {row.ident: row for row, _ in things}))


@router.get("/threads", response={200: list[CapabilityShown], **PROBLEMS})
def read_capabilities(request: HttpRequest) -> HttpResponse:
    """Every thread that the shop can cut."""
    return answer(capabilities_shown(capabilities([thing for _, thing in owned()])))


def _shown(row: Any) -> HttpResponse:
    return answer(thing_shown(row, read_thing(row.kind, row.document), photographs.revisions().get(row.ident, 0)))


@router.get("/{ident}/photograph", response=PROBLEMS, openapi_extra=file_in_schema("image/jpeg"))
def read_photograph(request: HttpRequest, ident: str) -> HttpResponse:
    """What a thing looks like."""
    response = HttpResponse(photographs.photograph(ident), content_type="image/jpeg")
    response["Cache-Control"] = "private, max-age=31536000"
    return response


@router.post("/{ident}/photograph", response={200: ThingShown, **PROBLEMS})
def keep_photograph(request: HttpRequest, ident: str, payload: PhotographIn) -> HttpResponse:
    """Keep a photograph of a thing, checked and made small."""
    try:
        content = b64decode(payload.content, validate=True)
    except ValueError:
        raise InputError("unreadable", "photograph", NO_PICTURE) from None
    return _shown(photographs.keep(ident, content))


@router.delete("/{ident}/photograph", response={200: ThingShown, **PROBLEMS})
def forget_photograph(request: HttpRequest, ident: str) -> HttpResponse:
    """Throw the photograph of a thing away."""
    return _shown(photographs.forget(ident))


@router.put("/{ident}", response={200: ThingShown, **PROBLEMS})
def change_thing(request: HttpRequest, ident: str, payload: ThingChange) -> HttpResponse:
    """Say something else of a thing."""
    return _shown(actions.change(ident, payload.document, payload.revision))


@router.post("/{ident}/retire", response={200: ThingShown, **PROBLEMS})
def retire_thing(request: HttpRequest, ident: str) -> HttpResponse:
    """Take a thing out of the shop; what speaks of it still knows it."""
    return _shown(actions.retire(ident))


@router.post("/{ident}/restore", response={200: ThingShown, **PROBLEMS})
def restore_thing(request: HttpRequest, ident: str) -> HttpResponse:
    """Put a retired thing back."""
    return _shown(actions.retire(ident, back=True))
