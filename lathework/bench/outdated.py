"""What is said of an entry that no longer counts, because its step makes something else now."""

from __future__ import annotations

from lathework.bench.tally import Outdated
from lathework.planning.operation import Operation
from lathework.units import LENGTH_UNITS, BothUnits, LengthUnit, show_length


def _reading(old: Outdated, aim_mm: float, unit: LengthUnit) -> str:
    measured, was, now = (
        "something else" if mm is None else show_length(mm, "mm", unit) for mm in (old.value_mm, old.aim_mm, aim_mm)
    )
    return f"This {measured} was measured for a target of {was}; the target is now {now}. Measure again."


def _size(text: str, unit: LengthUnit) -> str:
    """A size as `makes` wrote it: a length in millimetres, or a word."""
    try:
        return show_length(float(text), "mm", unit, fine=False)
    except ValueError:
        return text


def _sizes(makes: str) -> dict[str, str]:
    pairs = (size.partition(" ") for size in makes.split("; ") if size)
    return {name: size for name, _, size in pairs}


def _done(old: Outdated, step: Operation, unit: LengthUnit) -> str:
    was, now = _sizes(old.makes), _sizes(step.makes)
    changed = [
        f"{name} {_size(was[name], unit)}, now {_size(size, unit)}"
        for name, size in now.items()
        if name in was and was[name] != size
    ]
    told = "; ".join(changed) or "a different one"
    again = "gauge again" if step.measure == "verdict" else "do it again"
    return f"This was done before the part was changed ({told}). {again.capitalize()}."


def outdated_words(old: Outdated, step: Operation) -> BothUnits:
    """What was recorded, for what, and what it is now. Lengths as `show_length` tells each unit."""
    dimension = step.dimension(old.measured)
    if old.kind == "reading" and dimension is not None:
        inch, mm = (_reading(old, dimension.target.aim_mm, unit) for unit in LENGTH_UNITS)
    else:
        inch, mm = (_done(old, step, unit) for unit in LENGTH_UNITS)
    return BothUnits(inch, mm)
