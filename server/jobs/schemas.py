"""What the jobs endpoints take and give. Lengths come as text; the core reads them."""

from __future__ import annotations

from typing import TYPE_CHECKING, Literal

from ninja import Field, Schema
from pydantic import BaseModel

from lathework.job.declaration import JOB
from server.jobs.document_model import Strict, model
from server.site.schemas import CautionOut, FigureOut, OperationOut, SheetOut, Shown, ThreadOut


class IdentifiedIn(Strict):
    """How the thread was identified: evidence as typed, by field, and how probable the thread was."""

    evidence: dict[str, str]
    probability: float


_MADE: dict[str, type[BaseModel]] = {}
if TYPE_CHECKING:
    # Made from the declaration while the program runs: mypy knows that they are models, no more.
    class _Document(Strict): ...

    class MethodIn(Strict):
        """How a part is made."""

    class SetupIn(Strict):
        """The lathe and its blades."""
else:
    _Document = model(JOB, _MADE, identified=(IdentifiedIn | None, None))
    MethodIn, SetupIn = _MADE["MethodIn"], _MADE["SetupIn"]


class JobDocument(_Document):
    """A version 3 job document, as typed; docs/formats/job-3.schema.json says what the core accepts."""


class StartIn(Strict):
    """A new job as typed: what it starts as, its sizes; method and set-up of the last job, null for the usual ones.

    What is missing in the last job's is as usual, what is not known is left: a browser may have kept it for years.
    """

    start: Literal["stud", "rod", "screw", "plug", "nut"]
    unit: Literal["in", "mm"]
    title: str
    thread: str
    quantity: str
    material: str
    stock: str
    threaded: str = ""
    shank: str = ""
    shank_length: str = ""
    flats: str = ""
    overall: str = ""
    finish: str = ""
    method: dict[str, str] | None = None
    setup: dict[str, str] | None = None
    identified: IdentifiedIn | None = None


class StudRepairIn(Strict):
    """A stud repair as typed, and how the last job was made, as a new job takes it; a bare number is in `unit`."""

    title: str = ""
    unit: Literal["in", "mm"]
    across: str
    thread: str
    metal: str = ""
    stud_metal: str = ""
    clamped: str = ""
    washer: str = ""
    nut: str = ""
    out: str = ""
    engaged: str = ""
    method: dict[str, str] | None = None
    setup: dict[str, str] | None = None


class StudRepairOut(Schema):
    """A stud repair: its figures, and the document of its job of three parts."""

    designation: str
    figures: list[FigureOut]
    document: JobDocument


class ChangeIn(Strict):
    """A changed document, and the revision it was made from."""

    document: JobDocument
    revision: int


class SawIn(Strict):
    """What the screen showed: the id of the last entry that counted, 0 for none, and the job's revision."""

    last: int
    revision: int


class EntryIn(SawIn):
    """One thing to record. `step` is the key of the one in hand on the screen, "" when every piece was made.

    `unit` is that of a bare number, the job's own when empty; `again` is the finished step to take up once more, `part`
    the id of the part to turn to.
    """

    step: str
    kind: Literal[
        "reading", "verdict", "setting", "done", "accept", "scrap", "again", "note", "read", "zero", "zero-lost",
        "turn-to",
    ]  # fmt: skip
    reading: str = Field("", max_length=200)
    unit: Literal["in", "mm", ""] = ""
    verdict: str = ""
    reason: str = ""
    again: str = ""
    part: str = ""


class ReasonIn(SawIn):
    """A reason in words."""

    reason: str = ""


class BlankOut(Schema):
    """One school's blank."""

    school: Literal["nominal", "pitch-fraction", "mid-limits", "mate-takes"]
    name: str
    figure: FigureOut
    within_class: bool
    verdict: str


class NoticeOut(Schema):
    """A remark on the job, by field."""

    code: str
    field: str
    text: str


class RestOut(Schema):
    """The section that takes what the others leave of the overall length, by its id."""

    section: str
    length: Shown


class PlanOut(Schema):
    """A plan with what each holding is called and a drawing of it, or null for one that was not asked for.

    `asks` are the fields of the document that concern it.
    """

    thread: ThreadOut
    overall: Shown
    quantity: int
    unit: Literal["in", "mm"]
    operations: list[OperationOut]
    blanks: list[BlankOut]
    batch: list[FigureOut]
    notices: list[NoticeOut]
    cautions: list[CautionOut]
    asks: list[str]
    rest: RestOut | None
    holdings: list[str]
    drawings: list[SheetOut | None]


JobState = Literal["planned", "on the bench", "held", "finished", "closed", "unreadable"]
Shelf = Literal["open", "archive", "bin"]


class JobCard(Schema):
    """A job on the list: what it is, where it stands, what is next; `last` is the id of its last entry, 0 for none.

    `unreadable` says why this version does not read it, "" when it does.
    """

    id: int
    title: str
    needed_by: str
    thread: str
    material: str
    state: JobState
    shelf: Shelf
    quantity: int
    good: int
    scrapped: int
    piece: int
    steps: int
    steps_done: int
    next_step: str
    held: str
    closed: str
    unreadable: str
    last: int
    changed_at: str


class JobsOut(Schema):
    """A page of the list, what is worked at first; `more` when there is another, `counts` by shelf."""

    jobs: list[JobCard]
    more: bool
    counts: dict[Shelf, int]


class StandingOut(JobCard):
    """A job as it stands, with what an act must say it saw."""

    revision: int


class DieRecordOut(Schema):
    """What the log says of the blank for a thread: the figure, from how many pieces, as a fraction of the pitch."""

    thread: str
    blank: FigureOut
    pieces: int
    fraction: str


class JobOut(StandingOut):
    """A job with its document and plan."""

    document: JobDocument
    plan: PlanOut
    die_records: list[DieRecordOut]


class StepState(Schema):
    """A step of the piece in hand."""

    key: str
    title: str
    state: Literal["done", "now", "to do"]


class CutOut(Schema):
    """The next cut."""

    state: Literal["first", "rough", "finish", "on-size", "under-size"]
    dial: FigureOut | None
    left: FigureOut
    ratio: FigureOut
    expect: FigureOut | None
    give_or_take: FigureOut | None
    then: str


class ReadingOut(Schema):
    """A reading with the pass before it."""

    reading: Shown
    dialled: Shown | None
    came_off: Shown | None


class VerdictOut(Schema):
    """What the nut said."""

    code: str
    words: str
    passes: bool


class AdviceOut(Schema):
    """What to do with the die."""

    move: Literal["close", "open", "leave"]
    order: str
    recut: bool
    eighths: FigureOut | None


class PartState(Schema):
    """A part of the job: what it is called, how many are made."""

    id: str
    name: str
    good: int
    quantity: int


class OutdatedOut(Schema):
    """What was recorded for the step before the part was changed, its lengths told in either unit."""

    inch: str = Field(alias="in")
    mm: str


class BenchOut(Schema):
    """The bench screen; `part` is the number, from 1, of the part in hand."""

    id: int
    title: str
    unit: Literal["in", "mm"]
    state: JobState
    shelf: Shelf
    held: str
    closed: str
    last: int
    revision: int
    changed_at: str
    part: int
    parts: list[PartState]
    piece: int
    good: int
    scrapped: int
    quantity: int
    finished: bool
    gauged_pieces: int
    steps: list[StepState]
    step: OperationOut | None
    cut: CutOut | None
    readings: list[ReadingOut]
    hindrance: str
    verdict: VerdictOut | None
    adjusted: bool
    advice: AdviceOut | None
    opened_eighths: float
    unread: list[CautionOut]
    zero: str
    outdated: OutdatedOut | None
    drawing: SheetOut
