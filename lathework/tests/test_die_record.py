"""What the log says of a die: only blanks whose thread passed count, each with its own end."""

from __future__ import annotations

import unittest

from lathework.planning.bench import Entry
from lathework.planning.proven import proven_blanks
from lathework.rules.die_record import REMEMBERED, die_record
from lathework.tests.samples import TIE_ROD, plan
from lathework.threads.designation import read_designation


def piece(number: int, blank: float, *words: str, ending: str = "") -> list[Entry]:
    """A blank turned to `blank` mm and what the nut said of it, one word after the other."""
    out = [Entry("reading", number, f"turn-blank{ending}", value_mm=blank + 1),
           Entry("reading", number, f"turn-blank{ending}", value_mm=blank)]  # fmt: skip
    return [*out, *(Entry("verdict", number, f"gauge{ending}", word=word) for word in words)]


class Proven(unittest.TestCase):
    def test_the_last_reading_counts_when_the_nut_went_on_well(self) -> None:
        entries = [*piece(1, 9.36, "binds", "snug"), *piece(2, 9.40, "binds"), *piece(3, 9.37, "snug")]
        self.assertEqual(proven_blanks(plan(), entries), {"3/8-16 UNC": [9.36, 9.37]})

    def test_a_later_verdict_overrules(self) -> None:
        self.assertEqual(proven_blanks(plan(), piece(1, 9.36, "snug", "loose")), {})

    def test_each_end_has_its_own(self) -> None:
        entries = [*piece(1, 9.36, "snug"), *piece(1, 9.41, "snug", ending="-2")]
        self.assertEqual(proven_blanks(plan(TIE_ROD), entries), {"3/8-16 UNC": [9.36], "3/8-24 UNF": [9.41]})

    def test_one_die_for_both_ends_counts_both(self) -> None:
        both = plan({**TIE_ROD, "part.sections.2.thread": "3/8-16"})
        entries = [*piece(1, 9.36, "snug"), *piece(1, 9.38, "snug", ending="-2")]
        self.assertEqual(proven_blanks(both, entries), {"3/8-16 UNC": [9.36, 9.38]})


class Record(unittest.TestCase):
    def test_the_mean_as_a_fraction_of_the_pitch(self) -> None:
        """9.36 and 9.38 mm: 0.3689 in; (0.3750 - 0.3689) x 16 = 0.098 of the pitch under nominal."""
        found = die_record(read_designation("3/8-16"), [9.36, 9.38])
        assert found is not None
        self.assertEqual((found.blank.value, found.pieces, found.fraction), (0.3689, 2, 0.098))

    def test_nothing_known_says_nothing_and_old_pieces_fade(self) -> None:
        thread = read_designation("M10")
        self.assertIsNone(die_record(thread, []))
        found = die_record(thread, [9.0] * 5 + [9.8] * REMEMBERED)
        assert found is not None
        self.assertEqual(found.blank.value, 9.8)
