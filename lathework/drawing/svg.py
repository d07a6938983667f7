"""A sheet as a stand-alone SVG file, in black and white line weights for paper."""

from __future__ import annotations

from functools import lru_cache
from itertools import chain
from xml.sax.saxutils import escape, quoteattr

from lathework.drawing.part.layout import LETTERING
from lathework.drawing.shapes import HATCH_GAP, Line, Path, Role, Sheet
from lathework.units import LengthUnit

_STYLE: dict[Role, str] = {
    "part": "fill:#fff;stroke:#000;stroke-width:1.8;stroke-linejoin:round",
    "edge": "fill:none;stroke:#000;stroke-width:1.4",
    "thread": "fill:none;stroke:#000;stroke-width:.7",
    "centre": "fill:none;stroke:#000;stroke-width:.7;stroke-dasharray:16 4 3 4",
    "hatch": "fill:url(#hatch);stroke:none",
    "chuck": "fill:#fff;stroke:#000;stroke-width:1.4",
    "jaw": "fill:#fff;stroke:#000;stroke-width:1.4",
    "ghost": "fill:none;stroke:#777;stroke-width:.8;stroke-dasharray:5 4",
    "dimension": "fill:none;stroke:#000;stroke-width:.7",
    "arrow": "fill:#000;stroke:none",
    "nut": "fill:#fff;stroke:#000;stroke-width:1.8;stroke-linejoin:round",
    "zone": "fill:#bbb;stroke:#000;stroke-width:.5",
    "nut-zone": "fill:#ddd;stroke:#000;stroke-width:.5",
    "clash": "fill:#000;stroke:none",
    "bore": "fill:#fff;stroke:#000;stroke-width:1.4;stroke-linejoin:round",
    "hidden": "fill:none;stroke:#000;stroke-width:.9;stroke-dasharray:6 4",
    "leader": "fill:none;stroke:#000;stroke-width:.5",
    "aim": "",
    "removal": "",
    "tool": "",
}

_HATCH = (
    f'<defs><pattern id="hatch" width="{HATCH_GAP:g}" height="{HATCH_GAP:g}" patternUnits="userSpaceOnUse" '
    f'patternTransform="rotate(45)"><path style="stroke:#777;stroke-width:1" d="M0 0V{HATCH_GAP:g}"/></pattern></defs>'
)


def path_data(lines: tuple[Line, ...], *, closed: bool) -> str:
    """The `d` attribute of polylines, coordinates to a tenth of a unit.

    >>> path_data((((0, 0), (1.25, 2)),), closed=True)
    'M0.0 0.0L1.2 2.0Z'
    """
    end = "Z" if closed else ""
    return "".join([_points(len(line)) % tuple(chain.from_iterable(line)) + end for line in lines])


@lru_cache(maxsize=256)
def _points(count: int) -> str:
    """The form of a line of so many points: drawings are told anew at each keystroke, and one call tells a line."""
    return "M" + "L".join(["%.1f %.1f"] * count)


def _path(path: Path) -> str:
    return f'<path style="{_STYLE[path.role]}" d="{path_data(path.lines, closed=path.closed)}"/>'


def sheet_svg(sheet: Sheet, unit: LengthUnit) -> str:
    """The finished part with its dimensions in `unit`; what belongs to a single step is left out."""
    paths = [_path(p) for p in sheet.paths if not p.step]
    labels = [
        f'<text x="{label.x:.1f}" y="{label.y:.1f}" text-anchor="{label.anchor}" paint-order="stroke" '
        f'stroke="#fff" stroke-width="4">{escape(label.inch if unit == "in" else label.mm)}</text>'
        for label in sheet.labels
        if not label.step
    ]
    size = f"{sheet.width:g} {sheet.height:g}"
    return "\n".join(
        [
            '<?xml version="1.0" encoding="UTF-8"?>',
            f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {size}" role="img" '
            f"aria-label={quoteattr(sheet.title)} "
            f'font-family="monospace" font-size="{LETTERING:g}">',
            f"<title>{escape(sheet.title)}; lengths in {unit}</title>",
            _HATCH,
            *paths,
            *labels,
            "</svg>",
            "",
        ]
    )
