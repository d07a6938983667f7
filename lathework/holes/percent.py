"""Per cent thread in a stated convention, and the metal that a tap cuts for it."""

from __future__ import annotations

import math

from lathework.figures import Figure, Given, Source
from lathework.threads.families import family_of
from lathework.threads.thread import Thread

BASIC_60 = 1.082532
THREE_QUARTERS, FLAT = 0.649519, 1 / 8
"""Three quarters of the height of the sharp 60 degree triangle, and the flat at its top, in pitches (ISO 68-1)."""
"""Basic height of a 60 degree thread on the diameter, in pitches."""
CONVENTION = Source("practice", "per cent thread, by the convention named")
TAPPED_PERCENT = 75.0
"""Per cent thread to which torques are compared."""


def convention(thread: Thread) -> tuple[float, str]:
    """Full depth on the diameter in pitches, and the convention in words."""
    percent = family_of(thread).percent
    return percent.hundred_on_diameter, percent.words


def percent_thread(thread: Thread, drill_diameter: float) -> float:
    """Per cent thread left by a hole of `drill_diameter` (thread's unit): 100 (D - drill) / (k P).

    k by `convention`. Source: practice.

    >>> from lathework.threads.designation import read_designation
    >>> round(percent_thread(read_designation("1/2-13"), 27 / 64))
    78
    """
    return 100 * (thread.major - drill_diameter) / (convention(thread)[0] * thread.pitch)


def metal_cut(percent: float) -> float:
    """Metal that a 60 degree tap cuts at `percent` (a bare number) of three-quarter height, over that at 75 per cent.

    Depth h cuts h P/8 + h^2 tan 30 at each flank side; torque goes with it. Source: geometry, practice.

    >>> metal_cut(75), round(metal_cut(60), 2)
    (1.0, 0.69)
    """

    def area(share: float) -> float:
        depth = share / 100 * THREE_QUARTERS
        return depth * FLAT + depth**2 * math.tan(math.radians(30))

    return area(max(0.0, percent)) / area(TAPPED_PERCENT)


def percent_figures(thread: Thread, drill: float) -> tuple[Figure, ...]:
    """Per cent thread left by a hole of `drill` (the thread's unit), on each convention in use for the form.

    60 degree threads: 100 (D - drill) / (1.299038 P) in practice, / (1.082532 P) on basic height.
    """
    depth, words = convention(thread)
    conventions = [(depth, words)]
    if thread.form.angle_deg == 60:
        conventions.append((BASIC_60, "on basic height: 1.082532 P is 100 %"))
    return tuple(
        Figure(
            "per cent thread",
            100 * (thread.major - drill) / (factor * thread.pitch),
            "%",
            f"100 × (major − drill) ÷ ({factor} × pitch)",
            CONVENTION,
            (
                Given("major", thread.major, thread.unit),
                Given("drill", drill, thread.unit),
                Given("pitch", thread.pitch, thread.unit),
            ),
            note=told,
        )
        for factor, told in conventions
    )
