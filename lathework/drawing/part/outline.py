"""The finished part's outline in a chucking, and the thin lines that tell thread, flats and knurl."""

from __future__ import annotations

import math
from collections.abc import Callable, Iterable, Iterator

from lathework.cutting.taper_blank import TaperBlank
from lathework.drawing.part.layout import Layout
from lathework.drawing.shapes import Line, Path, box, hatch, mirrored
from lathework.lathe.outline import Side
from lathework.part.model import MILLED
from lathework.part.nuts import nut_sizes
from lathework.part.stock import ACROSS_FLATS, FORM_FLATS, StockForm
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.plan import Plan
from lathework.planning.threads.thread_work import ThreadWork, in_mm

KNURL_GAP = 5.0
HEAD_WIDE = 1.6
"""Across the flats of a bolt's head over its shank, where no thread says (practice)."""
HEAD_HIGH = 0.65
"""Height of a bolt's head over its shank (practice)."""


def drawn_mm(chucking: Chucking, placed: Placed) -> float:
    """Largest diameter of a section as it is finished: over the corners of what is milled."""
    outer, section = chucking.outer_mm(placed), placed.section
    if section.shape in MILLED and section.shape != "flats" and section.across is not None:
        return min(outer, section.across.mm / ACROSS_FLATS[MILLED[section.shape]])
    return outer


def faces_end(chucking: Chucking, placed: Placed) -> bool:
    """Whether a section was made from the end that this chucking faces."""
    return placed in chucking.made or (chucking.second and not chucking.own and placed is chucking.placed[0])


def true_to_pitch(layout: Layout, thread_work: ThreadWork) -> bool:
    """Whether there is room to draw the thread's turns."""
    return thread_work.taper is None and thread_work.thread.pitch_mm * layout.scale >= layout.frame.true_pitch


def crest_run(chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> tuple[float, float]:
    """Where full crests begin and end behind the face: past the lead chamfer, up to the groove."""
    lead = (thread_work.thread.major_mm - in_mm(thread_work.chamfer)) / 2
    if faces_end(chucking, placed):
        return placed.near_mm + max(lead, thread_work.start_mm), placed.far_mm - thread_work.groove_width_mm
    return placed.near_mm + thread_work.groove_width_mm, placed.far_mm - max(lead, thread_work.start_mm)


def _turns(thread_work: ThreadWork, start: float, end: float, *, lower: bool, chamfered: bool) -> Side:
    """A thread true to pitch on one side: a helix seen from the side, its lower side half a pitch behind.

    Crests and roots are drawn sharp, at major and minor diameter.
    """
    thread = thread_work.thread
    half, crest, root = thread.pitch_mm / 2, thread.major_mm, thread.minor_mm
    slope = (crest - root) / half
    first, second = (root, crest) if lower else (crest, root)
    side = [(start + half * n, second if n % 2 else first) for n in range(int((end - start) / half) + 1)]
    if lower and chamfered:
        # Where the chamfer, 2 on the diameter for each 1 along, meets the flank that falls to the first lower root.
        meet = 2 * half / (2 + slope)
        side.insert(0, (start - half + meet, crest - slope * meet))
    z, d = side[-1]
    return [*side, (end, d + slope * (end - z) * (1 if d == root else -1))]


def _taper_crests(start: float, end: float, taper: TaperBlank, *, chamfered: bool) -> Side:
    """The crests of a taper thread, by convention: the useful thread 1 in 16, straight behind it."""
    small, large = in_mm(taper.small), in_mm(taper.large)
    long = min(in_mm(taper.useful), end - start)
    wide = small + (large - small) * long / in_mm(taper.useful)
    crests = [(start, small), (start + long, wide), (end, wide)]
    return crests if chamfered else [(start + end - z, d) for z, d in reversed(crests)]


def _thread(layout: Layout, chucking: Chucking, placed: Placed, thread_work: ThreadWork, *, lower: bool) -> Side:
    start, end = crest_run(chucking, placed, thread_work)
    chamfered = faces_end(chucking, placed)
    small = in_mm(thread_work.chamfer)
    if thread_work.taper is not None:
        crests = _taper_crests(start, end, thread_work.taper, chamfered=chamfered)
    elif true_to_pitch(layout, thread_work):
        crests = _turns(thread_work, start, end, lower=lower, chamfered=chamfered)
    else:
        crests = [(start, thread_work.thread.major_mm), (end, thread_work.thread.major_mm)]
    deep = in_mm(thread_work.groove.diameter) if thread_work.groove else 0.0
    front = (deep or small) if thread_work.between else small
    if chamfered:
        relief = [(end, deep), (placed.far_mm, deep)] if thread_work.groove else []
        lead = [(placed.near_mm, front), *([(start, front)] if thread_work.between else [])]
        return [*lead, *crests, *relief]
    relief = [(placed.near_mm, deep), (start, deep)] if thread_work.groove else []
    lead = [*([(end, front)] if thread_work.between else []), (placed.far_mm, front)]
    return [*relief, *crests, *lead]


def _cone(chucking: Chucking, placed: Placed) -> Side:
    """One side of a finished taper: its small end, chamfered where it is to be, toward the end it was made from."""
    near, far, small, chamfer = placed.near_mm, placed.far_mm, placed.end_mm, placed.section.chamfer
    cut = chamfer.mm if chamfer is not None else 0.0
    rise = cut * (placed.turned_mm - small) / (far - near)
    outer = [(near, small - 2 * cut), (near + cut, small + rise), (far, placed.turned_mm)]
    return outer if faces_end(chucking, placed) else [(near + far - z, d) for z, d in reversed(outer)]


def section_side(layout: Layout, chucking: Chucking, placed: Placed, *, lower: bool) -> Side:
    """One side of a finished section."""
    if not chucking.finished(placed):
        return [(placed.near_mm, chucking.bar_mm), (placed.far_mm, chucking.bar_mm)]
    if placed.thread is not None:
        return _thread(layout, chucking, placed, placed.thread, lower=lower)
    outer, near, far = drawn_mm(chucking, placed), placed.near_mm, placed.far_mm
    chamfer = placed.section.chamfer
    if placed.section.taper is not None:
        return _cone(chucking, placed)
    if chamfer is None:
        return [(near, outer), (far, outer)]
    small = outer - 2 * chamfer.mm
    head = placed is chucking.placed[-1] and not chucking.second and len(chucking.placed) > 1
    if faces_end(chucking, placed) and not head:
        return [(near, small), (near + chamfer.mm, outer), (far, outer)]
    return [(near, outer), (far - chamfer.mm, outer), (far, small)]


def side(layout: Layout, chucking: Chucking, *, lower: bool = False) -> Side:
    """One side of the finished part as (behind_mm, diameter_mm), from the face on."""
    return [point for placed in chucking.placed for point in section_side(layout, chucking, placed, lower=lower)]


def clipped(points: Side, far_mm: float) -> Side:
    """The side as far as `far_mm` behind the face: what goes into the chuck is not seen."""
    kept = [point for point in points if point[0] <= far_mm]
    if len(kept) == len(points):
        return kept
    (z0, d0), (z1, d1) = kept[-1], points[len(kept)]
    share = (far_mm - z0) / (z1 - z0) if z1 > z0 else 0.0
    return [*kept, (far_mm, d0 + (d1 - d0) * share)]


def _thread_lines(layout: Layout, chucking: Chucking, placed: Placed) -> Iterator[Line]:
    """Crest and root lines across a thread drawn true; else the thin lines at the minor diameter."""
    found = placed.thread
    assert found is not None
    start, end = crest_run(chucking, placed, found)
    if not true_to_pitch(layout, found):
        thin = layout.rim((start, found.thread.minor_mm), (end, found.thread.minor_mm))
        yield from (thin, mirrored(thin, layout.axis_y))
        return
    half = found.thread.pitch_mm / 2
    for z, d in _turns(found, start, end, lower=False, chamfered=False):
        if z + half <= end:
            yield ((layout.x(z), layout.top(d)), (layout.x(z + half), layout.bottom(d)))


def _hexagon(layout: Layout, near: float, far: float, corners: float) -> Iterator[Line]:
    """The two edges between the three faces one sees of a hexagon standing on its corner."""
    line = layout.rim((near, corners / 2), (far, corners / 2))
    yield from (line, mirrored(line, layout.axis_y))


def _diagonals(layout: Layout, near: float, far: float, high: float) -> Iterator[Line]:
    """Thin diagonals: a flat face."""
    left, right, top, bottom = layout.x(far), layout.x(near), layout.top(high), layout.bottom(high)
    yield ((left, top), (right, bottom))
    yield ((left, bottom), (right, top))


def _knurl(layout: Layout, near: float, far: float, outer: float) -> Iterator[Line]:
    area = box(layout.x(far), layout.top(outer), layout.x(near), layout.bottom(outer))
    lines = hatch(area, KNURL_GAP)
    yield from lines
    yield from (mirrored(line, layout.axis_y) for line in lines)


def _keyway(layout: Layout, chucking: Chucking, placed: Placed, wide: float) -> Iterator[Line]:
    """A keyway seen from above: both its sides, and its ends."""
    long = placed.section.key_length.mm if placed.section.key_length is not None else placed.far_mm - placed.near_mm
    near = placed.near_mm if faces_end(chucking, placed) else placed.far_mm - long
    left, right, half = layout.x(near + long), layout.x(near), wide / 2 * layout.scale
    top, bottom = layout.axis_y - half, layout.axis_y + half
    yield from ((((left, y), (right, y))) for y in (top, bottom))
    yield from ((((x, top), (x, bottom))) for x in (left, right))


_BAR_LINES: dict[StockForm, Callable[[Layout, float, float, float], Iterator[Line]]] = {
    "hexagon": _hexagon,
    "square": _diagonals,
}


def bar_lines(layout: Layout, form: StockForm, near: float, far: float, corners: float) -> tuple[Line, ...]:
    """The edges one sees of bar as bought between `near` and `far` behind the face, `corners` across (millimetres)."""
    draw = _BAR_LINES.get(form)
    if draw is None:
        return ()
    high = corners * ACROSS_FLATS[FORM_FLATS[form]] if form == "square" else corners
    return tuple(draw(layout, near, far, high))


def _plain_lines(layout: Layout, chucking: Chucking, placed: Placed, form: StockForm, far: float) -> tuple[Line, ...]:
    shape, across, near = placed.section.shape, placed.section.across, placed.near_mm
    if shape == "bar" or not chucking.finished(placed):
        return bar_lines(layout, form, near, far, chucking.bar_mm)
    outer = drawn_mm(chucking, placed)
    if placed.section.key is not None:
        return tuple(_keyway(layout, chucking, placed, placed.section.key.mm))
    if shape == "hexagon":
        return tuple(_hexagon(layout, near, far, outer))
    if shape == "knurl":
        return tuple(_knurl(layout, near, far, outer))
    if shape in MILLED and across is not None:
        return tuple(_diagonals(layout, near, far, math.sqrt(max(0.0, outer**2 - across.mm**2))))
    return ()


def detail(
    layout: Layout, chucking: Chucking, form: StockForm, far_mm: float, shown: Iterable[Placed] | None = None
) -> Path:
    """Every thin line of the part, or of the sections `shown`, that is seen in front of `far_mm` behind the face."""
    lines: list[Line] = []
    for placed in chucking.placed if shown is None else shown:
        far = min(placed.far_mm, far_mm)
        if placed.near_mm >= far:
            continue
        if placed.thread is not None and chucking.finished(placed):
            if placed.far_mm <= far_mm:
                lines += _thread_lines(layout, chucking, placed)
        else:
            lines += _plain_lines(layout, chucking, placed, form, far)
    return Path("thread", tuple(lines))


def bolt_head(layout: Layout, plan: Plan, chucking: Chucking) -> list[Path]:
    """The head of a bolt, as wide as its thread's hexagon is; nothing where the part is no bolt."""
    if plan.job.part.stock.form != "bolt":
        return []
    stock, thread = plan.job.part.stock, plan.job.part.thread
    flats_mm = HEAD_WIDE * stock.across.mm if thread is None else in_mm(nut_sizes(thread)[0])
    corners, far = flats_mm / math.cos(math.pi / 6), chucking.overall_mm
    behind = far + HEAD_HIGH * plan.job.part.stock.across.mm
    hexagon = box(layout.x(behind), layout.top(corners), layout.x(far), layout.bottom(corners))
    return [
        Path("part", (hexagon,), closed=True),
        Path("thread", bar_lines(layout, "hexagon", far, behind, corners)),
    ]
