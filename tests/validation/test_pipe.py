"""ISO 228-1 against the table of an outside library, size by size."""

from __future__ import annotations

from lathework.threads.limits import major_limits
from tests.validation.published import PublishedCase
from tests.validation.reference import reference_rows


class ParallelPipe(PublishedCase):
    def test_every_size_of_the_outside_table(self) -> None:
        rows = reference_rows("iso_228_1.csv")
        self.assertGreaterEqual(len(rows), 20)
        for row in rows:
            name = f"G{row['size'].replace(' ', '-')}"
            thread = self.compare_basic(
                name, (row["major_diameter"], row["pitch_diameter"], row["minor_diameter"]), (0.640327, 1.280654)
            )
            self.assertEqual(thread.tpi, float(row["tpi"]), name)
            least = thread.major - float(row["external_major_tolerance"])
            self.compare(f"{name} least crest", printed=f"{least:.3f}", by_hand=None, ours=major_limits(thread).minimum)
