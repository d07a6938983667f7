"""BS 93: every BA size. Rows recalled from the printed table, keyed a second time from the product's own."""

from __future__ import annotations

from lathework.threads.designation import read_designation
from lathework.threads.limits import external_classes
from tests.validation.published import PublishedCase

#: BS 93, basic dimensions: number, pitch, major, effective, minor (mm).
BASIC = (
    (0, "1.00", "6.00", "5.400", "4.80"),
    (1, "0.90", "5.30", "4.760", "4.22"),
    (2, "0.81", "4.70", "4.215", "3.73"),
    (3, "0.73", "4.10", "3.660", "3.22"),
    (4, "0.66", "3.60", "3.205", "2.81"),
    (5, "0.59", "3.20", "2.845", "2.49"),
    (6, "0.53", "2.80", "2.480", "2.16"),
    (7, "0.48", "2.50", "2.210", "1.92"),
    (8, "0.43", "2.20", "1.940", "1.68"),
    (9, "0.39", "1.90", "1.665", "1.43"),
    (10, "0.35", "1.70", "1.490", "1.28"),
    (11, "0.31", "1.50", "1.315", "1.13"),
    (12, "0.28", "1.30", "1.130", "0.96"),
    (13, "0.25", "1.20", "1.050", "0.90"),
    (14, "0.23", "1.00", "0.860", "0.72"),
    (15, "0.21", "0.90", "0.775", "0.65"),
    (16, "0.19", "0.79", "0.675", "0.56"),
)

#: Limits worked by hand from the BS 93 formulas as handbooks give them (the printed limits were not at hand): number;
#: normal bolt major greatest, least, effective greatest, least; nut effective and minor greatest (mm).
LIMITS = (
    (0, "5.975", "5.775", "5.375", "5.250", "5.550", "5.175"),
    (1, "5.275", "5.095", "4.735", "4.620", "4.898", "4.558"),
    (2, "4.675", "4.513", "4.190", "4.084", "4.342", "4.034"),
    (3, "4.075", "3.929", "3.635", "3.537", "3.778", "3.494"),
    (4, "3.575", "3.443", "3.180", "3.089", "3.314", "3.058"),
    (5, "3.175", "3.057", "2.820", "2.736", "2.946", "2.711"),
    (6, "2.775", "2.669", "2.455", "2.377", "2.574", "2.359"),
    (7, "2.475", "2.379", "2.185", "2.112", "2.298", "2.100"),
    (8, "2.175", "2.089", "1.915", "1.847", "2.022", "1.841"),
    (9, "1.875", "1.797", "1.640", "1.576", "1.742", "1.576"),
    (10, "1.675", "1.605", "1.465", "1.405", "1.562", "1.411"),
    (11, "1.500", "1.423", "1.315", "1.259", "1.382", "1.246"),
    (12, "1.300", "1.230", "1.130", "1.077", "1.194", "1.065"),
    (13, "1.200", "1.138", "1.050", "1.000", "1.110", "0.994"),
    (14, "1.000", "0.943", "0.860", "0.812", "0.918", "0.806"),
    (15, "0.900", "0.848", "0.775", "0.729", "0.830", "0.729"),
    (16, "0.790", "0.743", "0.675", "0.631", "0.728", "0.631"),
)


class BritishAssociation(PublishedCase):
    def test_every_size(self) -> None:
        """By hand: 0.6 P and 1.2 P under the major; the table rounds to 0.005 and 0.01."""
        for number, pitch, *printed in BASIC:
            thread = self.compare_basic(f"{number} BA", (printed[0], printed[1], printed[2]), (0.6, 1.2), steps=3)
            self.compare(f"{number} BA pitch", printed=pitch, by_hand=0.9**number, ours=thread.pitch)

    def test_limits_of_every_size(self) -> None:
        for number, *worked in LIMITS:
            thread = read_designation(f"{number} BA")
            bolt, nut = self.external(thread, "normal"), self.internal(thread)
            ours = (
                *(bolt.major.maximum, bolt.major.minimum, bolt.pitch_diameter.maximum, bolt.pitch_diameter.minimum),
                *(nut.pitch_diameter.maximum, nut.minor.maximum),
            )
            for printed, value in zip(worked, ours, strict=True):
                self.compare(f"{number} BA", printed=printed, by_hand=None, ours=value)
            self.assertEqual("close" in external_classes(thread), number <= 10)
