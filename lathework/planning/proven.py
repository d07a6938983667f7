"""Blanks that proved themselves: what was turned to before a thread that then passed its gauge."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.planning.bench import Entry
from lathework.planning.plan import Plan
from lathework.rules.gauging import MEANINGS, VERDICTS

Place = tuple[int, str]
"""Chucking and thread: a part may have the same thread at both ends."""


def proven_blanks(plan: Plan, entries: Iterable[Entry]) -> dict[str, list[float]]:
    """Blank diameters in millimetres by thread, oldest first: the last reading before a thread that passed.

    A piece counts once for each of its threads, with what its last gauging said.
    """
    places: dict[str, Place] = {o.key: (o.chucking, o.thread.designation) for o in plan.operations if o.thread}
    turning = {o.key for o in plan.operations if o.kind == "turn"}
    read: dict[tuple[int, Place], float] = {}
    passed: dict[tuple[int, Place], float] = {}
    for entry in entries:
        place = places.get(entry.step)
        if place is None:
            continue
        here = (entry.piece, place)
        if entry.kind == "reading" and entry.step in turning and entry.value_mm is not None:
            read[here] = entry.value_mm
        elif entry.kind == "verdict" and here in read:
            passed.pop(here, None)
            if any(v == entry.word and MEANINGS[v].passes for v in VERDICTS):
                passed[here] = read[here]
    found: dict[str, list[float]] = {}
    for (_, (_, thread)), blank in passed.items():
        found.setdefault(thread, []).append(blank)
    return found
