"""What a plan does otherwise than usual, because a run of the usual one did not go."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import replace

from lathework.lathe.breach import Breach, Code
from lathework.part.ends import Ends
from lathework.part.model import Edge
from lathework.value import value


@value
class Otherwise:
    """Sawn `blanks` in place of parting off; a `stub` of bar that the jaws alone hold; holes `bored_first`, before the
    outside is turned; the ends `swapped`; the ends that run on a centre, `centred`."""

    blanks: bool = False
    stub: bool = False
    bored_first: bool = False
    swapped: bool = False
    centred: tuple[Edge, ...] = ()


USUAL = Otherwise()


def _on_a_centre(plan: Otherwise, breach: Breach) -> Otherwise:
    """The end whose holding gives way on a centre; the breach names it."""
    end: Edge = "left" if breach.made == "left" else "right"
    return plan if end in plan.centred else replace(plan, centred=(*plan.centred, end))


_WAYS_OUT: Mapping[Code, Callable[[Otherwise, Breach], Otherwise]] = {
    "bar-over-bore": lambda plan, breach: replace(plan, stub=True),
    "blade-reach": lambda plan, breach: replace(plan, blanks=True),
    "grip-lever": _on_a_centre,
    "slips": lambda plan, breach: replace(plan, swapped=True),
    "tail-over-bore": lambda plan, breach: replace(plan, swapped=True),
    "thin-wall": lambda plan, breach: replace(plan, bored_first=True),
}


def way_out(plan: Otherwise, breach: Breach) -> Otherwise | None:
    """What to try where a condition did not hold; None where nothing is known, or it was tried."""
    change = _WAYS_OUT.get(breach.code)
    other = change(plan, breach) if change is not None else plan
    return None if other == plan else other


def swapped(ends: Ends) -> Ends:
    """The end that was to be made second made first, the largest section with it; as they are where there is none."""
    if not ends.second:
        return ends
    *rest, largest = ends.first
    return Ends((*ends.second, largest), tuple(rest), turned_about=not ends.turned_about)
