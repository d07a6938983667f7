"""Gauging a thread that a die cut, and how often in a batch."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import PRACTICE, Figure, Given
from lathework.gauging.wires import best_wire, over_wires_within
from lathework.lathe.acts import Try
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, quoted
from lathework.planning.steps.outside.taper import gauge_taper
from lathework.planning.steps.threads.threading import thread_made
from lathework.planning.threads.thread_work import ThreadWork
from lathework.planning.work import Work
from lathework.threads.standards.bands import ExternalLimits

EVERY_PIECE_UP_TO, EVERY_THIRD_UP_TO = 5, 20
"""Batches up to which each piece, or each third one, is gauged; beyond, each fifth (practice)."""


def check_interval(pieces: int) -> Figure:
    """How often a piece is gauged in a batch of `pieces` (a count) after the first, which is gauged all over.

    Each one up to 5, each third up to 20, else each fifth. Source: practice.
    """
    every = 1 if pieces <= EVERY_PIECE_UP_TO else 3 if pieces <= EVERY_THIRD_UP_TO else 5
    return Figure(
        "gauge one in",
        every,
        "piece",
        "by the size of the batch; the first one always",
        PRACTICE,
        (Given("pieces", pieces),),
        kind="table",
        note="Also after every change of die, blank or tool.",
    )


def _mate(work: Work) -> str:
    """What a thread of the part is tried with: nobody says which of several threads fits what the job was made for."""
    if len({(found.thread.major_mm, found.thread.pitch_mm) for found in work.threads.values()}) > 1:
        return "its mating part"
    return quoted(work.job.fits) or "the nut"


def _to_its_nut(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork, mate: str) -> Operation:
    """Try the nut of a thread that no class here sizes: it alone tells."""
    thread = thread_work.thread
    return Operation(
        key=keyed("gauge", placed.section.id),
        kind="gauge",
        title="Gauge with the nut",
        sentence=f"Clean the thread and try {mate}: it should run freely from end to end with little play.",
        headline="",
        figure_words="runs freely",
        figures={"every": check_interval(work.job.quantity)},
        tool=mate,
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=("If it binds on the flanks, take another pass. If it binds at the root, the point is too wide.",),
        measure="verdict",
        acts=(Try(placed.section.id),),
        chucking=chucking.number,
        thread=thread,
        cutter=thread_work.cut,
        to_mate=True,
        makes=thread_made(placed, thread_work),
    )


def _over_wires(
    work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork, limits: ExternalLimits
) -> Operation:
    """Measure a thread that no nut gets to."""
    wire = best_wire(thread_work.thread)
    least, most = over_wires_within(thread_work.thread, wire.value, limits)
    return Operation(
        key=keyed("gauge", placed.section.id),
        kind="gauge",
        title="Measure over three wires",
        sentence="Clean the thread. Over three wires of {wire} it measures {wires_least} to {wires_most}.",
        headline="wires_most",
        figures={"wires_most": most, "wires_least": least, "wire": wire, "every": check_interval(work.job.quantity)},
        tool="three wires and a micrometer",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=("A larger section is in front of the thread: no nut or ring reaches it.",),
        measure="verdict",
        acts=(Try(placed.section.id),),
        chucking=chucking.number,
        thread=thread_work.thread,
        class_name=thread_work.class_name,
        cutter=thread_work.cut,
        makes=thread_made(placed, thread_work),
    )


def gauge(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation:
    """Try the mating part, and adjust the die by what it says."""
    thread, mate = thread_work.thread, _mate(work)
    if thread_work.taper is not None:
        return gauge_taper(work, chucking, placed, thread_work, mate)
    if thread_work.limits is None:
        return _to_its_nut(work, chucking, placed, thread_work, mate)
    if thread_work.between:
        return _over_wires(work, chucking, placed, thread_work, thread_work.limits)
    wire = best_wire(thread)
    least, most = over_wires_within(thread, wire.value, thread_work.limits)
    return Operation(
        key=keyed("gauge", placed.section.id),
        kind="gauge",
        title="Gauge with the nut",
        sentence=f"Clean the thread and try {mate}: it should be snug, without play.",
        headline="",
        figure_words="snug",
        figures={"wires_most": most, "wires_least": least, "wire": wire, "every": check_interval(work.job.quantity)},
        tool=mate,
        edge="",
        cautions=() if work.off_lathe(thread_work) else (cautions.STOP_TO_MEASURE,),
        notes=("It is made to fit its own mating part: no other gauge can show whether it does.",)
        if thread_work.mate is not None
        else (
            f"No nut? Over three {{wire}} wires, class {thread_work.class_name} measures {{wires_least}} to "
            "{wires_most}.",
        ),
        measure="verdict",
        acts=(Try(placed.section.id),),
        chucking=chucking.number,
        thread=thread,
        class_name=thread_work.class_name,
        cutter=thread_work.cut,
        to_mate=thread_work.mate is not None,
        makes=thread_made(placed, thread_work),
    )
