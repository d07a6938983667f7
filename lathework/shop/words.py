"""What a thing, its fields and its choices are called, and what is remarked about them."""

from __future__ import annotations

from collections.abc import Mapping

from lathework.shop.kit_choices import Kind, State
from lathework.shop.metals import materials

Words = Mapping[str, tuple[str, str]]
KIND_WORDS: Mapping[Kind, tuple[str, str]] = {
    "die": ("die", "Dies"),
    "tap": ("tap", "Taps"),
    "drill": ("drill", "Drills"),
    "reamer": ("reamer", "Reamers"),
    "blade": ("blade", "Tool rack"),
    "tool": ("turning tool", "Tool rack"),
    "die-stock": ("die stock", "Holders"),
    "holder": ("tailstock die holder", "Holders"),
    "bush": ("guide bush", "Holders"),
    "head": ("self-opening die head", "Holders"),
    "collet": ("collet", "Collets and chucks"),
    "chuck": ("chuck", "Collets and chucks"),
    "centre": ("centre", "Collets and chucks"),
    "gauge": ("gauge", "Gauges and instruments"),
    "instrument": ("instrument", "Gauges and instruments"),
    "bar": ("bar", "Bar rack"),
    "lathe": ("lathe", "Lathes"),
}
"""What one is called, and the drawer it lies in where nobody said."""
STATE_WORDS: Mapping[State, tuple[str, str]] = {
    "ready": ("ready", "there, and fit to work"),
    "worn": ("worn", "works, after the sound ones"),
    "lent": ("lent", "somebody has it"),
    "missing": ("missing", "belongs here and is not there"),
    "broken": ("broken", "kept, not used"),
}
LATHES: Words = {
    "light": ("light lathe", "half the cut"),
    "middling": ("middling lathe", "the metal's own cut"),
    "heavy": ("heavy lathe", "half as deep again"),
}
DIALS: Words = {
    "diameter": ("diameter dial", "reads what comes off the diameter"),
    "radius": ("radius dial", "reads the tool's advance: half of it"),
}
READOUTS: Words = {
    "readout": ("readout along the bed", "places as Z"),
    "stops": ("no readout: stop or marks", "places as carriage travel from the face"),
}
TOOL_ZEROS: Words = {
    "unsaid": ("tool zeros: not said", "asked once at the bench"),
    "kept": ("tools keep their zero", "touched off once: the readout keeps an offset for each tool"),
    "each": ("each tool touched off when it goes in", "its zero is lost when another tool goes in"),
}
MOUNTS: Words = {
    "unsaid": ("chuck: not said", "treated as one that can unscrew in reverse"),
    "screwed": ("chuck screwed on", "unscrews when the spindle is reversed under load"),
    "locked": ("chuck bolted or locked on", "the spindle may be reversed"),
}
LEAD_WORDS: Words = {
    "": ("not looked at", ""),
    "marked": ("the marked side", "starts from there"),
    "plain": ("the plain side", "starts from there, whatever is stamped"),
    "both": ("both alike", "starts from either side"),
}
SAID_WORDS: Words = {"": ("nobody said", ""), "yes": ("yes", ""), "no": ("no", "")}
SCREW_WORDS: Words = {
    "": ("nobody said", ""),
    "three-at-the-split": ("three at the split", "one pointed, two beside it"),
    "two-opposed": ("two opposed", ""),
    "four": ("four", ""),
}
SHANK_WORDS: Words = {
    "": ("nobody said", ""),
    "straight": ("straight shank", "held in the drill chuck"),
    "on-a-guide": ("slides on a guide bar", "the bar sits in the tailstock"),
}
FIELD_WORDS: Mapping[str, str] = {
    "thread": "Thread",
    "form": "Form",
    "across": "Takes a die of",
    "thick": "Thickness",
    "steel": "Steel",
    "lead": "Longer lead on",
    "unfinished": "Threads left unfinished",
    "flutes": "Flutes",
    "reaches": "Reaches",
    "shank": "Shank",
    "square": "Square",
    "size": "Size",
    "width": "Width",
    "use": "Serves for",
    "reach": "Reach",
    "angle": "Angle, degrees",
    "tip": "Tip",
    "deep": "Depth",
    "behind": "Bore behind",
    "swallows": "Takes in thread to",
    "round": "Straight shank or guide",
    "screws": "Screws",
    "keyed": "Keyed",
    "bore": "Bore",
    "least": "From",
    "most": "To",
    "system": "Belongs to",
    "taper": "Taper",
    "reads": "Reads to",
    "within": "Uncertainty",
    "checked": "Last checked",
    "long": "Length left",
    "metal": "Metal",
    "name": "Name",
    "swing": "Swing",
    "travel": "Tailstock travel",
    "speeds": "Speeds, rev/min",
    "reverse": "Reverse",
    "mount": "Chuck",
    "run_down": "Runs on, turns",
    "dial": "Dial",
    "readout": "Readout",
    "tools": "Tool zeros",
    "weight": "Weight",
    "leadscrew": "Leadscrew",
    "gearbox": "Gearbox gives",
    "gears": "Change gears",
    "dial_teeth": "Thread dial, teeth",
    "dial_lines": "Thread dial, lines",
    "overrun": "Opens after",
    "graduation": "A graduation makes",
    "marked": "Marked",
    "point": "Point",
}
"""What a field is called, whatever the thing; `OWN_WORDS` where a kind calls it otherwise."""
OWN_WORDS: Mapping[tuple[Kind, str], str] = {
    ("die", "across"): "Outside diameter",
    ("bar", "across"): "Size",
    ("bush", "across"): "Fits into",
    ("lathe", "bore"): "Spindle bore",
    ("lathe", "taper"): "Tailstock taper",
}
_CHOICES: Mapping[str, Words] = {
    "lead": LEAD_WORDS,
    "screws": SCREW_WORDS,
    "keyed": SAID_WORDS,
    "reverse": SAID_WORDS,
    "dial": DIALS,
    "readout": READOUTS,
    "tools": TOOL_ZEROS,
    "weight": LATHES,
    "mount": MOUNTS,
    "metal": {code: (metal.name, "") for code, metal in materials().items()},
    "shank": SHANK_WORDS,
}


def label_of(kind: Kind, field: str) -> str:
    """What a field of a kind is called."""
    return OWN_WORDS.get((kind, field), FIELD_WORDS[field])


def choice_words(field: str, code: str) -> tuple[str, str]:
    """What a choice of a field is called, and what is remarked about it."""
    known = _CHOICES.get(field, {}).get(code)
    return known or (code.replace("-", " ") or "nobody said", "")
