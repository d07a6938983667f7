"""The words of a step for print, its figures put in."""

from __future__ import annotations

from lathework.answers.values import figure_text
from lathework.planning.operation import Operation
from lathework.units import LengthUnit


def _filled(text: str, operation: Operation, unit: LengthUnit) -> str:
    """A text of a step with its figures put in: they stand in braces, by key."""
    return text.format(**{key: figure_text(f, unit) for key, f in operation.figures.items()})


def sentence_text(operation: Operation, unit: LengthUnit) -> str:
    """The sentence of a step with its figures put in."""
    return _filled(operation.sentence, operation, unit)


def notes_text(operation: Operation, unit: LengthUnit) -> list[str]:
    """The notes of a step with their figures put in."""
    return [_filled(note, operation, unit) for note in operation.notes]


def headline_text(operation: Operation, unit: LengthUnit) -> str:
    """The one key figure of a step, for print."""
    if not operation.headline:
        return operation.figure_words
    return f"{operation.figure_words} {figure_text(operation.figures[operation.headline], unit)}".strip()
