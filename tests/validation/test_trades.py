"""Threads of single trades, old metric sizes, trapezoidal and Acme: rows recalled for this check alone."""

from __future__ import annotations

import unittest

from lathework.errors import InputError, InvalidDocument
from lathework.tests.samples import plan, section, step
from lathework.threads.designation import read_designation
from lathework.threads.library import library
from tests.validation.reference import class_list

#: BS 811, cycle threads: designation, major, effective, minor (inches), as handbooks print them.
CYCLE = (
    ("1/4-26 BSC", 0.25, 0.2295, 0.2090),
    ("5/16-26 BSC", 0.3125, 0.2920, 0.2715),
    ("3/8-26 BSC", 0.375, 0.3545, 0.334),
    ("1/2-26 BSC", 0.5, 0.4795, 0.4590),
    ("9/16-20 BSC", 0.5625, 0.5359, 0.5092),
    ("1.370-24 BSC", 1.37, 1.3478, 1.3256),
)
#: ISO 2904 and ISO 2903: designation, pitch diameter, external minor d3, internal minor D1, internal major D4 (mm).
TRAPEZOIDAL = (
    ("Tr8x1.5", 7.25, 6.2, 6.5, 8.3),
    ("Tr10x2", 9.0, 7.5, 8.0, 10.5),
    ("Tr12x3", 10.5, 8.5, 9.0, 12.5),
    ("Tr16x4", 14.0, 11.5, 12.0, 16.5),
    ("Tr20x4", 18.0, 15.5, 16.0, 20.5),
    ("Tr24x5", 21.5, 18.5, 19.0, 24.5),
    ("Tr30x6", 27.0, 23.0, 24.0, 31.0),
    ("Tr36x6", 33.0, 29.0, 30.0, 37.0),
    ("Tr40x7", 36.5, 32.0, 33.0, 41.0),
    ("Tr48x8", 44.0, 39.0, 40.0, 49.0),
    ("Tr60x9", 55.5, 50.0, 51.0, 61.0),
    ("Tr20x2", 19.0, 17.5, 18.0, 20.5),
    ("Tr24x8", 20.0, 15.0, 16.0, 25.0),
    ("Tr60x14", 53.0, 44.0, 46.0, 62.0),
    ("Tr36x3", 34.5, 32.5, 33.0, 36.5),
    ("Tr100x12", 94.0, 87.0, 88.0, 101.0),
    ("Tr80x16", 72.0, 62.0, 64.0, 82.0),
)
#: ASME B1.5, general purpose: designation, basic pitch diameter, basic minor (inches).
ACME = (
    ("1/4-16 Acme", 0.2188, 0.1875),
    ("1/2-10 Acme", 0.45, 0.4),
    ("5/8-8 Acme", 0.5625, 0.5),
    ("3/4-6 Acme", 0.6667, 0.5833),
    ("1-5 Acme", 0.9, 0.8),
    ("1-1/2-4 Acme", 1.375, 1.25),
    ("2-4 Acme", 1.875, 1.75),
)
#: DIN 13 before ISO: diameter, pitch, pitch diameter (mm).
OLD_METRIC = (("M1.7", 0.35, 1.473), ("M2.3", 0.4, 2.040), ("M2.6", 0.45, 2.308))


class Trades(unittest.TestCase):
    def test_cycle_threads(self) -> None:
        for name, major, effective, minor in CYCLE:
            thread = read_designation(name)
            with self.subTest(name):
                self.assertEqual((thread.major, thread.pitch_diameter, thread.minor), (major, effective, minor))

    def test_trapezoidal(self) -> None:
        """The page's note tells root and nut: d3 and D4 of the table."""
        for name, effective, root, bore, across in TRAPEZOIDAL:
            thread = read_designation(name)
            with self.subTest(name):
                self.assertEqual((thread.pitch_diameter, thread.minor), (effective, bore))
                told = f"outside to a root of {root:.4g} mm; bore the nut to {bore:.4g} mm, major {across:.4g} mm"
                self.assertIn(told, thread.notes[0])

    def test_trapezoidal_sizes_of_an_outside_list(self) -> None:
        """Every size and pitch to 100 mm; three that the list has and the tables of ISO 2904 have not stay out."""
        listed = {size for size in class_list("thread.py", "standard_sizes") if float(size.partition("x")[0]) <= 100}
        ours = {t.designation.removeprefix("Tr") for t in library() if t.series == "Tr"}
        self.assertEqual(listed - ours, {"16x3", "18x3", "20x3"})
        self.assertEqual(ours - listed, set())

    def test_the_first_pitch_where_none_is_said(self) -> None:
        for text, name in (("Tr20", "Tr20x4"), ("Tr 44", "Tr44x7"), ("Tr10x1.5", "Tr10x1.5"), ("Tr50x12", "Tr50x12")):
            self.assertEqual(read_designation(text).designation, name)

    def test_acme(self) -> None:
        for name, effective, minor in ACME:
            thread = read_designation(name)
            self.assertEqual((thread.pitch_diameter, thread.minor), (effective, minor), name)

    def test_old_metric_sizes(self) -> None:
        for name, pitch, effective in OLD_METRIC:
            thread = read_designation(name)
            self.assertEqual((thread.pitch, thread.pitch_diameter), (pitch, effective), name)

    def test_a_cycle_thread_is_planned_and_says_whose_limits_it_has(self) -> None:
        made = plan({"part.sections": [section("thread", "1", thread="5/16-26 BSC"), section("bar")]})
        self.assertEqual(step(made, "thread").figures["turns"].value, 25)
        self.assertIn("cycle thread", " ".join(notice.text for notice in made.notices))

    def test_a_trapezoidal_thread_wants_no_die(self) -> None:
        with self.assertRaises(InvalidDocument) as caught:
            plan({"part.sections": [section("thread", "1", thread="Tr10x2"), section("bar")]})
        self.assertIn("single point", caught.exception.errors[0].message)

    def test_as_people_write_them(self) -> None:
        for text, name in (
            ("rms", "RMS"),
            ("W21.8x1/14", "W21.8"),
            ("21.8 W", "W21.8"),
            ("tr 20 x 4", "Tr20x4"),
            ("1/4 cei", "1/4-26 BSC"),
            ("3/4 conduit", "3/4-16 Conduit"),
            ("1 acme", "1-5 Acme"),
            ("M42x0.75", "M42x0.75"),
            ("9/16-20 BSC LH", "9/16-20 BSC LH"),
        ):
            self.assertEqual(read_designation(text).designation, name, text)
        with self.assertRaises(InputError):
            read_designation("Tr20x3")

    def test_every_note_of_a_trade_says_what_it_is(self) -> None:
        for thread in library():
            if thread.series in ("BSC", "Conduit", "RMS", "W", "Tr", "Acme"):
                self.assertTrue(thread.notes, thread.designation)
