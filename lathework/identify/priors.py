"""How likely each thread is before anything is measured: series by origin and trade, sizes within their series."""

from __future__ import annotations

from functools import lru_cache
from math import fsum
from typing import Literal, get_args

from lathework.tables.common import common_sizes
from lathework.tables.loader import load
from lathework.threads.families import family_of
from lathework.threads.library import library
from lathework.threads.thread import Thread

Origin = Literal["unknown", "american", "british-old", "british-new", "european"]
Trade = Literal["general", "pipe", "instrument", "bicycle", "model", "motor", "other"]
ORIGINS: tuple[Origin, ...] = get_args(Origin)
TRADES: tuple[Trade, ...] = get_args(Trade)
NONE_OF_THESE = 0.004
"""Share kept for a thread that no table holds (practice)."""
NONE_BY_TRADE: dict[Trade, float] = {"instrument": 0.015, "other": 0.2}
"""That share in trades with threads of their own: clocks, sewing machines, hoses, lamps, cameras (practice)."""
_SECOND = 0.12
"""Weight of a second-choice size against a preferred one (practice)."""
_DAILY = 2.0
"""Weight of a fine thread met daily against a preferred size (practice)."""


Shares = tuple[tuple[str, float], ...]
"""Shares of series that the person sets, by name, each from 0 to 1."""


@lru_cache(maxsize=256)
def series_weights(origin: Origin, trade: Trade, own: Shares = ()) -> dict[str, float]:
    """Weight of each series, summing to 1: the origin's column, times the trade's against the unknown one.

    `own` shares stand as the person sets them, the others share what is left. Source: practice.
    """
    out: dict[str, float] = {}
    for row in load("priors").rows:
        usual = float(row.number("unknown"))
        weight = float(row.number(origin))
        if trade not in ("general", "other"):
            weight *= float(row.number(trade)) / usual
        out[row.text("series")] = weight
    fixed = dict(own)
    left = max(0.0, 1 - fsum(fixed.values()))
    rest = fsum(weight for series, weight in out.items() if series not in fixed)
    told = {series: fixed.get(series, left * weight / rest if rest else 0.0) for series, weight in out.items()}
    whole = fsum(told.values())
    return {series: weight / whole for series, weight in told.items()}


def _size_weight(thread: Thread) -> float:
    """How common a size is within its series: preferred sizes first, very large ones rarer."""
    if thread.designation in common_sizes("daily-fine"):
        return _DAILY
    preferred = family_of(thread).preferred(thread)
    large = 1.0 if thread.major_mm < 26 else (26 / thread.major_mm) ** 2
    return (1.0 if preferred else _SECOND) * large


def none_share(trade: Trade) -> float:
    """Probability, before any evidence, that no table holds the thread. Source: practice."""
    return NONE_BY_TRADE.get(trade, NONE_OF_THESE)


@lru_cache(maxsize=256)
def prior(origin: Origin, trade: Trade, own: Shares = ()) -> dict[str, float]:
    """Probability of each thread of the library, by designation, before any evidence; `own` as for `series_weights`.

    The library's threads and `none_share` sum to 1. Source: practice.
    """
    weights = series_weights(origin, trade, own)
    totals: dict[str, float] = {}
    for thread in library():
        totals[thread.series] = totals.get(thread.series, 0.0) + _size_weight(thread)
    known = 1 - none_share(trade)
    return {t.designation: known * weights[t.series] * _size_weight(t) / totals[t.series] for t in library()}
