"""Something a plan works with, and the shop it is looked for in."""

from __future__ import annotations

from collections.abc import Collection
from dataclasses import dataclass
from typing import TypeVar

from lathework.planning.plan import Plan
from lathework.shop.kinds import name_of
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.kind import Owned
from lathework.shop.lathe_words import STATE_WORDS

Made = TypeVar("Made", bound=Owned)
Said = tuple[tuple[str, str], ...]
"""What is said of a thing, by field, its kind among them."""
ALIKE_MM = 0.01
"""Sizes closer than this are one (millimetres)."""


@dataclass(frozen=True, slots=True)
class StandIn:
    """What may stand in for something missing; taken by giving `field` of the document `value`, where it has one.

    One that does not serve is told so that nobody tries it.
    """

    words: str
    field: str = ""
    value: str = ""
    serves: bool = True


def no_substitute(words: str) -> StandIn:
    """Something that does not serve, and why."""
    return StandIn(words, serves=False)


def unavailable(thing: Owned) -> StandIn:
    """A thing that would serve, were it here and sound."""
    return no_substitute(f"{name_of(thing)} is {STATE_WORDS[thing.state][0]}")


@dataclass(frozen=True, slots=True)
class Need:
    """Something a plan works with: `what` it is, the `thing` that serves, None where it is missing; `note` says what to
    mind of it, or why nothing serves; `instead` what may stand in. `choices` are those that `field` of the document may
    name, where there are several; `owns` is what to put in the shop where one has it after all: its kind, its fields.
    `steps` are the keys of the steps that it is laid out for.
    """

    what: str
    thing: Owned | None
    note: str = ""
    instead: tuple[StandIn, ...] = ()
    field: str = ""
    choices: tuple[Die, ...] = ()
    owns: Said = ()
    steps: tuple[str, ...] = ()


def steps_of(plan: Plan, kinds: Collection[str], made: str = "") -> tuple[str, ...]:
    """The keys of the steps of some `kinds`; of those that make the section or hole of the id `made`, where named."""
    steps = [step for step in plan.operations if step.kind in kinds]
    return tuple(step.key for step in steps if made in ("", step.key.rpartition(":")[2]))


@dataclass(frozen=True, slots=True)
class Shop:
    """The things of a shop for a plan that names its lathe: the other lathes are not spoken of."""

    things: tuple[Owned, ...]

    def keeps(self, *made: type) -> bool:
        """Whether the shop has any of these at all: what it never told of is not missed."""
        return any(isinstance(thing, made) for thing in self.things)

    def at_hand(self, made: type[Made]) -> list[Made]:
        """Those of a kind that can be worked with."""
        return [thing for thing in self.things if isinstance(thing, made) and thing.at_hand]


def state_of(thing: Owned) -> str:
    """How a thing is, where that must be minded."""
    return "" if thing.state == "ready" else STATE_WORDS[thing.state][0]
