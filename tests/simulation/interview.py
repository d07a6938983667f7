"""Identifying a specimen by asking: the next best question against a fixed order, measurement by measurement."""

from __future__ import annotations

import random
from dataclasses import dataclass

from lathework.errors import InvalidDocument
from lathework.identify.question import Ask, Question, next_step
from lathework.identify.rank import SETTLED, Candidate, rank
from lathework.identify.reading import read_evidence
from lathework.threads.designation import read_designation
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.mating import mate
from lathework.threads.thread import Thread
from tests.simulation.specimens import Specimen

#: The order of a handbook's list: diameter, taper, flank angle, a count over a rule, a leaf, a mate.
FIXED: tuple[Ask, ...] = ("outside", "taper", "angle", "counted", "leaf", "mate")
RULE_MM, ANGLE_RIGHT, TAPER_RIGHT = 0.12, 0.87, 0.93
GOES = {
    "fits": "all-the-way",
    "goes-on": "all-the-way",
    "binds": "few-turns",
    "will-not-start": "will-not-start",
    "nothing-holds": "loose",
}


@dataclass(frozen=True, slots=True)
class Interview:
    """How many measurements were made, what was concluded, and whether it was right."""

    measurements: int
    settled: bool
    right: bool


def named(candidate: Candidate, thread: Thread) -> bool:
    """Whether a candidate is that thread, by any of its names."""
    return thread.designation in (candidate.thread.designation, *candidate.also)


def _answer(
    ask: Ask, question: Question | None, specimen: Specimen, best: str, chance: random.Random
) -> dict[str, str]:
    """What a person would type for one measurement of the specimen."""
    thread = specimen.thread
    if ask == "outside":
        return {"outside": f"{specimen.outside_mm:.2f} mm"}
    if ask == "leaf":
        return specimen.leaf
    if ask == "counted":
        count = question.count if question else 20
        return {"count": str(count), "over": f"{count * thread.pitch_mm + chance.gauss(0, RULE_MM):.1f} mm"}
    if ask == "angle":
        others = [a for a in ("60", "55") if a != f"{thread.form.angle_deg:g}"]
        return {"angle": f"{thread.form.angle_deg:g}" if chance.random() < ANGLE_RIGHT else chance.choice(others)}
    if ask == "taper":
        return {"taper": "yes" if (thread.taper > 0) == (chance.random() < TAPER_RIGHT) else "no"}
    tried = read_designation(question.mate if question else best)
    if external_limits(thread) is None or internal_limits(tried) is None:
        return {}
    return {"mate": tried.designation, "goes": GOES[mate(thread, tried).verdict]}


def interview(specimen: Specimen, seed: int, *, fixed: bool) -> Interview:
    """Ask until the first candidate is certain, or nothing more is worth asking."""
    chance = random.Random(seed)
    typed: dict[str, str] = {"origin": specimen.origin}
    asked: list[Ask] = []
    evidence = read_evidence(typed)
    ranking = rank(evidence)
    while len(asked) < len(FIXED):
        question = None
        if fixed:
            ask = FIXED[len(asked)]
        else:
            question = next_step(ranking, evidence).question
            if question is None:
                break
            ask = question.ask
        asked.append(ask)
        best = ranking.candidates[0].thread.designation
        told = typed | _answer(ask, question, specimen, best, chance)
        try:
            evidence = read_evidence(told)
        except InvalidDocument:
            continue  # a slip that contradicts the rest: pointed out, and left out
        typed = told
        ranking = rank(evidence)
        if ranking.settled:
            break
    return Interview(
        len(asked),
        ranking.candidates[0].probability >= SETTLED,
        named(ranking.candidates[0], specimen.thread),
    )
