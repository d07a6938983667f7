"""Cautions that stand beside the step they belong to: coded, with why."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal, get_args

Hazard = Literal["pressure", "steam", "vehicle", "lifting", "guard"]
HAZARDS: tuple[Hazard, ...] = get_args(Hazard)


@dataclass(frozen=True, slots=True)
class Caution:
    """A caution: stable code, what to do, why. Source of all: practice."""

    code: str
    do: str
    why: str


KEY_OUT = Caution(
    "chuck-key", "Key out of the chuck; no gloves, loose sleeves or rings.", "A turning chuck grabs them."
)
STOP_TO_MEASURE = Caution("stop-to-measure", "Stop the spindle before you measure.", "A caliper on turning work grabs.")
BLADE = Caution(
    "blade",
    "Blade on centre and square. Stop before clearing swarf, and use a hook.",
    "Swarf is hot and razor sharp; a blade off centre digs in.",
)
PRESS = Caution(
    "press",
    "Press square and slowly, a guard between you and the work; never under a hammer that chips.",
    "Parts under force fly when they slip or crack.",
)
SHRINK = Caution(
    "shrink",
    "Heat clean and even, in the open: oil and plating fume. Tongs, eyes covered; the right side up, a stop to go "
    "against, a hammer ready.",
    "It grips within seconds, and not where you want it if you are late.",
)
PLANE = Caution(
    "plane",
    "Motor unplugged and spindle locked; push the carriage, never pull it toward you.",
    "A spindle that starts takes the tool and the hand with it.",
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
DIE_HELD = Caution(
    "die-held",
    "Small threads only, the free hand at the switch: let go at once when it grips. No glove, no bar, no wrench.",
    "A holder that will not slip takes the wrist round with it.",
)
DIE_CRACKS = Caution(
    "die-cracks", "Eyes covered; nip the jaws no harder than the die needs.", "A die that is squeezed cracks and flies."
)
DIE_KEYED = Caution(
    "die-keyed",
    "Know where stop is, and switch off in time: the key does not slip. Keep hands and rest clear of the holder.",
    "A die run into a shoulder under power breaks the die or the wrist.",
)
PART_OFF = Caution(
    "part-off",
    "Lock the carriage. No hand near the part while parting off: let it drop in the tray.",
    "The piece whips as it comes free.",
)
LONG_STICK_OUT = Caution(
    "stick-out",
    "Use a tailstock centre: the work stands out more than four diameters.",
    "Long work climbs over the tool and bends out of the chuck.",
)
MILLING = Caution(
    "milling",
    "Clamp the block down; stop the cutter before you index or measure; brush, never fingers.",
    "A cutter that is still turning looks still.",
)
SAW = Caution("saw", "Clamp the bar before you saw, and let the saw do the work.", "A bar that turns breaks the blade.")
DRILL = Caution(
    "drill",
    "Feed it steadily; clear chips with a brush, spindle stopped.",
    "A drill packed with chips grabs, pulls its taper out and spins.",
)
DRILL_THROUGH = Caution(
    "drill-through",
    "Hold the tailstock chuck back as it breaks through; clear chips with a brush, spindle stopped.",
    "A drill that grabs pulls its taper out and spins.",
)
TAP = Caution(
    "tap",
    "Motor off at the switch: spindle by hand. Stop when it turns heavy and back it off.",
    "A tap that breaks in the hole costs the part, and its edges cut.",
)
TAP_POWER = Caution(
    "tap-power",
    "Slowest speed, hand at the switch; the holder must slip. Never a wrench in a turning tap.",
    "A tap that jams takes hand or wrench round with it, and breaks.",
)
TAP_BY_HAND = Caution(
    "tap-wrench",
    "Even hands on both ends of the wrench; stop when it turns heavy and back it off.",
    "A tap bent sideways snaps, and its edges cut.",
)
CROSS_DRILL = Caution(
    "cross-drill",
    "Clamp the block down, never hold it by hand; key out of the chuck; no gloves.",
    "A drill that grabs throws the work round.",
)
CHASE = Caution(
    "chase",
    "Slowest speed, hand at the switch: know where the tool must stop, and stop the spindle before you measure.",
    "A tool run into a shoulder or the bottom of a hole breaks, and may throw the work.",
)
GEARS = Caution(
    "change-gears",
    "Switch off at the wall before you open the gear cover, and close it again before you start.",
    "Change gears take fingers.",
)
DIE_HEAD = Caution(
    "die-head",
    "Let the stop open it: never hold it back or trip it by hand near the chuck. Know where stop is.",
    "It draws itself on faster than a hand goes back.",
)
KNURL = Caution(
    "knurl",
    "Slow speed, chips flushed or brushed away; no hand near the wheels.",
    "Knurling wheels pull in what touches them.",
)
RUNS_LONG = Caution(
    "long-bar", "Bar that sticks out of the back of the spindle needs a steady tube; or cut it shorter.", "It whips."
)
HAZARD_NAMES: dict[Hazard, str] = {
    "pressure": "air or gas under pressure",
    "steam": "steam",
    "vehicle": "a vehicle's brakes, steering or running gear",
    "lifting": "lifting gear",
    "guard": "a guard or safety stop",
}
HAZARD_CAUTIONS: dict[Hazard, Caution] = {
    "pressure": Caution(
        "pressure",
        "Air, gas or steam fittings: local codes, an inspector or a licensed trade decide. "
        "A home-made part may be unlawful there.",
        "A fitting that lets go under pressure injures.",
    ),
    "steam": Caution(
        "steam",
        "Steam: the boiler inspector decides what may be fitted. Use bronze, never brass: "
        "brass loses its zinc in steam and salt water.",
        "A fitting that lets go scalds.",
    ),
    "vehicle": Caution(
        "vehicle",
        "Brakes, steering, running gear: road law and a licensed workshop decide. Use the maker's graded part.",
        "A home-made bolt there may be unlawful, and nobody else can tell.",
    ),
    "lifting": Caution(
        "lifting",
        "Lifting gear: only marked, tested and certified parts may carry a load overhead. "
        "Local codes and an inspector decide.",
        "A thread that strips drops the load.",
    ),
    "guard": Caution(
        "guard",
        "A guard or safety stop: it must hold as the machine's maker meant it. Local codes decide; have it checked.",
        "People trust a guard and stop looking.",
    ),
}
"""Use in which others decide: said on the plan, and to be read before the bench goes on."""
