"""Whether a sample can be believed: refused, with the reason, where it is stale or nothing moves like that."""

from __future__ import annotations

from lathework.instruments.sample import Sample
from lathework.units import MM_PER_INCH, show_length

STALE_S = 2.0
"""A readout that was silent so long, in seconds, shows where the tool was and not where it is (practice)."""
FASTEST_MM_S, HAND_MM = 250.0, 1.0
"""No slide is moved by hand faster than this, in millimetres a second; and what it may do in no time (practice)."""
AHEAD_S = 5.0
"""A clock may be wrong by so much, in seconds (practice)."""
ALIKE = 0.002
"""Within which share two readings are one in inches and in millimetres (practice)."""


def doubt(sample: Sample, before: Sample | None, now_s: float) -> str:
    """Why a sample is not to be believed at `now_s` (seconds, since 1970), after the one `before`; "" where it is.

    Source: practice.
    """
    age = now_s - sample.at_s
    if age > STALE_S:
        return f"No new reading for {age:.0f} s. Check the instrument and its connection."
    if age < -AHEAD_S:
        return "The instrument's clock is ahead of the clock of this computer."
    if before is None or sample.source != "readout":
        return ""
    seconds = max(sample.at_s - before.at_s, 0.0)
    for axis, mm in sample.axes.items():
        was = before.axes[axis]
        if _other_unit(mm, was):
            return f"{axis.upper()} changed unit. Check the instrument's unit."
        moved = abs(mm - was)
        if moved > FASTEST_MM_S * seconds + HAND_MM:
            return (
                f"{axis.upper()} jumped by {show_length(moved, 'mm', 'mm')} mm. Check the reading: a slipped "
                "digit, or a reset to zero."
            )
    return ""


def _other_unit(mm: float, was_mm: float) -> bool:
    """Whether a value is the one before it (both millimetres) in the other unit."""
    if abs(was_mm) < HAND_MM or abs(mm - was_mm) < HAND_MM:
        return False
    return any(abs(mm / was_mm / times - 1) < ALIKE for times in (MM_PER_INCH, 1 / MM_PER_INCH))
