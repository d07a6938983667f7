"""Where the work lies on the sheet: scale, axis, and millimetres to sheet units."""

from __future__ import annotations

from dataclasses import dataclass, replace

from lathework.drawing.shapes import Line
from lathework.planning.holdings.chucking import Chucking

LETTERING = 14.0
"""Height of the tabular face that labels are set in, in sheet units."""
CHAR = 8.85
"""Advance of one of its characters."""
ROW = 30.0
"""Height of one row of dimensions."""

LABEL_ROW, MOST_LABEL_ROWS = 17.0, 4
"""Height of a row of labels above the work, and how many more than one are given room."""
USUAL_ROWS = 3
"""Rows of dimensions that a frame holds before it grows."""


@dataclass(frozen=True, slots=True)
class Frame:
    """What the drawing must fit: the sheet and the room around the work; `bottom` is without its rows."""

    width: float
    height: float
    chuck: float
    right: float
    top: float
    bottom: float
    dimensioned: bool
    true_pitch: float = 5.0
    """Sheet units per pitch from which a thread is drawn true; under it, by convention."""


WIDE = Frame(width=800, height=318, chuck=88, right=116, top=46, bottom=14, dimensioned=True)
NARROW = Frame(width=440, height=300, chuck=56, right=112, top=50, bottom=16, dimensioned=True, true_pitch=4.0)
"""For a screen as wide as a phone: the same letters beside smaller work."""
PAPER = Frame(width=800, height=270, chuck=100, right=116, top=46, bottom=12, dimensioned=True)
SMALL = Frame(width=400, height=200, chuck=44, right=30, top=34, bottom=16, dimensioned=False)


@dataclass(frozen=True, slots=True)
class Layout:
    """Maps the work to the sheet: z in millimetres behind the face, d a diameter in millimetres.

    `bottom_y` is the lowest line of the work itself; the rows of dimensions hang under it. `chuck_x` is where the jaws
    end.
    """

    frame: Frame
    scale: float
    face_x: float
    axis_y: float
    bottom_y: float
    chuck_x: float

    def x(self, behind_mm: float) -> float:
        """Sheet x of a plane `behind_mm` behind the face (chuck to the left)."""
        return self.face_x - behind_mm * self.scale

    def top(self, diameter_mm: float) -> float:
        """Sheet y of the upper side of a diameter."""
        return self.axis_y - diameter_mm / 2 * self.scale

    def bottom(self, diameter_mm: float) -> float:
        """Sheet y of the lower side of a diameter."""
        return self.axis_y + diameter_mm / 2 * self.scale

    def rim(self, *points: tuple[float, float]) -> Line:
        """The sheet's line through `points` (behind_mm, diameter_mm) along the upper side."""
        face, axis, along, across = self.face_x, self.axis_y, self.scale, self.scale / 2
        return tuple([(face - z * along, axis - d * across) for z, d in points])


def widest_mm(chucking: Chucking) -> float:
    """Largest diameter that shows in a chucking."""
    shown = max(chucking.outer_mm(placed) for placed in chucking.placed)
    return shown if chucking.second else max(shown, chucking.bar_mm)


def _grown(frame: Frame, sections: int, holes: int, rows: int) -> Frame:
    """A dimensioned frame grown so that many labels and rows of figures take nothing from the work."""
    if not frame.dimensioned:
        return frame
    above = LABEL_ROW * min(MOST_LABEL_ROWS, max(0, sections - 3) + holes)
    bottom = frame.bottom + ROW * rows
    height = frame.height + above + ROW * max(0, rows - USUAL_ROWS)
    return replace(frame, height=height, top=frame.top + above, bottom=bottom)


def lay_out(chucking: Chucking, frame: Frame, rows: int, holes: int = 0) -> Layout:
    """The largest scale at which stick-out and work fit the frame, with `rows` (a count) of dimensions under it.

    `holes` is how many holes are named in a row of their own (a count).
    """
    frame = _grown(frame, len(chucking.placed), holes, rows)
    across = frame.height - frame.top - frame.bottom
    along = frame.width - frame.chuck - frame.right
    scale = min(along / chucking.stick_out_mm, across / widest_mm(chucking))
    face = frame.chuck + chucking.stick_out_mm * scale
    spare = along - chucking.stick_out_mm * scale
    jaws = frame.chuck + spare / 2
    return Layout(frame, scale, face + spare / 2, frame.top + across / 2, frame.height - frame.bottom, jaws)
