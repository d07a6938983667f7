"""Stand-ins for a readout and a caliper: they can be zeroed, preset and jogged, stray a little, and fail on wish."""

from __future__ import annotations

import random
from dataclasses import dataclass, field
from typing import Literal, get_args

from lathework.errors import InputError
from lathework.instruments.sample import Axis, Sample
from lathework.units import MM_PER_INCH

Fault = Literal["none", "jumped-digit", "wrong-unit", "dropout"]
FAULTS: tuple[Fault, ...] = get_args(Fault)
FAULT_WORDS: dict[Fault, str] = {
    "none": "nothing wrong",
    "jumped-digit": "a digit jumps",
    "wrong-unit": "the wrong unit",
    "dropout": "it stops sending",
}
"""What each is called."""
STEP_MM = 0.005
"""The last digit that a stand-in shows (practice)."""
SIMULATED = "simulated "
"""How the names of stand-ins begin."""
JUMP = 10.0
_SLIDES: tuple[Axis, ...] = ("x", "z")


def _shown(mm: float) -> float:
    return round(mm / STEP_MM) * STEP_MM


@dataclass(slots=True)
class StandIn:
    """A readout of two axes and a caliper. Places in millimetres, X on the diameter; a `dice` throws its noise.

    `noise_mm` is how far it strays, `drift_mm_h` how far it wanders in an hour; a `fault` lasts until another is wished
    for. `feed_mm_s` is how fast a jog goes.
    """

    dice: random.Random
    noise_mm: float = 0.003
    drift_mm_h: float = 0.0
    fault: Fault = "none"
    feed_mm_s: float = 8.0
    _at: dict[Axis, float] = field(default_factory=lambda: {"x": 40.0, "z": 5.0})
    _to: dict[Axis, float] = field(default_factory=lambda: {"x": 40.0, "z": 5.0})
    _zero: dict[Axis, float] = field(default_factory=lambda: {"x": 0.0, "z": 0.0})
    _began_s: float = 0.0
    _last_s: float = 0.0

    def _moved(self, now_s: float) -> None:
        """Go on toward where each slide was sent, until `now_s` (seconds)."""
        self._began_s = self._began_s or now_s
        most = self.feed_mm_s * max(0.0, now_s - (self._last_s or now_s))
        self._last_s = now_s
        for axis in _SLIDES:
            left = self._to[axis] - self._at[axis]
            self._at[axis] += max(-most, min(most, left))

    def _slide(self, axis: str) -> Axis:
        found = next((slide for slide in _SLIDES if slide == axis), None)
        if found is None:
            raise InputError("unknown-choice", "axis", "This readout has X and Z.", _SLIDES)
        return found

    def jog(self, axis: str, by_mm: float, now_s: float) -> None:
        """Send a slide on by so much, from where it was last sent (millimetres, seconds). Raises InputError."""
        self._moved(now_s)
        self._to[self._slide(axis)] += by_mm

    def preset(self, axis: str, shows_mm: float, now_s: float) -> None:
        """Let an axis show `shows_mm` where it stands, 0 to zero it (millimetres, seconds). Raises InputError."""
        self._moved(now_s)
        own = self._slide(axis)
        self._zero[own] = self._at[own] - shows_mm

    def fail(self, fault: str) -> None:
        """Fail so from now on. Raises InputError on "fault"."""
        found = next((one for one in FAULTS if one == fault), None)
        if found is None:
            raise InputError("unknown-choice", "fault", "Choose one of these faults.", FAULTS)
        self.fault = found

    def _strayed(self, mm: float, now_s: float) -> float:
        wandered = self.drift_mm_h * (now_s - self._began_s) / 3600
        shown = _shown(mm + wandered + self.dice.gauss(0, self.noise_mm))
        if self.fault == "jumped-digit" and self.dice.random() < 0.5:
            return shown * JUMP
        return shown * MM_PER_INCH if self.fault == "wrong-unit" else shown

    def readout(self, now_s: float) -> Sample | None:
        """What the readout shows at `now_s` (seconds since 1970); None where it has dropped out."""
        self._moved(now_s)
        if self.fault == "dropout":
            return None
        axes = {axis: self._strayed(self._at[axis] - self._zero[axis], now_s) for axis in _SLIDES}
        return Sample(f"{SIMULATED}readout", "readout", axes, now_s)

    def caliper(self, true_mm: float, now_s: float) -> Sample | None:
        """What the caliper sends of a piece that is `true_mm` (millimetres) at `now_s` (seconds)."""
        self._began_s = self._began_s or now_s
        if self.fault == "dropout":
            return None
        return Sample(f"{SIMULATED}caliper", "caliper", {"length": self._strayed(true_mm, now_s)}, now_s, sent=True)
