"""A thread measured over wires: its pitch diameter, its class, and what may be said of it."""

from __future__ import annotations

import math
import random
import unittest
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from lathework.figures import PRACTICE, Figure
from lathework.gauging.sized import GUARD, Sized, class_chance, judge_size, pitch_diameter_under, uncertainty
from lathework.gauging.wires import WIRES, best_wire, lead_term, over_wires
from lathework.threads.designation import read_called
from lathework.threads.limits import external_limits
from lathework.threads.standards.bands import ExternalLimits
from lathework.threads.thread import Thread

STUD = read_called("3/8-16").thread


def bolt() -> ExternalLimits:
    found = external_limits(STUD, "2A")
    assert found is not None
    return found


def judged(size: float) -> Sized:
    found = Figure("pitch diameter, measured", size, "in", "typed", WIRES, kind="typed")
    return judge_size(STUD, bolt(), found, uncertainty(STUD))


def lowered(thread: Thread, wire: float, lead: float) -> float:
    """The measurement over wires that lie along grooves of that `lead`, found by lowering a wire until it touches.

    The flank is the surface z = lead θ / 2π + (pitch / 4 + (r - r2) tan(a/2)) of a helicoid; the wire a straight
    cylinder whose axis crosses the x axis at right angles, turned by the lead angle of the pitch cylinder.
    """
    tangent, pitch_radius = math.tan(math.radians(thread.form.angle_deg / 2)), thread.pitch_diameter / 2
    slope = lead / (2 * math.pi * pitch_radius)
    along = (math.cos(math.atan(slope)), math.sin(math.atan(slope)))

    def gap(at: float) -> float:
        """How far the flank is from the wire's axis `at` that distance, at its nearest."""

        def distance(radius: float, turn: float) -> float:
            x, y = radius * math.cos(turn) - at, radius * math.sin(turn)
            z = lead * turn / (2 * math.pi) + thread.pitch / 4 + (radius - pitch_radius) * tangent
            beside = y * along[0] + z * along[1]
            return math.sqrt(x * x + y * y + z * z - beside * beside)

        radius, turn, step, tilt = pitch_radius, 0.0, thread.pitch / 4, 0.1
        best = distance(radius, turn)
        while step > 1e-9 * thread.pitch:
            near = [(radius + a * step, turn + b * tilt) for a in (-1, 0, 1) for b in (-1, 0, 1)]
            found = min(near, key=lambda one: distance(*one))
            if distance(*found) < best - 1e-15:
                best, (radius, turn) = distance(*found), found
            else:
                step, tilt = step / 2, tilt / 2
        return best

    low, high = pitch_radius - thread.pitch, pitch_radius + 2 * wire
    for _ in range(60):
        middle = (low + high) / 2
        low, high = (middle, high) if gap(middle) < wire / 2 else (low, middle)
    return 2 * low + wire


class OverWires(unittest.TestCase):
    def test_the_pitch_diameter_is_what_the_handbook_formula_gives(self) -> None:
        """60 degrees: M = d2 + 3 W - 0.866025 P + 0.75 W tan^2; 55 degrees: M = d2 + 3.16568 W - 0.960491 P + 0.852 W
        tan^2 of the lead angle (three-wire formulas)."""
        found = pitch_diameter_under(STUD, 0.3850, 0.0361).value
        lead = 0.75 * 0.0361 * (1 / 16 / math.pi / 0.3344) ** 2
        self.assertAlmostEqual(found, 0.3850 - 3 * 0.0361 + 0.866025 / 16 - lead, places=6)
        whitworth = read_called("1/2 BSW").thread
        found = pitch_diameter_under(whitworth, 0.5110, 0.0470).value
        lead = 0.852 * 0.0470 * (1 / 12 / math.pi / 0.4466) ** 2
        self.assertAlmostEqual(found, 0.5110 - 3.16568 * 0.0470 + 0.960491 / 12 - lead, places=5)

    def test_the_lead_angle_is_what_a_wire_in_the_groove_says(self) -> None:
        """Worked out without the formula: a wire along the groove of a helix is lowered until it touches a flank. The
        first term of the lead angle is what that gives, in 1/4-20 and in a Tr20 of lead 8."""
        for name, starts, wire, within in (("1/4-20", 1, 0.0289, 5e-7), ("Tr20x4", 2, 2.07, 0.004)):
            thread = replace(read_called(name).thread, starts=starts)
            [plain, steep] = (lowered(thread, wire, lead) for lead in (1e-6, thread.lead))
            told = over_wires(thread, wire, thread.pitch_diameter).value
            half = math.radians(thread.form.angle_deg / 2)
            by_angle = thread.pitch_diameter + wire * (1 + 1 / math.sin(half)) - thread.pitch / 2 / math.tan(half)
            with self.subTest(name):
                self.assertAlmostEqual(plain, by_angle, delta=within)
                self.assertAlmostEqual(steep, told, delta=within)

    @given(st.sampled_from(("M8", "1/4-20", "1/2 BSW", "2 BA", "G1/4")), st.floats(-0.1, 0.1), st.floats(0.8, 1.2))
    def test_it_undoes_the_measurement(self, name: str, off: float, share: float) -> None:
        thread = read_called(name).thread
        wire, size = best_wire(thread).value * share, thread.pitch_diameter + off
        told = pitch_diameter_under(thread, over_wires(thread, wire, size).value, wire).value
        # The lead angle is taken at the basic pitch diameter, not at the one that is sought.
        slack = 2 * lead_term(thread, wire, size) * abs(off) / size + 1e-7
        self.assertAlmostEqual(told, size, delta=2 * slack)


class Guarded(unittest.TestCase):
    """ASME B1.1: the pitch diameter of 3/8-16 UNC 2A is 0.3287 to 0.3331 in."""

    def test_a_size_passes_only_where_it_keeps_its_distance(self) -> None:
        guard = GUARD * uncertainty(STUD).value / 25.4
        for size, verdict in (
            (0.3309, "size-in"),
            (0.3331 - 1.1 * guard, "size-in"),
            (0.3331 - 0.8 * guard, "size-near"),
            (0.3331 + 0.8 * guard, "size-near"),
            (0.3331 + 1.2 * guard, "size-large"),
            (0.3287 - 1.2 * guard, "size-small"),
            (0.3287, "size-near"),
        ):
            with self.subTest(size):
                self.assertEqual(judged(size).verdict, verdict)
        self.assertAlmostEqual(judged(0.3331).chance.value, 50, places=0)

    @given(st.floats(0.320, 0.340))
    def test_one_in_twenty_at_most_is_passed_or_failed_wrongly(self, size: float) -> None:
        told = judged(size)
        if told.verdict == "size-in":
            self.assertGreaterEqual(told.chance.value, 94.999)
        elif told.verdict != "size-near":
            self.assertLessEqual(told.chance.value, 5.0001)

    def test_the_chance_is_how_often_it_is_so(self) -> None:
        """Sizes scattered about a reading as far as its uncertainty says: how many of 20,000 are in the class."""
        dice, spread = random.Random(2), uncertainty(STUD).value / 25.4
        for size in (0.3329, 0.3333, 0.3289):
            inside = sum(0.3287 <= dice.gauss(size, spread) <= 0.3331 for _ in range(20_000)) / 200
            self.assertAlmostEqual(judged(size).chance.value, inside, delta=1.5)

    def test_the_uncertainty_is_of_micrometer_and_wires(self) -> None:
        """A wire of 1 µm counts threefold at 60 degrees: √(4² + 3²) = 5 µm."""
        self.assertAlmostEqual(uncertainty(STUD).value, 0.005)
        self.assertAlmostEqual(
            uncertainty(read_called("1/2 BSW").thread).value, math.hypot(0.004, 0.00316568), places=6
        )


class Conformance(unittest.TestCase):
    """JCGM 106:2012, 7.3 and 7.4, from memory: the conformance probability of its worked examples."""

    def test_an_interval_of_two_sides(self) -> None:
        """A viscosity of 13.6 with a standard uncertainty of 1.8 mm²/s, tolerated from 12.5 to 16.3: about 0.66."""
        chance = class_chance("in its class", (16.3 - 12.5) / 2, 13.6 - (16.3 + 12.5) / 2, 1.8, PRACTICE)
        self.assertAlmostEqual(chance.value / 100, 0.66, delta=0.005)

    def test_one_side(self) -> None:
        """A breakdown voltage of -5.47 V, standard uncertainty 0.05 V, tolerated up to -5.40 V: 0.92. The other limit
        is a hundred uncertainties away."""
        half = 100 * 0.05
        chance = class_chance("in its class", half, -5.47 - (-5.40 - half), 0.05, PRACTICE)
        self.assertAlmostEqual(chance.value / 100, 0.92, delta=0.005)
