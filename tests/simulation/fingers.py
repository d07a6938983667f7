"""A number as a hurried hand types it: digits swapped, doubled, left out, a key beside the right one; as an eye
misreads it: a turn of the thimble off; as a head mistakes it: the other unit, the radius."""

from __future__ import annotations

import random

MM_PER_INCH, TURN_MM = 25.4, 0.5
#: On a pad of keys as on a telephone, or in a row: what lies beside each.
NEIGHBOURS = {"0": "89", "1": "24", "2": "135", "3": "26", "4": "157", "5": "2468", "6": "359", "7": "48", "8": "5079"}
NEIGHBOURS["9"] = "68"
KINDS = ("swapped", "beside", "doubled", "left out", "inches", "radius", "turn")


def slipped(text: str, dice: random.Random) -> str:
    """The number of `text` with one slip in it; the last digit alone is no slip that anybody could see."""
    places = [at for at, letter in enumerate(text) if letter.isdigit()]
    match dice.choice(KINDS):
        case "swapped":
            pairs = [at for at in places[:-2] if text[at + 1].isdigit() and text[at] != text[at + 1]]
            if not pairs:
                return slipped(text, dice)
            at = dice.choice(pairs)
            return text[:at] + text[at + 1] + text[at] + text[at + 2 :]
        case "beside":
            at = dice.choice(places[:-1])
            return text[:at] + dice.choice(NEIGHBOURS[text[at]]) + text[at + 1 :]
        case "doubled":
            at = dice.choice(places[:-1])
            return text[:at] + text[at] + text[at:]
        case "left out":
            at = dice.choice(places[:-1])
            return text[:at] + text[at + 1 :]
        case "inches":
            return f"{float(text) / MM_PER_INCH:.3f}"
        case "radius":
            return f"{float(text) / 2:.2f}"
        case _:
            return f"{float(text) + dice.choice((-TURN_MM, TURN_MM)):.3f}"
