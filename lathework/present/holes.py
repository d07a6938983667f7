"""A tapped hole as plain dictionaries."""

from __future__ import annotations

from lathework.hole import Hole
from lathework.present.sheets import sheet_json
from lathework.present.values import Json, figure_json
from lathework.rules.holes import Choice


def _choice(choice: Choice) -> Json:
    return {
        "name": choice.drill.name,
        "hole": figure_json(choice.hole),
        "percent": figure_json(choice.percent),
        "fit": choice.fit,
        "torque_percent": round(100 * choice.torque_share),
    }


def hole_json(found: Hole) -> Json:
    """The hole with the working of every figure."""
    return {
        "designation": found.size.thread.designation,
        "class_name": found.size.internal.class_name if found.size.internal else "",
        "percent": found.percent,
        "pick": _choice(found.pick) if found.pick else None,
        "beside": [_choice(choice) for choice in found.beside],
        "words": found.words,
        "bore": figure_json(found.bore),
        "countersink": figure_json(found.countersink),
        "form": figure_json(found.form) if found.form else None,
        "weaker": found.strip.weaker,
        "strength": [figure_json(f) for f in (found.strip.engagement, found.strip.external, found.strip.internal)],
        "margin": figure_json(found.margin) if found.margin else None,
        "depths": [figure_json(depth) for depth in found.depths],
        "warnings": list(found.warnings),
        "chart": sheet_json(found.chart),
    }


def drills_json(found: Hole) -> Json:
    """The hole in numbers, lengths in the thread's own unit: the command line's contract."""
    return {
        "percent_wanted": found.percent,
        "pick": found.pick.drill.name if found.pick else None,
        "words": found.words,
        "drills": [
            {
                "name": c.drill.name,
                "probable_hole": round(c.hole.value, 4),
                "percent": round(c.percent.value, 1),
                "fit": c.fit,
                "torque_percent": round(100 * c.torque_share),
            }
            for c in found.beside
        ],
        "bore": round(found.bore.value, 4),
    }
