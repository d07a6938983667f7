"""What there is to know of a thing in the shop, declared once: its reader, its schema and the API's models follow."""

from __future__ import annotations

from lathework.declared import Field, Group
from lathework.fields import Choice, Designation, Extent, Ident, Numbers, Share, Text
from lathework.lengths import Span
from lathework.shop.kit_choices import (
    BAR_FORMS,
    BLADE_USES,
    CENTRE_FORMS,
    CHUCK_FORMS,
    DIE_FORMS,
    GAUGE_FORMS,
    GROUND,
    INSTRUMENT_FORMS,
    LEADS,
    MORSE,
    SAID,
    SCREWS,
    SHANKS,
    STATES,
    TAP_FORMS,
    TOOL_FORMS,
    TOOL_STEELS,
    Kind,
)
from lathework.shop.lathe_facts import DIALS, LATHES, MOUNTS, READOUTS, TOOL_ZEROS
from lathework.shop.metals import materials

LONGEST_NOTE = 500
MOST_SPEEDS, MOST_GEARS = 40, 60

ACROSS, THICK = Span("A die's diameter", 8, 120), Span("A die's thickness", 2, 40)
POCKET, POCKET_DEPTH = Span("A pocket", 8, 120), Span("The depth of a pocket", 2, 40)
BORE, SHANK_ROUND = Span("A bore", 0.3, 150), Span("A shank", 1, 60)
SWALLOWS, CHASED = Span("A length of thread", 1, 600), Span("A thread of a die head", 0.5, 150)
DRILL, REAMER, WIRE = Span("A drill", 0.1, 80), Span("A reamer", 0.5, 80), Span("A wire", 0.1, 6)
BLADE_WIDE, BLADE_REACH = Span("A blade's width", 0.4, 8), Span("A blade's reach", 1, 120)
SQUARE, REACHES = Span("A square", 0.5, 40), Span("How deep a tap reaches", 2, 400)
TIP = Span("A tip", 0.005, 10)
OVERRUN, GRADUATION = Span("An overrun", 0.05, 25), Span("A graduation", 0.002, 1)
GRIPS, GRIP_DEEP = Span("What it grips", 0.1, 600), Span("How deep it grips", 1, 300)
READS, WITHIN = Span("What it reads to", 0.0005, 1), Span("Its uncertainty", 0.0005, 2)
SPINDLE_BORE, SWING, TRAVEL = Span("A spindle's bore", 4, 160), Span("A swing", 40, 1000), Span("A travel", 10, 500)
BAR_ACROSS, BAR_LONG = Span("A bar size", 1, 150), Span("A bar's length", 5, 6000)

_COMMON: dict[str, Field | Group] = {
    "id": Ident("its own in the shop"),
    "state": Choice(STATES, "ready", "whether it is there and fit to work"),
    "shop": Text("whose shop it is in, where several are kept together, as in a club"),
    "place": Text("where it lies: a box, a drawer"),
    "notes": Text("what one should know of it", LONGEST_NOTE),
}
SPEEDS = Numbers(1, 6000, MOST_SPEEDS, "Speeds in rev/min,", "speeds in rev/min, back gear among them")
GEARBOX = Text("pitches its gearbox gives: 8, 9, 10 tpi; 0.5, 1 mm", LONGEST_NOTE)
GEARS = Numbers(
    8, 200, MOST_GEARS, "Teeth of change gears,", "teeth of the change gears owned", repeats=True, whole=True
)
DIAL_TEETH = Share(
    8, 200, "Teeth of the thread dial's wheel, such as 16,", "teeth of the thread dial's wheel", whole=True
)
DIAL_LINES = Share(1, 32, "Lines of the thread dial, such as 8,", "lines of the thread dial", whole=True)
_STEEL = Choice(TOOL_STEELS, "", "what it is made of")
_TAPER = Choice(MORSE, "", "its Morse taper")


def _group(name: str, about: str, fields: dict[str, Field | Group]) -> Group:
    return Group(name, about, _COMMON | fields)


GROUPS: dict[Kind, Group] = {
    "die": _group(
        "Die",
        "a die, or a set of chasers for a head",
        {
            "thread": Designation("with LH for a left-hand one", "outside"),
            "form": Choice(DIE_FORMS, "split", "how it is made"),
            "across": Extent(ACROSS, "outside diameter, or across the flats; empty where nobody measured it"),
            "thick": Extent(THICK, "thickness"),
            "steel": _STEEL,
            "lead": Choice(LEADS, "", "which side has the longer lead"),
            "marked": Text("number on the set, the same on each of its chasers"),
            "unfinished": Share(0.5, 12, "Threads it leaves unfinished, such as 2,", "threads left at a shoulder"),
        },
    ),
    "tap": _group(
        "Tap",
        "a tap, or a set of them",
        {
            "thread": Designation("with LH for a left-hand one", "inside"),
            "form": Choice(TAP_FORMS, "set", "which of a set, or how its flutes run"),
            "steel": _STEEL,
            "flutes": Share(1, 12, "Flutes, such as 4,", "how many flutes", whole=True),
            "reaches": Extent(REACHES, "how deep it goes before its shank or its square is in the way"),
            "shank": Extent(SHANK_ROUND, "diameter of its shank"),
            "square": Extent(SQUARE, "across its square"),
            "graduation": Extent(GRADUATION, "of an adjustable one: what one graduation makes, on the diameter"),
        },
    ),
    "drill": _group("Drill", "a drill", {"size": Extent(DRILL, "as it is marked", optional=False)}),
    "reamer": _group("Reamer", "a reamer", {"size": Extent(REAMER, "as it is marked", optional=False)}),
    "blade": _group(
        "Blade",
        "a blade to part off or to groove with",
        {
            "width": Extent(BLADE_WIDE, "width of the edge", optional=False),
            "use": Choice(BLADE_USES, "either", "what it serves for"),
            "reach": Extent(BLADE_REACH, "how far it goes in: half of what it parts off"),
        },
    ),
    "tool": _group(
        "Tool",
        "a turning tool",
        {
            "form": Choice(TOOL_FORMS, "knife", "what it does"),
            "angle": Share(10, 180, "An angle in degrees, such as 60,", "included angle of a threading tool, degrees"),
            "point": Choice(GROUND, "", "how the point of a threading tool is ground"),
            "tip": Extent(TIP, "flat or radius at its tip"),
        },
    ),
    "die-stock": _group(
        "DieStock",
        "a stock that turns a die by hand",
        {
            "across": Extent(POCKET, "diameter of the die it takes", optional=False),
            "deep": Extent(POCKET_DEPTH, "depth of its pocket"),
        },
    ),
    "holder": _group(
        "Holder",
        "a tailstock die holder",
        {
            "across": Extent(POCKET, "diameter of the die it takes", optional=False),
            "deep": Extent(POCKET_DEPTH, "depth of its pocket"),
            "behind": Extent(BORE, "bore behind the die"),
            "swallows": Extent(SWALLOWS, "longest thread its bore takes in"),
            "shank": Choice(SHANKS, "", "what holds it in the tailstock"),
            "round": Extent(SHANK_ROUND, "diameter of a straight shank or of its guide"),
            "screws": Choice(SCREWS, "", "its screws about the die"),
            "keyed": Choice(SAID, "", "whether a key holds it from turning"),
        },
    ),
    "bush": _group(
        "Bush",
        "a guide bush before a die",
        {"bore": Extent(BORE, "its bore", optional=False), "across": Extent(POCKET, "what it fits into")},
    ),
    "head": _group(
        "DieHead",
        "a self-opening die head",
        {
            "least": Extent(CHASED, "smallest thread its chasers cut"),
            "most": Extent(CHASED, "largest thread its chasers cut"),
            "behind": Extent(BORE, "bore behind the chasers"),
            "swallows": Extent(SWALLOWS, "longest thread its hollow takes in"),
            "overrun": Extent(OVERRUN, "how far it cuts on past its stop until it opens"),
            "graduation": Extent(GRADUATION, "what one graduation of its scale makes, on the diameter"),
            "shank": Choice(SHANKS, "", "what holds it"),
            "round": Extent(SHANK_ROUND, "diameter of a straight shank"),
        },
    ),
    "collet": _group(
        "Collet",
        "a collet",
        {
            "system": Text("what it belongs to, as it is marked"),
            "least": Extent(GRIPS, "least it closes on"),
            "most": Extent(GRIPS, "most it takes", optional=False),
            "deep": Extent(GRIP_DEEP, "how deep it grips"),
        },
    ),
    "chuck": _group(
        "Chuck",
        "a chuck or a faceplate",
        {
            "form": Choice(CHUCK_FORMS, "three-jaw", "how it holds"),
            "least": Extent(GRIPS, "least it closes on"),
            "most": Extent(GRIPS, "most it takes"),
            "taper": _TAPER,
        },
    ),
    "centre": _group("Centre", "a centre", {"form": Choice(CENTRE_FORMS, "dead", "its form"), "taper": _TAPER}),
    "gauge": _group(
        "Gauge",
        "what a thread is gauged with",
        {
            "form": Choice(GAUGE_FORMS, "nut", "what it is"),
            "thread": Designation("the thread it is for", optional=True),
            "size": Extent(WIRE, "diameter of wires"),
        },
    ),
    "instrument": _group(
        "Instrument",
        "what lengths are measured with",
        {
            "form": Choice(INSTRUMENT_FORMS, "caliper", "what it is"),
            "most": Extent(GRIPS, "most it takes"),
            "reads": Extent(READS, "what it reads to"),
            "within": Extent(WITHIN, "its uncertainty, either way"),
            "checked": Text("when it was last checked, and against what"),
        },
    ),
    "bar": _group(
        "Bar",
        "a bar, or an end of one, in the rack",
        {
            "form": Choice(BAR_FORMS, "round", "its section"),
            "across": Extent(BAR_ACROSS, "diameter, or width across flats", optional=False),
            "long": Extent(BAR_LONG, "length left"),
            "metal": Choice(("", *materials()), "", "the metal"),
        },
    ),
    "lathe": _group(
        "Lathe",
        "a lathe",
        {
            "name": Text("what it is called here", required=True),
            "bore": Extent(SPINDLE_BORE, "what passes through its spindle"),
            "swing": Extent(SWING, "diameter it swings over the bed"),
            "taper": Choice(MORSE, "", "Morse taper of its tailstock"),
            "travel": Extent(TRAVEL, "travel of its tailstock barrel"),
            "speeds": SPEEDS,
            "reverse": Choice(SAID, "", "whether its spindle can be reversed"),
            "mount": Choice(MOUNTS, "unsaid", "how the chuck sits on the spindle"),
            "run_down": Share(0, 200, "Turns the spindle runs on, such as 1.5,", "turns it runs on, switched off"),
            "dial": Choice(DIALS, "diameter", "what its cross-slide dial reads"),
            "readout": Choice(READOUTS, "readout", "what tells places along the bed"),
            "tools": Choice(TOOL_ZEROS, "unsaid", "whether a tool's zero stands while another is in the tool post"),
            "weight": Choice(LATHES, "middling", "how deep it may cut"),
            "leadscrew": Text("pitch of its leadscrew: 8 tpi, 3 mm"),
            "gearbox": GEARBOX,
            "gears": GEARS,
            "dial_teeth": DIAL_TEETH,
            "dial_lines": DIAL_LINES,
        },
    ),
}
