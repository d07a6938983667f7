"""Identification tried on made-up specimens: first, in the first three, calibrated, and quicker by asking."""

from __future__ import annotations

import unittest
from functools import cache

from lathework.identify.rank import Ranking, rank
from lathework.identify.reading import read_evidence
from tests.long import draws
from tests.simulation.interview import interview, named
from tests.simulation.specimens import Specimen, specimens

COUNT, SEED = 2000, 20
FOREIGN = draws(150, 1200)
INTERVIEWS, INTERVIEW_SEED = draws(50, 150), 4


@cache
def ranked() -> tuple[tuple[Specimen, Ranking], ...]:
    """Every specimen with its ranking by diameter, leaf and origin; contradictions count as misses."""
    return tuple((specimen, rank(read_evidence(specimen.typed()))) for specimen in specimens(COUNT, SEED))


class Simulated(unittest.TestCase):
    def share(self, first: int) -> float:
        hits = sum(any(named(c, specimen.thread) for c in ranking.candidates[:first]) for specimen, ranking in ranked())
        return hits / COUNT

    def test_the_right_thread_is_first(self) -> None:
        self.assertGreaterEqual(self.share(1), 0.97)

    def test_the_right_thread_is_in_the_first_three(self) -> None:
        self.assertGreaterEqual(self.share(3), 0.995)

    def test_what_is_given_ninety_per_cent_is_right_that_often(self) -> None:
        """Of those given around 90 per cent, 85 to 95 in a hundred are right; of those given nearly one, nearly all."""
        for low, high, least, most in ((0.85, 0.95, 0.85, 0.95), (0.95, 1.01, 0.97, 1.0), (0.5, 0.85, 0.45, 0.95)):
            given = [
                named(ranking.candidates[0], specimen.thread)
                for specimen, ranking in ranked()
                if low <= ranking.candidates[0].probability < high
            ]
            with self.subTest(low=low, count=len(given)):
                self.assertGreater(len(given), 30)
                self.assertTrue(least <= sum(given) / len(given) <= most, sum(given) / len(given))

    def test_what_is_sure_by_the_leaves_of_the_other_system_is_right(self) -> None:
        """Told at least 95 per cent, 93 in a hundred are right; with the origin known, and without."""
        for known in (True, False):
            right = told = 0
            for specimen in specimens(FOREIGN, 21):
                typed = specimen.typed(foreign=True)
                if not known:
                    del typed["origin"]
                best = rank(read_evidence(typed)).candidates[0]
                if best.probability >= 0.95:
                    told, right = told + 1, right + named(best, specimen.thread)
            with self.subTest(origin_known=known):
                self.assertGreater(told, FOREIGN / 8)
                self.assertGreaterEqual(right / told, 0.93)

    def test_asking_the_best_question_is_quicker_than_a_fixed_order(self) -> None:
        made = specimens(INTERVIEWS, INTERVIEW_SEED)
        asked, fixed = (
            [interview(specimen, number, fixed=in_order) for number, specimen in enumerate(made)]
            for in_order in (False, True)
        )
        mean = [sum(i.measurements for i in interviews) / INTERVIEWS for interviews in (asked, fixed)]
        self.assertLessEqual(mean[0], 0.6 * mean[1], mean)
        self.assertGreater(sum(i.right for i in asked) / INTERVIEWS, 0.93)

    def test_the_same_seed_gives_the_same_drawer(self) -> None:
        self.assertEqual(specimens(20, 1), specimens(20, 1))
        self.assertNotEqual(specimens(20, 1), specimens(20, 2))
