"""A size that came out past its limit: the part changed to suit it, and what that costs."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping, Sequence
from copy import deepcopy
from dataclasses import dataclass
from typing import Any

from lathework.bench.bench import Bench
from lathework.bench.entry import made_of
from lathework.bench.size.size_now import SizeNow
from lathework.cutting.dimension import Dimension
from lathework.errors import InvalidDocument
from lathework.planning.plan import Plan
from lathework.units import LengthUnit, Millimetres, show_length

Document = dict[str, Any]
Plans = Callable[[Document], Sequence[Plan]]
ALIKE_MM = 0.002
"""How near the size that the changed part aims at must be to the one that came."""
WEAKER = 0.99
"""Share of its strength from which on a thinner shank is told of."""
FIELDS: Mapping[str, str] = {"diameter": "across", "bore": "across", "length": "length", "depth": "depth"}
"""What of a section or a hole the size that was measured is."""


@dataclass(frozen=True, slots=True)
class Suited:
    """The part as it would be: its `document`; what changes, from what as it was typed, to what; what it costs, in
    sentences; the size that was `measured` and the reading that it is changed to (millimetres)."""

    document: Document
    what: str
    before: str
    after: str
    costs: tuple[str, ...]
    measured: str
    value_mm: Millimetres


def _made(document: Document, at: int, own: str) -> tuple[str, Document] | None:
    """The section or hole of that id in the part at a place (from 0), and what it is called; None where it has none."""
    part = [document, *(document.get("others") or ())][at]["part"]
    for name, rows in (("section", part.get("sections", ())), ("hole", part.get("bores", ()))):
        for number, row in enumerate(rows, 1):
            if row.get("id") == own:
                return f"{name} {number}", row
    return None


def _past(now: Bench) -> SizeNow | None:
    """The size of the step in hand that cannot come back to what was wanted."""
    return next((one for one in now.sizes if one.readings and one.cut.state == "past"), None)


def _text(mm: Millimetres, unit: LengthUnit) -> str:
    return f"{show_length(mm, 'mm', unit).rstrip('0').rstrip('.')} {unit}"


def _aims_there(plan: Plan, key: str, dimension: Dimension, value_mm: Millimetres) -> bool:
    """Whether a step of the changed part makes the size as it came."""
    step = plan.operation(key) if plan.goes else None
    own = step.dimension(dimension.measured) if step is not None else None
    return own is not None and abs(own.target.aim_mm - value_mm) <= ALIKE_MM


def _costs(old: Plan, new: Plan, row: Document, key: str, dimension: Dimension, value_mm: Millimetres) -> Iterator[str]:
    """What the change costs: its fit, its mate, its strength, steps that change, what the plan then says."""
    unit, aim_mm = old.job.unit, dimension.target.aim_mm
    if row.get("mate"):
        yield f"It no longer fits what measures {row['mate']}: it is {_text(abs(value_mm - aim_mm), unit)} looser."
    elif row.get("fit"):
        yield f"Its fit is kept: make its mating part to suit {_text(value_mm, unit)}."
    share = (value_mm / aim_mm) ** 3
    if dimension.measured == "diameter" and share < WEAKER:
        yield f"It is {100 * (1 - share):.0f} % weaker in bending."
    was = {one.key: one.makes for one in old.operations}
    later = [one.title for one in new.operations if one.key != key and was.get(one.key) not in (None, one.makes)]
    gone = len({one.key for one in old.operations} - {one.key for one in new.operations})
    if later:
        yield f"Steps that change with it: {', '.join(later)}."
    if gone:
        yield f"Steps that are no longer there: {gone}."
    known = {(one.code, one.field) for one in old.notices}
    yield from (one.text for one in new.notices if (one.code, one.field) not in known)


def suited(document: Document, plans: Sequence[Plan], now: Bench, planned: Plans) -> Suited | None:
    """The part of the step in hand changed to the size that came; None where no size of it is past its limit, or where
    no field of the document makes that size. `planned` works the plans of a document out."""
    size, step = _past(now), now.step
    if size is None or step is None:
        return None
    dimension, value_mm, unit = size.dimension, size.readings[-1].value_mm, now.plan.job.unit
    changed, at = deepcopy(document), next(number for number, plan in enumerate(plans) if plan is now.plan)
    found, field = _made(changed, at, made_of(step.key)), FIELDS.get(dimension.measured, "")
    if found is None or not found[1].get(field):
        return None
    what, row = found
    before, gone = row[field], dict(row)
    # A length is counted from its own shoulder, and a fit from its nominal size: they are off as far as the size is.
    typed = _typed_mm(now.plan, made_of(step.key), field)
    if typed is None:
        return None
    kept = field in ("length", "depth") or (row.get("fit") and not row.get("mate"))
    own_mm = typed + value_mm - dimension.target.aim_mm if kept else value_mm
    row[field] = after = _text(own_mm, unit)
    if row.get("mate"):
        # The part that it was to fit is there, and stays as it is.
        row["fit"] = row["mate"] = ""
    try:
        new = planned(changed)
    except InvalidDocument:
        return None
    if not _aims_there(new[at], step.key, dimension, value_mm):
        return None
    costs = tuple(_costs(now.plan, new[at], gone, step.key, dimension, value_mm))
    name = f"{what}, {'diameter' if field == 'across' else field}"
    return Suited(changed, name, before, after, costs, dimension.measured, value_mm)


def _typed_mm(plan: Plan, own: str, field: str) -> Millimetres | None:
    """The size across, the length or the depth of a section or a hole, as it was asked for."""
    part = plan.job.part
    sizes = {one.id: {"across": one.across, "length": one.length} for one in part.sections}
    sizes |= {one.id: {"across": one.across, "depth": one.depth} for one in part.bores}
    length = sizes.get(own, {}).get(field)
    return length.mm if length is not None else None
