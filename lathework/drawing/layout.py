"""Where the part lies on the sheet: scale, axis, and millimetres to sheet units."""

from __future__ import annotations

from dataclasses import dataclass, replace

from lathework.drawing.shapes import Line
from lathework.planning.work import Work

CHAR = 8.5
"""Advance of one character of a 14 unit tabular face."""
ROW = 30.0
"""Height of one row of dimensions."""


@dataclass(frozen=True, slots=True)
class Frame:
    """What the drawing must fit: the sheet and the room around the work."""

    width: float
    height: float
    chuck: float
    right: float
    top: float
    bottom: float
    dimensioned: bool


WIDE = Frame(width=1160, height=330, chuck=128, right=116, top=34, bottom=106, dimensioned=True)
SMALL = Frame(width=400, height=200, chuck=44, right=30, top=34, bottom=16, dimensioned=False)


@dataclass(frozen=True, slots=True)
class Layout:
    """Maps the work to the sheet: z in millimetres behind the face, d a diameter in millimetres."""

    frame: Frame
    scale: float
    face_x: float
    axis_y: float

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


def lay_out(work: Work, frame: Frame) -> Layout:
    """The largest scale at which stick-out and bar fit the frame, work to the right of the chuck."""
    if frame.dimensioned and work.job.part.shank_length is not None:
        frame = replace(frame, bottom=frame.bottom + ROW)
    across = frame.height - frame.top - frame.bottom
    along = frame.width - frame.chuck - frame.right
    scale = min(along / work.stick_out_mm, across / work.job.part.stock_diameter.mm)
    face = frame.chuck + work.stick_out_mm * scale
    spare = along - work.stick_out_mm * scale
    return Layout(frame, scale, face + spare / 2, frame.top + across / 2)
