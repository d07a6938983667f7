"""How long a piece takes: cutting at the plan's speeds, and the handling around it."""

from __future__ import annotations

from collections.abc import Callable
from math import fsum

from lathework.figures import PRACTICE, Answer, Figure, Given
from lathework.job.model import Job
from lathework.methods.head import RESET_MIN
from lathework.methods.ways.minutes import HAND_TURN_MIN, THERE_AND_BACK
from lathework.methods.ways.tools import RETURN_MIN
from lathework.planning.operation import Kind, Operation
from lathework.units import convert

PIECE_TIME = "time for a piece"
DRILL_FEED_MM = 0.1
"""Feed of a drill by the tailstock wheel, in millimetres a revolution (practice)."""
PLUNGE_MM = 0.04
"""Feed of a blade straight in, in millimetres a revolution (practice)."""
TOOL_MIN, SETTING_MIN = 0.5, 0.25
"""Minutes at each step to change the tool, and to set it and look (practice)."""
CHUCK_MIN = 0.75
"""Minutes to put a piece in the chuck once more (practice)."""
CHASING_PASS_MIN = 0.5
"""Minutes for a pass of a chaser: cut, draw out, run back (practice)."""
FLAT_MIN = 1.5
"""Minutes for a flat: cut and index (practice)."""
SETTING_UP_MIN = 15.0
"""Minutes before the first piece: bar, tools and die set, zero found (practice)."""
FIXED_MIN: dict[Kind, float] = {
    "gauge": 0.5,
    "chamfer": 0.1,
    "edge": 0.1,
    "hold": 1.0,
    "saw": 2.0,
    "centre": 0.5,
    "knurl": 1.0,
    "keyway": 10.0,
    "undercut": 2.0,
    "deburr": 1.5,
    "spot": 0.5,
    "countersink": 0.3,
    "ream": 1.5,
    "fit": 3.0,
    "taper": 3.0,
    "gear": 0.5,
}
"""Minutes of steps that no feed or speed times (practice)."""


def _speed(operation: Operation) -> float:
    return operation.figures["speed"].value


def _along(job: Job, operation: Operation, facing: float) -> float:
    """Cuts x length / (feed x speed)."""
    cut = operation.cut
    assert cut is not None
    return operation.figures["cuts"].value * (cut.left_mm - cut.right_mm) / (job.material.feed_mm * _speed(operation))


def _across(feed_mm: float, operation: Operation, speed: float) -> float:
    """Depth / (feed x speed)."""
    cut = operation.cut
    assert cut is not None
    return (cut.outer_mm - cut.inner_mm) / 2 / (feed_mm * speed)


def _threading(job: Job, operation: Operation, facing: float) -> float:
    if operation.cut_by.opens:
        return operation.figures["on"].value / 60 + RESET_MIN
    each = 1 / _speed(operation) if "speed" in operation.figures else HAND_TURN_MIN
    return operation.figures["turns"].value * each * THERE_AND_BACK


def _drilling(operation: Operation) -> float:
    """Depth / (feed x speed)."""
    depth = operation.figures["depth"]
    return convert(depth.value, "in" if depth.unit == "in" else "mm", "mm") / (DRILL_FEED_MM * _speed(operation))


def _screwcut(operation: Operation) -> float:
    """Starts x passes x (turns / speed + return); a hand turns at its own."""
    turns = operation.figures["turns"].value
    each = 1 / _speed(operation) if "speed" in operation.figures else HAND_TURN_MIN
    starts = operation.thread.starts if operation.thread is not None else 1
    return starts * len(operation.passes) * (turns * each + RETURN_MIN)


_TIMED: dict[Kind, Callable[[Job, Operation, float], float]] = {
    "turn": _along,
    "face": lambda job, operation, facing: _across(job.material.feed_mm, operation, _speed(operation)),
    "groove": lambda job, operation, facing: _across(PLUNGE_MM, operation, facing),
    "neck": lambda job, operation, facing: _across(PLUNGE_MM, operation, facing),
    "part-begin": lambda job, operation, facing: _across(PLUNGE_MM, operation, facing),
    "part-off": lambda job, operation, facing: _across(PLUNGE_MM, operation, facing),
    "thread": _threading,
    "finish": _threading,
    "drill": lambda job, operation, facing: _drilling(operation),
    "chase": lambda job, operation, facing: operation.figures["cuts"].value * CHASING_PASS_MIN,
    "screwcut": lambda job, operation, facing: _screwcut(operation),
    "rough": lambda job, operation, facing: operation.figures["cuts"].value * CHASING_PASS_MIN,
    "tap": lambda job, operation, facing: operation.figures["turns"].value * HAND_TURN_MIN * THERE_AND_BACK,
    "flats": lambda job, operation, facing: operation.figures["count"].value * FLAT_MIN,
}


def cutting_minutes(job: Job, operation: Operation, facing_speed: float) -> float:
    """Minutes the tool of a step is in the metal; `facing_speed` in rev/min stands where a step names none."""
    timed = _TIMED.get(operation.kind)
    return FIXED_MIN[operation.kind] if timed is None else timed(job, operation, facing_speed)


def piece_time(job: Job, operations: tuple[Operation, ...]) -> Figure:
    """Minutes for one piece, each step's share among the inputs. Source: practice."""
    facing = next(_speed(step) for step in operations if step.kind == "face")
    handling = TOOL_MIN + SETTING_MIN
    shares = [(step.title, cutting_minutes(job, step, facing) + handling) for step in operations]
    return Figure(
        PIECE_TIME,
        fsum(minutes for _, minutes in shares),
        "min",
        "sum of all; each step at its feed and speed, plus handling",
        PRACTICE,
        tuple(Given(title, minutes, "min") for title, minutes in shares),
        note="An estimate: the first piece takes longer, a practised hand less.",
    )


def batch_time(pieces: int, piece: Figure, steps: int, more_setting_up: float = 0.0) -> Figure:
    """Hours for `pieces` (a count) of `piece` minutes each over `steps` (a count), setting up once.

    `more_setting_up` are the minutes (unit min) that a die head or change gears take beyond what a die does.

    Piece by piece each step changes its tool; operation by operation the tool stays and each piece is chucked again
    at each step: the other school. Source: practice.
    """
    setting_up = SETTING_UP_MIN + more_setting_up
    by_operation = pieces * (piece.value + steps * (CHUCK_MIN - TOOL_MIN)) + steps * TOOL_MIN + setting_up
    return Figure(
        "time for the batch",
        (pieces * piece.value + setting_up) / 60,
        "h",
        "(pieces × time for a piece + setting up) ÷ 60",
        PRACTICE,
        (
            Given("pieces", pieces),
            Given(PIECE_TIME, piece.value, "min"),
            Given("setting up", setting_up, "min"),
        ),
        places=1,
        others=(
            Answer(
                "operation by operation",
                by_operation / 60,
                "h",
                "each tool set once, each piece chucked again at each step: runs true every time only in soft jaws",
            ),
        ),
    )
