"""The steps of a part in their order: each end in turn, thread before parting off, joints last."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.planning.direction import directed
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.milling import milling, on_its_bar, on_the_bar
from lathework.planning.operation import Operation
from lathework.planning.steps import holding, moving
from lathework.planning.steps.holes import hole, pressed, tapping
from lathework.planning.steps.off_lathe import fitting, joining, sawing
from lathework.planning.steps.off_lathe.deburring import deburred
from lathework.planning.steps.outside import blade, cone, edge, facing, neck, taper, turning
from lathework.planning.steps.threads import gauging, head, roughing, screwcutting, threading
from lathework.planning.work import Work
from lathework.planning.zeros import zeroed


def _facing(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Hold and face; or bring the work into a holding whose end is faced already."""
    if not chucking.begins:
        yield moving.move(work, chucking)
        return
    if chucking.second:
        yield holding.hold_again(work, chucking)
    yield facing.face(work, chucking)


def _boring(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Holes along the axis, tapped on the lathe unless that is done in the vise."""
    yield from hole.holes(work, chucking)
    yield from tapping.roughed_out(work, chucking)
    yield from tapping.taps(work, chucking, in_vise=False)


def _turning(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Turn, plunge, lead chamfers."""
    yield from turning.turn(work, chucking)
    for placed in chucking.made:
        yield neck.neck(work, chucking, placed)
        if placed.thread is not None:
            yield blade.relief_groove(work, chucking, placed, placed.thread)
            yield taper.turn_taper(work, chucking, placed, placed.thread)
            if placed.thread.between:
                yield blade.start_groove(work, chucking, placed, placed.thread)
            else:
                yield edge.lead_chamfer(work, chucking, placed, placed.thread)
            yield roughing.rough_out(work, chucking, placed, placed.thread)
        elif placed.section.shape == "knurl":
            yield edge.knurl(work, chucking, placed)
        elif placed.section.taper is not None:
            yield cone.turn_cone(work, chucking, placed, placed.section.taper)


def _shaping(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Everything up to the threads. Holes come after turning, but before a centre is brought up: it runs in them."""
    yield from _facing(work, chucking)
    # What is held short is drilled there, and what runs on a centre before that goes in.
    first = chucking.centred or "turn" not in chucking.does or work.otherwise.bored_first
    if "bore" in chucking.does and first:
        yield from _boring(work, chucking)
    if chucking.begins:
        yield holding.centre(work, chucking)
    if "turn" not in chucking.does:
        return
    yield moving.steady(work, chucking)
    yield from _turning(work, chucking)
    if "bore" in chucking.does and not first:
        yield from _boring(work, chucking)
    for placed in _edges(chucking):
        yield edge.break_edge(work, chucking, placed)


def _edges(chucking: Chucking) -> tuple[Placed, ...]:
    """Sections whose edge toward this chucking's face is broken here; a head's outer edge is at the other end."""
    if chucking.second:
        return chucking.made or chucking.placed[:1]
    head_last = chucking.own == len(chucking.placed) > 1
    return chucking.made[:-1] if head_last else chucking.made


def _threading(work: Work, chucking: Chucking, *, off_lathe: bool) -> Iterator[Operation | None]:
    """Cut and gauge each thread of the chucking, the nearest to the face first: those of the vise, or the others.

    What is cut on the leadscrew comes first, where its blank was turned: a die wants the centre out of its way.
    """
    threaded = [(placed, placed.thread) for placed in chucking.made if placed.thread is not None]
    for placed, found in threaded if "turn" in chucking.does and not off_lathe else ():
        if found.cutter.on_leadscrew:
            yield from screwcutting.screwcut(work, chucking, placed, found)
            yield gauging.gauge(work, chucking, placed, found)
    for placed, found in threaded if "thread" in chucking.does else ():
        if found.cutter.on_leadscrew or work.off_lathe(found) != off_lathe:
            continue
        if found.cutter.opens:
            yield head.run_head(work, chucking, placed, found)
        else:
            yield threading.run_die(work, chucking, placed, found)
            yield threading.finish_to_shoulder(work, chucking, placed, found)
        yield gauging.gauge(work, chucking, placed, found)


def _parting(work: Work, chucking: Chucking) -> Iterator[Operation | None]:
    """Part off: half way, chamfer behind, through; or at once where the far end is faced later."""
    behind = edge.chamfer_behind(work, chucking)
    left = blade.slot_left(work, chucking, behind.cut) if behind is not None and behind.cut is not None else None
    if left is not None:
        yield blade.begin_parting(work, chucking, left)
        yield behind
    yield blade.part_off(work, chucking, begun=left is not None)


def steps(work: Work, ways: tuple[Chucking, ...]) -> tuple[Operation, ...]:
    """The steps of a part as they are shown: in order, the spindle's direction and each tool's zero said where they
    change, the burrs taken off."""
    directions = directed(in_order(work, ways))
    return zeroed(deburred(directions), kept=work.job.setup.tools == "kept")


def in_order(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Operation | None]:
    """Each end in turn, thread before parting off; a die in the vise comes after the lathe; flats come last, or
    on the bar where that is chosen.

    The thread is cut before parting off so that the die runs on a piece still held in the chuck. Source: practice.
    """
    yield sawing.saw(work, ways[0])
    for chucking, after in zip(ways, (*ways[1:], None), strict=True):
        yield from _shaping(work, chucking)
        on_bar = chucking.parted and on_its_bar(work, ways)
        before = work.job.method.milling == "before-thread"
        if on_bar and before:
            yield from on_the_bar(milling(work, ways))
        yield from _threading(work, chucking, off_lathe=False)
        if on_bar and not before:
            yield from on_the_bar(milling(work, ways))
        yield from _parting(work, chucking)
        if after is not None and after.second and not chucking.second:
            yield moving.saw_off(work, chucking)
    for chucking in ways:
        yield from _threading(work, chucking, off_lathe=True)
    for chucking in ways:
        if "bore" in chucking.does:
            yield from tapping.taps(work, chucking, in_vise=True)
    if not on_its_bar(work, ways):
        yield from milling(work, ways)
    yield from joining.joints(work, ways[-1])
    for chucking in ways:
        if "bore" in chucking.does:
            yield from pressed.finish_pressed(work, chucking)
    yield fitting.fit(work, ways[-1])
