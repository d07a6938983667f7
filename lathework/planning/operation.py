"""What one operation is: a sentence to do, its figures, its cautions, the metal it takes away."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from lathework.figures import Figure
from lathework.rules.cautions import Caution
from lathework.rules.turning import Target

Measure = Literal["diameter", "verdict"]


@dataclass(frozen=True, slots=True)
class Cut:
    """The band a step takes away: distances behind the face and diameters, in millimetres.

    `slope` is how much nearer the axis the right-hand side of the band ends (a chamfer); 0 for a straight cut.
    """

    left_mm: float
    right_mm: float
    outer_mm: float
    inner_mm: float
    slope: bool = False


@dataclass(frozen=True, slots=True)
class Operation:
    """One step. `sentence` names its figures in braces; `headline` is the key of the one that matters most."""

    key: str
    title: str
    sentence: str
    headline: str
    figures: Mapping[str, Figure]
    tool: str
    edge: str
    cautions: tuple[Caution, ...] = ()
    notes: tuple[str, ...] = ()
    measure: Measure | None = None
    target: Target | None = None
    start_mm: float | None = None
    max_cut_mm: float | None = None
    cut: Cut | None = None
    figure_words: str = ""
