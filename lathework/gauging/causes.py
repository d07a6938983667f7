"""Why a nut or a gauge binds, when it is not the die: what is looked at first, by what it costs to rule out."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass, replace
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
        "chips",
        "Brush thread and {mate} clean, add a drop of oil, and try again. Does it go on now?",
        "It was chips: leave the {tool} as it is. Try the {mate} again and record how it fits.",
    ),
    "last-turns": Cause(
        "last-turns",
        "last turns unfinished",
        "Does it bind only in the last turns, at the shoulder or where the {tool} stopped?",
        "The last turns are unfinished: {finish}. Leave the {tool} as it is. Then try the {mate} again.",
    ),
    "blank": Cause(
        "blank",
        "blank oversize",
        "Measure over the crests. Are they larger than the blank, or bruised?",
        "The crests are too high. Skim them down to the blank's size, eyes covered. Stop the spindle and "
        "brush the thread. Leave the {tool} as it is, then try the {mate} again.",
    ),
    "burr": Cause(
        "burr",
        "burr at the start",
        "Look at the first turn. Is there a burr, or no chamfer to let the {mate} start?",
        "The start is burred. Chamfer it down to the root with the tool, or stop the spindle and file it by "
        "hand. Then try the {mate} again.",
    ),
    "other-nut": Cause(
        "other-nut",
        "a small or bruised {mate}",
        "Try a second {mate} that is known to be good. Does that one go on?",
        "The {mate} was at fault. Gauge with the good one from now on and record how it fits.",
    ),
    "other-thread": Cause(
        "other-thread",
        "a different thread",
        "Lay a pitch gauge along the thread. Does pitch or angle differ from the {mate}?",
        "The {mate} has a different thread: no setting of the {tool} cures that. Identify both, and use the "
        "right {tool}.",
    ),
}
"""Practice: in the order of what they cost to rule out."""


_INSIDE: dict[CauseCode, Cause] = {
    "swarf": Cause(
        "swarf",
        "chips",
        "Cover your eyes, blow the hole out, brush the {mate} and add a drop of oil. Does it go in now?",
        "It was chips. Try the {mate} again and record how it fits.",
    ),
    "last-turns": Cause(
        "last-turns",
        "thread not full at the bottom",
        "Does it bind only in the last turns, at the bottom of the hole?",
        "The thread is not full to its depth. Clear the chips and finish with a bottoming tap. Then try again.",
    ),
    "burr": Cause(
        "burr",
        "burr at the mouth",
        "Look at the mouth. Is there a burr, or no countersink to let the {mate} start?",
        "The mouth is burred. Countersink it to the major diameter and run the tap through. Then try again.",
    ),
    "other-nut": Cause(
        "other-nut",
        "a large or bruised {mate}",
        "Try a second {mate} that is known to be good. Does that one go in?",
        "The {mate} was at fault. Gauge with the good one from now on and record how it fits.",
    ),
    "other-thread": Cause(
        "other-thread",
        "a different thread",
        "Lay a pitch gauge on the {mate}. Do pitch and angle match the tap?",
        "This is not the tap's thread. Identify the {mate} and use the tap that matches it.",
    ),
}
"""What is looked at where a screw binds in a hole: there is no die, and no blank. Source: practice."""


Moved = Literal["die", "head"]
"""What cut a thread outside, where it may bind for another reason than that."""
_FINISH: dict[Moved, str] = {
    "die": "flip the die and run it to the shoulder, or cut a wider groove",
    "head": "cut a wider groove, or set the stop nearer the shoulder",
}


def _mate(tried: Gauge, *, inside: bool) -> str:
    """What the thread was tried with, in a word."""
    if tried == "limits":
        return "plug" if inside else "ring"
    return "screw" if inside else "nut"


def _told(cause: Cause, tried: Gauge, cutter: Moved, *, inside: bool) -> Cause:
    """The cause in the words of what was tried, and of what cut the thread."""
    words = {"mate": _mate(tried, inside=inside), "tool": cutter, "finish": _FINISH[cutter]}
    name, look, cure = (text.format(**words) for text in (cause.name, cause.look, cause.cure))
    return replace(cause, name=name, look=look, cure=cure)


def cause_of(code: CauseCode, *, inside: bool = False, tried: Gauge = "", cutter: Moved = "die") -> Cause:
    """The cause of that code: of a nut or gauge `tried` that binds on what the `cutter` made, or of what is tried
    `inside` a hole."""
    cause = _INSIDE.get(code, _BY_CODE[code]) if inside else _BY_CODE[code]
    return _told(cause, tried, cutter, inside=inside)


def _in_order(causes: Iterable[Cause], tried: Gauge) -> list[Cause]:
    """The causes without that of a gauge known to be sound; that of one known to be tight comes first."""
    kept = [cause for cause in causes if cause.code != "other-nut" or tried not in ("known", "limits")]
    if tried == "small":
        kept.sort(key=lambda cause: cause.code != "other-nut")
    return kept


def causes_inside(*, blind: bool, starts: bool, tried: Gauge = "") -> tuple[Cause, ...]:
    """What to look at where a screw or a plug binds in a hole, in order; `blind` says that the hole ends in the metal,
    `starts` that it went in at first, `tried` what it was gauged with. Source: practice."""
    causes = (cause for code, cause in _INSIDE.items() if code != "last-turns" or (blind and starts))
    return tuple(_told(cause, tried, "die", inside=True) for cause in _in_order(causes, tried))


def likely_causes(
    *, over_blank: bool, to_shoulder: bool, starts: bool, tried: Gauge = "", cutter: Moved = "die"
) -> tuple[Cause, ...]:
    """What to look at before a die or a head is closed, in order: where the blank is known to be over its size that
    comes first.

    `to_shoulder` says that the thread ends at one; `starts` that the nut went on at first; `tried` what it was gauged
    with, `cutter` what made it. Source: practice.
    """
    codes = [code for code in CAUSES if code != "last-turns" or (starts and to_shoulder)]
    if over_blank:
        codes.sort(key=lambda code: code != "blank")
    causes = _in_order((_BY_CODE[code] for code in codes), tried)
    return tuple(_told(cause, tried, cutter, inside=False) for cause in causes)
