"""A plan run: each act on the lathe that the ones before it leave, with what did not hold."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.lathe.acts import Act
from lathework.lathe.breach import Breach
from lathework.lathe.standing import Lathe
from lathework.value import value


@value
class Run:
    """What a run found: the lathe at its end, and what did not hold, each fault once, in the order it was met."""

    end: Lathe
    breaches: tuple[Breach, ...]


def run(start: Lathe, acts: Iterable[Act]) -> Run:
    """Do the `acts` in order, from the lathe as it stands at the `start`."""
    lathe, found = start, dict[Breach, None]()
    for act in acts:
        for breach in act.needs(lathe):
            found.setdefault(breach)
        lathe = act.leaves(lathe)
    return Run(lathe, tuple(found))
