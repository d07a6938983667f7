"""The bench screen as plain dictionaries."""

from __future__ import annotations

from lathework.bench.bench import Bench, steps_of
from lathework.bench.progress import Progress
from lathework.cutting.next_cut import NextCut
from lathework.drawing.part.layout import SMALL
from lathework.drawing.part.view import part_sheet
from lathework.gauging.wires import MEANINGS
from lathework.present.plans import operation_json
from lathework.present.sheets import sheet_json
from lathework.present.values import Json, caution_json, figure_json, length_shown


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
        "then": cut.then,
    }


def _reading_rows(now: Bench) -> list[Json]:
    rows: list[Json] = []
    before: float | None = None
    for made in now.readings:
        rows.append(
            {
                "reading": length_shown(made.value_mm),
                "dialled": length_shown(made.dialled_mm) if made.dialled_mm else None,
                "came_off": length_shown(before - made.value_mm) if before is not None else None,
            }
        )
        before = made.value_mm
    return rows


def _parts(whole: Progress) -> list[Json]:
    return [
        {
            "id": part.plan.job.part.id,
            "name": name,
            "good": part.good,
            "quantity": part.plan.job.quantity,
        }
        for name, part in zip(whole.benches[0].plan.job.part_names, whole.benches, strict=True)
    ]


def bench_json(whole: Progress) -> Json:
    """The bench screen: the part and piece in hand, the step, what to do and what was read."""
    now = whole.bench
    advice = now.advice
    return {
        "part": whole.number,
        "parts": _parts(whole),
        "piece": now.piece,
        "good": now.good,
        "scrapped": now.scrapped,
        "quantity": now.plan.job.quantity,
        "finished": whole.finished,
        "gauged_pieces": whole.gauged_pieces,
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
        "opened_eighths": whole.opened_eighths,
        "unread": [caution_json(caution) for caution in now.unread],
        "zero": now.zero,
        "outdated": {"in": now.outdated.inch, "mm": now.outdated.mm} if now.outdated else None,
        "drawing": sheet_json(part_sheet(now.plan, SMALL, now.step.chucking if now.step else 1)),
    }
