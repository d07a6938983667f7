"""How long a piece takes: cutting at the plan's speeds, and the handling around it."""

from __future__ import annotations

from lathework.figures import PRACTICE, Figure, Given
from lathework.planning.operation import Operation
from lathework.planning.work import Work

PLUNGE_MM = 0.04
"""Feed of a blade straight in, in millimetres a revolution (practice)."""
HANDLING_MIN = 0.75
"""Minutes at each step to change the tool, set it and look (practice)."""
HAND_TURN_MIN = 0.04
"""Minutes for a turn of the spindle by hand under a die (practice)."""
GAUGE_MIN, CHAMFER_MIN = 0.5, 0.1
SETTING_UP_MIN = 15.0
"""Minutes before the first piece: bar, tools and die set, zero found (practice)."""
THERE_AND_BACK = 2.0
"""A die runs on and back off."""


def _speed(operation: Operation) -> float:
    return operation.figures["speed"].value


def _along(operation: Operation, feed_mm: float) -> float:
    """Minutes of turning: cuts x length / (feed x speed)."""
    cut = operation.cut
    assert cut is not None
    return operation.figures["cuts"].value * (cut.left_mm - cut.right_mm) / (feed_mm * _speed(operation))


def _across(operation: Operation, feed_mm: float, speed: float) -> float:
    """Minutes of cutting toward the axis: depth / (feed x speed)."""
    cut = operation.cut
    assert cut is not None
    return (cut.outer_mm - cut.inner_mm) / 2 / (feed_mm * speed)


def cutting_minutes(work: Work, operation: Operation, facing_speed: float) -> float:
    """Minutes the tool of a step is in the metal; `facing_speed` in rev/min stands where a step names none."""
    feed = work.job.material.feed_mm
    if operation.key in ("turn-shank", "turn-blank"):
        return _along(operation, feed)
    if operation.key == "face":
        return _across(operation, feed, facing_speed)
    if operation.key in ("groove", "part-off"):
        speed = _speed(operation) if "speed" in operation.figures else facing_speed
        return _across(operation, PLUNGE_MM, speed)
    if operation.key in ("thread", "finish"):
        turns = operation.figures["turns"].value
        each = 1 / _speed(operation) if "speed" in operation.figures else HAND_TURN_MIN
        return turns * each * THERE_AND_BACK
    return GAUGE_MIN if operation.key == "gauge" else CHAMFER_MIN


def piece_time(work: Work, operations: tuple[Operation, ...]) -> Figure:
    """Minutes for one piece, each step's share among the inputs. Source: practice."""
    facing = next(_speed(o) for o in operations if o.key == "face")
    shares = [(o.title, cutting_minutes(work, o, facing) + HANDLING_MIN) for o in operations]
    return Figure(
        "time for a piece",
        sum(minutes for _, minutes in shares),
        "min",
        "at each step: cutting by feed and speed + handling",
        PRACTICE,
        tuple(Given(title, minutes, "min") for title, minutes in shares),
        note="An estimate: the first piece takes longer, a practised hand less.",
    )


def batch_time(pieces: int, piece: Figure) -> Figure:
    """Hours for `pieces` (a count) of `piece` minutes each, setting up once. Source: practice."""
    return Figure(
        "time for the batch",
        (pieces * piece.value + SETTING_UP_MIN) / 60,
        "h",
        "(pieces × time for a piece + setting up) ÷ 60",
        PRACTICE,
        (
            Given("pieces", pieces),
            Given("time for a piece", piece.value, "min"),
            Given("setting up", SETTING_UP_MIN, "min"),
        ),
        places=1,
    )
