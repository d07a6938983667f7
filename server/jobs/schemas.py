"""What the jobs endpoints take. Lengths come as text; the core reads them."""

from __future__ import annotations

from typing import TYPE_CHECKING, Annotated, Any, Literal

from ninja import Query
from pydantic import BaseModel

from lathework.job.declaration import JOB
from lathework.job.typed import Typed
from server.site.document_model import Strict, model

Narrow = Annotated[bool, Query(description="drawn for a screen as wide as a phone")]


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


if TYPE_CHECKING:
    StoredDocument = dict[str, Any]
else:
    # A document that was read already is answered as it is stored; the API tells of it as of any.
    StoredDocument = JobDocument


class StartIn(Strict):
    """A new job as typed: what it starts as and its sizes; method and set-up of the last job, null for the usual ones.

    What is missing in the last job's is as usual, what is not known is left: a browser may have kept it for years.
    """

    typed: Typed
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


class ChangeIn(Strict):
    """A changed document, and the revision it was made from."""

    document: JobDocument
    revision: int


class SawIn(Strict):
    """What the screen showed: the id of the last entry that counted, 0 for none, and the job's revision."""

    last: int
    revision: int


class StepIn(SawIn):
    """The same, and the step in hand on the screen, by its key."""

    step: str


class ReasonIn(SawIn):
    """A reason in words."""

    reason: str = ""
