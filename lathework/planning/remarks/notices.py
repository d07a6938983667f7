"""What must be said about a job as a whole: coded, with the field it concerns."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.cutting.groove import UNFINISHED_THREADS, chamfer_diameter
from lathework.cutting.taper_blank import TaperBlank
from lathework.lathe.breach import Breach
from lathework.lengths import Length
from lathework.methods.die_holdings import DIE_HOLDINGS
from lathework.methods.ways.choose import OUTSIDE
from lathework.part.model import MILLED
from lathework.part.sample import nominals, unlike
from lathework.part.stock import largest_across_flats
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.holdings.order import CENTRE_RATIO, LEAST_GRIP_MM, STEADY_RATIO, over
from lathework.planning.milling import milling_notices
from lathework.planning.notice import Notice, told
from lathework.planning.remarks.hole_notices import hole_notices
from lathework.planning.remarks.way_notices import refused
from lathework.planning.steps.measures import rough_mm
from lathework.planning.steps.threads.threading import by_hand_because
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.planning.threads.wanted import wanted_outside
from lathework.planning.work import Work
from lathework.units import convert

PROOF = "Leave the pressure test to a licensed trade."
LESS_PROVEN = "Left-hand and multi-start threads are less proven here: read every step first, and try it in scrap."
SHORT_THREAD = 4.0
"""A groove that takes more than one part in so many of the thread's length is remarked on (practice)."""
SUM_MM = 0.02
"""By how much a stated overall length may differ from the sum before it is said."""


def _threads(work: Work) -> Iterator[Notice]:
    said: set[str] = set()
    for number, found in work.threads.items():
        section, field = work.part.sections[number], f"part.sections.{number}"
        if not found.blank.within_class and found.blank.verdict not in said:
            said.add(found.blank.verdict)
            yield Notice("blank-outside-class", "method.blank_school", found.blank.verdict)
        if found.blank_mm > work.part.stock.corners_mm:
            yield Notice("bar-under-blank", "part.stock.across", "The bar is already under the blank diameter.")
        if found.grooves_mm and section.full is None:
            yield _full_thread(work, section.length.mm, found, field)
        yield from _way(work, number)
        why = by_hand_because(work, found)
        if why:
            text = f"{found.thread.designation} {why}, so its die is turned by hand."
            yield Notice("die-by-hand", "method.holder", text)
        if found.left_on(work.part.stock.corners_mm):
            over = told(work.part.stock.corners_mm - found.blank_mm, work.job.unit, fine=True)
            text = f"The bar is {over} over the blank of {found.thread.designation}: leave it as it is."
            yield Notice("bar-as-blank", field, text)
        if section.measured is not None and unlike(found.thread, section.measured.mm):
            yield _unlike(work, number, found, section.measured)
        if found.lead_shallow:
            yield _shallow(work, found, field)
        if found.thread.hand == "left" or found.thread.starts > 1:
            yield Notice("less-proven", f"{field}.thread", LESS_PROVEN)
        if found.taper is not None:
            yield from _taper(work, number, found, found.taper)
        if found.thread.series == "G":
            name = found.thread.designation
            text = f"{name} does not seal on its thread: a washer or ring does. {PROOF}"
            yield Notice("pipe-thread", f"{field}.thread", text)
        for note in found.thread.notes:
            if note not in said:
                said.add(note)
                yield Notice("thread-note", f"{field}.thread", note)


def about_notices(work: Work) -> Iterator[Notice]:
    """Lengths that are only about so long: what that allows, and when it is to be known better."""
    for number, section in enumerate(work.part.sections):
        if section.length.about:
            off = told(rough_mm(section.length.mm), work.job.unit)
            text = (
                f"Section {number + 1} is only about so long: {off} more or less is on size. Where something must "
                "reach it, measure that first and type the length."
            )
            yield Notice("about-length", f"part.sections.{number}.length", text)


def _shallow(work: Work, found: ThreadWork, field: str) -> Notice:
    """A lead chamfer that was typed so small that it ends above the root of the thread."""
    usual = chamfer_diameter(found.thread)
    each = convert(found.blank.diameter.value - usual.value, found.thread.unit, "mm") / 2
    least = told(each, work.job.unit, fine=True)
    text = (
        f"This chamfer ends above the root of the thread: the die starts late and crooked. Make it {least}, or leave "
    )
    return Notice("lead-shallow", f"{field}.chamfer", f"{text}it empty.")


def _full_thread(work: Work, length_mm: float, found: ThreadWork, field: str) -> Notice:
    """What a relief groove within the length of a thread leaves of it."""
    left, long = told(length_mm - found.grooves_mm, work.job.unit), told(length_mm, work.job.unit)
    takes = "the grooves take" if found.between else "the relief groove takes"
    text = f"{long} to the shoulder leaves {left} of full thread: {takes} the rest. "
    if found.between:
        return Notice(
            "full-thread", f"{field}.length", f"{text}Make the section longer if the thread is to be that long."
        )
    if found.groove_width_mm * SHORT_THREAD > length_mm and found.cutter.flips:
        text += "Flip the die instead, leave a run-out, or "
    else:
        text += "If the thread itself is to be that long, "
    return Notice("full-thread", f"{field}.runs", f"{text}choose “full thread”.")


def _way(work: Work, number: int) -> Iterator[Notice]:
    """Why the way a thread is cut does not suit it. A die under power is then turned by hand, and that is said."""
    section, method = work.part.sections[number], work.job.method
    wanted = wanted_outside(work, number)
    if not section.cutter.in_holder:
        yield from refused(OUTSIDE, section.cut, wanted, f"part.sections.{number}.cut", method.because)
    elif not DIE_HOLDINGS[method.holder].power:
        yield from refused(OUTSIDE, method.holder, wanted, "method.holder", method.because)


def _unlike(work: Work, number: int, thread_work: ThreadWork, measured: Length) -> Notice:
    """A sample that measures something else than the thread it is said to have: a pipe size is not a diameter."""
    probable = nominals(measured.mm, thread=True)
    hint = f" {probable[0].typed} does, about." if probable else ""
    thread = thread_work.thread
    across = told(thread.major_mm, work.job.unit, fine=True)
    text = f"{thread.designation} measures {across} across the crests, not {measured.typed}.{hint}"
    return Notice("measured-unlike", f"part.sections.{number}.measured", text)


def _taper(work: Work, number: int, thread_work: ThreadWork, taper: TaperBlank) -> Iterator[Notice]:
    """Room for a taper thread and the lead of its die; and what seals it."""
    name, length = thread_work.thread.designation, work.part.sections[number].length.mm
    field = f"part.sections.{number}"
    useful, lead = in_mm(taper.useful), UNFINISHED_THREADS * thread_work.thread.pitch_mm
    wanted = useful + (lead if thread_work.shoulder else 0.0)
    if length < wanted - SUM_MM:
        behind = f" and {told(lead, work.job.unit)} for the lead of its die" if thread_work.shoulder else ""
        text = (
            f"{name} has {told(useful, work.job.unit)} of useful thread{behind}. Make it {told(wanted, work.job.unit)}."
        )
        yield Notice("taper-short", f"{field}.length", text)
    text = f"{name} seals on its thread, with tape or compound. {PROOF}"
    yield Notice("pipe-thread", f"{field}.thread", text)


def _sizes(work: Work) -> Iterator[Notice]:
    part, unit = work.part, work.job.unit
    if part.stated is not None and abs(part.stated.mm - part.overall_mm) > SUM_MM:
        over = part.overall_mm - part.stated.mm
        text = (
            f"The sections add up to {told(part.overall_mm, unit)}; the overall length is "
            f"{told(part.stated.mm, unit)}: {told(abs(over), unit)} too {'long' if over > 0 else 'short'}. "
            "The plan uses the sections."
        )
        yield Notice("sum-differs", "part.overall_length", text)
    for number, section in enumerate(part.sections):
        if section.shape not in ("hexagon", "square") or section.across is None or part.stock.form != "round":
            continue
        most = largest_across_flats(MILLED[section.shape], part.stock.corners_mm, "mm").value
        if section.across.mm > most + SUM_MM:
            text = (
                f"From this bar a {section.shape} with sharp corners can be at most "
                f"{told(most, unit, fine=True)} across: at {told(section.across.mm, unit, fine=True)} the "
                "corners stay rounded."
            )
            yield Notice("corners-rounded", f"part.sections.{number}.across", text)


def _holding(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Notice]:
    if work.settled.notice is not None:
        yield work.settled.notice
    for chucking in ways:
        grip = chucking.grip
        if grip.on_thread:
            text = f"The second end can be held only by {grip.words}, already cut: protect it, or lengthen the body."
            yield Notice("grips-thread", "method.order", text)
        elif grip.length_mm < LEAST_GRIP_MM - 0.01:
            text = (
                f"Only {told(max(0.0, grip.length_mm), work.job.unit)} of {grip.words} can be held: bore soft "
                "jaws to it and take light cuts."
            )
            yield Notice("grip-short", "method.order", text)
        yield from _support(work, chucking)
    yield from _turned_about(work)


def _turned_about(work: Work) -> Iterator[Notice]:
    """That the end which is made first is not the one that stands first."""
    if not work.ends.turned_about or work.otherwise.swapped:
        return
    text = "The head is listed first, but the other end is made first and the head last."
    if work.ends.second:
        text = "The taper is made last, from its small end, with the piece held by its other end."
    yield Notice("turned-about", "part.sections", text)


def _support(work: Work, chucking: Chucking) -> Iterator[Notice]:
    """Why an end runs on a centre, or on a steady too, that nobody asked for."""
    if "turn" not in chucking.does or not chucking.centred or chucking.faces in work.otherwise.centred:
        return
    long = f"An end is {chucking.worked_mm / chucking.grip.across_mm:.1f} diameters long"
    if chucking.carried == "steady":
        yield Notice(
            "wants-steady", "method.support", f"{long}, over {STEADY_RATIO:.0f}: use a centre and a travelling steady."
        )
    elif work.job.method.support == "chuck":
        slim = not over(chucking.worked_mm, CENTRE_RATIO * chucking.grip.across_mm)
        why = "An end is slender" if slim else f"{long} (over {CENTRE_RATIO:.0f})"
        yield Notice(
            "wants-centre", "method.support", f"{why}: the plan uses a centre. To work without one, give a reason."
        )


def notices(work: Work, ways: tuple[Chucking, ...], left: tuple[Breach, ...]) -> tuple[Notice, ...]:
    """Every remark on the job, in the order of blank, sizes, holding; `left` is what did not hold when it was run."""
    out = [*_threads(work), *_sizes(work), *about_notices(work), *hole_notices(work, ways, left), *_holding(work, ways)]
    out += milling_notices(work, ways)
    if work.dry_against_advice and work.part.threads:
        text = f"Use {work.job.material.lubricant}: cut dry, {work.job.material.name} tears and breaks taps."
        out.append(Notice("runs-dry", "method.lubricant", text))
    if work.job.identified is not None:
        out.append(
            Notice("identified", f"part.sections.{next(iter(work.threads), 0)}.thread", work.job.identified.words)
        )
    return tuple(out)
