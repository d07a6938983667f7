"""Results as plain dictionaries: every figure told in both units, ready to show. No rule is computed here."""

from __future__ import annotations

from typing import Any

from lathework.drawing.layout import SMALL, WIDE
from lathework.drawing.part_view import part_sheet
from lathework.drawing.shapes import Sheet
from lathework.drawing.svg import path_data
from lathework.errors import InputError
from lathework.figures import Answer, Figure, Given
from lathework.planning.bench import Bench, steps_of
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.rules.blank import SCHOOL_NAMES, BlankChoice
from lathework.rules.cautions import Caution
from lathework.rules.gauging import MEANINGS
from lathework.rules.turning import NextCut
from lathework.size import Size
from lathework.threads.limits.bands import Band, ExternalLimits, InternalLimits
from lathework.threads.taper import TaperLengths
from lathework.threads.thread import Thread
from lathework.threads.working import basic_figures
from lathework.units import LENGTH_UNITS, MM_PER_INCH, LengthUnit, round_half_up, show_length, show_number

Json = dict[str, Any]
_LENGTHS: dict[str, LengthUnit] = {"in": "in", "mm": "mm"}
_AREA_PLACES = {"in": 4, "mm": 2}


def _told(value: float, unit: str, into: LengthUnit, *, fine: bool, places: int) -> tuple[str, str]:
    """A value as text and unit, with lengths and areas converted into the wanted unit."""
    length = _LENGTHS.get(unit)
    if length is not None:
        return show_length(value, length, into, fine=fine), into
    if unit in ("in²", "mm²"):
        factor = 1.0 if unit.startswith(into) else MM_PER_INCH**2 if into == "mm" else MM_PER_INCH**-2
        return show_number(value * factor, _AREA_PLACES[into]), f"{into}²"
    return show_number(value, places), unit


def _both(value: float, unit: str, *, fine: bool = True, places: int = 0) -> Json:
    out: Json = {}
    for into in LENGTH_UNITS:
        text, shown = _told(value, unit, into, fine=fine, places=places)
        out[into] = {"text": text, "unit": shown}
    return out


def _given(given: Given) -> Json:
    length = _LENGTHS.get(given.unit)
    if length is not None:
        return {
            "name": given.name,
            "in": show_length(given.value, length, "in") + " in",
            "mm": show_length(given.value, length, "mm") + " mm",
        }
    text = f"{given.value:.6g} {given.unit}".strip()
    return {"name": given.name, "in": text, "mm": text}


def _answer(answer: Answer) -> Json:
    return {"school": answer.school, "shown": _both(answer.value, answer.unit), "remark": answer.remark}


def figure_json(figure: Figure) -> Json:
    """A figure with its working, shown in both units."""
    return {
        "name": figure.name,
        "value": figure.value,
        "unit": figure.unit,
        "shown": _both(figure.value, figure.unit, fine=figure.fine, places=figure.places),
        "formula": figure.formula,
        "inputs": [_given(g) for g in figure.inputs],
        "source": {"kind": figure.source.kind, "title": figure.source.title},
        "others": [_answer(a) for a in figure.others],
        "note": figure.note,
    }


def figure_text(figure: Figure, unit: LengthUnit) -> str:
    """A figure for print: text and unit."""
    text, shown = _told(figure.value, figure.unit, unit, fine=figure.fine, places=figure.places)
    return f"{text} {shown}".strip()


def sentence_text(operation: Operation, unit: LengthUnit) -> str:
    """The sentence of a step with its figures put in.

    Figures stand in braces in the sentence, by key.
    """
    return operation.sentence.format(**{key: figure_text(f, unit) for key, f in operation.figures.items()})


def headline_text(operation: Operation, unit: LengthUnit) -> str:
    """The one key figure of a step, for print."""
    if not operation.headline:
        return operation.figure_words
    return f"{operation.figure_words} {figure_text(operation.figures[operation.headline], unit)}".strip()


def error_json(error: InputError) -> Json:
    """An input error as code, field, message and choices."""
    return {"code": error.code, "field": error.field, "message": error.message, "choices": list(error.choices)}


def _caution(caution: Caution) -> Json:
    return {"code": caution.code, "do": caution.do, "why": caution.why}


def thread_json(thread: Thread) -> Json:
    """The basic sizes of a thread, in its own unit."""
    return {
        "designation": thread.designation,
        "family": thread.family,
        "series": thread.series,
        "angle_deg": thread.form.angle_deg,
        "unit": thread.unit,
        "tpi": thread.tpi,
        "pitch": thread.pitch,
        "basic": {"major": thread.major, "pitch_diameter": thread.pitch_diameter, "minor": thread.minor},
        "special": thread.special,
        "hand": thread.hand,
        "starts": thread.starts,
        "lead": thread.lead,
        "taper": thread.taper,
        "notes": list(thread.notes),
        "source": {"kind": thread.source.kind, "title": thread.source.title},
    }


def _places(value: float, unit: str) -> float:
    return round_half_up(value, 5 if unit == "in" else 4)


def _blank_numbers(choice: BlankChoice) -> Json:
    return {
        "school": choice.school,
        "diameter": choice.diameter.value,
        "crest_percent": round(choice.crest_percent.value, 1),
        "within_class": choice.within_class,
        "verdict": choice.verdict,
        "source": choice.diameter.source.kind,
    }


def _limits(band: Band) -> list[float]:
    return [band.minimum, band.maximum]


def _external(limits: ExternalLimits | None) -> Json | None:
    if limits is None:
        return None
    return {
        "class": limits.class_name,
        "major": _limits(limits.major),
        "pitch_diameter": _limits(limits.pitch_diameter),
        "minor_max": limits.minor_max.value,
        "notes": list(limits.notes),
    }


def _internal(limits: InternalLimits | None) -> Json | None:
    if limits is None:
        return None
    return {
        "class": limits.class_name,
        "minor": _limits(limits.minor),
        "pitch_diameter": _limits(limits.pitch_diameter),
        "major_min": limits.major_min.value,
        "notes": list(limits.notes),
    }


def _taper(lengths: TaperLengths | None) -> Json | None:
    if lengths is None:
        return None
    return {
        "gauge_length": lengths.gauge_length.value,
        "gauge_tolerance": lengths.gauge_tolerance.value if lengths.gauge_tolerance else None,
        "useful_length": lengths.useful_length.value,
    }


def size_json(size: Size) -> Json:
    """The size answer in numbers: the command line's contract. Lengths in the thread's own unit."""
    unit = size.thread.unit
    groove, over = size.groove, size.over_wires
    return thread_json(size.thread) | {
        "blank": [_blank_numbers(b) for b in size.blanks],
        "tapping_drills": [
            {
                "name": d.drill.name,
                "diameter": _places(d.diameter, unit),
                "percent": round(d.percent, 1),
                "convention": d.convention,
            }
            for d in size.drills
        ],
        "groove": {"diameter": groove.diameter.value, "width": _places(groove.width.value, unit)} if groove else None,
        "chamfer": {"diameter": size.chamfer.value} if size.chamfer else None,
        "wires": {
            "best": _places(size.wire.value, unit),
            "over_wires": [_places(figure.value, unit) for figure in over] if over else None,
        },
        "stress_area": round(size.stress_area.value, 5) if size.stress_area else None,
        "external": _external(size.external),
        "internal": _internal(size.internal),
        "taper_lengths": _taper(size.taper),
    }


def size_shown(size: Size) -> Json:
    """The size answer for a screen: the numbers, and the figures with their working."""
    return size_json(size) | {
        "figures": {
            "basic": [figure_json(f) for f in basic_figures(size.thread)],
            "blank": [
                {"school": SCHOOL_NAMES[b.school], "figure": figure_json(b.diameter), "within_class": b.within_class}
                for b in size.blanks
            ],
            "groove": [figure_json(size.groove.diameter), figure_json(size.groove.width)] if size.groove else [],
            "chamfer": figure_json(size.chamfer) if size.chamfer else None,
            "wire": figure_json(size.wire),
        },
    }


def sheet_json(sheet: Sheet) -> Json:
    """A sheet as path data and labels."""
    return {
        "width": sheet.width,
        "height": sheet.height,
        "title": sheet.title,
        "paths": [{"role": p.role, "d": path_data(p.lines, closed=p.closed), "step": p.step} for p in sheet.paths],
        "labels": [
            {
                "x": round(v.x, 1),
                "y": round(v.y, 1),
                "in": v.inch,
                "mm": v.mm,
                "anchor": v.anchor,
                "field": v.field,
                "step": v.step,
            }
            for v in sheet.labels
        ],
    }


def operation_json(operation: Operation) -> Json:
    """A step with its figures."""
    return {
        "key": operation.key,
        "title": operation.title,
        "sentence": operation.sentence,
        "headline": operation.headline,
        "headline_words": operation.figure_words,
        "figures": [{"key": key, "figure": figure_json(f)} for key, f in operation.figures.items()],
        "tool": operation.tool,
        "edge": operation.edge,
        "cautions": [_caution(c) for c in operation.cautions],
        "notes": list(operation.notes),
        "measure": operation.measure,
    }


def plan_json(plan: Plan) -> Json:
    """A plan with its drawing."""
    return {
        "thread": thread_json(plan.job.part.thread),
        "quantity": plan.job.quantity,
        "unit": plan.job.unit,
        "operations": [operation_json(o) for o in plan.operations],
        "blanks": [
            {
                "school": b.school,
                "name": SCHOOL_NAMES[b.school],
                "figure": figure_json(b.diameter),
                "within_class": b.within_class,
                "verdict": b.verdict,
            }
            for b in plan.work.blanks
        ],
        "notices": [{"code": n.code, "field": n.field, "text": n.text} for n in plan.notices],
        "cautions": [_caution(c) for c in plan.cautions],
        "drawing": sheet_json(part_sheet(plan, WIDE)),
    }


def _cut_json(cut: NextCut | None) -> Json | None:
    if cut is None:
        return None
    return {
        "state": cut.state,
        "dial": figure_json(cut.dial) if cut.dial else None,
        "left": figure_json(cut.left),
        "ratio": figure_json(cut.ratio),
        "expect": figure_json(cut.expect) if cut.expect else None,
        "give_or_take": figure_json(cut.give_or_take) if cut.give_or_take else None,
    }


def _reading_rows(now: Bench) -> list[Json]:
    rows: list[Json] = []
    before: float | None = None
    for entry in now.readings:
        if entry.value_mm is None:
            continue
        rows.append(
            {
                "reading": length_shown(entry.value_mm),
                "dialled": length_shown(entry.dialled_mm) if entry.dialled_mm else None,
                "came_off": length_shown(before - entry.value_mm) if before is not None else None,
            }
        )
        before = entry.value_mm
    return rows


def bench_json(now: Bench) -> Json:
    """The bench screen: the piece, the step, what to do and what was read."""
    advice = now.advice
    return {
        "piece": now.piece,
        "good": now.good,
        "scrapped": now.scrapped,
        "quantity": now.plan.job.quantity,
        "finished": now.finished,
        "gauged_pieces": now.gauged_pieces,
        "steps": [{"key": o.key, "title": o.title, "state": state} for o, state in steps_of(now)],
        "step": operation_json(now.step) if now.step else None,
        "cut": _cut_json(now.cut),
        "readings": _reading_rows(now),
        "hindrance": now.hindrance,
        "verdict": {"code": now.verdict, "words": MEANINGS[now.verdict].words, "passes": MEANINGS[now.verdict].passes}
        if now.verdict
        else None,
        "adjusted": now.adjusted,
        "advice": {
            "move": advice.move,
            "order": advice.order,
            "recut": advice.recut,
            "eighths": figure_json(advice.eighths) if advice.eighths else None,
        }
        if advice
        else None,
        "opened_eighths": now.opened_eighths,
        "drawing": sheet_json(part_sheet(now.plan, SMALL)),
    }


def length_shown(mm: float) -> Json:
    """A diameter of `mm` millimetres, shown in both units."""
    return _both(mm, "mm")
