"""Shapes that several endpoints answer with."""

from __future__ import annotations

from typing import Literal

from ninja import Field, Schema
from pydantic import ConfigDict


class Told(Schema):
    """A value as text, with its unit."""

    text: str
    unit: str


class Shown(Schema):
    """A value told in inches and in millimetres; alike where it is no length."""

    model_config = ConfigDict(populate_by_name=True)
    inch: Told = Field(alias="in")
    mm: Told


class GivenOut(Schema):
    """One input of a figure."""

    name: str
    inch: str = Field(alias="in")
    mm: str


class SourceOut(Schema):
    """Where a figure comes from."""

    kind: Literal["standard", "handbook", "practice", "memory"]
    title: str


class AnswerOut(Schema):
    """Another school's answer."""

    school: str
    shown: Shown
    remark: str


class FigureOut(Schema):
    """A figure with its working."""

    name: str
    value: float
    unit: str
    shown: Shown
    formula: str
    inputs: list[GivenOut]
    kind: Literal["computed", "table", "typed"]
    source: SourceOut
    others: list[AnswerOut]
    note: str


class CautionOut(Schema):
    """A caution beside a step."""

    code: str
    do: str
    why: str


class PathOut(Schema):
    """Path data with its role; `step` when it belongs to one."""

    role: str
    d: str
    step: str


class LabelOut(Schema):
    """A text on the sheet; `field` is what typing over it changes."""

    x: float
    y: float
    inch: str = Field(alias="in")
    mm: str
    anchor: Literal["start", "middle", "end"]
    field: str
    step: str


class SheetOut(Schema):
    """A drawing."""

    width: float
    height: float
    title: str
    paths: list[PathOut]
    labels: list[LabelOut]


class BasicOut(Schema):
    """Basic diameters in the thread's own unit."""

    major: float
    pitch_diameter: float
    minor: float


class ThreadOut(Schema):
    """A thread in its own unit."""

    designation: str
    family: str
    series: str
    angle_deg: float
    unit: Literal["in", "mm"]
    tpi: float | None
    pitch: float
    basic: BasicOut
    special: bool
    hand: Literal["right", "left"]
    starts: int
    lead: float
    taper: float
    notes: list[str]
    source: SourceOut


class OperationFigure(Schema):
    """A figure of a step, by the key its sentence names it with."""

    key: str
    figure: FigureOut


class PassOut(Schema):
    """A cut of a turning step: the diameter it leaves. Its working is that of the figure "cuts"."""

    name: str
    shown: Shown


class OperationOut(Schema):
    """One step."""

    key: str
    title: str
    sentence: str
    headline: str
    headline_words: str
    figures: list[OperationFigure]
    tool: str
    edge: str
    cautions: list[CautionOut]
    notes: list[str]
    measure: Literal["diameter", "verdict"] | None
    chucking: int
    passes: list[PassOut]
    passes_end: str
    zero: str
