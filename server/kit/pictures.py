"""Pictures as they come from a camera: checked, turned upright, made small, without what it writes beside them."""

from __future__ import annotations

from io import BytesIO

from PIL import Image, ImageOps, UnidentifiedImageError

from lathework.errors import InputError
from server.kit.photographs import LARGEST_BYTES, NO_PICTURE, SIDE

MOST_PIXELS, QUALITY = 50_000_000, 80
FORMATS = ("JPEG", "PNG", "WEBP", "GIF")
_BROKEN = (UnidentifiedImageError, Image.DecompressionBombError, OSError, SyntaxError, ValueError)


def small(content: bytes) -> bytes:
    """A picture as a small JPEG. Raises InputError on "photograph"."""
    if len(content) > LARGEST_BYTES:
        raise InputError("too-long", "photograph", f"At most {LARGEST_BYTES // 1024**2} MB fit here.")
    try:
        with Image.open(BytesIO(content), formats=FORMATS) as opened:
            if opened.width * opened.height > MOST_PIXELS:
                raise InputError("too-long", "photograph", "This picture has too many dots: make it smaller first.")
            upright = ImageOps.exif_transpose(opened).convert("RGB")
    except _BROKEN:
        raise InputError("unreadable", "photograph", NO_PICTURE) from None
    upright.thumbnail((SIDE, SIDE))
    out = BytesIO()
    upright.save(out, "JPEG", quality=QUALITY)
    return out.getvalue()


def check_small(content: bytes, name: str) -> None:
    """Check a picture that was made small before; `name` is what it is of. Raises InputError on "photograph"."""
    try:
        with Image.open(BytesIO(content), formats=("JPEG",)) as opened:
            if max(opened.size) > SIDE:
                raise InputError("too-long", "photograph", f"{name}: a photograph is kept {SIDE} dots wide at most.")
            opened.load()
    except _BROKEN:
        raise InputError("unreadable", "photograph", f"{name}: {NO_PICTURE}") from None
