"""The blank (turn-down) diameter for a die, by four schools, and what each leaves of the crest."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import Literal, get_args

from lathework.cutting.mate_blank import Mate, mate_blank
from lathework.figures import PRACTICE, Answer, Figure, Given
from lathework.threads.standards.bands import Band
from lathework.threads.thread import Thread
from lathework.units import round_half_up

School = Literal["nominal", "pitch-fraction", "mid-limits", "mate-takes"]
SCHOOLS: tuple[School, ...] = get_args(School)
DEFAULT_FRACTION = 0.10
SCHOOL_NAMES: dict[School, str] = {
    "nominal": "nominal size",
    "pitch-fraction": "a fraction of the pitch under",
    "mid-limits": "middle of the class limits",
    "mate-takes": "as large as the mating nut allows",
}
REMARKS: dict[School, str] = {
    "nominal": "Full crests, but the metal pushed up loads the die and may tear.",
    "pitch-fraction": "Leaves room for the metal that the die pushes up; the fraction suits the material.",
    "mid-limits": "Aims at the middle of the standard's limits for the finished crest.",
    "mate-takes": "For a worn or oversize mating part: the largest crest of the class, with the die opened to suit. A "
    "standard nut may not go on.",
}


MADE_TO_MATE = "Made to fit this mating part, outside its class: no standard nut will fit it properly."


@dataclass(frozen=True, slots=True)
class BlankChoice:
    """One school's blank: its diameter, the crest it leaves (% of full depth), and whether the class allows it."""

    school: School
    diameter: Figure
    crest_percent: Figure
    within_class: bool
    verdict: str


def crest_percent(thread: Thread, diameter: float) -> Figure:
    """Remaining crest height in per cent of the full depth for a blank `diameter` in the thread's unit.

    100 (blank - d1) / (d - d1). Source: geometry of the form.
    """
    return Figure(
        name="crest height left",
        value=100 * (diameter - thread.minor) / (thread.major - thread.minor),
        unit="%",
        formula="100 × (blank − minor) ÷ (major − minor)",
        source=thread.form.source,
        inputs=(
            Given("blank", diameter, thread.unit),
            Given("major", thread.major, thread.unit),
            Given("minor", thread.minor, thread.unit),
        ),
    )


def class_verdict(limits: Band, diameter: float) -> tuple[bool, str]:
    """Whether a crest of `diameter` (the limits' unit) is within the class, and the sentence that says so."""
    if diameter > limits.maximum:
        return False, f"Above the largest crest of class {limits.class_name}: a tight nut may bind."
    if diameter < limits.minimum:
        return False, f"Below the smallest crest of class {limits.class_name}: flat, weak crests."
    return True, f"The crest is within class {limits.class_name}."


def _in_class(figure: Figure, limits: Band) -> Figure:
    """A blank brought to the nearest limit of its class, where a fraction nobody asked for would leave it."""
    # A limit that is met is not passed: the blank may stand on it.
    value = min(max(figure.value, limits.minimum), limits.maximum)
    if value == figure.value:
        return figure
    which, word = ("minimum", "largest of") if value == limits.minimum else ("maximum", "smallest of")
    return replace(
        figure,
        value=value,
        formula=f"{word} ({figure.formula}, {which} crest)",
        inputs=(*figure.inputs, Given(f"{which} crest", value, figure.unit)),
    )


def _diameter(
    thread: Thread, school: School, fraction: float, limits: Band, *, asked: bool, mate: Mate | None
) -> Figure:
    unit, places = thread.unit, 4 if thread.unit == "in" else 3
    major = Given("nominal major", thread.major, unit)
    if school == "nominal":
        return Figure("blank diameter", thread.major, unit, "nominal major", thread.source, (major,))
    if school == "pitch-fraction":
        under = Figure(
            "blank diameter",
            round_half_up(thread.major - fraction * thread.pitch, places),
            unit,
            "nominal major − fraction × pitch",
            PRACTICE,
            (major, Given("fraction", fraction), Given("pitch", thread.pitch, unit)),
        )
        # Who types a fraction knows the mate; one that nobody chose must not make scrap by the class it names.
        return under if asked else _in_class(under, limits)
    if school == "mate-takes" and mate is not None:
        return mate_blank(thread, mate)
    if school == "mate-takes":
        return Figure(
            "blank diameter",
            limits.maximum,
            unit,
            limits.basic_word,
            limits.source,
            limits.inputs,
            note=f"The largest crest of class {limits.class_name}: {limits.formula}.",
        )
    return Figure(
        "blank diameter",
        round_half_up(limits.middle, places),
        unit,
        "(largest + smallest) ÷ 2",
        limits.source,
        (Given("largest", limits.maximum, unit), Given("smallest", limits.minimum, unit), *limits.inputs),
        note=f"The middle of class {limits.class_name}: {limits.formula}.",
    )


def blank_choices(
    thread: Thread,
    limits: Band | None,
    fraction: float = DEFAULT_FRACTION,
    *,
    asked: bool = False,
    mate: Mate | None = None,
) -> tuple[BlankChoice, ...]:
    """The four schools compared, each figure naming the others' answers.

    `limits` are those of the external major of the class wanted; None (a taper or internal thread) gives no blank.
    `fraction` is the share of the pitch that the second school goes under nominal (0 to 0.3); one that nobody `asked`
    for never leaves the class. `mate` is one that was measured, for the fourth. Diameters are in the thread's unit, to
    its standard's printed digits. Source: practice; the class by its standard.
    """
    if limits is None:
        return ()
    plain = {school: _diameter(thread, school, fraction, limits, asked=asked, mate=mate) for school in SCHOOLS}
    choices = []
    for school, figure in plain.items():
        within, verdict = class_verdict(limits, figure.value)
        if school == "mate-takes" and mate is not None and not within:
            verdict = MADE_TO_MATE
        others = tuple(Answer(SCHOOL_NAMES[s], f.value, f.unit, REMARKS[s]) for s, f in plain.items() if s != school)
        told = Figure(
            figure.name,
            figure.value,
            figure.unit,
            figure.formula,
            figure.source,
            figure.inputs,
            others=others,
            note=" ".join(filter(None, (figure.note, REMARKS[school], verdict))),
        )
        choices.append(BlankChoice(school, told, crest_percent(thread, figure.value), within, verdict))
    return tuple(choices)
