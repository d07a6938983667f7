"""What the book's endpoints take and give."""

from __future__ import annotations

from typing import Literal

from ninja import Schema
from pydantic import BaseModel, ConfigDict

from server.reference.schemas import SizeOut
from server.site.schemas import FigureOut, SheetOut, Shown


class SeriesOut(Schema):
    """A series of the book: what it is called and how many sizes it holds."""

    family: str
    series: str
    name: str
    count: int


class RowOut(Schema):
    """A thread as one line of the book."""

    designation: str
    tpi: float | None
    major: Shown
    pitch: Shown


class KeptOut(Schema):
    """Designations the shop keeps at hand."""

    favourites: list[str]


class KeepIn(BaseModel):
    """A thread to keep at hand."""

    model_config = ConfigDict(extra="forbid")
    designation: str


class LetterOut(Schema):
    """A part of a designation and what it means."""

    text: str
    means: str


class LimitRow(Schema):
    """One diameter of one side at its limits; None where the standard bounds one side only."""

    side: Literal["external", "internal"]
    name: str
    least: FigureOut | None
    greatest: FigureOut | None


class DrawerWire(Schema):
    """A drill whose shank serves as a wire."""

    name: str
    shown: Shown


class ThreeWires(Schema):
    """Three-wire figures for the chosen wire, and what else would serve."""

    chosen: FigureOut
    over: list[FigureOut]
    range: list[FigureOut]
    lead_angle: FigureOut
    drawer: list[DrawerWire]
    serves: bool


class CardOut(SizeOut):
    """A thread's page in the book."""

    letters: list[LetterOut]
    external_classes: list[str]
    internal_classes: list[str]
    limits: list[LimitRow]
    three_wires: ThreeWires | None
    micrometer: FigureOut | None
    gauges: list[FigureOut]
    drill: list[FigureOut]
    plating: list[FigureOut]
    stress: FigureOut | None
    lengths: list[FigureOut]
    drawing: SheetOut


class MeetingOut(Schema):
    """A bolt and a nut at one pair of sizes; `threads` engaged before they bind, None when they never do."""

    pair: Literal["tightest", "middle", "loosest"]
    clearance: FigureOut
    threads: float | None


class MatingOut(Schema):
    """One thread laid over another."""

    bolt: str
    nut: str
    verdict: Literal["fits", "goes-on", "binds", "will-not-start", "nothing-holds"]
    sentence: str
    meetings: list[MeetingOut]
    figures: list[FigureOut]
    drawing: SheetOut


class DrillChoiceOut(Schema):
    """A drill one owns: what it probably cuts, and whether the class allows it."""

    name: str
    hole: FigureOut
    percent: FigureOut
    fit: Literal["within", "too-small", "too-large"]
    torque_percent: int


class ThinOut(Schema):
    """A thread through thin metal."""

    turns: FigureOut
    holds: FigureOut
    advice: list[str]


class MendOut(Schema):
    """A way to make a stripped hole good."""

    code: str
    name: str
    tapped: str
    major: FigureOut
    drill: str
    needs: FigureOut
    screw: str
    remark: str


class PipeHoleOut(Schema):
    """A taper hole: drills before a reamer and without one, figures, and the warning."""

    designation: str
    reamed: str
    plain: str
    figures: list[FigureOut]
    warning: str


class HoleOut(Schema):
    """A tapped hole."""

    designation: str
    class_name: str
    percent: float
    pick: DrillChoiceOut | None
    beside: list[DrillChoiceOut]
    words: str
    bore: FigureOut
    countersink: FigureOut
    form: FigureOut | None
    weaker: str
    strength: list[FigureOut]
    margin: FigureOut | None
    depths: list[FigureOut]
    thin: ThinOut | None
    mends: list[MendOut]
    warnings: list[str]
    trade: str
    chart: SheetOut
