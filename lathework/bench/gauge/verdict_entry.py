"""What a thread says when it is gauged, checked against the step in hand and turned into its entry."""

from __future__ import annotations

import math

from lathework.bench.bench import Bench
from lathework.bench.entry import Entry
from lathework.bench.gauge.die import aim_of
from lathework.bench.gauge.thread import sized
from lathework.bench.size.unlikely import Expected, check_likely
from lathework.dies.spreads import OFFSET_SPREAD_MM
from lathework.errors import InputError
from lathework.gauging.sized import ThreadSize
from lathework.gauging.tried import TRIED, Gauge, tried_with
from lathework.gauging.wires import over_wires, wire_range
from lathework.lengths import Length, Span, within
from lathework.planning.operation import Operation
from lathework.reader import UNSTORABLE, storable
from lathework.threads.limits import external_limits
from lathework.threads.standards.bands import ExternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert, show_length

MOST_OFF = 0.5
"""Pitches that a measured thread may be off the middle of its class; past that something else was read (practice)."""


def _tried(now: Bench, code: str) -> Gauge:
    """What the thread in hand is tried with. Raises InputError on "tried" or "verdict"."""
    if now.step is None or not now.gauges:
        raise InputError("not-asked", "verdict", "This step is not gauged.")
    gauge = tried_with(code)
    if gauge is None or gauge not in now.gauges:
        raise InputError("unknown-choice", "tried", "That gauge does not suit this thread.", tuple(now.gauges))
    return gauge


def verdict_entry(now: Bench, word: str, tried: str = "", mate: str = "") -> Entry:
    """What the thread of the step in hand said to what it was `tried` with, the very one named `mate`.

    Raises InputError on "verdict", "tried" or "mate".
    """
    gauge = _tried(now, tried)
    may = TRIED[gauge].verdicts
    verdict = next((one for one in may if one == word), None)
    if now.step is None or verdict is None:
        text = "Choose the result." if may else "A thread micrometer gives a size: type the size."
        raise InputError("unknown-choice", "verdict", text, may)
    if not storable(mate):
        raise InputError("unreadable", "mate", UNSTORABLE)
    named = mate.strip() if TRIED[gauge].spread else ""
    return Entry("verdict", now.piece, now.step.key, word=verdict, tried=gauge, mate=named)


def _measured(now: Bench) -> tuple[Operation, Thread, ExternalLimits]:
    """The step in hand with its thread and the class that a size of it is held against. Raises InputError."""
    step = now.step
    outside = step is not None and step.kind == "gauge" and not step.inside
    bolt = external_limits(step.thread, step.class_name) if step and step.thread and outside else None
    if step is None or step.thread is None or bolt is None:
        raise InputError("not-asked", "reading", "This step has no thread to measure.")
    return step, step.thread, bolt


def _entry(
    now: Bench, step: Operation, size: ThreadSize, wanted_mm: float, length: Length, tried: Gauge, *, sure: bool
) -> Entry:
    """The entry of a thread as measured, where some `wanted_mm` (millimetres) is to be expected; one that is far from
    that is kept where it is `sure`. Raises InputError."""
    told = sized(step, size)
    assert step.thread is not None  # `_measured` saw to it
    if told is None or abs(length.mm - wanted_mm) > MOST_OFF * step.thread.pitch_mm:
        words = f"{show_length(wanted_mm, 'mm', length.unit)} {length.unit}"
        raise InputError("out-of-range", "reading", f"About {words} is expected. Is your reading right?")
    if not sure:
        aim = aim_of(step.thread, step.class_name)
        spread_mm = math.hypot(aim.half_mm / 2 if aim is not None else 0.0, OFFSET_SPREAD_MM)
        check_likely(length, Expected(wanted_mm, spread_mm, wanted_mm - spread_mm, wanted_mm + spread_mm, 0.0))
    return Entry(
        "verdict",
        now.piece,
        step.key,
        value_mm=length.mm,
        wire_mm=size.wire_mm,
        within_mm=size.within_mm,
        word=told.verdict,
        tried=tried,
    )


def wires_entry(
    now: Bench, over: Length, wire: Length | None, within_mm: float | None = None, *, sure: bool = False
) -> Entry:
    """The thread of the step in hand as measured `over` three wires; those of the step where no `wire` is named.

    `within_mm` is the standard uncertainty of the micrometer in millimetres, None for the usual; `sure` as of any
    reading. Raises InputError on "reading" or "wire".
    """
    step, thread, bolt = _measured(now)
    unit = thread.unit
    if wire is not None:
        least, greatest = (convert(one.value, unit, "mm") for one in wire_range(thread, bolt))
        within(wire, Span("A wire for this thread", least, greatest), "wire")
    wire_mm = wire.mm if wire is not None else convert(step.figures["wire"].value, unit, "mm")
    wanted = over_wires(thread, convert(wire_mm, "mm", unit), bolt.pitch_diameter.middle)
    wanted_mm = convert(wanted.value, unit, "mm")
    return _entry(now, step, ThreadSize(over.mm, wire_mm, within_mm), wanted_mm, over, "", sure=sure)


def anvils_entry(now: Bench, size: Length, within_mm: float | None = None, *, sure: bool = False) -> Entry:
    """The pitch diameter of the thread of the step in hand as a thread micrometer reads it.

    `within_mm` is its standard uncertainty in millimetres, None for the usual. Raises InputError on "reading",
    "tried" or "verdict".
    """
    tried = _tried(now, "thread-micrometer")
    step, thread, bolt = _measured(now)
    wanted_mm = convert(bolt.pitch_diameter.middle, thread.unit, "mm")
    return _entry(now, step, ThreadSize(size.mm, None, within_mm), wanted_mm, size, tried, sure=sure)
