"""How the leadscrew is geared for a thread on the job's lathe, and when its nuts may be closed."""

from __future__ import annotations

from dataclasses import dataclass, replace
from fractions import Fraction

from lathework import cautions
from lathework.cautions import Caution
from lathework.figures import GEOMETRY, Figure, Given
from lathework.methods.chase import advance
from lathework.methods.gearbox import best_setting
from lathework.methods.gears import Train, as_pitch_diameter, over_length, per_hundred
from lathework.methods.reversing import carriage_back
from lathework.methods.thread_dial import closed_throughout, nut_times
from lathework.planning.work import Work
from lathework.shop.leadscrew import lead_of
from lathework.threads.thread import Thread

MINDED_MM = 0.005
"""An error of lead over the thread's length that is worth words, in millimetres (practice)."""


@dataclass(frozen=True, slots=True)
class Gearing:
    """What a step says of its gears: a sentence, naming figures in braces; its figures, its notes; and whether the half
    nuts may be opened at the end of a pass. `first_wheel` has so many teeth, 0 where no train is told; `by_hand`
    says that the wheels step up so much that the spindle is turned by hand."""

    words: str
    figures: dict[str, Figure]
    notes: tuple[str, ...]
    opens: bool
    first_wheel: int = 0
    by_hand: bool = False

    @property
    def reverses(self) -> bool:
        """Whether the spindle is run backward to bring the carriage back."""
        return not self.opens and not self.by_hand


STEPS_UP = 3.0
"""Turns of the leadscrew to one of the work from which the wheels are strained under power (practice)."""
TURN_BY_HAND = "The gears step up {step_up}: turn the spindle by hand with a crank. Under power they strip."
UNKNOWN_SCREW = closed_throughout("the leadscrew pitch is not given, and closed half nuts suit every pitch")
NO_TRAIN = closed_throughout("it is not known which gears cut it")


def _geared(work: Work, words: str, figures: dict[str, Figure], cut_mm: Fraction, *notes: str) -> Gearing:
    """What is said of a lead that is really cut, in millimetres, exactly: the wheels that are shown decide about the
    nuts, not the pitch that was wanted."""
    setup = work.job.setup
    if setup.leadscrew is None:
        return Gearing(words, figures, (*notes, UNKNOWN_SCREW), opens=False)
    times = nut_times(cut_mm, setup.leadscrew.mm, teeth=setup.dial_teeth, marks=setup.dial_lines)
    return Gearing(words, figures, (*notes, times.words), opens=times.opens)


def _told(train: Train, thread: Thread, length_mm: float) -> tuple[dict[str, Figure], tuple[str, ...]]:
    """What a train is off, and what that costs."""
    if not train.off:
        return {}, ()
    off = over_length(train, length_mm)
    figures = {"per_hundred": per_hundred(train), "off": off}
    if abs(off.value) < MINDED_MM:
        return figures, ("Near, not exact: {per_hundred} error in 100 mm, {off} over this thread.",)
    figures["costs"] = as_pitch_diameter(off.value, thread.form.angle_deg)
    words = "Not exact: {per_hundred} error in 100 mm. On a long nut this acts like {costs} of pitch diameter."
    return figures, (words,)


def _stepping_up(cut_mm: Fraction, screw_mm: Fraction) -> tuple[dict[str, Figure], tuple[str, ...]]:
    """What gears want that turn the leadscrew much faster than the work, a gearbox among them; nothing for others. Both
    leads are millimetres."""
    ratio = float(cut_mm / screw_mm)
    if ratio <= STEPS_UP:
        return {}, ()
    inputs = (Given("lead cut", float(cut_mm), "mm"), Given("leadscrew", float(screw_mm), "mm"))
    up = Figure("steps up", ratio, "×", "lead cut ÷ leadscrew", GEOMETRY, inputs, places=1)
    return {"step_up": up}, (TURN_BY_HAND,)


def gearing(work: Work, thread: Thread, length_mm: float) -> Gearing:
    """How to gear for a thread of `length_mm` (millimetres): the wheels of the job's lathe, or the advance alone."""
    setup, figures = work.job.setup, {"advance": advance(thread)}
    words = "Gear the leadscrew for {advance} per turn"
    lead, screw = lead_of(thread).mm, setup.leadscrew.mm if setup.leadscrew else None
    found = best_setting(lead, screw, setup.gearbox, setup.gears)
    if found and found.box and not found.train:
        return _geared(work, f"Set the gearbox to {found.box.typed}, {{advance}} per turn.", figures, found.box.mm)
    if screw is None or not setup.gears:
        return _geared(work, f"{words}.", figures, lead)
    train = found.train if found else None
    if found is None or train is None:
        note = f"No train of your gears cuts {thread.designation}: see Gears for the nearest."
        return Gearing(f"{words}.", figures, (note, NO_TRAIN), opens=False)
    off, notes = _told(train, thread, length_mm)
    up, strained = _stepping_up(found.cuts(screw), screw)
    told = _geared(work, f"{words}: {found.words}.", figures | off | up, found.cuts(screw), *notes, *strained)
    return replace(told, first_wheel=train.drivers[0], by_hand=bool(up))


def on_the_leadscrew(work: Work, geared: Gearing) -> tuple[Caution, ...]:
    """What to mind where a tool follows the leadscrew: under power or by hand, and where the motor brings the carriage
    back because the half nuts stay closed."""
    pace = cautions.CHASE_BY_HAND if geared.by_hand else cautions.CHASE
    return (pace, *(carriage_back(work.job.setup.mount) if geared.reverses else ()))
