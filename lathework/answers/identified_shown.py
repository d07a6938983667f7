"""What a thread may be, for a screen and for the command line."""

from __future__ import annotations

from dataclasses import replace
from typing import Literal

from lathework.answers.book.mating_shown import MatingShown, mating_shown
from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.values import Shown, length_shown
from lathework.drawing.profile.measures import measures
from lathework.identify.answer import Identified
from lathework.identify.priors import series_weights
from lathework.identify.question import Question
from lathework.identify.rank import Candidate, Reason
from lathework.threads.families import SERIES, series_name
from lathework.threads.thread import Family, Thread
from lathework.units import MM_PER_INCH, BothUnits, show_number

Speaks = Literal["for", "against", "either way"]
HARDLY = 1.3
"""Odds nearer to even than this are told as saying nothing (practice)."""
MOST_ODDS = 100
"""Odds beyond this are told as more than it (practice)."""


@answer
class ReasonShown:
    """A piece of evidence on a candidate: which way it speaks, and how strongly in words."""

    evidence: str
    measured: str
    expected: BothUnits
    times: float
    speaks: Speaks
    strength: str


@answer
class CandidateShown:
    """A thread it may be; `pitches` is its pitch both ways, by the inch and in millimetres, its own first."""

    designation: str
    also: tuple[str, ...]
    probability: float
    family: Family
    series: str
    angle_deg: float
    tpi: float | None
    major: Shown
    pitch: Shown
    pitches: str
    notes: tuple[str, ...]
    reasons: tuple[ReasonShown, ...]


@answer
class NextShown:
    """The next step in a sentence, with its question when there is one."""

    sentence: str
    question: Question | None


@answer
class PriorShown:
    """How often a series is met, where and in what the machine is."""

    series: str
    name: str
    share: float


@answer
class IdentifiedShown:
    """Candidates, best first, and what to do next; `measures` shows where to measure while nothing is known."""

    candidates: tuple[CandidateShown, ...]
    none_of_these: float
    specials: tuple[str, ...]
    settled: bool
    next: NextShown
    priors: tuple[PriorShown, ...]
    mistake: str
    remarks: tuple[str, ...]
    lookalike: MatingShown | None
    measures: SheetShown | None


def _strength(times: float) -> tuple[Speaks, str]:
    """Which way odds of `times` to 1 speak, and the odds in words; those near even say nothing."""
    if 1 / HARDLY <= times <= HARDLY:
        return "either way", ""
    odds = max(times, 1 / times) if times > 0 else MOST_ODDS + 1
    told = f"over {MOST_ODDS}" if odds > MOST_ODDS else f"{odds:.2g}"
    return ("for" if times > 1 else "against"), f"{told} to 1"


def _pitches(thread: Thread) -> str:
    """A pitch as it is called, and what the other kind of gauge would read."""
    long = show_number(thread.pitch_mm, 3).rstrip("0").rstrip(".")
    if thread.tpi:
        return f"{thread.tpi:g} threads per inch ({long} mm)"
    return f"pitch {long} mm ({MM_PER_INCH / thread.pitch_mm:.1f} per inch)"


def _reason(reason: Reason) -> ReasonShown:
    speaks, strength = _strength(reason.times)
    return ReasonShown(
        reason.evidence, reason.measured, reason.expected, float(f"{reason.times:.3g}"), speaks, strength
    )


def _candidate(candidate: Candidate) -> CandidateShown:
    thread = candidate.thread
    return CandidateShown(
        designation=thread.designation,
        also=candidate.also,
        probability=round(candidate.probability, 4),
        family=thread.family,
        series=series_name(thread),
        angle_deg=thread.form.angle_deg,
        tpi=thread.tpi,
        major=length_shown(thread.major_mm),
        pitch=length_shown(thread.pitch_mm),
        pitches=_pitches(thread),
        notes=thread.notes,
        reasons=tuple(_reason(reason) for reason in candidate.reasons),
    )


def identified_shown(identified: Identified, *, drawing: bool = True) -> IdentifiedShown:
    """The ranking, best first; what to do next; the lookalike, with its drawing unless left out."""
    evidence, ranking, question = identified.evidence, identified.ranking, identified.next.question
    weights = series_weights(evidence.origin, evidence.trade, evidence.shares)
    return IdentifiedShown(
        candidates=tuple(_candidate(candidate) for candidate in ranking.candidates),
        none_of_these=round(ranking.none_of_these, 4),
        specials=ranking.specials,
        settled=ranking.settled,
        next=NextShown(
            identified.next.sentence, replace(question, gain_bits=round(question.gain_bits, 3)) if question else None
        ),
        priors=tuple(
            PriorShown(series, SERIES[series].name, round(share, 4))
            for series, share in sorted(weights.items(), key=lambda weight: -weight[1])
        ),
        mistake=identified.mistake,
        remarks=identified.remarks,
        lookalike=mating_shown(identified.lookalike) if identified.lookalike and drawing else None,
        measures=sheet_shown(measures()) if evidence.nothing and drawing else None,
    )
