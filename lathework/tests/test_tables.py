"""Tables: every row sound, cells keyed twice, and a wrong file refused by name and line."""

from __future__ import annotations

import unittest
from itertools import groupby

from lathework.figures import Figure
from lathework.identify.evidence import GOES
from lathework.tables.loader import FOLDER, HEADER, TableError, load, parse
from lathework.threads.library import library
from lathework.threads.working import basic_figures
from lathework.units import MM_PER_INCH

HEAD = "".join(f"# {key}: {'practice' if key == 'source' else 'x'}\n" for key in HEADER)
#: Keyed a second time from the standards' tables: table, where, column, value.
KEYED_TWICE = (
    ("unified", {"series": "UNC", "size": "1/2"}, "tpi", "13"),
    ("unified", {"series": "UNC", "size": "#12"}, "major", "0.2160"),
    ("unified", {"series": "UNF", "size": "#5"}, "tpi", "44"),
    ("unified", {"series": "UNEF", "size": "1-11/16"}, "tpi", "18"),
    ("metric", {"series": "coarse", "diameter": "68"}, "pitch", "6"),
    ("metric", {"series": "coarse", "diameter": "1.4"}, "pitch", "0.3"),
    ("whitworth", {"series": "BSW", "size": "2-3/4"}, "tpi", "3.5"),
    ("whitworth", {"series": "BSF", "size": "5/16"}, "tpi", "22"),
    ("bsp_parallel", {"size": "1/2"}, "major", "20.955"),
    ("bsp_parallel", {"size": "6"}, "minor", "160.872"),
    ("ba", {"number": "0"}, "pitch", "1.0000"),
    ("ba", {"number": "16"}, "major", "0.79"),
    ("drills", {"name": "#80"}, "diameter", "0.0135"),
    ("drills", {"name": "Z"}, "diameter", "0.4130"),
    ("metric_crest_tolerances", {"pitch": "1.5"}, "external_6", "236"),
    ("metric_crest_tolerances", {"pitch": "6"}, "internal_6", "800"),
    ("metric_pitch_tolerances", {"over": "5.6", "pitch": "1.5"}, "internal_6", "180"),
    ("metric_pitch_tolerances", {"over": "22.4", "pitch": "3"}, "external_6", "200"),
    ("metric_deviations", {"pitch": "1"}, "g", "26"),
    ("metric_deviations", {"pitch": "3"}, "e", "85"),
    ("bsp_taper", {"size": "3/4"}, "gauge_length", "9.5"),
    ("din76", {"pitch": "1.5"}, "width_min", "3.2"),
    ("din76", {"pitch": "2"}, "under_major", "3.0"),
    ("npt", {"size": "1/2"}, "gauge_length", "0.320"),
)


class EveryRow(unittest.TestCase):
    def test_chances_sum_to_one(self) -> None:
        told: dict[str, float] = {}
        for row in load("angle_leaves").rows:
            told[row.text("angle")] = told.get(row.text("angle"), 0.0) + float(row.number("chance"))
        for row in load("mate_outcomes").rows:
            told[row.text("verdict")] = sum(float(row.number(goes)) for goes in GOES)
        self.assertEqual(len(told), 10)
        for condition, whole in told.items():
            with self.subTest(condition):
                self.assertAlmostEqual(whole, 1.0)

    def test_common_sizes_stand_in_the_library(self) -> None:
        """A size misspelt in the table would weigh nothing, silently."""
        known = {t.designation for t in library()} | {f"{t.major:g}" for t in library() if t.family == "metric"}
        for row in load("common_sizes").rows:
            with self.subTest(row.text("value")):
                self.assertIn(row.text("value"), known)

    def test_diameters_nest(self) -> None:
        for t in library():
            with self.subTest(t.designation):
                self.assertTrue(0 < t.minor < t.pitch_diameter < t.major)
                self.assertGreater(t.pitch, 0)
                self.assertLess(t.pitch, t.minor)

    def test_count_and_pitch_agree(self) -> None:
        for t in library():
            if t.tpi is not None:
                inch = 1.0 if t.unit == "in" else MM_PER_INCH
                with self.subTest(t.designation):
                    self.assertAlmostEqual(t.pitch * t.tpi, inch, places=9)

    def test_inch_and_millimetre_columns_agree(self) -> None:
        for t in library():
            factor = MM_PER_INCH if t.unit == "in" else 1.0
            self.assertAlmostEqual(t.major_mm, t.major * factor, places=9)
            self.assertAlmostEqual(t.minor_mm, t.minor * factor, places=9)

    def test_sizes_ascend_in_each_series_and_none_stands_twice(self) -> None:
        for (family, series), threads in groupby(library(), key=lambda t: (t.family, t.series)):
            majors = [t.major for t in threads]
            with self.subTest(family=family, series=series):
                if family == "ba":
                    majors.reverse()
                if family != "model-engineer" and series != "UN":
                    self.assertEqual(majors, sorted(majors))
        names = [t.designation for t in library()]
        self.assertEqual(len(names), len(set(names)))

    def test_every_table_is_used_and_has_a_sound_header(self) -> None:
        for file in sorted(FOLDER.glob("*.csv")):
            with self.subTest(file.name):
                self.assertTrue(load(file.stem).rows)

    def test_basic_diameters_carry_their_working(self) -> None:
        for t in library():
            for figure in basic_figures(t):
                self.assertIsInstance(figure, Figure)
                self.assertTrue(figure.formula and figure.source.title, t.designation)

    def test_cells_keyed_twice(self) -> None:
        for table, where, column, value in KEYED_TWICE:
            with self.subTest(table=table, where=where):
                rows = [r for r in load(table).rows if all(r.text(k) == v for k, v in where.items())]
                self.assertEqual([r.number(column) for r in rows], [type(rows[0].number(column))(value)])


class Undercuts(unittest.TestCase):
    def test_rows_ascend_and_clear_the_minor_diameter(self) -> None:
        """DIN 76-1: the undercut lies under the minor diameter, and is wider at most than at least."""
        before = (0.0, 0.0, 0.0, 0.0)
        for row in load("din76").rows:
            now = tuple(float(row.number(c)) for c in ("pitch", "under_major", "width_min", "width_max"))
            with self.subTest(pitch=now[0]):
                self.assertTrue(all(a < b for a, b in zip(before, now, strict=True)))
                self.assertGreater(now[1], 1.22687 * now[0])
                self.assertGreater(now[3], now[2])
            before = now  # type: ignore[assignment]  # four numbers


class WrongFiles(unittest.TestCase):
    def refused(self, text: str) -> str:
        with self.assertRaises(TableError) as told:
            parse("sizes.csv", text)
        return str(told.exception)

    def test_header(self) -> None:
        self.assertIn("header lacks standard", self.refused("a,b\n1,2\n"))
        self.assertIn("source 'hearsay'", self.refused(HEAD.replace("practice", "hearsay") + "a\n1\n"))

    def test_rows(self) -> None:
        self.assertIn("no rows", self.refused(HEAD + "a,b\n"))
        self.assertIn("line 8: 1 cells, 2 columns", self.refused(HEAD + "a,b\n1\n"))

    def test_cells_name_file_and_line(self) -> None:
        row = parse("sizes.csv", HEAD + "a,b,c\n1,x,\n").rows[0]
        for column, told in (("b", "sizes.csv line 8: b is no number"), ("c", "sizes.csv line 8: c is empty")):
            with self.assertRaisesRegex(TableError, told):
                row.number(column)
        with self.assertRaisesRegex(TableError, "is not finite"):
            parse("sizes.csv", HEAD + "a\nInfinity\n").rows[0].number("a")
