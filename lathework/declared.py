"""What a document may hold, declared once: its reader, its JSON Schema and the types of the API follow from it."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from typing import Any

from lathework.fields import (
    Choice,
    Designation,
    Extent,
    Fixed,
    Ident,
    Json,
    Numbers,
    Raw,
    Several,
    Share,
    Text,
    Whole,
    nullable,
)


@dataclass(frozen=True, slots=True)
class Rows:
    """A list of at most `most` rows, each a group, at least `fewest`; a list that is not `required` may be missing."""

    of: Group
    most: int
    fewest: int = 0
    about: str = ""
    required: bool = True
    default: Any = ()

    def schema(self) -> Json:
        """As JSON Schema."""
        found: Json = {"type": "array", "maxItems": self.most, "items": self.of.schema()}
        if self.fewest:
            found["minItems"] = self.fewest
        return nullable(found, missing=not self.required)


Field = Text | Extent | Share | Choice | Designation | Numbers | Several | Whole | Ident | Fixed | Raw | Rows


@dataclass(frozen=True, slots=True)
class Group:
    """An object of named fields and no others; `name` is what the schema and the API call it."""

    name: str
    about: str
    fields: Mapping[str, Field | Group] = field(default_factory=dict)
    required: bool = True
    default: Any = None

    @property
    def keys(self) -> tuple[str, ...]:
        """The names of its fields."""
        return tuple(self.fields)

    def at(self, path: str) -> Field | Group:
        """What is declared at a dotted path, where a number stands for any row. Raises KeyError."""
        here: Field | Group = self
        for key in path.split("."):
            if isinstance(here, Rows) and key.isdecimal():
                here = here.of
            elif isinstance(here, Group):
                here = here.fields[key]
            else:
                raise KeyError(path)
        return here

    def groups(self) -> Iterator[Group]:
        """Every group below this one, each once, the innermost first."""
        for one in self.fields.values():
            inner = one.of if isinstance(one, Rows) else one
            if isinstance(inner, Group):
                yield from inner.groups()
                yield inner

    def schema(self) -> Json:
        """As JSON Schema: a reference to its definition."""
        return {"$ref": f"#/$defs/{self.name}"}

    def definition(self) -> Json:
        """The object itself as JSON Schema, its groups as references."""
        return {
            "type": "object",
            "description": self.about,
            "additionalProperties": False,
            "required": [name for name, one in self.fields.items() if one.required],
            "properties": {
                name: one.schema() | ({"description": one.about} if one.about else {})
                for name, one in self.fields.items()
            },
        }
