"""What a family of threads says of itself: its series, threads, limits, letters, percents, drills, how it is typed."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass, field
from typing import Literal

from lathework.threads.series import trim
from lathework.threads.standards.rules import Rules
from lathework.threads.thread import Thread
from lathework.units import show_both

Rack = Literal["inch", "metric"]
Stressed = Literal["unified", "metric", "mean"]
"""By which standard's formula the stressed section of a thread is told: its own, or the mean of pitch and minor."""


@dataclass(frozen=True, slots=True)
class Letter:
    """A part of a designation and what it means."""

    text: str
    means: str


@dataclass(frozen=True, slots=True)
class Series:
    """A series of a family: its `code`, its `name` and `place` in the book, what its letters mean, what it is for.

    `drilled` are the per cent thread that a chart wants of its holes, the least and the most, where those are not the
    family's; `by_size` says that a bare size may mean it.
    """

    code: str
    name: str
    means: str
    place: int
    purpose: str = ""
    drilled: tuple[float, float, float] | None = None
    by_size: bool = False


@dataclass(frozen=True, slots=True)
class Percent:
    """The convention of per cent thread: what 100 % is, in pitches on the diameter and in words; what charts want."""

    hundred_on_diameter: float
    words: str
    charts: float


@dataclass(frozen=True, slots=True)
class Typed:
    """How a family is typed: `words` that name a series behind an inch size; `patterns` of a notation of its own, each
    with the designation it makes of what it matched. One that has neither is read by a module of `designation/`."""

    words: Mapping[str, str] = field(default_factory=dict)
    patterns: tuple[tuple[str, str], ...] = ()


@dataclass(frozen=True, slots=True)
class ThreadFamily:
    """A family of threads; nothing of it has a default, so that one that lacks a part does not load.

    `threads` makes those of its tables; `rules` are the limits of a thread, None where no standard gives any;
    `letters` reads the size of a designation out; `preferred` says which sizes are met first; `crests_cut` that screws
    of commerce are often under the least major of their class; `pipe` that a size is a pipe's; `by_limits` that its
    holes are drilled to the limits; `number` is what its nuts are listed by.
    """

    code: str
    series: tuple[Series, ...]
    threads: Callable[[], Iterable[Thread]]
    rules: Callable[[Thread], Rules | None]
    letters: Callable[[Thread], list[Letter]]
    percent: Percent
    drills: Rack
    typed: Typed
    stressed: Stressed
    preferred: Callable[[Thread], bool]
    number: Callable[[Thread], float]
    crests_cut: bool
    pipe: bool
    by_limits: bool
    classes_as_typed: bool


def both(value: float, thread: Thread) -> str:
    """A length `value` of a thread, in its unit, told in both."""
    inch, mm = show_both(value, thread.unit)
    return f"{inch} in ({mm} mm)"


def inch_letters(told: str = "nominal major diameter", *, counted: bool = True) -> Callable[[Thread], list[Letter]]:
    """How a size in inches is read out, `told` as that, with its count where its designation has one, or where it is a
    special one."""

    def letters(thread: Thread) -> list[Letter]:
        first = thread.plain_name.split()[0]
        size, _, count = first.partition("-") if first.count("-") < 2 else first.rpartition("-")
        if not (counted or thread.special):
            size, count = first, ""
        per_inch = f"threads per inch: pitch {both(thread.pitch, thread)}"
        return [
            Letter(size, f"{told}, {both(thread.major, thread)}" + (" in the gauge plane" if thread.taper else "")),
            Letter(count, per_inch) if count else Letter("", f"{trim(thread.tpi or 0)} {per_inch}"),
        ]

    return letters


def by_major(thread: Thread) -> float:
    """The size that a nut is listed by: its thread's major diameter, in the thread's unit."""
    return round(thread.major, 6)


def all_alike(thread: Thread) -> bool:
    """Of a family whose sizes are all met alike."""
    return True


def no_limits(thread: Thread) -> Rules | None:
    """Of a family that no standard at hand gives limits for."""
    return None


SIXTY = Percent(1.299038, "60 degree practice: 1.299038 P is 100 %", 75.0)
SIXTY_METRIC = Percent(SIXTY.hundred_on_diameter, SIXTY.words, 77.0)
FIFTY_FIVE = Percent(1.280654, "Whitworth: 1.280654 P is 100 %", 77.0)
"""Conventions of per cent thread, and what the charts of inch threads of 60 degrees and of others want (practice)."""
