"""What the hand makes that goes by a step's figures alone: where it stops, what it dials, to which diameter.

The bands that acts carry are what the drawing shades and the run believes; these are read off the figures that a person
sets, with the rules of a blade's edge and of a slide's dial written anew.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.planning.operation import Operation
from lathework.planning.plan import Plan

HAIR = 0.015
"""Millimetres: figures of inches and of millimetres are rounded to their own digits."""


@dataclass
class Made:
    """From `near` to `far` behind the face, down to `inner` (millimetres); None where no figure says so."""

    near: float | None = None
    far: float | None = None
    inner: float | None = None
    outer: float | None = None


def mm(operation: Operation, name: str) -> float:
    """A figure of a step in millimetres."""
    figure = operation.figures[name]
    return figure.value * (25.4 if figure.unit == "in" else 1.0)


def _slot(operation: Operation, plan: Plan, which: str) -> tuple[float, float]:
    """Near and far side of the slot of a blade whose edge, the one that was touched off, stands at `position`."""
    setup = plan.job.setup
    wide = setup.parting_blade.mm if which == "parting" else setup.groove_blade.mm
    edge = setup.parting_edge if which == "parting" else setup.groove_edge
    at = -mm(operation, "position")
    return (at - wide, at) if edge == "left" else (at, at + wide)


def _radial(plan: Plan, dialled: float) -> float:
    """What a movement told by the cross slide's dial takes off the diameter."""
    return dialled if plan.job.setup.dial == "diameter" else 2 * dialled


def made_by_hand(operation: Operation, plan: Plan) -> Made | None:
    """What a step makes by its figures; None for one whose figures place nothing."""
    kind, has = operation.key.partition(":")[0], operation.figures
    if kind == "turn":
        return Made(0.0, -mm(operation, "stop"), mm(operation, "diameter") if "diameter" in has else None)
    if kind == "neck":
        if "from" not in has:
            # Too short for a turning tool: it is plunged as a groove is.
            near, far = _slot(operation, plan, "grooving")
            near -= mm(operation, "last") - mm(operation, "position") if "last" in has else 0.0
            return Made(near, far, mm(operation, "diameter"))
        return Made(-mm(operation, "from"), -mm(operation, "stop"), mm(operation, "diameter"))
    if kind in ("groove", "start-groove"):
        near, far = _slot(operation, plan, "grooving")
        if "last" in has:
            near -= mm(operation, "last") - mm(operation, "position")
        start = mm(operation, "diameter") + _radial(plan, mm(operation, "dial"))
        return Made(near, far, mm(operation, "diameter"), start)
    if kind == "part-begin":
        near, far = _slot(operation, plan, "parting")
        return Made(near, far, mm(operation, "left"), mm(operation, "left") + _radial(plan, mm(operation, "dial")))
    if kind == "part-off":
        near, far = _slot(operation, plan, "parting")
        return Made(near, far)
    if kind == "chamfer":
        start = -mm(operation, "position") if "position" in has else 0.0
        small, long = mm(operation, "diameter"), mm(operation, "length")
        return Made(start, start + long, small, small + 2 * long)
    if kind == "flats":
        cut = operation.cut
        start = cut.outer_mm if cut is not None else 0.0
        return Made(
            None, None, start - 2 * mm(operation, "depth"), mm(operation, "across") + 2 * mm(operation, "depth")
        )
    if kind in ("drill", "pilot") and operation.cut is not None:
        # A drill that comes through is drawn as far as the part goes.
        deep = min(mm(operation, "depth"), plan.job.part.overall_mm) if kind == "pilot" else None
        return Made(0.0, deep, 0.0, mm(operation, kind) if kind in has else None)
    if kind == "taper" and "small" in has:
        start = -mm(operation, "position") if "position" in has else 0.0
        small, long = mm(operation, "small"), mm(operation, "length")
        grows = 2 * long * math.tan(math.radians(has["angle"].value))
        return Made(start, start + long, small, small + grows)
    return None


def differs(operation: Operation, plan: Plan) -> str:
    """How what the figures make differs from the band that the act takes; "" where it does not, or no figure says."""
    hand, cut = made_by_hand(operation, plan), operation.cut
    if hand is None or cut is None:
        return ""
    pairs = {
        "near": (hand.near, cut.right_mm),
        "far": (hand.far, cut.left_mm),
        "inner": (hand.inner, cut.inner_mm),
        "outer": (hand.outer, cut.outer_mm),
    }
    known = {name: (own, band) for name, (own, band) in pairs.items() if own is not None}
    wrong = [f"{name} {own:.3f}, not {band:.3f}" for name, (own, band) in known.items() if abs(own - band) > HAIR]
    return f"{operation.key}: {'; '.join(wrong)}" if wrong else ""
