"""Photographs of things: checked, turned upright, made small, kept without what a camera writes beside the picture."""

from __future__ import annotations

from io import BytesIO

from django.db import transaction
from django.http import Http404
from PIL import Image, ImageOps, UnidentifiedImageError

from lathework.errors import InputError
from server.kit.models import Photograph, Thing

LARGEST_BYTES, MOST_PIXELS = 5 * 1024 * 1024, 50_000_000
SIDE, QUALITY = 800, 80
"""Pixels of the longer side that is kept, and how finely."""
FORMATS = ("JPEG", "PNG", "WEBP", "GIF")
Image.init()
NO_PICTURE = "This is no picture that can be read: JPEG, PNG, WebP or GIF."


def _small(content: bytes) -> bytes:
    """A picture as a small JPEG. Raises InputError on "photograph"."""
    if len(content) > LARGEST_BYTES:
        raise InputError("too-long", "photograph", f"At most {LARGEST_BYTES // 1024**2} MB fit here.")
    try:
        with Image.open(BytesIO(content), formats=FORMATS) as opened:
            if opened.width * opened.height > MOST_PIXELS:
                raise InputError("too-long", "photograph", "This picture has too many dots: make it smaller first.")
            upright = ImageOps.exif_transpose(opened).convert("RGB")
    except (UnidentifiedImageError, Image.DecompressionBombError, OSError, SyntaxError, ValueError):
        raise InputError("unreadable", "photograph", NO_PICTURE) from None
    upright.thumbnail((SIDE, SIDE))
    out = BytesIO()
    upright.save(out, "JPEG", quality=QUALITY)
    return out.getvalue()


@transaction.atomic
def keep(ident: str, content: bytes) -> Thing:
    """Keep a photograph of a thing, in place of the one before. Raises InputError, Http404."""
    thing = Thing.objects.filter(pk=ident).first()
    if thing is None:
        raise Http404
    small = _small(content)
    kept = Photograph.objects.filter(thing=thing).first()
    revision = kept.revision + 1 if kept else 1
    Photograph.objects.update_or_create(thing=thing, defaults={"content": small, "revision": revision})
    return thing


def put_back(ident: str, content: bytes) -> None:
    """Keep a photograph as it was kept before, to the byte. Raises InputError on "photograph"."""
    try:
        with Image.open(BytesIO(content), formats=("JPEG",)) as opened:
            if max(opened.size) > SIDE:
                raise InputError("too-long", "photograph", f"{ident}: a photograph is kept {SIDE} dots wide at most.")
            opened.load()
    except (UnidentifiedImageError, Image.DecompressionBombError, OSError, SyntaxError, ValueError):
        raise InputError("unreadable", "photograph", f"{ident}: {NO_PICTURE}") from None
    Photograph.objects.create(thing_id=ident, content=content)


@transaction.atomic
def forget(ident: str) -> Thing:
    """Throw the photograph of a thing away. Raises Http404."""
    thing = Thing.objects.filter(pk=ident).first()
    if thing is None:
        raise Http404
    # The row stays with its count: a browser keeps what it was given for each.
    Photograph.objects.filter(thing=thing).update(content=b"")
    return thing


def photograph(ident: str) -> bytes:
    """The photograph of a thing as JPEG bytes. Raises Http404."""
    kept = Photograph.objects.filter(thing_id=ident).first()
    if kept is None or not kept.content:
        raise Http404
    return bytes(kept.content)


def revisions() -> dict[str, int]:
    """Which things have a photograph, and its revision."""
    return dict(Photograph.objects.exclude(content=b"").values_list("thing_id", "revision"))
