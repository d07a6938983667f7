"""How well and how quickly threads are identified, on made-up specimens."""

from __future__ import annotations

import time
from statistics import mean, median

from lathework.identify.rank import rank
from lathework.identify.reading import read_evidence
from tests.simulation.interview import interview
from tests.simulation.specimens import specimens

COUNT, SEED = 2000, 20
INTERVIEWS, INTERVIEW_SEED = 150, 4


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
        "identify_asked_over_fixed": round(asked / fixed, 3),
        "identify_rank_ms": round(median(times) * 1000, 2),
    }
