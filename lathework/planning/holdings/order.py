"""The order of work that follows from the part: how long it is for its thickness, how much of it a tool goes over."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.job.model import Job, Order
from lathework.part.ends import Ends, nominal_mm
from lathework.part.model import Part
from lathework.part.stock import FACING_MM
from lathework.planning.notice import Notice, told
from lathework.units import LengthUnit

CENTRE_RATIO = 4.0
"""Length worked over diameter from which a centre is wanted, and nothing is parted off any more (practice)."""
STEADY_RATIO = 12.0
"""Length worked over diameter from which work on a centre wants a travelling steady as well (practice)."""
HOLD_CLEARANCE_MM = 6.0
"""Kept between the tool's last place and the jaws (practice)."""
LEAST_GRIP_MM = 8.0
"""Least length that three jaws hold (practice)."""
JAWS_MM = 25.0
"""Length that the jaws of a small chuck close on (practice)."""
_CUT_MM = 0.01
NEARLY = 1e-9
"""Share of a limit by which a figure worked out from typed ones may pass it for its last bit alone: fractions and
inches are no whole numbers of it, and their sums end this way or that."""


def over(value: float, limit: float) -> bool:
    """Whether `value` passes `limit`, both in millimetres or both a ratio; met exactly it does not, however it was
    added up.

    >>> over(0.1 + 0.2, 0.3), over(0.3001, 0.3)
    (False, True)
    """
    return value > limit + NEARLY * abs(limit)


@dataclass(frozen=True, slots=True)
class Settled:
    """The order of work as planned, and what must be said where it is not the one chosen, or chosen against advice.

    `guided` says that a long screw is threaded straight off its bar, which nothing but the die's holder holds up.
    """

    order: Order
    notice: Notice | None = None
    guided: bool = False


def slenderness(part: Part) -> float:
    """Overall length over the size of the bar."""
    return part.overall_mm / part.stock.across.mm


def cut_mm(part: Part, numbers: tuple[int, ...]) -> float:
    """How far from the face a tool goes over sections `numbers`, in their order from the face (millimetres)."""
    far = worked = 0.0
    for number in numbers:
        section = part.sections[number]
        far += section.length.mm
        smaller = nominal_mm(part, number) < part.stock.corners_mm - _CUT_MM
        if smaller or section.thread is not None or section.shape == "knurl":
            worked = far
    return worked


def draws_out(part: Part, ends: Ends) -> bool:
    """Whether a first end that is worked close to the jaws can then be drawn out with its bar, to part it off."""
    return over(part.overall_mm, cut_mm(part, ends.first) + HOLD_CLEARANCE_MM)


def _long(job: Job, ratio: float) -> Settled:
    part, unit, most = job.part, job.unit, f"{CENTRE_RATIO:.0f}"
    bar = (
        f"{told(part.overall_mm, unit)} of a {told(part.stock.across.mm, unit, fine=True)} bar is {ratio:.1f} diameters"
    )
    if over(ratio, STEADY_RATIO):
        text = f"{bar}: over {STEADY_RATIO:.0f}, nothing may stick out unsupported. Saw blanks and hold each end short."
        return Settled("blanks-first", Notice("long-refused", "method.order", text))
    if job.method.overruled:
        text = f"{bar}; parted off the bar anyway: {job.method.overruled}"
        return Settled("from-the-bar", Notice("long-overruled", "method.overruled", text))
    text = f"{bar}, over {most}: saw blanks and hold each end short. To part it off the bar anyway, give a reason."
    return Settled("blanks-first", Notice("long-part", "method.order", text))


def _blank_holds(part: Part, ends: Ends) -> bool:
    """Whether jaws have enough of a sawn blank while its first end is worked."""
    left = part.overall_mm + FACING_MM - cut_mm(part, ends.first) - HOLD_CLEARANCE_MM
    return not over(LEAST_GRIP_MM, left)


def settle(job: Job, ends: Ends, *, guided: bool, blanks: bool = False) -> Settled:
    """The order of work: as chosen, but no long piece hangs out of the chuck, and no short one is sawn.

    From the bar up to four diameters, with a reason or with the die alone to run on, `guided` by the tailstock, up to
    twelve. A blank too short for the jaws is parted off instead; `blanks` where parting off would not go.
    Source: practice.
    """
    part, chosen = job.part, job.method.order
    if part.stock.one_ended:
        return Settled(chosen)
    ratio = slenderness(part)
    if blanks and chosen == "from-the-bar":
        return Settled("blanks-first")
    if chosen == "from-the-bar":
        long = over(ratio, CENTRE_RATIO)
        if guided and long and not over(ratio, STEADY_RATIO) and not job.method.overruled:
            return Settled(chosen, guided=True)
        return _long(job, ratio) if long else Settled(chosen)
    if not over(ratio, CENTRE_RATIO) and not _blank_holds(part, ends):
        return Settled("from-the-bar", Notice("short-blank", "method.order", _short(part, ends, job.unit)))
    return Settled(chosen)


def _short(part: Part, ends: Ends, unit: LengthUnit) -> str:
    left = max(0.0, part.overall_mm - cut_mm(part, ends.first))
    return f"A sawn blank would leave only {told(left, unit)} for the jaws, so it is made on the bar and parted off."
