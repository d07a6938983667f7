"""What a document may hold, declared once: its reader, its JSON Schema and the types of the API follow from it.

A field is one of the kinds below, with a sentence on what it is. Documents keep text as it was typed: an `Extent` is a
text that reads as a length, a `Share` one that reads as a bare number.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from typing import Any

from lathework.lengths import Span

Json = dict[str, Any]
LONGEST_LINE = 120
"""Characters of a line of text."""
IDENT_PATTERN = r"[A-Za-z0-9_-]{1,16}"


def _nullable(schema: Json, *, missing: bool) -> Json:
    """The schema, null allowed where the field may be missing."""
    if not missing:
        return schema
    if "enum" in schema:
        return {**schema, "enum": [*schema["enum"], None]}
    return {**schema, "type": [schema["type"], "null"]}


@dataclass(frozen=True, slots=True)
class Text:
    """A text of at most `longest` characters; `required` is neither missing nor blank."""

    about: str = ""
    longest: int = LONGEST_LINE
    required: bool = False
    default: Any = ""

    def schema(self) -> Json:
        """As JSON Schema."""
        found: Json = {"type": "string", "maxLength": self.longest}
        if self.required:
            return {**found, "minLength": 1, "pattern": "\\S"}
        return _nullable(found, missing=True)


@dataclass(frozen=True, slots=True)
class Extent:
    """A length as typed, within `span`; an `optional` one may be empty or missing."""

    span: Span
    about: str = ""
    optional: bool = True
    default: Any = ""

    @property
    def required(self) -> bool:
        """Whether it must be there."""
        return not self.optional

    def schema(self) -> Json:
        """As JSON Schema."""
        found: Json = {"type": "string", "maxLength": LONGEST_LINE}
        return _nullable(found, missing=True) if self.optional else {**found, "minLength": 1}


@dataclass(frozen=True, slots=True)
class Share:
    """A bare number as typed, from `low` to `high`; empty where nobody said. `hint` begins an error's sentence."""

    low: float
    high: float
    hint: str
    about: str = ""
    required: bool = False
    default: Any = ""

    def schema(self) -> Json:
        """As JSON Schema."""
        return _nullable({"type": "string", "maxLength": LONGEST_LINE}, missing=True)


@dataclass(frozen=True, slots=True)
class Choice:
    """One of `allowed`; `default` when missing, None where it must be there."""

    allowed: tuple[str, ...]
    default: Any = None
    about: str = ""

    @property
    def required(self) -> bool:
        """Whether it must be there."""
        return self.default is None

    def schema(self) -> Json:
        """As JSON Schema."""
        return _nullable({"enum": list(self.allowed)}, missing=not self.required)


@dataclass(frozen=True, slots=True)
class Several:
    """Some of `allowed`, each once; missing is none."""

    allowed: tuple[str, ...]
    about: str = ""
    required: bool = False
    default: Any = ()

    def schema(self) -> Json:
        """As JSON Schema."""
        return {"type": ["array", "null"], "items": {"enum": list(self.allowed)}}


@dataclass(frozen=True, slots=True)
class Whole:
    """A whole number from `low` to `high`, or its digits as text."""

    low: int
    high: int
    about: str = ""
    required: bool = True
    default: Any = None

    def schema(self) -> Json:
        """As JSON Schema."""
        digits = {"type": "string", "pattern": "^\\s*[0-9]{1,8}\\s*$"}
        return {"oneOf": [{"type": "integer", "minimum": self.low, "maximum": self.high}, digits]}


@dataclass(frozen=True, slots=True)
class Ident:
    """The id of a part, a section or a hole."""

    about: str = ""
    required: bool = True
    default: Any = ""

    def schema(self) -> Json:
        """As JSON Schema."""
        return {"type": "string", "pattern": f"^\\s*{IDENT_PATTERN}\\s*$"}


@dataclass(frozen=True, slots=True)
class Fixed:
    """What never changes within a version: the name of the format, its number."""

    value: str | int
    about: str = ""
    required: bool = True

    @property
    def default(self) -> Any:
        """The value itself."""
        return self.value

    def schema(self) -> Json:
        """As JSON Schema."""
        return {"const": self.value}


@dataclass(frozen=True, slots=True)
class Raw:
    """A part of the document that something else reads and describes, with its own `told` schema."""

    told: Mapping[str, Any]
    about: str = ""
    required: bool = False
    default: Any = None

    def schema(self) -> Json:
        """As JSON Schema."""
        return dict(self.told)


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
        return _nullable(found, missing=not self.required)


Field = Text | Extent | Share | Choice | Several | Whole | Ident | Fixed | Raw | Rows


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
