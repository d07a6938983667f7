"""The kinds of things there may be in a shop, and what is asked of each."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.declared import Field, Group
from lathework.fields import Choice, Numbers
from lathework.shop.kit_choices import Kind
from lathework.shop.kit_declaration import GROUPS
from lathework.shop.words import KIND_WORDS, choice_words, label_of
from server.site.choices import ChoiceShown


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
    """A kind of thing, and the fields that are its own."""

    kind: Kind
    name: str
    fields: tuple[FieldShown, ...]


COMMON = ("id", "state", "shop", "place", "notes")


def kinds_shown() -> tuple[KindShown, ...]:
    """Every kind of thing, with the fields that are its own."""
    return tuple(
        KindShown(
            kind,
            KIND_WORDS[kind][0],
            tuple(
                _field(kind, name, field)
                for name, field in group.fields.items()
                if name not in COMMON and not isinstance(field, Group)
            ),
        )
        for kind, group in GROUPS.items()
    )


def _field(kind: Kind, name: str, field: Field) -> FieldShown:
    allowed = field.allowed if isinstance(field, Choice) else ()
    choices = tuple(ChoiceShown(code, *choice_words(name, code)) for code in allowed)
    return FieldShown(name, label_of(kind, name), field.about, isinstance(field, Numbers), choices)
