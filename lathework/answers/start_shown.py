"""What a job may begin as, drawn; and the part that a form describes so far."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import replace
from functools import cache
from typing import Literal

from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.values import FieldError, field_error
from lathework.drawing.part.alone import BELOW, BESIDE, STAMP, part_alone
from lathework.drawing.part.layout import Frame
from lathework.drawing.profile.stamp import stamp
from lathework.drawing.shapes import Path, Sheet, box
from lathework.errors import InputError, InvalidDocument
from lathework.fields import Json
from lathework.job.assumed import assumed
from lathework.job.beginnings import BEGINNINGS, Ask, Group, Start
from lathework.job.document import read_document
from lathework.job.starts import check_start, form_field, new_document, of_the_shop
from lathework.job.typed import Typed
from lathework.planning.plan import Plan, make_plan
from lathework.threads.designation import read_called, read_designation
from lathework.units import LengthUnit

Leads = Literal["repair", "thread"]
"""Beginnings that lead to a form of their own, or to a thread's page."""
LEADS: tuple[tuple[Leads, str, str, Group], ...] = (
    ("repair", "worn end to repair", "cut off and tapped, with a new stud", "From a part you have"),
    ("thread", "Just look up a thread", "its sizes, no job", "Without a part"),
)


COARSE = "M16x4"
"""The thread of the pictures: its turns are seen however small they are drawn."""


@answer
class BeginningShown:
    """A shape to start from: its picture, its group, and what it asks for; nothing where it leads elsewhere."""

    code: Start | Leads
    name: str
    remark: str
    asks: tuple[Ask, ...]
    shoulder: bool
    reads: bool
    finish: str
    picture: SheetShown
    group: Group


@answer
class StartSketch:
    """A form so far: the part it describes, without sizes that do not fit the others; what is wrong with what was
    typed, what is to be said of the thread, the unit that goes with it, and the method and lathe in force.

    `length` is a screw's, typed behind the thread that `thread` names without it; "" where none is.
    """

    drawing: SheetShown
    errors: tuple[FieldError, ...]
    remarks: tuple[str, ...]
    thread: str
    length: str
    unit: LengthUnit | None
    method: dict[str, str]
    setup: dict[str, str]


def _sides(sheet: Sheet) -> tuple[float, float, float, float]:
    """Left, top, right and bottom of what is drawn."""
    points = [point for path in sheet.paths for line in path.lines for point in line]
    across, down = zip(*points, strict=True)
    return min(across), min(down), max(across), max(down)


def _stamp(start: Start, *more: Path) -> Sheet:
    finish = next(beginning.finish for beginning in BEGINNINGS if beginning.code == start)
    typed = assumed(Typed(start, "mm", thread=COARSE, threaded="28" if start == "body" else "", finish=finish))
    plan = make_plan(read_document(new_document(typed, None, None)).parts[0])
    sheet = part_alone(plan, STAMP, lambda _: False)
    return replace(sheet, paths=(*sheet.paths, *more))


def _measured(sheet: Sheet) -> Sheet:
    """A sheet with the line of a caliper under it."""
    left, _, right, bottom = _sides(sheet)
    y = bottom + 4
    ends = tuple(((x, y - 4), (x, y + 4)) for x in (left, right))
    return replace(sheet, paths=(*sheet.paths, Path("ghost", (((left, y), (right, y)), *ends))))


def _with_stud(sheet: Sheet) -> Sheet:
    """A sheet with the stud that goes into the hole of its right-hand end."""
    left, top, right, bottom = _sides(sheet)
    middle, half, long = (top + bottom) / 2, (bottom - top) / 5, (right - left) / 3
    stud = box(right, middle - half, right + long, middle + half)
    return replace(sheet, width=sheet.width + long, paths=(*sheet.paths, Path("ghost", (stud,), closed=True)))


def _picture(code: Start | Leads) -> Sheet:
    if code == "repair":
        return _with_stud(_stamp("body"))
    if code == "thread":
        return stamp(read_designation("M16"))
    return _measured(_stamp(code)) if code == "sample" else _stamp(code)


@cache
def beginnings_shown() -> tuple[BeginningShown, ...]:
    """Every beginning with its picture."""
    own = [
        BeginningShown(
            b.code, b.name, b.remark, b.asks, b.shoulder, b.reads, b.finish, sheet_shown(_picture(b.code)), b.group
        )
        for b in BEGINNINGS
    ]
    leads = [
        BeginningShown(code, name, remark, (), False, False, "", sheet_shown(_picture(code)), group)
        for code, name, remark, group in LEADS
    ]
    return (*own, *leads)


def _wrong(typed: Typed, method: Json | None, setup: Json | None) -> tuple[FieldError, ...]:
    """What is wrong with what was typed: an empty field is not wrong yet."""
    try:
        check_start(typed, new_document(typed, method, setup))
    except InvalidDocument as invalid:
        return tuple(field_error(e) for e in invalid.errors if getattr(typed, e.field, "") not in ("", None))
    return ()


_SIZES = ("stock", "threaded", "shank", "shank_length", "flats", "hole", "head", "knurl", "overall", "present")
"""What can stand in the way of a drawing besides the thread."""


def _drawable(typed: Typed, method: Json | None, setup: Json | None) -> tuple[Typed, Plan]:
    """The form filled so that it can be drawn, and its plan: a size that does not go with the others is left out; all
    of them where that does not help, and the thread at last."""
    while True:
        filled = assumed(typed)
        try:
            return filled, make_plan(read_document(new_document(filled, method, setup)).parts[0])
        except InvalidDocument as invalid:
            wrong = {form_field(typed.start, error.field) for error in invalid.errors}
            typed = _without(typed, wrong) or _without(typed, _SIZES) or Typed(typed.start, typed.unit)


def _without(typed: Typed, fields: Iterable[str]) -> Typed | None:
    """The form with those fields empty; None where they are."""
    off = {name: "" for name in fields if name and getattr(typed, name)}
    return replace(typed, **off) if off else None  # type: ignore[arg-type]  # texts all


def _drawn(typed: Typed, method: Json | None, setup: Json | None, frame: Frame) -> SheetShown:
    filled, plan = _drawable(typed, method, setup)

    def shows(path: str) -> bool:
        # Only what the person typed is told, and that only where it could be read.
        place = form_field(typed.start, path)
        return bool(place) and getattr(typed, place) == getattr(filled, place) != ""

    return sheet_shown(part_alone(plan, frame, shows))


def start_sketch(typed: Typed, method: Json | None, setup: Json | None, *, narrow: bool = False) -> StartSketch:
    """What a form describes so far: drawn with usual sizes where it is empty, which are not told.

    `narrow` is for a screen as wide as a phone.
    """
    own, lathe = of_the_shop(typed.unit, method, setup)
    try:
        called = read_called(typed.thread)
    except InputError:
        called = None
    return StartSketch(
        drawing=_drawn(typed, method, setup, BELOW if narrow else BESIDE),
        errors=_wrong(typed, method, setup),
        remarks=called.thread.notes if called else (),
        thread=called.thread.designation if called else "",
        length=called.length if called else "",
        unit=called.thread.unit if called else None,
        method=own,
        setup=lathe,
    )
