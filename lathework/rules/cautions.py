"""Cautions that stand beside the step they belong to: coded, with why."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Caution:
    """A caution: stable code, what to do, why. Source of all: practice."""

    code: str
    do: str
    why: str


KEY_OUT = Caution(
    "chuck-key", "Key out of the chuck; no gloves, loose sleeves or rings.", "A turning chuck takes hold of them."
)
STOP_TO_MEASURE = Caution("stop-to-measure", "Stop the spindle before you measure.", "A caliper on turning work grabs.")
BLADE = Caution(
    "blade",
    "Blade on centre and square. Stop before clearing swarf, and use a hook.",
    "Swarf is hot and razor sharp; a blade off centre digs in.",
)
FILE = Caution("file", "If you file the edge, use a file with a handle.", "A bare tang goes through the palm.")
DIE_BY_HAND = Caution(
    "die-snatch",
    "Turn the spindle by hand, motor off at the switch; keep your grip clear of the chuck jaws.",
    "A die that catches turns the holder with it.",
)
DIE_POWER = Caution(
    "die-power",
    "Know where stop is. Let the holder slip; never hold it back by hand, and stop before the shoulder.",
    "A die run into a shoulder under power breaks the die or the wrist.",
)
PART_OFF = Caution(
    "part-off", "No hand near the part while parting off: let it drop in the tray.", "The piece whips as it comes free."
)
LONG_STICK_OUT = Caution(
    "stick-out",
    "Use a tailstock centre: the work stands out more than four diameters.",
    "Long work climbs over the tool and bends out of the chuck.",
)
PRESSURE = Caution(
    "pressure",
    "Air, gas or steam fittings: local codes, an inspector or a licensed trade decide. "
    "A home-made part may be unlawful there.",
    "A fitting that lets go under pressure injures.",
)
