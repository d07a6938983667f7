"""A designation read out letter by letter."""

from __future__ import annotations

from lathework.threads.families import family_of
from lathework.threads.families.family import Letter, both
from lathework.threads.thread import Thread

_FITS = {
    "1": "loose fit, easy to put together",
    "2": "the usual fit",
    "3": "close fit, no allowance",
    "close": "close class: a snug fit",
    "medium": "medium class: the better ordinary fit",
    "free": "free class: bolts of ordinary commercial make",
    "normal": "normal class: ordinary commercial make",
}
_POSITIONS = {
    "e": "external, large allowance",
    "f": "external, medium allowance",
    "g": "external, small allowance",
    "h": "external, no allowance",
    "G": "internal, small allowance",
    "H": "internal, no allowance",
}


def _class(name: str) -> list[Letter]:
    if name[-1:] in ("A", "B") and name[:1] in ("1", "2", "3"):
        side = "external" if name[-1] == "A" else "internal"
        return [Letter(name[0], f"class {name[0]}: {_FITS[name[0]]}"), Letter(name[1], side)]
    if name in _FITS:
        return [Letter(name, _FITS[name])]
    if name in ("A", "B"):
        return [
            Letter(
                name, "tolerance class of the external thread, " + (("the closer class") if name == "A" else "twice A")
            )
        ]
    if len(name) == 4:
        return [
            Letter(name[:2], f"pitch diameter: grade {name[0]}, {_POSITIONS[name[1]]}"),
            Letter(name[2:], f"crest diameter: grade {name[2]}, {_POSITIONS[name[3]]}"),
        ]
    if len(name) == 2 and name[1] in _POSITIONS:
        return [
            Letter(name[0], f"tolerance grade {name[0]}: 6 is usual, lower is closer"),
            Letter(name[1], _POSITIONS[name[1]]),
        ]
    return []


def explain(thread: Thread, class_name: str = "") -> tuple[Letter, ...]:
    """Each part of the designation of `thread`, and of its class, with what it means; lengths told in both units."""
    out = list(family_of(thread).letters(thread))
    if thread.starts > 1:
        out.append(Letter(f"{thread.starts}-start", f"one turn advances {both(thread.lead, thread)}"))
    if thread.hand == "left":
        out.append(Letter("LH", "left-hand: tightens anticlockwise"))
    return (*out, *_class(class_name))
