"""Facing, turning, grooving, chamfering, parting: the steps of the lathe tool."""

from __future__ import annotations

import math

from lathework.figures import AS_TYPED, GEOMETRY, PRACTICE, Figure, Given, counted
from lathework.lengths import Length
from lathework.planning.operation import Cut, Operation
from lathework.planning.work import HOLD_CLEARANCE_MM, Work
from lathework.rules import cautions
from lathework.rules.speeds import spindle_speed
from lathework.rules.turning import FINISH_MM, Target
from lathework.units import convert

CENTRE_RATIO = 4.0
"""Stick-out over diameter from which a tailstock centre is wanted (practice)."""
SHANK_TOLERANCE_MM = 0.05
BLANK_OVER, BLANK_UNDER = 0.02, 0.05
"""Band of a blank that counts as on size, in pitches over and under the aim (practice)."""


def _along(work: Work, name: str, mm: float, formula: str, *inputs: Given) -> Figure:
    return Figure(name, convert(mm, "mm", work.job.unit), work.job.unit, formula, GEOMETRY, inputs, fine=False)


def _given(name: str, length: Length) -> Given:
    return Given(name, length.value, length.unit)


def _typed(name: str, length: Length, *, fine: bool) -> Figure:
    return Figure(name, length.value, length.unit, "as you entered it", AS_TYPED, (_given(name, length),), fine=fine)


def _stop(work: Work, name: str, length: Length) -> Figure:
    return _along(work, "tool tip stops at", -length.mm, f"− {name}, from the face at Z 0", _given(name, length))


def _cuts(work: Work, start_mm: float, end_mm: float) -> Figure:
    limit = work.job.material.max_cut_mm
    rough = max(0, math.ceil((start_mm - end_mm - FINISH_MM) / limit))
    return Figure(
        "cuts",
        rough + 1,
        counted(rough + 1, "cut"),
        "roughing cuts no deeper than the limit, then one finishing cut",
        PRACTICE,
        (
            Given("from diameter", convert(start_mm, "mm", work.job.unit), work.job.unit),
            Given("to diameter", convert(end_mm, "mm", work.job.unit), work.job.unit),
            Given("deepest cut on the diameter", convert(limit, "mm", work.job.unit), work.job.unit),
        ),
    )


def _speed(work: Work, diameter_mm: float) -> Figure:
    return spindle_speed(work.job.material.turning_speed, diameter_mm, name="speed")


def face(work: Work) -> Operation:
    """Face the end, set Z zero, and say how far the bar stands out."""
    stock, part = work.job.part.stock_diameter, work.job.part
    ratio = work.stick_out_ratio
    figures = {
        "zero": _along(work, "face at", 0.0, "the faced end is Z 0"),
        "stick_out": _along(
            work, "stick-out", work.stick_out_mm, "overall length + kerf + clearance to the jaws",
            _given("overall length", part.overall_length), _given("kerf", work.job.setup.parting_blade),
            Given("clearance", HOLD_CLEARANCE_MM, "mm"),
        ),
        "ratio": Figure(
            "stick-out over diameter", ratio, "× diameter", "stick-out ÷ bar diameter", PRACTICE,
            (Given("stick-out", work.stick_out_mm, "mm"), Given("bar", stock.mm, "mm")), places=1,
        ),
        "speed": _speed(work, stock.mm),
    }  # fmt: skip
    long = ratio > CENTRE_RATIO
    return Operation(
        key="face",
        title="Face the end, set Z zero",
        sentence="Stand the bar {stick_out} out of the chuck. Face the end and set the readout to Z {zero}.",
        headline="zero",
        figures=figures,
        tool="right-hand knife tool",
        edge="tip",
        cautions=(cautions.KEY_OUT, *((cautions.LONG_STICK_OUT,) if long else ())),
        notes=("Centre-drill the end and bring up the tailstock centre.",) if long else (),
        cut=Cut(-0.6, 0.0, stock.mm, 0.0),
        figure_words="Z",
    )


def turn_shank(work: Work) -> Operation | None:
    """Turn the shank of a shouldered screw to the underside of its head."""
    part = work.job.part
    if part.shank_diameter is None or part.shank_length is None:
        return None
    aim = part.shank_diameter.mm
    return Operation(
        key="turn-shank",
        title="Turn the shank to the head",
        sentence="Turn to {diameter} over {length}; the tool tip stops at Z {stop}.",
        headline="diameter",
        figures={
            "diameter": _typed("shank diameter", part.shank_diameter, fine=True),
            "length": _typed("shank length", part.shank_length, fine=False),
            "stop": _stop(work, "shank length", part.shank_length),
            "cuts": _cuts(work, part.stock_diameter.mm, aim),
            "speed": _speed(work, part.stock_diameter.mm),
        },
        tool="right-hand knife tool",
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE,),
        measure="diameter",
        target=Target(aim - SHANK_TOLERANCE_MM, aim, aim + SHANK_TOLERANCE_MM),
        start_mm=part.stock_diameter.mm,
        max_cut_mm=work.job.material.max_cut_mm,
        cut=Cut(part.shank_length.mm, 0.0, part.stock_diameter.mm, aim),
    )


def _blank_target(work: Work) -> Target:
    """On size for a die: a little over, or under as long as the class allows."""
    aim, pitch = work.blank_mm, work.job.part.thread.pitch_mm
    smallest = convert(work.limits.major.minimum, work.job.part.thread.unit, "mm")
    low = max(aim - BLANK_UNDER * pitch, min(smallest, aim - 0.01))
    return Target(low, aim, aim + BLANK_OVER * pitch)


def turn_blank(work: Work) -> Operation:
    """Turn down to the blank diameter of the chosen school."""
    part = work.job.part
    return Operation(
        key="turn-blank",
        title="Turn the thread blank",
        sentence="Turn to {diameter} over {length}; the tool tip stops at Z {stop}.",
        headline="diameter",
        figures={
            "diameter": work.blank.diameter,
            "length": _typed("thread length", part.thread_length, fine=False),
            "stop": _stop(work, "thread length", part.thread_length),
            "crest": work.blank.crest_percent,
            "cuts": _cuts(work, work.body_mm, work.blank_mm),
            "speed": _speed(work, work.body_mm),
        },
        tool="right-hand knife tool",
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(work.blank.verdict,),
        measure="diameter",
        target=_blank_target(work),
        start_mm=work.body_mm,
        max_cut_mm=work.job.material.max_cut_mm,
        cut=Cut(part.thread_length.mm, 0.0, work.body_mm, work.blank_mm),
    )


def _blade_position(work: Work, *, cut_end_mm: float, blade: Length, edge: str, name: str) -> Figure:
    """Readout of the touched edge when the blade's left edge stands `cut_end_mm` behind the face."""
    end, width = (
        Given("cut ends behind the face", convert(cut_end_mm, "mm", work.job.unit), work.job.unit),
        _given("blade width", blade),
    )
    if edge == "left":
        return _along(
            work, name, -cut_end_mm, "− distance of the cut's far side; the left edge was touched off", end, width
        )
    return _along(
        work,
        name,
        blade.mm - cut_end_mm,
        "blade width − distance of the cut's far side; the right edge was touched off",
        end,
        width,
    )


def _dial_from(work: Work, start_mm: float, end_mm: float) -> Figure:
    share = 1.0 if work.job.setup.dial == "diameter" else 0.5
    unit = work.job.unit
    return Figure(
        f"on the {work.job.setup.dial} dial from the blank",
        convert((start_mm - end_mm) * share, "mm", unit),
        unit,
        "blank − groove" + ("" if share == 1 else ", halved for a radius dial"),
        GEOMETRY,
        (Given("blank", convert(start_mm, "mm", unit), unit), Given("groove", convert(end_mm, "mm", unit), unit)),
    )


def cut_groove(work: Work) -> Operation | None:
    """Plunge the relief groove against the shoulder, in as many plunges as the blade needs."""
    if work.groove is None:
        return None
    blade, edge, shoulder = work.job.setup.groove_blade, work.job.setup.groove_edge, work.job.part.thread_length.mm
    width, deep = work.in_mm(work.groove.width), work.in_mm(work.groove.diameter)
    figures = {
        "diameter": work.groove.diameter,
        "position": _blade_position(work, cut_end_mm=shoulder, blade=blade, edge=edge, name=f"{edge} edge at"),
    }
    sentence = "Plunge the relief groove to {diameter}, " + edge + " edge of the blade at Z {position}"
    if width > blade.mm + 0.01:
        last = shoulder - width + blade.mm
        figures["last"] = _blade_position(work, cut_end_mm=last, blade=blade, edge=edge, name="last plunge at")
        sentence += ", and step it over to Z {last}"
    figures |= {
        "width": work.groove.width,
        "dial": _dial_from(work, work.blank_mm, deep),
        "section": work.groove.section_percent,
    }
    return Operation(
        key="groove",
        title="Relief groove",
        sentence=sentence + ".",
        headline="diameter",
        figures=figures,
        tool="grooving blade",
        edge=f"{edge} edge",
        cautions=(cautions.BLADE,),
        cut=Cut(shoulder, shoulder - width, work.blank_mm, deep),
    )


def cut_chamfer(work: Work) -> Operation:
    """The 45 degree lead that lets the die start square."""
    small = work.in_mm(work.chamfer)
    long = (work.blank_mm - small) / 2
    return Operation(
        key="chamfer",
        title="Lead chamfer",
        sentence="Chamfer the end at 45° down to {diameter}, {length} long.",
        headline="diameter",
        figures={
            "diameter": work.chamfer,
            "length": _along(
                work, "chamfer length", long, "(blank − chamfer) ÷ 2 at 45°",
                Given("blank", work.blank.diameter.value, work.blank.diameter.unit),
                Given("chamfer", work.chamfer.value, work.chamfer.unit),
            ),
        },
        tool="chamfering tool",
        edge="45° edge",
        cautions=(cautions.FILE,),
        cut=Cut(long, 0.0, work.blank_mm, small, slope=True),
    )  # fmt: skip


def part_off(work: Work) -> Operation:
    """Part off to length."""
    blade, edge = work.job.setup.parting_blade, work.job.setup.parting_edge
    overall = work.job.part.overall_length
    far = overall.mm + blade.mm
    return Operation(
        key="part-off",
        title="Part off",
        sentence="Part off with the " + edge + " edge of the blade at Z {position}: the piece is {length} long.",
        headline="position",
        figures={
            "position": _blade_position(work, cut_end_mm=far, blade=blade, edge=edge, name=f"{edge} edge at"),
            "length": _typed("overall length", overall, fine=False),
            "kerf": _typed("kerf", blade, fine=False),
        },
        tool="parting blade",
        edge=f"{edge} edge",
        cautions=(cautions.PART_OFF,),
        notes=("Break the edge of the parted end before it goes in the box.",),
        cut=Cut(far, overall.mm, work.job.part.stock_diameter.mm, 0.0),
        figure_words="Z",
    )
