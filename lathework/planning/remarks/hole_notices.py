"""What must be said about the holes of a part: thin walls, holes that come through, drills that are not owned."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework.fits.fit import FIT
from lathework.holes.depth import THIN_WALL, likely_breaks
from lathework.holes.percent import percent_thread
from lathework.lathe.breach import Breach
from lathework.methods.ways.choose import INSIDE
from lathework.part.across import thickness_mm
from lathework.part.bore_sizes import FLOOR_MM, depth_figure, largest_mm, wall_mm
from lathework.part.bores import BoreWork, bore_work, much_nearer
from lathework.part.model import Bore
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.notice import Notice, told
from lathework.planning.remarks.way_notices import refused
from lathework.planning.steps.holes.tap_words import by_hand_because, margin_of, way_of
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.threads.wanted import wanted_inside
from lathework.planning.work import Work, racks_of
from lathework.shop.racks import RACKS
from lathework.threads.limits import internal_limits
from lathework.threads.thread import Thread
from lathework.units import convert, show_share

WEAK_SHARE = 1 / 3
"""Hole across over the thickness from which it weakens the part markedly (practice)."""
NEAR_END = 1.0
"""Least metal between a hole across and the end, over the hole's diameter (practice)."""


def _along(work: Work, bore: Bore, bore_work: BoreWork, field: str, *, drilled_first: bool) -> Iterator[Notice]:
    part, unit = work.part, work.job.unit
    across = largest_mm(bore)
    deep = in_mm(depth_figure(bore_work, part.overall_mm, 0.0, unit))
    wall = wall_mm(part, bore, (bore_work.drill_mm, min(deep, part.overall_mm)))
    left = part.overall_mm - deep
    if bore.depth is not None and not part.stock.one_ended and 0 <= left < FLOOR_MM:
        text = (
            f"The drill's point leaves only {told(left, unit)} of metal under this hole: it bulges or breaks "
            "through. Make the hole shallower, or make it a through hole."
        )
        yield Notice("thin-floor", f"{field}.depth", text)
    if wall < THIN_WALL * across:
        text = (
            f"The wall round this hole is only {told(max(0.0, wall), unit)} at its thinnest, less than "
            f"{show_share(THIN_WALL)} of the hole: {_thin(work, bore, drilled_first=drilled_first)}"
        )
        yield Notice("thin-wall", field, text)
    yield from _blind_press(work, bore, field)


def _thin(work: Work, bore: Bore, *, drilled_first: bool) -> str:
    """What a thin wall wants, and whether the plan does it."""
    gives = "the wall swells when you tap and gives in the jaws." if bore.thread else "the wall gives in the jaws."
    if not drilled_first:
        return f"{gives} Use a smaller hole, or thicker bar."
    made = "drilled and tapped" if bore.thread else "drilled"
    return f"{gives} So it is {made} before the outside is turned down."


def _blind_press(work: Work, bore: Bore, field: str) -> Iterator[Notice]:
    """A part that is pressed into a blind hole shuts the air in, which pushes it out again."""
    if not FIT[bore.fit].pressed or bore.depth is None or bore.socket is not None:
        return
    vented = any(one.end == bore.end and one.id != bore.id and one.depth is None for one in work.part.bores)
    if not vented:
        text = (
            "A part pressed into this blind hole traps air and comes out again. Drill a vent, or make the hole "
            "go through."
        )
        yield Notice("blind-press", f"{field}.depth", text)


def _across(work: Work, bore: Bore, field: str) -> Iterator[Notice]:
    part = work.part
    assert bore.at is not None
    across, thick = largest_mm(bore), thickness_mm(part, bore)
    if across > thick * WEAK_SHARE:
        share = show_share(across / thick)
        text = f"The cross hole takes {share} of the thickness there: the part will break at that point."
        yield Notice("cross-weak", field, text)
    if min(bore.at.mm, part.overall_mm - bore.at.mm) - across / 2 < NEAR_END * across:
        text = "The cross hole is closer to the end than its own diameter: it will tear out under load."
        yield Notice("cross-near-end", f"{field}.at", text)


def _drills(work: Work, ways: tuple[Chucking, ...], bore: Bore, bore_work: BoreWork, field: str) -> Iterator[Notice]:
    if bore.thread is None:
        return
    name = bore.thread.designation
    if bore_work.taper is not None:
        text = f"{name} seals a pipe. For gas, steam or pressure ask a licensed trade first: local codes decide."
        yield Notice("pipe-thread", f"{field}.thread", text)
    elif bore_work.bored and not bore_work.chased:
        whose = "you own" if work.job.setup.own_drills else "of the racks"
        text = f"No drill {whose} is near what {name} needs. Bore the hole, or add your drill to the list."
        yield Notice("no-drill", "setup.drills", text)
    else:
        yield from _wide(work, bore.thread, bore_work, field)
        yield from _better(work, bore.thread, bore, bore_work)
    if bore.cutter.forms and not work.job.material.form_tap:
        text = f"Do not use a form tap in {work.job.material.name}: it cracks. Use a cutting tap."
        yield Notice("form-tap-brittle", f"{field}.cut", text)
    if not bore_work.chased:
        margin = margin_of(work, bore_work, bore.thread)
        if margin is not None and likely_breaks(margin):
            text = (
                f"The {name} tap can take only {margin.value:.1f} times the torque it needs: drill larger, or cut "
                "the thread single point."
            )
            yield Notice("tap-breaks", f"{field}.thread", text)
    chucking = next((way for way in ways if way.faces == bore.end), None)
    if chucking is not None:
        yield from _way(work, chucking, bore_work, bore.thread, field)


def _way(work: Work, chucking: Chucking, bore_work: BoreWork, thread: Thread, field: str) -> Iterator[Notice]:
    """Why the tool that was chosen does not suit a hole along the axis; a tap that is turned otherwise than chosen."""
    if bore_work.bore.cutter.on_leadscrew:
        wanted = wanted_inside(work, bore_work, thread, on_bar=chucking.on_bar)
        yield from refused(INSIDE, bore_work.bore.cut, wanted, f"{field}.cut", work.job.method.because)
    way = way_of(work, bore_work, chucking)
    if not bore_work.chased and way.code != work.job.method.tapping:
        why, how = by_hand_because(work, bore_work, chucking), "by hand, not under power"
        if way.off_lathe:
            why, how = "would be drilled far past the part on its bar", "when the piece is parted off"
        yield Notice("blind-by-hand", "method.tapping", f"{thread.designation} {why}, so it is tapped {how}.")


def _wide(work: Work, thread: Thread, bore_work: BoreWork, field: str) -> Iterator[Notice]:
    """A hole that may pass the class's greatest minor."""
    limits = internal_limits(thread, bore_work.bore.class_name)
    if limits is not None and bore_work.hole is not None and bore_work.passes > 0:
        over = told(convert(bore_work.passes, thread.unit, "mm"), work.job.unit, fine=True)
        left = percent_thread(thread, bore_work.hole.value)
        text = (
            f"The {bore_work.name} drill may leave the hole {over} over class {limits.minor.class_name}, {left:.0f} % "
            "thread. If the class matters, drill smaller, then ream or bore."
        )
        yield Notice("hole-wide", f"{field}.thread", text)


def _better(work: Work, thread: Thread, bore: Bore, found: BoreWork) -> Iterator[Notice]:
    """A drill that is not owned and comes much nearer to the per cent wanted."""
    racks = racks_of(work.job)
    best = bore_work(bore, replace(racks, drills=", ".join(RACKS)))
    if found.percent is not None and best.percent is not None and much_nearer(best, found, racks.percent(thread)):
        ours, theirs = found.percent.value, best.percent.value
        text = (
            f"{found.name} is the nearest of your drills ({ours:.0f} % thread); {best.name} would give {theirs:.0f} %."
        )
        yield Notice("better-drill", "setup.drills", text)


def hole_notices(work: Work, ways: tuple[Chucking, ...], left: tuple[Breach, ...]) -> Iterator[Notice]:
    """Every remark on the holes of the part, hole by hole; `left` is what did not hold when the plan was run."""
    thin = {breach.made for breach in left if breach.code == "thin-wall"}
    for number, found in enumerate(work.bores):
        field, bore = f"part.bores.{number}", found.bore
        if bore.end == "across":
            yield from _across(work, bore, field)
        else:
            yield from _along(work, bore, found, field, drilled_first=bore.id not in thin)
        yield from _drills(work, ways, bore, found, field)
