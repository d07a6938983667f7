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
    "taper": ("taper", "turned with the top slide set over; the large end faces the largest section"),
    "bar": ("left as bar", "not machined"),
    "hexagon": ("hexagon", "six flats, milled"),
    "square": ("square", "four flats, milled"),
    "flats": ("two flats", "for a spanner, milled on the round next to them"),
    "knurl": ("knurl", "turned, then knurled"),
}
RUNS: Words = {
    "shoulder": ("to the shoulder", "includes the relief groove"),
    "full": ("full thread", "the relief groove is beyond it"),
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
    "bolt": ("bolt cut down", "an existing bolt, held by the shank; the head stays"),
    "kept": ("part to repair", "the part itself, where it is machined; its damaged end is sawn off"),
}
FINISHES: Words = {
    "groove": ("relief groove", "the die runs out into it"),
    "die-turned-round": ("die flipped", "no groove: the die finishes the last threads from its plain side"),
    "run-out": ("thread run-out", "the last threads are incomplete; counterbore the nut"),
}
ORDERS: Words = {
    "from-the-bar": (
        "worked on the bar, then parted off",
        "held by the bar, up to four diameters long; longer work is sawn first",
    ),
    "blanks-first": (
        "blanks first, then each end",
        "sawn to length, held by the body; short stick-out, no parting off",
    ),
}
MILLINGS: Words = {
    "after": ("when all is turned", "held on finished surfaces; stays in the chuck until turning is done"),
    "before-thread": ("on the bar, before its thread", "the thread is not gripped and has no burr"),
    "on-the-bar": ("on the bar, before parting off", "the bar is the handle: for parts too small to hold"),
}
BATCHES: Words = {
    "piece": ("piece by piece", "each piece finished before the next: a fault shows on the first"),
    "holding": (
        "one set-up for all pieces",
        "set chuck and tools once per set-up",
    ),
}
DEARS: Words = {
    "usual": ("as usual", "another piece of the bar"),
    "little": ("little", "odd stock, or practice: fewer cuts, and some may be scrap"),
    "much": ("much", "a casting, or the last of its bar: one more cut before it is risked"),
}
SUPPORTS: Words = {
    "chuck": ("chuck only", "up to about four diameters"),
    "centre": ("chuck and centre", "up to about twelve diameters, beyond that with a steady; leaves a centre hole"),
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
    "boring-tool": ("boring tool", "any size from 8 mm, true to the axis"),
    "reamer": ("reamer", "quick, at its own size; follows the existing hole"),
}
FITS: Words = {one.code: (one.name, one.remark) for one in FIT.values()}
METALS: Words = {
    metal.code: (metal.name, f"blank {metal.blank_fraction:g} of the pitch under size; {metal.lubricant}")
    for metal in materials().values()
}
SCHOOLS: Words = {code: (name, REMARKS[code]) for code, name in SCHOOL_NAMES.items()}
OUTSIDE_CUTTERS: Words = {one.code: (one.name, one.remark) for one in OUTSIDE.values()}
INFEEDS: Words = {one.code: (one.name, one.remark) for one in INFEED_WAYS.values()}
POINTS: Words = {"": ("as the standard form", "flat for 60 degrees, rounded for 55 and 47.5")} | {
    one.code: (one.name, one.remark) for one in POINT_FORMS.values()
}
HOLDERS: Words = {one.code: (one.name, one.remark) for one in DIE_HOLDINGS.values()}
TAPPINGS: Words = {one.code: (one.name, one.remark) for one in TAP_HOLDINGS.values()}
HAZARDS: Words = {code: (name, HAZARD_CAUTIONS[code].do) for code, name in HAZARD_NAMES.items()}
