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
    "chuck-key", "Take the key out of the chuck. No gloves, loose sleeves or rings.", "A spinning chuck grabs them."
)
STOP_TO_MEASURE = Caution(
    "stop-to-measure", "Stop the spindle before you measure.", "A caliper grabs on work that is spinning."
)
FORWARD = Caution(
    "forward",
    "Check that the spindle runs forward before the tool touches: it was reversed last.",
    "A blade or a drill that meets the work backward digs in and breaks.",
)
BLADE = Caution(
    "blade",
    "Set the blade square and on centre. Stop the spindle before you clear chips, and use a hook.",
    "Chips are hot and razor sharp; a blade off centre digs in.",
)
PRESS = Caution(
    "press",
    "Press squarely and slowly, with a guard between you and the work. Never use a hammer that chips.",
    "Parts under force fly when they slip or crack.",
)
SHRINK = Caution(
    "shrink",
    "Cover your eyes, use tongs, and work outdoors or with the room aired: oil and plating give off fumes. "
    "Heat evenly. Have the part the right way up, a stop to push against and a hammer ready.",
    "It grips within seconds: if you are late, in the wrong place.",
)
PLANE = Caution(
    "plane",
    "Unplug the motor and lock the spindle. Push the carriage; never pull it toward you.",
    "A spindle that starts takes the tool and the hand with it.",
)
FILE = Caution("file", "If you file the edge, use a file with a handle.", "A bare tang goes through the palm.")
DIE_BY_HAND = Caution(
    "die-snatch",
    "Switch the motor off at the isolator, then turn the spindle by hand. Keep fingers clear of the jaws.",
    "A die that catches turns the holder with it.",
)
DIE_POWER = Caution(
    "die-power",
    "Know where the stop button is. Stop before the shoulder; let the holder slip and never hold it back by hand.",
    "A die run into a shoulder under power breaks the die or the wrist.",
)
DIE_HELD = Caution(
    "die-held",
    "Small threads only. Keep the other hand on the switch and let go the moment the die grips. No glove, no "
    "bar, no wrench.",
    "A holder that will not slip takes the wrist round with it.",
)
DIE_CRACKS = Caution(
    "die-cracks",
    "Cover your eyes. Tighten the jaws no harder than the die needs.",
    "A die that is squeezed cracks and flies.",
)
DIE_KEYED = Caution(
    "die-keyed",
    "Know where the stop button is and switch off in time: the key does not slip. Keep hands and tool rest "
    "clear of the holder.",
    "A die run into a shoulder under power breaks the die or the wrist.",
)
PART_OFF = Caution(
    "part-off",
    "Lock the carriage. Keep hands away while parting off; let the piece drop into the tray.",
    "The piece whips as it comes free.",
)
LONG_STICK_OUT = Caution(
    "stick-out",
    "Use a tailstock centre: the work sticks out more than four diameters.",
    "Long work climbs over the tool and bends out of the chuck.",
)
MILLING = Caution(
    "milling",
    "Clamp the block down. Stop the cutter before you index or measure. Clear chips with a brush, never fingers.",
    "A cutter that is still turning looks still.",
)
SAW = Caution("saw", "Clamp the bar before you saw, and let the saw do the work.", "A bar that rolls breaks the blade.")
DRILL = Caution(
    "drill",
    "Feed steadily. Stop the spindle and clear the chips with a brush.",
    "A drill packed with chips grabs, pulls its taper out and spins.",
)
DRILL_THROUGH = Caution(
    "drill-through",
    "Feed gently as the drill breaks through and hold the drill chuck so that it cannot be pulled out. Stop "
    "the spindle to clear chips.",
    "A drill that grabs pulls its taper out and spins.",
)
TAP = Caution(
    "tap",
    "Switch the motor off at the isolator; turn the spindle by hand. When the tap turns heavy, stop and back it off.",
    "A tap that breaks in the hole costs the part, and its edges cut.",
)
TAP_POWER = Caution(
    "tap-power",
    "Slowest speed, hand on the switch. The holder must be free to slip. Never put a wrench on a tap under power.",
    "A tap that jams takes hand or wrench round with it, and breaks.",
)
TAP_BY_HAND = Caution(
    "tap-wrench",
    "Press evenly on both ends of the wrench. When the tap turns heavy, stop and back it off.",
    "A tap bent sideways snaps, and its edges cut.",
)
CROSS_DRILL = Caution(
    "cross-drill",
    "Clamp the block down; never hold it by hand. Take the key out of the chuck. No gloves.",
    "A drill that grabs throws the work round.",
)
CHASE = Caution(
    "chase",
    "Slowest speed, hand on the switch. Know where the tool must stop. Stop the spindle before you measure.",
    "A tool run into a shoulder or the bottom of a hole breaks, and may throw the work.",
)
CHASE_BY_HAND = Caution(
    "chase-by-hand",
    "Switch the motor off at the isolator, then turn the spindle by hand. Know where the tool must stop.",
    "The gears step up: under power they strip, and the carriage runs into the chuck.",
)
GEARS = Caution(
    "change-gears",
    "Isolate the lathe before you open the gear cover. Close the cover before you switch on.",
    "Change gears take fingers.",
)
DIE_HEAD = Caution(
    "die-head",
    "Let the stop open the head. Never hold it back, and never trip it by hand near the chuck. Know where "
    "the stop button is.",
    "The head pulls itself on faster than a hand can let go.",
)
KNURL = Caution(
    "knurl",
    "Run slowly. Flush or brush the chips away; keep hands away from the wheels.",
    "Knurling wheels pull in what touches them.",
)
RUNS_LONG = Caution(
    "long-bar",
    "Support bar that sticks out behind the headstock in a tube, or cut it shorter.",
    "Bar that sticks out whips.",
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
        "Ask the inspector or a licensed trade before you fit it: local codes decide. A home-made air, gas "
        "or steam fitting may be unlawful.",
        "A fitting that lets go under pressure injures.",
    ),
    "steam": Caution(
        "steam",
        "Ask the boiler inspector before you fit it. Use bronze, never brass: brass loses its zinc in steam.",
        "A fitting that lets go scalds.",
    ),
    "vehicle": Caution(
        "vehicle",
        "Use the maker's graded part for brakes, steering or running gear. Road law and a licensed workshop decide.",
        "A home-made bolt there may be unlawful, and it looks just like a graded one.",
    ),
    "lifting": Caution(
        "lifting",
        "Use only marked, tested and certified parts to lift. Local codes and an inspector decide.",
        "A thread that strips drops the load.",
    ),
    "guard": Caution(
        "guard",
        "Have it checked before you rely on it: a guard or safety stop must hold as its maker intended. "
        "Local codes decide.",
        "People trust a guard and stop looking.",
    ),
}
"""Use in which others decide: said on the plan, and to be read before the bench goes on."""
