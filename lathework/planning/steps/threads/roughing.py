"""Roughing a large or tough thread out before its die."""

from __future__ import annotations

from lathework.cutting.roughing import rough_depth, rough_passes
from lathework.lathe.cut import Cut
from lathework.lathe.threading import RoughOut
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.steps.threads.threading import die_torque, roughed
from lathework.planning.threads.driving import LEAD_LEFT, roughing
from lathework.planning.threads.gearing import gearing, on_the_leadscrew
from lathework.planning.threads.thread_work import ThreadWork
from lathework.planning.work import Work
from lathework.units import convert


def rough_out(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation | None:
    """Rough a large or tough thread out with a threading tool: the die then takes what a hand can turn."""
    share = roughed(work, thread_work)
    if not share:
        return None
    thread, job = thread_work.thread, work.job
    blank = convert(thread_work.blank_mm, "mm", thread.unit)
    deep = share * (thread_work.blank_mm - thread.minor_mm) / 2
    geared_for = gearing(work, thread, placed.far_mm - placed.near_mm)
    passes = rough_passes(deep, thread_work.blank_mm, job.unit)
    return Operation(
        key=keyed("rough", placed.section.id),
        kind="rough",
        title="Rough the thread out",
        sentence=f"{geared_for.words} Rough the thread out in {{cuts}} with a threading tool, {{infeed}} in all from "
        "touching the blank.",
        headline="infeed",
        figures=geared_for.figures
        | roughing(
            work,
            thread,
            die_torque(work, thread_work),
            rough_depth(thread, blank, share, job.setup.dial),
            passes,
            by_hand=geared_for.by_hand,
        ),
        tool=f"outside threading tool, {thread.form.angle_deg:g}°",
        edge="point",
        cautions=on_the_leadscrew(work, geared_for),
        notes=(
            "On a full blank the die would take {solid}: more than a person, or a holder, can turn steadily.",
            "Set the tool square by the centre gauge, with its point on centre."
            if thread_work.groove
            else (
                "No groove for the tool to run into: stop short, turn the spindle by hand to a chalked line, and "
                "withdraw the tool there."
            ),
            *((LEAD_LEFT,) if thread.hand == "left" else ()),
            *geared_for.notes,
            "Leave the rest to the die: it sizes the thread and finishes the flanks.",
        ),
        acts=(
            RoughOut(
                placed.section.id,
                Cut(
                    placed.far_mm - thread_work.groove_width_mm,
                    placed.near_mm,
                    thread_work.blank_mm,
                    thread_work.blank_mm - 2 * deep,
                ),
                0.0,
                "spindle",
                reverses=geared_for.reverses,
            ),
        ),
        chucking=chucking.number,
        passes=passes,
        thread=thread,
        class_name=thread_work.class_name,
        makes=makes(thread=thread.designation, share=share),
    )
