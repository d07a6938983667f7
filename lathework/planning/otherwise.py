"""What a plan does otherwise than usual, because a run of the usual one did not go."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping
from dataclasses import replace

from lathework.lathe.breach import Breach, Code
from lathework.part.ends import Ends
from lathework.part.model import Edge
from lathework.value import value


@value
class Otherwise:
    """Sawn `blanks` in place of parting off; a `stub` of bar that the jaws alone hold; holes `bored_first`, before the
    outside is turned; the ends `swapped`; the ends that run on a centre, `centred`; those that are worked in a fixed
    steady, the blank held by its far end, `steadied`."""

    blanks: bool = False
    stub: bool = False
    bored_first: bool = False
    swapped: bool = False
    centred: tuple[Edge, ...] = ()
    steadied: tuple[Edge, ...] = ()


USUAL = Otherwise()


def _end(breach: Breach) -> Edge:
    """The end that a fault of a holding names."""
    return "left" if breach.made == "left" else "right"


def _on_a_centre(plan: Otherwise, breach: Breach) -> Otherwise:
    """The end whose holding gives way on a centre."""
    end = _end(breach)
    return plan if end in plan.centred else replace(plan, centred=(*plan.centred, end))


def _in_a_steady(plan: Otherwise, breach: Breach) -> Otherwise:
    """The end whose blank does not go into the spindle in a fixed steady."""
    end = _end(breach)
    return plan if end in plan.steadied else replace(plan, steadied=(*plan.steadied, end))


def _swapped(plan: Otherwise, breach: Breach) -> Otherwise:
    return replace(plan, swapped=True)


Change = Callable[[Otherwise, Breach], Otherwise]
_WAYS_OUT: Mapping[Code, tuple[Change, ...]] = {
    "bar-over-bore": (lambda plan, breach: replace(plan, stub=True),),
    "blade-reach": (lambda plan, breach: replace(plan, blanks=True),),
    "grip-lever": (_on_a_centre,),
    "slips": (_swapped,),
    "tail-over-bore": (_swapped, _in_a_steady),
    "thin-wall": (lambda plan, breach: replace(plan, bored_first=True),),
}


def ways_out(plan: Otherwise, breach: Breach) -> Iterator[Otherwise]:
    """What to try where a condition did not hold, one after the other; nothing where nothing is known, or it was
    tried."""
    for change in _WAYS_OUT.get(breach.code, ()):
        other = change(plan, breach)
        if other != plan:
            yield other


def swapped(ends: Ends) -> Ends:
    """The end that was to be made second made first, the largest section with it; as they are where there is none."""
    if not ends.second:
        return ends
    *rest, largest = ends.first
    return Ends((*ends.second, largest), tuple(rest), turned_about=not ends.turned_about)
