"""The tool as a readout sees it: how far it is to go in the step in hand, signed, warned of before it is too far."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from lathework.instruments.sample import Sample
from lathework.planning.operation import Operation
from lathework.shop.lathe_facts import Readout
from lathework.units import convert

NEAR_MM, PAST_MM = 1.0, 0.02
"""How near to the end of a cut one is warned, and how far past it is past (practice)."""
Warned = Literal["", "near", "past"]
WARNINGS: dict[Warned, str] = {"": "", "near": "nearly there", "past": "past the target"}
"""What is said with each."""
_PLACES = ("stop", "position")


@dataclass(frozen=True, slots=True)
class ToGo:
    """What is left on one axis, in millimetres: above 0 while there is metal to go; and whether that is a warning."""

    left_mm: float
    warned: Warned


def _warned(left_mm: float) -> Warned:
    return "past" if left_mm < -PAST_MM else "near" if left_mm <= NEAR_MM else ""


def _z_mm(step: Operation, readout: Readout) -> float | None:
    """Where the touched edge stands at the end of the cut, 0 at the face and below 0 toward the chuck."""
    found = next((step.figures[key] for key in _PLACES if key in step.figures), None)
    if found is None:
        return None
    place = convert(found.value, "in" if found.unit == "in" else "mm", "mm")
    return place if readout == "readout" else -place


def to_go_along(step: Operation, sample: Sample, readout: Readout) -> ToGo | None:
    """How far the tool is from the end of its cut along the bed; None where the step names no place."""
    end = _z_mm(step, readout)
    if end is None or "z" not in sample.axes:
        return None
    left = sample.axes["z"] - end
    return ToGo(left, _warned(left))


def to_go_across(step: Operation, sample: Sample) -> ToGo | None:
    """How far the tool is from the diameter it is to cut; None where it cuts to none. A bore is opened from inside."""
    dimension = step.dimensions[0] if step.dimensions and step.dimensions[0].move == "cross-slide" else None
    if dimension is None or "x" not in sample.axes:
        return None
    aim = dimension.target.aim_mm
    left = aim - sample.axes["x"] if dimension.grows else sample.axes["x"] - aim
    return ToGo(left, _warned(left))
