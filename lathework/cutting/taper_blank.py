"""The blank of an external taper pipe thread: its two ends, how to set the slide over, how far the gauge goes on."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

from lathework.cutting.blank import BlankChoice, crest_percent
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.threads.taper import TAPER, TaperLengths, gauge_give, gauge_turns, is_outside_taper, taper_lengths
from lathework.threads.thread import Thread

TORQUE_GROWS = 2.0
"""Torque of a taper die at the end of its run over that of a parallel one: it cuts on its whole length (practice)."""
PULL_N = 200.0
"""Force in N that a person brings on a long handle, turn after turn (practice)."""
FULL_CRESTS = "The crests of a taper thread seal as well as the flanks: leave the blank full."


@dataclass(frozen=True, slots=True)
class TaperBlank:
    """A taper blank in the thread's unit: diameter at the face and at the end of the useful thread, and that length.

    `angle` is what the top slide is set over, in degrees; `turns` how far the ring gauge goes on by hand, `give` how
    far it may stand from that.
    """

    small: Figure
    large: Figure
    useful: Figure
    angle: Figure
    turns: Figure
    give: Figure


def _across(thread: Thread, name: str, formula: str, behind: float, *more: Given) -> Figure:
    """Crest diameter `behind` the gauge plane (toward the shank; all in the thread's unit). 1 in 16 on the diameter."""
    value = thread.major + behind * TAPER
    inputs = (Given("major", thread.major, thread.unit), *more)
    return Figure(name, value, thread.unit, formula, thread.source, inputs, note=FULL_CRESTS)


def _give(thread: Thread, lengths: TaperLengths) -> Figure:
    """How far from flush the gauge may stand, in turns."""
    give = gauge_give(thread, lengths)
    inputs = (Given("tolerance", give.value, thread.unit), Given("pitch", thread.pitch, thread.unit))
    turns = give.value / thread.pitch
    return Figure("tolerance, plus and minus", turns, "turn", "tolerance ÷ pitch", give.source, inputs, places=1)


def taper_blank(thread: Thread) -> TaperBlank | None:
    """The blank of an external taper `thread`; None for any other.

    At the face: major - gauge length / 16; at the end of the useful thread: major + (useful - gauge length) / 16. The
    gauge plane lies the gauge length behind the face. Source: ISO 7-1, ASME B1.20.1.
    """
    lengths = taper_lengths(thread) if is_outside_taper(thread) else None
    if lengths is None:
        return None
    gauge, useful, unit = lengths.gauge_length.value, lengths.useful_length.value, thread.unit
    length = Given("gauge length", gauge, unit)
    return TaperBlank(
        small=_across(thread, "blank at the face", "major − gauge length ÷ 16", -gauge, length),
        large=_across(
            thread,
            "blank behind the thread",
            "major + (useful thread − gauge length) ÷ 16",
            useful - gauge,
            Given("useful thread", useful, unit),
            length,
        ),
        useful=lengths.useful_length,
        angle=Figure(
            "top slide over",
            math.degrees(math.atan(TAPER / 2)),
            "°",
            "atan(taper on the diameter ÷ 2)",
            GEOMETRY,
            (Given("taper on the diameter", TAPER),),
            places=2,
            note="Set it by an indicator on a straight bar: 1 in 32, so 1 mm in 32 mm or 0.031 in per inch.",
        ),
        turns=gauge_turns(thread, lengths, "gauge goes on by hand"),
        give=_give(thread, lengths),
    )


def taper_choice(thread: Thread, taper: TaperBlank) -> BlankChoice:
    """The one blank of a taper thread: straight to its large end, then tapered; no school takes its crests down."""
    # The crest is told where the thread is largest: it is cut as deep all along, so the share is the same anywhere.
    rise = taper.large.value - thread.major
    there = replace(thread, major=thread.major + rise, minor=thread.minor + rise)
    return BlankChoice("nominal", taper.large, crest_percent(there, taper.large.value), True, FULL_CRESTS)


def handle_length(torque: Figure) -> Figure:
    """How long a handle a `torque` in N m wants, in millimetres: torque / 200 N. Source: practice."""
    return Figure(
        "minimum handle length",
        1000 * torque.value / PULL_N,
        "mm",
        "1000 × torque ÷ pull",
        PRACTICE,
        (Given("torque", torque.value, "N m"), Given("pull", PULL_N, "N")),
        fine=False,
    )


def taper_torque(torque: Figure) -> Figure:
    """Greatest torque of a taper die in N m: twice that of a parallel one, `torque`. Source: practice."""
    return Figure(
        torque.name,
        TORQUE_GROWS * torque.value,
        "N m",
        "2 × torque of a parallel die",
        PRACTICE,
        (Given("torque of a parallel die", torque.value, "N m"),),
        places=1,
    )
