"""The shop: what one owns, typed as people say it; what of it serves a thread."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema
from ninja.params.functions import Query
from pydantic import Field

from lathework.outfit.serving import capabilities, serving
from lathework.shop.kit import name_of, read_thing
from lathework.shop.kit_choices import Kind
from lathework.shop.typed import read_lines
from lathework.shop.typed_kinds import MOST_THINGS
from lathework.threads.designation import read_called
from server.kit import actions
from server.kit.answers import (
    CapabilityShown,
    KitShown,
    LineShown,
    ServingShown,
    ThingShown,
    capabilities_shown,
    kit_shown,
    lines_shown,
    serving_shown,
    thing_shown,
)
from server.kit.kinds import KindShown, kinds_shown
from server.kit.owned import owned
from server.site.problems import PROBLEMS, answer

router = Router(tags=["kit"])


class TypedKit(Schema):
    """What one owns, as typed: a line each."""

    text: str = Field("", max_length=8000)


class ThingIn(Schema):
    """A thing to be put in the shop."""

    kind: Kind
    document: dict[str, Any]


class ThingsIn(Schema):
    """Things to be put in the shop, all or none."""

    things: list[ThingIn] = Field(..., max_length=MOST_THINGS)


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


@router.post("/typed", response={200: list[LineShown], **PROBLEMS})
def read_typed(request: HttpRequest, payload: TypedKit) -> HttpResponse:
    """What typed lines name: nothing is stored."""
    names = {name_of(thing) for _, thing in owned()}
    return answer(lines_shown(read_lines(payload.text), names))


@router.post("", response={200: KitShown, **PROBLEMS})
def add_things(request: HttpRequest, payload: ThingsIn) -> HttpResponse:
    """Put things in the shop: the whole shop as it is then."""
    actions.add([(thing.kind, thing.document) for thing in payload.things])
    return answer(kit_shown(owned()))


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
    return answer(thing_shown(row, read_thing(row.kind, row.document)))


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
