"""A Bayesian ranking of the whole library by the evidence, with what speaks for and against each candidate."""

from __future__ import annotations

import math
from dataclasses import dataclass

from lathework.identify.evidence import Evidence, Goes
from lathework.identify.leaf import FLOOR, leaves_mm
from lathework.identify.likelihood import MATE_UNKNOWN, factors, mate_chance
from lathework.identify.model import Model, also_called, models
from lathework.identify.priors import none_share, prior
from lathework.threads.designation import Called
from lathework.threads.designation.suffix import Suffix, apply
from lathework.threads.series import trim
from lathework.threads.thread import Thread
from lathework.units import MM_PER_INCH, BothUnits, show_both

SHOWN = 8
"""Candidates told."""
KEPT = 40
"""Candidates that further evidence (a mate, the next question) is worked out for."""
SETTLED = 0.95
NONE_NEARLY = 0.5
"""How many threads of no table a leaf is said to fit only nearly (practice)."""
SPECIAL_SIZES_MM = 80.0
SPECIAL_PITCH_SPAN = 3.0
"""Breadth over which a thread of no table is spread: diameters in millimetres, pitches in natural logarithms."""

Scored = tuple[Model, float, dict[str, float]]
"""A thread with its weight, and the likelihood of each piece of evidence under it."""


@dataclass(frozen=True, slots=True)
class Reason:
    """One piece of evidence on a candidate: measured and expected in words, and how many times it speaks for it.

    `times` over 1 speaks for the candidate, under 1 against, measured against the average of all that is possible.
    """

    evidence: str
    measured: str
    expected: BothUnits
    times: float


@dataclass(frozen=True, slots=True)
class Candidate:
    """A thread it may be, how probable, and why; `also` are other names of the same thread."""

    thread: Thread
    probability: float
    reasons: tuple[Reason, ...]
    also: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class Ranking:
    """Candidates, best first; the probability that no table holds the thread; and the belief behind the next question.

    `belief` is the models still in play with their probabilities, summing to at most 1.
    """

    candidates: tuple[Candidate, ...]
    none_of_these: float
    specials: tuple[str, ...]
    belief: tuple[tuple[Model, float], ...]

    @property
    def settled(self) -> bool:
        """Whether the first candidate is certain enough to go on with."""
        return bool(self.candidates) and self.candidates[0].probability >= SETTLED


def part_is_nut(evidence: Evidence) -> bool:
    """A bore without an outside is a nut's."""
    return evidence.bore is not None and not evidence.outside


def _none_likelihood(evidence: Evidence) -> dict[str, float]:
    """Likelihood of each piece of evidence under a thread that no table holds: spread evenly."""
    out: dict[str, float] = {}
    if evidence.outside:
        out["outside"] = (1 / SPECIAL_SIZES_MM) ** min(len(evidence.outside), 2)
    if evidence.bore is not None:
        out["bore"] = 1 / SPECIAL_SIZES_MM
    if evidence.leaf is not None:
        out["leaf"] = (NONE_NEARLY if evidence.leaf_nearly else 1 - NONE_NEARLY) / len(leaves_mm())
    if evidence.counted is not None:
        out["counted"] = 1 / (evidence.counted.mm * SPECIAL_PITCH_SPAN)
    for name, said in (("angle", evidence.angle), ("taper", evidence.taper), ("marking", evidence.marking)):
        if said:
            out[name] = 1 / 3 if name == "angle" else 1 / 2
    if evidence.mate is not None and evidence.goes is not None:
        out["mate"] = MATE_UNKNOWN
    return out


def _span(low_mm: float, high_mm: float, words: str = "") -> BothUnits:
    (low_in, low), (high_in, high) = show_both(low_mm, "mm"), show_both(high_mm, "mm")
    return BothUnits(f"{low_in} to {high_in} in{words}", f"{low} to {high} mm{words}")


def _expected(model: Model, name: str) -> BothUnits:
    thread = model.thread
    if name == "outside":
        return _span(model.crest_low, model.crest_high, " over the crests")
    if name == "bore":
        return _span(model.bore_low, model.bore_high)
    if name in ("leaf", "counted"):
        count = f", {trim(thread.tpi)} threads per inch" if thread.tpi else ""
        inch, mm = show_both(model.pitch, "mm")
        return BothUnits(f"{inch} in{count}", f"{mm} mm{count}")
    if name == "angle":
        words = f"{model.angle:g} degrees"
    elif name == "taper":
        words = "1 in 16" if model.tapered else "parallel"
    elif name == "mate":
        words = "by the sizes of both"
    else:
        words = thread.form.name
    return BothUnits(words, words)


def _angle_words(said: str | None) -> str:
    if said is None:
        return ""
    return f"the {said.removeprefix('not-')} degree gauge {'does not fit' if said.startswith('not-') else 'fits'}"


def _measured(name: str, evidence: Evidence) -> str:
    if name == "outside":
        return ", ".join(m.typed for m in evidence.outside)
    if name in ("leaf", "counted", "bore"):
        measured = {"leaf": evidence.leaf, "counted": evidence.counted, "bore": evidence.bore}[name]
        return measured.typed if measured else ""
    if name == "mate" and evidence.mate is not None and evidence.goes is not None:
        return f"{evidence.mate.thread.designation}: {evidence.goes.replace('-', ' ')}"
    return {
        "angle": _angle_words(evidence.angle),
        "taper": f"taper: {evidence.taper}",
        "marking": evidence.marking,
    }.get(name, "")


def _with_mate(scored: list[Scored], mate: Called, goes: Goes, *, nut: bool) -> list[Scored]:
    """Weigh the mate in, for the candidates still in play only: laying two threads over each other costs time."""
    out = []
    for at, (model, weight, found) in enumerate(scored):
        chance = mate_chance(model, mate, goes, part_is_nut=nut) if at < KEPT else MATE_UNKNOWN
        out.append((model, weight * chance, found | {"mate": chance}))
    return sorted(out, key=lambda s: -s[1])


def _scored(evidence: Evidence) -> list[Scored]:
    """Every thread of the library that the part could be, the weightiest first."""
    weights, nut = prior(evidence.origin, evidence.trade, evidence.shares), part_is_nut(evidence)
    scored: list[Scored] = []
    for model in models():
        if not (model.inside if nut else model.outside):
            continue
        found = factors(model, evidence)
        likelihood = math.prod(max(value, FLOOR) for value in found.values())
        scored.append((model, weights[model.thread.designation] * likelihood, found))
    scored.sort(key=lambda s: -s[1])
    scored = _one_of_each(scored)
    if evidence.mate is None or evidence.goes is None:
        return scored
    return _with_mate(scored, evidence.mate, evidence.goes, nut=nut)


def _one_of_each(scored: list[Scored]) -> list[Scored]:
    """Threads of several names once, under the likeliest, with the weight of all."""
    names, weights = also_called(), {model.thread.designation: weight for model, weight, _ in scored}
    out: list[Scored] = []
    taken: set[str] = set()
    for model, weight, found in scored:
        own = model.thread.designation
        if own in taken:
            continue
        others = names.get(own, ())
        taken.update(others)
        out.append((model, weight + math.fsum(weights.get(other, 0.0) for other in others), found))
    return sorted(out, key=lambda s: -s[1])


def _specials(evidence: Evidence) -> tuple[str, ...]:
    """Designations of special threads that would fit: the measured diameter on the measured pitch."""
    pitch = evidence.leaf or evidence.counted
    if not evidence.outside or pitch is None:
        return ()
    mm = max(m.mm for m in evidence.outside)
    return (
        f"M{mm:.1f}x{round(pitch.mm * 20) / 20:g} special",
        f"{mm / MM_PER_INCH:.3f}-{round(MM_PER_INCH / pitch.mm)} UNS",
        f"{mm / MM_PER_INCH:.3f}-{round(MM_PER_INCH / pitch.mm)} Whitworth special",
    )


def _handed(thread: Thread, evidence: Evidence) -> Thread:
    return apply(thread, Suffix("", "", left=True, starts=1)) if evidence.hand == "left" else thread


def _candidate(scored: Scored, whole: float, averages: dict[str, float], evidence: Evidence) -> Candidate:
    model, weight, found = scored
    reasons = tuple(
        Reason(name, _measured(name, evidence), _expected(model, name), value / averages[name])
        for name, value in found.items()
    )
    also = also_called().get(model.thread.designation, ())
    return Candidate(_handed(model.thread, evidence), weight / whole, reasons, also)


def rank(evidence: Evidence) -> Ranking:
    """Rank every thread of the library by `evidence`.

    Posterior = prior x likelihood of each piece of evidence, each measurement with its instrument's uncertainty, the
    crest spread over its class limits, undercut and worn. Source: Bayes; spreads by practice.
    """
    scored = _scored(evidence)
    none_factors = _none_likelihood(evidence)
    none = none_share(evidence.trade) * math.prod(none_factors.values())
    whole = math.fsum(weight for _, weight, _ in scored) + none
    kept = scored[:KEPT]
    averages = _averages(kept, none_factors)
    candidates = tuple(_candidate(one, whole, averages, evidence) for one in kept[:SHOWN])
    belief = tuple((model, weight / whole) for model, weight, _ in kept)
    return Ranking(candidates, none / whole, _specials(evidence), belief)


def _averages(kept: list[Scored], none: dict[str, float]) -> dict[str, float]:
    """The average likelihood of each piece of evidence over what is in play, one vote each."""
    out: dict[str, float] = {}
    for name in kept[0][2]:
        values = [max(found[name], FLOOR) for _, _, found in kept]
        out[name] = (math.fsum(values) + none[name]) / (len(values) + 1)
    return out
