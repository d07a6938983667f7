"""The set-up sheet: what a person reads at arm's length, in black and white, lettered as large as the paper allows."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from functools import partial
from io import BytesIO
from typing import Any, Literal

from reportlab.lib.pagesizes import A4
from reportlab.lib.units import mm
from reportlab.pdfbase.pdfmetrics import stringWidth
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import Flowable, KeepTogether, PageBreak, SimpleDocTemplate, Spacer, Table

from lathework.answers.printed import headline_text, notes_text, sentence_text
from lathework.answers.values import figure_text
from lathework.cutting.cuts import SPRING
from lathework.drawing.part.layout import PAPER
from lathework.drawing.part.view import part_sheet
from lathework.drawing.shapes import Sheet
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.units import LengthUnit, show_length
from server.paper.fonts import WORDS, fitted, fonts
from server.paper.lettering import SIZES, Lettering
from server.paper.pages import WIDTH, fewest_pages, pages_of, sheet_of_paper
from server.paper.part_drawing import PartDrawing
from server.paper.sheet_head import Fact, head_of

_FOOT = 5 * mm
"""Height above the paper's edge of the line that tells one loose sheet from another."""
_FOOT_SIZE = 9
_BOX, _KEY = 9 * mm, 38 * mm
"""Widths of the column to tick, and of the one with the key figure."""
Kits = Sequence[Sequence[Fact]]
"""Facts on the things that each part works with."""
Drawings = Sequence[Sequence[Sheet]]
"""The drawing of each chucking, of each part."""
_WRITTEN = ("diameter", "length", "bore", "across-flats")
"""Sizes that are written into the sheet; the others are measured at the bench alone."""
Reach = Literal["step", "holding", "part"]
"""How far one telling of a caution reaches: to the end of its step, of its holding, of its part."""


def _passes(operation: Operation, unit: LengthUnit) -> list[str]:
    """The cuts of a step in one line: the diameter after each, or what the dial reads."""
    if not operation.passes:
        return []
    cuts = [figure_text(figure, unit) for figure in operation.passes]
    spring = f"; spring pass at {cuts.pop()}" if operation.passes[-1].name == SPRING else ""
    to = "Dial" if operation.kind == "screwcut" else "Cut to" if len(cuts) == 1 else "Cuts to"
    return [f"{to} {', '.join(cuts)}{spring}."]


class _Said:
    """By which steps cautions and notes were told first."""

    def __init__(self, reach: Reach) -> None:
        self._reach = reach
        self._cautions: dict[str, int] = {}
        self._notes: dict[str, int] = {}

    def forget(self, end: Reach) -> None:
        """At the `end` of a step or of a holding: where no telling reaches further, cautions are told again."""
        if self._reach == end:
            self._cautions.clear()

    def first(self, number: int, operation: Operation, unit: LengthUnit) -> list[str]:
        """The cautions and notes that a step tells first."""
        cautions = (c.do for c in operation.cautions if self._cautions.setdefault(c.do, number) == number)
        notes = (note for note in notes_text(operation, unit) if self._notes.setdefault(note, number) == number)
        return list(dict.fromkeys([*(f"Caution: {do}" for do in cautions), *notes]))

    def before(self, number: int, operation: Operation) -> list[int]:
        """The steps that have told cautions of this one."""
        told = {self._cautions.get(c.do, number) for c in operation.cautions}
        return sorted(told - {number})


def _again(before: list[int]) -> str:
    """By which steps cautions were told in full; "" where by none."""
    if not before:
        return ""
    return f" Caution: as at step{'s' if len(before) > 1 else ''} {' and '.join(map(str, before))}."


def _measured(operation: Operation, unit: LengthUnit) -> list[str]:
    """The sizes of a step that make the part, each with its band: what is read is written into a box beside it."""
    told = []
    for dimension in operation.dimensions:
        if dimension.measured not in _WRITTEN or dimension.move == "none":
            continue
        low, high = (show_length(size, "mm", unit) for size in (dimension.target.low_mm, dimension.target.high_mm))
        told.append(f"{dimension.name} {low} to {high} {unit}")
    return told


class _Square(Flowable):
    """A square to tick."""

    def __init__(self) -> None:
        super().__init__()
        self.width = self.height = 5.5 * mm

    def draw(self) -> None:
        """Its outline."""
        self.canv.setLineWidth(1.1)
        self.canv.rect(0, 0, self.width, self.height)


class _Readings(Flowable):
    """Boxes to write readings in, as `many` as there are sizes: two in a row, in the order that they are named."""

    wide, high, gap, above = 17 * mm, 7 * mm, 1.5 * mm, 3

    def __init__(self, many: int) -> None:
        super().__init__()
        self.many = many
        self.width = min(many, 2) * (self.wide + self.gap) - self.gap
        self.height = (many + 1) // 2 * (self.high + self.above)

    def draw(self) -> None:
        """Their outlines."""
        self.canv.setLineWidth(1.1)
        for number in range(self.many):
            down, along = divmod(number, 2)
            top = self.height - self.above - down * (self.high + self.above)
            self.canv.rect(along * (self.wide + self.gap), top - self.high, self.wide, self.high)


def _tool(operation: Operation, unit: LengthUnit) -> str:
    """The tool of a step, and its speed where the sentence does not name it."""
    speed = operation.figures.get("speed")
    if speed is None or "{speed}" in operation.sentence:
        return operation.tool
    return f"{operation.tool}, {figure_text(speed, unit)}"


def _step(number: int, operation: Operation, unit: LengthUnit, style: Lettering, said: _Said) -> Flowable:
    """A step: a square to tick, what to do, its key figure over a box for each size that is measured."""
    says: list[Flowable] = [style.step(f"{number} {operation.title}", _tool(operation, unit))]
    says += [style.care(operation.zero)] if operation.zero else []
    says.append(style.do(sentence_text(operation, unit) + _again(said.before(number, operation))))
    measured = _measured(operation, unit)
    minded = [*_passes(operation, unit), *([f"Measure: {', '.join(measured)}."] if measured else [])]
    says += [style.care(line) for line in (*minded, *said.first(number, operation, unit))]
    boxes = [_Readings(len(measured))] if measured else []
    row = [[_Square(), says, [style.key(headline_text(operation, unit)), *boxes]]]
    rules: list[Any] = [
        ("VALIGN", (0, 0), (-1, -1), "TOP"),
        ("ALIGN", (2, 0), (2, 0), "RIGHT"),
        ("TOPPADDING", (0, 0), (-1, -1), 2),
        ("LEFTPADDING", (2, 0), (2, 0), 0),
        ("RIGHTPADDING", (2, 0), (2, 0), 1),
        ("LINEBELOW", (0, 0), (-1, -1), 0.4, "#000000"),
    ]
    return Table(row, colWidths=[_BOX, style.width - _BOX - _KEY, _KEY], style=rules)


def _numbered(plan: Plan, style: Lettering, reach: Reach) -> list[tuple[Chucking, list[Flowable]]]:
    """The steps in their order, numbered, under the chucking that each begins with.

    What is done off the lathe when all chuckings are over stays with the last.
    """
    said = _Said(reach)
    groups: dict[int, list[Flowable]] = {}
    for number, operation in enumerate(plan.operations, 1):
        group = operation.chucking if operation.chucking not in groups else max(groups)
        said.forget("step")
        if group not in groups:
            said.forget("holding")
        groups.setdefault(group, []).append(_step(number, operation, plan.job.unit, style, said))
    return [(plan.chuckings[number - 1], steps) for number, steps in groups.items()]


def _part(plan: Plan, style: Lettering, sheets: Sequence[Sheet], reach: Reach) -> list[Flowable]:
    """Each chucking of a part with its drawing (of `sheets`) and its steps."""
    unit = plan.job.unit
    story: list[Flowable] = []
    for chucking, (first, *others) in _numbered(plan, style, reach):
        opening: list[Flowable] = []
        if len(plan.chuckings) > 1:
            opening += [Spacer(1, 6), style.step(f"{chucking.words}: held by {chucking.grip.words}")]
        drawing = PartDrawing(sheets[chucking.number - 1], unit, style.width * style.size)
        opening += [Spacer(1, 4), drawing, Spacer(1, 4), first]
        # No heading or drawing at the foot of a page, away from its steps.
        story += [KeepTogether(opening), *others]
    return story


def story_of(
    plans: Sequence[Plan],
    style: Lettering,
    sheets: Drawings,
    kits: Kits = (),
    address: str = "",
    reach: Reach = "part",
) -> list[Flowable]:
    """The whole sheet; each part of the job begins a page. `kits` are facts on the things each works with; `address`
    is where the bench is found, "" where nowhere else; `reach` is how far one telling of a caution reaches."""
    job = plans[0].job
    story: list[Flowable] = []
    for number, plan in enumerate(plans, 1):
        name = f": {number} of {len(plans)}, {job.part_names[number - 1]}" if len(plans) > 1 else ""
        first = number == 1
        story += [] if first else [PageBreak()]
        kit = kits[number - 1] if kits else ()
        story += head_of(plan, style, job.title + name, kit, first=first, address=address if first else "")
        story += _part(plan, style, sheets[number - 1], reach)
    return [*story, Spacer(1, 6), style.line(job.notes)] if job.notes else story


def _foot(title: str, issued: str, pages: int) -> Callable[[Canvas, SimpleDocTemplate], None]:
    """What stands at the foot of every page: the job, when it was `issued`, and which of its `pages` (a count) this
    is."""

    def write(canvas: Canvas, document: SimpleDocTemplate) -> None:
        canvas.setFont(WORDS, _FOOT_SIZE)
        left, right = document.leftMargin + 6, A4[0] - document.rightMargin - 6
        told = " · ".join(filter(None, (issued, f"page {document.page} of {pages}")))
        canvas.drawRightString(right, _FOOT, told)
        room = right - left - stringWidth(told, WORDS, _FOOT_SIZE) - 4 * mm
        canvas.drawString(left, _FOOT, fitted(title, room, WORDS, _FOOT_SIZE))

    return write


def setup_sheet(plans: Sequence[Plan], kits: Kits = (), address: str = "", issued: str = "") -> bytes:
    """The set-up sheet of a job as PDF bytes, lengths in the job's own unit; each of its parts begins a page, with the
    facts of `kits` on the things it works with. A camera is led to the `address` of the bench, where there is one.
    `issued` is which revision it is, and of which day."""
    fonts()
    out, title = BytesIO(), plans[0].job.title
    sheets = [[part_sheet(plan, PAPER, chucking.number) for chucking in plan.chuckings] for plan in plans]
    told = partial(story_of, plans, sheets=sheets, kits=kits, address=address)
    pages, size, story = fewest_pages([(size, partial(told, Lettering(size, WIDTH))) for size in SIZES])
    # A caution is told again in full where that takes no paper: no page is turned with oily hands for its sake.
    reaches: tuple[Reach, ...] = ("step", "holding")
    for reach in reaches:
        if pages_of(told(Lettering(size, WIDTH), reach=reach)) <= pages:
            story = told(Lettering(size, WIDTH), reach=reach)
            break
    foot = _foot(title, issued, pages)
    sheet_of_paper(out, title).build(story, onFirstPage=foot, onLaterPages=foot)
    return out.getvalue()
