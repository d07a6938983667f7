"""What thread is this: lookalikes told apart by the measurement a handbook names, and evidence that cannot be."""

from __future__ import annotations

import json
import unittest
from dataclasses import asdict
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from lathework.answers.identified_shown import identified_shown
from lathework.errors import InvalidDocument
from lathework.identify.answer import Identified, identify
from lathework.identify.evidence import FIELDS
from lathework.identify.leaf import ONE_SET, leaf_chance, leaves_mm
from lathework.identify.likelihood import crest_density
from lathework.identify.model import models
from lathework.identify.priors import ORIGINS, TRADES, none_share, prior, series_weights
from lathework.tests.every import each
from lathework.threads.library import library


def first(found: Identified) -> str:
    """The best candidate's designation."""
    return found.ranking.candidates[0].thread.designation


def probability(found: Identified, designation: str) -> float:
    """How probable a thread is held."""
    held = [c.probability for c in found.ranking.candidates if c.thread.designation == designation]
    return held[0] if held else 0.0


class Lookalikes(unittest.TestCase):
    #: Pairs of handbook lookalikes, the evidence they share, and the measurement that tells them apart.
    PAIRS: tuple[tuple[dict[str, str], dict[str, str], str, dict[str, str], str], ...] = (
        ({"outside": "0.494"}, {"tpi": "12"}, "1/2 BSW", {"tpi": "13"}, "1/2-13 UNC"),
        ({"outside": "0.2465", "tpi": "20"}, {"angle": "55"}, "1/4 BSW", {"angle": "60"}, "1/4-20 UNC"),
        ({}, {"outside": "9.6 mm", "pitch": "1.5 mm"}, "M10", {"outside": "9.45 mm", "tpi": "16"}, "3/8-16 UNC"),
        ({"outside": "9.4 mm", "tpi": "20"}, {"origin": "british-old"}, "3/8 BSF", {}, "3/8 BSF"),
        ({"outside": "20.85 mm", "tpi": "14", "taper": "no"}, {"angle": "55"}, "G1/2", {"angle": "55"}, "G1/2"),
        ({"outside": "20.85 mm", "tpi": "14", "taper": "yes"}, {"angle": "60"}, "1/2-14 NPT", {"angle": "55"}, "R1/2"),
        ({"outside": "9.6 mm"}, {"tpi": "28", "taper": "no"}, "G1/8", {"tpi": "27", "taper": "yes"}, "1/8-27 NPT"),
        ({"outside": "4.75 mm"}, {"tpi": "32"}, "#10-32 UNF", {"pitch": "0.8 mm", "angle": "60"}, "M5"),
        ({"outside": "4.62 mm", "pitch": "0.8 mm"}, {"origin": "british-old"}, "2 BA", {"angle": "47.5"}, "2 BA"),
    )

    def test_each_pair_by_the_measurement_that_tells_it(self) -> None:
        for shared, one, name, other, other_name in self.PAIRS:
            with self.subTest(name=name):
                self.assertEqual(first(identify({**shared, **one})), name)
                self.assertEqual(first(identify({**shared, **other})), other_name)

    def test_the_question_asked_is_the_one_a_handbook_names(self) -> None:
        for evidence, ask in (
            ({"outside": "0.2465", "tpi": "20"}, "angle"),
            ({"outside": "13.1 mm", "tpi": "19"}, "taper"),
        ):
            question = identify(evidence).next.question
            assert question is not None
            self.assertEqual(question.ask, ask)
            self.assertTrue(question.meanings)

    def test_only_what_is_owned_is_asked_for(self) -> None:
        found = identify({"outside": "0.2465", "tpi": "20"}, ("caliper", "rule"))
        self.assertTrue(found.next.question is None or found.next.question.instrument in ("caliper", "rule"))
        self.assertIn("Try the mating part", identify({"outside": "0.2465", "tpi": "20"}, ()).next.sentence)

    def test_a_leaf_that_does_not_fit_weighs_too(self) -> None:
        base = {"outside": "0.2465", "tpi": "20"}
        plain, other = (probability(identify({**base, **more}), "1/4 BSW") for more in ({}, {"angle": "not-60"}))
        self.assertGreater(other, plain)
        self.assertLess(probability(identify({**base, "angle": "not-55"}), "1/4 BSW"), plain)

    def test_a_taper_in_any_words(self) -> None:
        for yes, no in (("yes", "no"), ("1 in 16", "parallel"), ("1/16", "none")):
            base = {"outside": "13.1 mm", "tpi": "19"}
            self.assertEqual(first(identify({**base, "taper": yes})), "R1/4")
            self.assertEqual(first(identify({**base, "taper": no})), "G1/4")

    def test_a_mate_weighs(self) -> None:
        """A quarter-inch Whitworth nut that goes all the way says less than one of M6 that does not start."""
        base = {"outside": "0.2465"}
        plain = probability(identify(base), "1/4-20 UNC")
        tried = identify({**base, "mate": "1/4-20", "goes": "all-the-way"})
        self.assertGreater(probability(tried, "1/4-20 UNC"), plain)

    def test_settled_stops_asking(self) -> None:
        found = identify({"outside": "9.85 mm", "pitch": "1.5 mm"})
        self.assertTrue(found.ranking.settled)
        self.assertIsNone(found.next.question)
        self.assertEqual(first(found), "M10")

    def test_what_happens_if_one_is_taken_for_the_other(self) -> None:
        self.assertIn("leaks", identify({"outside": "13.1 mm", "tpi": "19"}).mistake)
        self.assertIn("Do not", identify({"outside": "0.2465", "tpi": "20"}).mistake)


class Evidence(unittest.TestCase):
    def refused(self, **typed: str) -> dict[str, str]:
        with self.assertRaises(InvalidDocument) as told:
            identify(typed)
        return {error.field: error.code for error in told.exception.errors}

    def test_contradictions_are_pointed_out(self) -> None:
        self.assertEqual(self.refused(outside="0.5", bore="0.6"), {"bore": "contradiction"})
        self.assertEqual(self.refused(outside="0.3", tpi="4"), {"tpi": "contradiction"})
        self.assertEqual(self.refused(tpi="20", count="20", over="40 mm"), {"over": "contradiction"})

    def test_a_slipped_unit_is_asked_about(self) -> None:
        with self.assertRaises(InvalidDocument) as told:
            identify({"outside": "0.518 mm"})
        self.assertIn("0.518 in", told.exception.errors[0].choices)

    def test_each_wrong_field_by_name(self) -> None:
        for typed, told in (
            ({"outside": "wide"}, {"outside": "not-a-length"}),
            ({"tpi": "many"}, {"tpi": "not-a-count"}),
            ({"tpi": "20", "pitch": "1"}, {"pitch": "one-of"}),
            ({"count": "20"}, {"over": "incomplete"}),
            ({"over": "1"}, {"count": "incomplete"}),
            ({"angle": "61"}, {"angle": "unknown-choice"}),
            ({"taper": "perhaps"}, {"taper": "unknown-choice"}),
            ({"mate": "bolt", "goes": "loose"}, {"mate": "unreadable"}),
            ({"goes": "loose"}, {"mate": "incomplete"}),
            ({"origin": "mars"}, {"origin": "unknown-choice"}),
            ({"colour": "red"}, {"colour": "unknown-field"}),
        ):
            with self.subTest(typed):
                self.assertEqual(self.refused(**typed), told)

    def test_nothing_fits_says_so_and_offers_a_special(self) -> None:
        found = identify({"outside": "0.3", "tpi": "37"})
        self.assertGreater(found.ranking.none_of_these, 0.9)
        self.assertIn("0.300-37 UNS", found.ranking.specials)
        self.assertIn("No table lists", found.next.sentence)

    def test_several_places_tell_a_taper(self) -> None:
        one = probability(identify({"outside": "13.1 mm", "tpi": "19"}), "R1/4")
        several = probability(identify({"outside": "12.8 mm; 13.0 mm; 13.3 mm", "tpi": "19"}), "R1/4")
        self.assertGreater(several, one)

    def test_a_left_hand_thread_is_named_so(self) -> None:
        self.assertEqual(first(identify({"outside": "9.85 mm", "pitch": "1.5 mm", "hand": "left"})), "M10 LH")

    def test_a_nut_by_its_bore(self) -> None:
        """ISO 965-1: M8 6H has a bore of 6.647 to 6.912 mm."""
        self.assertEqual(first(identify({"bore": "6.75 mm", "pitch": "1.25 mm"})), "M8")

    def test_the_person_may_overrule_how_often_a_series_is_met(self) -> None:
        base = {"outside": "0.2465", "tpi": "20"}
        usual = identify(base)
        own = identify(base, shares={"BSW": "60", "UNC": "5", "BA": ""})
        self.assertEqual((first(usual), first(own)), ("1/4-20 UNC", "1/4 BSW"))
        for shares, field in (
            ({"BSW": "much"}, "shares.BSW"),
            ({"BSW": "70", "UNC": "40"}, "shares.BSW"),
            ({"ACME": "1"}, "shares.ACME"),
        ):
            with self.subTest(shares), self.assertRaises(InvalidDocument) as told:
                identify(base, shares=shares)
            self.assertEqual(told.exception.errors[0].field, field)

    @settings(max_examples=60)
    @given(st.dictionaries(st.sampled_from(FIELDS), st.text(max_size=9), max_size=5))
    def test_any_evidence_is_ranked_or_refused_by_field(self, typed: dict[str, Any]) -> None:
        try:
            told = identified_shown(identify(typed))
        except InvalidDocument as error:
            self.assertTrue(all(e.field in FIELDS for e in error.errors))
            return
        json.dumps(asdict(told), allow_nan=False)
        total = sum(c.probability for c in told.candidates) + told.none_of_these
        self.assertLessEqual(total, 1.005)


class Models(unittest.TestCase):
    def test_priors_are_probabilities(self) -> None:
        for origin in ORIGINS:
            for trade in TRADES:
                self.assertAlmostEqual(sum(series_weights(origin, trade).values()), 1)
                self.assertAlmostEqual(sum(prior(origin, trade).values()) + none_share(trade), 1, places=9)
        self.assertEqual(set(series_weights("unknown", "general")), {t.series for t in library()})

    @given(st.sampled_from(models()), st.floats(0.005, 0.2))
    def test_the_crest_density_is_one_in_all(self, model: Any, wear: float) -> None:
        low, high = model.crest_low - 4, model.crest_high + 1
        steps = 6000
        width = (high - low) / steps
        whole = sum(crest_density(model, low + (n + 0.5) * width, 0.02, wear) for n in range(steps)) * width
        self.assertAlmostEqual(whole, 1, delta=0.02)

    @each(models())
    def test_some_leaf_of_the_set_is_called(self, model: Any) -> None:
        whole = sum(leaf_chance(model.pitch, leaf) for leaf in leaves_mm())
        # Who has the leaves of one system alone calls none where none of them comes near.
        self.assertTrue(whole < 1e-6 or 1 - ONE_SET - 1e-6 < whole < 1 + 1e-6, whole)


class Softness(unittest.TestCase):
    """A leaf that nearly fits is said to fit, and a crest lies mostly within its class."""

    def test_a_two_ba_screw_with_the_inch_leaf(self) -> None:
        """2 BA, 0.185 in by 0.81 mm, at 0.182 in with the 32 leaf (0.794 mm): possible, not one in a thousand."""
        self.assertGreater(probability(identify({"outside": "0.182", "tpi": "32"}), "2 BA"), 0.02)

    def test_ten_thirty_two_before_m5(self) -> None:
        """0.188 in lies within #10-32's class 2A (0.1831 to 0.1891, ASME B1.1) and under that of M5 (4.826 mm)."""
        found = identify({"outside": "0.188", "tpi": "32"})
        self.assertEqual(first(found), "#10-32 UNF")
        self.assertGreater(probability(found, "M5"), 0.05)

    def test_one_thread_of_several_names_is_one_candidate(self) -> None:
        """26 to the inch of Whitworth form at 1/4 in: BSF, brass and the model engineer's are one."""
        found = identify({"outside": "0.249", "tpi": "26"}).ranking.candidates
        names = [{c.thread.designation, *c.also} for c in found if c.thread.major == 0.25 and c.thread.tpi == 26]
        self.assertEqual([n for n in names if "1/4 BSF" in n], [{"1/4 BSF", "1/4-26 Brass", "1/4-26 ME"}])
        self.assertEqual(len({c.thread.designation for c in found}), len(found))

    def test_a_trade_of_its_own_threads(self) -> None:
        """26 to the inch on a bicycle is a cycle thread; 36 to the inch of 0.7965 a microscope objective."""
        self.assertEqual(first(identify({"outside": "0.247", "tpi": "26", "trade": "bicycle"})), "1/4-26 BSC")
        self.assertEqual(first(identify({"outside": "0.796", "tpi": "36"})), "RMS")
        self.assertEqual(first(identify({"outside": "41.9 mm", "pitch": "0.75 mm"})), "M42x0.75")
        self.assertEqual(first(identify({"outside": "19.9 mm", "pitch": "4 mm"})), "Tr20x4")

    def test_a_leaf_that_only_nearly_fits(self) -> None:
        """2 BA is 0.81 mm: no leaf of a set sits on it. Of #10-32 the 32 leaf does, and nobody calls that nearly."""
        quite, nearly = ({"outside": "0.182", "tpi": "32", "fit": fit} for fit in ("fits", "nearly"))
        self.assertEqual(first(identify(quite)), "#10-32 UNF")
        self.assertEqual(first(identify(nearly)), "2 BA")
        self.assertIn("nearly", identify(nearly).evidence.leaf.typed)  # type: ignore[union-attr]  # it was given
        with self.assertRaises(InvalidDocument) as told:
            identify({"tpi": "32", "fit": "hardly"})
        self.assertEqual(told.exception.errors[0].field, "fit")

    def test_a_trade_whose_threads_are_not_here(self) -> None:
        """Hose couplings have 11.5 to the inch at 1.0625 in (ASME B1.20.7): no table here holds them."""
        hose = {"outside": "1.0625", "tpi": "11.5"}
        self.assertGreater(identify(hose).ranking.none_of_these, 0.9)
        for evidence in ({"outside": "2.15 mm"}, {"outside": "0.138", "tpi": "44"}):
            usual, other = (identify({**evidence, "trade": t}).ranking.none_of_these for t in ("general", "other"))
            self.assertGreater(other / (1 - other), 10 * usual / (1 - usual))
        self.assertEqual(first(identify({"outside": "0.372", "tpi": "16", "trade": "other"})), "3/8-16 UNC")

    def test_the_name_of_a_pipe_is_no_reading(self) -> None:
        """ISO 228-1: G1/4 is 13.157 mm across the crests, not a quarter of an inch."""
        for typed in ("1/4", "1/4 in", '1/4"'):
            self.assertIn("13.157 mm", identify({"outside": typed}).remarks[0])
        for typed in ("0.25", "6.35 mm", "9/16"):
            self.assertEqual(identify({"outside": typed}).remarks, ())

    def test_numbers_are_read_with_a_point_or_a_comma(self) -> None:
        """Everywhere alike: counts of evidence, shares, per cents and fractions of a job."""
        for typed in ("11.5", "11,5", " 11,5 "):
            leaf = identify({"outside": "33 mm", "tpi": typed}).evidence.leaf
            assert leaf is not None
            self.assertAlmostEqual(leaf.mm, 25.4 / 11.5)
        for wrong in ("1e1", "nan", "eleven", "1,5,0", "--4"):
            with self.assertRaises(InvalidDocument):
                identify({"tpi": wrong})
        self.assertEqual(identify({"tpi": "20"}, shares={"BSW": "12,5 %"}).evidence.shares, (("BSW", 0.125),))
