"""What a hole is drilled with that is finished by another tool: a socket by the boring tool, a fit by a reamer."""

from __future__ import annotations

import math
from dataclasses import replace

from lathework.figures import AS_TYPED, PRACTICE, Figure, Given
from lathework.fits.taper import gauge_size, large_end
from lathework.part.job_racks import HOME_RACKS, Racks, rough_drill
from lathework.part.model import Bore
from lathework.shop.racks import owned
from lathework.tables.drills import Drill, all_drills
from lathework.threads.thread import Thread
from lathework.units import convert

UNDERCUT_MM = 0.5
"""How deep a hole is undercut, on each side (practice)."""
REAMED_OFF_MM = ((10.0, 0.2), (20.0, 0.3), (math.inf, 0.4))
"""What a reamer is left on the diameter, by how wide the hole is at most (practice)."""


_HAIR = 1e-6
MOST_REAMED = 4.0
"""A drill of those owned serves that leaves up to so many times as much; else the right one is asked for (practice)."""


def mouth_figure(bore: Bore) -> Figure:
    """How wide a socket is at its mouth: by the table of its name, or as typed."""
    assert bore.across is not None and bore.socket is not None
    if bore.across == gauge_size(bore.socket):
        return replace(large_end(bore.socket), name="mouth")
    return Figure("mouth", bore.across.value, bore.across.unit, "as you entered it", AS_TYPED, kind="typed")


def socket_drill(bore: Bore, racks: Racks) -> tuple[Drill, Figure]:
    """The drill before a socket is bored, the largest owned that leaves its small end something; and its figure."""
    drill = rough_drill(bore.small_mm, racks) or rough_drill(bore.small_mm, replace(racks, drills=""))
    assert drill is not None  # the reader asks for a small end that takes a boring tool
    figure = Figure(
        "drill",
        drill.diameter,
        drill.unit,
        "the largest you own that leaves a cut for the boring tool",
        PRACTICE,
        (Given("small end", convert(bore.small_mm, "mm", racks.unit), racks.unit),),
        kind="table",
        note=f"Drill {drill.name}.",
    )
    return drill, figure


def reamer_drill(bore: Bore, racks: Racks) -> tuple[Drill, Figure]:
    """The drill before a reamer, the largest owned that leaves it enough to cut; and its figure. Source: practice."""
    assert bore.across is not None
    left = next(off for most, off in REAMED_OFF_MM if bore.across.mm <= most)
    rack = owned(racks.drills or HOME_RACKS[racks.unit], racks.unit)
    fits = [one for one in (*rack, *all_drills()) if one.diameter_mm <= bore.across.mm - left + _HAIR]
    drill = max((fit for fit in fits if fit in rack), key=lambda one: one.diameter_mm, default=None)
    if drill is None or drill.diameter_mm < bore.across.mm - MOST_REAMED * left:
        drill = max(fits, key=lambda one: one.diameter_mm)
    unit = racks.unit
    inputs = (
        Given("hole", convert(bore.across.mm, "mm", unit), unit),
        Given("left for the reamer", convert(left, "mm", unit), unit),
    )
    formula = "the largest that leaves enough for the reamer"
    return drill, Figure(
        "drill", drill.diameter, drill.unit, formula, PRACTICE, inputs, kind="table", note=f"Drill {drill.name}."
    )


def minor_bore(thread: Thread) -> Figure:
    """The bore of a thread that no tap makes: its nut's minor diameter, in its unit, which the screw's roots clear."""
    inputs = (Given("minor", thread.minor, thread.unit),)
    return Figure("bore to", thread.minor, thread.unit, "minor", thread.source, inputs)
