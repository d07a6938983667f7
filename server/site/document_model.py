"""The job document as the API takes it: models made from its declaration, so that a new field is declared once."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import BaseModel, ConfigDict, Field, create_model

from lathework.declared import Group, Rows
from lathework.fields import Choice, Fixed, Ident, Raw, Several, Whole


class Strict(BaseModel):
    """Refuses fields it does not know: a misspelt one must not vanish.

    A plain model: what is read from a body needs none of the attribute lookups that ninja's own schemas do.
    """

    model_config = ConfigDict(extra="forbid")


def _one_of(allowed: tuple[str, ...]) -> Any:
    """A text that the schema tells the choices of; the core checks it, and names them in its error."""
    return Annotated[str, Field(json_schema_extra={"enum": list(allowed)})]


def _type(one: Any, made: dict[str, type[BaseModel]]) -> Any:
    match one:
        case Group():
            return model(one, made)
        case Rows():
            return list[model(one.of, made)]  # type: ignore[misc]  # a model made while the program runs
        case Choice():
            return _one_of(one.allowed)
        case Several():
            return list[_one_of(one.allowed)]  # type: ignore[misc]  # likewise
        case Whole():
            return int | str
        case Fixed():
            return type(one.value)
        case _:
            return str


def _default(one: Any) -> Any:
    """What a missing field stands for; ... where it must be there."""
    if isinstance(one, Rows | Several):
        return ... if one.required else list(one.default)
    if isinstance(one, Choice) and "" in one.allowed:
        return one.default
    if isinstance(one, Choice | Whole | Group):
        return one.default or ...
    if isinstance(one, Fixed | Ident):
        # An id that is missing is asked for by the core, with its reason.
        return one.default
    return ... if one.required else one.default


def model(group: Group, made: dict[str, type[BaseModel]], **instead: Any) -> type[BaseModel]:
    """The model of a declared group; `made` keeps those there are, `instead` gives fields another type and default."""
    name = f"{group.name.title()}In"
    if name not in made:
        fields = {
            key: (_type(one, made), _default(one)) for key, one in group.fields.items() if not isinstance(one, Raw)
        }
        made[name] = create_model(name, __base__=Strict, __doc__=group.about, **{**fields, **instead})
    return made[name]
