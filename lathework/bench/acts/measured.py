"""A size of the step in hand, measured."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar

from lathework.bench.acts.act import At, Measured
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry, Kind
from lathework.bench.size.expected_reading import expected_reading
from lathework.bench.size.size_now import SizeNow
from lathework.bench.size.unlikely import check_likely
from lathework.cutting.dimension import came_off, halved
from lathework.errors import InputError
from lathework.lengths import Length, Span, within
from lathework.units import show_length

_GROWN_MM = 0.1
"""Millimetres by which a reading may go back before metal would have to come back (practice)."""
LEAST_DIALLED_MM, PLAIN_MM, ALIKE = 0.001, 0.1, 0.08
"""The least that can be dialled; what must have come off for it to be told from what was dialled (both millimetres);
and within what share of the half or the double it is told (practice)."""
LEAST_SHARE, MOST_SHARE, MOST_OVER_MM = 0.5, 1.05, 0.2
"""What a reading may be: at least this share of the smaller of aim and start, at most this share of the larger and a
little over it, in millimetres; past either a digit slipped (practice)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Reading(Measured):
    """A size of the step was read: the one that is `measured`, "" for the one that drives its cuts; `dialled` is what
    was dialled before it, in the dial's own terms, "" where nobody says."""

    kind: ClassVar[Kind] = "reading"
    dialled: str = ""
    measured: str = ""

    def entry(self, at: At) -> Entry:
        """The reading. Raises InputError on "reading", "dialled", "measured" or "by"."""
        length = at.length(self.reading, self.unit, "reading")
        dialled = at.length(self.dialled, self.unit, "dialled") if self.dialled.strip() else None
        return self.sent(reading_entry(at.bench, length, dialled, self.measured, sure=self.sure))


def reading_entry(
    now: Bench, length: Length, dialled: Length | None = None, measured: str = "", *, sure: bool = False
) -> Entry:
    """A size of the step in hand as `measured`, "" for the one that drives its cuts, and what was `dialled` in the
    dial's own terms where the person says. One that is far from the expected one is kept where it is `sure`.

    Raises InputError on "reading", "dialled" or "measured".
    """
    step = now.step
    if step is None or not now.sizes:
        raise InputError("not-asked", "reading", "This step has nothing to measure.")
    size = now.size(measured)
    if size is None:
        known = tuple(one.dimension.measured for one in now.sizes)
        raise InputError("unknown-choice", "measured", "That size is not measured at this step.", known)
    _check_size(size, length)
    own = size.dimension.measured
    told_mm = _dialled_mm(now, size, length, dialled) if dialled is not None else None
    if not sure and (expected := expected_reading(size, told_mm)) is not None:
        check_likely(length, expected)
    if told_mm is not None:
        return Entry("reading", now.piece, step.key, length.mm, own, dialled_mm=told_mm, stated=True)
    asked = size.cut.cut_mm if size.readings and size.cut.dial is not None else None
    return Entry("reading", now.piece, step.key, length.mm, own, dialled_mm=asked)


def _check_size(size: SizeNow, length: Length) -> None:
    """Raises InputError on "reading" where a size cannot read so: a digit slipped, or metal would have come back."""
    dimension, aim = size.dimension, size.dimension.target.aim_mm
    # What begins at nothing is measured near its end.
    least = LEAST_SHARE * (min(aim, dimension.start_mm) or aim)
    most = MOST_SHARE * max(aim, dimension.start_mm, dimension.target.high_mm) + MOST_OVER_MM
    if dimension.move == "knock":
        least, most = 0.0, dimension.most_mm
    within(length, Span(dimension.name.capitalize(), least, most), "reading")
    back_mm = -came_off(dimension, size.readings[-1].value_mm, length.mm) if size.readings else 0.0
    if back_mm > _GROWN_MM and dimension.move != "knock":
        word = "smaller" if dimension.grows else "larger"
        text = f"That is {word} than the last reading, and metal cannot come back. Measure again."
        raise InputError("grew", "reading", text)


def _dialled_mm(now: Bench, size: SizeNow, length: Length, dialled: Length) -> float:
    """What was dialled, on the size itself, in millimetres. Raises InputError on "dialled" where it cannot be, or where
    what came off says that the dial's other terms were meant."""
    dimension = size.dimension
    half = halved(dimension.move, now.plan.job.setup.dial)
    most = max(dimension.start_mm, dimension.target.high_mm)
    within(dialled, Span("The dialled value", LEAST_DIALLED_MM, most / (2 if half else 1)), "dialled")
    told_mm = dialled.mm * (2 if half else 1)
    came_mm = came_off(dimension, size.readings[-1].value_mm, length.mm) if size.readings else 0.0
    if dimension.move != "cross-slide":
        return told_mm
    for share, words in ((0.5, "Half"), (2.0, "Twice")):
        if came_mm >= PLAIN_MM and abs(came_mm / told_mm / share - 1) <= ALIKE:
            meant = f"{show_length(dialled.mm * share, 'mm', dialled.unit)} {dialled.unit}"
            text = f"{words} of what was dialled came off. Did you mean {meant}? This lathe's dial reads "
            text += f"{now.plan.job.setup.dial}. Leave it empty if you do not know."
            raise InputError("other-terms", "dialled", text, (meant,))
    return told_mm
