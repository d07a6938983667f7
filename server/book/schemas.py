"""What the book's endpoints take and give besides the core's answers."""

from __future__ import annotations

from dataclasses import dataclass

from pydantic import BaseModel, ConfigDict

from lathework.answers.sheet_shown import SheetShown
from lathework.threads.thread import Family


@dataclass(frozen=True)
class SeriesShown:
    """A series of the book: what it is called, how many sizes it holds, from which to which, its form drawn."""

    family: Family
    series: str
    name: str
    count: int
    angle_deg: float
    least: str
    greatest: str
    picture: SheetShown


@dataclass(frozen=True)
class Kept:
    """Designations the shop keeps at hand."""

    favourites: list[str]


class KeepIn(BaseModel):
    """A thread to keep at hand."""

    model_config = ConfigDict(extra="forbid")
    designation: str
