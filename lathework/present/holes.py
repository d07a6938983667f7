"""A tapped hole as plain dictionaries."""

from __future__ import annotations

from lathework.answers.hole import Hole
from lathework.answers.pipe_hole import PipeHole
from lathework.holes.drill_choice import DrillChoice
from lathework.holes.mending import Mend
from lathework.holes.thin_metal import ThinMetal
from lathework.job.repair import StudRepair
from lathework.present.sheets import sheet_json
from lathework.present.values import Json, figure_json


def _choice(choice: DrillChoice) -> Json:
    return {
        "name": choice.drill.name,
        "hole": figure_json(choice.hole),
        "percent": figure_json(choice.percent),
        "fit": choice.fit,
        "torque_percent": round(100 * choice.torque_share),
    }


def _thin(thin: ThinMetal) -> Json:
    return {"turns": figure_json(thin.turns), "holds": figure_json(thin.holds), "advice": list(thin.advice)}


def _mend(mend: Mend) -> Json:
    return {
        "code": mend.code,
        "name": mend.name,
        "tapped": mend.tapped,
        "major": figure_json(mend.major),
        "drill": mend.drill.name if mend.drill else "",
        "needs": figure_json(mend.needs),
        "screw": mend.screw,
        "remark": mend.remark,
    }


def pipe_hole_json(found: PipeHole) -> Json:
    """A taper hole with the working of every figure."""
    hole = found.hole
    return {
        "designation": found.thread.designation,
        "reamed": hole.reamed.name if hole.reamed else "",
        "plain": hole.plain.name if hole.plain else "",
        "figures": [figure_json(f) for f in (hole.ream_to, hole.deep, hole.depth, hole.gauge, hole.give, hole.turns)],
        "warning": found.warning,
    }


def pipe_drills_json(found: PipeHole) -> Json:
    """The taper hole in numbers, lengths in the thread's own unit: the command line's contract."""
    hole = found.hole
    return {
        "reamed": hole.reamed.name if hole.reamed else None,
        "plain": hole.plain.name if hole.plain else None,
        "mouth": round(hole.mouth.value, 4),
        "gauge_length": round(hole.gauge.value, 4),
        "give": round(hole.give.value, 4),
        "warning": found.warning,
    }


def repair_json(found: StudRepair) -> Json:
    """A stud repair: its figures, and the document of its job."""
    return {
        "designation": found.thread.designation,
        "figures": [figure_json(figure) for figure in found.figures],
        "document": found.document,
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
        "strength": [
            figure_json(f)
            for f in (found.strip.engagement, found.strip.breaks, found.strip.external, found.strip.internal)
        ],
        "margin": figure_json(found.margin) if found.margin else None,
        "depths": [figure_json(depth) for depth in found.depths],
        "thin": _thin(found.thin) if found.thin else None,
        "mends": [_mend(mend) for mend in found.mends],
        "warnings": list(found.warnings),
        "trade": found.trade,
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
