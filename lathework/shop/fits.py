"""What goes into what: a die into its pocket, its thread through the bore behind, a shank into a taper, work into a
collet. Each answer says why where it does not. Sizes are in millimetres; source of the allowances: practice."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.shop.kinds.bars import Bar
from lathework.shop.kinds.die_heads import DieHead
from lathework.shop.kinds.die_holders import Bush, DieHolder, DieStock
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.drills import Reamer
from lathework.shop.kinds.taps import Tap
from lathework.shop.kinds.tools import Blade
from lathework.shop.kinds.workholding import Chuck, Collet
from lathework.shop.kit_choices import Morse
from lathework.threads.thread import Thread

POCKET_SLACK_MM = 0.2
"""A die may be smaller than its pocket by so much, and its screws still hold it true."""
PROUD_MM = 1.5
"""A die may stand so far out of its pocket: its screws still bear on its rim."""
THROUGH_MM = 0.2
"""A thread passes a bore larger than it by so much: chips would wedge it in less."""
BUSH_SLACK_MM = 0.1
"""A bush guides a blank up to so much smaller than its bore."""
REAMED_MM = 0.02
"""A reamer serves for a shaft whose size is its own within so much."""
PARTED_MM = 0.5
"""A blade reaches past the middle by so much to part a bar off."""
_ALIKE_MM = 1e-6


@dataclass(frozen=True, slots=True)
class Fit:
    """Whether something fits; `why` it does not, or on what condition it does ("" for none)."""

    fits: bool
    why: str = ""


FITS = Fit(True)


def in_pocket(die: Die, holder: DieHolder | DieStock) -> Fit:
    """A die in the pocket of a holder or a stock. A 25 mm pocket does not take a 1 in (25.4 mm) die."""
    if die.form not in ("split", "solid"):
        return Fit(False, "it is not a round die")
    if die.across is None:
        return Fit(False, "outside diameter not given")
    slack = holder.across.mm - die.across.mm
    if slack < -_ALIKE_MM:
        return Fit(False, f"a {die.across.typed} die does not fit a {holder.across.typed} pocket")
    if slack > POCKET_SLACK_MM + _ALIKE_MM:
        return Fit(False, f"a {die.across.typed} die is {slack:.1f} mm loose in a {holder.across.typed} pocket")
    if die.thick and holder.deep and die.thick.mm > holder.deep.mm + PROUD_MM + _ALIKE_MM:
        return Fit(False, f"it sticks out of the pocket by {die.thick.mm - holder.deep.mm:.1f} mm")
    return FITS


def through(thread: Thread, length_mm: float, holder: DieHolder | DieHead) -> Fit:
    """A thread `length_mm` long through what is behind the die; 0 where its length does not matter."""
    if holder.behind and thread.major_mm + THROUGH_MM > holder.behind.mm + _ALIKE_MM:
        return Fit(False, f"{thread.designation} does not pass through the {holder.behind.typed} bore behind it")
    if holder.swallows and length_mm > holder.swallows.mm + _ALIKE_MM:
        return Fit(False, f"its bore takes at most {holder.swallows.typed} of thread")
    return FITS


def in_tailstock(holder: DieHolder | DieHead, taper: Morse, chucks: tuple[Chuck, ...]) -> Fit:
    """A holder's shank in a tailstock of a Morse `taper`; a straight one in a drill chuck."""
    if holder.shank == "straight":
        opened = [c.most.mm for c in chucks if c.form == "drill" and c.most]
        if holder.round and opened and holder.round.mm > max(opened) + _ALIKE_MM:
            return Fit(False, f"its {holder.round.typed} shank is too large for the drill chuck")
        return FITS
    if holder.shank in ("", "on-a-guide") or not taper or holder.shank == taper:
        return FITS
    if holder.shank > taper:
        return Fit(False, f"its {holder.shank} shank does not fit a {taper} tailstock")
    return Fit(True, f"with a sleeve from {taper} to {holder.shank}")


def guides(bush: Bush, blank_mm: float) -> Fit:
    """A guide bush on a blank of `blank_mm`."""
    slack = bush.bore.mm - blank_mm
    if slack < -_ALIKE_MM:
        return Fit(False, f"the blank does not fit its {bush.bore.typed} bore")
    return FITS if slack <= BUSH_SLACK_MM + _ALIKE_MM else Fit(False, f"the blank is {slack:.2f} mm loose in it")


def grips(collet: Collet, across_mm: float, length_mm: float = 0.0) -> Fit:
    """A collet on a round of `across_mm`, of which it can have `length_mm`; 0 where that does not matter."""
    least = collet.least.mm if collet.least else collet.most.mm
    if not least - _ALIKE_MM <= across_mm <= collet.most.mm + _ALIKE_MM:
        return Fit(False, "it closes on a different size")
    if collet.deep and 0 < length_mm < collet.deep.mm / 2:
        return Fit(False, "less than half its depth would grip")
    return FITS


def closes(chuck: Chuck, across_mm: float) -> Fit:
    """The jaws of a chuck on what is `across_mm`; those of an unknown range close on anything."""
    if chuck.least and across_mm < chuck.least.mm - _ALIKE_MM:
        return Fit(False, f"it closes down to {chuck.least.typed} only")
    if chuck.most and across_mm > chuck.most.mm + _ALIKE_MM:
        return Fit(False, f"it takes at most {chuck.most.typed}")
    return FITS


def reams(reamer: Reamer, size_mm: float) -> Fit:
    """A reamer for a hole of `size_mm`: 1/4 in is not 6 mm."""
    if abs(reamer.size.mm - size_mm) <= REAMED_MM + _ALIKE_MM:
        return FITS
    return Fit(False, f"it reams {reamer.size.mm:.3f} mm")


def reaches(tap: Tap, depth_mm: float) -> Fit:
    """A tap down a hole threaded to `depth_mm`."""
    if tap.reaches and tap.reaches.mm < depth_mm - _ALIKE_MM:
        return Fit(False, f"it reaches only {tap.reaches.typed}")
    return FITS


def parts(blade: Blade, across_mm: float) -> Fit:
    """A blade through a bar of `across_mm`."""
    if blade.use == "grooving":
        return Fit(False, "it is for grooves")
    if blade.reach and blade.reach.mm < across_mm / 2 + PARTED_MM - _ALIKE_MM:
        return Fit(False, f"it reaches only {blade.reach.typed}")
    return FITS


def long_enough(bar: Bar, wanted_mm: float) -> Fit:
    """A bar for a batch that takes `wanted_mm` of it."""
    if bar.long is None:
        return Fit(True, "length not measured")
    return FITS if bar.long.mm >= wanted_mm - _ALIKE_MM else Fit(False, f"{bar.long.typed} is left")
