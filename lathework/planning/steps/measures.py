"""The sizes that steps make and a person can measure, each with the band that counts as on size."""

from __future__ import annotations

from lathework.cutting.dimension import Dimension, Target
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.fits.fit import Limits
from lathework.part.bores import BoreWork
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread
from lathework.units import convert

PLAIN_TOLERANCE_MM = 0.05
"""Band about a plain diameter that counts as on size (practice)."""
SHOULDER_MM = 0.1
"""Band about a length or a shoulder where nobody asked for closer (practice)."""
ROUGH_MM, ROUGH_SHARE = 0.5, 0.02
"""How far a length may be off that is said to be only about so long: this, or a share of it (practice)."""
WIDER_MM, DEEPER_MM, BOTTOM_SHARE = 0.5, 1.0, 0.5
"""How much wider a groove, and how much deeper a blind hole, may come out, and that at most this share of the metal
under it (practice)."""
OVER_DRILL_MM = 0.2
"""How much over its drill a plain hole may come out (practice)."""
CHAMFER_SHARE, MOUTH_SHARE, CHAMFER_MM = 0.25, 0.1, 0.1
"""How far a chamfer or the mouth of a hole may be off: a share of itself, or this (practice)."""
RUNS_OUT_MM = 0.05
"""Whole swing of the needle that is let pass on work held again (practice)."""
FACED_AT_ONCE_MM, MILLED_AT_ONCE_MM, BORED_SHARE = 1.0, 1.0, 0.5
"""Most that is faced or milled at once, and what a boring bar takes of what the tool outside does (practice)."""
LEAST_ROUGH = 0.8
"""Share of a bore that it is drilled to first, where nobody says by which drill (practice)."""
ROD, OVER_BOTH = "depth rod of the caliper", "caliper over both ends"
DOWN = "scale of the tailstock, or a thin rod down the hole"
THIN_JAWS, INSIDE = "thin jaws of the caliper", "inside jaws of the caliper, or a telescoping gauge"
GAUGED = "telescoping gauge and micrometer, with the work cold; then the mating part"
POINTS = "inside points of the caliper"
PIN, PIN_UP_TO_MM = "a pin or a drill shank that just enters", 8.0
"""What a small hole is measured with, and up to what diameter (practice)."""


def about(aim_mm: float, within_mm: float) -> Target:
    """A band of `within_mm` to either side of an aim, in millimetres."""
    return Target(aim_mm - within_mm, aim_mm, aim_mm + within_mm)


def shoulder(end_mm: float, *, roughly: bool = False) -> Dimension:
    """The length of a turned step, from the face to its shoulder (`end_mm` millimetres); one that is only about so long
    may be off by more."""
    band = about(end_mm, rough_mm(end_mm) if roughly else SHOULDER_MM)
    return Dimension("length", "face to shoulder", band, 0.0, FACED_AT_ONCE_MM, "carriage", ROD, grows=True)


def rough_mm(length_mm: float) -> float:
    """How far a length may be off that is only about so long (both millimetres). Source: practice."""
    return max(ROUGH_MM, ROUGH_SHARE * length_mm)


def overall(length_mm: float, start_mm: float, *, high_mm: float | None = None) -> Dimension:
    """The length of the piece; one that is faced later may be up to `high_mm` (millimetres)."""
    band = about(length_mm, SHOULDER_MM)
    band = band if high_mm is None else Target(band.low_mm, length_mm, high_mm)
    return Dimension("length", "length of the piece", band, start_mm, FACED_AT_ONCE_MM, "carriage", OVER_BOTH)


def plunged(name: str, aim_mm: float, start_mm: float, *, high_mm: float | None = None) -> Dimension:
    """The diameter at the bottom of a groove or a neck, at most `high_mm` (millimetres)."""
    band = about(aim_mm, PLAIN_TOLERANCE_MM)
    if high_mm is not None:
        band = Target(min(band.low_mm, 2 * aim_mm - high_mm), aim_mm, high_mm)
    return Dimension("diameter", name, band, start_mm, start_mm, "cross-slide", THIN_JAWS)


def far_end(target: Target, start_mm: float) -> Dimension:
    """The diameter of a long fit at its far end: with the one at its near end it tells how it tapers. It begins at
    `start_mm` (millimetres)."""
    how = "micrometer at the far end, with the work cold"
    return Dimension("far-end", "diameter at its far end", target, start_mm, start_mm, "none", how)


def necked(aim_mm: float, start_mm: float, limits: Limits | None, most_mm: float) -> Dimension:
    """The diameter of a neck that is turned along, within the `limits` of its fit where it has one; at most `most_mm`
    (millimetres) are taken at once."""
    band = about(aim_mm, PLAIN_TOLERANCE_MM) if limits is None else Target(limits.low_mm, aim_mm, limits.high_mm)
    how = "micrometer, with the work cold" if limits is not None else THIN_JAWS
    return Dimension("diameter", "diameter", band, start_mm, most_mm, "cross-slide", how, leaves_mm=FINISH_MM)


def wide(aim_mm: float, blade_mm: float) -> Dimension:
    """The width of a groove or a neck, begun with a blade of that width (both millimetres)."""
    band = Target(aim_mm - SHOULDER_MM, aim_mm, aim_mm + WIDER_MM)
    return Dimension("width", "width as cut", band, min(blade_mm, aim_mm), blade_mm, "carriage", POINTS, grows=True)


def relief(thread_work: ThreadWork, deep_mm: float) -> Dimension:
    """The diameter of a relief groove: never over the root of the thread, or the die cuts metal in the groove."""
    return plunged("groove diameter", deep_mm, thread_work.blank_mm, high_mm=thread_work.thread.root_mm)


def lead(thread_work: ThreadWork, small_mm: float) -> Dimension:
    """The end of a lead chamfer: about the minor diameter, or a little under."""
    band = Target(small_mm - thread_work.thread.pitch_mm / 2, small_mm, small_mm + CHAMFER_MM)
    start = in_mm(thread_work.at_end)
    return Dimension("chamfer", "end of the chamfer", band, start, start, "cross-slide", "caliper across the end")


def broken(size_mm: float) -> Dimension:
    """The size of a chamfered edge, each way."""
    band = about(size_mm, max(CHAMFER_MM, CHAMFER_SHARE * size_mm))
    how = "a rule, or half the difference of the diameters"
    return Dimension("chamfer", "chamfer, each way", band, 0.0, size_mm, "carriage", how, grows=True)


def _minor(bore_work: BoreWork) -> tuple[float, float] | None:
    """Least and greatest minor diameter of a thread inside, in millimetres; None for a plain or a taper one."""
    bore = bore_work.bore
    thread = bore.thread
    limits = internal_limits(thread, bore.class_name) if thread is not None and bore_work.taper is None else None
    if thread is None or limits is None or bore.cutter.forms:
        return None
    return convert(limits.minor.minimum, thread.unit, "mm"), convert(limits.minor.maximum, thread.unit, "mm")


def drilled(bore_work: BoreWork) -> Dimension:
    """The diameter of a hole as drilled: up to what its class allows the minor diameter, never smaller than it is."""
    size, minor = bore_work.drill_mm, _minor(bore_work)
    over = OVER_DRILL_MM / 2 if bore_work.bore.thread is not None else OVER_DRILL_MM
    high = max(size + over, minor[1] if minor else 0.0)
    band, how = Target(size - PLAIN_TOLERANCE_MM, size, high), PIN if size <= PIN_UP_TO_MM else INSIDE
    return Dimension("bore", "hole as drilled", band, 0.0, size, "none", how, grows=True)


def bored(bore_work: BoreWork, *, rough_mm: float | None, most_mm: float) -> Dimension:
    """The diameter of a bored hole, from the drill before it; cuts outside may be `most_mm` (all millimetres)."""
    size, minor = bore_work.drill_mm, _minor(bore_work)
    if bore_work.limits is not None:
        fitted = Target(bore_work.limits.low_mm, size, bore_work.limits.high_mm)
        return _bored(fitted, rough_mm, most_mm, GAUGED)
    low, high = minor or (size - PLAIN_TOLERANCE_MM, size + PLAIN_TOLERANCE_MM)
    band = Target(min(low, size - PLAIN_TOLERANCE_MM / 2), size, max(high, size + PLAIN_TOLERANCE_MM / 2))
    return _bored(band, rough_mm, most_mm, INSIDE)


def _bored(band: Target, rough_mm: float | None, most_mm: float, how: str) -> Dimension:
    """A bore with its band, from the drill before it."""
    start = rough_mm if rough_mm is not None else LEAST_ROUGH * band.aim_mm
    most = max(BORED_SHARE * most_mm, FINISH_MM)
    return Dimension("bore", "bore", band, start, most, "cross-slide", how, grows=True, leaves_mm=FINISH_MM)


def deep(depth_mm: float, *, under_mm: float) -> Dimension:
    """The depth of a blind hole, to the point of the drill, with so much metal under it (millimetres)."""
    deeper = max(0.0, min(DEEPER_MM, BOTTOM_SHARE * under_mm))
    band = Target(depth_mm - SHOULDER_MM, depth_mm, depth_mm + deeper)
    return Dimension("depth", "depth to the point", band, 0.0, depth_mm, "feed", DOWN, grows=True)


def mouth(across_mm: float, thread: Thread) -> Dimension:
    """How far across a countersink is at the face: never under the major diameter of the `thread`. How far it is fed
    for that, its angle tells and nobody said."""
    band = Target(thread.major_mm, across_mm, across_mm + max(CHAMFER_MM, MOUTH_SHARE * across_mm))
    return Dimension("mouth", "across the mouth", band, 0.0, across_mm, "none", "caliper across the mouth", grows=True)


def flats(across_mm: float, round_mm: float) -> tuple[Dimension, Dimension]:
    """Over the first flat, from the side opposite; and across two of them: half of what is left comes off each."""
    over = (across_mm + round_mm) / 2
    return (
        Dimension(
            "over-flat",
            "first flat to the side opposite",
            about(over, PLAIN_TOLERANCE_MM),
            round_mm,
            MILLED_AT_ONCE_MM,
            "down",
            "caliper or micrometer",
        ),
        Dimension(
            "across-flats",
            "across the flats",
            Target(across_mm - 2 * PLAIN_TOLERANCE_MM, across_mm, across_mm + PLAIN_TOLERANCE_MM / 2),
            round_mm,
            2 * MILLED_AT_ONCE_MM,
            "each-face",
            "caliper or micrometer",
        ),
    )


def keyway(left_mm: float, across_mm: float) -> Dimension:
    """From the bottom of a keyway to the side opposite, in a shaft so wide (millimetres): hardly over it."""
    band = Target(left_mm - SHOULDER_MM, left_mm, left_mm + PLAIN_TOLERANCE_MM / 2)
    how = "micrometer over the key, or its depth by the caliper"
    return Dimension("over-flat", "bottom to the side opposite", band, across_mm, MILLED_AT_ONCE_MM, "down", how)


def run_out() -> Dimension:
    """How far work that was held again runs out: the whole swing of the needle, half of it off centre."""
    band = Target(0.0, 0.0, RUNS_OUT_MM)
    return Dimension("run-out", "run-out", band, RUNS_OUT_MM, 5.0, "knock", "indicator near the face, total reading")
