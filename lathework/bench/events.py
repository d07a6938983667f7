"""What came of an entry: a piece ended, a die did something, or is excused."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.cutting.to_size.pass_made import PassMade
from lathework.gauging.tried import Gauge
from lathework.part.thread_cutters import SetCutter


@dataclass(frozen=True, slots=True)
class PieceEnded:
    """A piece of the part of that id was finished, or scrapped."""

    part: str
    piece: int
    good: bool


@dataclass(frozen=True, slots=True)
class Gauged:
    """What a `die` did, by its id: the verdict on a thread, its blank, how far the die stood open in eighths; whether
    that `teaches` anything of its class; how far off the middle of it the pitch diameter was measured, and how
    surely (mm); what it was `tried` with; what the `cutter` was; whether the thread was judged `again`, by something
    else; whether the die was `placed`: said to stand so; `mate` the very nut by its name, `on` the screw that its
    setting is counted from, what came to the die `since` its last thread. A hole's own is `inside`: no die made it."""

    part: str
    piece: int
    step: str
    thread: str
    metal: str
    verdict: str
    blank_mm: float | None
    eighths: float
    die: str = ""
    teaches: bool = True
    off_mm: float | None = None
    within_mm: float = 0.0
    tried: Gauge = ""
    inside: bool = False
    cutter: SetCutter = "die"
    again: bool = False
    placed: bool = True
    mate: str = ""
    on: str = ""
    since: str = ""


@dataclass(frozen=True, slots=True)
class Excused:
    """What a thread was gauged as was not its die's doing: the last verdict of that step teaches nothing."""

    part: str
    piece: int
    step: str


@dataclass(frozen=True, slots=True)
class PassTaken:
    """A cut of a step between two readings whose dial was stated."""

    part: str
    step: str
    made: PassMade


Event = PieceEnded | Gauged | Excused | PassTaken
