"""Whether what holds a die bears the torque of its cut."""

from __future__ import annotations

from lathework.cutting.torque import SLIPS_IN_HAND, SLIPS_IN_HOLDER
from lathework.shop.equipment import DieHead, DieHolder, DieStock
from lathework.shop.fits import FITS, Fit

LONG_BAR_NM = 30.0
"""Torque in N m past which no bar held by hand bears a die (practice)."""


def bears(holder: DieHolder | DieStock | DieHead, torque_nm: float) -> Fit:
    """Whether a holder bears a die that takes `torque_nm` (unit N m), 0 where nobody knows. Source: practice."""
    keyed = isinstance(holder, DieHolder) and holder.keyed == "yes"
    if torque_nm <= SLIPS_IN_HAND or (keyed and torque_nm <= LONG_BAR_NM):
        return FITS
    takes = f"the die takes some {torque_nm:.0f} N m"
    if torque_nm > LONG_BAR_NM:
        return Fit(keyed, f"{takes}: rough the thread out first")
    if isinstance(holder, DieStock):
        return FITS if torque_nm <= SLIPS_IN_HOLDER else Fit(True, f"{takes}: long arms")
    if holder.shank == "straight" and torque_nm > SLIPS_IN_HOLDER:
        return Fit(False, f"{takes}: a round shank slips in its chuck")
    return Fit(True, f"{takes}: put a {'bar' if torque_nm <= SLIPS_IN_HOLDER else 'long bar'} in it")
