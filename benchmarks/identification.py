"""How well and how quickly threads are identified, on made-up specimens."""

from __future__ import annotations

import time
from statistics import mean, median

from lathework.identify.rank import rank
from lathework.identify.reading import read_evidence
from lathework.threads.library import library
from tests.simulation.interview import interview
from tests.simulation.specimens import Specimen, specimens

COUNT, SEED = 2000, 20
INTERVIEWS, INTERVIEW_SEED = 150, 4
FOREIGN, FOREIGN_SEED, SURE = 400, 21, 0.95


def _foreign() -> dict[str, float]:
    """Of threads told for at least 95 per cent by the leaves of the other system, how many are right; and by the rule
    of a machinist, the standard thread whose pitch and diameter lie nearest."""
    right = told = near = 0
    for specimen in specimens(FOREIGN, FOREIGN_SEED):
        candidates = rank(read_evidence(specimen.typed(foreign=True))).candidates
        if candidates[0].probability >= SURE:
            told += 1
            right += candidates[0].thread.designation == specimen.thread.designation
        near += _nearest(specimen) == specimen.thread.designation
    return {
        "identify_foreign_told_right": round(right / told, 3),
        "identify_foreign_nearest_right": round(near / FOREIGN, 3),
    }


def _nearest(specimen: Specimen) -> str:
    """The standard thread that is nearest to the leaf and the caliper, both as shares."""
    evidence = read_evidence(specimen.typed(foreign=True))
    outside, leaf = evidence.outside, evidence.leaf
    if not outside or leaf is None:
        return ""
    size, pitch = outside[0].mm, leaf.mm
    near = min(library(), key=lambda one: abs(one.major_mm / size - 1) + abs(one.pitch_mm / pitch - 1))
    return near.designation


def identification() -> dict[str, float]:
    """Shares of specimens whose thread is first and among three, calibration at 90 per cent, questions, time."""
    first = third = 0
    near_ninety: list[bool] = []
    times: list[float] = []
    for specimen in specimens(COUNT, SEED):
        begun = time.perf_counter()
        ranking = rank(read_evidence(specimen.typed()))
        times.append(time.perf_counter() - begun)
        names = [candidate.thread.designation for candidate in ranking.candidates]
        right = names[0] == specimen.thread.designation
        first += right
        third += specimen.thread.designation in names[:3]
        if 0.85 <= ranking.candidates[0].probability < 0.95:
            near_ninety.append(right)
    made = specimens(INTERVIEWS, INTERVIEW_SEED)
    asked, fixed = (
        mean(interview(specimen, number, fixed=in_order).measurements for number, specimen in enumerate(made))
        for in_order in (False, True)
    )
    return {
        "identify_first": round(first / COUNT, 4),
        "identify_first_three": round(third / COUNT, 4),
        "identify_right_at_90": round(mean(near_ninety), 3),
        **_foreign(),
        "identify_asked_over_fixed": round(asked / fixed, 3),
        "identify_rank_ms": round(median(times) * 1000, 2),
    }
