"""The next best question: worth what it settles, never more than there is to settle, and only while it helps."""

from __future__ import annotations

import math
import unittest

from hypothesis import given, settings
from hypothesis import strategies as st

from lathework.errors import InvalidDocument
from lathework.identify.evidence import RULE_MM, Evidence
from lathework.identify.likelihood import counted_density
from lathework.identify.question import INSTRUMENTS, WORTH_ASKING, next_step, questions
from lathework.identify.rank import Ranking, rank
from lathework.identify.reading import read_evidence

KNOWN = st.fixed_dictionaries(
    {"outside": st.sampled_from(["", "3.9 mm", "4.7 mm", "6.25 mm", "9.4 mm", "12.6 mm", "13.1 mm", "20.8 mm"])},
    optional={
        "tpi": st.sampled_from(["12", "14", "16", "19", "20", "24", "28"]),
        "angle": st.sampled_from(["60", "55"]),
        "origin": st.sampled_from(["american", "british-old", "european"]),
        "taper": st.sampled_from(["yes", "no"]),
    },
)


def entropy(ranking: Ranking) -> float:
    """Bits of doubt among the candidates in play."""
    shares = [p for _, p in ranking.belief if p > 0]
    whole = sum(shares)
    return -sum(p / whole * math.log2(p / whole) for p in shares)


class Worth(unittest.TestCase):
    def known(self, typed: dict[str, str]) -> tuple[Evidence, Ranking] | None:
        try:
            evidence = read_evidence(typed)
        except InvalidDocument:
            return None
        return evidence, rank(evidence)

    @settings(max_examples=60)
    @given(KNOWN)
    def test_a_question_is_worth_something_and_no_more_than_the_doubt(self, typed: dict[str, str]) -> None:
        known = self.known(typed)
        if known is None:
            return
        evidence, ranking = known
        asked = questions(ranking, evidence)
        gains = [question.gain_bits for question in asked]
        self.assertEqual(gains, sorted(gains, reverse=True))
        for question in asked:
            self.assertGreaterEqual(question.gain_bits, WORTH_ASKING)
            self.assertLessEqual(question.gain_bits, entropy(ranking) + 1e-6)
            self.assertTrue(question.how and question.meanings)
            self.assertIn(question.instrument, INSTRUMENTS)

    @settings(max_examples=60)
    @given(KNOWN)
    def test_nothing_is_asked_twice(self, typed: dict[str, str]) -> None:
        known = self.known(typed)
        if known is None:
            return
        asked = {question.ask for question in questions(known[1], known[0])}
        for field, ask in (("outside", "outside"), ("tpi", "leaf"), ("angle", "angle"), ("taper", "taper")):
            if typed.get(field):
                self.assertNotIn(ask, asked)

    @settings(max_examples=40)
    @given(KNOWN, st.sampled_from(INSTRUMENTS))
    def test_only_the_instrument_owned_is_used(self, typed: dict[str, str], instrument: str) -> None:
        known = self.known(typed)
        if known is None or known[0].nothing:
            return
        owned = tuple(i for i in INSTRUMENTS if i == instrument)
        step = next_step(known[1], known[0], owned)
        self.assertTrue(step.question is None or step.question.instrument == instrument)
        self.assertTrue(step.sentence)

    def test_a_count_tells_its_lengths(self) -> None:
        """20 threads: 25.4 mm is 20 to the inch, 25.0 mm is 1.25 mm."""
        evidence = read_evidence({"outside": "7.85 mm", "taper": "no"})
        found = [q for q in questions(rank(evidence), evidence) if q.ask == "counted"]
        self.assertTrue(found)
        self.assertIn("threads over a rule", found[0].how)
        self.assertTrue(
            any(told.startswith("25.0 mm (0.984 in) means M8") for told in found[0].meanings), found[0].meanings
        )

    def test_more_evidence_leaves_less_doubt_when_it_agrees(self) -> None:
        steps: list[dict[str, str]] = [
            {"outside": "0.2465"},
            {"outside": "0.2465", "tpi": "20"},
            {"outside": "0.2465", "tpi": "20", "angle": "60"},
        ]
        doubts = [entropy(rank(read_evidence(typed))) for typed in steps]
        self.assertEqual(doubts, sorted(doubts, reverse=True))


class Counted(unittest.TestCase):
    def test_a_count_between_two_stays_graded(self) -> None:
        """18.9 over an inch: 19 by far, and 18 is not ruled out by one count."""
        sigma = RULE_MM / 18.9
        nineteen, eighteen, sixteen = (counted_density(25.4 / tpi, 25.4 / 18.9, sigma) for tpi in (19, 18, 16))
        self.assertGreater(nineteen, 30 * eighteen)
        self.assertLess(nineteen, 1000 * eighteen)
        self.assertGreater(eighteen, 100 * sixteen)
