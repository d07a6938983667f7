"""How well a thread explains each piece of evidence: densities per millimetre, and chances of an answer."""

from __future__ import annotations

import math
from dataclasses import dataclass
from functools import cache, lru_cache

from lathework.identify.evidence import GOES, LEAF_SHARE, NEARLY_SHARE, Angle, Answer, Evidence, Goes, Measured, Worn
from lathework.tables.loader import load
from lathework.threads.designation import Called
from lathework.threads.limits import external_limits, has_external, internal_limits
from lathework.threads.mating import mate
from lathework.threads.series import library
from lathework.threads.taper import TAPER, taper_lengths
from lathework.threads.thread import Thread
from lathework.units import MM_PER_INCH, convert

WEAR_MM: dict[Worn, float] = {"new": 0.01, "some": 0.025, "badly": 0.15}
"""Mean wear of a crest, on the diameter; few are worn much, so it falls off exponentially (practice)."""
FAR_WORN, FAR_WORN_SHARE = 6.0, 0.06
"""How many times more worn than said some are, and how many are (practice)."""
UNDERCUT, UNDERCUT_SHARE = 0.6, 0.12
"""How far under the class's least crest makers are found, in tolerances, and how many: dies and old work; not on pipe
threads, whose tolerance is wide as it is (practice)."""
TURNED_UNDER = 0.075
"""How far under nominal the crests of trapezoidal threads are turned, in pitches (practice)."""
OVERSIZE = 0.3
"""How far over the class's greatest bore makers are found, in tolerances: drills cut large (practice)."""
SAME_LEAF_MM = 1e-4
NEARLY = 0.05
"""Weight of a leaf that only nearly fits being called the one (practice)."""
SAID_TO_FIT = 0.9
"""How often a leaf of the thread's own pitch is said to fit, and not only nearly (practice)."""
FLOOR = 1e-9
"""Nothing is quite impossible: gauges slip, and people mistype."""
_TAPER_SEEN, _TAPER_IMAGINED = 0.9, 0.04
MATE_UNKNOWN = 1 / len(GOES)
"""Chance of each outcome with a mate whose sizes cannot be laid over the part's."""
MARKED_OTHERWISE = 0.1
"""Weight of a family against the one that a marking names (practice)."""
_ROOT_TWO, _ROOT_TAU = math.sqrt(2), math.sqrt(math.tau)
_BAND_TO_SIGMA = 1 / math.sqrt(12)
"""Standard deviation of an even spread over a band, per width of the band."""


@cache
def leaves_mm() -> tuple[float, ...]:
    """Pitches of the leaves of the usual sets, in millimetres."""
    rows = load("pitch_leaves").rows
    return tuple(
        MM_PER_INCH / float(row.number("value")) if row.text("kind") == "tpi" else float(row.number("value"))
        for row in rows
    )


def _sits(leaf_mm: float, pitch_mm: float) -> float:
    """How well a leaf sits on a thread: about 1 when they are alike, falling with their relative difference.

    Soon, to a person with good light and a long thread; slowly for the few turns that most people try it on.
    """
    off = leaf_mm / pitch_mm - 1
    return math.exp(-0.5 * (off / LEAF_SHARE) ** 2) + NEARLY * math.exp(-0.5 * (off / NEARLY_SHARE) ** 2)


@cache
def _all_leaves(pitch_mm: float) -> float:
    return sum(_sits(leaf, pitch_mm) for leaf in leaves_mm())


@lru_cache(maxsize=8192)
def leaf_chance(pitch_mm: float, leaf_mm: float) -> float:
    """Chance that of all leaves the one of `leaf_mm` is said to fit a thread of `pitch_mm`.

    A thread between two leaves gets the nearer one: 2 BA, 0.81 mm, is called 0.8.
    """
    sits, whole = _sits(leaf_mm, pitch_mm), _all_leaves(pitch_mm)
    if not any(abs(leaf_mm - leaf) < SAME_LEAF_MM for leaf in leaves_mm()):
        whole += sits
    return sits / whole if whole > 0 else 0.0


def _about(leaf_mm: float, pitch_mm: float, share: float) -> float:
    return math.exp(-0.5 * ((leaf_mm / pitch_mm - 1) / share) ** 2)


@lru_cache(maxsize=8192)
def nearly_chance(pitch_mm: float, leaf_mm: float) -> float:
    """Chance that the leaf of `leaf_mm` is called the nearest to a thread of `pitch_mm`, and none is said to fit.

    Seldom where a leaf of its own pitch is in the set: a 10-32 is not told of as nearly 0.8.
    """
    leaves = leaves_mm()
    own = max(_about(leaf, pitch_mm, LEAF_SHARE) for leaf in leaves)
    whole = sum(_about(leaf, pitch_mm, NEARLY_SHARE) for leaf in leaves)
    return (1 - SAID_TO_FIT * own) * _about(leaf_mm, pitch_mm, NEARLY_SHARE) / max(whole, FLOOR)


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
        undercut = 0.0 if thread.family == "bsp" else UNDERCUT
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
        thread, *crest, *bore, thread.pitch_mm, thread.form.angle_deg, thread.taper > 0,
        outside=has_external(thread) or thread.single_point or thread.series in ("R", "NPT", "NPSM"),
        inside=thread.series != "R",
    )  # fmt: skip


@cache
def models() -> tuple[Model, ...]:
    """Every thread of the library, as evidence sees it."""
    return tuple(_model(thread) for thread in library())


def _form_of(thread: Thread) -> tuple[object, ...]:
    """What two names of one thread have in common; pipe threads are told apart by what they are for."""
    kind = thread.series if thread.family in ("bsp", "npt") else thread.form.name
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


def normal_density(x: float, sigma: float) -> float:
    """Density of a normal of standard deviation `sigma` at `x` from its centre: all in one unit, the density per it."""
    return math.exp(-0.5 * (x / sigma) ** 2) / (sigma * _ROOT_TAU)


def _worn_density(centre_mm: float, sigma_mm: float, wear_mm: float, reading_mm: float) -> float:
    """Density of a reading: a normal about the crest as made, less an exponential wear of `wear_mm` on average."""
    rate = 1 / wear_mm
    x = centre_mm - reading_mm
    argument = (rate * sigma_mm * sigma_mm - x) / (sigma_mm * _ROOT_TWO)
    if argument > 12:
        return normal_density(x - wear_mm, math.hypot(sigma_mm, wear_mm))  # wear is lost in the spread
    exponent = rate / 2 * (rate * sigma_mm * sigma_mm - 2 * x)
    return rate / 2 * math.exp(min(exponent, 300.0)) * math.erfc(argument)


def crest_density(model: Model, reading_mm: float, sigma_mm: float, wear_mm: float) -> float:
    """Density per millimetre of reading `reading_mm` over the crests, +- `sigma_mm`, worn `wear_mm` on average.

    The crest as made is spread over its bands, each taken as a normal of the same spread; wear falls off exponentially.
    A few specimens are worn far more than they were said to be.
    """
    density = 0.0
    for share, centre, spread in model.crests:
        sigma = math.hypot(spread, sigma_mm)
        usual = _worn_density(centre, sigma, wear_mm, reading_mm)
        more = _worn_density(centre, sigma, FAR_WORN * wear_mm, reading_mm)
        density += share * ((1 - FAR_WORN_SHARE) * usual + FAR_WORN_SHARE * more)
    return density


def bore_density(model: Model, reading_mm: float, sigma_mm: float) -> float:
    """Density per millimetre of a bore reading `reading_mm`, +- `sigma_mm`."""
    centre, spread = model.bore
    return normal_density(reading_mm - centre, math.hypot(spread, sigma_mm))


def outside_density(model: Model, readings: tuple[Measured, ...], worn: Worn) -> float:
    """Density of all outside readings: the largest tells the size, the spread tells a taper."""
    largest = max(readings, key=lambda m: m.mm)
    density = crest_density(model, largest.mm, largest.sigma_mm, WEAR_MM[worn])
    if len(readings) > 1:
        spread = largest.mm - min(m.mm for m in readings)
        scale = 0.6 if model.tapered else 0.03 + WEAR_MM[worn]
        density *= math.exp(-spread / scale) / scale
    return density


@cache
def _angle_leaves() -> dict[tuple[float, str], float]:
    """Chance that a flank-angle leaf is said to fit, by (true angle, leaf)."""
    rows = load("angle_leaves").rows
    return {(float(row.number("angle")), row.text("leaf")): float(row.number("chance")) for row in rows}


def angle_chance(model: Model, said: Angle) -> float:
    """Chance that the leaf of `said` degrees is found to fit, or, with "not-", is found not to."""
    if said.startswith("not-"):
        return 1 - _angle_leaves()[(model.angle, said.removeprefix("not-"))]
    return _angle_leaves()[(model.angle, said)]


def taper_chance(model: Model, said: Answer) -> float:
    """Chance that a taper is seen, or is not."""
    seen = _TAPER_SEEN if model.tapered else _TAPER_IMAGINED
    return seen if said == "yes" else 1 - seen


@cache
def _verdict(bolt: Thread, nut: Thread) -> str:
    return mate(bolt, nut).verdict


@cache
def _mate_outcomes() -> dict[tuple[str, str], float]:
    """Chance of what happens with a mate, by (verdict of `mate`, what happens)."""
    rows = load("mate_outcomes").rows
    return {(row.text("verdict"), goes): float(row.number(goes)) for row in rows for goes in GOES}


def mate_chance(model: Model, tried: Called, goes: Goes, *, part_is_nut: bool) -> float:
    """Chance that a mate of the thread tried goes as it did; even where it cannot be laid over."""
    bolt, nut = (tried.thread, model.thread) if part_is_nut else (model.thread, tried.thread)
    if external_limits(bolt) is None or internal_limits(nut) is None:
        return MATE_UNKNOWN
    return _mate_outcomes()[(_verdict(bolt, nut), goes)]


@cache
def _marks() -> tuple[tuple[str, str], ...]:
    return tuple((row.text("family"), row.text("mark")) for row in load("markings").rows)


def marking_chance(model: Model, marking: str) -> float:
    """How a marking weighs on a family: ten to one for the family it names, even otherwise."""
    text = marking.lower()
    named = {family for family, mark in _marks() if mark in text}
    if not named:
        return 1.0
    return 1.0 if model.thread.family in named else MARKED_OTHERWISE


def factors(model: Model, evidence: Evidence) -> dict[str, float]:
    """Likelihood of each piece of evidence but the mate, by name."""
    out: dict[str, float] = {}
    if evidence.outside:
        out["outside"] = outside_density(model, evidence.outside, evidence.worn)
    if evidence.bore is not None:
        out["bore"] = bore_density(model, evidence.bore.mm, evidence.bore.sigma_mm)
    if evidence.leaf is not None:
        chance = nearly_chance if evidence.leaf_nearly else leaf_chance
        out["leaf"] = chance(model.pitch, evidence.leaf.mm)
    if evidence.counted is not None:
        out["counted"] = normal_density(model.pitch - evidence.counted.mm, evidence.counted.sigma_mm)
    if evidence.angle is not None:
        out["angle"] = angle_chance(model, evidence.angle)
    if evidence.taper is not None:
        out["taper"] = taper_chance(model, evidence.taper)
    if evidence.marking:
        out["marking"] = marking_chance(model, evidence.marking)
    return out
