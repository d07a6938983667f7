"""Every family of threads, walked by what it says of itself: nothing of the program knows one that another lacks."""

from __future__ import annotations

import unittest

from lathework.answers.book.card import card
from lathework.answers.size import size_of
from lathework.holes.drill_choice import usual_percent
from lathework.holes.percent import convention
from lathework.identify.likelihood import angle_chance
from lathework.identify.model import models
from lathework.identify.priors import series_weights
from lathework.threads.designation import read_designation
from lathework.threads.explain import explain
from lathework.threads.families import FAMILIES, SERIES, family_of
from lathework.threads.library import library


class EveryFamily(unittest.TestCase):
    def test_each_thread_is_of_a_family_and_a_series_that_knows_it(self) -> None:
        for thread in library():
            self.assertIn(thread.series, [one.code for one in family_of(thread).series], thread.designation)
        self.assertEqual({thread.series for thread in library()}, set(SERIES))
        self.assertEqual({thread.family for thread in library()}, {family.code for family in FAMILIES})

    def test_each_series_says_how_often_it_is_met(self) -> None:
        self.assertEqual(set(series_weights("unknown", "general")), set(SERIES))

    def test_a_family_goes_through_all_that_is_asked_of_one(self) -> None:
        """Read back by its own name, read out, sized, opened in the book, drilled for, found by a leaf of any angle."""
        by_name = {model.thread.designation: model for model in models()}
        for family in FAMILIES:
            for thread in tuple(family.threads())[::7]:
                with self.subTest(thread.designation):
                    self.assertEqual(read_designation(thread.designation), thread)
                    told = explain(thread)
                    self.assertTrue(all(letter.means for letter in told))
                    self.assertGreaterEqual(len(told), 2)
                    self.assertEqual(size_of(thread).thread, thread)
                    self.assertEqual(card(thread.designation).size.thread, thread)
                    self.assertTrue(60 <= usual_percent(thread) <= 80 and convention(thread)[0] > 1)
                    chances = [angle_chance(by_name[thread.designation], leaf) for leaf in ("60", "55", "47.5")]
                    self.assertAlmostEqual(sum(chances), 1.0)

    def test_depths_of_a_form_are_on_the_diameter(self) -> None:
        """A single depth is half of it: 0.5413 P of a 60 degree nut, 0.6403 P of Whitworth, 0.75 P of Löwenherz."""
        for name, single in (("M8", 0.541266), ("1/4 BSW", 0.640327), ("Lö3", 0.75), ("Tr20x4", 0.5)):
            self.assertAlmostEqual(read_designation(name).form.single_depth, single, places=5, msg=name)
