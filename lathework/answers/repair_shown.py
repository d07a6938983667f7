"""A stud repair drawn while it is typed."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Any

from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.drawing.repair import StudFitted, repair_drawing
from lathework.errors import InputError, InvalidDocument
from lathework.job.repair import AskedRepair, StudRepair, stud_repair
from lathework.threads.designation import read_called
from lathework.units import convert

THREAD = "M12"
"""Drawn until the thread can be read."""
PART = 2.0
"""The part over the stud's thread, until its diameter can be read."""


@answer
class RepairSketch:
    """The repair so far; None where nothing of it can be drawn. `assumed` are the fields that usual sizes stand for."""

    drawing: SheetShown | None
    assumed: tuple[str, ...]


def _fitted(repair: StudRepair) -> StudFitted:
    """The repair as it is drawn."""
    sizes, thread = repair.sizes, repair.sizes.thread

    def mm(value: float) -> float:
        return convert(value, thread.unit, "mm")

    return StudFitted(
        repair.across.mm,
        thread.major_mm,
        thread.minor_mm,
        thread.pitch_mm,
        mm(sizes.engaged.value),
        mm(sizes.hole.value),
        mm(sizes.clamped),
        mm(sizes.washer),
        mm(sizes.height.value),
        mm(sizes.across_flats.value),
        mm(sizes.past),
        mm(sizes.nut_thread.value),
    )


def _usual(asked: AskedRepair, field: str) -> str:
    """What stands in a field of the form that cannot be read: the usual, by its thread."""
    if field == "thread":
        return THREAD
    if field != "across":
        return ""
    try:
        major = read_called(asked.thread).thread.major_mm
    except InputError:
        major = read_called(THREAD).thread.major_mm
    return f"{PART * major:.2f} mm"


def repair_sketch(
    asked: AskedRepair, method: Mapping[str, Any], setup: Mapping[str, Any], *, narrow: bool = False
) -> RepairSketch:
    """The repair that a form describes so far, drawn together; `narrow` is for a screen as wide as a phone."""
    assumed: list[str] = []
    while True:
        try:
            repair = stud_repair(asked, method, setup)
        except InputError as error:
            # What is wrong is said beside its field; the drawing goes on without it.
            field = "across" if error.code == "does-not-fit" else error.field
            usual = _usual(asked, field)
            if field in assumed or not hasattr(asked, field):
                return RepairSketch(None, tuple(assumed))
            assumed.append(field)
            asked = replace(asked, **{field: usual})
        except InvalidDocument:
            return RepairSketch(None, tuple(assumed))
        else:
            sheet = repair_drawing(_fitted(repair), repair.thread.designation, narrow=narrow)
            return RepairSketch(sheet_shown(sheet), tuple(assumed))
