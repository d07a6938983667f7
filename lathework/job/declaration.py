"""The job document, version 3: every field of it, declared once."""

from __future__ import annotations

from lathework.cautions import HAZARDS
from lathework.cutting.blank import SCHOOLS
from lathework.declared import Group, Rows
from lathework.fields import Choice, Extent, Fixed, Raw, Several, Share, Text, Whole
from lathework.holes.depth import HIGHEST_PERCENT, LOWEST_PERCENT
from lathework.identify.evidence import FIELDS
from lathework.job.model import BATCHES, DEARS, FINISHES, MILLINGS, ORDERS, SUPPORTS
from lathework.job.part_declaration import LONGEST_IDENT, PART
from lathework.lengths import Span
from lathework.methods.die_holdings import HOLDERS
from lathework.methods.infeed import INFEEDS
from lathework.methods.tap import TAPPINGS
from lathework.methods.ways.contract import MOST_PIECES
from lathework.part.model import EDGES
from lathework.reader import HIGHEST_FRACTION, LOWEST_FRACTION
from lathework.shop.kinds.die_heads import CHASED, OVERRUN
from lathework.shop.kinds.lathes import DIAL_LINES, DIAL_TEETH, GEARBOX, GEARS, SPEEDS, SPINDLE_BORE
from lathework.shop.kinds.shared import GRADUATION, SWALLOWS
from lathework.shop.kinds.tools import TIP
from lathework.shop.kit_choices import GROUND
from lathework.shop.lathe_facts import DIALS, LATHES, MOUNTS, READOUTS, TOOL_ZEROS
from lathework.shop.metals import materials
from lathework.units import LENGTH_UNITS

FORMAT, VERSION = "conch-job", 3
LONGEST_NOTE, LONGEST_RACK = 2000, 8000
"""Characters of notes, and of what drills the shop has."""
MOST_OTHERS = 5
MOST_RUN_DOWN = 200.0
BLADE = Span("A blade width", 0.4, 8)
MATE_BORE, FLANKS = (
    Span("The bore of the mating part", 0.3, 300),
    Span("The pitch diameter of the mating part", 0.3, 300),
)

METHOD = Group(
    "method",
    "how it is made",
    {
        "blank_school": Choice(SCHOOLS, about="by which rule the blank for the die is sized"),
        "blank_fraction": Share(
            LOWEST_FRACTION,
            HIGHEST_FRACTION,
            "A share of the pitch, such as 0.10,",
            "share of the pitch under nominal; empty is the metal's own",
        ),
        "finish": Choice(FINISHES, about="how a shoulder is reached"),
        "holder": Choice(HOLDERS, about="what holds the die"),
        "order": Choice(ORDERS, "from-the-bar", "parted off the bar, or sawn blanks first"),
        "milling": Choice(MILLINGS, "after", "when flats, keyways and holes across are made"),
        "batch": Choice(BATCHES, "piece", "piece by piece, or one set-up for all pieces before the next set-up"),
        "dear": Choice(
            DEARS, "usual", "what a scrapped piece costs: how far the last cuts and the die keep from a limit"
        ),
        "support": Choice(SUPPORTS, "chuck", "what carries the free end"),
        "tapping": Choice(TAPPINGS, "by-centre", "what guides the tap and turns it"),
        "percent": Share(
            LOWEST_PERCENT,
            HIGHEST_PERCENT,
            "A per cent of thread, such as 70,",
            "per cent thread wanted in a hole; what suits the metal when empty",
        ),
        "infeed": Choice(INFEEDS, "compound", "how a threading tool is fed in"),
        "point": Choice(GROUND, "", "how the threading tool is ground; empty as its thread's form has it"),
        "tip": Extent(TIP, "flat or radius at its point; that of the form when empty"),
        "lubricant": Text("what is put on the tool, or dry; empty takes what suits the metal"),
        "because": Text("why it is threaded so against advice; empty where it is not"),
        "overruled": Text("why long work is held as chosen against advice; empty where it is not"),
        "mate_minor": Extent(MATE_BORE, "measured bore of the mating part of the first thread"),
        "mate_pitch": Extent(FLANKS, "measured pitch diameter of the mating part of the first thread, with its bore"),
    },
)
SETUP = Group(
    "setup",
    "the lathe and its blades",
    {
        "dial": Choice(DIALS, about="what the cross-slide dial reads"),
        "readout": Choice(READOUTS, "readout", "what tells places along the bed"),
        "lathe": Choice(LATHES, "middling", "how deep it may cut"),
        "run_down": Share(
            0,
            MOST_RUN_DOWN,
            "Turns the spindle runs on, such as 1.5,",
            "turns the spindle runs on after it is switched off; 1 when empty",
        ),
        "groove_blade": Extent(BLADE, "width", optional=False),
        "groove_edge": Choice(EDGES, "left", "the blade's edge that was touched off"),
        "parting_blade": Extent(BLADE, "width", optional=False),
        "parting_edge": Choice(EDGES, "left", "the blade's edge that was touched off"),
        "drills": Text(
            "drills that are owned: racks (number, letter, fraction, metric) and sizes, with commas; when empty those "
            "of the job's unit, then all",
            LONGEST_NOTE,
        ),
        "machine": Text("the lathe of the shop that it is made on, by its id", LONGEST_IDENT),
        "speeds": SPEEDS,
        "bore": Extent(SPINDLE_BORE, "what passes through its spindle"),
        "leadscrew": Text("pitch of its leadscrew: 8 tpi, 3 mm"),
        "gearbox": GEARBOX,
        "gears": GEARS,
        "dial_teeth": DIAL_TEETH,
        "dial_lines": DIAL_LINES,
        "head_least": Extent(CHASED, "smallest thread that the chasers of its die head cut"),
        "head_most": Extent(CHASED, "largest thread that they cut"),
        "head_hollow": Extent(SWALLOWS, "longest thread that its hollow takes in"),
        "head_overrun": Extent(OVERRUN, "how far that cuts on past its stop until it opens"),
        "head_graduation": Extent(GRADUATION, "what one graduation of its scale makes, on the diameter"),
        "rack": Text("drills of the shop when the job was last changed; they count where none are named", LONGEST_RACK),
        "mount": Choice(MOUNTS, "unsaid", "how the chuck sits on the spindle"),
        "tools": Choice(TOOL_ZEROS, "unsaid", "whether a tool keeps its zero while another is in the tool post"),
    },
)
IDENTIFIED = Group(
    "identified",
    "how the thread was identified: what was measured, as typed, and how probable the thread was then",
    {
        "evidence": Raw(
            {"type": "object", "propertyNames": {"enum": list(FIELDS)}, "additionalProperties": Text().schema()},
            required=True,
        ),
        "probability": Raw({"type": "number", "minimum": 0, "maximum": 1}, required=True),
    },
)
FITS = Text("the mating part")
PIECES = Whole(1, MOST_PIECES, "pieces wanted; a whole number, or its digits as text")
METAL = Choice(tuple(materials()), about="the metal")
OTHER = Group(
    "other",
    "a further part of the job; what it does not say is the first part's",
    {
        "fits": FITS,
        "quantity": Whole(1, MOST_PIECES, PIECES.about, required=False),
        "material": Choice(tuple(materials()), "", "the metal"),
        "method": Group("method", METHOD.about, METHOD.fields, required=False),
        "part": PART,
    },
)
ABOUT = (
    "A job as one file: what is to be made, how, on which lathe, and what happened at the bench. Lengths are text as "
    "typed (5/8, 1-1/4, .3125, 12 mm, 6,35, a sum, a drill such as #7 or F); a bare number is in the job's own unit. "
    "Times are ISO 8601 with their zone. Unknown fields are refused. Every part, section and hole has an id of its "
    "own, which it keeps wherever it is in a list; records name it by that id. Sizes must also fit each other; the "
    "reader names every field that does not."
)
JOB = Group(
    "job",
    ABOUT,
    {
        "format": Fixed(FORMAT),
        "version": Fixed(VERSION),
        "title": Text("what it is, in words", required=True),
        "needed_by": Text("who or what needs it"),
        "fits": FITS,
        "quantity": PIECES,
        "unit": Choice(LENGTH_UNITS, about="unit of bare numbers"),
        "material": METAL,
        "hazards": Several(HAZARDS, "kinds of use in which local codes and licensed practice decide"),
        "part": PART,
        "others": Rows(OTHER, MOST_OTHERS, about="further parts of the job, as they are made", required=False),
        "method": METHOD,
        "setup": SETUP,
        "notes": Text(longest=LONGEST_NOTE),
        "becomes": Text("what it is in the shop once it is made, as one types it there"),
        "identified": Raw({"oneOf": [{"type": "null"}, IDENTIFIED.schema()]}),
        "record": Raw(
            {"oneOf": [{"type": "null"}, {"$ref": "#/$defs/record"}]},
            "what happened at the bench, oldest first",
        ),
    },
)
