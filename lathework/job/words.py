"""What the choices of a job are called, and what is remarked about each: names and remarks by code."""

from __future__ import annotations

from collections.abc import Mapping

from lathework.cautions import HAZARD_CAUTIONS, HAZARD_NAMES
from lathework.cutting.blank import REMARKS, SCHOOL_NAMES
from lathework.methods.die import DIE_HOLDINGS
from lathework.methods.tap import TAP_HOLDINGS
from lathework.shop.metals import materials

Words = Mapping[str, tuple[str, str]]
SHAPES: Words = {
    "thread": ("thread", "cut with a die"),
    "round": ("turned", "turned to a diameter"),
    "bar": ("bar as bought", "left as it comes"),
    "hexagon": ("hexagon", "six flats, milled"),
    "square": ("square", "four flats, milled"),
    "flats": ("two flats", "for a spanner, milled on the round beside them"),
    "knurl": ("knurl", "turned, then knurled"),
}
STOCKS: Words = {
    "round": ("round bar", "by its diameter"),
    "hexagon": ("hexagon bar", "across the flats"),
    "square": ("square bar", "across the flats"),
    "bolt": ("bolt cut down", "an existing bolt, by its shank; it keeps its head"),
    "kept": ("part to repair", "the part itself, where it is worked; its damaged end is sawn off"),
}
FINISHES: Words = {
    "groove": ("relief groove", "the die runs out into it"),
    "die-turned-round": ("die turned round", "no groove: the die finishes the last threads from its plain side"),
    "run-out": ("run-out left", "the last threads stay unfinished; the nut is counterbored"),
}
ORDERS: Words = {
    "from-the-bar": ("thread first, then part off", "held by the bar, up to four diameters long; longer work is sawn"),
    "blanks-first": ("blanks first, then each end", "sawn to length, held by the body; short stick-out, no parting"),
}
SUPPORTS: Words = {
    "chuck": ("chuck alone", "up to about four diameters"),
    "centre": ("chuck and centre", "up to about twelve, beyond with a steady; leaves a centre hole"),
}
DIALS: Words = {
    "diameter": ("diameter dial", "reads what comes off the diameter"),
    "radius": ("radius dial", "reads the tool's advance: half of it"),
}
READOUTS: Words = {
    "readout": ("readout along the bed", "places as Z"),
    "stops": ("no readout: stop or marks", "places as carriage travel from the face"),
}
LATHES: Words = {
    "light": ("light lathe", "half the cut"),
    "middling": ("middling lathe", "the metal's own cut"),
    "heavy": ("heavy lathe", "half as deep again"),
}
TOOL_ZEROS: Words = {
    "unsaid": ("tool zeros: not said", "asked once at the bench"),
    "kept": ("tools keep their zero", "touched off once: the readout keeps an offset for each tool"),
    "each": ("each tool touched off when it goes in", "its zero is lost when another tool goes in"),
}
MOUNTS: Words = {
    "unsaid": ("chuck: not said", "taken for one that may unscrew in reverse"),
    "screwed": ("chuck screwed on", "unscrews when the spindle is reversed under load"),
    "locked": ("chuck bolted or locked on", "the spindle may be reversed"),
}
EDGES: Words = {
    "left": ("left edge", "the edge toward the chuck was touched off"),
    "right": ("right edge", "the edge toward the tailstock was touched off"),
}
MOUTHS: Words = {
    "right": ("from the right end", "faced first"),
    "left": ("from the left end", "toward the chuck"),
    "across": ("across", "through the side, square to the axis"),
}
CUTTERS: Words = {
    "tap": ("tap", "the usual"),
    "form-tap": ("form tap", "no chips, a stronger thread; ductile metal, its own larger hole, twice the torque"),
    "tap-as-chaser": ("tap held as a chaser", "a smaller tap of the same pitch, on the leadscrew"),
    "boring-tool": ("inside threading tool", "single point, on the leadscrew"),
}
METALS: Words = {
    metal.code: (metal.name, f"blank {metal.blank_fraction:g} of the pitch under; {metal.lubricant}")
    for metal in materials().values()
}
SCHOOLS: Words = {code: (name, REMARKS[code]) for code, name in SCHOOL_NAMES.items()}
HOLDERS: Words = {one.code: (one.name, one.remark) for one in DIE_HOLDINGS.values()}
TAPPINGS: Words = {one.code: (one.name, one.remark) for one in TAP_HOLDINGS.values()}
HAZARDS: Words = {code: (name, HAZARD_CAUTIONS[code].do) for code, name in HAZARD_NAMES.items()}
