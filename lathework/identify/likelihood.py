"""How well a thread explains each piece of evidence: densities per millimetre, and chances of an answer."""

from __future__ import annotations

import math
from functools import cache

from lathework.identify.evidence import GOES, MISCOUNTED, MISCOUNTED_WIDER, Angle, Evidence, Goes, Measured, Worn, YesNo
from lathework.identify.leaf import leaf_chance, nearly_chance
from lathework.identify.model import Model
from lathework.tables.loader import load
from lathework.threads.designation import Called
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.mating import mate
from lathework.threads.thread import Thread

WEAR_MM: dict[Worn, float] = {"new": 0.01, "some": 0.025, "badly": 0.15}
"""Mean wear of a crest, on the diameter; few are worn much, so it falls off exponentially (practice)."""
FAR_WORN, FAR_WORN_SHARE, WORN_PITCHES = 6.0, 0.06, 0.06
"""How many times more worn than said some are, and how many are; and the most that is in the mean, in pitches: past
that the crest is gone (practice)."""
_TAPER_SEEN, _TAPER_IMAGINED = 0.9, 0.04
MATE_UNKNOWN = 1 / len(GOES)
"""Chance of each outcome with a mate whose sizes cannot be laid over the part's."""
MARKED_OTHERWISE = 0.1
"""Weight of a family against the one that a marking names (practice)."""
_ROOT_TWO, _ROOT_TAU = math.sqrt(2), math.sqrt(math.tau)


def normal_density(x: float, sigma: float) -> float:
    """Density of a normal of standard deviation `sigma` at `x` from its centre: all in one unit, the density per it."""
    return math.exp(-0.5 * (x / sigma) ** 2) / (sigma * _ROOT_TAU)


def counted_density(pitch_mm: float, counted_mm: float, sigma_mm: float) -> float:
    """Density of a pitch counted over a length, of a thread of `pitch_mm` (all in millimetres): mostly as near as the
    rule is, now and then off by part of a thread. So 18.9 over an inch is 19, and 18 is not ruled out."""
    off = pitch_mm - counted_mm
    plainly = normal_density(off, sigma_mm)
    return (1 - MISCOUNTED) * plainly + MISCOUNTED * normal_density(off, MISCOUNTED_WIDER * sigma_mm)


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
        # Of a taper nobody knows where along it was measured: that is more than its crests wear.
        most_mm = math.inf if model.tapered else WORN_PITCHES * model.pitch
        far_mm = max(wear_mm, min(FAR_WORN * wear_mm, most_mm))
        more = _worn_density(centre, sigma, far_mm, reading_mm)
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


@cache
def _leaf_fits(angle_deg: float, leaf: str) -> float:
    """Chance that a leaf is said to fit flanks of so many degrees: as tabulated, in proportion between two angles that
    are."""
    known = sorted({angle for angle, _ in _angle_leaves()})
    under = max((angle for angle in known if angle <= angle_deg), default=known[0])
    over = min((angle for angle in known if angle >= angle_deg), default=known[-1])
    share = (angle_deg - under) / (over - under) if over > under else 0.0
    return (1 - share) * _angle_leaves()[under, leaf] + share * _angle_leaves()[over, leaf]


def angle_chance(model: Model, said: Angle) -> float:
    """Chance that the leaf of `said` degrees is found to fit, or, with "not-", is found not to."""
    if said.startswith("not-"):
        return 1 - _leaf_fits(model.angle, said.removeprefix("not-"))
    return _leaf_fits(model.angle, said)


def taper_chance(model: Model, said: YesNo) -> float:
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
        out["counted"] = counted_density(model.pitch, evidence.counted.mm, evidence.counted.sigma_mm)
    if evidence.angle is not None:
        out["angle"] = angle_chance(model, evidence.angle)
    if evidence.taper is not None:
        out["taper"] = taper_chance(model, evidence.taper)
    if evidence.marking:
        out["marking"] = marking_chance(model, evidence.marking)
    return out
