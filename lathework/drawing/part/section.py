"""The upper half of a part with holes, cut open: metal hatched, holes clear, threads by thin lines."""

from __future__ import annotations

from lathework.drawing.part.layout import Layout
from lathework.drawing.shapes import Line, Path, mirrored
from lathework.holes.depth import POINT_SHARE, countersink
from lathework.part.across import thickness_mm
from lathework.part.bore_sizes import depth_figure, largest_mm
from lathework.part.bores import BoreWork
from lathework.part.finished_holes import UNDERCUT_MM
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.plan import Plan
from lathework.planning.threads.thread_work import in_mm

Wall = list[tuple[float, float]]
"""Points (behind_mm, diameter_mm) of the wall of a hole, from its mouth on."""


def _wall(bore_work: BoreWork, overall_mm: float, deep_mm: float, *, whole: bool) -> Wall:
    """The wall of a hole along the axis from its mouth: countersink, drilled or tapering wall, point. A socket is bored
    when it is `whole`, till then drilled."""
    bore, drill = bore_work.bore, bore_work.drill_mm
    wall: Wall = [(0.0, drill)]
    if bore.socket is not None and whole and bore.across is not None and bore.depth is not None:
        wall = [(0.0, bore.across.mm), (bore.depth.mm, bore.small_mm), (bore.depth.mm, drill)]
    elif bore_work.taper is not None:
        wall = [(0.0, in_mm(bore_work.taper.mouth)), (in_mm(bore_work.taper.useful), drill)]
    elif bore.thread is not None:
        sunk = in_mm(countersink(bore.thread))
        wall = [(0.0, sunk), ((sunk - drill) / 2, drill)]
    if bore.depth is None:
        return [*wall, (overall_mm, drill)]
    if bore.undercut is not None and whole:
        near, out = bore.depth.mm - bore.undercut.mm, drill + 2 * UNDERCUT_MM
        return [*wall, (near, drill), (near, out), (bore.depth.mm, out), (bore.depth.mm, drill), (deep_mm, 0.0)]
    point = 0.0 if bore_work.chased or bore_work.bored else POINT_SHARE * drill
    return [*wall, (max(wall[-1][0], deep_mm - point), drill), (deep_mm, 0.0)]


def _deep_mm(bore_work: BoreWork, overall_mm: float) -> float:
    """How deep a blind hole is drilled, to its point, as far as the part goes."""
    return min(overall_mm, in_mm(depth_figure(bore_work, overall_mm, 0.0, "mm")))


def _at(wall: Wall, z: float) -> float:
    """Diameter of a wall at `z` behind its mouth; 0 past its end."""
    for (z0, d0), (z1, d1) in zip(wall, wall[1:], strict=False):
        if z0 <= z <= z1:
            return d0 if z1 - z0 < 1e-9 else d0 + (d1 - d0) * (z - z0) / (z1 - z0)
    return 0.0


def _envelope(walls: list[Wall], far_mm: float) -> Wall:
    """The widest of several walls, all told from the face, as far as `far_mm` behind it."""
    places = sorted({min(far_mm, max(0.0, z)) for wall in walls for z, _ in wall} | {far_mm})
    out: Wall = []
    for left, right in zip(places, places[1:], strict=False):
        # Just inside each stretch: a wall may end at its edge with a step.
        near = max(_at(wall, left + 1e-6) for wall in walls)
        far = max(_at(wall, right - 1e-6) for wall in walls)
        out += [(left, near), (right, far)]
    return out


def _from_face(wall: Wall, chucking: Chucking, *, near: bool) -> Wall:
    """A wall told from the face of the chucking, where its mouth may lie at the far end."""
    if near:
        return wall
    return [(chucking.overall_mm - z, d) for z, d in reversed(wall)]


def _clear(layout: Layout, wall: Wall) -> Path:
    """The hole itself, from its wall down to the axis."""
    rim = layout.rim(*wall)
    axis = ((rim[-1][0], layout.axis_y), (rim[0][0], layout.axis_y))
    return Path("bore", (rim + axis,), closed=True)


def _steps(layout: Layout, wall: Wall) -> Line:
    """Ends of the lines one sees across the hole where its wall steps or turns."""
    corners = [a for a, b in zip(wall, wall[1:], strict=False) if abs(a[1] - b[1]) > 0.01 and a[1] > 0]
    return tuple(layout.rim(*corners))


def _thread_lines(
    layout: Layout, bore_work: BoreWork, chucking: Chucking, seen_mm: float, tapped: frozenset[str] | None
) -> list[Line]:
    bore = bore_work.bore
    if bore.thread is None or (tapped is not None and bore.id not in tapped):
        return []
    depth = chucking.overall_mm if bore.depth is None else bore.depth.mm
    ends = [(0.0, bore.thread.major_mm), (depth, bore.thread.major_mm - depth * bore.thread.taper)]
    run = _from_face(ends, chucking, near=bore.end == chucking.faces)
    return [layout.rim(*((min(z, seen_mm), d) for z, d in run))]


def _behind_mm(chucking: Chucking, bore_work: BoreWork) -> float:
    """How far the axis of a hole across lies behind the face of a chucking."""
    assert bore_work.bore.at is not None  # the reader gives each hole across its place
    return chucking.behind_mm(bore_work.bore.at.mm)


def _hole_across(layout: Layout, plan: Plan, chucking: Chucking, bore_work: BoreWork, inner: Wall) -> list[Path]:
    """A hole across, seen from the side: clear in the cut half, hidden in the other where it goes through."""
    bore, part = bore_work.bore, plan.job.part
    z, half = _behind_mm(chucking, bore_work), bore_work.drill_mm / 2
    thick = thickness_mm(part, bore)
    bottom = 0.0 if bore.depth is None else max(0.0, thick - 2 * bore.depth.mm)
    floor = max(bottom, _at(inner, z))
    upper = layout.rim((z - half, thick), (z + half, thick), (z + half, floor), (z - half, floor))
    paths = [Path("bore", (upper,), closed=True)]
    if bore.thread is not None:
        wide = bore.thread.major_mm / 2
        thin = [layout.rim((z + side * wide, thick), (z + side * wide, floor)) for side in (-1, 1)]
        paths.append(Path("thread", tuple(thin)))
    if bore.depth is None:
        lower = [
            mirrored(layout.rim((z + side * half, _at(inner, z)), (z + side * half, thick)), layout.axis_y)
            for side in (-1, 1)
        ]
        paths.append(Path("hidden", tuple(lower)))
    return paths


def _seen_holes(
    plan: Plan, chucking: Chucking, drilled: frozenset[str] | None
) -> tuple[list[BoreWork], list[BoreWork]]:
    """The holes along the axis and across it that are there when a chucking is done.

    What is drilled from the other end comes in the second chucking.
    """
    shown = ("right", "left") if chucking.second else (chucking.faces,)
    made = [work for work in plan.work.bores if drilled is None or work.bore.id in drilled]
    return [f for f in made if f.bore.end in shown], [f for f in made if f.bore.end == "across"]


def _walls(chucking: Chucking, along: list[BoreWork], tapped: frozenset[str] | None) -> list[Wall]:
    overall, walls = chucking.overall_mm, []
    for found in along:
        whole = tapped is None or found.bore.id in tapped
        wall = _wall(found, overall, _deep_mm(found, overall), whole=whole)
        walls.append(_from_face(wall, chucking, near=found.bore.end == chucking.faces))
    return walls


def half_section(
    layout: Layout,
    plan: Plan,
    chucking: Chucking,
    upper: Line,
    seen_mm: float,
    drilled: frozenset[str] | None = None,
    tapped: frozenset[str] | None = None,
) -> list[Path]:
    """The part's upper half cut open, between its outline `upper` and its holes; nothing where it has none.

    `seen_mm` is how far behind the face the part shows, in millimetres; `drilled` and `tapped` name the holes that are
    there already, all of them where nothing is said.
    """
    along, across = _seen_holes(plan, chucking, drilled)
    through = [found for found in across if _behind_mm(chucking, found) + largest_mm(found.bore) / 2 <= seen_mm]
    if not along and not through:
        return []
    inner = _envelope(_walls(chucking, along, tapped), seen_mm) if along else []
    metal = (*upper, (upper[-1][0], layout.axis_y), (upper[0][0], layout.axis_y))
    paths = [Path("part", (metal,), closed=True), Path("hatch", (metal,), closed=True)]
    if inner:
        paths.append(_clear(layout, inner))
        paths.append(Path("edge", tuple(((x, y), (x, layout.axis_y)) for x, y in _steps(layout, inner))))
    thin = [line for found in along for line in _thread_lines(layout, found, chucking, seen_mm, tapped)]
    paths += [Path("thread", tuple(thin))] if thin else []
    for found in through:
        paths += _hole_across(layout, plan, chucking, found, inner)
    return paths
