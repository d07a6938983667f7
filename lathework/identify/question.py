"""The next best thing to measure: the one that is expected to settle most, and how to do it."""

from __future__ import annotations

import math
from collections.abc import Callable, Iterable
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.identify.evidence import (
    CALIPER_MM,
    GOES,
    RULE_MM,
    Angle,
    Evidence,
)
from lathework.identify.leaf import leaf_chance, leaves_mm
from lathework.identify.likelihood import (
    WEAR_MM,
    angle_chance,
    crest_density,
    mate_chance,
    normal_density,
    taper_chance,
)
from lathework.identify.model import Model
from lathework.identify.rank import Ranking, part_is_nut
from lathework.threads.designation import Called
from lathework.units import MM_PER_INCH

Ask = Literal["outside", "leaf", "counted", "angle", "taper", "mate"]
Instrument = Literal["caliper", "pitch-leaves", "rule", "angle-leaves", "mates"]
INSTRUMENTS: tuple[Instrument, ...] = get_args(Instrument)
WORTH_ASKING = 0.06
"""Bits under which no measurement is worth the trouble."""
IN_PLAY = 12
"""Candidates a question is worked out for."""
COUNTED = 20
_LEAVES: tuple[Angle, ...] = ("60", "55", "47.5")
_NODES = ((-math.sqrt(3), 1 / 6), (0.0, 2 / 3), (math.sqrt(3), 1 / 6))
"""Three-point Gauss-Hermite rule, in standard deviations."""

Belief = list[tuple[Model, float]]


@dataclass(frozen=True, slots=True)
class Question:
    """What to measure next: with what, how, what each answer would mean, and how many bits it is worth.

    `mate` is the thread to try, `count` the threads to count, where the question is of that kind.
    """

    ask: Ask
    instrument: Instrument
    how: str
    meanings: tuple[str, ...]
    gain_bits: float
    mate: str = ""
    count: int = 0


def _entropy(weights: Iterable[float]) -> float:
    values = list(weights)
    whole = math.fsum(values)
    if whole <= 0:
        return 0.0
    shares = [w / whole for w in values]
    return -math.fsum(share * math.log2(share) for share in shares if share > 0)


def _gain(belief: Belief, likelihoods: list[list[float]]) -> float:
    """Expected drop of entropy, in bits: rows are outcomes, columns the candidates' chances of each."""
    before = _entropy(p for _, p in belief)
    after = 0.0
    for row in likelihoods:
        joint = [p * chance for (_, p), chance in zip(belief, row, strict=True)]
        total = math.fsum(joint)
        if total > 0:
            after += total * _entropy(joint)
    return max(0.0, before - after)


def _spread(
    belief: Belief,
    centre: Callable[[Model], float],
    sigma: Callable[[Model], float],
    density: Callable[[Model, float], float],
) -> float:
    """Expected drop of entropy, in bits, of a measured value: each candidate's own readings weighed by all of them."""
    before, after = _entropy(p for _, p in belief), 0.0
    for model, p in belief:
        for node, share in _NODES:
            reading = centre(model) + node * sigma(model)
            after += p * share * _entropy([q * density(other, reading) for other, q in belief])
    return max(0.0, before - after)


def _names(models: Iterable[Model]) -> str:
    return " or ".join(dict.fromkeys(m.thread.designation for m in models))


def _leading(belief: Belief, key: Callable[[Model], object]) -> list[tuple[object, list[Model]]]:
    """The candidates in play grouped by what an answer would show, the likeliest group first; two groups at most."""
    groups: dict[object, list[Model]] = {}
    for model, _ in belief[:6]:
        groups.setdefault(key(model), []).append(model)
    return list(groups.items())[:2]


def _angle(belief: Belief) -> Question:
    gain = _gain(belief, [[angle_chance(m, said) for m, _ in belief] for said in _LEAVES])
    told = tuple(f"{angle:g} degrees means {_names(found)}" for angle, found in _leading(belief, lambda m: m.angle))
    how = "Hold the flank-angle gauge in the thread against the light, and see which blade leaves no gap."
    return Question("angle", "angle-leaves", how, told, gain)


def _taper(belief: Belief) -> Question:
    gain = _gain(belief, [[taper_chance(m, "yes") for m, _ in belief], [taper_chance(m, "no") for m, _ in belief]])
    told = tuple(
        f"{'larger toward the shank' if tapered else 'the same'} means {_names(found)}"
        for tapered, found in _leading(belief, lambda m: m.tapered)
    )
    return Question("taper", "caliper", "Measure over the crests at both ends of the thread.", told, gain)


def _leaf(belief: Belief) -> Question:
    near = sorted({min(leaves_mm(), key=lambda leaf: abs(leaf / m.pitch - 1)) for m, _ in belief})
    gain = _gain(belief, [[leaf_chance(m.pitch, leaf) for m, _ in belief] for leaf in near])
    told = tuple(
        f"{found[0].thread.tpi:g} threads per inch means {_names(found)}"
        if found[0].thread.tpi
        else f"{found[0].pitch:g} mm means {_names(found)}"
        for _, found in _leading(belief, lambda m: round(m.pitch, 3))
    )
    how = "Try pitch gauges until one fits with no light along its length."
    return Question("leaf", "pitch-leaves", how, told, gain)


def _counted(belief: Belief) -> Question:
    """Count threads over a rule: the error of the pitch falls as one over the count."""
    count = COUNTED if belief[0][0].pitch < 1.6 else COUNTED // 2
    sigma = RULE_MM / count
    gain = _spread(belief, lambda m: m.pitch, lambda _: sigma, lambda m, x: normal_density(m.pitch - x, sigma))
    told = tuple(
        f"{found[0].pitch * count:.1f} mm ({found[0].pitch * count / MM_PER_INCH:.3f} in) means {_names(found)}"
        for _, found in _leading(belief, lambda m: round(m.pitch, 3))
    )
    how = f"Count {count} threads over a rule, crest to crest."
    return Question("counted", "rule", how, told, gain, count=count)


def _outside(belief: Belief, evidence: Evidence) -> Question:
    wear = WEAR_MM[evidence.worn]

    def centre(model: Model) -> float:
        return model.crest[0] - wear

    def sigma(model: Model) -> float:
        return math.hypot(model.crest[1], CALIPER_MM, wear)

    gain = _spread(belief, centre, sigma, lambda m, x: crest_density(m, x, CALIPER_MM, wear))
    told = tuple(
        f"{m.crest_low:.2f} to {m.crest_high:.2f} mm ({m.crest_low / MM_PER_INCH:.3f} to "
        f"{m.crest_high / MM_PER_INCH:.3f} in) means {m.thread.designation}"
        for m, _ in belief[:2]
    )
    return Question("outside", "caliper", "Measure over the crests where they are least worn.", told, gain)


def _mate(belief: Belief, *, nut: bool) -> Question:
    """Try a mate of the likeliest thread, or of the next one that would tell more."""
    best, best_gain = belief[0][0], -1.0
    for tried, _ in belief[:3]:
        called = Called(tried.thread)
        rows = [[mate_chance(m, called, goes, part_is_nut=nut) for m, _ in belief] for goes in GOES]
        gain = _gain(belief, rows)
        if gain > best_gain:
            best, best_gain = tried, gain
    mate = "bolt" if nut else "nut"
    name = best.thread.designation
    told = (f"all the way means {name}", "binding after a few turns, or not starting, means another")
    return Question("mate", "mates", f"Try a {name} {mate} by hand. Never force it.", told, best_gain, mate=name)


def questions(
    ranking: Ranking, evidence: Evidence, owned: tuple[Instrument, ...] = INSTRUMENTS
) -> tuple[Question, ...]:
    """What could still be measured with the instruments owned, the most telling first, by expected gain in bits."""
    belief = [(model, p) for model, p in ranking.belief[:IN_PLAY] if p > 1e-6]
    if not belief:
        return ()
    whole = math.fsum(p for _, p in belief)
    belief = [(model, p / whole) for model, p in belief]
    nut = part_is_nut(evidence)
    asked = []
    if evidence.angle is None:
        asked.append(_angle(belief))
    if evidence.taper is None and not nut:
        asked.append(_taper(belief))
    if evidence.leaf is None:
        asked.append(_leaf(belief))
    if evidence.counted is None:
        asked.append(_counted(belief))
    if not evidence.outside and not nut:
        asked.append(_outside(belief, evidence))
    if evidence.mate is None:
        asked.append(_mate(belief, nut=nut))
    useful = [q for q in asked if q.instrument in owned and q.gain_bits >= WORTH_ASKING]
    return tuple(sorted(useful, key=lambda q: -q.gain_bits))


@dataclass(frozen=True, slots=True)
class Next:
    """What to do next: the best question, or why none is asked."""

    question: Question | None
    sentence: str


def next_step(ranking: Ranking, evidence: Evidence, owned: tuple[Instrument, ...] = INSTRUMENTS) -> Next:
    """The next best question, or that it is settled, or that only the mating part can settle it."""
    first = ranking.candidates[0].thread.designation
    if evidence.nothing:
        ask = Question(
            "outside",
            "caliper",
            "Measure over the crests where they are least worn.",
            ("For a nut, measure the bore instead",),
            0.0,
        )
        return Next(ask, "Start with the diameter.")
    if ranking.settled:
        return Next(None, f"Identified: {first}.")
    if ranking.none_of_these > 0.5:
        return Next(None, "No table lists such a thread. Measure again, or enter it as a special.")
    found = questions(ranking, evidence, owned)
    if found:
        return Next(found[0], found[0].how)
    if evidence.mate is None and "mates" not in owned:
        return Next(None, "No measurement can tell these apart. Try the mating part.")
    return Next(None, f"No further measurement helps: {first} is the most likely. Try the mating part.")
