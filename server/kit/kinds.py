"""The kinds of things there may be in a shop, and what is asked of each."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING, Literal

from lathework.fields import Choice, Numbers
from lathework.shop.kinds import CODES, KINDS
from lathework.shop.kinds.kind import KindField
from server.site.choices import ChoiceShown

if TYPE_CHECKING:
    KindCode = str
else:
    # The kinds that there are, named in the API: which those are is known once the program runs.
    KindCode = Literal[CODES]


@dataclass(frozen=True)
class FieldShown:
    """A field of a thing: what is stored, what it is called and about; `choices` where it is chosen, not typed;
    `long` where it may run over several lines.
    """

    field: str
    label: str
    about: str
    long: bool
    choices: tuple[ChoiceShown, ...]


@dataclass(frozen=True)
class KindShown:
    """A kind of thing, the fields that are its own, and how it is drawn: "round", "rod", or a path in a box of 72 by
    44."""

    kind: KindCode
    name: str
    fields: tuple[FieldShown, ...]
    sign: str


def kinds_shown() -> tuple[KindShown, ...]:
    """Every kind of thing, with the fields that are its own."""
    return tuple(
        KindShown(kind.code, kind.called, tuple(_field(name, told) for name, told in kind.fields.items()), kind.sign)
        for kind in KINDS
    )


def _words(told: KindField, code: str) -> tuple[str, str]:
    """What a choice is called, and what is remarked about it: by its code, where it has no words of its own."""
    return (told.choices or {}).get(code) or (code.replace("-", " ") or "not given", "")


def _field(name: str, told: KindField) -> FieldShown:
    allowed = told.field.allowed if isinstance(told.field, Choice) else ()
    choices = tuple(ChoiceShown(code, *_words(told, code)) for code in allowed)
    return FieldShown(name, told.label, told.field.about, isinstance(told.field, Numbers), choices)
