"""The kinds of fields a document may have, each with a sentence on what it is, and how JSON Schema tells it.

Documents keep text as it was typed: an `Extent` is a text that reads as a length, a `Share` one that reads as a bare
number.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal

from lathework.lengths import Span

Json = dict[str, Any]
LONGEST_LINE = 120
"""Characters of a line of text."""
IDENT_PATTERN = r"[A-Za-z0-9_-]{1,16}"


def nullable(schema: Json, *, missing: bool) -> Json:
    """The schema, null allowed where the field may be missing."""
    if not missing:
        return schema
    if "enum" in schema:
        return {**schema, "enum": [*schema["enum"], None]}
    return {**schema, "type": [schema["type"], "null"]}


def _line(*, optional: bool) -> Json:
    """The schema of a line that something reads: an optional one may be empty or missing."""
    found: Json = {"type": "string", "maxLength": LONGEST_LINE}
    return nullable(found, missing=True) if optional else {**found, "minLength": 1}


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
        return nullable(found, missing=True)


@dataclass(frozen=True, slots=True)
class Extent:
    """A length as typed, within `span`; an `optional` one may be empty or missing, one that may be said
    `roughly` only about so long."""

    span: Span
    about: str = ""
    optional: bool = True
    default: Any = ""
    roughly: bool = False

    @property
    def required(self) -> bool:
        """Whether it must be there."""
        return not self.optional

    def schema(self) -> Json:
        """As JSON Schema."""
        return _line(optional=self.optional)


@dataclass(frozen=True, slots=True)
class Share:
    """A bare number as typed, from `low` to `high`; empty where nobody said. `hint` begins an error's sentence; what is
    counted is `whole`."""

    low: float
    high: float
    hint: str
    about: str = ""
    whole: bool = False
    required: bool = False
    default: Any = ""

    def schema(self) -> Json:
        """As JSON Schema."""
        return nullable({"type": "string", "maxLength": LONGEST_LINE}, missing=True)


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
        return nullable({"enum": list(self.allowed)}, missing=not self.required)


@dataclass(frozen=True, slots=True)
class Designation:
    """A thread as designated, cut `outside` or inside, or only named; an `optional` one may be empty or missing."""

    about: str = ""
    cut: Literal["outside", "inside", "named"] = "named"
    optional: bool = False
    default: Any = ""

    @property
    def required(self) -> bool:
        """Whether it must be there."""
        return not self.optional

    def schema(self) -> Json:
        """As JSON Schema."""
        return _line(optional=self.optional)


@dataclass(frozen=True, slots=True)
class Numbers:
    """Bare numbers as typed, with commas between, each from `low` to `high`, at most `most`; `hint` begins an error.

    A number given twice counts once, unless it `repeats`: two wheels of a size are two. What is counted is `whole`.
    """

    low: float
    high: float
    most: int
    hint: str
    about: str = ""
    repeats: bool = False
    whole: bool = False
    required: bool = False
    default: Any = ""

    def schema(self) -> Json:
        """As JSON Schema."""
        return nullable({"type": "string", "maxLength": LONGEST_LINE * 2}, missing=True)


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
