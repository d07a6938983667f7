"""A thing of the shop out of its document."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from lathework.declared import Group
from lathework.field_reader import FieldReader
from lathework.shop.kinds import CODES, KIND
from lathework.shop.kinds.kind import Owned


def read_thing(code: str, document: Mapping[str, Any]) -> Owned:
    """A thing out of its document; bare numbers are millimetres. Raises InvalidDocument with every error by field.

    >>> from lathework.shop.kinds import name_of
    >>> name_of(read_thing("die", {"id": "d1", "thread": "1/2 bsw", "across": "1 in", "thick": "3/8 in"}))
    '1/2 BSW split die, 1 in × 3/8 in'
    >>> name_of(read_thing("holder", {"id": "h1", "across": "1 in", "shank": "2MT"}))
    'tailstock die holder, 1 in, 2MT'
    """
    reader = FieldReader({**document, "unit": "mm"})
    kind = KIND.get(code)
    if kind is None:
        reader.fail("unknown-choice", "kind", f"Choose one of {', '.join(CODES)}.", CODES)
        raise reader.invalid()
    group = kind.group
    reader.section("", (*group.keys, "unit"))
    said = {name: reader.declared(name, field) for name, field in group.fields.items() if not isinstance(field, Group)}
    kind.check(reader, said)
    if reader.errors:
        raise reader.invalid()
    return kind.made(**said)
