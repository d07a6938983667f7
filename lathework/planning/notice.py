"""A remark on a job as a whole, and how it tells a length."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.units import LengthUnit, show_both


@dataclass(frozen=True, slots=True)
class Notice:
    """A coded remark on the job as a whole: the field it concerns and what to do. One that comes `first` is said at the
    top of the job and beside its field: what stands against making it."""

    code: str
    field: str
    text: str
    first: bool = False


def told(mm: float, unit: LengthUnit, *, fine: bool = False) -> str:
    """A length of `mm` millimetres in words, told in `unit`."""
    inch, metric = show_both(mm, "mm", fine=fine)
    return f"{inch} in" if unit == "in" else f"{metric} mm"
