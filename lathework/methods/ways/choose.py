"""Which way to take: all of them ranked, why, and at how many pieces another would be quicker."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

from lathework.cautions import Caution
from lathework.figures import PRACTICE, Figure, Given
from lathework.methods.ways.contract import MOST_PIECES, REMAKE_MIN, Choice, Expected, Wanted, Way
from lathework.methods.ways.dies import DIE_WAYS
from lathework.methods.ways.heads import HeadWay
from lathework.methods.ways.taps import TAP_WAYS, AdjustableTapWay, TapAsChaserWay
from lathework.methods.ways.tools import InsideToolWay, ToolWay

OUTSIDE: tuple[Way, ...] = (*DIE_WAYS, HeadWay(), ToolWay())
INSIDE: tuple[Way, ...] = (*TAP_WAYS, AdjustableTapWay(), TapAsChaserWay(), InsideToolWay())
"""Every way there is, outside and in a hole: a new one is a module and its place here."""


@dataclass(frozen=True, slots=True)
class Weighed:
    """A way weighed for a thread: whether it serves (neither `refused` nor `lacking`), why it is `unusual` here, what
    speaks for and against it, what it takes. `each` is what a piece takes, those spoilt shared out; `whole` all of them
    with the setting up."""

    code: str
    name: str
    remark: str
    takes: tuple[Choice, ...]
    refused: tuple[str, ...]
    unusual: tuple[str, ...]
    lacking: tuple[str, ...]
    merits: tuple[str, ...]
    faults: tuple[str, ...]
    set_up: Figure
    cycle: Figure
    each: Figure
    whole: Figure
    torque: Figure | None
    borne_by: str
    expected: Expected
    cautions: tuple[Caution, ...]

    @property
    def serves(self) -> bool:
        """Whether it can be taken with what there is."""
        return not self.refused and not self.lacking

    @property
    def missed(self) -> tuple[str, ...]:
        """What is lacking, said to who owns the shop."""
        return tuple(f"no {what.removeprefix('a ').removeprefix('an ')} in the shop" for what in self.lacking)

    def minutes_for(self, pieces: int) -> float:
        """Minutes for so many `pieces` (a count), setting up among them."""
        return self.set_up.value + pieces * self.each.value


def weigh(way: Way, wanted: Wanted) -> Weighed:
    """What a way comes to for a thread."""
    set_up, cycle, risk = way.set_up(wanted), way.cycle(wanted), way.risk(wanted)
    each = Figure(
        "per piece, spoilt ones included",
        cycle.value + risk * REMAKE_MIN,
        "min",
        "each + share spoilt × making another",
        PRACTICE,
        (
            Given("each", cycle.value, "min"),
            Given("share spoilt", risk),
            Given("making another", REMAKE_MIN, "min"),
        ),
        places=1,
    )
    whole = Figure(
        "all pieces",
        set_up.value + wanted.pieces * each.value,
        "min",
        "to set up + pieces × a piece",
        PRACTICE,
        (Given("to set up", set_up.value, "min"), Given("pieces", wanted.pieces), Given("a piece", each.value, "min")),
    )
    return Weighed(
        code=way.code,
        name=way.name,
        remark=way.remark,
        takes=way.takes,
        refused=tuple(way.refused(wanted)),
        unusual=tuple(way.unusual(wanted)),
        lacking=tuple(way.lacking(wanted)),
        merits=tuple(way.merits(wanted)),
        faults=tuple(way.faults(wanted)),
        set_up=set_up,
        cycle=cycle,
        each=each,
        whole=whole,
        torque=way.torque(wanted),
        borne_by=way.borne_by(wanted),
        expected=way.expected(wanted),
        cautions=way.cautions,
    )


def _order(way: Weighed) -> tuple[bool, int, bool, float]:
    return bool(way.refused), len(way.lacking), bool(way.unusual), way.whole.value


def rank(wanted: Wanted) -> tuple[Weighed, ...]:
    """Every way for a thread: those that serve first, by what all pieces take, and the unusual ones last of them; then
    those that lack something, by how much; then those refused. Source: practice."""
    ways = [weigh(way, wanted) for way in (INSIDE if wanted.inside else OUTSIDE)]
    return tuple(sorted(ways, key=_order))


def _crosses(more: float, less: float) -> int:
    """The first count at which `less` for each piece has more than made up for `more` at the set-up (unit: minutes)."""
    # At the crossing itself neither is quicker: what a division leaves of it by rounding does not decide.
    return math.floor(more / less + 1e-9) + 1


def break_even(few: Weighed, many: Weighed) -> Figure | None:
    """From how many pieces on a way that takes longer to set up is quicker than another; None where it never is.

    n = (set-up difference) / (difference of a piece), the next whole number. Source: practice.
    """
    more, less = many.set_up.value - few.set_up.value, few.each.value - many.each.value
    if more <= 0 or less <= 0 or more / less > MOST_PIECES:
        return None
    return Figure(
        f"{many.name} is quicker from",
        _crosses(more, less),
        "piece",
        "whole part of ((its set-up − set-up of the other) ÷ (piece by the other − its piece)) + 1",
        PRACTICE,
        (
            Given("its set-up", many.set_up.value, "min"),
            Given("set-up of the other", few.set_up.value, "min"),
            Given("piece by the other", few.each.value, "min"),
            Given("its piece", many.each.value, "min"),
        ),
    )


@dataclass(frozen=True, slots=True)
class Line:
    """Minutes of a way at each of the counts of a chart."""

    code: str
    name: str
    minutes: tuple[float, ...]


@dataclass(frozen=True, slots=True)
class Chart:
    """Minutes over the number of `pieces` for the ways that serve: lines cross where another is quicker."""

    pieces: tuple[int, ...]
    lines: tuple[Line, ...]


LEAST_SPAN, POINTS, FEWEST_LINES = 40, 41, 2


def chart(ways: Sequence[Weighed], pieces: int, taken: str = "") -> Chart:
    """Minutes over counts up to twice the `pieces` wanted (a count): the ways that are the quickest of some count, and
    the one that is `taken`; where those are fewer than two, the next that are not refused."""
    span = max(LEAST_SPAN, 2 * pieces)
    counts = tuple(sorted({max(1, round(span * n / (POINTS - 1))) for n in range(POINTS)}))
    first = {way.code for start, way in quickest(ways) if start <= span} | {taken}
    shown = [one for one in ways if one.code in first]
    others = [one for one in ways if not one.refused and one not in shown]
    shown += others[: max(0, FEWEST_LINES - len(shown))]
    lines = tuple(Line(one.code, one.name, tuple(one.minutes_for(count) for count in counts)) for one in shown)
    return Chart(counts, lines)


def quickest(ways: Sequence[Weighed]) -> tuple[tuple[int, Weighed], ...]:
    """The quickest of the ways that serve, by the number of pieces from which it is, from one piece on; of the unusual
    ones only where no other serves.

    Minutes grow in a line with the pieces, so another way takes over where its line crosses under, for good.
    """
    serving = [way for way in ways if way.serves]
    serving = [way for way in serving if not way.unusual] or serving
    told: list[tuple[int, Weighed]] = []
    pieces = 1
    while serving and pieces <= MOST_PIECES:
        best = min(serving, key=lambda one: one.minutes_for(pieces))
        told.append((pieces, best))
        serving = [one for one in serving if one.each.value < best.each.value]
        pieces = min((_overtakes(one, best) for one in serving), default=MOST_PIECES + 1)
    return tuple(told)


def _overtakes(way: Weighed, best: Weighed) -> int:
    """From how many pieces (a count) a way that takes less for each of them is quicker than the `best` until then."""
    return _crosses(max(0.0, way.set_up.value - best.set_up.value), best.each.value - way.each.value)


def what_changes(ways: Sequence[Weighed], pieces: int) -> tuple[str, ...]:
    """What would change the order at so many `pieces` (a count): fewer or more of them, or what a quicker way lacks."""
    told = []
    best = quickest(ways)
    for (start, way), after in zip(best, (*best[1:], None), strict=False):
        if after is not None and after[0] <= pieces:
            told.append(f"Up to {after[0] - 1} piece{'s' if after[0] > 2 else ''}: {way.name}.")
        elif start > pieces:
            told.append(f"From {start} pieces: {way.name}.")
    quicker = [
        one
        for one in ways
        if one.lacking and not one.refused and not one.unusual and best and one.whole.value < ways[0].whole.value
    ]
    told += [f"If you had {' and '.join(one.lacking)}: {one.name}." for one in quicker[:2]]
    return tuple(told)


def cheapest(ways: Sequence[Weighed]) -> str:
    """Where no way serves: the least that would have to be bought, borrowed or made; "" where one serves."""
    if not ways or ways[0].serves:
        return ""
    if ways[0].refused:
        return "No method here makes this thread. Send it out, or choose another thread."
    near = ways[0]
    return f"Borrow, buy or make {' and '.join(near.lacking)}. Then use {near.name}."
