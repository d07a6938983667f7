"""A plan with its drawing, as plain dictionaries and as sentences for print."""

from __future__ import annotations

from lathework.cutting.blank import SCHOOL_NAMES
from lathework.drawing.part.layout import WIDE
from lathework.drawing.part.view import part_sheet
from lathework.part.model import Part
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.present.sheets import sheet_json
from lathework.present.threads import thread_json
from lathework.present.values import (
    Json,
    caution_json,
    figure_json,
    figure_text,
    kept_figure_json,
    length_shown,
    shown,
)
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


def operation_json(operation: Operation) -> Json:
    """A step with its figures."""
    return {
        "key": operation.key,
        "title": operation.title,
        "sentence": operation.sentence,
        "headline": operation.headline,
        "headline_words": operation.figure_words,
        "figures": [{"key": key, "figure": kept_figure_json(f)} for key, f in operation.figures.items()],
        "tool": operation.tool,
        "edge": operation.edge,
        "cautions": [caution_json(c) for c in operation.cautions],
        "notes": list(operation.notes),
        "measure": operation.measure,
        "chucking": operation.chucking,
        "passes": [{"name": cut.name, "shown": shown(cut.value, cut.unit, fine=cut.fine)} for cut in operation.passes],
        "passes_end": operation.passes_end,
        "zero": operation.zero,
    }


def _drawings(plan: Plan, end: int | None) -> list[Json | None]:
    """A drawing of each chucking; where `end` says which one is looked at, of that one alone."""
    seen = None if end is None else min(end, len(plan.chuckings))
    return [
        sheet_json(part_sheet(plan, WIDE, chucking.number)) if seen in (None, chucking.number) else None
        for chucking in plan.chuckings
    ]


def _rest(part: Part) -> Json | None:
    """The section that takes what the others leave, and how long it comes out."""
    rest = part.rest
    return None if rest is None else {"section": rest.id, "length": length_shown(rest.length.mm, fine=False)}


def plan_json(plan: Plan, end: int | None = None) -> Json:
    """A plan with its drawings: of every chucking, or only of number `end` (from 1), as a keystroke asks."""
    return {
        "thread": thread_json(plan.job.part.thread),
        "overall": length_shown(plan.job.part.overall_mm, fine=False),
        "quantity": plan.job.quantity,
        "unit": plan.job.unit,
        "operations": [operation_json(o) for o in plan.operations],
        "blanks": [
            {
                "school": b.school,
                "name": SCHOOL_NAMES[b.school],
                "figure": kept_figure_json(b.diameter),
                "within_class": b.within_class,
                "verdict": b.verdict,
            }
            for b in (plan.work.main.blanks if plan.work.main else ())
        ],
        "batch": [figure_json(figure) for figure in plan.batch],
        "notices": [{"code": n.code, "field": n.field, "text": n.text} for n in plan.notices],
        "cautions": [caution_json(c) for c in plan.cautions],
        "asks": list(plan.asks),
        "rest": _rest(plan.job.part),
        "holdings": [chucking.words for chucking in plan.chuckings],
        "drawings": _drawings(plan, end),
    }
