"""Why a nut binds, when it is not the die: what is looked at first, by what it costs to rule out."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal, get_args

from lathework.gauging.tried import Gauge

CauseCode = Literal["swarf", "last-turns", "blank", "burr", "other-nut", "other-thread"]
CAUSES: tuple[CauseCode, ...] = get_args(CauseCode)


@dataclass(frozen=True, slots=True)
class Cause:
    """Something that makes a nut bind: what to look at, and what cures it. Source: practice."""

    code: CauseCode
    name: str
    look: str
    cure: str


_BY_CODE: dict[CauseCode, Cause] = {
    "swarf": Cause(
        "swarf",
        "swarf",
        "Brush thread and nut clean, a drop of oil, and try again. Does it go on now?",
        "It was swarf: the die stays as it is. Try the nut again, and say what it does.",
    ),
    "last-turns": Cause(
        "last-turns",
        "last turns unfinished",
        "Does it bind only in the last turns, at the shoulder or where the die stopped?",
        "The last turns are unfinished: turn the die round and run it to the shoulder, or cut a wider groove; the die "
        "stays as it is. Then try the nut again.",
    ),
    "blank": Cause(
        "blank",
        "blank over size",
        "Measure over the crests. Are they over the blank's size, or bruised?",
        "The crests are too high: take them down to the blank's size with a light cut, guards and eyes as for turning, "
        "and brush the thread out, spindle stopped; the die stays as it is. Then try the nut again.",
    ),
    "burr": Cause(
        "burr",
        "burr at the start",
        "Look at the first turn. Is there a burr, or no chamfer to let the nut start?",
        "The start is burred: chamfer it down to the root with the tool; a file only by hand, spindle stopped. Then "
        "try the nut again.",
    ),
    "other-nut": Cause(
        "other-nut",
        "a small or bruised nut",
        "Try a second nut that is known to be good. Does that one go on?",
        "It was the nut: gauge with the good one from here on. Say what that one does.",
    ),
    "other-thread": Cause(
        "other-thread",
        "another thread",
        "Lay a pitch leaf, or the nut's mate, along the thread. Is the pitch, or the angle, another?",
        "It is another thread than the nut's: no die setting cures that. Look the nut up with Identify, and take the "
        "die of its thread.",
    ),
}
"""Practice: in the order of what they cost to rule out."""


_INSIDE: dict[CauseCode, Cause] = {
    "swarf": Cause(
        "swarf",
        "swarf",
        "Blow the hole out, eyes covered, brush the screw, a drop of oil. Does it go in now?",
        "It was swarf. Try the screw again, and say what it does.",
    ),
    "last-turns": Cause(
        "last-turns",
        "thread not full at the bottom",
        "Does it bind only in the last turns, at the bottom of the hole?",
        "The thread is not full to its depth: clear the chips, and finish it with a bottoming tap. Then try again.",
    ),
    "burr": Cause(
        "burr",
        "burr at the mouth",
        "Look at the mouth. Is there a burr, or no countersink to let the screw start?",
        "The mouth is burred: countersink it to the major diameter, and run the tap through. Then try again.",
    ),
    "other-nut": Cause(
        "other-nut",
        "a large or bruised screw",
        "Try a second screw that is known to be good. Does that one go in?",
        "It was the screw: gauge with the good one from here on. Say what that one does.",
    ),
    "other-thread": Cause(
        "other-thread",
        "another thread",
        "Lay a pitch leaf on the screw. Is its pitch, or its angle, that of the tap?",
        "It is another thread than the tap's: look the screw up with Identify, and take the tap of its thread.",
    ),
}
"""What is looked at where a screw binds in a hole: there is no die, and no blank. Source: practice."""


def cause_of(code: CauseCode, *, inside: bool = False) -> Cause:
    """The cause of that code: of a nut that binds, or of a screw `inside` a hole."""
    return _INSIDE.get(code, _BY_CODE[code]) if inside else _BY_CODE[code]


def _in_order(causes: Iterable[Cause], tried: Gauge) -> tuple[Cause, ...]:
    """The causes without that of a gauge known to be sound; that of one known to be tight comes first."""
    kept = [cause for cause in causes if cause.code != "other-nut" or tried not in ("known", "limits")]
    if tried == "small":
        kept.sort(key=lambda cause: cause.code != "other-nut")
    return tuple(kept)


def causes_inside(*, blind: bool, starts: bool, tried: Gauge = "") -> tuple[Cause, ...]:
    """What to look at where a screw binds in a hole, in order; `blind` says that the hole ends in the metal, `starts`
    that the screw went in at first, `tried` what it was gauged with. Source: practice."""
    causes = (cause for code, cause in _INSIDE.items() if code != "last-turns" or (blind and starts))
    return _in_order(causes, tried)


def likely_causes(*, over_blank: bool, to_shoulder: bool, starts: bool, tried: Gauge = "") -> tuple[Cause, ...]:
    """What to look at before a die is closed, in order: where the blank is known to be over its size that comes first.

    `to_shoulder` says that the thread ends at one; `starts` that the nut went on at first; `tried` what it was gauged
    with. Source: practice.
    """
    codes = [code for code in CAUSES if code != "last-turns" or (starts and to_shoulder)]
    if over_blank:
        codes.sort(key=lambda code: code != "blank")
    return _in_order((_BY_CODE[code] for code in codes), tried)
