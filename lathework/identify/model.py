"""A thread as evidence sees it: where crest and bore are found, pitch, angle, taper."""

from __future__ import annotations

import math
from dataclasses import dataclass
from functools import cache

from lathework.threads.families import family_of
from lathework.threads.library import library
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.taper import TAPER, taper_lengths
from lathework.threads.thread import Thread
from lathework.units import convert

UNDERCUT, UNDERCUT_SHARE = 0.6, 0.12
"""How far under the class's least crest makers are found, in tolerances, and how many: dies and old work; not on pipe
threads, whose tolerance is wide as it is (practice)."""
TURNED_UNDER = 0.075
"""How far under nominal the crests of trapezoidal threads are turned, in pitches (practice)."""
OVERSIZE = 0.3
"""How far over the class's greatest bore makers are found, in tolerances: drills cut large (practice)."""
_BAND_TO_SIGMA = 1 / math.sqrt(12)
"""Standard deviation of an even spread over a band, per width of the band."""


@dataclass(frozen=True, slots=True)
class Model:
    """A thread as evidence sees it, in millimetres: where crest and bore are found, pitch, angle, taper.

    Crests are found within the class, and some down to `crest_under`.
    """

    thread: Thread
    crest_under: float
    crest_low: float
    crest_high: float
    bore_low: float
    bore_high: float
    pitch: float
    angle: float
    tapered: bool
    outside: bool
    inside: bool

    @property
    def crests(self) -> tuple[tuple[float, float, float], ...]:
        """The bands of the crest as made: how many lie there, its centre, its spread as one standard deviation."""
        inside = (self.crest_low + self.crest_high) / 2, (self.crest_high - self.crest_low) * _BAND_TO_SIGMA
        if self.crest_under >= self.crest_low:
            return ((1.0, *inside),)
        under = (self.crest_under + self.crest_low) / 2, (self.crest_low - self.crest_under) * _BAND_TO_SIGMA
        return (1 - UNDERCUT_SHARE, *inside), (UNDERCUT_SHARE, *under)

    @property
    def crest(self) -> tuple[float, float]:
        """Centre of the crest's bands as made, all together, and their spread as one standard deviation."""
        return (self.crest_under + self.crest_high) / 2, (self.crest_high - self.crest_under) * _BAND_TO_SIGMA

    @property
    def bore(self) -> tuple[float, float]:
        """Centre of the bore's band as made, and its spread as one standard deviation."""
        return (self.bore_low + self.bore_high) / 2, (self.bore_high - self.bore_low) * _BAND_TO_SIGMA


def _taper_reach(thread: Thread) -> tuple[float, float]:
    """How far the diameter lies under and over that of the gauge plane, along the useful thread."""
    lengths = taper_lengths(thread)
    if lengths is None:
        return 0.0, 0.0
    gauge, useful = lengths.gauge_length.value, lengths.useful_length.value
    return convert(gauge * TAPER, thread.unit, "mm"), convert((useful - gauge) * TAPER, thread.unit, "mm")


def _model(thread: Thread) -> Model:
    def mm(value: float) -> float:
        return convert(value, thread.unit, "mm")

    outside, inside = external_limits(thread), internal_limits(thread)
    under, over = _taper_reach(thread)
    if thread.single_point:
        under = TURNED_UNDER * thread.pitch_mm
    if outside is not None:
        tolerance = outside.major.maximum - outside.major.minimum
        undercut = UNDERCUT if family_of(thread).crests_cut else 0.0
        least = outside.major.minimum
        crest = (mm(least - undercut * tolerance), mm(least), mm(outside.major.maximum))
    else:
        crest = (thread.major_mm - under, thread.major_mm - under, thread.major_mm + over)
    if inside is not None:
        over_size = OVERSIZE * (inside.minor.maximum - inside.minor.minimum)
        bore = (mm(inside.minor.minimum), mm(inside.minor.maximum + over_size))
    else:
        bore = (thread.minor_mm - under, thread.minor_mm + over)
    return Model(
        thread,
        *crest,
        *bore,
        thread.pitch_mm,
        thread.form.angle_deg,
        thread.taper > 0,
        outside=thread.outside,
        inside=thread.inside,
    )


@cache
def models() -> tuple[Model, ...]:
    """Every thread of the library, as evidence sees it."""
    return tuple(_model(thread) for thread in library())


def _form_of(thread: Thread) -> tuple[object, ...]:
    """What two names of one thread have in common; pipe threads are told apart by what they are for."""
    kind = thread.series if family_of(thread).pipe else thread.form.name
    return kind, round(thread.major_mm, 4), round(thread.pitch_mm, 5)


@cache
def also_called() -> dict[str, tuple[str, ...]]:
    """The other names of each thread of the library that has any: 1/4 by 26 is BSF, brass and model engineer."""
    alike: dict[tuple[object, ...], list[str]] = {}
    for thread in library():
        alike.setdefault(_form_of(thread), []).append(thread.designation)
    return {
        name: tuple(other for other in names if other != name)
        for names in alike.values()
        if len(names) > 1
        for name in names
    }
