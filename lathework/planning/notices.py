"""What must be said about a job as a whole: coded, with the field it concerns."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.part import MILLED
from lathework.planning.chucking import LEAST_GRIP_MM, Chucking
from lathework.planning.hole_notices import hole_notices
from lathework.planning.notice import Notice, told
from lathework.planning.work import Work
from lathework.rules.stock import largest_across_flats

SHORT_THREAD = 2.0
"""A groove that leaves fewer full threads than this many groove widths is remarked on."""
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
        if found.groove_width_mm * SHORT_THREAD > section.length.mm:
            text = "The groove takes half the thread: turn the die round instead, or leave a run-out."
            yield Notice("groove-eats-thread", "method.finish", text)
        for note in found.thread.notes:
            if note not in said:
                said.add(note)
                yield Notice("thread-note", f"{field}.thread", note)


def _sizes(work: Work) -> Iterator[Notice]:
    part, unit = work.part, work.job.unit
    if part.stated is not None and abs(part.stated.mm - part.overall_mm) > SUM_MM:
        over = part.overall_mm - part.stated.mm
        text = (
            f"The sections add up to {told(part.overall_mm, unit)}, the overall length says "
            f"{told(part.stated.mm, unit)}: {told(abs(over), unit)} too {'much' if over > 0 else 'little'}. "
            "The plan follows the sections."
        )
        yield Notice("sum-differs", "part.overall_length", text)
    for number, section in enumerate(part.sections):
        if section.shape not in ("hexagon", "square") or section.across is None or part.stock.form != "round":
            continue
        most = largest_across_flats(MILLED[section.shape], part.stock.corners_mm, "mm").value
        if section.across.mm > most + SUM_MM:
            text = (
                f"This bar gives a sharp {section.shape} of {told(most, unit, fine=True)} across at most: "
                f"at {told(section.across.mm, unit, fine=True)} the corners stay rounded."
            )
            yield Notice("corners-rounded", f"part.sections.{number}.across", text)


def _holding(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Notice]:
    for chucking in ways:
        grip = chucking.grip
        if grip.on_thread:
            text = f"The second end can only be held by {grip.words}, finished: protect it, or make the body longer."
            yield Notice("grips-thread", "method.order", text)
        if grip.length_mm < LEAST_GRIP_MM - 0.01:
            text = (
                f"Only {told(max(0.0, grip.length_mm), work.job.unit)} is left in the jaws on {grip.words}: "
                f"less than {told(LEAST_GRIP_MM, work.job.unit)} does not hold."
            )
            yield Notice("grip-short", "method.order", text)
    if work.ends.turned_about:
        yield Notice(
            "turned-about", "part.sections", "The head stands first: the other end is made first, the head last."
        )


def notices(work: Work, ways: tuple[Chucking, ...]) -> tuple[Notice, ...]:
    """Every remark on the job, in the order of blank, sizes, holding."""
    out = [*_threads(work), *_sizes(work), *hole_notices(work, ways), *_holding(work, ways)]
    if work.job.identified is not None:
        out.append(
            Notice("identified", f"part.sections.{next(iter(work.threads), 0)}.thread", work.job.identified.words)
        )
    return tuple(out)
