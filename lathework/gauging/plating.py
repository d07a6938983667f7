"""What plating adds to a thread, and the limits to cut to before it."""

from __future__ import annotations

import math

from lathework.figures import GEOMETRY, Figure, Given
from lathework.threads.standards.bands import Band
from lathework.threads.thread import Thread

ON_DIAMETER = 2.0


def pitch_growth(thread: Thread, thickness: float) -> Figure:
    """Growth of the pitch diameter by a plating of `thickness`, both in the thread's unit: 2 t / sin(a/2).

    On a 60 degree thread four times the thickness. Source: geometry of the flanks.
    """
    return Figure(
        "plating adds to the pitch diameter",
        ON_DIAMETER * thickness / math.sin(math.radians(thread.form.angle_deg / 2)),
        thread.unit,
        "2 × thickness ÷ sin(flank angle ÷ 2)",
        GEOMETRY,
        (Given("thickness", thickness, thread.unit), Given("flank angle", thread.form.angle_deg, "°")),
        note="Plating builds up more on crests than in roots: always gauge after plating.",
    )


def before_plating(band: Band, growth: float, *, internal: bool) -> tuple[Figure, Figure]:
    """Least and greatest of a diameter to cut to before plating; `growth` on the diameter in the band's unit.

    An external thread is cut smaller by the growth, an internal one larger.
    """
    sign = 1 if internal else -1
    words = f"limit {'+' if internal else '−'} added"
    least, greatest = (
        Figure(
            f"{band.name} before plating, {which}",
            value + sign * growth,
            band.unit,
            words,
            band.source,
            (Given("limit", value, band.unit), Given("added", growth, band.unit)),
        )
        for which, value in (("minimum", band.minimum), ("maximum", band.maximum))
    )
    return least, greatest
