"""What is done to the shop: each act one transaction."""

from __future__ import annotations

import secrets
from collections.abc import Sequence
from datetime import datetime
from typing import Any

from django.db import transaction
from django.http import Http404
from django.utils import timezone

from lathework.errors import InvalidDocument
from lathework.shop.kit import read_thing
from lathework.shop.lines import read_lines
from server.kit.models import Put, Thing
from server.kit.photographs import put_back as put_photograph
from server.site.news import NEWS
from server.site.problems import CHANGED_ELSEWHERE, Conflict

Document = dict[str, Any]


def _new_id(kind: str) -> str:
    return f"{kind[0]}{secrets.token_hex(5)}"


@transaction.atomic
def add(wanted: Sequence[tuple[str, Document]], key: str = "") -> None:
    """Put things in the shop, all or none, once for each `key`; one whose id is free keeps it, the others get one of
    their own.

    Raises InvalidDocument, by row and field.
    """
    if key and not Put.objects.get_or_create(key=key)[1]:
        return
    now, rows, errors = timezone.now(), [], []
    taken = set(Thing.objects.values_list("pk", flat=True))
    for at, (kind, document) in enumerate(wanted):
        own = str(document.get("id") or "")
        ident = own if own and own not in taken else _new_id(kind)
        taken.add(ident)
        named = {**document, "id": ident}
        try:
            read_thing(kind, named)
        except InvalidDocument as invalid:
            errors += [error.at(f"things.{at}.{error.field}") for error in invalid.errors]
            continue
        rows.append(Thing(ident=ident, kind=kind, document=named, added_at=now, changed_at=now))
    if errors:
        raise InvalidDocument(tuple(errors))
    Thing.objects.bulk_create(rows)
    NEWS.tell_once_stored("kit")


def _find(ident: str) -> Thing:
    row = Thing.objects.select_for_update().filter(pk=ident).first()
    if row is None:
        raise Http404(f"There is no item {ident} in the shop.")
    return row


@transaction.atomic
def change(ident: str, document: Document, revision: int) -> Thing:
    """Say something else of a thing. Raises InvalidDocument, Conflict, Http404."""
    row = _find(ident)
    named = {**document, "id": ident}
    read_thing(row.kind, named)
    if row.revision != revision:
        raise Conflict(CHANGED_ELSEWHERE)
    row.document, row.revision, row.changed_at = named, revision + 1, timezone.now()
    row.save()
    NEWS.tell_once_stored("kit")
    return row


@transaction.atomic
def retire(ident: str, *, back: bool = False) -> Thing:
    """Take a thing out of the shop, or `back` into it: it is never deleted from under what speaks of it."""
    row = _find(ident)
    row.retired_at = None if back else timezone.now()
    row.save()
    NEWS.tell_once_stored("kit")
    return row


def put_back(ident: str, retired_at: datetime | None, photograph: bytes | None) -> None:
    """Give a thing that was read back what it had beside its document: when it was retired, what it looks like.
    Raises InputError on "photograph"."""
    if retired_at:
        Thing.objects.filter(pk=ident).update(retired_at=retired_at)
    if photograph is not None:
        put_photograph(ident, photograph)


def add_typed(text: str) -> None:
    """Put everything in the shop that lines name. Raises InputError where one is not understood."""
    wanted: list[tuple[str, Document]] = []
    for line in read_lines(text):
        if line.error:
            raise line.error
        wanted += [(thing.kind, dict(thing.document)) for thing in line.things]
    add(wanted)
