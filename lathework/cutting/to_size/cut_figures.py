"""The figures of a next cut, each with its working."""

from __future__ import annotations

from lathework.cutting.dimension import MOVE_WORDS, Dimension, halved
from lathework.cutting.to_size.last_cuts import Wanted
from lathework.cutting.to_size.spring_back import HELD, MOVES, Outlook, SlideBelief
from lathework.figures import PRACTICE, Figure, Given, Source
from lathework.shop.lathe_facts import Dial
from lathework.units import LengthUnit, Millimetres, Unit, convert

STATE_SPACE = Source("practice", "state-space model of lathe and work, by an extended Kalman filter")
ELSEWHERE = "Earlier cuts used, from this lathe, material, tool and stick-out: {}."
SPRING_NOTE = "Tool and work give way under a cut. What sprang away is still there at the next."


def _of_the_slide(belief: SlideBelief) -> tuple[Given, ...]:
    """What is believed of the slide, as inputs."""
    return Given("share that springs", belief.share), Given("movement per dialled", belief.moves)


def left_to_come_off(last_mm: Millimetres, dimension: Dimension, unit: LengthUnit) -> Figure:
    """What is left to come off, or to go."""
    aim_mm, sign = dimension.target.aim_mm, -1 if dimension.grows else 1
    return Figure(
        "still to come off",
        convert(sign * (last_mm - aim_mm), "mm", unit),
        unit,
        "target − last reading" if dimension.grows else "last reading − target",
        PRACTICE,
        _given(unit, last_reading=last_mm, target=aim_mm),
    )


def _given(unit: LengthUnit, **lengths_mm: Millimetres) -> tuple[Given, ...]:
    """Lengths as inputs in a `unit`, by their names with spaces."""
    return tuple(Given(name.replace("_", " "), convert(mm, "mm", unit), unit) for name, mm in lengths_mm.items())


def _moves(dimension: Dimension, dial: Dial) -> tuple[str, str, float]:
    """What is moved in words, how the formula is halved for it, and by what."""
    half = halved(dimension.move, dial)
    return MOVE_WORDS[dimension.move].format(dial=dial), " ÷ 2" if half else "", 2.0 if half else 1.0


def plainly_dialled(
    wanted: Wanted,
    last_mm: Millimetres,
    told_mm: Millimetres,
    dimension: Dimension,
    dial: Dial,
    unit: LengthUnit,
) -> Figure:
    """What to dial for a `wanted` cut from the last reading to a size (`told_mm`), where nothing springs."""
    words, half, by = _moves(dimension, dial)
    ends = ("next size", "last reading") if dimension.grows else ("last reading", "next size")
    inputs = _given(unit, last_reading=last_mm, next_size=told_mm)
    formula = f"({ends[0]} − {ends[1]}){half}"
    if wanted.state == "rough":
        inputs += _given(unit, most_per_cut=dimension.most_mm)
        formula = f"smallest of (most per cut, {ends[0]} − {ends[1]}){half}"
    return Figure(words, convert(wanted.dialled_mm, "mm", unit) / by, unit, formula, PRACTICE, inputs)


def dialled(
    wanted: Wanted,
    last_mm: Millimetres,
    told_mm: Millimetres,
    dimension: Dimension,
    dial: Dial,
    unit: LengthUnit,
    belief: SlideBelief,
    *,
    stands: bool,
) -> Figure:
    """What to dial for a `wanted` cut from the last reading to a size (`told_mm`), by what is believed of the slide;
    `stands` says that the tool is where the cut before left it."""
    words, half, by = _moves(dimension, dial)
    if wanted.state == "again":
        note = "The spring that the tool holds takes off what is left."
        return Figure(
            words, 0.0, unit, "same dial setting", PRACTICE, (Given("same dial setting", 0.0, unit),), note=note
        )
    ends = "next size − last reading" if dimension.grows else "last reading − next size"
    most = ["most per cut"] if stands else ["most per cut", ends]
    by_spring = f"(({ends} + size over the reading) ÷ (1 − share that springs) − spring) ÷ movement per dialled"
    lengths = _given(
        unit,
        last_reading=last_mm,
        next_size=told_mm,
        size_over_the_reading=belief.over_mm,
        spring=belief.held_mm,
        most_per_cut=dimension.most_mm,
    )
    return Figure(
        words,
        convert(wanted.dialled_mm, "mm", unit) / by,
        unit,
        f"smallest of ({', '.join([*most, by_spring])}){half}",
        STATE_SPACE,
        (*lengths, *_of_the_slide(belief)),
        note=SPRING_NOTE,
    )


def expected(
    last_mm: Millimetres, dialled_mm: Millimetres, belief: SlideBelief, unit: LengthUnit, *, grows: bool
) -> Figure:
    """What the next reading will be once so much is dialled."""
    sign, words = (1, "+") if grows else (-1, "−")
    lengths = _given(
        unit, last_reading=last_mm, cut=dialled_mm, spring=belief.held_mm, size_over_the_reading=belief.over_mm
    )
    return Figure(
        "expect",
        convert(last_mm + sign * belief.outlook(dialled_mm).comes_off_mm, "mm", unit),
        unit,
        f"last reading {words} ((1 − share that springs) × (movement per dialled × cut + spring) − "
        "size over the reading)",
        STATE_SPACE,
        (*lengths, *_of_the_slide(belief)),
    )


def give_or_take(outlook: Outlook, unit: LengthUnit) -> Figure:
    """How far the next size may be off: one standard deviation."""
    lengths = _given(
        unit, unknown_of_the_lathe=outlook.unknown_mm, dial=outlook.dial_mm, wander_of_a_cut=outlook.wander_mm
    )
    return Figure(
        "± uncertainty",
        convert(outlook.spread_mm, "mm", unit),
        unit,
        "√(unknown of the lathe² + dial² + wander of a cut²) × how far cuts stray",
        STATE_SPACE,
        (*lengths, Given("how far cuts stray", outlook.stray)),
        note="One standard uncertainty: two thirds of all cuts are within it.",
    )


def _learned(name: str, belief: SlideBelief, place: int, unit: Unit, per: float, note: str, places: int = 0) -> Figure:
    """A quantity of the lathe as the last pass left it; as it is assumed where there was none. `per` is its unit in
    the one of the model."""
    if belief.learned is None:
        start = Given("as assumed", belief.means[place] * per, unit)
        return Figure(name, start.value, unit, "as assumed", STATE_SPACE, (start,), note=note, places=places)
    taught = belief.learned[place]
    return Figure(
        name,
        belief.means[place] * per,
        unit,
        "before the last cut + share learned × missed by",
        STATE_SPACE,
        (
            Given("before the last cut", taught.before * per, unit),
            Given("share learned", taught.gain * per),
            Given("missed by", taught.missed_mm),
        ),
        note=note,
        places=places,
    )


def what_dial_moves(belief: SlideBelief, elsewhere: int) -> Figure:
    """What the dial moves per dialled; `elsewhere` is how many cuts of other jobs taught it."""
    note = ELSEWHERE.format(elsewhere) if elsewhere else ""
    return _learned("movement per dialled", belief, MOVES, "", 1.0, note, places=2)


def spring_held(belief: SlideBelief, unit: LengthUnit) -> Figure:
    """The spring that the tool holds against the work from the cut before."""
    return _learned("spring from the last cut", belief, HELD, unit, convert(1.0, "mm", unit), SPRING_NOTE)
