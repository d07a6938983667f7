"""A tailstock die holder that slides on a bar: a pocket for the die, room for its chips and the thread, a bore for the
bar; for one die, or for another one at its other end."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

from lathework.figures import PRACTICE, Figure, Given
from lathework.fits.fit import limits_of
from lathework.holders.design import Design, Dimensioned, bar_for, length_text, thin_wall, wall_of
from lathework.holders.making import Bored, Turned, turned_job
from lathework.lengths import Length
from lathework.part.model import Edge
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
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
BEARS = 2.0
"""How many of its diameters the holder bears on its bar (practice)."""
SIDE_MM = 6.0
"""Metal beside the pocket, for the screws to have threads in (practice)."""
_ENDS: tuple[tuple[Edge, str], ...] = (("right", "die"), ("left", "other die"))
SCREWS = (
    "Screws for the {which}: drill and tap three M5, {at} behind its face, at half the die's thickness: the middle "
    "one pointed, over the split; one on either side, 45 degrees off."
)


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
        aim = limits_of("running", "hole", self.across.mm, self.across.mm, self.unit).aim
        return replace(aim, name=f"pocket of the {self.word}")

    @property
    def deep(self) -> Figure:
        """How deep that is."""
        thick = convert(self.thick.value, self.thick.unit, self.unit)
        proud = convert(PROUD_MM, "mm", self.unit)
        return Figure(
            f"pocket of the {self.word} deep",
            thick - proud,
            self.unit,
            "die's thickness − proud",
            PRACTICE,
            (Given("die's thickness", thick, self.unit), Given("proud", proud, self.unit)),
            fine=False,
        )

    @property
    def room(self) -> Figure:
        """How wide the room behind it is."""
        across = convert(self.across.value, self.across.unit, self.unit)
        return Figure(
            f"room behind the {self.word}",
            CHIP_SHARE * across,
            self.unit,
            "0.75 × die's diameter",
            PRACTICE,
            (Given("die's diameter", across, self.unit),),
        )

    @property
    def dimensions(self) -> Iterator[Dimensioned]:
        """Its dimensions, with their reasons."""
        yield Dimensioned(self.bore, "The die drops in and can be turned, and does not shake.")
        yield Dimensioned(self.deep, "The die stands a hair proud: what presses on it presses it home.")
        if self.widened:
            yield Dimensioned(self.room, "Past the chip holes of the die, so that chips fall free.")

    @property
    def holes(self) -> Iterator[Bored]:
        """Its holes."""
        die, deep = convert(self.across.mm, "mm", self.unit), self.deep.value
        yield Bored(die, "running", die, deep=deep, end=self.end)
        if self.widened:
            yield Bored(self.room.value, deep=deep + convert(CHIP_DEEP_MM, "mm", self.unit), end=self.end)

    @property
    def screws(self) -> str:
        """Where its screws go."""
        half = length_text(convert(self.thick.mm / 2, "mm", self.unit), self.unit)
        return SCREWS.format(which=self.word, at=f"{half} {self.unit}")


def _long(pockets: Sequence[Pocket], swallows: Length, bar: Length, unit: LengthUnit) -> Figure:
    deep = sum(one.deep.value for one in pockets)
    longest, thick = convert(swallows.value, swallows.unit, unit), convert(bar.value, bar.unit, unit)
    return Figure(
        "long",
        deep + longest + BEARS * thick,
        unit,
        "pockets + longest thread + 2 × bar",
        PRACTICE,
        (Given("pockets", deep, unit), Given("longest thread", longest, unit), Given("bar", thick, unit)),
        fine=False,
    )


def _across(widest: Length, unit: LengthUnit) -> Figure:
    die, side = convert(widest.value, widest.unit, unit), convert(SIDE_MM, "mm", unit)
    return Figure(
        "body across",
        die + 2 * side,
        unit,
        "die's diameter + 2 × side",
        PRACTICE,
        (Given("die's diameter", die, unit), Given("side", side, unit)),
    )


def _against(pockets: Sequence[Pocket], guide_mm: float, thread: Thread, wall: Figure) -> Iterator[Notice]:
    for pocket in pockets:
        if pocket.lip_mm < LEAST_LIP_MM:
            field = "die" if pocket.word == "die" else "other"
            lip = max(0.0, pocket.lip_mm)
            text = f"The {pocket.word} would sit on {lip:.1f} mm all round: take a thinner bar for it."
            yield Notice(f"thin-lip-{field}", field, text)
    if guide_mm < thread.major_mm + OVER_THREAD_MM:
        text = f"{thread.designation} does not go through the bore of the bar: a thicker bar, or a smaller thread."
        yield Notice("bore-under-thread", "bar", text)
    yield from thin_wall(wall, "die", "a larger body.")


def _body(guide: Figure, long: Figure, across: Figure, widest: Length, unit: LengthUnit) -> tuple[Dimensioned, ...]:
    """The dimensions of the body, its wall and its bar the last."""
    wall = wall_of(convert(across.value, unit, "mm"), widest.mm, unit)
    return (
        Dimensioned(guide, "It slides on the bar without shake; the bar is drawn back as the thread comes through."),
        Dimensioned(long, "The longest thread has room, and two diameters of the bar are always in it."),
        Dimensioned(across, "Metal beside the pocket for the screws."),
        Dimensioned(wall, "What is left beside the die."),
        Dimensioned(bar_for(across, unit), "So much bar that its skin goes."),
    )


def die_holder(
    *,
    dies: Sequence[tuple[Length, Length]],
    thread: Thread,
    longest: Length,
    bar: Length,
    metal: Material,
    unit: LengthUnit,
) -> Design:
    """A holder for one of the `dies`, each across and thick, at either end, that slides on a `bar`, told in `unit`;
    `thread` is the largest that is cut, `longest` the longest. Sizes as measured. Source: practice."""
    guide = replace(limits_of("close-running", "hole", bar.mm, bar.mm, unit).aim, name="bore for the bar")
    guide_mm, own = convert(guide.value, unit, "mm"), convert(bar.mm, "mm", unit)
    ends = zip(dies, _ENDS, strict=False)
    pockets = [Pocket(across, thick, guide_mm, unit, end, word) for (across, thick), (end, word) in ends]
    widest = max((one.across for one in pockets), key=lambda size: size.mm)
    long, across = _long(pockets, longest, bar, unit), _across(widest, unit)
    body = _body(guide, long, across, widest, unit)
    *_, wall, stock = (one.figure for one in body)
    title = f"Die holder, {' and '.join(one.across.typed for one in pockets)}"
    document = turned_job(
        title,
        fits="die, and the bar it slides on",
        unit=unit,
        metal=metal,
        bar=stock.value,
        turned=(Turned(across.value, long.value),),
        bored=(*(hole for one in pockets for hole in one.holes), Bored(own, "close-running", own)),
        becomes=_becomes(*dies[0]),
        afterwards=" ".join(one.screws for one in pockets),
    )
    dimensions = (*(told for one in pockets for told in one.dimensions), *body)
    return Design(title, dimensions, tuple(_against(pockets, guide_mm, thread, wall)), document)


def _becomes(die: Length, thick: Length) -> str:
    sizes = " x ".join(f"{length_text(one.value, one.unit)} {one.unit}" for one in (die, thick))
    return f"{sizes} die holder sliding"
