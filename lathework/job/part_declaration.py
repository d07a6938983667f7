"""The part of a job document: every field of its stock, its sections and its holes, declared once."""

from __future__ import annotations

from lathework.cutting.knurl import PATTERNS
from lathework.declared import Group, Rows
from lathework.fields import Choice, Extent, Ident, Share, Text
from lathework.fits.fit import FIT_CODES
from lathework.lengths import Span
from lathework.part.model import BROKEN, FINISHERS, MOUTHS, RUNS, SHAPES
from lathework.part.stock import STOCK_FORMS
from lathework.part.thread_cutters import CUTTERS, OUTSIDE_CUTTERS
from lathework.shop.kinds.shared import GRADUATION

LONGEST_WORDS, LONGEST_IDENT = 600, 16
"""Characters of what is done when the part is made, and of an id."""
MOST_SECTIONS, MOST_BORES, MOST_ROUND = 16, 12, 24
STOCK_SIZE, BAR = Span("A bar size", 1, 150), Span("A bar length", 5, 6000)
ACROSS, ALONG = Span("A diameter", 0.5, 150), Span("A length", 0.2, 600)
KEY = Span("A key", 1, 40)
KNURLED = Span("A knurl's pitch", 0.3, 3)
CHAMFER = Span("A chamfer", 0.05, 20)
OWN = "its own among the sections and holes of the part"

STOCK = Group(
    "stock",
    "what the part is made from",
    {
        "form": Choice(STOCK_FORMS, "round", "a bolt is cut down and keeps its head; a kept part has its end sawn off"),
        "across": Extent(
            STOCK_SIZE,
            "diameter, or width across flats; of a bolt, its shank; of a kept part, where it is worked",
            optional=False,
        ),
        "bar_length": Extent(BAR, "how long the bars are; of a bolt, how long it is under its head now"),
    },
)
SECTION = Group(
    "section",
    "a stretch of the part along its axis; what a sample measured is kept beside the size to make",
    {
        "id": Ident(OWN),
        "shape": Choice(SHAPES),
        "across": Extent(
            ACROSS,
            "diameter, of a taper its large end, or width across the flats; empty for a thread and for left as bar",
        ),
        "round": Extent(ACROSS, "of flats, a hexagon or a square: what they are milled on; empty takes the largest"),
        "length": Extent(
            ALONG,
            "of a thread to its shoulder, or of full thread; one section may leave it empty and take the rest; may be "
            "about so long",
            roughly=True,
        ),
        "thread": Text("designation: 3/8-16, M8x1, 1/4 BSW, G3/8, 2 BA"),
        "runs": Choice(RUNS, "shoulder", "what the length of a thread runs to: its shoulder, or its full thread"),
        "chamfer": Extent(CHAMFER, "45 degrees, on the edge toward the nearer end"),
        "edge": Choice(BROKEN, "bevel", "whether that edge is bevelled or rounded"),
        "cut": Choice(OUTSIDE_CUTTERS, "die", "what cuts the thread"),
        "die": Text("the die of the shop that cuts the thread, by its id", LONGEST_IDENT),
        "fit": Choice(FIT_CODES, "", "how a round section fits its mating part; empty for a plain size"),
        "mate": Extent(ACROSS, "measured size of the mating part of a fit; empty makes it to the standard's limits"),
        "taper": Text("of a taper: MT2, B16, 1:20, or the angle of its cone, 60°; a name has its own large end"),
        "pattern": Choice(PATTERNS, "diamond", "of a knurl"),
        "pitch": Extent(KNURLED, "of a knurl's lines; empty turns it to its size and leaves the blank to you"),
        "key": Extent(KEY, "width of the key in a round section; empty has no keyway"),
        "key_length": Extent(ALONG, "how long that keyway is, from the edge toward the nearer end; all along if empty"),
        "measured": Extent(ACROSS, "what the sample measured across"),
        "measured_length": Extent(ALONG, "what the sample measured along, or about that", roughly=True),
    },
)
BORE = Group(
    "bore",
    "a hole along the axis, or across it",
    {
        "id": Ident(OWN),
        "end": Choice(MOUTHS, "right", "where it begins: an end, or across the part"),
        "thread": Text("designation, with a class of the nut where one is wanted; empty for a plain hole"),
        "across": Extent(ACROSS, "drill of a plain hole"),
        "depth": Extent(ALONG, "of full thread, or of the plain hole; empty goes through"),
        "at": Extent(ALONG, "of a hole across: its axis behind the right-hand end"),
        "around": Text("of a hole across: where it is round the part, in words: over the split, in line with the flat"),
        "cut": Choice(CUTTERS, "tap", "what cuts the thread"),
        "fit": Choice(FIT_CODES, "", "how a plain hole fits its mating part; empty for one as drilled"),
        "mate": Extent(ACROSS, "measured size of the mating part of a fit; empty makes it to the standard's limits"),
        "key": Extent(KEY, "width of the key in a plain hole along the axis; empty has no keyway"),
        "taper": Text("of a hole that is a taper, its large end at the mouth: MT2, 1:20, 60°"),
        "undercut": Extent(ALONG, "how wide a blind plain hole is undercut at its bottom; empty leaves it as it is"),
        "count": Share(
            1,
            MOST_ROUND,
            "Holes round the part, such as 4,",
            "of a blind hole across: so many round the part",
            whole=True,
        ),
        "by": Choice(FINISHERS, "boring-tool", "what brings a hole to its fit"),
        "tap": Text("the adjustable tap of the shop that cuts it, by its id", LONGEST_IDENT),
        "graduation": Extent(GRADUATION, "what one graduation of that makes, on the diameter"),
    },
)
PART = Group(
    "part",
    "what is to be made",
    {
        "id": Ident("its own within the job"),
        "name": Text("what tells it from the other parts of its job"),
        "stock": STOCK,
        "overall_length": Extent(ALONG, "what it should be; needed when one section takes the rest", roughly=True),
        "sections": Rows(SECTION, MOST_SECTIONS, 1, "right-hand end first, toward the chuck"),
        "bores": Rows(BORE, MOST_BORES, about="holes along the axis, and across it", required=False),
        "afterwards": Text("what is done when the part is made, in words: its last step", LONGEST_WORDS),
    },
)
