"""A drawing as path data and labels."""

from __future__ import annotations

from lathework.drawing.shapes import Sheet
from lathework.drawing.svg import path_data
from lathework.present.values import Json


def sheet_json(sheet: Sheet) -> Json:
    """A sheet as path data and labels."""
    return {
        "width": sheet.width,
        "height": sheet.height,
        "title": sheet.title,
        "paths": [{"role": p.role, "d": path_data(p.lines, closed=p.closed), "step": p.step} for p in sheet.paths],
        "labels": [
            {
                "x": round(v.x, 1),
                "y": round(v.y, 1),
                "in": v.inch,
                "mm": v.mm,
                "anchor": v.anchor,
                "field": v.field,
                "step": v.step,
            }
            for v in sheet.labels
        ],
    }
