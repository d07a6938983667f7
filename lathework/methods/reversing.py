"""Running the spindle backward: what a chuck that is screwed on does then, and what to wait for."""

from __future__ import annotations

from lathework.shop.lathe_facts import Mount


def back_off(mount: Mount, tool: str) -> str:
    """How to back a `tool`, die or tap, off that was run on under power. Source: practice."""
    if mount == "locked":
        return f"Back the {tool} off under power: wait until the spindle stands still before you reverse it."
    by_hand = f"back the {tool} off by hand, motor off"
    if mount == "screwed":
        return f"{by_hand[0].upper()}{by_hand[1:]}: reversed under power, a screwed-on chuck unscrews."
    return f"Is the chuck screwed on? Then {by_hand}: reversed, it unscrews. If not, let the spindle stop first."


def backward(mount: Mount) -> tuple[str, ...]:
    """What to mind when the spindle is turned backward by hand to cut a left-hand thread. Source: practice."""
    if mount == "locked":
        return ()
    return ("Turned backward, a screwed-on chuck may unscrew: feel for it, and stop when it gives.",)
