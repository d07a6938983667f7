"""Dimensions of the part: a chain of lengths under it, and what stands under that, no words over others."""

from __future__ import annotations

from collections.abc import Iterable, Iterator

from lathework.drawing.part.labels import holes_named, names, shows_across, step_labels
from lathework.drawing.part.layout import CHAR, ROW, Frame, Layout, lay_out
from lathework.drawing.shapes import Label, Line, Path
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.units import show_both
from lathework.value import value

FULL = "full thread"
_ARROW = 7.0
_GAP = 6.0
_MOST_ROWS = 8
_NARROW = 600.0
"""Sheet units under which a drawing tells lengths in fewer words."""


@value
class Run:
    """A length to be dimensioned between two planes behind the face, with its words in both units."""

    near_mm: float
    far_mm: float
    said: tuple[str, str]
    field: str

    def room(self) -> float:
        """Half the width of its words, with air."""
        return CHAR * max(len(text) for text in self.said) / 2 + _GAP


def _arrow(tip: float, y: float, *, toward_right: bool) -> Line:
    back = tip - _ARROW if toward_right else tip + _ARROW
    return ((tip, y), (back, y - 2.6), (back, y + 2.6))


def whole_run(chucking: Chucking) -> Run:
    """The whole length of the part."""
    said = show_both(chucking.overall_mm, "mm", fine=False)
    return Run(0.0, chucking.overall_mm, said, "part.overall_length")


def chain_of(chucking: Chucking) -> list[Run]:
    """The chain of section lengths that a chucking shows; a thread asked for in full, and its groove, apart."""
    shown = [p for p in chucking.placed if chucking.parted or p.far_mm <= chucking.stick_out_mm + 0.01]
    return [run for p in shown for run in _runs_of(chucking, p)]


def _run(near_mm: float, far_mm: float, field: str = "") -> Run:
    return Run(near_mm, far_mm, show_both(far_mm - near_mm, "mm", fine=False), field)


def _runs_of(chucking: Chucking, placed: Placed) -> Iterator[Run]:
    """The lengths of one section, from the face on."""
    near, far, field = placed.near_mm, placed.far_mm, f"part.sections.{placed.number}.length"
    full = placed.section.full
    if full is None:
        yield Run(near, far, show_both(placed.section.length.mm, "mm", fine=False), field)
        return
    yield _run(near, near + full.mm, field)
    yield _run(near + full.mm, far)


def full_runs(chucking: Chucking) -> Iterator[Run]:
    """How much full thread each thread has that shares its length with a relief groove."""
    for placed in chucking.made:
        found = placed.thread
        if found is not None and found.grooves_mm and placed.section.full is None:
            inch, mm = show_both(placed.far_mm - placed.near_mm - found.grooves_mm, "mm", fine=False)
            yield Run(
                placed.near_mm + found.start_mm,
                placed.far_mm - found.groove_width_mm,
                (f"{inch} {FULL}", f"{mm} {FULL}"),
                "",
            )


def _runs(plan: Plan, chucking: Chucking, frame: Frame) -> tuple[list[Run], list[Run]]:
    """The chain of section lengths, and what stands under it: the whole, and the stick-out."""
    chain = chain_of(chucking)
    inch, mm = show_both(chucking.stick_out_mm, "mm", fine=False)
    words = chucking.out_words
    if frame.width > _NARROW and not chucking.steadied:
        words += f", {chucking.ratio:.1f} × dia."
    under = [Run(0.0, chucking.stick_out_mm, (f"{inch} {words}", f"{mm} {words}"), "")]
    if len(chain) == len(chucking.placed) > 1:
        under.insert(0, whole_run(chucking))
    return chain, [*full_runs(chucking), *hole_runs(plan, chucking), *under]


def hole_runs(plan: Plan, chucking: Chucking) -> Iterator[Run]:
    """Depths of the holes that a chucking makes, and places of those across."""
    overall, faces_right = chucking.overall_mm, chucking.faces == "right"
    for number, bore in enumerate(plan.job.part.bores):
        field = f"part.bores.{number}"
        if bore.end == chucking.faces and bore.depth is not None:
            yield Run(0.0, bore.depth.mm, show_both(bore.depth.mm, "mm", fine=False), f"{field}.depth")
        elif bore.at is not None and bore.end == "across":
            at = bore.at.mm
            near, far = (0.0, at) if faces_right else (overall - at, overall)
            if shows_across(chucking, bore) and (chucking.parted or far <= chucking.stick_out_mm):
                yield Run(near, far, show_both(at, "mm", fine=False), f"{field}.at")


def _crowded(extent: tuple[float, float], taken: list[tuple[float, float]]) -> bool:
    return any(extent[0] < right and extent[1] > left for left, right in taken)


def _chain_rows(layout: Layout, chain: list[Run]) -> list[int]:
    """The row of each length: the first in which its words meet no others."""
    taken: list[list[tuple[float, float]]] = []
    rows = []
    for run in chain:
        row = 0
        while row < len(taken) and _crowded(_words_extent(layout, run, row), taken[row]):
            row += 1
        if row == len(taken):
            taken.append([])
        taken[row].append(_words_extent(layout, run, row))
        rows.append(row)
    return rows


def _fits(left: float, right: float, room: float) -> bool:
    return right - left > 2 * room + 2 * _ARROW + 4


def _beside(layout: Layout, run: Run, row: int) -> float:
    """Middle of words that do not fit into their line: to its left, or to its right where the chuck would be met.

    Before the face stands Z 0: no words of the first row go there while the sheet has room.
    """
    left, right, room = layout.x(run.far_mm), layout.x(run.near_mm), run.room()
    free, beyond = left - 2 * room - 4, layout.frame.width - right - 2 * room - 4
    goes_left = free > layout.chuck_x or beyond < 0 or (free > 0 and run.near_mm == row == 0)
    return max(room + 4, left - room - 4) if goes_left else right + room + 4


def _words_extent(layout: Layout, run: Run, row: int) -> tuple[float, float]:
    """What a length takes of its row: its line, and its words beside it where they do not fit in."""
    left, right, room = layout.x(run.far_mm), layout.x(run.near_mm), run.room()
    if _fits(left, right, room):
        return left, right
    middle = _beside(layout, run, row)
    return min(left, middle - room), max(right, middle + room)


def _length(layout: Layout, run: Run, row: int) -> tuple[list[Path], Label]:
    """A dimension line on its row; the figure stands in the gap of its line, or beside it."""
    y = layout.bottom_y + 20 + row * ROW
    left, right, room = layout.x(run.far_mm), layout.x(run.near_mm), run.room()
    middle = (left + right) / 2
    if _fits(left, right, room):
        lines: tuple[Line, ...] = (((left, y), (middle - room, y)), ((middle + room, y), (right, y)))
    else:
        lines = (((left, y), (right, y)),)
        middle = _beside(layout, run, row)
    under = layout.bottom_y + 4
    extension: tuple[Line, ...] = (((left, under), (left, y + 5)), ((right, under), (right, y + 5)))
    arrows = (_arrow(left, y, toward_right=False), _arrow(right, y, toward_right=True))
    return (
        [Path("dimension", lines + extension), Path("arrow", arrows, closed=True)],
        Label(middle, y + 5, *run.said, field=run.field),
    )


def rows_needed(plan: Plan, chucking: Chucking, frame: Frame) -> int:
    """How many rows of dimensions a chucking takes in `frame`."""
    chain, under = _runs(plan, chucking, frame)
    return rows_of(chain, under, chucking, frame, holes_named(plan, chucking))


def rows_of(chain: list[Run], under: list[Run], chucking: Chucking, frame: Frame, holes: int) -> int:
    """How many rows a chain of lengths and those `under` it take in `frame`; `holes` are named in rows of their own."""
    rows = 1
    for _ in range(_MOST_ROWS):
        layout = lay_out(chucking, frame, rows + len(under), holes)
        wanted = max(_chain_rows(layout, chain), default=0) + 1
        if wanted <= rows:
            break
        rows = wanted
    return rows + len(under)


def dimensions(
    layout: Layout, plan: Plan, chucking: Chucking, operations: Iterable[Operation]
) -> tuple[list[Path], list[Label]]:
    """All dimension lines and labels of a chucking."""
    paths, labels = length_rows(layout, *_runs(plan, chucking, layout.frame))
    leaders, named = names(layout, plan, chucking)
    return [*paths, *leaders], [*labels, *named, *step_labels(layout, operations)]


def length_rows(layout: Layout, chain: list[Run], under: list[Run]) -> tuple[list[Path], list[Label]]:
    """A chain of lengths in as few rows as hold it, and each of those `under` it in a row of its own."""
    rows = _chain_rows(layout, chain)
    first_under = max(rows, default=-1) + 1
    paths: list[Path] = []
    labels: list[Label] = []
    for run, row in [*zip(chain, rows, strict=True), *((run, first_under + n) for n, run in enumerate(under))]:
        made, label = _length(layout, run, row)
        paths += made
        labels.append(label)
    return paths, labels
