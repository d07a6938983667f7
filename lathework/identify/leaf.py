"""Pitch leaves: the chance that one is said to fit, or nearly to."""

from __future__ import annotations

import math
from functools import cache, lru_cache

from lathework.identify.evidence import LEAF_SHARE, NEARLY_SHARE
from lathework.tables.loader import load
from lathework.units import MM_PER_INCH

SAME_LEAF_MM = 1e-4
NEARLY = 0.05
"""Weight of a leaf that only nearly fits being called the one (practice)."""
SAID_TO_FIT = 0.9
"""How often a leaf of the thread's own pitch is said to fit, and not only nearly (practice)."""
ONE_SET, FOREIGN_SHARE = 0.1, 0.03
"""How many people have the leaves of one system alone; and the relative difference that is let pass with those, where
no leaf of the thread's own pitch is at hand (practice)."""
FLOOR = 1e-9
"""Nothing is quite impossible: gauges slip, and people mistype."""


@cache
def _sets_mm() -> tuple[tuple[float, ...], tuple[float, ...]]:
    """Pitches of the leaves of the usual sets, in millimetres: those of threads per inch, and metric ones."""
    rows = load("pitch_leaves").rows
    inch = tuple(MM_PER_INCH / float(row.number("value")) for row in rows if row.text("kind") == "tpi")
    return inch, tuple(float(row.number("value")) for row in rows if row.text("kind") != "tpi")


@cache
def leaves_mm() -> tuple[float, ...]:
    """Pitches of the leaves of both sets, in millimetres."""
    inch, metric = _sets_mm()
    return (*inch, *metric)


def _one_set_chance(pitch_mm: float, leaf_mm: float) -> float:
    """Chance that a leaf is taken for the right one by somebody who has one set alone: the nearest of that.

    A thread of the other system sits on none; the leaf that comes nearest is called the one all the same.
    """
    told = 0.0
    for leaves in _sets_mm():
        if not any(abs(leaf_mm - leaf) < SAME_LEAF_MM for leaf in leaves):
            continue
        if min(abs(leaf / pitch_mm - 1) for leaf in leaves) < NEARLY_SHARE:
            told += _sits(leaf_mm, pitch_mm) / math.fsum(_sits(leaf, pitch_mm) for leaf in leaves)
        else:
            whole = math.fsum(_about(leaf, pitch_mm, FOREIGN_SHARE) for leaf in leaves)
            told += _about(leaf_mm, pitch_mm, FOREIGN_SHARE) / max(whole, FLOOR)
    return told / len(_sets_mm())


def _sits(leaf_mm: float, pitch_mm: float) -> float:
    """How well a leaf sits on a thread: about 1 when they are alike, falling with their relative difference.

    Soon, to a person with good light and a long thread; slowly for the few turns that most people try it on.
    """
    off = leaf_mm / pitch_mm - 1
    return math.exp(-0.5 * (off / LEAF_SHARE) ** 2) + NEARLY * math.exp(-0.5 * (off / NEARLY_SHARE) ** 2)


@cache
def _all_leaves(pitch_mm: float) -> float:
    return math.fsum(_sits(leaf, pitch_mm) for leaf in leaves_mm())


@lru_cache(maxsize=8192)
def leaf_chance(pitch_mm: float, leaf_mm: float) -> float:
    """Chance that of all leaves the one of `leaf_mm` is said to fit a thread of `pitch_mm`.

    A thread between two leaves gets the nearer one: 2 BA, 0.81 mm, is called 0.8.
    """
    sits, whole = _sits(leaf_mm, pitch_mm), _all_leaves(pitch_mm)
    if not any(abs(leaf_mm - leaf) < SAME_LEAF_MM for leaf in leaves_mm()):
        whole += sits
    both = sits / whole if whole > 0 else 0.0
    return (1 - ONE_SET) * both + ONE_SET * _one_set_chance(pitch_mm, leaf_mm)


def _about(leaf_mm: float, pitch_mm: float, share: float) -> float:
    return math.exp(-0.5 * ((leaf_mm / pitch_mm - 1) / share) ** 2)


@lru_cache(maxsize=8192)
def nearly_chance(pitch_mm: float, leaf_mm: float) -> float:
    """Chance that the leaf of `leaf_mm` is called the nearest to a thread of `pitch_mm`, and none is said to fit.

    Seldom where a leaf of its own pitch is in the set: a 10-32 is not told of as nearly 0.8.
    """
    leaves = leaves_mm()
    own = max(_about(leaf, pitch_mm, LEAF_SHARE) for leaf in leaves)
    whole = math.fsum(_about(leaf, pitch_mm, NEARLY_SHARE) for leaf in leaves)
    both = (1 - SAID_TO_FIT * own) * _about(leaf_mm, pitch_mm, NEARLY_SHARE) / max(whole, FLOOR)
    return (1 - ONE_SET) * both + ONE_SET * _one_set_chance(pitch_mm, leaf_mm)
