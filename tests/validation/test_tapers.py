"""Tapers by name against ASME B5.10 (inches) and DIN 228 (angles): tables made from other figures than those kept."""

from __future__ import annotations

import unittest

from lathework.errors import InputError, InvalidDocument
from lathework.fits.taper import read_taper, set_over, tapers
from lathework.tests.samples import body, bore, plan, section

#: ASME B5.10, Morse tapers: end of the socket, small end of the plug, plug depth (inches), taper per foot.
MORSE = {
    "MT0": (0.3561, 0.252, 2.0, 0.62460),
    "MT1": (0.475, 0.369, 2.125, 0.59858),
    "MT2": (0.700, 0.572, 2.5625, 0.59941),
    "MT3": (0.938, 0.778, 3.1875, 0.60235),
    "MT4": (1.231, 1.020, 4.0625, 0.62326),
    "MT5": (1.748, 1.475, 5.1875, 0.63151),
    "MT6": (2.494, 2.116, 7.25, 0.62565),
}
#: DIN 228, half the angle of the cone: degrees, minutes, seconds.
HALF_ANGLE = {
    "MT0": (1, 29, 27),
    "MT1": (1, 25, 43),
    "MT2": (1, 25, 50),
    "MT3": (1, 26, 16),
    "MT4": (1, 29, 15),
    "MT5": (1, 30, 26),
    "MT6": (1, 29, 36),
}
#: DIN 238: which Morse taper each chuck taper is a piece of; the larger of each pair is its large end.
CHUCK = {"B10": "MT1", "B12": "MT1", "B16": "MT2", "B18": "MT2", "B22": "MT3", "B24": "MT3"}
#: ASME B5.10, chuck tapers: large end, small end, length (inches) (memory).
JACOBS = {
    "JT0": (0.2500, 0.22844, 0.43750),
    "JT1": (0.3840, 0.33341, 0.65625),
    "JT2": (0.5590, 0.48764, 0.87500),
    "JT2 short": (0.5488, 0.48764, 0.75000),
    "JT3": (0.8110, 0.74610, 1.21875),
    "JT4": (1.1240, 1.0372, 1.6563),
    "JT5": (1.4130, 1.3161, 1.8750),
    "JT6": (0.6760, 0.6241, 1.0000),
    "JT33": (0.6240, 0.5605, 1.0000),
}
#: Small ends of the half inch to the foot tapers (inches); number 10 has a taper of its own (memory).
HALF_INCH = {"5": 0.45, "6": 0.5, "7": 0.6, "8": 0.75, "9": 0.9001, "10": 1.04465, "11": 1.24995, "12": 1.5001}
STEEP_HALF_ANGLE = 8.0 + 17.0 / 60 + 50.0 / 3600
"""7/24: 8 degrees 17 minutes 50 seconds (ISO 297)."""


class Tapers(unittest.TestCase):
    def test_morse_ends(self) -> None:
        """The metric large end is that of the inch table; the taper leads from it to the small end printed there."""
        for name, (large, small, deep, per_foot) in MORSE.items():
            with self.subTest(name):
                taper = tapers()[name]
                self.assertAlmostEqual(taper.large_mm / 25.4, large, delta=0.0005)
                self.assertAlmostEqual(12 * taper.ratio, per_foot, delta=0.000055)
                self.assertAlmostEqual(large - deep * taper.ratio, small, delta=0.0006)

    def test_the_angle_of_the_slide(self) -> None:
        for name, (degrees, minutes, seconds) in HALF_ANGLE.items():
            with self.subTest(name):
                printed = degrees + minutes / 60 + seconds / 3600
                self.assertAlmostEqual(set_over(tapers()[name]).value, printed, delta=0.6 / 3600)
        self.assertAlmostEqual(set_over(tapers()["7/24 No. 30"]).value, STEEP_HALF_ANGLE, delta=0.6 / 3600)

    def test_chuck_tapers_are_pieces_of_morse_tapers(self) -> None:
        for name, morse in CHUCK.items():
            with self.subTest(name):
                self.assertEqual(tapers()[name].ratio, tapers()[morse].ratio)
                self.assertLessEqual(tapers()[name].large_mm, tapers()[morse].large_mm)
        self.assertEqual([tapers()[b].large_mm for b in ("B12", "B18", "B24")], [12.065, 17.78, 23.825])

    def test_chuck_and_spindle_tapers(self) -> None:
        """By their small ends, which the table does not hold."""
        for name, (large, small, long) in JACOBS.items():
            taper = tapers()[name]
            with self.subTest(name):
                self.assertAlmostEqual(taper.large_mm / 25.4, large, delta=0.00005)
                self.assertAlmostEqual(large - long * taper.ratio, small, delta=0.00006)
        for number, small in HALF_INCH.items():
            taper = tapers()[f"B&S {number}"]
            with self.subTest(number):
                self.assertAlmostEqual(taper.large_mm - taper.long_mm * taper.ratio, small * 25.4, delta=0.002)
                self.assertAlmostEqual(12 * taper.ratio, 0.516 if number == "10" else 0.5, delta=0.0035)
        # R8 has 16 degrees 51 minutes between its sides, 5C twenty.
        self.assertAlmostEqual(set_over(tapers()["R8"]).value, 8.425, delta=0.001)
        self.assertAlmostEqual(set_over(tapers()["5C"]).value, 10, delta=0.001)

    def test_how_people_write_them(self) -> None:
        for text, name in (
            ("Morse 2", "MT2"),
            ("2 mt", "MT2"),
            ("MT no. 3", "MT3"),
            ("b16", "B16"),
            ("metric 6", "metric 6"),
            ("7/24 40", "7/24 No. 40"),
            ("jt 33", "JT33"),
            ("Jacobs 2 short", "JT2 short"),
            ("JT2S", "JT2 short"),
            ("b&s 7", "B&S 7"),
            ("R8", "R8"),
            ("5c collet", "5C"),
        ):
            self.assertEqual(read_taper(text, "taper").name, name, text)
        # Half of an included angle of 2 atan(1/40) is 1 in 20 on the diameter.
        self.assertAlmostEqual(read_taper("2,8642 deg", "taper").ratio, 1 / 20, places=5)
        # ASME B5.10: an MT3 plug is 0.938 in at the gauge line and 0.778 in 3.1875 in further.
        self.assertAlmostEqual(read_taper("0.938 to 0.778 over 3.1875", "taper").ratio, 1 / 19.922, places=4)
        for text in ("", "5 to 5 over 10", "MT9", "2", "1:0", "0:5", "200°", "1 on 20", "B11"):
            with self.subTest(text), self.assertRaises(InputError):
                read_taper(text, "taper")
        for text in ("3:1", "1:5000"):
            with self.subTest(text), self.assertRaisesRegex(InputError, "1 in 1000"):
                read_taper(text, "taper")

    def test_a_shank_of_morse_taper(self) -> None:
        """64 mm of MT2: 0.700 in at the gauge line, 0.572 in after 2.5625 in; so 14.58 mm after 64."""
        made = plan(
            {
                "unit": "mm",
                "part.overall_length": "",
                "part.stock.across": "25",
                "part.sections": [
                    section("taper", "64", taper="MT2", chamfer="1"),
                    section("round", "30", across="24"),
                ],
                "setup.groove_blade": "2",
                "setup.parting_blade": "2",
            }
        )
        step = made.operation("taper:s1")
        assert step is not None
        small = 25.4 * (0.700 - (0.700 - 0.572) / 2.5625 * 64 / 25.4)
        self.assertAlmostEqual(step.figures["small"].value, small, delta=0.02)
        self.assertAlmostEqual(step.figures["angle"].value, 1 + 25 / 60 + 50 / 3600, places=3)
        # The finished end is chamfered from its own size, and never gripped by the taper.
        edge = made.operation("edge:s1.right")
        assert edge is not None and edge.cut is not None
        self.assertAlmostEqual(edge.cut.outer_mm, small, delta=0.02)
        self.assertNotIn("taper", " ".join(c.grip.words for c in made.chuckings))

    def test_a_socket_of_morse_taper(self) -> None:
        """A sleeve's bore for MT2: 17.78 mm at the mouth, after 2.5625 in as wide as the plug's end: 0.572 in. It is
        drilled under that, and blind holes at 90 degrees are told by their angle."""
        socket = bore(across="", taper="MT2", depth="2.5625 in")
        round_ = bore(across="6", depth="5", end="across", at="80", count="4")
        made = plan(
            {
                "unit": "mm",
                "part.overall_length": "",
                "part.stock.across": "40",
                "part.sections": [section("bar", "90")],
                "part.bores": [socket, round_],
                "setup.groove_blade": "2",
                "setup.parting_blade": "2",
            }
        )
        step, drill, mark = (made.operation(key) for key in ("socket:b1", "drill:b1", "cross-mark:b2"))
        assert step is not None and drill is not None and mark is not None and drill.cut is not None
        self.assertAlmostEqual(step.figures["mouth"].value, 17.78)
        self.assertAlmostEqual(step.figures["small"].value / 25.4, 0.572, delta=0.0006)
        self.assertLess(drill.cut.outer_mm, 0.572 * 25.4)
        self.assertEqual(mark.figures["apart"].value, 90)

    def test_what_no_taper_can_be(self) -> None:
        for cone, field in (
            (section("taper", "20"), "taper"),
            (section("taper", "20", taper="1 on 20", across="18"), "taper"),
            (section("taper", "20", taper="1:20"), "across"),
            (section("taper", "38", taper="1:2", across="18"), "length"),
            (section("taper", "20", taper="MT3"), "across"),
        ):
            changes = {"unit": "mm", "part.stock.across": "20", "part.overall_length": ""}
            with self.subTest(cone), self.assertRaises(InvalidDocument) as caught:
                plan(changes | {"part.sections": [cone, section("bar", "30")]})
            self.assertIn(f"part.sections.0.{field}", [error.field for error in caught.exception.errors])

    def test_what_no_socket_can_be(self) -> None:
        for hole, field in (
            (bore(across="", taper="MT2"), "part.bores.0.depth"),
            (bore(across="", taper="MT0", depth="50"), "part.bores.0.depth"),
            (bore(across="", taper="1:20", depth="20"), "part.bores.0.across"),
            (bore(across="10", taper="1:20", depth="5", end="across", at="20"), "part.bores.0.taper"),
            (bore(across="6", end="across", at="20", count="4"), "part.bores.0.count"),
            (bore(across="6", depth="5", count="4"), "part.bores.0.count"),
        ):
            with self.subTest(hole), self.assertRaises(InvalidDocument) as caught:
                plan(body(hole, **{"unit": "mm", "part.stock.across": "40", "part.overall_length": "90"}))
            self.assertIn(field, [error.field for error in caught.exception.errors])


if __name__ == "__main__":
    unittest.main()
