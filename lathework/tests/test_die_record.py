"""What the log says of a die: what each gauging followed on, each end for itself; and the mean of what passed."""

from __future__ import annotations

import unittest

from lathework.bench.entry import Entry
from lathework.bench.events import Gauged
from lathework.bench.fold import fold
from lathework.dies.memory import REMEMBERED, die_record
from lathework.planning.plan import Plan
from lathework.tests.samples import TIE_ROD, plan, told
from lathework.threads.designation import read_designation


def piece(number: int, blank: float, *words: str, of: str = "s1") -> list[Entry]:
    """A blank turned to `blank` mm and what the nut said of it, one word after the other."""
    out = [
        Entry("reading", number, f"turn:{of}", blank + 1, "diameter"),
        Entry("reading", number, f"turn:{of}", blank, "diameter"),
    ]
    return [*out, *(Entry("verdict", number, f"gauge:{of}", word=word) for word in words)]


def gauged(made: Plan, entries: list[Entry]) -> list[tuple[str, float | None, str]]:
    """Thread, blank and verdict of every gauging of a history."""
    _, events = fold([made], [told(made, entry) for entry in entries])
    return [(e.thread, e.blank_mm, e.verdict) for _, e in events if isinstance(e, Gauged)]


class WhatADieDid(unittest.TestCase):
    def test_the_last_reading_is_the_blank(self) -> None:
        entries = [*piece(1, 9.36, "binds", "snug"), *piece(2, 9.40, "binds")]
        self.assertEqual(
            gauged(plan(), entries),
            [("3/8-16 UNC", 9.36, "binds"), ("3/8-16 UNC", 9.36, "snug"), ("3/8-16 UNC", 9.40, "binds")],
        )

    def test_each_end_has_its_own(self) -> None:
        entries = [*piece(1, 9.36, "snug"), *piece(1, 9.41, "snug", of="s3")]
        self.assertEqual(gauged(plan(TIE_ROD), entries), [("3/8-16 UNC", 9.36, "snug"), ("3/8-24 UNF", 9.41, "snug")])

    def test_a_thread_that_was_not_turned_here_has_no_blank(self) -> None:
        self.assertEqual(gauged(plan(), [Entry("verdict", 1, "gauge:s1", word="snug")]), [("3/8-16 UNC", None, "snug")])

    def test_how_far_the_die_stood_open(self) -> None:
        moved = Entry("setting", 1, "gauge:s1", word="open", eighths=2.0)
        made = plan()
        entries = [told(made, one) for one in (moved, Entry("verdict", 1, "gauge:s1", word="snug"))]
        _, events = fold([made], entries)
        self.assertEqual([e.eighths for _, e in events if isinstance(e, Gauged)], [2.0])


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
