"""Things that hold, measure, and turn; and the bars they turn. A size is None, a word "" where nobody said."""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.lengths import Length
from lathework.shop.kit_choices import (
    BarForm,
    CentreForm,
    ChuckForm,
    GaugeForm,
    InstrumentForm,
    Morse,
    Said,
    Screws,
    Shank,
)
from lathework.shop.lathe_facts import Dial, Mount, Readout, ToolZeros
from lathework.shop.lathe_facts import Lathe as Weight
from lathework.shop.things import Thing
from lathework.threads.thread import Thread


@dataclass(frozen=True, slots=True)
class DieStock(Thing):
    """A stock by the die it takes."""

    across: Length
    deep: Length | None


@dataclass(frozen=True, slots=True)
class DieHolder(Thing):
    """A tailstock die holder."""

    across: Length
    deep: Length | None
    behind: Length | None
    swallows: Length | None
    shank: Shank
    round: Length | None
    screws: Screws
    keyed: Said


@dataclass(frozen=True, slots=True)
class Bush(Thing):
    """A guide bush."""

    bore: Length
    across: Length | None


@dataclass(frozen=True, slots=True)
class DieHead(Thing):
    """A self-opening die head; its chasers are dies of their own. It cuts on by its `overrun` past its stop before it
    opens; a `graduation` of its scale makes so much on the diameter."""

    least: Length | None
    most: Length | None
    behind: Length | None
    swallows: Length | None
    overrun: Length | None
    graduation: Length | None
    shank: Shank
    round: Length | None


@dataclass(frozen=True, slots=True)
class Collet(Thing):
    """A collet and what it closes on."""

    system: str
    least: Length | None
    most: Length
    deep: Length | None


@dataclass(frozen=True, slots=True)
class Chuck(Thing):
    """A chuck or a faceplate."""

    form: ChuckForm
    least: Length | None
    most: Length | None
    taper: Morse


@dataclass(frozen=True, slots=True)
class Centre(Thing):
    """A centre."""

    form: CentreForm
    taper: Morse


@dataclass(frozen=True, slots=True)
class ThreadGauge(Thing):
    """A ring, a plug, a trusted nut, a mating part, wires, or a leaf gauge."""

    form: GaugeForm
    thread: Thread | None
    size: Length | None


@dataclass(frozen=True, slots=True)
class Instrument(Thing):
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


@dataclass(frozen=True, slots=True)
class Bar(Thing):
    """A bar in the rack; `metal` is a metal's code."""

    form: BarForm
    across: Length
    long: Length | None
    metal: str


@dataclass(frozen=True, slots=True)
class OwnLathe(Thing):
    """A lathe: `speeds` in rev/min from the slowest up, `gears` by their teeth, each wheel owned; its `gearbox` by the
    pitches it gives, its thread dial by the teeth of its wheel and its lines."""

    name: str
    bore: Length | None
    swing: Length | None
    taper: Morse
    travel: Length | None
    speeds: tuple[float, ...]
    reverse: Said
    mount: Mount
    run_down: float | None
    dial: Dial
    readout: Readout
    tools: ToolZeros
    weight: Weight
    leadscrew: str
    gearbox: str
    gears: tuple[float, ...]
    dial_teeth: float | None
    dial_lines: float | None
