"""The pocket of a round die in a holder or a stock: its bore, its depth, the room behind it, its screws."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

from lathework.figures import Figure
from lathework.fits.fit import limits_of
from lathework.holders.design import Dimensioned, fitted, worked
from lathework.holders.making import Bored
from lathework.lengths import Length
from lathework.part.model import Edge
from lathework.planning.notice import Notice
from lathework.threads.designation import read_designation
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, convert

PROUD_MM = 0.1
"""What a die stands proud of its pocket, so that a screw or the hand can press it home (practice)."""
CHIP_SHARE = 0.75
"""How wide the room behind a die is, over its diameter: past its chip holes (practice)."""
CHIP_DEEP_MM = 8.0
"""How deep that room is where it is wider than the bar (practice)."""
LEAST_LIP_MM = 1.0
"""What a die needs to sit on, all round (practice)."""
OVER_THREAD_MM = 0.5
"""What a hole is larger than the thread that goes through it (practice)."""
SCREWED = ("M3", "M4", "M5", "M6")
SCREW_SHARE = 0.6
"""Threads of the screws that hold a die, and how wide one is at most over the die's thickness (practice)."""
OVER_SPLIT, BESIDE_SPLIT = "over the split of the {which}", "45° from the split of the {which}, square to each other"
BESIDE = 4
SCREWS = (
    "Screws of the {which}: a pointed one over the split opens it; those 45° beside the split close it, and with the "
    "two across from them keep it central."
)
LARGER_DIE = "this thread needs a larger die."
LOOKALIKES = ((20.0, 20.6375, "13/16"), (25.0, 25.4, "1"), (38.0, 38.1, "1-1/2"), (50.0, 50.8, "2"))
"""Metric dies that are taken for inch ones: both diameters in millimetres, the inch one by name (ISO 2568)."""
_NEAR_MM = 0.15


def way_through(die: Length, thread: Thread, unit: LengthUnit) -> Figure:
    """The hole behind a `die` in a ring, told in `unit`: past its chip holes, and past the thread. Source: practice."""
    lengths = {"die's diameter": die.mm, "thread": thread.major_mm, "over it": OVER_THREAD_MM}
    across = max(CHIP_SHARE * die.mm, thread.major_mm + OVER_THREAD_MM)
    return worked("way through", across, unit, "largest of (0.75 × die's diameter, thread + over it)", lengths)


@dataclass(frozen=True, slots=True)
class Pocket:
    """A die of so much across and so thick, at an end of the holder whose bar has a bore of `guide_mm` (millimetres);
    told in `unit`."""

    across: Length
    thick: Length
    guide_mm: float
    unit: LengthUnit
    end: Edge = "right"
    word: str = "die"

    @property
    def widened(self) -> bool:
        """Whether the room behind the die is wider than the bore of the bar, and bored for itself."""
        return CHIP_SHARE * self.across.mm > self.guide_mm + 2 * OVER_THREAD_MM

    @property
    def lip_mm(self) -> float:
        """What the die sits on, all round, in millimetres."""
        behind = max(self.guide_mm, CHIP_SHARE * self.across.mm) if self.widened else self.guide_mm
        return (self.across.mm - behind) / 2

    @property
    def bore(self) -> Figure:
        """How wide its pocket is."""
        limits = limits_of("running", "hole", self.across.mm, self.across.mm, self.unit)
        return fitted(limits, self.unit, f"pocket of the {self.word}")

    @property
    def deep(self) -> Figure:
        """How deep that is."""
        name, lengths = f"pocket of the {self.word} deep", {"die's thickness": self.thick.mm, "proud": PROUD_MM}
        return worked(name, self.thick.mm - PROUD_MM, self.unit, "die's thickness − proud", lengths, fine=False)

    @property
    def room(self) -> Figure:
        """How wide the room behind it is."""
        name, across = f"room behind the {self.word}", self.across.mm
        return worked(name, CHIP_SHARE * across, self.unit, "0.75 × die's diameter", {"die's diameter": across})

    @property
    def dimensions(self) -> Iterator[Dimensioned]:
        """Its dimensions, with their reasons."""
        yield Dimensioned(self.bore, "The die drops in and can be turned, without play.")
        yield Dimensioned(self.deep, "The die is slightly proud, so that whatever presses on it presses it home.")
        if self.widened:
            yield Dimensioned(self.room, "Clears the chip holes of the die, so that chips fall free.")

    @property
    def holes(self) -> Iterator[Bored]:
        """Its holes."""
        die, deep = convert(self.across.mm, "mm", self.unit), self.deep.value
        yield Bored(die, "running", die, deep=deep, end=self.end)
        if self.widened:
            yield Bored(self.room.value, deep=deep + convert(CHIP_DEEP_MM, "mm", self.unit), end=self.end)

    def against(self, otherwise: str) -> Iterator[Notice]:
        """What is against it: hardly anything to sit on, and what to do `otherwise`; a die of the other standard that
        is a hair larger."""
        field = "die" if self.word == "die" else "other"
        if self.lip_mm < LEAST_LIP_MM:
            lip = max(0.0, self.lip_mm)
            yield Notice(
                f"thin-lip-{field}", field, f"The {self.word} would sit on {lip:.1f} mm all round: {otherwise}"
            )
        for metric, inch, name in LOOKALIKES:
            off = abs(self.across.mm - metric)
            if off < _NEAR_MM and off < abs(self.across.mm - inch):
                text = f"A {name} in die is {inch:g} mm and does not fit here. Is it a {metric:g} mm {self.word}?"
                yield Notice(f"near-size-{field}", field, text)

    @property
    def screw(self) -> str:
        """The thread of its screws: the largest that leaves metal between it and the face."""
        threads = [name for name in SCREWED if read_designation(name).major_mm <= SCREW_SHARE * self.thick.mm]
        return threads[-1] if threads else SCREWED[0]

    def screw_holes(self, across: Figure, long: Figure) -> Iterator[Bored]:
        """The holes of its screws in a body so wide and long: half the die's thickness behind its face, through the
        wall."""
        half = self.thick.mm / 2
        behind = half if self.end == "right" else convert(long.value, self.unit, "mm") - half
        wall = (convert(across.value, self.unit, "mm") - self.across.mm) / 2
        at, deep = (convert(mm, "mm", self.unit) for mm in (behind, wall))
        for around, count in ((OVER_SPLIT, 1), (BESIDE_SPLIT, BESIDE)):
            where = around.format(which=self.word)
            yield Bored(None, end="across", thread=self.screw, at=at, deep=deep, round=count, around=where)

    @property
    def screws(self) -> str:
        """What each of its screws is for."""
        return SCREWS.format(which=self.word)
