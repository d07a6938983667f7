"""Pictures as they come from a camera: checked, turned upright, made small, without what it writes beside them."""

from __future__ import annotations

import threading
from io import BytesIO

from PIL import Image, ImageOps, UnidentifiedImageError
from PIL.JpegImagePlugin import JpegImageFile

from lathework.errors import InputError
from server.kit.picture_bounds import LARGEST_BYTES, NO_PICTURE, SIDE

MOST_PIXELS, QUALITY = 50_000_000, 80
FORMATS = ("JPEG", "PNG", "WEBP", "GIF")
_ONE_AT_A_TIME = threading.Lock()
"""Twelve large pictures at once would hold the memory and the processor of twelve."""
_HEAD = "APP0"
"""The one segment beside the picture itself that says nothing of who took it, and where."""
_BROKEN = (UnidentifiedImageError, Image.DecompressionBombError, OSError, SyntaxError, ValueError)


def small(content: bytes) -> bytes:
    """A picture as a small JPEG. Raises InputError on "photograph"."""
    if len(content) > LARGEST_BYTES:
        raise InputError("too-long", "photograph", f"The picture is too large: at most {LARGEST_BYTES // 1024**2} MB.")
    try:
        with _ONE_AT_A_TIME, Image.open(BytesIO(content), formats=FORMATS) as opened:
            if opened.width * opened.height > MOST_PIXELS:
                raise InputError("too-long", "photograph", "This picture has too many pixels. Make it smaller first.")
            # A palette's numbers cannot be averaged; of the others no second whole picture is ever held.
            made: Image.Image = opened.convert("RGB") if opened.mode in ("P", "1") else opened
            made.thumbnail((SIDE, SIDE))
            upright = ImageOps.exif_transpose(made).convert("RGB")
    except _BROKEN:
        raise InputError("unreadable", "photograph", NO_PICTURE) from None
    return _wordless(upright, quality=QUALITY)


def _wordless(picture: Image.Image, quality: int | str) -> bytes:
    """A picture as a JPEG without what a camera or a person wrote in it."""
    picture.info = {}
    out = BytesIO()
    picture.save(out, "JPEG", quality=quality, exif=b"")
    return out.getvalue()


def kept_small(content: bytes, name: str) -> bytes:
    """A picture that was made small before, to the byte where nothing is written in it; `name` is what it is of. Raises
    InputError on "photograph"."""
    try:
        with Image.open(BytesIO(content), formats=("JPEG",)) as opened:
            if max(opened.size) > SIDE:
                raise InputError("too-long", "photograph", f"{name}: a photograph may be at most {SIDE} pixels wide.")
            opened.load()
            assert isinstance(opened, JpegImageFile)  # no other was let in
            written = any(name != _HEAD for name, _ in opened.applist)
            return _wordless(opened, quality="keep") if written else content
    except _BROKEN:
        raise InputError("unreadable", "photograph", f"{name}: {NO_PICTURE}") from None
