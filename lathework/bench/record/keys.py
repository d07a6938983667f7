"""What keys of steps may be: the kinds of work, each with what it is done to."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Literal

from lathework.part.model import Part

Of = Literal["part", "end", "section", "edge", "hole"]
STEP_KINDS: Mapping[str, Of] = {
    **dict.fromkeys(("saw", "saw-off", "part-begin", "part-off", "deburr", "fit"), "part"),
    **dict.fromkeys(("hold", "face", "centre", "carry", "steady", "push-in", "draw-out"), "end"),
    **dict.fromkeys(
        (
            "turn",
            "neck",
            "groove",
            "chamfer",
            "knurl",
            "thread",
            "finish",
            "gauge",
            "flats",
            "keyway",
            "rough",
            "taper",
            "gear",
            "screwcut",
            "start-groove",
            "index",
            "join",
        ),
        "section",
    ),
    "edge": "edge",
    **dict.fromkeys(
        (
            "spot",
            "pilot",
            "drill",
            "bore",
            "ream",
            "countersink",
            "tap",
            "chase",
            "try",
            "rough-bore",
            "hub-keyway",
            "socket",
            "undercut",
            "recess",
            "index-inside",
            "join-mate",
        ),
        "hole",
    ),
    **dict.fromkeys(("cross-mark", "cross-drill", "cross-ream", "cross-countersink", "cross-tap", "cross-try"), "hole"),
}
"""What the steps of each kind are done to."""
ENDS = ("right", "left")


def ids_of(part: Part) -> frozenset[str]:
    """The ids of a part's sections and holes."""
    return frozenset({section.id for section in part.sections} | {bore.id for bore in part.bores})


def split(step: str) -> tuple[str, str] | None:
    """Kind and id of the key of a step; the id is "" for one that makes the part or an end. None for what is no key.

    >>> split("edge:s2.left"), split("face:right"), split("part-off"), split("dance:s1")
    (('edge', 's2'), ('face', ''), ('part-off', ''), None)
    """
    kind, colon, made = step.partition(":")
    of = STEP_KINDS.get(kind)
    if of is None or (of == "part") == bool(colon):
        return None
    if of == "part":
        return kind, ""
    if of == "end":
        return (kind, "") if made in ENDS else None
    own, dot, end = made.partition(".")
    return (kind, own) if own and (end in ENDS if of == "edge" else not dot) else None
