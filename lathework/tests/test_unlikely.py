"""Readings that are far from the expected one: slips of a finger are asked about, honest readings are not."""

from __future__ import annotations

import random
import unittest

from lathework.bench.acts.measured import reading_entry
from lathework.bench.entry import Entry
from lathework.bench.gauge.verdict_entry import wires_entry
from lathework.bench.progress import progress
from lathework.bench.size.expected_reading import expected_reading
from lathework.bench.size.size_now import SizeNow
from lathework.bench.size.unlikely import Expected, check_likely
from lathework.bench.tally import Reading
from lathework.cutting.cuts import pass_diameters
from lathework.cutting.dimension import Dimension, Target
from lathework.cutting.next_cut import next_cut
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.cutting.to_size.pass_made import PassMade
from lathework.errors import InputError
from lathework.instruments.slips import meant_by
from lathework.lengths import Length, read_length
from lathework.tests.samples import SCREW, plan, section, told
from tests.long import draws
from tests.simulation.fingers import slipped
from tests.simulation.springy_lathes import MISFITS, springy_lathes

NEAR_MM = 0.03
"""A slip that is off by less is no slip that anybody could see."""


def asked(text: str, expected: Expected) -> InputError | None:
    """What is asked about a reading of so many millimetres; None where nothing is."""
    try:
        check_likely(Length(float(text), "mm", text), expected)
    except InputError as why:
        return why
    return None


class Slips(unittest.TestCase):
    EXPECTED = Expected(16.4945, 0.03, 15.9, 17.1, 0.02)

    def test_what_was_typed_for_16_49(self) -> None:
        """Two digits swapped, one beside the right one, one too many, the other unit, half, a turn of the thimble."""
        for typed in ("16.94", "17.49", "16.049", "16.59", "15.99"):
            with self.subTest(typed):
                why = asked(typed, self.EXPECTED)
                assert why is not None
                self.assertEqual((why.code, why.field), ("unlikely", "reading"))
                self.assertIn("16.49", why.message)
                self.assertTrue(any(choice.startswith("16.4") for choice in why.choices), why.choices)
        for typed in ("16.49", "16.52", "16.45"):
            self.assertIsNone(asked(typed, self.EXPECTED), typed)

    def test_the_other_units(self) -> None:
        texts = {one.text: one.mm for one in meant_by("0.649", "mm")}
        self.assertTrue(any(abs(mm - 16.4846) < 0.001 for mm in texts.values()), "an inch for a millimetre")
        self.assertEqual(meant_by("5/16", "in"), [], "a fraction is no slip of a digit")
        self.assertEqual(meant_by("6.1.3", "mm"), [])

    def test_over_wires(self) -> None:
        """M6 over wires of 0.577: about 6.133 is expected, 6.33 lacks a digit; it is kept where it was read again."""
        made = plan(
            {
                "unit": "mm",
                "part.stock.across": "8 mm",
                "part.sections": [section("thread", "10 mm", thread="M6"), section("bar", "20 mm")],
                "part.overall_length": "30 mm",
                "setup.groove_blade": "2 mm",
                "setup.parting_blade": "2 mm",
            }
        )
        keys = [step.key for step in made.operations]
        before = [told(made, Entry("done", 1, key)) for key in keys[: keys.index("gauge:s1")]]
        now = progress([made], before).bench
        right = wires_entry(now, read_length("6.133", "mm", "reading"), read_length("0.577", "mm", "wire"))
        self.assertEqual(right.kind, "verdict")
        wrong, wire = read_length("6.33", "mm", "reading"), read_length("0.577", "mm", "wire")
        with self.assertRaises(InputError) as why:
            wires_entry(now, wrong, wire)
        self.assertEqual(why.exception.code, "unlikely")
        self.assertIn("6.133 mm", why.exception.choices)
        self.assertEqual(wires_entry(now, wrong, wire, sure=True).value_mm, 6.33)

    def test_a_reading_is_kept_once_it_was_read_again(self) -> None:
        made = plan(SCREW)
        turned = next(step for step in made.operations if step.key == "turn:s2")
        begun = [
            told(made, entry)
            for entry in (Entry("done", 1, "face:right"), Entry("reading", 1, turned.key, 12.7, "diameter"))
        ]
        now = progress([made], begun).bench
        expected = now.sizes[0].cut.expect
        assert expected is not None
        wrong = f"{expected.value * 25.4 + 0.9:.2f} mm"
        with self.assertRaises(InputError):
            reading_entry(now, read_length(wrong, "mm", "reading"))
        kept = reading_entry(now, read_length(wrong, "mm", "reading"), sure=True)
        self.assertEqual(kept.kind, "reading")


class OnSpringyLathes(unittest.TestCase):
    """Pieces turned on lathes of the tests' own, every reading typed, some with a slip."""

    LATHES = draws(4, 40)

    def test_slips_are_asked_about_and_honest_readings_hardly_ever(self) -> None:
        """Of forty slips 38, of four hundred honest readings at most four: with a margin for chance in a short run."""
        dice, honest, doubted, slips, caught = random.Random(3), 0, 0, 0, 0
        for name, misfit in MISFITS.items():
            for lathe in springy_lathes(misfit, self.LATHES, 4) if name != "slips" else ():
                start, aim = dice.uniform(12, 20), 10.0
                sizes = pass_diameters(start, aim, 2.0)
                target = Target(aim - 0.02, aim, aim + 0.02)
                turned = Dimension(
                    "diameter", "diameter", target, start, 2.0, "cross-slide", sizes_mm=sizes, leaves_mm=FINISH_MM
                )
                readings, begun = [Reading(lathe.chuck(start))], False
                while True:
                    last = readings[-1].value_mm
                    cut = next_cut(
                        last_mm=last, dimension=turned, passes=lathe.told, dial="diameter", unit="mm", stands=begun
                    )
                    if cut.dial is None:
                        break
                    dialled = round(cut.cut_mm, 2)
                    lathe.cut(dialled)
                    read = lathe.measure()
                    expected = expected_reading(SizeNow(turned, tuple(readings), cut, None), dialled)
                    assert expected is not None
                    text = f"{read:.3f}"
                    honest, doubted = honest + 1, doubted + (asked(text, expected) is not None)
                    typed = slipped(text, dice)
                    if abs(float(typed) - read) > NEAR_MM:
                        slips += 1
                        # What no reading can be is refused whatever was expected.
                        refused = not aim / 2 <= float(typed) <= min(last + 0.1, 1.05 * start + 0.2)
                        caught += refused or asked(typed, expected) is not None
                    lathe.told.append(PassMade(dialled, last - read, follows=begun))
                    readings.append(Reading(read, dialled, stated=True))
                    begun = True
        self.assertGreaterEqual(caught / slips, 0.93, f"{caught} of {slips}")
        self.assertLessEqual(doubted / honest, 0.015, f"{doubted} of {honest}")


class Densities(unittest.TestCase):
    def test_a_reading_is_somewhere(self) -> None:
        """Over all sizes the chances come to one, whether other sizes are as likely or not."""
        for others in ((), (10.0,), (10.0, 11.5, 12.5)):
            with self.subTest(others=others):
                expected = Expected(11.0, 0.02, 9.9, 13.0, 0.25, others)
                step_mm = 0.001
                total = sum(expected.density(8.0 + step_mm * n) for n in range(7000)) * step_mm
                self.assertAlmostEqual(total, 1.0, delta=0.002)

    def test_what_no_tool_is_learned_of_is_expected_by_what_was_dialled(self) -> None:
        """A shoulder faced: from 10 mm, 1.5 dialled, about 11.5 is expected, the surer the less was dialled."""
        band = Target(14.9, 15.0, 15.1)
        along = Dimension("length", "face to shoulder", band, 0.0, 5.0, "carriage", grows=True)
        spreads = []
        for dialled in (1.5, 0.5):
            cut = next_cut(last_mm=10.0, dimension=along, passes=(), dial="diameter", unit="mm")
            found = expected_reading(SizeNow(along, (Reading(10.0),), cut, None), dialled)
            assert found is not None
            self.assertAlmostEqual(found.aim_mm, 10.0 + dialled)
            spreads.append(found.spread_mm)
        self.assertGreater(spreads[0], spreads[1])
