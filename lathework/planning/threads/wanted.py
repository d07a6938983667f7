"""The threads of a job as the ways of making them see them."""

from __future__ import annotations

from lathework.cutting.groove import UNFINISHED_THREADS
from lathework.methods.ways.contract import Machine, Wanted
from lathework.part.bores import BoreWork
from lathework.planning.steps.threads.threading_tool import aim
from lathework.planning.work import Work
from lathework.shop.metals import Material
from lathework.threads.limits import external_limits
from lathework.threads.thread import Thread

USUAL_DIAMETERS = 1.5
"""Length of a thread over its diameter where nobody says one (practice)."""


def machine_of(work: Work) -> Machine:
    """The lathe of a job, as ways of threading see it."""
    setup = work.job.setup
    screw = setup.leadscrew, setup.gearbox, setup.gears
    return Machine(setup.lathe, setup.mount, setup.speeds, setup.run_down_turns, *screw)


def wanted_outside(work: Work, number: int) -> Wanted:
    """The thread of section `number` (from 0) as ways of making it see it."""
    section, found = work.part.sections[number], work.threads[number]
    return Wanted(
        thread=found.thread,
        length_mm=max(section.length.mm - found.grooves_mm, found.thread.pitch_mm),
        blank_mm=found.blank_mm,
        pitch_diameter=aim(found),
        metal=work.job.material,
        pieces=work.job.quantity,
        shoulder=found.shoulder,
        groove_mm=found.groove_width_mm,
        machine=machine_of(work),
    )


def wanted_inside(work: Work, found: BoreWork, thread: Thread, *, on_bar: bool) -> Wanted:
    """The thread of a hole as ways of making it see it; `on_bar` where its end is worked while the part is on the
    bar."""
    deep = found.bore.depth.mm if found.bore.depth is not None else work.part.overall_mm
    return Wanted(
        thread=thread,
        length_mm=deep,
        blank_mm=found.drill_mm,
        pitch_diameter=thread.pitch_diameter,
        metal=work.job.material,
        pieces=work.job.quantity,
        shoulder=False,
        inside=True,
        blind=found.bore.depth is not None,
        in_bar=on_bar and found.bore.depth is None,
        machine=machine_of(work),
    )


def wanted_thread(thread: Thread, *, metal: Material, length_mm: float | None = None, pieces: int = 1) -> Wanted:
    """A thread by itself, outside, against a shoulder with a groove: `length_mm` (millimetres) of full thread, a
    diameter and a half where nobody says; on `pieces` (a count) blanks as the metal wants them."""
    pitch = thread.pitch_mm
    limits = external_limits(thread, "") if not thread.taper else None
    band = limits.pitch_diameter if limits is not None else None
    middle = (band.minimum + band.maximum) / 2 if band is not None else thread.pitch_diameter
    return Wanted(
        thread=thread,
        length_mm=USUAL_DIAMETERS * thread.major_mm if length_mm is None else length_mm,
        blank_mm=thread.major_mm - metal.blank_fraction * pitch,
        pitch_diameter=middle,
        metal=metal,
        pieces=pieces,
        groove_mm=0.0 if thread.taper else UNFINISHED_THREADS * pitch,
    )
