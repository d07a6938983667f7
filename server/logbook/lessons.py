"""Every lesson of the shop, and which mistakes are made most, with which die and tool."""

from __future__ import annotations

from collections import Counter
from dataclasses import dataclass

from lathework.shop.kinds import name_of
from server.jobs.history.lessons import LessonShown, lessons_shown, mistakes
from server.kit.owned import things

MOST, ROWS = 60, 400
"""Lessons that are told, and from how many of the latest mistakes they are counted."""
MOST_BARS = 8


@dataclass(frozen=True)
class CountShown:
    """How often something went wrong, by what it was, or what it was done with."""

    name: str
    count: int


@dataclass(frozen=True)
class LessonsPage:
    """Lessons, the newest first; how often each mistake was made, with which tool, with which die."""

    lessons: tuple[LessonShown, ...]
    by_mistake: tuple[CountShown, ...]
    by_tool: tuple[CountShown, ...]
    by_die: tuple[CountShown, ...]


def _counts(names: list[str]) -> tuple[CountShown, ...]:
    return tuple(CountShown(name, count) for name, count in Counter(filter(None, names)).most_common(MOST_BARS))


def lessons_page() -> LessonsPage:
    """The lessons of every job that was not deleted."""
    told = lessons_shown(mistakes()[:ROWS])
    dies = {thing.id: name_of(thing) for thing in things()}
    return LessonsPage(
        lessons=told[:MOST],
        by_mistake=_counts([one.mistake for one in told]),
        by_tool=_counts([one.tool for one in told]),
        by_die=_counts([dies.get(one.die, one.die) for one in told]),
    )
