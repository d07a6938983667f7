"""What the choices of a job are called, and what is remarked about each: names and remarks by code."""

from __future__ import annotations

from lathework.cautions import HAZARD_CAUTIONS, HAZARD_NAMES
from lathework.cutting.blank import REMARKS, SCHOOL_NAMES
from lathework.fits.fit import FIT
from lathework.methods.die_holdings import DIE_HOLDINGS
from lathework.methods.infeed import INFEED_WAYS
from lathework.methods.tap import TAP_HOLDINGS
from lathework.methods.tool_form import POINT_FORMS
from lathework.part.thread_cutters import INSIDE, OUTSIDE
from lathework.shop.lathe_words import Words
from lathework.shop.metals import materials

SHAPES: Words = {
    "thread": ("thread", "cut outside"),
    "round": ("turned", "turned to a diameter"),
    "taper": ("taper", "turned with the top slide set over; its large end toward the largest section"),
    "bar": ("bar as bought", "left as it comes"),
    "hexagon": ("hexagon", "six flats, milled"),
    "square": ("square", "four flats, milled"),
    "flats": ("two flats", "for a spanner, milled on the round beside them"),
    "knurl": ("knurl", "turned, then knurled"),
}
RUNS: Words = {
    "shoulder": ("to the shoulder", "a relief groove takes its share of it"),
    "full": ("full thread", "a relief groove stands beyond it"),
}
BROKEN: Words = {
    "bevel": ("bevelled", "at 45 degrees"),
    "round": ("rounded", "to a radius, with a form tool or a file"),
}
PATTERNS: Words = {
    "straight": ("straight", "lines along the axis"),
    "diamond": ("diamond", "two sets of lines, 30 degrees from the axis"),
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
    "from-the-bar": (
        "worked on the bar, then parted off",
        "held by the bar, up to four diameters long; longer work is sawn",
    ),
    "blanks-first": ("blanks first, then each end", "sawn to length, held by the body; short stick-out, no parting"),
}
MILLINGS: Words = {
    "after": ("when all is turned", "held by what is finished; nothing is taken out of the chuck for it"),
    "before-thread": ("on the bar, before its thread", "the thread is not gripped, and no burr is left in it"),
    "on-the-bar": ("on the bar, before parting off", "the bar is the handle: for what is too small to be held"),
}
BATCHES: Words = {
    "piece": ("piece by piece", "each whole before the next is begun: a fault shows in the first"),
    "holding": (
        "each holding for all pieces",
        "chuck and tools are set once for each holding",
    ),
}
SUPPORTS: Words = {
    "chuck": ("chuck alone", "up to about four diameters"),
    "centre": ("chuck and centre", "up to about twelve, beyond with a steady; leaves a centre hole"),
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
CUTTERS: Words = {one.code: (one.name, one.remark) for one in INSIDE.values()}
FINISHERS: Words = {
    "boring-tool": ("boring tool", "any size from 8 mm on, true to the axis"),
    "reamer": ("reamer", "its own size, quick; follows the hole that is there"),
}
FITS: Words = {one.code: (one.name, one.remark) for one in FIT.values()}
METALS: Words = {
    metal.code: (metal.name, f"blank {metal.blank_fraction:g} of the pitch under; {metal.lubricant}")
    for metal in materials().values()
}
SCHOOLS: Words = {code: (name, REMARKS[code]) for code, name in SCHOOL_NAMES.items()}
OUTSIDE_CUTTERS: Words = {one.code: (one.name, one.remark) for one in OUTSIDE.values()}
INFEEDS: Words = {one.code: (one.name, one.remark) for one in INFEED_WAYS.values()}
POINTS: Words = {"": ("as the form has it", "flat for 60 degrees, rounded for 55 and 47.5")} | {
    one.code: (one.name, one.remark) for one in POINT_FORMS.values()
}
HOLDERS: Words = {one.code: (one.name, one.remark) for one in DIE_HOLDINGS.values()}
TAPPINGS: Words = {one.code: (one.name, one.remark) for one in TAP_HOLDINGS.values()}
HAZARDS: Words = {code: (name, HAZARD_CAUTIONS[code].do) for code, name in HAZARD_NAMES.items()}
