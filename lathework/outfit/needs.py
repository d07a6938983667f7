"""Everything a plan works with, as a shop has it."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence

from lathework.outfit.dies import die_needs, tool_needs
from lathework.outfit.holes import bore_needs
from lathework.outfit.need import Need, Shop
from lathework.outfit.rack import bar_needs, blade_needs, gauge_needs, holding_needs, lathe_needs
from lathework.planning.plan import Plan
from lathework.shop.kinds import beside, name_of
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe


def needs(plan: Plan, things: Sequence[Owned]) -> tuple[Need, ...]:
    """Everything that a plan works with as a shop has it, what is missing first.

    A kind that the shop keeps nothing of is not spoken of, but for dies and taps.
    """
    machine = plan.job.setup.machine
    near = [one for one in beside(things, machine) if not isinstance(one, OwnLathe) or machine in ("", one.id)]
    shop = Shop(tuple(near))
    if not shop.things:
        return ()
    found: list[Need] = [*lathe_needs(plan, shop)]
    cut = {step.key for step in plan.operations}
    for number, section in enumerate(plan.job.part.sections):
        if section.thread is not None and f"thread:{section.id}" in cut:
            found += die_needs(plan, number, section.thread, shop)
        if section.thread is not None and f"screwcut:{section.id}" in cut:
            found += tool_needs(plan, section, section.thread, shop)
    for bore in plan.work.bores:
        found += bore_needs(plan, bore, shop)
    rest: tuple[Callable[[Plan, Shop], Iterator[Need]], ...] = (blade_needs, bar_needs, holding_needs, gauge_needs)
    for make in rest:
        found += make(plan, shop)
    return tuple(sorted(dict.fromkeys(found), key=lambda need: need.thing is not None))


def facts_of(told: Sequence[Need]) -> tuple[tuple[str, str], ...]:
    """What is missing, and what to lay out and where it lies, each with its name; none where nothing is told."""
    missing = [f"{need.what}{_either(need)}" for need in told if need.thing is None]
    there = [f"{name_of(need.thing)}{_lies(need.thing)}" for need in told if need.thing is not None]
    facts = (("Missing", missing), ("Lay out", list(dict.fromkeys(there))))
    return tuple((name, f"{'; '.join(lines)}.") for name, lines in facts if lines)


def _either(need: Need) -> str:
    words = [one.words for one in need.instead if one.serves]
    return f" ({' or '.join(words)})" if words else ""


def _lies(thing: Owned) -> str:
    return f" ({thing.place})" if thing.place else ""
