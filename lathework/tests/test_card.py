"""A thread's page: what the person has, gauges, and what is told when something cannot be used."""

from __future__ import annotations

import json
import unittest
from dataclasses import asdict
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.answers.book.card import Asked, Card, card
from lathework.answers.book.card_shown import card_shown
from lathework.answers.book.mating_shown import mating_shown
from lathework.errors import InputError
from lathework.figures import Figure
from lathework.tests.every import each
from lathework.threads.families import SERIES
from lathework.threads.library import library
from lathework.threads.mating import mate

NAMES = [t.designation for t in library()]


def figures_of(value: Any) -> list[dict[str, Any]]:
    """Every figure anywhere in an answer."""
    if isinstance(value, dict):
        own = [value] if {"formula", "source", "shown"} <= set(value) else []
        return own + [f for v in value.values() for f in figures_of(v)]
    return [f for v in value for f in figures_of(v)] if isinstance(value, list | tuple) else []


class Page(unittest.TestCase):
    def by_name(self, figures: tuple[Figure, ...]) -> dict[str, float]:
        return {figure.name: figure.value for figure in figures}

    def test_gauges_are_the_limits(self) -> None:
        """ASME B1.1, 1/2-13 UNC 2A and 2B: ring 0.4485/0.4435, plug 0.4500/0.4565, plain plug 0.417/0.434 in."""
        gauges = self.by_name(card("1/2-13").gauges)
        self.assertEqual((gauges["ring, go"], gauges["ring, no-go"]), (0.4485, 0.4435))
        self.assertEqual((gauges["plug, go"], gauges["plug, no-go"]), (0.45, 0.4565))
        self.assertEqual((gauges["plain plug, go"], gauges["plain plug, no-go"]), (0.417, 0.434))
        self.assertEqual((gauges["plain ring, go"], gauges["plain ring, no-go"]), (0.4985, 0.4876))

    def test_the_micrometer_aims_at_the_middle(self) -> None:
        found = card("M10").micrometer
        assert found is not None
        self.assertAlmostEqual(found.value, (8.994 + 8.862) / 2, places=9)

    def test_a_drill_on_both_conventions(self) -> None:
        """Practice: 27/64 in 1/2-13 is 78 per cent; on basic height 78 x 1.299038/1.082532 = 94."""
        usual, basic = card("1/2-13", asked=Asked(drill="27/64")).drill
        self.assertEqual((round(usual.value), round(basic.value)), (78, 94))
        self.assertEqual(len(card("1/2 BSW", asked=Asked(drill="27/64")).drill), 1)

    def test_a_length_may_come_in_the_other_unit(self) -> None:
        millimetres = card("3/8-16", asked=Asked(wire="1 mm")).wires
        inches = card("3/8-16", asked=Asked(wire="0.0393700787")).wires
        assert millimetres is not None and inches is not None
        self.assertAlmostEqual(millimetres.over[0].value, inches.over[0].value, places=6)

    def test_a_nominal_drill_name_is_a_length_too(self) -> None:
        """Letter F is 0.257 in: 77 per cent in 5/16-18 (practice)."""
        self.assertEqual(round(card("5/16-18", asked=Asked(drill="F")).drill[0].value), 77)

    def test_a_taper_has_lengths_and_no_limits(self) -> None:
        """ISO 7-1: R1/2 gauge length 8.2 mm."""
        found = card("R1/2")
        assert found.size.taper is not None
        self.assertEqual(found.size.taper.gauge_length.value, 8.2)
        self.assertEqual((found.gauges, found.wires, found.external_classes), ((), None, ()))
        self.assertEqual(found.size.taper.useful_length.value, 13.2)

    def test_the_internal_sealing_thread_has_one_side(self) -> None:
        found = card("Rp1/2")
        self.assertEqual((found.external_classes, found.internal_classes), ((), ("Rp",)))
        self.assertEqual(found.size.blanks, ())

    @each(NAMES)
    def test_every_page_is_plain_data_with_its_working(self, name: str) -> None:
        told = asdict(card_shown(card(name)))
        json.dumps(told, allow_nan=False)
        for figure in figures_of(told):
            self.assertTrue(figure["formula"] and figure["source"]["title"], figure["name"])

    @given(st.sampled_from(NAMES), st.sampled_from(["wire", "drill", "plating", "engagement"]), st.text(max_size=12))
    def test_any_text_gives_a_page_or_an_error_beside_its_field(self, name: str, field: str, text: str) -> None:
        try:
            if field == "engagement":
                found: Card = card(name, engagement=text)
            else:
                found = card(name, asked=Asked(**{field: text}))
        except InputError as error:
            self.assertEqual(error.field, field)
        else:
            self.assertEqual(found.size.thread.designation, name)

    def test_series_have_names(self) -> None:
        self.assertEqual({t.series for t in library()}, set(SERIES))


class Overlay(unittest.TestCase):
    @given(st.sampled_from(NAMES), st.sampled_from(NAMES))
    def test_any_two_threads_get_a_verdict_or_a_reason(self, bolt: str, nut: str) -> None:
        try:
            told = asdict(mating_shown(mate(card(bolt).size.thread, card(nut).size.thread)))
        except InputError as error:
            self.assertIn(error.field, ("bolt", "nut"))
            return
        json.dumps(told, allow_nan=False)
        self.assertIn(bolt, told["sentence"])
        self.assertEqual(told["verdict"] == "fits", "Do not" not in told["sentence"])
        for met in told["meetings"]:
            self.assertTrue(met["threads"] is None or met["threads"] >= 0)

    @given(st.sampled_from(NAMES), st.sampled_from(NAMES))
    def test_looser_pairs_go_at_least_as_far(self, bolt: str, nut: str) -> None:
        try:
            met = mate(card(bolt).size.thread, card(nut).size.thread)
        except InputError:
            return
        far = [float("inf") if m.threads is None else m.threads for m in met.meetings]
        self.assertEqual(far, sorted(far))
