"""Photographs of things, as they are kept.

What reads pictures is loaded with the first: it would keep every start waiting.
"""

from __future__ import annotations

from django.db import transaction
from django.http import Http404

from server.kit.models import Photograph, Thing


def keep(ident: str, content: bytes) -> Thing:
    """Keep a photograph of a thing, in place of the one before. Raises InputError, Http404."""
    from server.kit.pictures import small

    _thing(ident)
    # Before the store is written to: while it is, every reading taken at the lathe waits.
    made = small(content)
    with transaction.atomic():
        thing = _thing(ident)
        kept = Photograph.objects.filter(thing=thing).first()
        revision = kept.revision + 1 if kept else 1
        Photograph.objects.update_or_create(thing=thing, defaults={"content": made, "revision": revision})
    return thing


def put_back(ident: str, content: bytes) -> None:
    """Keep a photograph as it was kept before, to the byte. Raises InputError on "photograph"."""
    from server.kit.pictures import kept_small

    Photograph.objects.create(thing_id=ident, content=kept_small(content, ident))


@transaction.atomic
def forget(ident: str) -> Thing:
    """Throw the photograph of a thing away. Raises Http404."""
    thing = _thing(ident)
    # The row stays with its count: a browser keeps what it was given for each.
    Photograph.objects.filter(thing=thing).update(content=b"")
    return thing


def _thing(ident: str) -> Thing:
    thing = Thing.objects.filter(pk=ident).first()
    if thing is None:
        raise Http404(f"There is no item {ident} in the shop.")
    return thing


def photograph(ident: str) -> bytes:
    """The photograph of a thing as JPEG bytes. Raises Http404."""
    kept = Photograph.objects.filter(thing_id=ident).first()
    if kept is None or not kept.content:
        raise Http404(f"Item {ident} has no photograph.")
    return bytes(kept.content)


def revisions() -> dict[str, int]:
    """Which things have a photograph, and its revision."""
    return dict(Photograph.objects.exclude(content=b"").values_list("thing_id", "revision"))
