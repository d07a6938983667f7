"""Figures of place and size in the job's unit, and readout positions for the edge that was touched off."""

from __future__ import annotations

from lathework.figures import AS_TYPED, GEOMETRY, Figure, Given, added
from lathework.lengths import Length
from lathework.planning.work import Work
from lathework.units import LengthUnit, convert


def given_mm(name: str, mm: float, unit: LengthUnit) -> Given:
    """An input of `mm` millimetres, told in `unit`."""
    return Given(name, convert(mm, "mm", unit), unit)


def given(name: str, length: Length) -> Given:
    """A typed length as an input."""
    return Given(name, length.value, length.unit)


def typed(name: str, length: Length, *, fine: bool) -> Figure:
    """A typed length as a figure."""
    return Figure(name, length.value, length.unit, "as you entered it", AS_TYPED, fine=fine, kind="typed")


def along(work: Work, name: str, mm: float, formula: str, *inputs: Given, fine: bool = False, note: str = "") -> Figure:
    """A length along the bed of `mm` millimetres."""
    unit = work.job.unit
    return Figure(name, convert(mm, "mm", unit), unit, formula, GEOMETRY, inputs, fine=fine, note=note)


def _place(work: Work, name: str, z_mm: float, formula: str, *inputs: Given, note: str = "") -> Figure:
    """A place on the bed at `z_mm` (0 at the face, negative toward the chuck): readout, or travel to a stop."""
    # To four places of an inch: 0.1875 is not 0.188 here and 0.187 there.
    fine = work.job.unit == "in"
    if work.job.setup.readout == "readout":
        return along(work, f"{name} at", z_mm, formula, *inputs, fine=fine, note=note)
    from_face = f"−({formula}); from the face"
    return along(work, f"{name}: carriage travel", -z_mm, from_face, *inputs, fine=fine, note=note)


def place_words(work: Work, key: str) -> str:
    """How a sentence names the place whose figure has `key`."""
    if work.job.setup.readout == "readout":
        return f"at Z {{{key}}}"
    return f"after {{{key}}} of travel from the face"


def axis_word(work: Work) -> str:
    """The word before a place where it stands alone."""
    return "Z" if work.job.setup.readout == "readout" else "travel"


def tip_stop(work: Work, behind_mm: float, *inputs: Given) -> Figure:
    """Where a pointed tool ends its cut, `behind_mm` millimetres behind the face."""
    lengths = inputs or (given_mm("behind the face", behind_mm, work.job.unit),)
    return _place(work, "tool tip stops", -behind_mm, f"−({added(lengths)})", *lengths)


def blade_place(work: Work, *, cut_end_mm: float, blade: Length, edge: str, name: str) -> Figure:
    """Where the touched edge of a blade stands when its left edge is `cut_end_mm` (millimetres) behind the face."""
    end, width = given_mm("cut ends behind the face", cut_end_mm, work.job.unit), given("blade width", blade)
    note = f"The {edge} edge was touched off."
    if edge == "left":
        return _place(work, name, -cut_end_mm, "−cut ends behind the face", end, note=note)
    return _place(work, name, blade.mm - cut_end_mm, "blade width − cut ends behind the face", end, width, note=note)


def plunge_dial(work: Work, start_mm: float, end_mm: float) -> Figure:
    """What the cross slide moves from touching `start_mm` to `end_mm`, diameters in millimetres."""
    share = 1.0 if work.job.setup.dial == "diameter" else 0.5
    unit = work.job.unit
    return Figure(
        f"on the {work.job.setup.dial} dial",
        convert((start_mm - end_mm) * share, "mm", unit),
        unit,
        "diameter touched − target diameter"
        if share == 1
        else "(diameter touched − target diameter) ÷ 2; a radius dial",
        GEOMETRY,
        (given_mm("diameter touched", start_mm, unit), given_mm("target diameter", end_mm, unit)),
    )
