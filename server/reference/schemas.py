"""The size answer's shape, which the book of threads shares."""

from __future__ import annotations

from typing import Literal

from ninja import Field, Schema

from server.site.schemas import FigureOut, ThreadOut


class BlankNumbers(Schema):
    """One school's blank in the thread's own unit."""

    school: Literal["nominal", "pitch-fraction", "mid-limits", "mate-takes"]
    diameter: float
    crest_percent: float
    within_class: bool
    verdict: str
    source: str


class DrillOut(Schema):
    """A tapping drill with the per cent thread it leaves."""

    name: str
    diameter: float
    percent: float
    convention: str


class GrooveOut(Schema):
    """A relief groove."""

    diameter: float
    width: float


class ChamferOut(Schema):
    """A lead chamfer."""

    diameter: float


class WiresOut(Schema):
    """Best wires, and the measurement over them at the limits of the external pitch diameter."""

    best: float
    over_wires: list[float] | None


class ExternalOut(Schema):
    """Limits of the external thread: least and greatest of each diameter."""

    class_name: str = Field(alias="class")
    major: list[float]
    pitch_diameter: list[float]
    minor_max: float
    notes: list[str]


class InternalOut(Schema):
    """Limits of the internal thread: least and greatest of each diameter."""

    class_name: str = Field(alias="class")
    minor: list[float]
    pitch_diameter: list[float]
    major_min: float
    notes: list[str]


class TaperOut(Schema):
    """Lengths of a taper pipe thread."""

    gauge_length: float
    gauge_tolerance: float | None
    useful_length: float


class SchoolFigure(Schema):
    """One school's blank as a figure."""

    school: str
    figure: FigureOut
    within_class: bool


class SizeFigures(Schema):
    """The figures of a size answer with their working."""

    basic: list[FigureOut]
    blank: list[SchoolFigure]
    groove: list[FigureOut]
    chamfer: FigureOut | None
    wire: FigureOut


class SizeOut(ThreadOut):
    """A thread sized at a glance; bare numbers are in its own unit. `length` is a screw's, typed behind it, or ""."""

    length: str
    blank: list[BlankNumbers]
    tapping_drills: list[DrillOut]
    groove: GrooveOut | None
    chamfer: ChamferOut | None
    wires: WiresOut
    stress_area: float | None
    external: ExternalOut | None
    internal: InternalOut | None
    taper_lengths: TaperOut | None
    figures: SizeFigures
