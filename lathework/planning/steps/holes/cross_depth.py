"""How deep a hole across is drilled, where it opens into a hollow, and the burrs it leaves there."""

from __future__ import annotations

from lathework.figures import Figure, added
from lathework.holes.depth import POINT_SHARE
from lathework.lathe.acts import Burr
from lathework.part.across import cut_threads, meets, thickness_mm, wall_across_mm
from lathework.part.bore_sizes import depth_figure
from lathework.part.bores import BoreWork
from lathework.planning.positions import along, given_mm
from lathework.planning.work import Work


def wall_there_mm(work: Work, bore_work: BoreWork) -> float | None:
    """How thick the wall is that it goes through into a hollow, in millimetres; None in solid metal."""
    return wall_across_mm(work.part, bore_work, [bore for bore in work.bores if bore.bore.end != "across"])


def drilled_deep(work: Work, bore_work: BoreWork) -> Figure:
    """How deep it is drilled, to the point: where it opens into a hollow, no further than through the wall."""
    wall, unit = wall_there_mm(work, bore_work), work.job.unit
    if wall is None or bore_work.bore.depth is None:
        return depth_figure(bore_work, thickness_mm(work.part, bore_work.bore), 0.0, unit)
    point = 0.0 if bore_work.bored else POINT_SHARE * bore_work.drill_mm
    inputs = (given_mm("wall there", wall, unit), given_mm("point", point, unit))
    return along(work, "drill deep", wall + point, added(inputs), *inputs)


def raised(work: Work, bore_work: BoreWork) -> tuple[Burr, ...]:
    """The burrs it leaves beside its mouths: in the hole it comes out in, in the threads it cuts."""
    along_axis = [bore for bore in work.bores if bore.bore.end != "across"]
    crosses = any(meets(work.part, bore_work, axi, work.job.unit) for axi in along_axis)
    cuts = cut_threads(work.part, bore_work.bore)
    return (*(("crossing",) if crosses else ()), *(("threads",) if cuts else ()))
