"""What choices of a thing are called, and what is remarked about them."""

from __future__ import annotations

from collections.abc import Mapping

from lathework.shop.kit_choices import State

Words = Mapping[str, tuple[str, str]]
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
