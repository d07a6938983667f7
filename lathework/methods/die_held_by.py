"""What holds a die: whether it takes it, lets its thread through, goes into the lathe, and bears the torque."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.cutting.torque import SLIPS_IN_HAND, SLIPS_IN_HOLDER
from lathework.shop.fits import FITS, Fit, in_pocket, in_tailstock, through
from lathework.shop.kinds.die_heads import DieHead
from lathework.shop.kinds.die_holders import DieHolder, DieStock
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kinds.workholding import Chuck

LONG_BAR_NM = 30.0
"""Torque in N m past which no bar held by hand bears a die (practice)."""


@dataclass(frozen=True, slots=True)
class Holding:
    """What holds a die or its chasers, whether the thread can be cut with it, and why not."""

    thing: DieHolder | DieStock | DieHead
    fit: Fit


def bears(holder: DieHolder | DieStock | DieHead, torque_nm: float, *, slips: bool = False) -> Fit:
    """Whether a holder bears a die that takes `torque_nm` (unit N m), 0 where nobody knows; one that `slips` under
    power is never held back by a bar. Source: practice."""
    driven = isinstance(holder, DieHolder) and holder.driven
    if torque_nm <= SLIPS_IN_HAND or (driven and torque_nm <= LONG_BAR_NM):
        return FITS
    if slips and torque_nm <= SLIPS_IN_HOLDER:
        return FITS
    takes = f"the die takes about {torque_nm:.0f} N m"
    if torque_nm > LONG_BAR_NM:
        return Fit(driven, f"{takes}: rough the thread out first")
    if isinstance(holder, DieStock):
        return FITS if torque_nm <= SLIPS_IN_HOLDER else Fit(True, f"{takes}: long arms")
    if holder.shank == "straight" and torque_nm > SLIPS_IN_HOLDER:
        return Fit(False, f"{takes}: a round shank slips in its chuck")
    return Fit(True, f"{takes}: put a {'bar' if torque_nm <= SLIPS_IN_HOLDER else 'long bar'} in it")


def _best(fits: Sequence[Fit]) -> Fit:
    """The first that fits, on no condition before one on a condition; else why the first does not."""
    return min(fits, key=lambda fit: (not fit.fits, fit.why != ""))


def _and(one: Fit, other: Fit) -> Fit:
    """Both: why the first does not fit, or else the conditions of both."""
    if not one.fits or not other.fits:
        return other if one.fits else one
    return Fit(True, "; ".join(why for why in (one.why, other.why) if why))


def _holds(
    thing: DieHolder | DieStock | DieHead,
    dies: Sequence[Die],
    things: Sequence[Owned],
    long_mm: float,
    torque_nm: float,
    *,
    slips: bool,
) -> Fit:
    """Whether a holder takes one of `dies`, the thread passes it, a lathe of the shop takes its shank, and it bears the
    torque of the die."""
    if isinstance(thing, DieHead):
        chasers = [die for die in dies if die.form == "chasers"]
        held = Fit(bool(chasers), "" if chasers else "no chasers for it")
    else:
        held = _best([in_pocket(die, thing) for die in dies])
    if held.fits:
        held = _and(held, bears(thing, torque_nm, slips=slips))
    if not held.fits or isinstance(thing, DieStock):
        return held
    passes = through(dies[0].thread, long_mm, thing)
    if not passes.fits:
        return passes
    chucks = tuple(item for item in things if isinstance(item, Chuck) and item.at_hand)
    lathes = [item for item in things if isinstance(item, OwnLathe) and item.at_hand]
    return _and(_best([in_tailstock(thing, lathe.taper, chucks) for lathe in lathes]), held) if lathes else held


def holdings(
    dies: Sequence[Die],
    things: Sequence[Owned],
    long_mm: float = 0.0,
    torque_nm: float = 0.0,
    *,
    slips: bool = False,
) -> tuple[Holding, ...]:
    """Whether each holder, stock and head at hand holds one of `dies`, those that do first; none without a die.

    `long_mm` is the length of thread to be cut, `torque_nm` what its die takes (newton metres); 0 where that does not
    matter; `slips` that it is run on under power and must be free to slip.
    """
    own = [thing for thing in things if isinstance(thing, DieHolder | DieStock | DieHead) and thing.at_hand]
    told = [Holding(one, _holds(one, dies, things, long_mm, torque_nm, slips=slips)) for one in own] if dies else []
    return tuple(sorted(told, key=lambda one: (not one.fit.fits, one.fit.why != "")))
