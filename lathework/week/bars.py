"""Which bar each job is cut from, over all jobs and all bars and ends of the rack, with the least waste."""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from itertools import islice, permutations

from lathework.part.stock import GRIP_MM
from lathework.planning.plan import Plan
from lathework.planning.threads.thread_work import in_mm
from lathework.shop.kinds import name_of
from lathework.shop.kinds.bars import Bar
from lathework.units import LengthUnit
from lathework.value import value
from lathework.week.set_ups import sized

ALIKE_MM = 0.01
STUMP_MM = 100.0
"""What is left shorter than this is hardly used again: it counts as waste (practice)."""
MOST_WAYS = 720
Kind = tuple[str, float, str]
"""Form, size across (millimetres) and metal of a bar."""


@value
class Wanted:
    """Pieces that a job still takes from bar of a kind: how many, how long each with its saw cut or blade
    (millimetres), and what stays in the jaws where it is worked on its bar."""

    job: int
    title: str
    kind: Kind
    called: str
    pieces: int
    each_mm: float
    grip_mm: float
    unit: LengthUnit

    def takes_mm(self, pieces: int) -> float:
        """Bar for so many pieces (a count), in millimetres."""
        return pieces * self.each_mm + self.grip_mm if pieces else 0.0


@dataclass(slots=True)
class Laid:
    """A bar with what is cut from it, in order, and what is left (millimetres)."""

    bar: str
    name: str
    long_mm: float
    cuts: list[tuple[Wanted, int]]

    @property
    def left_mm(self) -> float:
        """What is left of it."""
        return self.long_mm - sum(wanted.takes_mm(pieces) for wanted, pieces in self.cuts)


@dataclass(frozen=True, slots=True)
class Cutting:
    """Bars with their cuts, and what no bar is there for: what, how many pieces, how long a bar in all."""

    bars: tuple[Laid, ...]
    missing: tuple[tuple[Wanted, int], ...]

    @property
    def waste_mm(self) -> float:
        """Stumps, and what stays in the jaws for each further bar (millimetres)."""
        stumps = sum(bar.left_mm for bar in self.bars if bar.left_mm < STUMP_MM)
        return stumps + sum(wanted.grip_mm for bar in self.bars for wanted, _ in bar.cuts)


def wanted_of(plan: Plan, job: int, pieces: int) -> Wanted | None:
    """What a part still takes of bar for so many pieces; None where it is made of something else."""
    each = next((one for one in plan.batch if one.name == "bar for a piece"), None)
    stock, metal = plan.job.part.stock, plan.job.material
    if each is None or pieces < 1 or stock.one_ended:
        return None
    kind = (stock.form, round(stock.across.mm, 2), metal.code)
    called = f"{sized(stock.across)} {stock.form} {metal.name}"
    grip = GRIP_MM if plan.work.order == "from-the-bar" else 0.0
    return Wanted(job, plan.job.title, kind, called, pieces, in_mm(each), grip, plan.job.unit)


def _alike(bar: Bar, kind: Kind) -> bool:
    form, across, metal = kind
    return bar.form == form and abs(bar.across.mm - across) < ALIKE_MM and bar.metal in ("", metal)


def _fits(bar: Laid, wanted: Wanted) -> int:
    """How many of its pieces a bar still gives."""
    room = bar.left_mm - wanted.grip_mm
    return max(0, min(wanted.pieces, int((room + 1e-9) // wanted.each_mm)))


def _cut(turn: Iterable[Wanted], bars: Sequence[Laid]) -> Cutting:
    """Each job from the shortest end that is long enough for all of it, else from the longest there are."""
    laid = [Laid(bar.bar, bar.name, bar.long_mm, []) for bar in bars]
    missing = []
    for wanted in turn:
        left = wanted.pieces
        whole = [bar for bar in laid if bar.left_mm >= wanted.takes_mm(left) - 1e-9]
        for bar in [min(whole, key=lambda one: one.left_mm)] if whole else sorted(laid, key=lambda one: -one.left_mm):
            gives = min(left, _fits(bar, wanted))
            if gives:
                bar.cuts.append((wanted, gives))
                left -= gives
        if left:
            missing.append((wanted, left))
    return Cutting(tuple(bar for bar in laid if bar.cuts), tuple(missing))


def _best(wanted: Sequence[Wanted], bars: Sequence[Laid]) -> Cutting:
    """The best of the ways that come of taking the jobs in any turn: most pieces first, then the least waste, then the
    fewest bars."""
    ways = (_cut(turn, bars) for turn in islice(permutations(wanted), MOST_WAYS))
    return min(ways, key=lambda one: (sum(n for _, n in one.missing), round(one.waste_mm, 3), len(one.bars)))


def cutting_list(wanted: Sequence[Wanted], bars: Sequence[Bar]) -> Cutting:
    """What is cut from which bar. A bar whose length nobody measured is not counted on."""
    laid, missing = list[Laid](), list[tuple[Wanted, int]]()
    for kind in dict.fromkeys(one.kind for one in wanted):
        own = [_laid(bar) for bar in bars if bar.at_hand and bar.long is not None and _alike(bar, kind)]
        found = _best([one for one in wanted if one.kind == kind], own)
        laid += found.bars
        missing += found.missing
    return Cutting(tuple(laid), tuple(missing))


def _laid(bar: Bar) -> Laid:
    assert bar.long is not None
    return Laid(bar.id, name_of(bar), bar.long.mm, [])


def buys(missing: Iterable[tuple[Wanted, int]]) -> Iterator[tuple[str, float, tuple[Wanted, ...]]]:
    """What to buy: what it is called, how long in all (millimetres), for which jobs."""
    by_kind: dict[Kind, list[tuple[Wanted, int]]] = {}
    for wanted, pieces in missing:
        by_kind.setdefault(wanted.kind, []).append((wanted, pieces))
    for short in by_kind.values():
        total = sum(wanted.takes_mm(pieces) for wanted, pieces in short)
        yield short[0][0].called, total, tuple(wanted for wanted, _ in short)
