"""How a pass of a threading tool ends, and how the carriage comes back: with half nuts that may be opened, or not.

One rule for both sides of the work: where the nuts stay closed, nothing says to open them, and the carriage runs on as
long as the spindle does: it is stopped before the room ends, and the last turn is made by hand.
"""

from __future__ import annotations

from typing import Literal

Place = Literal["groove", "shoulder", "free end", "free end, soon", "shoulder, left", "free end, left"]
"""Where a pass outside ends: in a groove, at a shoulder without one, off a free end, soon where the carriage is quick;
a left-hand one begins at the shoulder, in its groove or fed in, and runs off the free end."""
Inside = Literal["past the part", "through", "recess", "recess, left", "through, left"]
"""Where a pass in a hole ends: past the part, in its bar; once it is through; in the recess of a blind one."""

_STOPPED = "When the spindle has stopped, turn it by hand until the tool"
_CLOSED = "Keep the half nuts closed, and reverse the spindle to bring the carriage back."
OPENED: dict[Place, str] = {
    "groove": "With the tool in the groove, open the half nuts. Withdraw the tool and wind the carriage back.",
    "shoulder": "Switch off short of the shoulder. When the spindle has stopped, turn it by hand to the line "
    "chalked on the chuck. Withdraw the tool there, open the half nuts and wind the carriage back.",
    "free end": "Let the tool run off the end and open the half nuts. Withdraw the tool and wind the carriage back.",
    "free end, soon": "Open the half nuts as soon as the tool runs off the end. Withdraw the tool and wind the "
    "carriage back.",
    "shoulder, left": "Start each pass in the groove and let the tool run off the free end. Open the half nuts, "
    "withdraw the tool and wind the carriage back.",
    "free end, left": "With the spindle stopped, feed the tool in at the far end by hand. Start the spindle and "
    "let the tool run off the free end. Open the half nuts, withdraw the tool and wind the carriage back.",
}
CLOSED: dict[Place, str] = {
    "groove": f"Switch off before the groove. {_STOPPED} is in the groove. Withdraw the tool. {_CLOSED}",
    "shoulder": "Switch off short of the shoulder. When the spindle has stopped, turn it by hand to the line "
    f"chalked on the chuck. Withdraw the tool there. {_CLOSED}",
    "free end": f"Let the tool run off the end and stop the spindle. Withdraw the tool. {_CLOSED}",
    "free end, soon": f"Stop the spindle as soon as the tool runs off the end. Withdraw the tool. {_CLOSED}",
    "shoulder, left": "Start each pass in the groove and let the tool run off the free end. Stop the spindle and "
    f"withdraw the tool. {_CLOSED}",
    "free end, left": "With the spindle stopped, feed the tool in at the far end by hand. Start the spindle and "
    f"let the tool run off the free end. Stop the spindle and withdraw the tool. {_CLOSED}",
}
OPENED_INSIDE: dict[Inside, str] = {
    "past the part": "Past the part, before the bore in the bar ends, open the half nuts. Move the tool in toward the "
    "axis and wind the carriage back.",
    "through": "Once the tool is through, open the half nuts. Move it in toward the axis and wind the carriage back.",
    "recess": "In the recess open the half nuts. Move the tool in toward the axis and wind the carriage back.",
    "recess, left": "Start each pass in the recess and let the tool run off the mouth. Open the half nuts, move "
    "the tool in toward the axis and wind the carriage back.",
    "through, left": "Start each pass behind the part and let the tool run off the mouth. Open the half nuts, move the "
    "tool in toward the axis and wind the carriage back.",
}
CLOSED_INSIDE: dict[Inside, str] = {
    "past the part": f"Switch off before the tool leaves the part. {_STOPPED} is past the part. Move it in toward the "
    f"axis. {_CLOSED}",
    "through": f"Once the tool is through, stop the spindle. Move the tool in toward the axis. {_CLOSED}",
    "recess": f"Switch off before the recess. {_STOPPED} is in the recess. Move it in toward the axis. {_CLOSED}",
    "recess, left": "Start each pass in the recess and let the tool run off the mouth. Stop the spindle and move "
    f"the tool in toward the axis. {_CLOSED}",
    "through, left": "Start each pass behind the part and let the tool run off the mouth. Stop the spindle and "
    f"move the tool in toward the axis. {_CLOSED}",
}


_HAND_ENDS: dict[Place | Inside, str] = {
    "groove": "is in the groove",
    "shoulder": "is at the line chalked on the chuck",
    "free end": "has run off the end",
    "free end, soon": "has run off the end",
    "shoulder, left": "has run from the groove off the free end",
    "free end, left": "has run from the far end, where it is fed in, off the free end",
    "past the part": "is past the part",
    "through": "is through",
    "recess": "is in the recess",
    "recess, left": "has run from the recess off the mouth",
    "through, left": "has run from behind the part off the mouth",
}


def turned_by_hand(place: Place | Inside, *, opens: bool) -> str:
    """How a pass ends whose spindle is turned by hand: nothing is switched, and nothing runs on."""
    back = (
        "Open the half nuts and wind the carriage back."
        if opens
        else ("Keep the half nuts closed and turn the spindle back.")
    )
    return f"Turn until the tool {_HAND_ENDS[place]}. Withdraw the tool from the thread. {back}"


def outside(place: Place, *, opens: bool) -> str:
    """How a pass outside ends at that place, where the half nuts may be opened or not. Source: practice."""
    return (OPENED if opens else CLOSED)[place]


def inside(place: Inside, *, opens: bool) -> str:
    """How a pass in a hole ends at that place, where the half nuts may be opened or not. Source: practice."""
    return (OPENED_INSIDE if opens else CLOSED_INSIDE)[place]
