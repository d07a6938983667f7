"""What no rule asks of a document is kept all the same: it must be of its kind, and such as can be written down."""

from __future__ import annotations

from collections.abc import Mapping

from lathework.declared import Group, Rows
from lathework.errors import InputError
from lathework.fields import Choice, Designation, Extent, Share, Text
from lathework.reader import UNSTORABLE, storable

_TEXTS = (Text, Extent, Share, Choice, Designation)


def unsound(group: Group, value: object) -> list[InputError]:
    """Each text of a declared object that is none, or cannot be kept, by its dotted path."""
    errors: list[InputError] = []
    _look(group, value, (), errors)
    return errors


def _look(group: Group, value: object, path: tuple[str, ...], errors: list[InputError]) -> None:
    if not isinstance(value, Mapping):
        return
    fields = group.fields
    for name, own in value.items():
        # All of a document is looked at with each keystroke: nearly every field is a text of plain letters.
        if own is None or (type(own) is str and own.isascii() and "\x00" not in own):
            continue
        one = fields.get(name)
        if isinstance(one, Group):
            _look(one, own, (*path, name), errors)
        elif isinstance(one, Rows) and isinstance(own, list):
            for number, row in enumerate(own):
                _look(one.of, row, (*path, name, str(number)), errors)
        elif isinstance(one, _TEXTS):
            if not isinstance(own, str):
                errors.append(InputError("wrong-type", ".".join((*path, name)), "Type text here."))
            elif not storable(own):
                errors.append(InputError("unreadable", ".".join((*path, name)), UNSTORABLE))
