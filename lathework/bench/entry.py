"""One thing recorded at the bench, and what it was recorded for: it means next year what it meant today."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

from lathework.gauging.sized import ThreadSize
from lathework.gauging.tried import Gauge
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan

Kind = Literal[
    "reading",
    "verdict",
    "setting",
    "cause",
    "done",
    "accept",
    "scrap",
    "again",
    "note",
    "pause",
    "go-on",
    "read",
    "zero-lost",
    "zero",
    "turn-to",
    "take-up",
]
KINDS: tuple[Kind, ...] = get_args(Kind)
OF_EVERY_PART: tuple[Kind, ...] = ("read", "turn-to")
"""A caution that was read holds for all parts of a job; a zero stands for none once another one is turned to."""
OF_THE_STEP: tuple[Kind, ...] = ("reading", "verdict", "setting", "cause", "done", "accept", "zero")
"""What counts only as long as its step makes what it made."""
SET = "set"
"""The word of a setting that says where a die stands, not how far it was moved."""
OF_A_HEAD, OF_A_TAP = "-head", "-tap"
"""What ends the word of a setting whose marks are graduations of a die head, or of an adjustable tap."""
ENDS: dict[str, str] = {"die": "", "head": OF_A_HEAD, "tap": OF_A_TAP}
"""The same by what is set."""
ON_SCREW = "on-screw"
"""The word of a setting that was found on a known screw: the die just grips it."""
Since = Literal["seated", "honed"]
SINCE: tuple[Since, ...] = get_args(Since)
"""What came to a die that is not a setting: it was put into its holder anew; it was honed, or has another screw."""
CUT_AGAIN = "again"
"""The word of a setting where nothing was moved: the thread was cut further as it was."""
_ALIKE_MM = 0.0005


@dataclass(frozen=True, slots=True)
class Story:
    """What the step of an entry was when it was recorded, in the words and sizes of that day.

    `title`, `part` and `metal` as they were called; `thread` and its class; `makes` the sizes the step leaves; `tool`
    with its edge; the `die` that cuts its thread, by its id; the diameter aimed at and its limits in millimetres, where
    it has one; the `revision` of the job.
    """

    title: str = ""
    part: str = ""
    metal: str = ""
    thread: str = ""
    class_name: str = ""
    makes: str = ""
    tool: str = ""
    die: str = ""
    aim_mm: float | None = None
    low_mm: float | None = None
    high_mm: float | None = None
    revision: int = 0


UNTOLD = Story()


@dataclass(frozen=True, slots=True)
class Entry:
    """One thing recorded at the bench, for the part of that id, with the `story` of its step.

    `value_mm` a reading of what was `measured` of the step, its diameter or another size; or a thread as measured over
    three wires of `wire_mm`, by a thread micrometer where that is None; `dialled_mm` what had been dialled on that size
    before it, `stated` where the person said so and not only the bench: from that alone is anything learned; `tried`
    what a thread was gauged with, `mate` the very nut or screw of that kind, or that its die was set on, by its name,
    "" for one that has none; `within_mm` the standard uncertainty of the micrometer it was measured with, where that is
    known; `by` the instrument that sent it, "" for what was typed; `device` what it was recorded on, as that was
    called, "" for the machine that the program runs on; `word` a verdict, the way the die was moved, what a nut bound
    for, or the hazards whose cautions were read; `eighths` how far its middle screw went, or where it stands; `text` a
    note or a reason, `why` the mistake that was made, by its code. "turn-to" takes up the part it belongs to. "take-up"
    puts the piece in hand down for its own; `then` is the piece that is taken up after it, None for the one in hand or
    the next. `ended` says that the piece was whole with it."""

    kind: Kind
    piece: int
    step: str
    value_mm: float | None = None
    measured: str = ""
    dialled_mm: float | None = None
    stated: bool = False
    wire_mm: float | None = None
    within_mm: float | None = None
    tried: Gauge = ""
    mate: str = ""
    by: str = ""
    device: str = ""
    word: str = ""
    eighths: float | None = None
    text: str = ""
    why: str = ""
    part: str = "p1"
    ended: bool = False
    then: int | None = None
    story: Story = UNTOLD

    @property
    def thread_size(self) -> ThreadSize | None:
        """The thread as it was measured; None for another entry, or one that was not measured."""
        if self.kind != "verdict" or self.value_mm is None:
            return None
        return ThreadSize(self.value_mm, self.wire_mm, self.within_mm)


def made_of(step: str) -> str:
    """The id of the section, hole or end that the step of that key makes; "" for the part itself.

    >>> made_of("turn:s1"), made_of("edge:s1.left"), made_of("part-off")
    ('s1', 's1', '')
    """
    return step.partition(":")[2].partition(".")[0]


def tool_told(step: Operation) -> str:
    """The tool of a step with the edge that was touched off."""
    return f"{step.tool}, {step.edge}" if step.edge else step.tool


def die_of(plan: Plan, key: str) -> str:
    """The die, or the adjustable tap, of the shop that cuts the thread which the step of that key makes, by its id; ""
    where none is named."""
    made, part = made_of(key), plan.job.part
    taps = ((bore.id, bore.tap) for bore in part.bores)
    return next((own for one, own in (*((s.id, s.die) for s in part.sections), *taps) if one == made), "")


def story_of(plan: Plan, key: str, part: str, revision: int, measured: str = "") -> Story:
    """What the step of that `key` is now, for an entry of it, and the size of it that was `measured`; `part` as the job
    calls it, `revision` its count."""
    step, metal = plan.operation(key), plan.job.material.name
    if step is None:
        return Story(part=part, metal=metal, revision=revision)
    dimension = step.dimension(measured)
    target = dimension.target if dimension else None
    return Story(
        title=step.title,
        part=part,
        metal=metal,
        thread=step.thread.designation if step.thread else "",
        class_name=step.class_name,
        makes=step.makes,
        tool=tool_told(step),
        die=die_of(plan, key),
        aim_mm=target.aim_mm if target else None,
        low_mm=target.low_mm if target else None,
        high_mm=target.high_mm if target else None,
        revision=revision,
    )


def counts(entry: Entry, step: Operation | None) -> bool:
    """Whether what was recorded for a step still stands for the `step` of that key: None where there is none now.

    A reading for as long as the same size is aimed at; a zero for as long as its tool is; what was done or gauged
    for as long as the same sizes are made.
    """
    if step is None:
        return False
    if entry.kind == "reading":
        aimed, dimension = entry.story.aim_mm, step.dimension(entry.measured)
        return aimed is not None and dimension is not None and abs(aimed - dimension.target.aim_mm) < _ALIKE_MM
    return entry.story.tool == tool_told(step) if entry.kind == "zero" else entry.story.makes == step.makes
