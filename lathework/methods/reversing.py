"""Running the spindle backward: how a die or a tap comes off again, and what a screwed-on chuck does then.

Every line that speaks of it takes its words from here: the caution above the button, the counter's last beat, how a
tool that was drawn out is brought back.
"""

from __future__ import annotations

from lathework.cautions import Caution
from lathework.shop.lathe_facts import Mount
from lathework.threads.thread import Hand

COMING_OFF = "coming-off"
_UNSCREWS = "In reverse a screwed-on chuck unscrews and comes off the spindle."
_HEARD = "A spindle reversed while it still runs strips gears and tears the thread."


def coming_off(mount: Mount, tool: str, hand: Hand = "right") -> Caution:
    """How a `tool`, die or tap, that was run on under power comes off again. Source: practice.

    A left-hand thread is cut in reverse, with a chuck that cannot unscrew, and comes off forward.
    """
    if mount == "locked":
        way = "reverse it" if hand == "right" else "run it forward"
        return Caution(COMING_OFF, f"Let the spindle stop, then {way} to back the {tool} off.", _HEARD)
    do = f"When the spindle has stopped, switch the motor off at the isolator and back the {tool} off by hand."
    why = _UNSCREWS if mount == "screwed" else f"{_UNSCREWS} If your chuck is locked on, choose that for the lathe."
    return Caution(COMING_OFF, do, why)


def backward(mount: Mount) -> tuple[Caution, ...]:
    """What to mind when the spindle is turned backward by hand to cut a left-hand thread. Source: practice."""
    if mount == "locked":
        return ()
    do = "If the chuck gives when you turn the spindle backward, stop and tighten it before you go on."
    return (Caution("backward", do, "Turned backward, a screwed-on chuck can unscrew."),)


def carriage_back(mount: Mount) -> tuple[Caution, ...]:
    """What to mind when the spindle is reversed to bring the carriage back, the tool drawn out. Source: practice."""
    if mount == "locked":
        return ()
    do = "Reverse from standstill, at the slowest speed or by hand."
    return (Caution("carriage-back", do, "Started or braked hard in reverse, a screwed-on chuck unscrews."),)
