"""Holding the work anew without turning it end for end: drawn out on a centre, pushed back in, drawn out to part."""

from __future__ import annotations

from dataclasses import replace

from lathework import cautions
from lathework.lathe.acts import Saw
from lathework.lathe.gripping import HoldUp
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import along, given_mm
from lathework.planning.steps import measures
from lathework.planning.steps.holding import centre_stays, gripped, held_out, ratio_figure
from lathework.planning.work import Work

STEADY_NOTE = "Set its jaws on the diameter just turned, behind the tool; oil them, and set them again after each cut."
WHIPS = "Part off at half speed and keep clear of its end: at this stick-out it whips."
GUIDED = (
    "Do not turn it at this stick-out. The die, squared by the tailstock before the first turn, supports the "
    "end: by hand or at the slowest speed."
)
IN_STEPS = (
    "Pull the work out four diameters at a time, and turn each length to size in one cut before the next: "
    "{stick_out} in all."
)
TOO_THIN = (
    "Its end is too thin for a centre. Touch off again at each step. Smooth the joins with a fine file that "
    "has a handle."
)
DRAW_OUT = "Pull the work out until {{stick_out}} sticks out, hold {by}, and bring up the "
KEPT_FAR = "The chuck keeps hold of the far end: {stick_out} sticks out. Remove the steady, and bring up the "
IN_BRASS = "Its jaws run on finished metal: put a strip of brass and oil under them, and no more pressure than needed."
CAREFUL = "The jaws now close on finished metal: use copper or shim, and true it up before the die goes on."


def move(work: Work, chucking: Chucking) -> Operation | None:
    """What brings the work into a holding that faces no end: nothing for one that does."""
    if chucking.begins:
        return None
    if "turn" in chucking.does:
        return _carry(work, chucking)
    return _draw_out(work, chucking) if chucking.parted else _push_in(work, chucking)


def _moved(work: Work, chucking: Chucking, kind: str, title: str, sentence: str, *notes: str) -> Operation:
    return Operation(
        key=keyed(kind, chucking.faces),
        kind="hold",
        title=title,
        sentence=sentence,
        headline="stick_out",
        figures=held_out(work, chucking),
        tool="chuck key",
        edge="",
        cautions=(cautions.KEY_OUT,),
        notes=notes,
        acts=(gripped(chucking), *((HoldUp(chucking.faces),) if chucking.centred and "turn" in chucking.does else ())),
        chucking=chucking.number,
        figure_words="steady at" if chucking.steadied else "out",
    )


def _carry(work: Work, chucking: Chucking) -> Operation:
    if not chucking.centred:
        return _moved(work, chucking, "carry", "Pull it out in steps", IN_STEPS, TOO_THIN)
    bored = any(found.bore.end == chucking.faces for found in work.bores)
    title, sentence = "Pull it out on the centre", DRAW_OUT.format(by=chucking.grip.words)
    if chucking.faces in work.otherwise.steadied and not chucking.second:
        title, sentence = "Remove the steady, bring up the centre", KEPT_FAR
    sentence += "tailstock centre, oiled." if not bored else "tailstock centre in the mouth of the hole, broken to 60°."
    return _moved(work, chucking, "carry", title, sentence, centre_stays(work, chucking))


def _push_in(work: Work, chucking: Chucking) -> Operation:
    words = "Draw the centre back and push the work into the chuck until {stick_out} sticks out, held by "
    words += f"{chucking.grip.words}."
    if chucking.steadied:
        words = "Set the fixed steady {stick_out} behind the end, on "
        words += f"{chucking.grip.words}, its jaws oiled; draw the centre back."
    careful = IN_BRASS if chucking.steadied else CAREFUL
    title = "Set the steady for the die" if chucking.steadied else "Hold it short for the die"
    pushed = _moved(work, chucking, "push-in", title, words, careful)
    return replace(pushed, dimensions=(measures.run_out(),))


def _draw_out(work: Work, chucking: Chucking) -> Operation:
    words = "Pull the bar out until {stick_out} sticks out and tighten the chuck: the bar is "
    words += "threaded, then " if "thread" in chucking.does else ""
    words += "parted off close to the jaws."
    notes = (GUIDED, WHIPS) if "thread" in chucking.does else (WHIPS,)
    return _moved(work, chucking, "draw-out", "Pull the bar out", words, *notes)


def steady(work: Work, chucking: Chucking) -> Operation | None:
    """Set the travelling steady, where work on a centre is too long to stand on that alone."""
    if chucking.carried != "steady":
        return None
    return Operation(
        key=keyed("steady", chucking.faces),
        kind="hold",
        title="Set the travelling steady",
        sentence="Turn a short length at the face, then set the travelling steady on it: a length of {ratio} needs "
        "one.",
        headline="ratio",
        figures={"ratio": ratio_figure(chucking)},
        tool="travelling steady on the carriage",
        edge="",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(STEADY_NOTE,),
        acts=(HoldUp(chucking.faces),),
        chucking=chucking.number,
    )


def saw_off(work: Work, chucking: Chucking) -> Operation | None:
    """Saw off what a blank was longer for the jaws, before it is turned end for end."""
    if not chucking.chucked_mm:
        return None
    unit = work.job.unit
    long = along(
        work,
        "saw off",
        chucking.chucked_mm,
        "extra length sawn for the jaws",
        given_mm("extra length sawn for the jaws", chucking.chucked_mm, unit),
    )
    return Operation(
        key="saw-off",
        kind="saw",
        title="Saw off the end that was held",
        sentence="Saw off the {long} that the jaws held; leave {spare} for facing.",
        headline="long",
        figures={
            "long": long,
            "spare": replace(
                along(work, "left for facing", chucking.spare_mm, "allowance for the sawn face"), kind="table"
            ),
        },
        tool="hacksaw",
        edge="",
        cautions=(cautions.SAW,),
        acts=(Saw(""),),
        chucking=chucking.number,
        makes=makes(length=chucking.overall_mm + chucking.spare_mm),
    )
