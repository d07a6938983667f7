"""Threads of several starts: how the work, or the tool, is moved on from one to the next."""

from __future__ import annotations

import math

from lathework import cautions
from lathework.figures import AS_TYPED, GEOMETRY, Figure, Given
from lathework.lathe.acts import SetUp
from lathework.methods.infeed import Infeed
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.threads.gearing import Gearing, gearing
from lathework.planning.work import Work
from lathework.threads.thread import Thread
from lathework.units import convert

CLIMBS_DEG = 3.0
"""Lead angle from which a threading tool is ground for it (practice)."""
BY_WHEEL = (
    "Mark a tooth of the first gear ({wheel} teeth) and the gap that it meshes in. Disengage the two, turn "
    "the spindle on by {teeth} teeth and mesh them again. Cut the next start to the same dial reading"
)
BY_SLIDE = (
    "Move the top slide {pitch} along the bed with its backlash taken up. Cut the next start to the same dial reading"
)
AND_SO_ON = ", and so on: {times} times in all."
STUD = "The count is right if the first gear turns as often as the spindle. If it turns half as often, count half."
ALIKE = (
    "Cut all starts to the same dial reading. After the last, try the mating part. If it binds, take the "
    "same small extra cut in each."
)
WHEN_ALL = "The mating part goes on only when every start is cut: cut this one to its full infeed."


def shared_by_wheel(geared: Gearing, thread: Thread) -> bool:
    """Whether the first wheel of a train has a tooth for each start at equal shares."""
    return geared.first_wheel > 0 and geared.first_wheel % thread.starts == 0


def infeed_of(work: Work, thread: Thread) -> Infeed:
    """How a threading tool is fed in: as chosen; but straight where the top slide has to move it on along the bed."""
    if thread.starts == 1 or shared_by_wheel(gearing(work, thread, 0.0), thread):
        return work.job.method.infeed
    return "straight"


def climb(thread: Thread) -> Figure:
    """Lead angle at the pitch line, in degrees: atan(lead / (pi x pitch diameter)). Source: plane geometry.

    >>> from lathework.threads.designation import read_designation
    >>> round(climb(read_designation("Tr40x14(P7)")).value, 2)
    6.96
    """
    inputs = (Given("lead", thread.lead, thread.unit), Given("pitch diameter", thread.pitch_diameter, thread.unit))
    value = math.degrees(math.atan(thread.lead / (math.pi * thread.pitch_diameter)))
    return Figure("climbs", value, "°", "atan(lead ÷ (π × pitch diameter))", GEOMETRY, inputs, places=1)


def climbing(thread: Thread) -> tuple[dict[str, Figure], tuple[str, ...]]:
    """The lead angle and what the tool wants for it, where it climbs steeply; nothing for a usual thread."""
    angle = climb(thread)
    if angle.value < CLIMBS_DEG:
        return {}, ()
    side = "right" if thread.hand == "left" else "left"
    note = f"The thread climbs {{climb}}: grind the {side} flank of the tool back by that much more, or it rubs."
    return {"climb": angle}, (note,)


def next_start(
    work: Work, chucking: Chucking, thread: Thread, made: str, geared: Gearing, *, inside: bool = False
) -> Operation | None:
    """Move on from one start of a thread to the next; None for a thread of one. `made` is the id of its section or
    hole, `inside` that it is a hole's."""
    if thread.starts == 1:
        return None
    times = Figure("times", thread.starts - 1, "", "starts − 1", GEOMETRY, (Given("starts", thread.starts),))
    by_wheel = shared_by_wheel(geared, thread)
    figures = {"times": times}
    if by_wheel:
        wheel = Given("teeth of the first gear", geared.first_wheel)
        shared = Given("starts", thread.starts)
        figures["wheel"] = Figure("first gear", geared.first_wheel, "", "from its gear train", AS_TYPED, kind="typed")
        figures["teeth"] = Figure(
            "turn on by",
            geared.first_wheel // thread.starts,
            "",
            "teeth of the first gear ÷ starts",
            GEOMETRY,
            (wheel, shared),
        )
    else:
        unit = work.job.unit
        pitch = convert(thread.pitch, thread.unit, unit)
        lead = Given("lead", convert(thread.lead, thread.unit, unit), unit)
        figures["pitch"] = Figure(
            "move along by", pitch, unit, "lead ÷ starts", GEOMETRY, (lead, Given("starts", thread.starts))
        )
    return Operation(
        key=keyed("index-inside" if inside else "index", made),
        kind="gear",
        title="Move on to the next start",
        sentence=(BY_WHEEL if by_wheel else BY_SLIDE) + ("." if thread.starts == 2 else AND_SO_ON),
        headline="teeth" if by_wheel else "pitch",
        figures=figures,
        tool="first gear of the train" if by_wheel else "top slide, parallel to the bed",
        edge="",
        cautions=(cautions.GEARS,) if by_wheel else (cautions.STOP_TO_MEASURE,),
        notes=(ALIKE, *((STUD,) if by_wheel else ())),
        acts=(SetUp(made),),
        chucking=chucking.number,
        thread=thread,
        inside=inside,
        makes=makes(thread=thread.designation),
    )
