"""Profiles, their drawings, and one thread in another."""

from __future__ import annotations

import math
import unittest
from itertools import pairwise

from lathework.answers.book.card import Asked, card
from lathework.answers.size import size_of
from lathework.drawing.profile.overlay import overlay_sheet
from lathework.drawing.profile.stamp import TURNS, rounding, stamp
from lathework.drawing.profile.view import profile_sheet
from lathework.errors import InputError
from lathework.gauging.plating import pitch_growth
from lathework.gauging.wires import lead_angle_effect, over_wires, wire_range, wires_in_the_drawer
from lathework.tests.every import each
from lathework.threads.designation import read_called, read_designation
from lathework.threads.explain import explain
from lathework.threads.library import library
from lathework.threads.limits import external_limits
from lathework.threads.mating import mate
from lathework.threads.profile import Profile, profile
from lathework.threads.thread import Thread

PARALLEL = [t for t in library() if external_limits(t) is not None]


def basic(thread: Thread) -> Profile:
    return profile(
        thread.form, thread.pitch, major=thread.major, pitch_diameter=thread.pitch_diameter, minor=thread.minor
    )


class Outline(unittest.TestCase):
    @each(library())
    def test_thread_and_space_are_equal_on_the_pitch_line(self, thread: Thread) -> None:
        """ISO 68-1 and BS 84: at the pitch diameter the ridge is half a pitch wide."""
        outline = basic(thread)
        self.assertAlmostEqual(outline.diameter_at(thread.pitch / 4), thread.pitch_diameter, places=9)
        self.assertAlmostEqual(outline.diameter_at(3 * thread.pitch / 4), thread.pitch_diameter, places=9)
        self.assertAlmostEqual(outline.diameter_at(0), thread.major, places=9)
        self.assertAlmostEqual(outline.diameter_at(thread.pitch / 2), thread.minor, places=9)

    @each(library())
    def test_flanks_have_the_angle_of_the_form(self, thread: Thread) -> None:
        steepest = max(abs((b[1] - a[1]) / 2 / (b[0] - a[0])) for a, b in pairwise(basic(thread).points) if b[0] > a[0])
        self.assertAlmostEqual(steepest, 1 / math.tan(math.radians(thread.form.angle_deg / 2)), places=6)

    def test_published_flats_and_radii(self) -> None:
        """ISO 68-1: crest P/8, root P/4 wide. BS 84: crests rounded at 0.137329 P, so 0.0399 P deep at 0.0977 P."""
        metric = basic(read_designation("M8"))
        self.assertAlmostEqual(metric.diameter_at(1.25 / 16 * 0.999), 8, places=4)
        self.assertLess(metric.diameter_at(1.25 / 16 * 1.05), 8)
        whitworth = read_designation("1 BSW")
        outline, p = basic(whitworth), 0.125
        x, y = outline.points[6]
        half = math.radians(27.5)
        self.assertAlmostEqual(x / p, 0.137329 * math.cos(half), places=3)
        self.assertAlmostEqual((1.0 - y) / 2 / p, 0.137329 * (1 - math.sin(half)), places=3)

    @each(PARALLEL)
    def test_the_usual_nut_never_cuts_into_its_bolt(self, thread: Thread) -> None:
        met = mate(thread, thread)
        self.assertEqual(met.verdict, "fits", met.sentence)
        self.assertFalse([p for p in overlay_sheet(met, pair="tightest").paths if p.role == "clash"])

    def test_drawings_stay_on_their_sheet(self) -> None:
        for thread in PARALLEL[::9]:
            found = size_of(thread)
            for sheet in (profile_sheet(thread, found.external, found.internal), overlay_sheet(mate(thread, thread))):
                for path in sheet.paths:
                    for line in path.lines:
                        for x, y in line:
                            with self.subTest(thread.designation):
                                self.assertTrue(-0.5 <= x <= sheet.width + 0.5 and -0.5 <= y <= sheet.height + 0.5)


class Mating(unittest.TestCase):
    #: What fitters know: bolt, nut, verdict.
    KNOWN = (
        ("3/8-16", "3/8-16", "fits"),
        ("M8x1", "M8x1", "fits"),
        ("1/4-20", "M6", "will-not-start"),
        ("M8", "M6", "will-not-start"),
        ("M6", "M8", "nothing-holds"),
        ("M6", "1/4-20", "binds"),
        ("1/2-13", "1/2 BSW", "binds"),
        ("3/8-16", "3/8-24", "binds"),
        ("1/4-20", "1/4 BSW", "goes-on"),
        ("10-32", "M5", "goes-on"),
        ("M8x1", "M8x1 LH", "will-not-start"),
    )

    def test_what_fitters_know(self) -> None:
        for bolt, nut, verdict in self.KNOWN:
            with self.subTest(bolt=bolt, nut=nut):
                met = mate(read_designation(bolt), read_designation(nut))
                self.assertEqual(met.verdict, verdict, met.sentence)
                if verdict != "fits":
                    self.assertIn("Do not", met.sentence)

    def test_binding_by_hand(self) -> None:
        """1/4-20 nut on an M6 bolt, middle sizes by hand from the tables.

        Nut 0.21995 in = 5.5867 mm, bolt (5.324 + 5.212)/2 = 5.268: room 0.3187 mm; out of step by 1.27 - 1 = 0.27 mm a
        turn; 0.3187 x tan 30 / 0.27 = 0.68 turns.
        """
        met = mate(read_designation("M6"), read_designation("1/4-20"))
        middle = met.meetings[1]
        self.assertAlmostEqual(middle.clearance.value, 0.3187, places=3)
        self.assertAlmostEqual(middle.threads or 0, 0.68, places=2)

    def test_why_a_nut_does_not_start(self) -> None:
        """An M6 nut has room for 6 mm; the least crest of a 1/4-20 bolt is 0.2408 in, 6.116 mm: 0.116 mm short."""
        room = mate(read_designation("1/4-20"), read_designation("M6")).crest_room
        self.assertAlmostEqual(room.value, -0.116, places=3)
        self.assertIn("Negative", room.note)

    def test_a_class_closes_the_room(self) -> None:
        thread = read_designation("3/8-16")
        usual, close = mate(thread, thread), mate(thread, thread, bolt_class="3A", nut_class="3B")
        self.assertGreater(usual.meetings[1].clearance.value, close.meetings[1].clearance.value)

    def test_a_taper_is_refused(self) -> None:
        for bolt, nut, field in (("R1/2", "G1/2", "bolt"), ("G1/2", "1/2 NPT", "nut")):
            with self.assertRaises(InputError) as told:
                mate(read_designation(bolt), read_designation(nut))
            self.assertEqual(told.exception.field, field)


class Gauging(unittest.TestCase):
    @each(PARALLEL)
    def test_the_best_wire_serves(self, thread: Thread) -> None:
        limits = external_limits(thread)
        assert limits is not None
        least, greatest = wire_range(thread, limits)
        self.assertTrue(least.value < thread.form.best_wire * thread.pitch < greatest.value)
        for drill in wires_in_the_drawer(thread, limits):
            inch = drill.diameter_mm / 25.4
            wire = inch if thread.unit == "in" else drill.diameter_mm
            self.assertGreater(over_wires(thread, wire, limits.pitch_diameter.maximum).value, limits.major.maximum)

    def test_lead_angle_of_a_coarse_thread(self) -> None:
        """By hand, 1/4-20: tan = 0.05/(pi 0.2175) = 0.07317; (0.02887/2) x 0.005354 x 0.866 x 1.732 = 0.000116."""
        self.assertAlmostEqual(lead_angle_effect(read_designation("1/4-20"), 0.028868).value, 0.000116, places=6)

    def test_plating_grows_a_60_degree_thread_fourfold(self) -> None:
        self.assertAlmostEqual(pitch_growth(read_designation("M8"), 0.005).value, 0.02, places=9)
        self.assertAlmostEqual(
            pitch_growth(read_designation("1/2 BSW"), 0.001).value, 0.002 / math.sin(math.radians(27.5)), places=9
        )

    def test_plated_limits_move_away_from_the_other_side(self) -> None:
        found = card("3/8-16", asked=Asked(plating="0.0002"))
        assert found.size.external is not None and found.size.internal is not None
        by_name = {figure.name: figure.value for figure in found.plating}
        self.assertAlmostEqual(by_name["major before plating, maximum"], 0.3737 - 0.0004, places=6)
        self.assertAlmostEqual(by_name["minor before plating, minimum"], 0.307 + 0.0004, places=6)


class Letters(unittest.TestCase):
    def test_each_letter_stands_in_the_designation(self) -> None:
        for thread in library():
            letters = explain(thread)
            spelled = [letter.text for letter in letters if letter.text]
            with self.subTest(thread.designation):
                self.assertTrue(all(letter.means for letter in letters))
                at = 0
                for text in spelled:
                    found = thread.designation.find(text, at)
                    self.assertGreaterEqual(found, 0, text)
                    at = found

    def test_classes_hand_and_starts(self) -> None:
        for text, name, words in (
            ("3/8-16 2-start LH", "2A", ("external", "left-hand", "one turn advances 0.1250 in")),
            ("M10-5g6g", "5g6g", ("pitch diameter: grade 5", "crest diameter: grade 6")),
            ("M8", "6H", ("internal, no allowance",)),
            ("1/2 BSW", "close", ("snug",)),
            ("G1/2", "B", ("twice A",)),
        ):
            told = " ".join(letter.means for letter in explain(read_called(text).thread, name))
            for word in words:
                with self.subTest(text=text, word=word):
                    self.assertIn(word, told)


class Stamps(unittest.TestCase):
    def test_crests_and_roots_are_round_where_the_standard_rounds_both(self) -> None:
        """BS 84: r = 0.137329 P; BS 93 (BA): r about 2/11 P, depth 0.6 P."""
        for name, radius, off in (("1/2 BSW", 0.137329, 1e-6), ("2 BA", 2 / 11, 1e-3)):
            thread = read_designation(name)
            self.assertAlmostEqual(rounding(thread), radius, delta=off)
            sheet = stamp(thread)
            [path] = sheet.paths
            xs = [x for x, _ in path.lines[0][:-3]]
            self.assertEqual(xs, sorted(xs), "the profile never turns back")
            ys = [y for _, y in path.lines[0][:-3]]
            pitch = sheet.width / TURNS
            deep = (thread.major - thread.minor) / 2 / thread.pitch * pitch
            self.assertAlmostEqual(max(ys) - min(ys), deep, places=6)

    def test_flat_crests_stay_flat(self) -> None:
        """ISO 68-1: a crest of P/8 and a root of P/4; drawn alike they are as wide together."""
        sheet = stamp(read_designation("M16"))
        line = sheet.paths[0].lines[0]
        self.assertAlmostEqual(line[1][0] - line[0][0], line[3][0] - line[2][0])
