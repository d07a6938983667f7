"""What choices of a thing are called, and what is remarked about them."""

from __future__ import annotations

from collections.abc import Mapping

from lathework.shop.kit_choices import State

Words = Mapping[str, tuple[str, str]]
STATE_WORDS: Mapping[State, tuple[str, str]] = {
    "ready": ("ready", "here and in good order"),
    "worn": ("worn", "usable, second choice"),
    "lent": ("on loan", "lent out"),
    "missing": ("missing", "should be here"),
    "broken": ("broken", "kept but not used"),
}
LATHES: Words = {
    "light": ("light lathe", "half the normal cut"),
    "middling": ("medium lathe", "the normal cut"),
    "heavy": ("heavy lathe", "half as much again"),
}
DIALS: Words = {
    "diameter": ("diameter dial", "reads the change in diameter"),
    "radius": ("radius dial", "reads the tool movement: half the change in diameter"),
}
READOUTS: Words = {
    "readout": ("readout along the bed", "positions as Z"),
    "stops": ("no readout: stop or marks", "positions as carriage travel from the face"),
}
TOOL_ZEROS: Words = {
    "unsaid": ("tool zeros: not given", "asked once at the bench"),
    "kept": ("tools keep their zero", "touch off once: the readout keeps an offset for each tool"),
    "each": ("touch off each tool when it goes in", "the zero is lost when another tool goes in"),
}
MOUNTS: Words = {
    "unsaid": ("chuck mounting not given", "treated as screwed on, so it can unscrew in reverse"),
    "screwed": ("chuck screwed on", "can unscrew in reverse under load"),
    "locked": ("chuck bolted or locked on", "the spindle may run in reverse"),
}
