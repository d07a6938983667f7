"""What the book's endpoints take and give besides the core's answers."""

from __future__ import annotations

from dataclasses import dataclass

from pydantic import BaseModel, ConfigDict

from lathework.answers.sheet_shown import SheetShown
from lathework.answers.values import Shown
from lathework.threads.thread import Family


@dataclass(frozen=True)
class TickShown:
    """A thread as a mark on a rule: its name, and its major diameter in millimetres."""

    designation: str
    mm: float


@dataclass(frozen=True)
class SeriesShown:
    """A series of the book: what it is called, how many sizes it holds, from which to which, its form drawn, and how
    wide each is over its crests."""

    family: Family
    series: str
    name: str
    count: int
    angle_deg: float
    least: str
    greatest: str
    picture: SheetShown
    sizes: tuple[TickShown, ...]


@dataclass(frozen=True)
class HitShown:
    """The thread of a series that is nearest to a size, and how many more of the series are about as near."""

    series: str
    designation: str
    more: int


@dataclass(frozen=True)
class NearShown:
    """A size that was typed, and the threads that measure about so much; `mm` and `share` are how wide about is."""

    size: Shown
    mm: float
    share: float
    hits: tuple[HitShown, ...]


@dataclass(frozen=True)
class Kept:
    """Designations the shop keeps at hand."""

    favourites: list[str]


class KeepIn(BaseModel):
    """A thread to keep at hand."""

    model_config = ConfigDict(extra="forbid")
    designation: str
