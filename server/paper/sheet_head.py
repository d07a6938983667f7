"""The head of a part on its set-up sheet: its name, its facts by name, and a box for each piece."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

from reportlab.lib.units import mm
from reportlab.platypus import Flowable, Spacer, Table

from lathework.answers.values import figure_text
from lathework.planning.plan import Plan
from lathework.units import LengthUnit, unit_word
from server.paper.code import Code
from server.paper.fonts import WORDS
from server.paper.lettering import Lettering
from server.paper.pieces import draw_piece

Fact = tuple[str, str]
"""What a fact is called, and the fact."""
_CODE, _CODE_WORDS = 24 * mm, 22 * mm
"""A code that a camera reads from the bench, and the words beside it."""
_NAME = 25 * mm
"""Width of the column with the names of facts."""
_UNIT_WORDS: dict[LengthUnit, str] = {"in": "inches", "mm": "millimetres"}
_FORMS = {"hexagon": "hexagon bar", "square": "square bar", "bolt": "bolt", "kept": "the part itself,"}
_IN_A_ROW, _ROWS = 20, 2
"""Pieces that a row holds, and rows; of more pieces each stands for ten, a hundred or a thousand."""


class PiecesBar(Flowable):
    """Pieces end to end on their bar, each a thread in outline: one is filled with a pencil when its piece is made."""

    high, groove, longest = 6 * mm, 2.2 * mm, 24 * mm

    def __init__(self, many: int, width: float) -> None:
        super().__init__()
        self.many = many
        self.each = next(each for each in (1, 10, 100, 1000) if many <= each * _IN_A_ROW * _ROWS)
        self.count = -(-many // self.each)
        self.in_row = min(self.count, _IN_A_ROW)
        room = (width - self.groove * (self.in_row - 1)) / self.in_row
        self.long = min(self.longest, room)
        self.width, self.height = width, -(-self.count // _IN_A_ROW) * (self.high + 1.5 * mm)

    def draw(self) -> None:
        """Each piece with its number, and the stock that it is parted from."""
        canvas = self.canv
        canvas.setFont(WORDS, 7)
        for number in range(self.count):
            down, along = divmod(number, _IN_A_ROW)
            left = along * (self.long + self.groove)
            middle = self.height - down * (self.high + 1.5 * mm) - self.high / 2
            if along:
                canvas.setLineWidth(0.6)
                canvas.rect(left - self.groove, middle - self.high / 4, self.groove, self.high / 2)
            draw_piece(canvas, left, middle, self.long, self.high)
            canvas.drawCentredString(left + self.long / 2, middle - 2.4, str(min((number + 1) * self.each, self.many)))


def _heading(text: str, style: Lettering, address: str) -> Flowable:
    """The name of the job, and where the bench of it is found, for the camera of a tablet."""
    if not address:
        return style.title(text)
    rules: list[Any] = [("VALIGN", (0, 0), (-1, -1), "MIDDLE"), ("LEFTPADDING", (0, 0), (0, 0), 0)]
    row = [[style.title(text), style.care("open the bench on a tablet"), Code(address, _CODE)]]
    return Table(row, colWidths=[style.width - _CODE - _CODE_WORDS, _CODE_WORDS, _CODE], style=rules)


def _facts(plan: Plan) -> list[Fact]:
    """What a part is, of what it is made and on which lathe; what is said of it."""
    job, setup, unit = plan.job, plan.job.setup, plan.job.unit
    stock = job.part.stock
    bar = next((f for f in plan.batch if f.name == "bar for the batch"), None)
    together = job.quantity > 1 and job.method.batch == "holding"
    order = ", one set-up for all pieces at a time" if together else ""
    amount = f", {figure_text(bar, unit)} for the batch" if bar else ""
    lathe = (
        f"{setup.dial} dial · grooving blade {setup.groove_blade.typed} ({setup.groove_edge} edge) · "
        f"parting blade {setup.parting_blade.typed} ({setup.parting_edge} edge) · lengths in {_UNIT_WORDS[unit]}"
    )
    facts = [
        ("Pieces", f"{job.quantity} {unit_word('piece', job.quantity)}{order} · {job.part.designations}"),
        ("Bar", f"{job.material.name}, {_FORMS.get(stock.form, 'bar')} {stock.across.typed}{amount}"),
        ("Lathe", lathe),
        ("Mating part", job.fits),
        # Both ends may say the same.
        ("Note", "\n".join(dict.fromkeys(notice.text for notice in plan.notices))),
    ]
    return [fact for fact in facts if fact[1]]


def head_of(
    plan: Plan, style: Lettering, name: str, kit: Sequence[Fact], *, first: bool, address: str
) -> list[Flowable]:
    """The head of a part called `name`: a row for each fact and each line of its `kit`, and its pieces to tick off.
    The `first` says whom the job is for, and its cautions, larger than all else."""
    rows: list[list[Any]] = []
    if first:
        rows += [[style.step("Caution"), style.step(caution.do)] for caution in plan.cautions]
    whom = [("For", plan.job.needed_by)] if first and plan.job.needed_by else []
    for fact, text in (*whom, *_facts(plan), *kit):
        for number, line in enumerate(text.split("\n")):
            rows.append([style.care(fact if number == 0 else ""), style.care(line)])
    rules: list[Any] = [
        ("VALIGN", (0, 0), (-1, -1), "TOP"),
        ("TOPPADDING", (0, 0), (-1, -1), 0),
        ("BOTTOMPADDING", (0, 0), (-1, -1), 1),
        ("LEFTPADDING", (0, 0), (-1, -1), 0),
        ("RIGHTPADDING", (0, 0), (-1, -1), 0),
    ]
    head = [_heading(name, style, address), Spacer(1, 4)]
    head.append(Table(rows, colWidths=[_NAME, style.width - _NAME], style=rules))
    if plan.job.quantity > 1:
        head += [Spacer(1, 4), PiecesBar(plan.job.quantity, style.width)]
    return head
