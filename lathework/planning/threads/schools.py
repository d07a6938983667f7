"""Where practitioners differ: what each school does, which the program would take here, and why."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from lathework.cutting.blank import SCHOOL_NAMES
from lathework.cutting.blank import School as Blank
from lathework.cutting.groove import UNFINISHED_THREADS
from lathework.job.choice_words import FINISHES
from lathework.planning.plan import Plan
from lathework.planning.remarks.notices import SHORT_THREAD
from lathework.planning.threads.thread_work import ThreadWork

TOUGH_N_MM2 = 2000.0
"""Specific cutting force in N/mm² from which a die in one pass without a turn back packs its chips (practice)."""
THIN_WALL = 0.12
"""Wall over diameter under which a die squeezes a tube: threaded before it is drilled (practice)."""


@dataclass(frozen=True, slots=True)
class School:
    """A question on which practitioners differ: the answer `here`, why; `field` of the document that answers it, "" for
    none, `chosen` what the job does."""

    question: str
    here: str
    why: str
    chosen: str
    field: str = ""
    value: str = ""

    @property
    def agrees(self) -> bool:
        """Whether the job does what the program would."""
        return self.here == self.chosen


def _blank(plan: Plan, found: ThreadWork) -> School:
    method, metal = plan.job.method, plan.job.material
    here: Blank = "mate-takes" if method.mate is not None else "pitch-fraction"
    why = (
        "the mating part was measured, and the thread is made to fit it"
        if method.mate is not None
        else f"{metal.name} flows up into the crests by about {metal.blank_fraction:g} of the pitch"
    )
    chosen = SCHOOL_NAMES[found.blank.school]
    return School("How large is the blank?", SCHOOL_NAMES[here], why, chosen, "method.blank_school", here)


def _shoulder(plan: Plan, found: ThreadWork, length_mm: float) -> School:
    wide = UNFINISHED_THREADS * found.thread.pitch_mm
    if not found.cutter.flips:
        here, why = "groove", "a tool or a head needs somewhere to stop"
    elif wide * SHORT_THREAD > length_mm:
        here, why = "die-turned-round", "a groove would take more than a quarter of so short a thread"
    else:
        here, why = "groove", "the nut reaches the shoulder, and the die runs out free"
    chosen = FINISHES[plan.job.method.finish][0]
    return School("How is the shoulder reached?", FINISHES[here][0], why, chosen, "method.finish", here)


def _one_pass(plan: Plan, found: ThreadWork) -> School:
    metal = plan.job.material
    step = next(
        (operation for operation in plan.operations if operation.kind == "thread" and operation.thread == found.thread),
        None,
    )
    driven = step is not None and "speed" in step.figures
    back, through = "backed off to break the chip", "in one pass"
    tough = metal.cutting_force >= TOUGH_N_MM2 or metal.back_off_turns < 1
    why = (
        f"{metal.name} packs the die with long chips"
        if tough
        else f"chips of {metal.name} are short and fall out of a sharp die"
    )
    return School("One pass, or back off?", back if tough else through, why, through if driven else back)


def _hole_first(plan: Plan) -> Iterator[School]:
    """Where an outside thread stands round a hole along the axis."""
    holes = [found.drill_mm for found in plan.work.bores if found.bore.end != "across"]
    outside = [found.thread.minor_mm for found in plan.work.threads.values()]
    if not holes or not outside:
        return
    wall = (min(outside) - max(holes)) / 2
    thin = wall < THIN_WALL * min(outside)
    before, after = "thread first, then drill", "drill first, then thread"
    why = (
        "the wall left is thin: a die squeezes it"
        if thin
        else ("the wall can take it, and the drill pulls at no thread")
    )
    yield School("Drill or thread first?", before if thin else after, why, after)


def schools(plan: Plan) -> tuple[School, ...]:
    """The questions that this part raises."""
    main = plan.work.main
    if main is None:
        return ()
    number = next(iter(plan.work.threads))
    told = [_blank(plan, main)] if main.taper is None else []
    if main.shoulder and main.taper is None:
        told.append(_shoulder(plan, main, plan.job.part.sections[number].length.mm))
    if main.cutter.in_holder:
        told.append(_one_pass(plan, main))
    return (*told, *_hole_first(plan))
