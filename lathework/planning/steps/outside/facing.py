"""Facing an end, and setting Z zero there."""

from __future__ import annotations

from dataclasses import replace

from lathework import cautions
from lathework.cautions import Caution
from lathework.cutting.dimension import Dimension
from lathework.figures import Figure, added
from lathework.lathe.acts import Act
from lathework.lathe.cut import Cut
from lathework.lathe.outside_cuts import Face
from lathework.part.stock import FACING_MM
from lathework.planning.holdings.chucking import BOLT_SHANK, Chucking
from lathework.planning.holdings.order import CENTRE_RATIO, over
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import along, given
from lathework.planning.steps import measures
from lathework.planning.steps.holding import (
    HEAD_IN_CHUCK,
    IN_STEADY,
    KNIFE,
    LONG_BAR_MM,
    LONG_IN_SPINDLE_MM,
    OTHER_MOUTH,
    RUNS_TRUE,
    gripped,
    held_out,
    rest_behind,
    speed,
)
from lathework.planning.work import Work

_HEADLINES = {"stick_out": "out", "length": ""}
FOUR_JAWS = "Hold square bar in a four-jaw chuck or a square collet: three jaws do not grip it true."


def _first_face(work: Work, chucking: Chucking) -> tuple[str, str, dict[str, Figure]]:
    """Title, sentence and figures of facing the end that is held first."""
    words = {"bolt": "bolt", "kept": "part"}.get(work.part.stock.form, "bar" if chucking.on_bar else "blank")
    stand = f"Set the {words} " + "{stick_out} out of the chuck. "
    if chucking.steadied:
        stand = IN_STEADY.format(words=words)
    sentence = stand + "Lock the carriage, face the end, and set the readout to Z {zero}."
    return (
        "Face the end, set Z zero",
        sentence,
        held_out(work, chucking),
    )


def _face_to_length(work: Work, chucking: Chucking) -> tuple[str, str, dict[str, Figure]]:
    """Title, sentence and figures of facing the second end."""
    sections = [given(f"section {p.number + 1}", p.section.length) for p in chucking.placed]
    length = along(work, "overall length", chucking.overall_mm, added(sections), *sections)
    sentence = "Face the other end until the piece is {length} long, and set the readout to Z {zero} there."
    return "Face to length", sentence, {"length": length}


def _faced_mm(work: Work, chucking: Chucking) -> float:
    """Diameter that is faced, in millimetres."""
    if chucking.second and chucking.made:
        return chucking.placed[0].turned_mm
    return work.part.stock.across.mm if work.part.stock.one_ended else chucking.bar_mm


def face(work: Work, chucking: Chucking) -> Operation:
    """Face the end and set Z zero; on the second end, face to length."""
    faced = _faced_mm(work, chucking)
    title, sentence, more = (_face_to_length if chucking.second else _first_face)(work, chucking)
    headline = "length" if chucking.second else "stick_out"
    if work.job.setup.readout == "stops":
        sentence = sentence.replace("set the readout to Z {zero}", "set the carriage dial or stop to zero")
    return Operation(
        key=keyed("face", chucking.faces),
        kind="face",
        title=title,
        sentence=sentence,
        headline=headline,
        figures={
            "zero": replace(along(work, "face at", 0.0, "the faced end is Z 0"), kind="typed"),
            "speed": speed(work, faced),
        }
        | more,
        tool=KNIFE,
        edge="tip",
        cautions=_face_cautions(work, chucking),
        notes=_face_notes(work, chucking),
        dimensions=_sizes(work, chucking),
        acts=(*_held(chucking), Face(chucking.faces, Cut(0.0, -FACING_MM, faced, 0.0))),
        chucking=chucking.number,
        figure_words="steady at" if chucking.steadied else _HEADLINES[headline],
        makes=makes(length=chucking.overall_mm) if chucking.second else "",
    )


def _sizes(work: Work, chucking: Chucking) -> tuple[Dimension, ...]:
    """The length, at the second end; how far a part that is kept runs out, at its first."""
    if chucking.second:
        return (measures.overall(chucking.overall_mm, chucking.overall_mm + FACING_MM),)
    return (measures.run_out(),) if work.part.stock.form == "kept" else ()


def _held(chucking: Chucking) -> tuple[Act, ...]:
    """The work stood out of the chuck, where no step before it did that."""
    return () if chucking.second else (gripped(chucking),)


def _face_cautions(work: Work, chucking: Chucking) -> tuple[Caution, ...]:
    bar = work.part.stock.bar_length
    hangs = over(min(chucking.worked_mm, chucking.overall_mm), CENTRE_RATIO * chucking.grip.across_mm)
    behind = chucking.on_bar and not chucking.stub and bar is not None and bar.mm > LONG_BAR_MM
    return (
        cautions.KEY_OUT,
        *((cautions.LONG_STICK_OUT,) if hangs else ()),
        *((cautions.RUNS_LONG,) if behind else ()),
    )


def _thread_comes_through(work: Work, chucking: Chucking) -> bool:
    """Whether a thread that was cut from the other end comes out at this one."""
    through = [one.bore for one in work.bores if one.bore.thread is not None and one.bore.depth is None]
    return any(bore.end not in ("across", chucking.faces) for bore in through)


def _face_notes(work: Work, chucking: Chucking) -> tuple[str, ...]:
    form, grip = work.part.stock.form, chucking.grip
    notes = []
    if form == "square" and not chucking.second:
        notes.append(FOUR_JAWS)
    if form in ("hexagon", "square") and not chucking.second:
        notes.append("Corners strike the tool at every turn: take light cuts at a lower speed until it is round.")
    if form == "kept":
        notes.append(
            "Use copper or soft jaws on a finished surface. True it with an indicator: a hole off its axis is scrap."
        )
    if grip.words == BOLT_SHANK:
        notes.append(HEAD_IN_CHUCK)
    if not chucking.second and work.order == "blanks-first" and grip.length_mm > LONG_IN_SPINDLE_MM:
        notes.append(RUNS_TRUE if chucking.steadied else rest_behind(work, chucking))
    if chucking.second and _thread_comes_through(work, chucking):
        notes.append(OTHER_MOUTH)
    return tuple(notes)
