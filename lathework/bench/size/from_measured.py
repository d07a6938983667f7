"""The step in hand as the piece is found: it begins at what was measured, not at what was planned."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import replace

from lathework.bench.entry import made_of
from lathework.bench.tally import Reading, Tally, read_of
from lathework.cutting.dimension import Dimension
from lathework.figures import AS_TYPED, Figure
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan, operations_as_measured
from lathework.units import convert

SURFACES = ("turn", "neck", "bore", "drill", "ream")
"""Kinds of work whose diameter is what the next cut begins at."""
WORTH_MM = 0.001
"""A difference that is dialled; what is closer to the plan changes nothing (practice)."""
BEGINS = "This step starts from the measured {measured}, not from the planned size."
_ALIKE_MM = 0.005
"""Diameters that are turned in one."""
KEPT = ("keyway",)
"""Kinds of steps that are brought to a size over the other side: that stays as planned."""


def _diameter(step: Operation) -> Dimension | None:
    """The diameter that a step leaves."""
    return next((dimension for dimension in step.dimensions if dimension.measured in ("diameter", "bore")), None)


def measured_of(plan: Plan, readings: Mapping[str, list[Reading]], step: Operation) -> dict[str, float]:
    """The diameters that were measured of the piece before `step`, in millimetres, by the section or hole they are of.

    Those that came out as planned are left out, and so is what the step itself is bringing to size.
    """
    found: dict[str, float] = {}
    for operation in plan.operations:
        if operation.key == step.key:
            break
        size = _diameter(operation)
        if operation.key.partition(":")[0] not in SURFACES or size is None:
            continue
        read = readings.get(read_of(operation.key, size.measured), [])
        if read and abs(read[-1].value_mm - size.target.aim_mm) >= WORTH_MM:
            found |= dict.fromkeys(_of_that_surface(plan, operation, size), read[-1].value_mm)
    return found


def _of_that_surface(plan: Plan, operation: Operation, size: Dimension) -> set[str]:
    """What has the diameter that a step leaves: the section or hole it is named for, and those it turned with it."""
    own, made = made_of(operation.key), {made_of(other.key) for other in plan.operations if other.kind == "turn"}
    if operation.kind != "turn":
        return {own}
    placed = plan.chuckings[operation.chucking - 1].made
    alike = {one.section.id for one in placed if abs(one.turned_mm - size.target.aim_mm) < _ALIKE_MM}
    return {own} | (alike - made)


def as_found(plan: Plan, step: Operation, tally: Tally) -> Operation:
    """`step` with its figures and its beginnings worked out from what was measured of the piece in hand.

    What it makes and the sizes that it aims at stay as planned: an entry tells what it was recorded for.
    """
    measured = measured_of(plan, tally.readings, step)
    if not measured or step.kind in KEPT:
        return step
    again = next((one for one in operations_as_measured(plan, measured) if one.key == step.key), None)
    if again is None:
        return step
    dimensions = tuple(_begun(plan, step, again, measured))
    if again.figures == step.figures and [one.start_mm for one in dimensions] == [
        one.start_mm for one in step.dimensions
    ]:
        return step
    figures, notes = dict(again.figures), again.notes
    own = measured.get(made_of(step.key), next(iter(measured.values())) if len(set(measured.values())) == 1 else None)
    if own is not None:
        unit = plan.job.unit
        figures["measured"] = Figure(
            "as measured", convert(own, "mm", unit), unit, "as measured", AS_TYPED, kind="typed"
        )
        notes = (BEGINS, *notes)
    return replace(step, figures=figures, passes=again.passes, dimensions=dimensions, notes=notes)


def _begun(plan: Plan, step: Operation, again: Operation, measured: Mapping[str, float]) -> Iterator[Dimension]:
    """The sizes of a step that was worked out `again`: aimed at as planned, begun at what was measured.

    What follows the blank as it was planned, like the taper of a pipe thread, begins at that section's own size all the
    same; what another section measured is none of its own.
    """
    aims = {dimension.measured: dimension.target for dimension in step.dimensions}
    own, planned = measured.get(made_of(step.key)), _planned_mm(plan, step)
    for dimension in again.dimensions:
        target, start = aims.get(dimension.measured, dimension.target), dimension.start_mm
        if own is not None and planned is not None and abs(start - planned) < _ALIKE_MM:
            start = own
        yield replace(dimension, target=target, start_mm=start)


def without_planned_verdict(plan: Plan, step: Operation, tally: Tally) -> Operation:
    """The step of a thread's blank without what is said of the planned size, once it was measured: the reading is
    judged itself."""
    size = _diameter(step)
    if step.kind != "turn" or step.thread is None or size is None:
        return step
    if not tally.readings.get(read_of(step.key, size.measured)):
        return step
    planned = {found.blank.verdict for found in plan.work.threads.values()}
    return replace(step, notes=tuple(note for note in step.notes if note not in planned))


def _planned_mm(plan: Plan, step: Operation) -> float | None:
    """The planned diameter, in millimetres, of the section that a step works on; None where it works on none."""
    placed = (one for chucking in plan.chuckings for one in chucking.placed)
    return next((one.turned_mm for one in placed if one.section.id == made_of(step.key)), None)
