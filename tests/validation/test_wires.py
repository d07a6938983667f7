"""Three wires and their limits, against the shop formulas that handbooks print for each form."""

from __future__ import annotations

import math

from lathework.answers.size import size
from lathework.gauging.wires import best_wire, over_wires, wire_range
from lathework.threads.designation import read_designation
from tests.validation.published import PublishedCase

#: Best wires as handbooks print them: threads per inch of a 60 degree thread, diameter (inches).
BEST_60 = (
    (32, "0.01804"),
    (24, "0.02406"),
    (20, "0.02887"),
    (18, "0.03208"),
    (16, "0.03608"),
    (14, "0.04124"),
    (13, "0.04441"),
    (12, "0.04811"),
    (11, "0.05249"),
    (10, "0.05774"),
    (9, "0.06415"),
    (8, "0.07217"),
    (7, "0.08248"),
    (6, "0.09623"),
)
#: Whitworth form: W = 0.56369 P (inches).
BEST_55 = ((20, "0.02818"), (16, "0.03523"), (12, "0.04697"), (10, "0.05637"), (8, "0.07046"))
#: Metric best wires: pitch, diameter (millimetres).
BEST_METRIC = (("M6", "0.577"), ("M8", "0.722"), ("M10", "0.866"), ("M12", "1.010"), ("M16", "1.155"), ("M24", "1.732"))
#: Designation and a wire that is not the best one (inches).
OTHER_WIRES = (("1/4-20", 0.035), ("3/8-16", 0.040), ("1/2-13", 0.050), ("3/4-10", 0.065), ("1-8", 0.080))


class Wires(PublishedCase):
    def test_best_wires(self) -> None:
        for tpi, printed in BEST_60:
            wire = best_wire(read_designation(f"1.5-{tpi} UNS")).value
            self.compare(f"60 degree, {tpi} tpi", printed=printed, by_hand=0.57735 / tpi, ours=wire)
        for tpi, printed in BEST_55:
            wire = best_wire(read_designation(f"1.5-{tpi} Whitworth special")).value
            self.compare(f"55 degree, {tpi} tpi", printed=printed, by_hand=0.56369 / tpi, ours=wire)
        for designation, printed in BEST_METRIC:
            wire = best_wire(read_designation(designation)).value
            self.compare(designation, printed=printed, by_hand=None, ours=wire)

    def test_the_60_degree_shop_formula(self) -> None:
        """Handbooks: M = D - 1.5155 P + 3 W over the basic pitch diameter of a 60 degree thread; and the lead angle
        0.75 W tan^2."""
        for designation, wire in OTHER_WIRES:
            thread = read_designation(designation)
            lead = 0.75 * wire * (thread.pitch / math.pi / thread.pitch_diameter) ** 2
            by_hand = thread.major - 1.5155 * thread.pitch + 3 * wire + lead
            ours = over_wires(thread, wire, thread.pitch_diameter).value
            self.assertAlmostEqual(ours, by_hand, delta=0.0001, msg=designation)

    def test_the_whitworth_shop_formula(self) -> None:
        """Handbooks: M = D - 1.6008 P + 3.1657 W over the basic effective diameter of a Whitworth thread; and the lead
        angle 0.852 W tan^2."""
        for designation, wire in (("1/4 BSW", 0.03), ("1/2 BSW", 0.05), ("1 BSW", 0.075), ("1/2 BSF", 0.04)):
            thread = read_designation(designation)
            lead = 0.852 * wire * (thread.pitch / math.pi / thread.pitch_diameter) ** 2
            by_hand = thread.major - 1.6008 * thread.pitch + 3.1657 * wire + lead
            ours = over_wires(thread, wire, thread.pitch_diameter).value
            self.assertAlmostEqual(ours, by_hand, delta=0.0001, msg=designation)

    def test_the_range_of_wires_of_a_60_degree_thread(self) -> None:
        """Handbooks give 0.505 P to 0.900 P or so as the wires that serve a 60 degree thread of basic size."""
        for designation in ("1/4-20", "1/2-13", "1-8", "M10", "M20"):
            found = size(designation)
            assert found.external is not None
            least, greatest = wire_range(found.thread, found.external)
            self.assertAlmostEqual(least.value / found.thread.pitch, 0.505, delta=0.01, msg=designation)
            self.assertAlmostEqual(greatest.value / found.thread.pitch, 0.95, delta=0.06, msg=designation)

    def test_over_the_best_wires_at_the_limits(self) -> None:
        """With the best wire of a 60 degree thread M is d2 + 0.866025 P, and the lead angle: 3/8-16 2A, 0.3287 and
        0.3331 in."""
        found = size("3/8-16")
        assert found.over_wires is not None
        for figure, across in zip(found.over_wires, (0.3287, 0.3331), strict=True):
            lead = 0.75 * 0.57735 / 16 * (1 / 16 / math.pi / across) ** 2
            self.assertAlmostEqual(figure.value, across + 0.866025 / 16 + lead, places=6)
