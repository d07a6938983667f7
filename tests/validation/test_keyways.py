"""Keyways: depths by ASME B17.1 as its table prints them, keys of DIN 6885-1 by what shaft and hub leave over a key."""

from __future__ import annotations

import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.cutting.keyway import in_hub, in_shaft, key_in, usual_width
from lathework.tables.loader import load

#: ASME B17.1, square keys: shaft, key, keyseat to the side opposite (S), over bore and keyway (T), inches.
PRINTED = (
    (0.5, 0.125, 0.430, 0.560),
    (0.625, 0.1875, 0.517, 0.709),
    (0.75, 0.1875, 0.644, 0.837),
    (0.875, 0.1875, 0.771, 0.964),
    (1.0, 0.25, 0.859, 1.114),
    (1.25, 0.25, 1.112, 1.367),
    (1.5, 0.375, 1.289, 1.669),
    (2.0, 0.5, 1.718, 2.223),
)
#: DIN 6885-1: shaft, key wide, deep in the shaft and in the hub, millimetres.
METRIC = (
    (10, 3, 1.8, 1.4),
    (12, 4, 2.5, 1.8),
    (20, 6, 3.5, 2.8),
    (25, 8, 4.0, 3.3),
    (40, 12, 5.0, 3.3),
    (60, 18, 7.0, 4.4),
)


class Keyways(unittest.TestCase):
    def test_square_keys_as_printed(self) -> None:
        for shaft, wide, left, over in PRINTED:
            with self.subTest(shaft=shaft):
                width = usual_width(25.4 * shaft, "in")
                assert width is not None
                self.assertAlmostEqual(width, 25.4 * wide)
                key = key_in(25.4 * shaft, width)
                self.assertAlmostEqual(in_shaft(25.4 * shaft, key, "in")["left"].value, left, delta=0.00051)
                self.assertAlmostEqual(in_hub(25.4 * shaft, key, "in")["over"].value, over, delta=0.00051)

    def test_metric_keys_as_printed(self) -> None:
        for shaft, wide, deep, hub in METRIC:
            with self.subTest(shaft=shaft):
                self.assertEqual(usual_width(shaft, "mm"), wide)
                key = key_in(shaft, wide)
                self.assertEqual((key.shaft_mm, key.hub_mm), (deep, hub))

    def test_every_row_leaves_a_little_over_the_key(self) -> None:
        """Depths of shaft and hub together stand 0.2 to 0.4 mm over the key, more for a larger one; rows join up."""
        rows = load("keys").rows
        over = [float(row.number("shaft")) + float(row.number("hub")) - float(row.number("high")) for row in rows]
        self.assertTrue(all(0.19 < one < 0.41 for one in over), over)
        self.assertEqual([round(one, 1) for one in over], sorted(round(one, 1) for one in over))
        for before, after in zip(rows, rows[1:], strict=False):
            self.assertEqual(before.number("to"), after.number("over"))
            self.assertGreater(after.number("wide"), before.number("wide"))

    @given(st.floats(8, 80), st.floats(0.1, 0.4))
    def test_a_square_key_fills_both_halves(self, across: float, share: float) -> None:
        """Whatever its size: what shaft and hub have of it is the key, and the hub's clearance."""
        wide = share * across
        key = key_in(across, wide)
        if not key.tabled:
            self.assertAlmostEqual(key.shaft_mm + key.hub_mm, wide + 0.127)


if __name__ == "__main__":
    unittest.main()
