"""What must be said about a job as a whole: coded, with the field it concerns."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from lathework.part import MILLED
from lathework.planning.bores import FLOOR_MM, THIN_WALL, bore_work, depth_figure, largest_mm, wall_mm
from lathework.planning.chucking import LEAST_GRIP_MM, Chucking
from lathework.planning.work import Work, in_mm
from lathework.rules.stock import largest_across_flats
from lathework.units import LengthUnit, show_both

SHORT_THREAD = 2.0
"""A groove that leaves fewer full threads than this many groove widths is remarked on."""
SUM_MM = 0.02
"""By how much a stated overall length may differ from the sum before it is said."""


@dataclass(frozen=True, slots=True)
class Notice:
    """A coded remark on the job as a whole: the field it concerns and what to do."""

    code: str
    field: str
    text: str


def _told(mm: float, unit: LengthUnit, *, fine: bool = False) -> str:
    inch, metric = show_both(mm, "mm", fine=fine)
    return f"{inch} in" if unit == "in" else f"{metric} mm"


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
            f"The sections add up to {_told(part.overall_mm, unit)}, the overall length says "
            f"{_told(part.stated.mm, unit)}: {_told(abs(over), unit)} too {'much' if over > 0 else 'little'}. "
            "The plan follows the sections."
        )
        yield Notice("sum-differs", "part.overall_length", text)
    for number, section in enumerate(part.sections):
        if section.shape not in ("hexagon", "square") or section.across is None or part.stock.form != "round":
            continue
        most = largest_across_flats(MILLED[section.shape], part.stock.corners_mm, "mm").value
        if section.across.mm > most + SUM_MM:
            text = (
                f"This bar gives a sharp {section.shape} of {_told(most, unit, fine=True)} across at most: "
                f"at {_told(section.across.mm, unit, fine=True)} the corners stay rounded."
            )
            yield Notice("corners-rounded", f"part.sections.{number}.across", text)


def _bores(work: Work) -> Iterator[Notice]:
    part, unit = work.part, work.job.unit
    for number, bore in enumerate(part.bores):
        wall, across = wall_mm(part, bore), largest_mm(bore)
        deep = in_mm(depth_figure(bore_work(bore), part.overall_mm, 0.0, unit))
        if bore.depth is not None and deep > part.overall_mm - FLOOR_MM:
            text = (
                f"Drilled {_told(deep, unit)} deep for its tap this hole comes through the far end: "
                "tap it shallower, drill less and finish with a bottoming tap, or let it go through."
            )
            yield Notice("comes-through", f"part.bores.{number}.depth", text)
        if wall < THIN_WALL * across:
            text = (
                f"The wall round this hole is {_told(wall, unit)} at its thinnest, under {THIN_WALL:.0%} of the hole: "
                "it swells when you tap it and gives in the jaws. Tap before you turn the outside down, or go smaller."
            )
            yield Notice("thin-wall", f"part.bores.{number}", text)


def _holding(work: Work, ways: tuple[Chucking, ...]) -> Iterator[Notice]:
    for chucking in ways:
        grip = chucking.grip
        if grip.on_thread:
            text = f"The second end can only be held by {grip.words}, finished: protect it, or make the body longer."
            yield Notice("grips-thread", "method.order", text)
        if grip.length_mm < LEAST_GRIP_MM - 0.01:
            text = (
                f"Only {_told(max(0.0, grip.length_mm), work.job.unit)} is left in the jaws on {grip.words}: "
                f"less than {_told(LEAST_GRIP_MM, work.job.unit)} does not hold."
            )
            yield Notice("grip-short", "method.order", text)
    if work.ends.turned_about:
        yield Notice(
            "turned-about", "part.sections", "The head stands first: the other end is made first, the head last."
        )


def notices(work: Work, ways: tuple[Chucking, ...]) -> tuple[Notice, ...]:
    """Every remark on the job, in the order of blank, sizes, holding."""
    out = [*_threads(work), *_sizes(work), *_bores(work), *_holding(work, ways)]
    if work.job.identified is not None:
        out.append(
            Notice("identified", f"part.sections.{next(iter(work.threads), 0)}.thread", work.job.identified.words)
        )
    return tuple(out)
