"""A hole that is a taper: how wide its mouth is, what it is drilled with first."""

from __future__ import annotations

from dataclasses import replace

from lathework.figures import AS_TYPED, PRACTICE, Figure, Given
from lathework.fits.taper import gauge_size, large_end
from lathework.part.job_racks import Racks, rough_drill
from lathework.part.model import Bore
from lathework.tables.drills import Drill
from lathework.units import convert


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
        "largest you own that leaves a cut for the boring tool",
        PRACTICE,
        (Given("small end", convert(bore.small_mm, "mm", racks.unit), racks.unit),),
        kind="table",
        note=f"Drill {drill.name}.",
    )
    return drill, figure
