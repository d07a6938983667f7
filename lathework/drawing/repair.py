"""A stud repair put together, cut along its axis: the part, its stud, what is clamped, washer and nut; to scale."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace

from lathework.drawing.part.dimensions import Run, length_rows
from lathework.drawing.part.layout import CHAR, ROW, Frame, Layout
from lathework.drawing.shapes import Label, Line, Path, Point, Sheet, box, mirrored
from lathework.units import show_both

BESIDE = Frame(width=720, height=270, chuck=30, right=170, top=44, bottom=16, dimensioned=True)
BELOW = Frame(width=420, height=240, chuck=14, right=150, top=44, bottom=16, dimensioned=True)
"""Beside a form, and on a screen as wide as a phone."""
BEHIND = 1.3
"""How much of the part is drawn, over the depth of its hole."""
WASHER = 2.0
"""Over a washer, in diameters of the stud (practice)."""
LEAD = 0.7
"""Chamfer on the ends of the stud, in pitches."""


@dataclass(frozen=True, slots=True)
class StudFitted:
    """What is drawn, in millimetres: the part, so wide `across`; the stud's thread, how far it is screwed in, how deep
    the hole is threaded; what is `clamped`, the washer, the nut and its flats, what is left `past` the nut, and how
    long the stud is threaded at that end."""

    across: float
    major: float
    minor: float
    pitch: float
    engaged: float
    hole: float
    clamped: float
    washer: float
    nut: float
    flats: float
    past: float
    nut_end: float

    @property
    def length(self) -> float:
        """The whole stud."""
        return self.past + self.nut + self.washer + self.clamped + self.engaged

    @property
    def face(self) -> float:
        """How far the part's face lies behind the end of the stud."""
        return self.length - self.engaged


def _layout(fitted: StudFitted, frame: Frame, rows: int) -> Layout:
    """The largest scale at which everything has room over its rows of dimensions, for which the sheet grows."""
    frame = replace(frame, height=frame.height + ROW * rows)
    long = fitted.face + BEHIND * fitted.hole
    along, bottom = frame.width - frame.chuck - frame.right, frame.bottom + ROW * rows
    wide = max(fitted.across, WASHER * fitted.major, 1.16 * fitted.flats)
    across = frame.height - frame.top - bottom
    scale = min(along / long, across / wide)
    face_x = frame.chuck + (along + long * scale) / 2
    # No words go left of their line: there stand the lines of what lies deeper.
    return Layout(frame, scale, face_x, frame.top + across / 2, frame.height - bottom, frame.width)


def _ring(layout: Layout, near: float, far: float, outer: float, inner: float) -> tuple[Line, Line]:
    """A ring in section, above and below the axis."""
    upper = layout.rim((near, outer), (far, outer), (far, inner), (near, inner))
    return upper, mirrored(upper, layout.axis_y)


def _part(layout: Layout, fitted: StudFitted) -> Iterator[Path]:
    """The part with its hole, in section, broken off behind it."""
    face, bottom = fitted.face, fitted.face + fitted.hole
    behind = face + BEHIND * fitted.hole
    tip = bottom + fitted.minor / 2 / 3**0.5
    wall = layout.rim((face, fitted.minor), (face, fitted.across), (behind, fitted.across))
    cone = layout.rim((min(tip, behind), 0.0), (bottom, fitted.minor))
    whole: Line = (*wall, *mirrored(wall, layout.axis_y)[::-1], *mirrored(cone[1:], layout.axis_y), *cone)
    yield Path("part", (whole,), closed=True)
    yield Path("hatch", (whole,), closed=True)
    hole = layout.rim((face, fitted.major), (bottom, fitted.major))
    yield Path("thread", (hole, mirrored(hole, layout.axis_y)))


def _stud(layout: Layout, fitted: StudFitted) -> Iterator[Path]:
    """The stud, uncut as the habit of drawings has it, with the roots of its threads as thin lines."""
    lead, long = LEAD * fitted.pitch, fitted.length
    thin = fitted.major - 2 * lead
    upper = layout.rim((0.0, thin), (lead, fitted.major), (long - lead, fitted.major), (long, thin))
    yield Path("part", (upper + mirrored(upper, layout.axis_y)[::-1],), closed=True)
    plain = fitted.length - fitted.engaged - fitted.nut_end
    runs = [(0.0, fitted.nut_end), (fitted.face, long)] if plain > 0 else [(0.0, long)]
    roots = [layout.rim((near, fitted.minor), (far, fitted.minor)) for near, far in runs]
    ends = [_across(layout, at, fitted.major) for near, far in runs for at in (near, far) if 0.0 < at < long]
    yield Path("thread", tuple(line for root in roots for line in (root, mirrored(root, layout.axis_y))))
    yield Path("edge", tuple(ends))


def _across(layout: Layout, at: float, diameter: float) -> tuple[Point, Point]:
    return (layout.x(at), layout.top(diameter)), (layout.x(at), layout.bottom(diameter))


def _over(layout: Layout, fitted: StudFitted) -> Iterator[Path]:
    """What is clamped, the washer, and the nut seen on its flats."""
    at = fitted.past + fitted.nut
    if fitted.washer > 0:
        yield Path("part", _ring(layout, at, at + fitted.washer, WASHER * fitted.major, fitted.major), closed=True)
        at += fitted.washer
    if fitted.clamped > 0:
        both = _ring(layout, at, at + fitted.clamped, max(fitted.across, WASHER * fitted.major), 1.05 * fitted.major)
        yield Path("nut", both, closed=True)
    corners = fitted.flats / (3**0.5 / 2)
    near, far = fitted.past, fitted.past + fitted.nut
    yield Path(
        "part",
        (box(layout.x(far), layout.top(corners), layout.x(near), layout.bottom(corners)),),
        closed=True,
    )
    flat = corners / 2
    edges = [((layout.x(far), y), (layout.x(near), y)) for y in (layout.top(flat), layout.bottom(flat))]
    yield Path("edge", tuple(edges))


def _runs(fitted: StudFitted) -> tuple[list[Run], list[Run]]:
    """The chain of lengths from the stud's inner end outward, and the whole of it under them."""
    chain: list[Run] = []
    at = 0.0
    names = ("past the nut", "nut", "washer", "face to washer", "screwed in")
    lengths = (fitted.past, fitted.nut, fitted.washer, fitted.clamped, fitted.engaged)
    for name, length in zip(names, lengths, strict=True):
        if length > 0:
            chain.append(_run(at, at + length, name))
        at += length
    return chain[::-1], [_run(0.0, fitted.length, "stud")]


def _run(near: float, far: float, name: str) -> Run:
    inch, mm = show_both(far - near, "mm", fine=False)
    return Run(near, far, (f"{inch} {name}", f"{mm} {name}"), "")


def repair_drawing(fitted: StudFitted, thread: str, *, narrow: bool = False) -> Sheet:
    """The repair to scale with its lengths; `thread` names that of the stud. `narrow` is for a phone's width."""
    frame = BELOW if narrow else BESIDE
    chain, under = _runs(fitted)
    layout = _layout(fitted, frame, len(chain) + len(under))
    frame = layout.frame
    axis: Line = ((layout.x(fitted.face + BEHIND * fitted.hole) - 10, layout.axis_y), (layout.x(0) + 14, layout.axis_y))
    lines, lengths = length_rows(layout, chain, under)
    inch, mm = show_both(fitted.across, "mm", fine=False)
    over = layout.top(max(fitted.across, WASHER * fitted.major)) - 12
    part_x = layout.x(fitted.face + fitted.hole / 2)
    room = CHAR * (len(mm) + 3) / 2 + 4
    named = (
        Label(max(part_x, room), over, f"⌀ {inch}", f"⌀ {mm}"),
        Label(min(layout.x(fitted.past / 2), frame.width - CHAR * len(thread) / 2 - 4), over, thread, thread),
    )
    paths = (
        *_part(layout, fitted),
        *_stud(layout, fitted),
        *_over(layout, fitted),
        Path("centre", (axis,)),
        *lines,
    )
    title = f"The repaired part with its {thread} stud, cut along the axis, to scale"
    return Sheet(frame.width, frame.height, paths, (*lengths, *named), title, layout.scale)
