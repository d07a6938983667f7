"""The set-up sheet: one page a person reads at arm's length, in black and white."""

from __future__ import annotations

from collections.abc import Sequence
from io import BytesIO
from xml.sax.saxutils import escape

from reportlab.lib.pagesizes import A4
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.platypus import Flowable, KeepTogether, PageBreak, Paragraph, SimpleDocTemplate, Spacer, Table

from lathework.drawing.layout import WIDE
from lathework.drawing.part_view import part_sheet
from lathework.drawing.shapes import Role, Sheet, hatch
from lathework.figures import counted
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.present.plans import headline_text, sentence_text
from lathework.present.values import figure_text
from lathework.units import LengthUnit
from server.paper.fonts import BOLD, FIGURES, WORDS, fonts

_MARGIN = 12 * mm
_WEIGHT: dict[Role, float] = {"part": 1.3, "edge": 1.0, "chuck": 1.0, "jaw": 1.0, "hatch": 0.25, "bore": 1.0}
_FILLED: tuple[Role, ...] = ("part", "chuck", "jaw", "bore")
_TITLE = ParagraphStyle("title", fontName=BOLD, fontSize=20, leading=24)
_LINE = ParagraphStyle("line", fontName=WORDS, fontSize=11, leading=14)
_STEP = ParagraphStyle("step", fontName=BOLD, fontSize=12.5, leading=15)
_DO = ParagraphStyle("do", fontName=WORDS, fontSize=12, leading=14.5)
_CARE = ParagraphStyle("care", fontName=WORDS, fontSize=10, leading=12, leftIndent=6)
_KEY = ParagraphStyle("key", fontName=FIGURES, fontSize=14, leading=17, alignment=2)


class PartDrawing(Flowable):
    """The part's sheet, scaled to the page."""

    def __init__(self, sheet: Sheet, unit: LengthUnit, width: float) -> None:
        super().__init__()
        self.hAlign = "CENTER"
        self.sheet, self.unit, self.ratio = sheet, unit, width / sheet.width
        self.width, self.height = width, sheet.height * self.ratio

    def draw(self) -> None:
        """Draw every path and label that belongs to no single step."""
        canvas = self.canv
        canvas.saveState()
        canvas.translate(0, self.height)
        canvas.scale(self.ratio, self.ratio)
        for path in self.sheet.paths:
            if path.step:
                continue
            canvas.setLineWidth(_WEIGHT.get(path.role, 0.5) / self.ratio)
            canvas.setDash(
                [5, 4] if path.role in ("ghost", "hidden") else [16, 4, 3, 4] if path.role == "centre" else []
            )
            canvas.setFillGray(0 if path.role == "arrow" else 1)
            lines = [ruled for area in path.lines for ruled in hatch(area)] if path.role == "hatch" else path.lines
            for line in lines:
                shape = canvas.beginPath()
                shape.moveTo(line[0][0], -line[0][1])
                for x, y in line[1:]:
                    shape.lineTo(x, -y)
                if path.closed and len(line) > 2:
                    shape.close()
                filled = path.role in _FILLED or path.role == "arrow"
                canvas.drawPath(shape, stroke=0 if path.role == "arrow" else 1, fill=1 if filled else 0)
        self._labels()
        canvas.restoreState()

    def _labels(self) -> None:
        canvas, size = self.canv, 9.5 / self.ratio
        canvas.setFillGray(0)
        canvas.setFont(FIGURES, size)
        put = {"start": canvas.drawString, "middle": canvas.drawCentredString, "end": canvas.drawRightString}
        for label in self.sheet.labels:
            if label.step:
                continue
            text = label.inch if self.unit == "in" else label.mm
            width = canvas.stringWidth(text, FIGURES, size)
            left = {"start": label.x, "middle": label.x - width / 2, "end": label.x - width}[label.anchor]
            canvas.setFillGray(1)
            canvas.rect(left - 2, -label.y - 3, width + 4, size + 1, stroke=0, fill=1)
            canvas.setFillGray(0)
            put[label.anchor](label.x, -label.y, text)


def _paragraph(text: str, style: ParagraphStyle) -> Paragraph:
    return Paragraph(escape(text), style)


def _passes(operation: Operation, unit: LengthUnit) -> list[Flowable]:
    """The cuts of a turning step in one line: the diameter after each."""
    if not operation.passes:
        return []
    *cuts, spring = [figure_text(figure, unit) for figure in operation.passes]
    return [_paragraph(f"Cuts to {', '.join(cuts)}; spring pass at {spring}.", _CARE)]


def _remarks(number: int, operation: Operation, said: dict[str, int]) -> list[Flowable]:
    """Cautions and notes; a note once a sheet, a caution again by the step that told it in full."""
    lines = []
    for caution in operation.cautions:
        first = said.setdefault(caution.do, number)
        lines.append(f"Care: {caution.do}" if first == number else f"Care: as at step {first}.")
    lines += [note for note in operation.notes if said.setdefault(note, number) == number]
    return [_paragraph(line, _CARE) for line in dict.fromkeys(lines)]


def _step(number: int, operation: Operation, unit: LengthUnit, width: float, said: dict[str, int]) -> Flowable:
    says: list[Flowable] = [_paragraph(f"{number}  {operation.title}", _STEP)]
    says += [_paragraph(operation.zero, _CARE)] if operation.zero else []
    says += [_paragraph(sentence_text(operation, unit), _DO), *_passes(operation, unit)]
    says += _remarks(number, operation, said)
    row = [[_square(), says, _paragraph(headline_text(operation, unit), _KEY)]]
    style = [
        ("VALIGN", (0, 0), (-1, -1), "TOP"),
        ("TOPPADDING", (0, 0), (-1, -1), 2),
        ("LINEBELOW", (0, 0), (-1, -1), 0.4, "#000000"),
    ]
    return KeepTogether(Table(row, colWidths=[9 * mm, width - 9 * mm - 38 * mm, 38 * mm], style=style))


def _square() -> Flowable:
    return Table([[""]], colWidths=[5.5 * mm], rowHeights=[5.5 * mm], style=[("BOX", (0, 0), (-1, -1), 1.1, "#000000")])


def _part(plan: Plan, width: float, drawing: float) -> list[Flowable]:
    """A part: its facts, what is said of it, each chucking with its `drawing` (its width) and steps."""
    unit = plan.job.unit
    story: list[Flowable] = [_paragraph(_facts(plan), _LINE)]
    story += [_paragraph(f"Fits: {plan.job.fits}.", _LINE)] if plan.job.fits else []
    story += [_paragraph(f"Note: {n.text}", _LINE) for n in plan.notices]
    number = 0
    said: dict[str, int] = {}
    for chucking in plan.chuckings:
        if len(plan.chuckings) > 1:
            name = "First end" if chucking.number == 1 else "Second end"
            story += [Spacer(1, 6), _paragraph(f"{name}: held by {chucking.grip.words}", _STEP)]
        story += [Spacer(1, 6), PartDrawing(part_sheet(plan, WIDE, chucking.number), unit, drawing), Spacer(1, 6)]
        for operation in (o for o in plan.operations if o.chucking == chucking.number):
            number += 1
            story.append(_step(number, operation, unit, width, said))
    return story


def setup_sheet(plans: Sequence[Plan]) -> bytes:
    """The set-up sheet of a job as PDF bytes, lengths in the job's own unit; each of its parts begins a page."""
    fonts()
    job = plans[0].job
    out = BytesIO()
    page = SimpleDocTemplate(
        out, pagesize=A4, leftMargin=_MARGIN, rightMargin=_MARGIN, topMargin=_MARGIN, bottomMargin=_MARGIN,
        title=f"Set-up sheet: {job.title}", author="Conch",
    )  # fmt: skip
    story: list[Flowable] = []
    # Two drawings share the paper that one has.
    drawing = page.width * (1.0 if len(plans) == len(plans[0].chuckings) == 1 else 0.78)
    for number, plan in enumerate(plans, 1):
        name = f": {number} of {len(plans)}, {job.part_names[number - 1]}" if len(plans) > 1 else ""
        story += [PageBreak()] if number > 1 else []
        story += [_paragraph(job.title + name, _TITLE), Spacer(1, 4)]
        if number == 1:
            story += [_paragraph(f"For: {job.needed_by}.", _LINE)] if job.needed_by else []
            story += [_paragraph(f"Care: {c.do}", _LINE) for c in plan.cautions]
        story += _part(plan, page.width, drawing)
    if job.notes:
        story += [Spacer(1, 6), _paragraph(job.notes, _LINE)]
    page.build(story)
    return out.getvalue()


def _facts(plan: Plan) -> str:
    """Pieces, metal, stock and lathe in one line."""
    job, setup, unit = plan.job, plan.job.setup, plan.job.unit
    stock = job.part.stock
    word = {"hexagon": "hexagon bar", "square": "square bar", "bolt": "bolt", "kept": "the part itself,"}.get(
        stock.form, "bar"
    )
    bar = next((f for f in plan.batch if f.name == "bar for the batch"), None)
    amount = f", {figure_text(bar, unit)} for the batch" if bar else ""
    return (
        f"{job.quantity} {counted(job.quantity, 'piece')} · {job.part.designations} · {job.material.name} · "
        f"{word} {stock.across.typed}{amount} · "
        f"{setup.dial} dial · groove blade {setup.groove_blade.typed} ({setup.groove_edge} edge) · "
        f"parting blade {setup.parting_blade.typed} ({setup.parting_edge} edge) · lengths in {unit}"
    )
