"""What stands in a job where nothing is typed: for a form to show, from where the rules have it."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.declared import Group
from lathework.fields import Choice
from lathework.job.declaration import JOB
from lathework.job.stud import PROJECTION_TURNS
from lathework.methods.head import SUPPOSED_TURNS
from lathework.shop.lathe_facts import RUN_DOWN_TURNS

WHERE_EMPTY: dict[str, str] = {
    "setup.run_down": f"blank: {RUN_DOWN_TURNS:g}",
    "setup.head_overrun": f"blank: {SUPPOSED_TURNS:g} turns",
    "repair.out": f"blank: {PROJECTION_TURNS:g} turns",
}
"""What is reckoned with where a field is empty, by the field; those of a stud repair under "repair"."""


def usual_choices(group: Group = JOB, path: str = "") -> Iterator[tuple[str, str]]:
    """Which choice stands where none was made, by the path of its field.

    >>> dict(usual_choices())["method.batch"]
    'piece'
    """
    for name, field in group.fields.items():
        if isinstance(field, Group):
            yield from usual_choices(field, f"{path}{name}.")
        elif isinstance(field, Choice) and field.default:
            yield f"{path}{name}", field.default
