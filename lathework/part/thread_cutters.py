"""What cuts a thread: each way in which a die, a head, a tap and a tool differ for the plan, in one place."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

from lathework.methods.head import SET_UP_MIN as HEAD_SET_UP_MIN
from lathework.methods.ways.tools import SET_UP_MIN as TOOL_SET_UP_MIN

Cutter = Literal["tap", "form-tap", "adjustable-tap", "tap-as-chaser", "boring-tool"]
"""What cuts a thread in a hole."""
OutsideCutter = Literal["die", "die-head", "threading-tool"]
"""What cuts a thread outside."""
SetCutter = Literal[OutsideCutter, "adjustable-tap"]
"""What a thread may be cut by that is set, or goes deeper, after a verdict."""
CUTTERS: tuple[Cutter, ...] = get_args(Cutter)
OUTSIDE_CUTTERS: tuple[OutsideCutter, ...] = get_args(OutsideCutter)


@dataclass(frozen=True, slots=True, kw_only=True)
class ThreadCutter:
    """One thing that cuts threads, and how it differs from the others.

    `sized_by` is what is moved where the thread came out wrong: the screws of a die, the graduations of a scale, the
    depth of the cut, or nothing. `set_up_min` are the minutes it takes to set up beyond what a die or a tap takes.
    """

    code: str
    name: str
    remark: str
    sized_by: Literal["screws", "graduations", "depth", "nothing"]
    set_up_min: float
    on_leadscrew: bool
    """Whether the leadscrew feeds it along; what is not fed follows the thread that it has cut."""
    in_holder: bool
    """Whether one of several holders turns it on, as the job's method says."""
    flips: bool
    """Whether it may be turned round, to cut up to a shoulder."""
    opens: bool
    """Whether it has chasers that open at a stop."""
    in_sets: bool
    """Whether a taper, a second and a bottoming one follow each other into a blind hole."""
    forms: bool
    """Whether it presses the thread instead of cutting it: no chip, and a hole of its own size."""
    as_chaser: bool
    """Whether it is a tap that is held in the toolpost and fed like a tool."""


DIE = ThreadCutter(
    code="die",
    name="die",
    remark="the usual",
    sized_by="screws",
    set_up_min=0.0,
    on_leadscrew=False,
    in_holder=True,
    flips=True,
    opens=False,
    in_sets=False,
    forms=False,
    as_chaser=False,
)
DIE_HEAD = ThreadCutter(
    code="die-head",
    name="self-opening die head",
    remark="opens at its stop; half an hour to set, then the quickest",
    sized_by="graduations",
    set_up_min=HEAD_SET_UP_MIN,
    on_leadscrew=False,
    in_holder=False,
    flips=False,
    opens=True,
    in_sets=False,
    forms=False,
    as_chaser=False,
)
THREADING_TOOL = ThreadCutter(
    code="threading-tool",
    name="single point",
    remark="on the leadscrew: true, any size, slow",
    sized_by="depth",
    set_up_min=TOOL_SET_UP_MIN,
    on_leadscrew=True,
    in_holder=False,
    flips=False,
    opens=False,
    in_sets=False,
    forms=False,
    as_chaser=False,
)
TAP = ThreadCutter(
    code="tap",
    name="tap",
    remark="the usual",
    sized_by="nothing",
    set_up_min=0.0,
    on_leadscrew=False,
    in_holder=True,
    flips=False,
    opens=False,
    in_sets=True,
    forms=False,
    as_chaser=False,
)
FORM_TAP = ThreadCutter(
    code="form-tap",
    name="form tap",
    remark="no chips, a stronger thread; ductile metal, its own larger hole, twice the torque",
    sized_by="nothing",
    set_up_min=0.0,
    on_leadscrew=False,
    in_holder=True,
    flips=False,
    opens=False,
    in_sets=False,
    forms=True,
    as_chaser=False,
)
ADJUSTABLE_TAP = ThreadCutter(
    code="adjustable-tap",
    name="adjustable tap",
    remark="set by its scale, tried, and set again; for classes that a fixed tap misses",
    sized_by="graduations",
    set_up_min=0.0,
    on_leadscrew=False,
    in_holder=True,
    flips=False,
    opens=False,
    in_sets=False,
    forms=False,
    as_chaser=False,
)
TAP_AS_CHASER = ThreadCutter(
    code="tap-as-chaser",
    name="tap held as a chaser",
    remark="a smaller tap of the same pitch, on the leadscrew",
    sized_by="nothing",
    set_up_min=0.0,
    on_leadscrew=True,
    in_holder=False,
    flips=False,
    opens=False,
    in_sets=False,
    forms=False,
    as_chaser=True,
)
BORING_TOOL = ThreadCutter(
    code="boring-tool",
    name="inside threading tool",
    remark="single point, on the leadscrew",
    sized_by="depth",
    set_up_min=TOOL_SET_UP_MIN,
    on_leadscrew=True,
    in_holder=False,
    flips=False,
    opens=False,
    in_sets=False,
    forms=False,
    as_chaser=False,
)

OUTSIDE: dict[OutsideCutter, ThreadCutter] = {"die": DIE, "die-head": DIE_HEAD, "threading-tool": THREADING_TOOL}
INSIDE: dict[Cutter, ThreadCutter] = {
    "tap": TAP,
    "form-tap": FORM_TAP,
    "adjustable-tap": ADJUSTABLE_TAP,
    "tap-as-chaser": TAP_AS_CHASER,
    "boring-tool": BORING_TOOL,
}
SET_CUTTERS: dict[str, ThreadCutter] = {one.code: one for one in (*OUTSIDE.values(), ADJUSTABLE_TAP)}
"""What is set, or goes deeper, after a verdict: by the codes of `SetCutter`, as they are kept."""
