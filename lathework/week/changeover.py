"""What changing from one set-up to the next takes, and what two have in common."""

from __future__ import annotations

from collections.abc import Iterable
from functools import lru_cache

from lathework.methods.head import SET_UP_MIN as HEAD_MIN
from lathework.methods.ways.tools import SET_UP_MIN as TOOL_MIN
from lathework.week.model import Item, Problem, SetUp

DIE_MIN = 2
CHANGE_MIN = {
    "gears": DIE_MIN + int(TOOL_MIN),
    "head": DIE_MIN + int(HEAD_MIN),
    "vice": 6,
    "slide": 4,
    "part": 7,
    "bar": 3,
    "jaws": 3,
    "holding": 3,
    "die": DIE_MIN,
    "tap": DIE_MIN,
    "blade": 2,
    "holder": 1,
}
"""Minutes to change what is set up, by its kind, and to find the zeros of another part (practice). With a bar, a die,
its holder, a blade and the zeros this comes to what a plan counts before its first piece."""
WORDS = {
    "gears": "the change gears for {}",
    "head": "the die head with chasers for {}",
    "slide": "the top slide at {}",
    "bar": "the {} bar",
    "jaws": "jaws or a collet at {}",
    "holding": "{}",
    "die": "the {} die",
    "tap": "the {} tap",
    "blade": "the {} blade",
    "holder": "{}",
}
"""How each kind of thing is named that may stay set up from one job to the next."""


@lru_cache(maxsize=20_000)
def changeover(before: SetUp, after: SetUp) -> int:
    """Minutes to set up `after` where `before` is set up now (practice).

    >>> changeover(frozenset(), frozenset({("bar", "5/8"), ("part", "7.p1")}))
    10
    """
    return sum(CHANGE_MIN[kind] for kind, _ in after - before)


def change_min(problem: Problem, station: str, before: SetUp, after: SetUp) -> int:
    """Minutes that the same takes at a station of a shop, at the pace of whoever works there."""
    return round(changeover(before, after) * problem.setting_up.get(station, 1.0))


def shared(before: SetUp, after: SetUp) -> tuple[Item, ...]:
    """What stays as it is between two set-ups, the dearest to change first."""
    same = ((kind, name) for kind, name in before & after if kind in WORDS)
    return tuple(sorted(same, key=lambda item: (-CHANGE_MIN[item[0]], item[1])))


def saved(items: Iterable[Item]) -> int:
    """Minutes that things save which stay set up."""
    return sum(CHANGE_MIN[kind] for kind, _ in items)


def saved_min(problem: Problem, station: str, items: Iterable[Item]) -> int:
    """Minutes that things save which stay set up at a station of a shop, at its pace."""
    return round(saved(items) * problem.setting_up.get(station, 1.0))


def named(item: Item) -> str:
    """A thing that stays set up, in words.

    >>> named(("die", "1/2 BSW"))
    'the 1/2 BSW die'
    """
    kind, name = item
    return WORDS[kind].format(name)
