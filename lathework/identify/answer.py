"""The whole answer: evidence read, the library ranked, the next question, the nearest lookalike."""

from __future__ import annotations

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from lathework.errors import InputError, InvalidDocument
from lathework.identify.evidence import Evidence
from lathework.identify.question import INSTRUMENTS, Instrument, Next, next_step
from lathework.identify.rank import Ranking, rank
from lathework.identify.reading import read_evidence
from lathework.threads.library import library
from lathework.threads.mating import Mating, mate
from lathework.threads.thread import Thread
from lathework.units import show_both

NAMED = re.compile(r"\s*(?:inches|inch|in\.?|\"|″)$", re.IGNORECASE)
ALIVE = 0.005
"""Probability from which a second candidate is worth laying beside the first."""


@dataclass(frozen=True, slots=True)
class Identified:
    """What the evidence says: ranking, next step, and what happens if the second candidate is taken for the first.

    `remarks` are what must be said of the evidence itself. `lookalike` lays the second over the first where both have
    limits; `mistake` tells the consequence, "" when there is no second candidate worth naming.
    """

    evidence: Evidence
    ranking: Ranking
    next: Next
    mistake: str
    lookalike: Mating | None
    remarks: tuple[str, ...] = ()


def _remarks(evidence: Evidence) -> Iterator[str]:
    """Readings that look like the name of a pipe size: no caliper reads a fraction."""
    pipes = {t.plain_name.removeprefix("G"): t for t in library() if t.series == "G"}
    for reading in evidence.outside:
        named = pipes.get(NAMED.sub("", reading.typed).strip()) if "/" in reading.typed else None
        if named is not None:
            inch, mm = show_both(named.major_mm, "mm", fine=True)
            yield (
                f"{reading.typed} looks like a nominal size. If it is a pipe size, {named.designation} "
                f"measures {inch} in ({mm} mm) over the crests. Type the caliper reading."
            )


def _second(ranking: Ranking) -> Thread | None:
    """The second candidate, when it is likely enough to be worth naming."""
    if len(ranking.candidates) < 2 or ranking.candidates[1].probability < ALIVE:
        return None
    return ranking.candidates[1].thread


def _mistake(first: Thread, second: Thread, lookalike: Mating | None) -> str:
    """What would happen if one were taken for the other."""
    if lookalike is not None:
        return lookalike.sentence
    if "npt" in (first.family, second.family) and "bsp" in (first.family, second.family):
        return f"{first.designation} and {second.designation} start in each other but do not seal: the joint leaks."
    if bool(first.taper) != bool(second.taper):
        sealing, plain = (first, second) if first.taper else (second, first)
        return (
            f"{sealing.designation} seals on its taper and {plain.designation} does not: if they are mixed "
            "up, the joint leaks."
        )
    return f"{first.designation} and {second.designation} are not made to fit each other."


def _lookalike(ranking: Ranking) -> Mating | None:
    """A nut of the second candidate on a bolt of the first: what happens if one is taken for the other."""
    second = _second(ranking)
    if second is None:
        return None
    try:
        return mate(ranking.candidates[0].thread, second)
    except InputError:
        return None


def _owned(names: tuple[str, ...] | None) -> tuple[Instrument, ...]:
    if names is None:
        return INSTRUMENTS
    wrong = [name for name in names if name not in INSTRUMENTS]
    if wrong:
        told = f"Instruments are {', '.join(INSTRUMENTS)}."
        raise InvalidDocument((InputError("unknown-choice", "owned", told, INSTRUMENTS),))
    return tuple(name for name in INSTRUMENTS if name in names)


def identify(
    typed: Mapping[str, object],
    owned: tuple[str, ...] | None = None,
    shares: Mapping[str, object] | None = None,
) -> Identified:
    """Identify a thread from evidence as typed (`evidence.FIELDS`), asking only for instruments `owned` (None: all).

    `shares` overrule how often a series is met, in per cent as typed.

    Raises InvalidDocument with every field that cannot be used, and with contradictions.
    """
    instruments = _owned(owned)
    evidence = read_evidence(typed, shares)
    ranking = rank(evidence)
    second, lookalike = _second(ranking), _lookalike(ranking)
    mistake = _mistake(ranking.candidates[0].thread, second, lookalike) if second else ""
    step = next_step(ranking, evidence, instruments)
    return Identified(evidence, ranking, step, mistake, lookalike, tuple(_remarks(evidence)))
