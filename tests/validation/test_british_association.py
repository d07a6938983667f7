"""BS 93: every BA size. Rows recalled from the printed table, keyed a second time from the product's own."""

from __future__ import annotations

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


class BritishAssociation(PublishedCase):
    def test_every_size(self) -> None:
        """By hand: 0.6 P and 1.2 P under the major; the table rounds to 0.005 and 0.01."""
        for number, pitch, *printed in BASIC:
            thread = self.compare_basic(f"{number} BA", (printed[0], printed[1], printed[2]), (0.6, 1.2), steps=3)
            self.compare(f"{number} BA pitch", printed=pitch, by_hand=0.9**number, ours=thread.pitch)
