"""What is done when a part is made: fitting it, in the words the job has for that."""

from __future__ import annotations

from lathework.lathe.acts import Assemble
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, quoted
from lathework.planning.work import Work


def fit(work: Work, chucking: Chucking) -> Operation | None:
    """The last step of a part, where something was noted for it; told with the last `chucking`."""
    if not work.part.afterwards:
        return None
    return Operation(
        key="fit",
        kind="fit",
        title="Fit it",
        sentence=quoted(work.part.afterwards),
        headline="",
        figures={},
        tool="",
        edge="",
        acts=(Assemble(""),),
        chucking=chucking.number,
        figure_words="fitted",
        makes=work.part.afterwards,
    )
