"""What the bench is told: a model for each act of the core, made from its declaration, told apart by its kind."""

from __future__ import annotations

from dataclasses import fields
from functools import reduce
from operator import or_
from typing import TYPE_CHECKING, Annotated, Any, Literal, get_type_hints

from ninja import Field
from pydantic import RootModel, create_model, model_validator

from lathework.bench.acts.act import Act
from lathework.bench.acts.every import ACTS
from lathework.bench.entry import Kind
from server.jobs.schemas import SawIn

LONGEST: dict[str, int] = {"reading": 200, "dialled": 200}
"""Characters that what is measured may have; every other text is a code. The core says how long a reason may be."""
LONGEST_CODE = 60


class ActIn(SawIn):
    """What every act comes with. `step` is the key of the one in hand on the screen, "" when every piece was made."""

    step: str

    @model_validator(mode="before")
    @classmethod
    def without_unsaid(cls, told: Any) -> Any:
        """An act without what it has no field for and says nothing of: earlier pages named every field of every act."""
        if not isinstance(told, dict):
            return told
        return {name: value for name, value in told.items() if name in cls.model_fields or value not in ("", 0)}


def _bounded(name: str, hint: Any) -> Any:
    """The type of a field: as it is declared, a text of so many characters."""
    if hint is not str or name == "reason":
        return hint
    return Annotated[str, Field(max_length=LONGEST.get(name, LONGEST_CODE))]


def _model(act: type[Act]) -> type[ActIn]:
    hints = get_type_hints(act)
    said: dict[str, Any] = {
        field.name: (_bounded(field.name, hints[field.name]), field.default) for field in fields(act)
    }
    said["kind"] = (Literal[act.kind], ...)
    return create_model(f"{act.__name__}In", __base__=ActIn, __doc__=act.__doc__, **said)


MODELS: dict[Kind, type[ActIn]] = {kind: _model(act) for kind, act in ACTS.items()}
if TYPE_CHECKING:

    class EntryIn(RootModel[ActIn]):
        """One thing to record."""
else:

    class EntryIn(RootModel[Annotated[reduce(or_, MODELS.values()), Field(discriminator="kind")]]):
        """One thing to record: an act, by its kind."""


def act_of(said: ActIn) -> Act:
    """The act that was sent."""
    told = said.model_dump(exclude=set(ActIn.model_fields))
    return ACTS[told.pop("kind")](**told)
