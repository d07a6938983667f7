"""Löwenherz threads against the geometry of their form and what is told of them."""

from __future__ import annotations

import math
import unittest

from lathework.errors import InputError
from lathework.threads.designation import read_designation
from lathework.threads.library import library


class Lowenherz(unittest.TestCase):
    def test_the_form_is_a_triangle_as_high_as_its_pitch(self) -> None:
        """Flanks of 2 atan 1/2; an eighth off crest and root leaves three quarters of the pitch on each side."""
        for thread in library():
            if thread.family == "lowenherz":
                self.assertAlmostEqual(thread.form.angle_deg, 2 * math.degrees(math.atan(0.5)), places=2)
                self.assertAlmostEqual((thread.major - thread.minor) / 2, 0.75 * thread.pitch, delta=0.0006)
                self.assertAlmostEqual(thread.major - thread.pitch_diameter, 0.75 * thread.pitch, delta=0.0006)

    def test_pitches_grow_with_the_diameter(self) -> None:
        own = [thread for thread in library() if thread.family == "lowenherz"]
        self.assertEqual(own, sorted(own, key=lambda one: (one.major, one.pitch)))
        self.assertTrue(all(0.12 < one.pitch / one.major < 0.26 for one in own))

    def test_it_is_typed_as_people_write_it(self) -> None:
        for text in ("Lö3", "lö 3", "Löwenherz 3", "Loewenherz 3.0", "lowenherz 3"):
            self.assertEqual(read_designation(text).designation, "Lö3", text)
        with self.assertRaises(InputError):
            read_designation("Lö3.3")
