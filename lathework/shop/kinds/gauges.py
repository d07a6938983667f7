"""What threads are gauged with, and what lengths are measured with."""

from __future__ import annotations

import math
import re
from collections.abc import Iterator
from dataclasses import dataclass

from lathework.fields import Choice, Designation, Extent, Text
from lathework.lengths import Length, Span
from lathework.shop.kinds.kind import InLine, KindField, Owned, ThingKind, lies_under, no_size, unchecked
from lathework.shop.kinds.shared import GRIPS, joined
from lathework.shop.kit_choices import GAUGE_FORMS, INSTRUMENT_FORMS, GaugeForm, InstrumentForm
from lathework.shop.typing.line_words import forms, own_forms
from lathework.shop.typing.reads import most, of_threads, plain_size
from lathework.shop.typing.sizes import LARGEST_INCHES
from lathework.threads.thread import Thread

WIRE = Span("A wire", 0.1, 6)
READS, WITHIN = Span("What it reads to", 0.0005, 1), Span("Its uncertainty", 0.0005, 2)
_RANGE = re.compile(r"^(?P<low>\d+(?:\.\d+)?)\s*-\s*(?P<high>\d+(?:\.\d+)?)\s*(?P<unit>mm|in)?$", re.IGNORECASE)
_FINE = re.compile(r"^0?\.0\d*\s*(?:mm|in)$", re.IGNORECASE)
_NAMES: dict[GaugeForm, str] = {
    "ring": "ring gauge",
    "plug": "plug gauge",
    "nut": "trusted nut",
    "mate": "mating part",
    "wires": "wires",
    "leaf": "pitch gauge",
}


@dataclass(frozen=True, slots=True)
class ThreadGauge(Owned):
    """A ring, a plug, a trusted nut, a mating part, wires, or a leaf gauge."""

    form: GaugeForm
    thread: Thread | None
    size: Length | None


@dataclass(frozen=True, slots=True)
class Instrument(Owned):
    """What lengths are measured with."""

    form: InstrumentForm
    most: Length | None
    reads: Length | None
    within: Length | None
    checked: str

    @property
    def uncertainty_mm(self) -> float | None:
        """Its standard uncertainty, in millimetres: what it reads within ÷ √3; None where nobody said that.

        Source: JCGM 100:2008, 4.3.7, from memory: it may be off anywhere in between alike.
        """
        return self.within.mm / math.sqrt(3) if self.within else None


def _gauge_name(gauge: ThreadGauge) -> str:
    named = gauge.thread.designation if gauge.thread else gauge.size.typed if gauge.size else ""
    return joined(named, _NAMES[gauge.form])


def _instrument_name(instrument: Instrument) -> str:
    return instrument.form + (f", to {instrument.most.typed}" if instrument.most else "")


def _reads_instrument(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """An instrument by the most it takes, 25-50 mm; by what it reads to, where that is so small."""
    run = _RANGE.match(rest)
    if run is None:
        fine = rest and _FINE.match(rest)
        return iter(({"reads": rest, **told},)) if fine else most(rest, told)
    unit = run["unit"] or ("in" if float(run["high"]) <= LARGEST_INCHES else "mm")
    notes = "; ".join(filter(None, (told.get("notes", ""), f"from {run['low']} {unit}" if run["low"] != "0" else "")))
    return iter(({"most": f"{run['high']} {unit}", **told} | ({"notes": notes} if notes else {}),))


def _reads_gauge(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """Wires by their size, every other gauge by its thread."""
    if told.get("form") == "wires":
        return iter(({"size": plain_size(rest), **told},))
    if told.get("form") == "leaf":
        return iter((told | ({"notes": rest} if rest else {}),))
    return of_threads(rest, told) if rest else iter((told,))


GAUGE = ThingKind(
    code="gauge",
    place=14,
    called="gauge",
    about="what a thread is gauged with",
    made=ThreadGauge,
    fields={
        "form": KindField(Choice(GAUGE_FORMS, "nut", "what it is"), "Form"),
        "thread": KindField(Designation("the thread it is for", optional=True), "Thread"),
        "size": KindField(Extent(WIRE, "diameter of wires"), "Size"),
    },
    check=unchecked,
    name=_gauge_name,
    short=_gauge_name,
    drawer=lies_under("Gauges and instruments"),
    across=no_size,
    sign="M18 22a18 18 0 1 0 36 0a18 18 0 1 0-36 0M28 22a8 8 0 1 0 16 0a8 8 0 1 0-16 0",
    line=InLine(
        called=r"(?:ring |plug |leaf |pitch )?gauges?|trusted nuts?|(?:measuring )?wires?",
        rank=8,
        words=own_forms("ring", "plug", "leaf", "nut", "wires") | forms(nuts="nut", wire="wires", pitch="leaf"),
        reads=_reads_gauge,
        alone=False,
        more=False,
    ),
)
INSTRUMENT = ThingKind(
    code="instrument",
    place=15,
    called="instrument",
    about="what lengths are measured with",
    made=Instrument,
    fields={
        "form": KindField(Choice(INSTRUMENT_FORMS, "caliper", "what it is"), "Form"),
        "most": KindField(Extent(GRIPS, "most it takes"), "To"),
        "reads": KindField(Extent(READS, "what it reads to"), "Reads to"),
        "within": KindField(Extent(WITHIN, "its uncertainty, either way"), "Uncertainty"),
        "checked": KindField(Text("when it was last checked, and against what"), "Last checked"),
    },
    check=unchecked,
    name=_instrument_name,
    short=_instrument_name,
    drawer=lies_under("Gauges and instruments"),
    across=no_size,
    sign="M4 6h60v8H4zM10 14h8v22l-4 4l-4-4zM34 14h8v26l-4-4l-4-4z",
    line=InLine(
        called=r"calipers?|micrometers?|dial indicators?|rules?",
        rank=9,
        words=own_forms("caliper", "micrometer", "indicator", "rule")
        | forms(calipers="caliper", micrometers="micrometer"),
        reads=_reads_instrument,
        alone=False,
        more=False,
    ),
)
