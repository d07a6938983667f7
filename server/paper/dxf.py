"""A drawing as DXF, at true size."""

from __future__ import annotations

import io

from lathework.drawing.shapes import Sheet
from lathework.units import LengthUnit

_TEXT_HEIGHT = 9.0
"""Sheet units."""


def sheet_dxf(sheet: Sheet, mm_per_unit: float, unit: LengthUnit) -> str:
    """A drawing as DXF in millimetres at true size, one layer a role, words in `unit`.

    What belongs to a single step is left out. `mm_per_unit` is the true length of one unit that `sheet.scale` counts.
    """
    # Seldom asked for, and slow to begin: the server does not wait for it.
    import ezdxf
    from ezdxf.enums import TextEntityAlignment

    align = {
        "start": TextEntityAlignment.LEFT,
        "middle": TextEntityAlignment.CENTER,
        "end": TextEntityAlignment.RIGHT,
    }
    drawing = ezdxf.filemanagement.new("R2010", units=ezdxf.units.MM)
    space = drawing.modelspace()
    true = mm_per_unit / sheet.scale
    paths = [path for path in sheet.paths if not path.step]
    for role in sorted({path.role for path in paths} | {"words"}):
        drawing.layers.add(role)
    for path in paths:
        for line in path.lines:
            points = [(x * true, -y * true) for x, y in line]
            space.add_lwpolyline(points, close=path.closed, dxfattribs={"layer": path.role})
    for label in sheet.labels:
        if label.step:
            continue
        text = space.add_text(
            label.inch if unit == "in" else label.mm, height=_TEXT_HEIGHT * true, dxfattribs={"layer": "words"}
        )
        text.set_placement((label.x * true, -label.y * true), align=align[label.anchor])
    out = io.StringIO()
    drawing.write(out)
    return out.getvalue()
