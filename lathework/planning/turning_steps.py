"""Facing, turning and breaking edges: the steps of the pointed tool, and the holding before them."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, counted
from lathework.part import MILLED
from lathework.planning.chucking import HOLD_CLEARANCE_MM, Chucking, Placed
from lathework.planning.operation import Cut, Operation
from lathework.planning.positions import along, given, given_mm, place_words, tip_stop, typed
from lathework.planning.work import ThreadWork, Work, in_mm
from lathework.rules import cautions
from lathework.rules.cautions import Caution
from lathework.rules.passes import deepest_cut, passes
from lathework.rules.speeds import spindle_speed
from lathework.rules.stock import FACING_MM, SAW_MM
from lathework.rules.turning import Target
from lathework.units import convert

CENTRE_RATIO = 4.0
"""Stick-out over diameter from which a tailstock centre is wanted (practice)."""
STEADY_RATIO = 12.0
"""Stick-out over diameter from which work between chuck and centre wants a steady as well (practice)."""
LONG_BAR_MM = 600.0
"""Length of a bar that stands out of the spindle's rear end on a small lathe (practice)."""
CENTRE_STIFFENS = 3.0
"""How many times its stick-out work may stand out when a centre carries its end (practice)."""
PLAIN_TOLERANCE_MM = 0.05
"""Band about a plain turned diameter that counts as on size (practice)."""
BLANK_OVER, BLANK_UNDER = 0.02, 0.05
"""Band of a blank that counts as on size, in pitches over and under the aim (practice)."""
KNIFE = "right-hand knife tool"
_CUT_MM = 0.005


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
    """Saw a blank to length, or a bolt down to it; nothing to saw when the piece is parted off."""
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
    )


def _ratio(chucking: Chucking) -> Figure:
    return Figure(
        "stick-out over diameter", chucking.ratio, "× diameter", "stick-out ÷ diameter held", PRACTICE,
        (Given("stick-out", chucking.stick_out_mm, "mm"), Given("diameter held", chucking.grip.across_mm, "mm")),
        places=1,
    )  # fmt: skip


def _stick_out(work: Work, chucking: Chucking) -> Figure:
    unit = work.job.unit
    inputs = [given_mm("clearance", HOLD_CLEARANCE_MM, unit)]
    formula = "length worked + clearance to the jaws"
    if chucking.parted:
        formula = "overall length + kerf + clearance to the jaws"
        if chucking.spare_mm:
            formula = "overall length + facing + kerf + clearance to the jaws"
            inputs.insert(0, given_mm("facing", chucking.spare_mm, unit))
        inputs = [
            given_mm("overall length", chucking.overall_mm, unit),
            given("kerf", work.job.setup.parting_blade),
            *inputs,
        ]
    return along(work, "stick-out", chucking.stick_out_mm, formula, *inputs)


def _thread_guard(chucking: Chucking) -> tuple[str, ...]:
    if not chucking.grip.on_thread:
        return ()
    return ("Jaws on a bare thread flatten its crests: a split bush, two locked nuts, or a wrap of copper.",)


def hold_again(work: Work, chucking: Chucking) -> Operation:
    """Turn the piece end for end and hold it by what is finished."""
    grip = chucking.grip
    figures = {
        "grip": along(work, "held on", grip.across_mm, "diameter of what the jaws hold",
                      given_mm(grip.words, grip.across_mm, work.job.unit)),
        "stick_out": _stick_out(work, chucking),
        "ratio": _ratio(chucking),
        "gripped": along(work, "length in the jaws, at most", grip.length_mm, "what is left behind the jaws' face"),
    }  # fmt: skip
    into = "the split bush" if grip.on_thread else "the chuck"
    return Operation(
        key="hold",
        kind="hold",
        title="Turn end for end",
        sentence=f"Turn the piece end for end and hold it in {into} by {grip.words}, " + "{grip} across; "
        "{stick_out} stands out.",
        headline="stick_out",
        figures=figures,
        tool="three-jaw chuck",
        edge="",
        cautions=(cautions.KEY_OUT,),
        notes=(
            *_thread_guard(chucking),
            "Soft jaws or a strip of shim keep a finished diameter clean; true it up before you cut.",
        ),
        chucking=chucking.number,
        figure_words="out",
    )


def face(work: Work, chucking: Chucking) -> Operation:
    """Face the end and set Z zero; in a second chucking, face to length."""
    bar = chucking.bar_mm if chucking.number == 1 else chucking.placed[0].turned_mm
    if chucking.number == 1 and work.part.stock.form == "bolt":
        bar = work.part.stock.across.mm
    centred = work.job.method.support == "centre"
    long = chucking.ratio > (STEADY_RATIO if centred else CENTRE_RATIO)
    figures = {"zero": along(work, "face at", 0.0, "the faced end is Z 0"), "speed": speed(work, bar)}
    if chucking.number == 1:
        figures |= {"stick_out": _stick_out(work, chucking), "ratio": _ratio(chucking)}
        words = "bolt" if work.part.stock.form == "bolt" else "bar" if chucking.parted else "blank"
        sentence = f"Stand the {words} " + "{stick_out} out of the chuck. Face the end and set the readout to Z {zero}."
        title, headline = "Face the end, set Z zero", "zero"
    else:
        figures["length"] = along(
            work, "overall length", chucking.overall_mm, "sum of the sections",
            *(given(f"section {p.number + 1}", p.section.length) for p in chucking.placed),
        )  # fmt: skip
        sentence = "Face the other end until the piece is {length} long, and set the readout to Z {zero} there."
        title, headline = "Face to length", "length"
    if work.job.setup.readout == "stops":
        sentence = sentence.replace("set the readout to Z {zero}", "set the carriage dial or stop to zero")
        headline = "stick_out" if chucking.number == 1 else "length"
    return Operation(
        key="face",
        kind="face",
        title=title,
        sentence=sentence,
        headline=headline,
        figures=figures,
        tool=KNIFE,
        edge="tip",
        cautions=_face_cautions(work, chucking, needs_centre=long and not centred),
        notes=_face_notes(work, long=long, centred=centred),
        cut=Cut(0.0, -FACING_MM, bar, 0.0),
        chucking=chucking.number,
        figure_words="Z" if headline == "zero" else "out" if headline == "stick_out" else "",
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
    return tuple(notes)


def centre(work: Work, chucking: Chucking) -> Operation | None:
    """Centre-drill and bring up the centre, where the work runs between chuck and centre."""
    if work.job.method.support != "centre":
        return None
    depth = min(chucking.placed[0].turned_mm, 20.0) * 0.4
    return Operation(
        key="centre",
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


def _target(work: Work, placed: Placed) -> Target:
    """On size: about a plain diameter; for a die a little over, or under as long as the class allows."""
    found, aim = placed.thread, placed.turned_mm
    if found is None:
        return Target(aim - PLAIN_TOLERANCE_MM, aim, aim + PLAIN_TOLERANCE_MM)
    pitch = found.thread.pitch_mm
    smallest = convert(found.limits.major.minimum, found.thread.unit, "mm")
    low = max(aim - BLANK_UNDER * pitch, min(smallest, aim - 0.01))
    return Target(low, aim, aim + BLANK_OVER * pitch)


def _length(work: Work, chucking: Chucking, far: Placed) -> tuple[Figure, tuple[Given, ...]]:
    """How far from the face a cut goes: one section's own length as typed, or the sum up to there."""
    run = [p for p in chucking.placed if p.far_mm <= far.far_mm + 1e-9]
    inputs = tuple(given(f"section {p.number + 1}", p.section.length) for p in run)
    if len(run) == 1 and run[0].section.length.typed:
        return typed("length", run[0].section.length, fine=False), inputs
    return along(work, "length from the face", far.far_mm, "sum of the sections up to there", *inputs), inputs


def _turn(work: Work, chucking: Chucking, placed: Placed, far: Placed, start_mm: float) -> Operation:
    """Turn to the diameter of `placed` as far as `far` reaches, from `start_mm`."""
    found, unit, aim = placed.thread, work.job.unit, placed.turned_mm
    ratio = chucking.ratio / (CENTRE_STIFFENS if work.job.method.support == "centre" else 1.0)
    deepest = deepest_cut(work.job.material.max_cut_mm, work.job.setup.lathe, ratio, unit)
    cuts = passes(start_mm, aim, deepest, unit)
    length, inputs = _length(work, chucking, far)
    count = len(cuts) - 1
    end_mm = far.far_mm
    if far.number == chucking.placed[-1].number and chucking.overrun_mm:
        end_mm += chucking.overrun_mm
        over = given_mm("for the die to run out past the part", chucking.overrun_mm, unit)
        inputs = (*inputs, over)
        length = along(work, "length from the face", end_mm, "length + what the die runs out into", *inputs)
    figures = {"diameter": _diameter(work, placed), "length": length, "stop": tip_stop(work, end_mm, *inputs)}
    if found is not None:
        figures["crest"] = found.blank.crest_percent
    figures |= {
        "cuts": Figure(
            "cuts", count, counted(count, "cut"), "roughing cuts within the deepest, then one finishing cut", PRACTICE,
            (*cuts[0].inputs, *deepest.inputs),
        ),
        "speed": speed(work, start_mm),
    }  # fmt: skip
    stop = "the tool tip stops" if work.job.setup.readout == "readout" else "stop the carriage"
    return Operation(
        key="turn-blank" if found else "turn-shank",
        kind="turn",
        title=_turn_title(placed, last=bool(chucking.made) and placed is chucking.made[-1]),
        sentence=f"Turn to {{diameter}} over {{length}}; {stop} {place_words(work, 'stop')}.",
        headline="diameter",
        figures=figures,
        tool=KNIFE,
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(found.blank.verdict,) if found else (),
        measure="diameter",
        target=_target(work, placed),
        start_mm=start_mm,
        max_cut_mm=in_mm(deepest),
        cut=Cut(end_mm, 0.0, start_mm, aim),
        chucking=chucking.number,
        passes=cuts,
        thread=found.thread if found else None,
    )


def _turn_title(placed: Placed, *, last: bool) -> str:
    if placed.thread is not None:
        return "Turn the thread blank"
    if placed.section.shape in MILLED:
        return f"Turn round for the {placed.section.shape}"
    return "Turn the body" if last else "Turn the shank"


def _diameter(work: Work, placed: Placed) -> Figure:
    if placed.thread is not None:
        return placed.thread.blank.diameter
    across = placed.section.across
    if across is not None and placed.section.shape in ("round", "knurl"):
        return typed("diameter", across, fine=True)
    unit = work.job.unit
    return Figure(
        "diameter", convert(placed.turned_mm, "mm", unit), unit, "circle round the flats that will be milled",
        GEOMETRY, (given("across flats", across),) if across else (),
    )  # fmt: skip


def turn(work: Work, chucking: Chucking) -> Iterator[Operation]:
    """Turn what this chucking makes, the largest diameter first.

    A section smaller than one nearer the face is a neck: it is turned with its larger neighbour, and plunged later.
    """
    current = chucking.bar_mm
    made = list(chucking.made)
    while made:
        far = made[-1]
        largest = max(made, key=lambda p: p.turned_mm)
        if largest.turned_mm < current - _CUT_MM:
            yield _turn(work, chucking, largest, far, current)
            current = largest.turned_mm
        made.pop()


def break_edge(work: Work, chucking: Chucking, placed: Placed) -> Operation | None:
    """Chamfer the edge of a plain section that faces the end."""
    size = placed.section.chamfer
    if size is None or placed.thread is not None:
        return None
    small = placed.turned_mm - 2 * size.mm
    return Operation(
        key="edge",
        kind="edge",
        title=f"Chamfer the {placed.name}",
        sentence="Chamfer the edge at 45°, {size} each way, " + place_words(work, "position") + ".",
        headline="size",
        figures={"size": typed("chamfer", size, fine=False), "position": tip_stop(work, placed.near_mm)},
        tool="chamfering tool",
        edge="45° edge",
        cautions=(cautions.FILE,),
        cut=Cut(placed.near_mm + size.mm, placed.near_mm, placed.turned_mm, small, slope=True),
        chucking=chucking.number,
    )


def lead_chamfer(work: Work, chucking: Chucking, placed: Placed, found: ThreadWork) -> Operation:
    """The 45 degree lead that lets the die start square."""
    small = in_mm(found.chamfer)
    long = (found.blank_mm - small) / 2
    inside = placed.near_mm > 0
    figures = {
        "diameter": found.chamfer,
        "length": along(
            work, "chamfer length", long, "(blank − chamfer) ÷ 2 at 45°",
            Given("blank", found.blank.diameter.value, found.blank.diameter.unit),
            Given("chamfer", found.chamfer.value, found.chamfer.unit),
        ),
    }  # fmt: skip
    if inside:
        figures["position"] = tip_stop(work, placed.near_mm)
    where = f"the thread's edge {place_words(work, 'position')}" if inside else "the end"
    return Operation(
        key="chamfer",
        kind="chamfer",
        title="Lead chamfer",
        sentence=f"Chamfer {where} at 45° down to {{diameter}}, {{length}} long.",
        headline="diameter",
        figures=figures,
        tool="chamfering tool",
        edge="45° edge",
        cautions=(cautions.FILE,),
        cut=Cut(placed.near_mm + long, placed.near_mm, found.blank_mm, small, slope=True),
        chucking=chucking.number,
    )


def knurl(work: Work, chucking: Chucking, placed: Placed) -> Operation:
    """Knurl a turned section."""
    return Operation(
        key="knurl",
        kind="knurl",
        title="Knurl",
        sentence="Knurl over {length}, from " + place_words(work, "position").removeprefix("at ") + " on.",
        headline="length",
        figures={
            "length": typed("length", placed.section.length, fine=False),
            "position": tip_stop(work, placed.near_mm),
            "speed": spindle_speed(work.job.material.turning_speed / 3, placed.turned_mm, name="speed"),
        },
        tool="knurling tool",
        edge="",
        cautions=(cautions.KNURL,),
        notes=("The knurl raises the diameter by about half its pitch.",),
        chucking=chucking.number,
    )
