"""How many pages a story takes, found without drawing any of it; and the one of several that takes the fewest."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from io import BytesIO

from reportlab.lib.pagesizes import A4
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas
from reportlab.platypus import Flowable, KeepTogether, PageBreak, SimpleDocTemplate, Spacer

MARGIN = 12 * mm
_PADDING = 6.0
"""What the library keeps clear inside a page's frame, on every side (points)."""
WIDTH, HEIGHT = A4[0] - 2 * MARGIN, A4[1] - 2 * MARGIN - 2 * _PADDING
"""Of a column of text, and of what stands on a page (points)."""
Story = list[Flowable]


def sheet_of_paper(out: BytesIO, title: str) -> SimpleDocTemplate:
    """A document of A4 pages."""
    return SimpleDocTemplate(
        out,
        pagesize=A4,
        leftMargin=MARGIN,
        rightMargin=MARGIN,
        topMargin=MARGIN,
        bottomMargin=MARGIN,
        title=f"Set-up sheet: {title}",
        author="Conch",
    )


class _Room(Flowable):
    """Takes the room of a flowable on the page, measured once, and draws nothing."""

    def __init__(self, flowable: Flowable) -> None:
        super().__init__()
        self.flowable = flowable
        self.taken: tuple[float, float] | None = None

    def wrap(self, width: float, height: float) -> tuple[float, float]:
        """What the flowable takes (points): all of these stand in columns of one width."""
        if self.taken is None:
            self.taken = self.flowable.wrapOn(self.canv, width, height)
        return self.taken

    def split(self, width: float, height: float) -> Story:
        """The parts it goes into where it does not fit (points)."""
        return [_Room(part) for part in self.flowable.splitOn(self.canv, width, height)]

    def getSpaceBefore(self) -> float:  # noqa: N802 the library's name
        """Room above it."""
        return float(self.flowable.getSpaceBefore())

    def getSpaceAfter(self) -> float:  # noqa: N802 the library's name
        """Room under it."""
        return float(self.flowable.getSpaceAfter())

    def draw(self) -> None:
        """Nothing."""


class _NoPaper(Canvas):
    """A canvas that nothing is written from."""

    def save(self) -> None:
        """Nothing."""


def _room(flowable: Flowable, rooms: list[_Room]) -> Flowable:
    """The room of a flowable, noted in `rooms`; what is kept together stays so, and a page ends where it ends."""
    if isinstance(flowable, KeepTogether):
        return KeepTogether([_room(one, rooms) for one in flowable._content])  # type: ignore[attr-defined]  # the stubs leave it out
    if isinstance(flowable, PageBreak | Spacer):
        return flowable
    rooms.append(_Room(flowable))
    return rooms[-1]


def _laid_out(story: Story) -> tuple[int, list[float]]:
    """How many pages a story takes, and how high what stands between its page breaks is, each in pages."""
    document, parts, rooms = sheet_of_paper(BytesIO(), ""), [list[_Room]()], Story()
    for flowable in story:
        if isinstance(flowable, PageBreak):
            parts.append([])
        rooms.append(_room(flowable, parts[-1]))
    document.build(rooms, canvasmaker=_NoPaper)
    return int(document.page), [sum(room.taken[1] for room in part if room.taken) / HEIGHT for part in parts]


def pages_of(story: Story) -> int:
    """How many pages a story takes; its flowables are spent on it."""
    return _laid_out(story)[0]


def fewest_pages(stories: Sequence[tuple[float, Callable[[], Story]]]) -> tuple[int, float, Story]:
    """The first of the stories that takes the fewest pages: how many those are, and the size that it is lettered at.

    Each comes with the size it is lettered at (1 for full, the largest first): words shrink with its square at most, so
    that one which cannot take fewer pages is not laid out.
    """
    (chosen, make), *others = stories
    story = make()
    best, high = _laid_out(story)
    for size, make in others:
        if sum(math.ceil(part * size**2) for part in high) >= best:
            continue
        other = make()
        pages, _ = _laid_out(other)
        if pages < best:
            best, chosen, story = pages, size, other
    return best, chosen, story
