"""The tailstock centre that carries the end of long work."""

from __future__ import annotations

import math

from lathework.drawing.part.layout import Layout
from lathework.drawing.shapes import Path, mirrored
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Kind, Operation

RUNS_ON_IT: tuple[Kind, ...] = ("turn", "neck", "groove", "taper", "chamfer", "edge", "knurl", "rough", "screwcut")
"""Steps at which work whose end is carried turns on the centre; a die wants it out of its way."""
_POINT_SHARE, _WIDEST, _CONE, _SHANK = 0.4, 44.0, 10.0, 26.0
"""How far across the hole of the centre is, over the end (practice); in sheet units most that is drawn of it across,
how far its cone rises out of the work, and its shank."""


def on_centre(chucking: Chucking, operation: Operation) -> bool:
    """Whether the centre is in the work while a step is done."""
    return chucking.centred and operation.kind in RUNS_ON_IT


def centre(layout: Layout, chucking: Chucking, steps: tuple[str, ...]) -> list[Path]:
    """A centre of 60 degrees in the end of the work, at these `steps`."""
    axis, face = layout.axis_y, layout.face_x
    hole = min(_WIDEST / 2 - _CONE, _POINT_SHARE * chucking.placed[0].end_mm * layout.scale / 2)
    half = hole + _CONE
    shoulder = face + (half - hole) / math.tan(math.radians(30))
    right = min(shoulder + _SHANK, layout.frame.width - 2)
    upper = ((face, axis - hole), (shoulder, axis - half), (right, axis - half))
    shape = (upper + tuple(reversed(mirrored(upper, axis))),)
    return [Path("jaw", shape, closed=True, steps=steps), Path("hatch", shape, closed=True, steps=steps)]
