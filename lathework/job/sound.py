"""What no rule asks of a document is kept all the same: it must be of its kind, and such as can be written down."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from typing import Any

from lathework.declared import Group, Rows
from lathework.errors import InputError
from lathework.fields import Choice, Designation, Extent, Share, Text
from lathework.reader import UNSTORABLE, storable

_TEXTS = (Text, Extent, Share, Choice, Designation)


def unsound(group: Group, value: object, path: str = "") -> Iterator[InputError]:
    """Each text of a declared object that is none, or cannot be kept, by its dotted path."""
    if not isinstance(value, Mapping):
        return
    for name, one in group.fields.items():
        if name in value:
            yield from _field(one, value[name], f"{path}.{name}" if path else name)


def _field(one: Any, value: object, path: str) -> Iterator[InputError]:
    if isinstance(one, Group):
        yield from unsound(one, value, path)
    elif isinstance(one, Rows) and isinstance(value, list):
        for number, row in enumerate(value):
            yield from unsound(one.of, row, f"{path}.{number}")
    elif isinstance(one, _TEXTS) and value is not None:
        if not isinstance(value, str):
            yield InputError("wrong-type", path, "This must be text.")
        elif not storable(value):
            yield InputError("unreadable", path, UNSTORABLE)
