"""How long a thread takes: a die or a tap there and back, and what is left at a shoulder or a bottom, as figures."""

from __future__ import annotations

from math import fsum

from lathework.figures import PRACTICE, Figure, Given
from lathework.threads.thread import Thread

HAND_TURN_MIN = 0.04
"""Minutes for a turn of the spindle by hand under a die or a tap (practice)."""
VISE_TURN_MIN = 0.06
"""Minutes for a turn of a stock or a wrench in the vise (practice)."""
THERE_AND_BACK = 2.0
"""A die runs on and back off."""
HANDLING_MIN = 0.75
"""Minutes to bring a holder up and away (practice)."""
VISE_MIN = 1.5
"""Minutes to take a piece to the vise, stand it up and look at it from two sides (practice)."""


def minutes(name: str, total: float, formula: str, *inputs: Given) -> Figure:
    """A figure of minutes, total (unit min) by its `formula`. Source: practice."""
    return Figure(name, total, "min", formula, PRACTICE, inputs, places=1)


def set_up_minutes(total: float) -> Figure:
    """Minutes before the first piece: a `total` (unit min) as practice has it."""
    return Figure("to set up", total, "min", "by the way it is made", PRACTICE, kind="table", places=0)


def there_and_back(turns: float, *, speed: Figure | None, off_lathe: bool, also: tuple[Given, ...] = ()) -> Figure:
    """Minutes of a die or a tap that goes on so many `turns` (a number) and comes back the same way.

    At `speed` (rev/min) under power, by hand where that is None, in the vise where it is `off_lathe`; what `also` takes
    its minutes is added. Source: practice.
    """
    around = VISE_MIN if off_lathe else HANDLING_MIN
    given = [Given("there and back", THERE_AND_BACK), Given("turns", turns), Given("handling", around, "min"), *also]
    total = around + fsum(one.value for one in also)
    plus = "".join(f" + {one.name}" for one in also)
    if speed is not None:
        total += THERE_AND_BACK * turns / speed.value
        words = f"there and back × turns ÷ speed + handling{plus}"
        return minutes("each", total, words, *given, Given("speed", speed.value, "rev/min"))
    each = VISE_TURN_MIN if off_lathe else HAND_TURN_MIN
    total += THERE_AND_BACK * turns * each
    words = f"there and back × turns × a turn by hand + handling{plus}"
    return minutes("each", total, words, *given, Given("a turn by hand", each, "min"))


def left_over(name: str, thread: Thread, pitches: float, note: str = "") -> Figure:
    """How much of a thread stays unfinished where it ends: so many `pitches` (a number), in the thread's unit. Source:
    practice."""
    given = (Given("pitches", pitches), Given("pitch", thread.pitch, thread.unit))
    value = pitches * thread.pitch
    return Figure(name, value, thread.unit, "pitches × pitch", PRACTICE, given, fine=False, note=note)
