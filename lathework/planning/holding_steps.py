"""Sawing, holding, facing, and the centre: what comes before the cuts of an end."""

from __future__ import annotations

from lathework.figures import PRACTICE, Figure, Given
from lathework.planning.chucking import HOLD_CLEARANCE_MM, Chucking
from lathework.planning.operation import Cut, Operation, keyed, makes
from lathework.planning.positions import along, given, given_mm
from lathework.planning.work import Work, in_mm
from lathework.rules import cautions
from lathework.rules.cautions import Caution
from lathework.rules.speeds import spindle_speed
from lathework.rules.stock import FACING_MM, SAW_MM
from lathework.units import convert

CENTRE_RATIO = 4.0
"""Stick-out over diameter from which a tailstock centre is wanted (practice)."""
STEADY_RATIO = 12.0
"""Stick-out over diameter from which work between chuck and centre wants a steady as well (practice)."""
LONG_BAR_MM = 600.0
"""Length of a bar that stands out of the spindle's rear end on a small lathe (practice)."""
KNIFE = "right-hand knife tool"
OTHER_MOUTH = "Countersink the mouth of the thread that comes through."


def speed(work: Work, diameter_mm: float) -> Figure:
    """Turning speed of the metal at a diameter of `diameter_mm` millimetres."""
    return spindle_speed(work.job.material.turning_speed, diameter_mm, name="speed")


def _blank_length(work: Work) -> Figure:
    overall = work.part.overall_mm
    return along(
        work, "saw to", overall + 2 * FACING_MM, "overall length + facing of both ends",
        given_mm("overall length", overall, work.job.unit), Given("facing", 2 * FACING_MM, "mm"),
    )  # fmt: skip


def saw(work: Work) -> Operation | None:
    """Saw a blank to length, or a bolt down to it, or a damaged end off; nothing when the piece is parted off."""
    if work.part.stock.form == "kept":
        return _saw_off(work)
    bolt = work.part.stock.form == "bolt"
    if not bolt and work.job.method.order == "from-the-bar":
        return None
    if bolt:
        overall = work.part.overall_mm
        length = along(
            work, "saw to, under the head", overall + FACING_MM, "length under the head + facing",
            given_mm("length under the head", overall, work.job.unit), Given("facing", FACING_MM, "mm"),
        )  # fmt: skip
    else:
        length = _blank_length(work)
    return Operation(
        key="saw",
        kind="saw",
        title="Saw the bolt down" if bolt else "Saw the blank",
        sentence="Saw the bolt to {length} under its head."
        if bolt
        else "Saw the blank {length} long; allow {kerf} for the saw.",
        headline="length",
        figures={"length": length}
        | ({} if bolt else {"kerf": Figure("kerf of the saw", SAW_MM, "mm", "a hacksaw's", PRACTICE, fine=False)}),
        tool="hacksaw",
        edge="",
        cautions=(cautions.SAW,),
        makes=makes(length=in_mm(length)),
    )


def _saw_off(work: Work) -> Operation:
    """Saw the damaged end off a part that is kept, leaving what facing takes."""
    spare = along(work, "leave for facing", FACING_MM, "what cleaning up the sawn face takes")
    return Operation(
        key="saw",
        kind="saw",
        title="Saw the damaged end off",
        sentence="Saw the damaged end off square, {spare} proud of sound metal.",
        headline="spare",
        figures={"spare": spare},
        tool="hacksaw",
        edge="",
        cautions=(cautions.SAW,),
        notes=("Look for cracks running on below the cut: saw until the metal is sound all round.",),
    )


def _ratio(chucking: Chucking) -> Figure:
    return Figure(
        "stick-out over diameter", chucking.ratio, "× diameter", "stick-out ÷ diameter held", PRACTICE,
        (Given("stick-out", chucking.stick_out_mm, "mm"), Given("diameter held", chucking.grip.across_mm, "mm")),
        places=1,
    )  # fmt: skip


def _stick_out(work: Work, chucking: Chucking) -> Figure:
    """What stands out of the jaws, with every length it is made of."""
    unit, whole = work.job.unit, given_mm("overall length", chucking.overall_mm, work.job.unit)
    clearance = given_mm("clearance", HOLD_CLEARANCE_MM, unit)
    if chucking.number == 1 and work.part.stock.one_ended:
        words = "all that stands under the head" if work.part.stock.form == "bolt" else "the length that is drawn"
        return along(work, "stick-out", chucking.stick_out_mm, words, whole)
    if not chucking.parted:
        worked = chucking.stick_out_mm - HOLD_CLEARANCE_MM
        if chucking.number > 1:
            worked = chucking.made[-1].far_mm if chucking.made else 0.0
        inputs = [
            given_mm("length worked", worked, unit),
            given_mm("clear of the jaws", chucking.stick_out_mm - worked, unit),
        ]
        return along(work, "stick-out", chucking.stick_out_mm, "length worked + what stays clear of the jaws", *inputs)
    beyond = given("kerf", work.job.setup.parting_blade)
    if chucking.overrun_mm > work.job.setup.parting_blade.mm:
        beyond = given_mm("what the die runs out into", chucking.overrun_mm, unit)
    facing = [given_mm("facing", chucking.spare_mm, unit)] if chucking.spare_mm else []
    inputs = [whole, *facing, beyond, clearance]
    return along(work, "stick-out", chucking.stick_out_mm, " + ".join(one.name for one in inputs), *inputs)


def _thread_guard(chucking: Chucking) -> tuple[str, ...]:
    if not chucking.grip.on_thread:
        return ()
    return ("Jaws on a bare thread flatten its crests: a split bush, two locked nuts, or a wrap of copper.",)


def hold_again(work: Work, chucking: Chucking) -> Operation:
    """Turn the piece end for end and hold it by what is finished."""
    grip = chucking.grip
    figures = {
        "grip": along(work, "held on", grip.across_mm, "what the jaws hold, across",
                      given_mm(grip.words, grip.across_mm, work.job.unit)),
        "stick_out": _stick_out(work, chucking),
        "ratio": _ratio(chucking),
        "gripped": along(work, "length in the jaws, at most", grip.length_mm, "what is left behind the jaws' face"),
    }  # fmt: skip
    into, flats = "the split bush" if grip.on_thread else "the chuck", " flats" if grip.flats else ""
    return Operation(
        key=keyed("hold", chucking.faces),
        kind="hold",
        title="Turn end for end",
        sentence=f"Turn the piece end for end and hold it in {into} by {grip.words}, "
        f"{{grip}} across{flats}; {{stick_out}} stands out.",
        headline="stick_out",
        figures=figures,
        tool="four-jaw chuck" if grip.flats and work.part.stock.form == "square" else "three-jaw chuck",
        edge="",
        cautions=(cautions.KEY_OUT,),
        notes=(
            *_thread_guard(chucking),
            "Soft jaws or a strip of shim keep a finished diameter clean; true it up before you cut.",
        ),
        chucking=chucking.number,
        figure_words="out",
    )


def _first_face(work: Work, chucking: Chucking) -> tuple[str, str, dict[str, Figure]]:
    """Title, sentence and figures of facing the end that is held first."""
    words = {"bolt": "bolt", "kept": "part"}.get(work.part.stock.form, "bar" if chucking.parted else "blank")
    sentence = f"Stand the {words} " + "{stick_out} out of the chuck. Face the end and set the readout to Z {zero}."
    return "Face the end, set Z zero", sentence, {"stick_out": _stick_out(work, chucking), "ratio": _ratio(chucking)}


def _face_to_length(work: Work, chucking: Chucking) -> tuple[str, str, dict[str, Figure]]:
    """Title, sentence and figures of facing the second end."""
    length = along(
        work, "overall length", chucking.overall_mm, "sum of the sections",
        *(given(f"section {p.number + 1}", p.section.length) for p in chucking.placed),
    )  # fmt: skip
    sentence = "Face the other end until the piece is {length} long, and set the readout to Z {zero} there."
    return "Face to length", sentence, {"length": length}


def _faced_mm(work: Work, chucking: Chucking) -> float:
    """Diameter that is faced, in millimetres."""
    if chucking.number > 1:
        return chucking.placed[0].turned_mm
    return work.part.stock.across.mm if work.part.stock.one_ended else chucking.bar_mm


_HEADLINES = {"zero": "Z", "stick_out": "out", "length": ""}


def face(work: Work, chucking: Chucking) -> Operation:
    """Face the end and set Z zero; in a second chucking, face to length."""
    faced, centred = _faced_mm(work, chucking), work.job.method.support == "centre"
    long = chucking.ratio > (STEADY_RATIO if centred else CENTRE_RATIO)
    made = _first_face if chucking.number == 1 else _face_to_length
    title, sentence, more = made(work, chucking)
    headline = "zero" if chucking.number == 1 else "length"
    if work.job.setup.readout == "stops":
        sentence = sentence.replace("set the readout to Z {zero}", "set the carriage dial or stop to zero")
        headline = "stick_out" if chucking.number == 1 else "length"
    return Operation(
        key=keyed("face", chucking.faces),
        kind="face",
        title=title,
        sentence=sentence,
        headline=headline,
        figures={"zero": along(work, "face at", 0.0, "the faced end is Z 0"), "speed": speed(work, faced)} | more,
        tool=KNIFE,
        edge="tip",
        cautions=_face_cautions(work, chucking, needs_centre=long and not centred),
        notes=(
            *_face_notes(work, long=long, centred=centred),
            *((OTHER_MOUTH,) if chucking.number > 1 and work.part.tapped_through else ()),
        ),
        cut=Cut(0.0, -FACING_MM, faced, 0.0),
        chucking=chucking.number,
        figure_words=_HEADLINES[headline],
        makes=makes(length=chucking.overall_mm) if chucking.number > 1 else "",
    )


def _face_cautions(work: Work, chucking: Chucking, *, needs_centre: bool) -> tuple[Caution, ...]:
    bar = work.part.stock.bar_length
    behind = chucking.parted and bar is not None and bar.mm > LONG_BAR_MM
    return (
        cautions.KEY_OUT,
        *((cautions.LONG_STICK_OUT,) if needs_centre else ()),
        *((cautions.RUNS_LONG,) if behind else ()),
    )


def _face_notes(work: Work, *, long: bool, centred: bool) -> tuple[str, ...]:
    notes = []
    if long and centred:
        notes.append("That long it still whips between chuck and centre: set a steady, or take light cuts.")
    elif long:
        notes.append("Centre-drill the end and bring up the tailstock centre.")
    if work.part.stock.form in ("hexagon", "square"):
        notes.append("Corners strike the tool at every turn: light cuts and a slower speed until it is round.")
    if work.part.stock.form == "kept":
        notes.append(
            "Copper or soft jaws on a finished surface; true it with an indicator, a hole off its axis is lost."
        )
    return tuple(notes)


def centre(work: Work, chucking: Chucking) -> Operation | None:
    """Centre-drill and bring up the centre, where the work runs between chuck and centre."""
    if work.job.method.support != "centre":
        return None
    depth = min(chucking.placed[0].turned_mm, 20.0) * 0.4
    return Operation(
        key=keyed("centre", chucking.faces),
        kind="centre",
        title="Centre-drill, bring up the centre",
        sentence="Centre-drill the end, the cone about {cone} across; oil it and bring up the tailstock centre.",
        headline="",
        figures={
            "cone": Figure(
                "cone across", convert(depth, "mm", work.job.unit), work.job.unit, "0.4 × diameter of the end",
                PRACTICE, (given_mm("end", chucking.placed[0].turned_mm, work.job.unit),), fine=False,
            )
        },
        tool="centre drill in the tailstock chuck",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(
            "The centre stays in while you turn and groove; draw it back for the die.",
            "The part keeps the centre hole: say so to whoever gets it, or face it off a longer blank.",
        ),
        chucking=chucking.number,
        figure_words="centred",
    )  # fmt: skip
