"""Running the die on, finishing to a shoulder, gauging."""

from __future__ import annotations

import math

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, counted
from lathework.planning.operation import Cut, Operation
from lathework.planning.work import Work
from lathework.rules import cautions
from lathework.rules.gauging import best_wire, over_wires_within
from lathework.rules.relief import TURNED_ROUND_STOP, UNFINISHED_THREADS, unfinished_length
from lathework.rules.speeds import spindle_speed
from lathework.units import convert

SHORT_OF_SHOULDER = 0.5
"""Pitches kept between the die and the shoulder (practice)."""

LEFT_HAND = "Left-hand die: turn the spindle backward to cut, forward to back off."


def _turns(work: Work, length_mm: float) -> Figure:
    thread = work.job.part.thread
    lead = convert(thread.lead, thread.unit, "mm")
    turns = math.floor(length_mm / lead - SHORT_OF_SHOULDER)
    return Figure(
        "turns",
        turns,
        counted(turns, "turn"),
        "thread length ÷ lead, half a turn short of the shoulder, in whole turns",
        GEOMETRY,
        (
            Given("thread length", length_mm, "mm"),
            Given("lead", lead, "mm"),
            Given("kept short", SHORT_OF_SHOULDER, "turns"),
        ),
    )


def _rhythm(work: Work) -> Figure:
    return Figure(
        "turn back after",
        work.job.material.back_off_turns,
        counted(work.job.material.back_off_turns, "turn"),
        "by the metal",
        PRACTICE,
        places=0 if work.job.material.back_off_turns >= 1 else 1,
        note="Half a turn back breaks the chip.",
    )


def run_die(work: Work) -> Operation:
    """Run the die on, marked side first."""
    job, part = work.job, work.job.part
    power = job.method.drive == "power"
    figures = {"turns": _turns(work, part.thread_length.mm), "rhythm": _rhythm(work)}
    if power:
        figures["speed"] = spindle_speed(job.material.thread_speed, part.thread.major_mm, name="speed")
        sentence = "Run the die on at {speed} or slower, marked side first. Let the holder slip after {turns}."
    else:
        sentence = "Run the die on by hand, marked side first, {turns}; turn back half a turn after each {rhythm}."
    figures["unfinished"] = unfinished_length(part.thread)
    cautions_here = (cautions.DIE_POWER if power else cautions.DIE_BY_HAND,)
    return Operation(
        key="thread",
        title="Run the die on, marked side first",
        sentence=sentence,
        headline="turns",
        figures=figures,
        tool=f"{part.thread.designation} die in the tailstock holder",
        edge="marked side first",
        cautions=cautions_here + ((cautions.PRESSURE,) if job.pressure else ()),
        notes=(
            f"Lubricant: {job.material.lubricant}.",
            "Keep light pressure with the tailstock until it draws itself on.",
            *((LEFT_HAND,) if part.thread.hand == "left" else ()),
            *((f"A die of {part.thread.starts} starts.",) if part.thread.starts > 1 else ()),
        ),
        cut=Cut(work.thread_end_mm, 0.0, part.thread.major_mm, part.thread.minor_mm),
    )


def finish_to_shoulder(work: Work) -> Operation | None:
    """Turn the die round and finish up to the shoulder, where there is no groove."""
    if work.groove is not None:
        return None
    thread = work.job.part.thread
    gap = Figure(
        "stop short by",
        TURNED_ROUND_STOP * thread.pitch,
        thread.unit,
        "one pitch from the shoulder",
        PRACTICE,
        (Given("pitch", thread.pitch, thread.unit),),
        fine=False,
    )
    turns = Figure(
        "turns",
        UNFINISHED_THREADS - TURNED_ROUND_STOP,
        "turns",
        "unfinished turns − 1",
        PRACTICE,
        (Given("unfinished turns", UNFINISHED_THREADS),),
    )
    far = work.job.part.thread_length.mm
    return Operation(
        key="finish",
        title="Turn the die round, finish to the shoulder",
        sentence="Turn the die round in its holder, same setting. Run it down and {turns} on; stop {gap} short.",
        headline="turns",
        figures={"turns": turns, "gap": gap},
        tool=f"{thread.designation} die in the tailstock holder",
        edge="plain side first",
        cautions=(cautions.DIE_BY_HAND,),
        notes=("Always by hand: feel for the shoulder.",),
        cut=Cut(far, far - UNFINISHED_THREADS * thread.pitch_mm, thread.major_mm, thread.minor_mm),
    )


def gauge(work: Work) -> Operation:
    """Try the mating part, and adjust the die by what it says."""
    thread = work.job.part.thread
    wire = best_wire(thread)
    least, most = over_wires_within(thread, wire.value, work.limits)
    return Operation(
        key="gauge",
        title="Gauge with the nut",
        sentence=f"Clean the thread and try {work.job.fits or 'the nut'}: snug, no shake.",
        headline="",
        figure_words="snug",
        figures={
            "wires_most": most,
            "wires_least": least,
            "wire": wire,
        },
        tool=work.job.fits or "mating nut",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(f"No nut? Measure over three wires: class {work.limits.class_name} lies between the two figures.",),
        measure="verdict",
    )
