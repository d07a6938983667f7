"""Limits of the external crest for the class most dies are made for, by family.

Only the major diameter: that is what the blank is turned for.
"""

from __future__ import annotations

from dataclasses import dataclass
from decimal import Decimal
from functools import cache

from lathework.figures import Given, Source
from lathework.tables.loader import load
from lathework.threads.thread import Thread
from lathework.units import round_half_even, round_half_up

B1_1 = Source("standard", "ASME B1.1:2019, formulas for class 2A")
BS_84 = Source("standard", "BS 84:1956, medium class formulas")
ISO_965 = Source("standard", "ISO 965-1:2013, es for g and Td grade 6")
ISO_965_FORMULA = Source("standard", "ISO 965-1, formulas behind the tables (pitch not tabulated)")
ISO_228 = Source("standard", "ISO 228-1:2000, major tolerance")
BS_93 = Source("memory", "BS 93, normal class, major tolerance as recalled from a handbook")


@dataclass(frozen=True, slots=True)
class MajorLimits:
    """Limits of the external major diameter in the thread's own unit, and what they were made from."""

    class_name: str
    minimum: float
    maximum: float
    formula: str
    source: Source
    inputs: tuple[Given, ...]

    @property
    def middle(self) -> float:
        """Half way between the limits."""
        return (self.minimum + self.maximum) / 2


def _limits(
    thread: Thread, class_name: str, allowance: float, tolerance: float, formula: str, source: Source
) -> MajorLimits:
    """Maximum = basic less allowance, minimum = maximum less tolerance; each rounded once, at the end."""
    places = 4 if thread.unit == "in" else 3
    top = Decimal(repr(thread.major)) - Decimal(repr(allowance))
    return MajorLimits(
        class_name=class_name,
        minimum=round_half_up(top - Decimal(repr(tolerance)), places),
        maximum=round_half_up(top, places),
        formula=formula,
        source=source,
        inputs=(
            Given("basic major", thread.major, thread.unit),
            Given("pitch", thread.pitch, thread.unit),
            Given("allowance", allowance, thread.unit),
            Given("tolerance", tolerance, thread.unit),
        ),
    )


def _allowance_2a(pitch_tolerance: float) -> float:
    """Allowance 0.3 Td2 as the table prints it, in inches.

    The tolerance is taken to 5 decimals and a half goes to the even digit: so 5/8-11 gets its printed 0.0016.
    """
    return round_half_even(Decimal(str(round_half_up(pitch_tolerance, 5))) * Decimal("0.3"), 4)


def _unified(thread: Thread) -> MajorLimits:
    engaged = thread.major if thread.series in ("UNC", "UNF") else 9 * thread.pitch
    grade = thread.pitch ** (2 / 3)
    pitch_tolerance = 0.0015 * thread.major ** (1 / 3) + 0.0015 * engaged**0.5 + 0.015 * grade
    return _limits(
        thread,
        "2A",
        _allowance_2a(pitch_tolerance),
        0.06 * grade,
        "maximum = d − 0.3 Td2, minimum = maximum − 0.06 P^(2/3)",
        B1_1,
    )


def _whitworth(thread: Thread) -> MajorLimits:
    tolerance = 0.002 * thread.major ** (1 / 3) + 0.003 * thread.major**0.5 + 0.015 * thread.pitch**0.5
    return _limits(
        thread,
        "medium",
        0.0,
        tolerance,
        "maximum = d, minimum = d − (0.002 d^(1/3) + 0.003 d^(1/2) + 0.005 P^(1/2) + 0.01 P^(1/2))",
        BS_84,
    )


@cache
def _metric_table() -> dict[float, tuple[float, float]]:
    return {
        float(row.number("pitch")): (-float(row.number("es_g")) / 1000, float(row.number("td_6")) / 1000)
        for row in load("metric_major_tolerance").rows
    }


def _metric(thread: Thread) -> MajorLimits:
    formula = "maximum = d − es, minimum = maximum − Td"
    tabulated = _metric_table().get(thread.pitch)
    if tabulated is not None:
        return _limits(thread, "6g", *tabulated, formula, ISO_965)
    allowance = (15 + 11 * thread.pitch) / 1000
    tolerance = (180 * thread.pitch ** (2 / 3) - 3.15 * thread.pitch**-0.5) / 1000
    return _limits(thread, "6g", round(allowance, 3), round(tolerance, 3), formula, ISO_965_FORMULA)


@cache
def _pipe_tolerances() -> dict[str, float]:
    return {f"G{row.text('size')}": float(row.number("major_tolerance")) for row in load("bsp_parallel").rows}


def _pipe(thread: Thread) -> MajorLimits:
    tolerance = _pipe_tolerances()[thread.designation]
    return _limits(thread, "A", 0.0, tolerance, "maximum = d, minimum = d − Td", ISO_228)


def _ba(thread: Thread) -> MajorLimits:
    fine = int(thread.designation.split()[0]) > 10
    tolerance = (0.25 if fine else 0.20) * thread.pitch
    return _limits(thread, "normal", 0.0, tolerance, "maximum = d, minimum = d − 0.20 P (0.25 P above 10 BA)", BS_93)


_BY_FAMILY = {
    "unified": _unified,
    "metric": _metric,
    "whitworth": _whitworth,
    "model-engineer": _whitworth,
    "bsp": _pipe,
    "ba": _ba,
}


def major_limits(thread: Thread) -> MajorLimits:
    """Limits of the external major diameter: 2A, 6g, medium, A or normal, by family.

    In the thread's own unit, to the standard's printed digits.

    Source: ASME B1.1, ISO 965-1, BS 84, ISO 228-1 as named in the result; BA from memory.
    """
    return _BY_FAMILY[thread.family](thread)
