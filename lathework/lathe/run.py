"""A plan run: each act on the lathe that the ones before it leave, with what did not hold."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from functools import lru_cache

from lathework.lathe.acts import Act
from lathework.lathe.breach import Breach
from lathework.lathe.gripping import Hold
from lathework.lathe.standing import Lathe
from lathework.value import value


@value
class Run:
    """What a run found: the lathe at its end, and what did not hold, each fault once, in the order it was met."""

    end: Lathe
    breaches: tuple[Breach, ...]


def _holdings(acts: Iterable[Act]) -> Iterator[tuple[Act, ...]]:
    """The acts, those of each holding together."""
    held = list[Act]()
    for act in acts:
        if isinstance(act, Hold) and held:
            yield tuple(held)
            held = []
        held.append(act)
    yield tuple(held)


@lru_cache(maxsize=512)
def _done(lathe: Lathe, acts: tuple[Act, ...]) -> Run:
    """The acts of one holding, done from the lathe as it stands. Kept, since a key changes one holding and leaves the
    others as they were."""
    found = list[Breach]()
    for act in acts:
        found += act.needs(lathe)
        lathe = act.leaves(lathe)
    return Run(lathe, tuple(found))


def run(start: Lathe, acts: Iterable[Act]) -> Run:
    """Do the `acts` in order, from the lathe as it stands at the `start`."""
    lathe, found = start, dict[Breach, None]()
    for holding in _holdings(acts):
        done = _done(lathe, holding)
        lathe = done.end
        for breach in done.breaches:
            found.setdefault(breach)
    return Run(lathe, tuple(found))
