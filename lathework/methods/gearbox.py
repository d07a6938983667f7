"""A gearbox with change gears before it: its levers at one of its pitches, and the wheels that make it the lead."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache

from lathework.methods.gears import GOOD, MOST_SHOWN, Train, best_train, trains
from lathework.shop.leadscrew import Lead

PAIRS_AT_A_BOX = 2
"""Pairs of wheels before a gearbox: its banjo takes no more (practice)."""


@dataclass(frozen=True, slots=True)
class Geared:
    """How the leadscrew is driven: by a `train` of wheels, at a `box` setting or straight to the leadscrew where that
    is None; by the box alone, with the wheels it has on the plate, where `train` is None.

    A box's pitches hold with its own wheels: `train` stands for those, and turns the box as much faster or slower.
    """

    box: Lead | None
    train: Train | None

    @property
    def off(self) -> Fraction:
        """By how much what it cuts is more than what was wanted, as a share of it."""
        return self.train.off if self.train else Fraction(0)

    @property
    def meshes(self) -> bool:
        """Whether its wheels clear each other's shafts."""
        return self.train is None or self.train.meshes

    @property
    def words(self) -> str:
        """What is set, and what is put up.

        >>> from lathework.shop.leadscrew import read_lead
        >>> Geared(read_lead("8 tpi"), None).words
        'gearbox at 8 tpi, with its own gears'
        >>> Geared(read_lead("4 mm"), Train((63,), (48,), Fraction(0), True)).words
        'gearbox at 4 mm; 63 drives 48, with any gear as an idler between, instead of its usual 1 to 1 gears'
        """
        train = self.train.words if self.train else ""
        if self.box is None:
            return train
        return f"gearbox at {self.box.typed}" + (
            f"; {train}, instead of its usual 1 to 1 gears" if train else ", with its own gears"
        )

    def cuts(self, leadscrew: Fraction) -> Fraction:
        """The lead that it really cuts, in the unit of the leadscrew's."""
        base = leadscrew if self.box is None else self.box.mm
        return base * self.train.ratio if self.train else base


def in_box(lead: Fraction, box: Sequence[Lead]) -> Lead | None:
    """The setting of a gearbox that gives a lead (millimetres), exactly; None where it has none."""
    return next((one for one in box if one.mm == lead), None)


def _rank(one: Geared) -> tuple[bool, bool, int, Fraction, int]:
    """As trains are ranked; of the settings that take the same wheels, the one nearest to the lead."""
    train, off = one.train, abs(one.off)
    pairs, good = len(train.drivers) if train else 0, off <= GOOD
    return not one.meshes, not good, pairs if good else 0, off, pairs


@lru_cache(maxsize=64)
def settings(lead: Fraction, leadscrew: Fraction, box: tuple[Lead, ...], owned: tuple[int, ...]) -> tuple[Geared, ...]:
    """How to cut a `lead` (millimetres) with a `leadscrew` of that lead, a gearbox and the wheels owned, best first.

    A setting of the box needs no wheels. Else each is tried with the wheels before it, since the carriage then moves
    its lead x drivers / driven; a lathe without a box is geared straight to its leadscrew. Source: lead cut = lead of
    the setting x drivers / driven.
    """
    direct = in_box(lead, box)
    found = [Geared(direct, None)] if direct else []
    if not box:
        found += [Geared(None, train) for train in trains(lead, leadscrew, owned)]
        return tuple(found)
    seen: set[tuple[tuple[int, ...], tuple[int, ...], Fraction]] = set()
    for setting in box:
        for train in trains(lead, setting.mm, owned, most_pairs=PAIRS_AT_A_BOX):
            key = (train.drivers, train.driven, setting.mm)
            if train.ratio != 1 and key not in seen:
                seen.add(key)
                found.append(Geared(setting, train))
    return tuple(sorted(found, key=_rank)[:MOST_SHOWN])


def best_setting(
    lead: Fraction, leadscrew: Fraction | None, box: tuple[Lead, ...], owned: tuple[int, ...]
) -> Geared | None:
    """The first of them that meshes; None where the lathe cuts nothing so near, or nobody said what it has."""
    direct = in_box(lead, box)
    if direct is not None:
        return Geared(direct, None)
    if leadscrew is None or not owned:
        return None
    if not box:
        train = best_train(lead, leadscrew, owned)
        return Geared(None, train) if train else None
    return next((one for one in settings(lead, leadscrew, box, owned) if one.meshes), None)
