"""A thread chased into a hole with a tap or a boring tool, tried with its screw."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import Figure
from lathework.lathe.acts import Try
from lathework.lathe.threading import Screwcut
from lathework.methods.chase import bore_for_full, chasing_passes, comes_out_at, infeed, largest_chaser, pass_count
from lathework.part.bores import BoreWork
from lathework.part.thread_cutters import SetCutter
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, quoted
from lathework.planning.steps.holes.inside_tool import screwcut_inside
from lathework.planning.steps.holes.tap_words import hole_made
from lathework.planning.steps.threads.gauging import check_interval
from lathework.planning.threads.driving import chasing_speed
from lathework.planning.threads.gearing import gearing, on_the_leadscrew
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

_FULL = (
    "Fed in to its full form, the tap would make this bore {whole}. Stop at {infeed}, or bore to {full} for "
    "a full thread of the wanted size."
)


def chase(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread) -> Operation:
    """Chase the thread of a bored hole: with a tap held as a tool, or a boring tool ground to the form."""
    if not bore_work.bore.cutter.as_chaser:
        return screwcut_inside(work, chucking, bore_work, thread)
    job = work.job
    bore = convert(bore_work.drill_mm, "mm", thread.unit)
    geared_for = gearing(work, thread, bore_work.bore.depth.mm if bore_work.bore.depth else work.part.overall_mm)
    figures = geared_for.figures | {
        "infeed": infeed(thread, bore, job.setup.dial),
        "cuts": pass_count(thread, bore_work.drill_mm),
        **({} if geared_for.by_hand else chasing_speed(work, thread)),
        "tap": largest_chaser(bore, thread.unit),
        "whole": comes_out_at(thread, bore),
        "full": bore_for_full(thread),
    }
    return Operation(
        key=keyed("chase", bore_work.bore.id),
        kind="chase",
        title="Chase the thread",
        sentence="Hold a tap of the same pitch in the toolpost like a boring tool, on centre, with a flute square to "
        f"the bore. Hold its square so that it cannot turn. {geared_for.words} Cut the thread in {{cuts}}: "
        "{infeed} on the dial from touching.",
        headline="infeed",
        figures=figures,
        tool=f"tap of {thread.pitch:.4g} {thread.unit} pitch as a chaser",
        edge="",
        cautions=(*on_the_leadscrew(work, geared_for), *work.hazards),
        notes=(
            _FULL,
            *geared_for.notes,
            f"Lubricant: {work.lubricant}.",
            "Try the mating part from three quarters of the infeed on.",
        ),
        acts=(Screwcut(bore_work.bore.id, None, 0.0, "spindle", reverses=geared_for.reverses),),
        passes=chasing_passes(thread, bore_work.drill_mm, job.unit),
        chucking=chucking.number,
        makes=hole_made(bore_work, thread),
    )


def _cutter(bore_work: BoreWork) -> SetCutter:
    """What is set, or goes deeper, where the screw does not go in; a tap that is neither counts as a die."""
    if bore_work.bore.cutter.sized_by == "graduations":
        return "adjustable-tap"
    return "threading-tool" if bore_work.chased and not bore_work.bore.cutter.as_chaser else "die"


def try_screw(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread, deep: Figure) -> Operation:
    """Clean a hole that is threaded so `deep`, and try what goes in it."""
    # What it is made for may be made only later.
    fits = "a sound screw" if work.threads or not work.job.fits else f"{quoted(work.job.fits)}, or a sound screw"
    return Operation(
        key=keyed("try", bore_work.bore.id),
        kind="gauge",
        title="Try the hole",
        sentence=f"Cover your eyes, blow the hole out and try {fits}: it should go in by hand to full depth "
        "without play.",
        headline="",
        figure_words="by hand",
        figures={"deep": deep, "every": check_interval(work.job.quantity)},
        tool=f"{thread.designation} screw or plug gauge",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=("Plug gauge: the go end goes all the way in, the no-go end at most two turns.",),
        measure="verdict",
        acts=(Try(bore_work.bore.id),),
        chucking=chucking.number,
        thread=thread,
        class_name=bore_work.bore.class_name,
        inside=True,
        cutter=_cutter(bore_work),
        makes=hole_made(bore_work, thread),
    )
