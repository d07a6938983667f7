"""A thread's page as files: limits as CSV, profile as DXF."""

from __future__ import annotations

import csv
import io

from lathework.card import Card
from lathework.drawing.shapes import Sheet
from lathework.figures import Figure
from lathework.present.values import figure_text
from lathework.units import MM_PER_INCH, LengthUnit

COLUMNS = ("side", "diameter", "limit", "inches", "millimetres", "formula", "source")
_TEXT_HEIGHT = 9.0
"""Sheet units."""


def _rows(card: Card) -> list[tuple[str, str, str, Figure]]:
    out: list[tuple[str, str, str, Figure]] = []
    if card.size.external is not None:
        for band in (card.size.external.major, card.size.external.pitch_diameter):
            least, greatest = band.figures()
            out += [("external", band.name, "least", least), ("external", band.name, "greatest", greatest)]
        out.append(("external", "minor", "greatest", card.size.external.minor_max))
    if card.size.internal is not None:
        out.append(("internal", "major", "least", card.size.internal.major_min))
        for band in (card.size.internal.pitch_diameter, card.size.internal.minor):
            least, greatest = band.figures()
            out += [("internal", band.name, "least", least), ("internal", band.name, "greatest", greatest)]
    return out


def limits_csv(card: Card) -> str:
    """The limits of a thread, one row a limit, in both units (RFC 4180)."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(COLUMNS)
    for side, name, limit, figure in _rows(card):
        told = [figure_text(figure, unit).split()[0] for unit in ("in", "mm")]
        writer.writerow([side, name, limit, *told, figure.formula, figure.source.title])
    return out.getvalue()


def profile_dxf(sheet: Sheet, unit: LengthUnit) -> str:
    """A profile as DXF in millimetres at true size, one layer a role; `unit` is that of the thread drawn."""
    import ezdxf
    from ezdxf.enums import TextEntityAlignment

    align = {
        "start": TextEntityAlignment.LEFT,
        "middle": TextEntityAlignment.CENTER,
        "end": TextEntityAlignment.RIGHT,
    }
    drawing = ezdxf.new("R2010", units=ezdxf.units.MM)
    space = drawing.modelspace()
    true = (MM_PER_INCH if unit == "in" else 1.0) / sheet.scale
    for role in sorted({path.role for path in sheet.paths} | {"words"}):
        drawing.layers.add(role)
    for path in sheet.paths:
        for line in path.lines:
            points = [(x * true, -y * true) for x, y in line]
            space.add_lwpolyline(points, close=path.closed, dxfattribs={"layer": path.role})
    for label in sheet.labels:
        text = space.add_text(
            label.inch if unit == "in" else label.mm, height=_TEXT_HEIGHT * true, dxfattribs={"layer": "words"}
        )
        text.set_placement((label.x * true, -label.y * true), align=align[label.anchor])
    out = io.StringIO()
    drawing.write(out)
    return out.getvalue()
