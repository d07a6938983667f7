"""A reading that is far from the expected one is asked about before it is believed."""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass
from statistics import NormalDist

from lathework.errors import InputError
from lathework.instruments.slips import Meant, meant_by
from lathework.lengths import Length
from lathework.units import Millimetres, show_length

SLIPS = 0.01
"""How often a number that is typed is not the one that was read (practice)."""
ASK_FROM = 0.006
"""Odds of a slip from which it is asked about: a question takes a second, a wrong size scraps the piece (practice)."""
PLAIN, WIDE, TIMES = 0.8, 0.2, 3.0
"""Shares of readings that stray as expected, and of those that stray so many times as far (practice)."""
FAR = 3.8
"""Standard deviations past which a reading is asked about though no slip explains it (practice)."""
CLOSE_MM = 0.04
"""How close to such a size a reading is: a standard deviation (practice)."""
ELSEWHERE_OFTEN = 0.1
"""Share of readings that may be anywhere, from which distance alone is no reason to ask."""
MOST_NAMED = 2


@dataclass(frozen=True, slots=True)
class Expected:
    """What a reading is expected to be: `aim_mm` within `spread_mm`, a standard deviation; or, as the share `elsewhere`
    of readings, anything from `low_mm` to `high_mm`, or close to one of the sizes that it may stand at as well: nobody
    says each cut, and a size is measured again. In millimetres."""

    aim_mm: Millimetres
    spread_mm: Millimetres
    low_mm: Millimetres
    high_mm: Millimetres
    elsewhere: float
    or_at_mm: tuple[Millimetres, ...] = ()

    def density(self, size_mm: Millimetres) -> float:
        """How likely a size is, for each millimetre."""
        near = PLAIN * NormalDist(self.aim_mm, self.spread_mm).pdf(size_mm)
        far = WIDE * NormalDist(self.aim_mm, TIMES * self.spread_mm).pdf(size_mm)
        anywhere = 1 / (self.high_mm - self.low_mm) if self.low_mm <= size_mm <= self.high_mm else 0.0
        others = [NormalDist(one, CLOSE_MM).pdf(size_mm) for one in self.or_at_mm]
        anywhere = (anywhere + math.fsum(others) / len(others)) / 2 if others else anywhere
        return (1 - self.elsewhere) * (near + far) + self.elsewhere * anywhere

    def far(self, size_mm: Millimetres) -> bool:
        """Whether a size is far from what is expected, where every cut is said."""
        return self.elsewhere < ELSEWHERE_OFTEN and abs(size_mm - self.aim_mm) > FAR * self.spread_mm


def _odds(read: Length, expected: Expected, meant: Sequence[Meant]) -> list[tuple[float, Meant]]:
    """The odds of each slip against the reading as it was typed, the likeliest first."""
    honest = max(expected.density(read.mm), 1e-9)
    odds = [(SLIPS * one.share * expected.density(one.mm) / honest, one) for one in meant]
    return sorted(odds, key=lambda pair: -pair[0])


def check_likely(read: Length, expected: Expected, field: str = "reading") -> None:
    """Raises InputError on `field` ("unlikely") where a slip is likelier than can be let pass; `choices` are what may
    have been meant. Source: practice; the law of Bayes."""
    odds = _odds(read, expected, meant_by(read.typed, read.unit))
    if sum(one for one, _ in odds) < ASK_FROM and not expected.far(read.mm):
        return
    near = [meant for one, meant in odds if one > odds[0][0] / 5 and not expected.far(meant.mm)]
    choices = tuple(dict.fromkeys(f"{meant.text} {read.unit}" for meant in near))[:MOST_NAMED]
    about = f"{show_length(expected.aim_mm, 'mm', read.unit)} {read.unit}"
    raise InputError("unlikely", field, f"About {about} was expected. Read it again.", choices)
