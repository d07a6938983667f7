"""A fit typed behind its size, as a drawing has it: 26 s6, 20 H7, 25 g6/H7, 1 press fit."""

from __future__ import annotations

import re
from collections.abc import Mapping

from lathework.errors import InputError
from lathework.fits.fit import FIT, FitCode, Makes

_LETTERS = re.compile(
    r"^(?P<size>.*(?:[\d\s.)\"″”]|mm|in))(?P<first>[A-HJKMNPR-V]{1,2}\d{1,2})(?:\s*/\s*(?P<second>[A-HJKMNPR-V]{1,2}\d{1,2}))?$",
    re.IGNORECASE | re.ASCII,
)
"""A size and one or two tolerances; a drill's letter has no grade behind it, I L O Q W are no tolerance zones."""
_WORDS: Mapping[str, FitCode] = {
    r"close[\s-]running": "close-running",
    r"(?:easy[\s-])?running": "running",
    r"piston": "piston",
    r"(?:slide|sliding|slip)": "slide",
    r"push": "push",
    r"glued?|bonded": "glued",
    r"press(?:ed)?": "press",
    r"drive|shrink|shrunk": "drive",
}
_SAID = tuple(
    (re.compile(rf"^(?P<size>.*\d.*?)\s+(?:{words})(?:[\s-]?fit)?$", re.IGNORECASE), code)
    for words, code in _WORDS.items()
)
_SHAFTS: Mapping[str, FitCode] = {
    f"{one.letter}{one.shaft_grade}": code for code, one in FIT.items() if one.letter and one.shaft_grade
}
_HOLES: Mapping[str, FitCode] = {"H7": "slide", "H8": "running"}
"""The word for a hole that names no mate: the limits of the hole are the same for every shaft of its grade."""


def read_fit(text: str, makes: Makes, field: str) -> tuple[str, FitCode]:
    """The size in a `text` and the fit behind it, "" where there is none; of what `makes` it, a shaft or a hole.

    Raises InputError on `field` ("no-such-fit") for a tolerance that is none of the fits here.

    >>> read_fit("26 s6", "shaft", "across"), read_fit("20H7", "hole", "across"), read_fit("5/8", "shaft", "across")
    (('26', 'drive'), ('20', 'slide'), ('5/8', ''))
    >>> read_fit("25 H7/g6", "hole", "across"), read_fit("1 press fit", "shaft", "across")
    (('25', 'close-running'), ('1', 'press'))
    """
    typed = text.strip()
    for pattern, code in _SAID:
        if said := pattern.match(typed):
            return said["size"].strip(), code
    zones = _LETTERS.match(typed)
    if zones is None:
        return typed, ""
    return zones["size"].strip(), _by_zones(zones, makes, field)


def _by_zones(zones: re.Match[str], makes: Makes, field: str) -> FitCode:
    """The fit of one tolerance or of two, a hole's beside a shaft's."""
    names = [name for name in (zones["first"], zones["second"]) if name]
    size = zones["size"].strip()
    holes, shafts = [one for one in names if one[0].isupper()], [one for one in names if one[0].islower()]
    if len(names) == 1 and (bool(holes) == (makes == "hole")):
        code = (_HOLES if holes else _SHAFTS).get(names[0])
    else:
        code = _SHAFTS.get(shafts[0]) if len(holes) == len(shafts) == 1 else None
        if code and f"H{FIT[code].hole_grade}" != holes[0]:
            code = None
    if code:
        return code
    known = _HOLES if makes == "hole" else _SHAFTS
    kind = "Holes have capital letters" if makes == "hole" else "Shafts have small letters"
    said = "/".join(names)
    text = f"{said} is not one of the fits here. {kind}: {', '.join(known)}."
    # The same letter written the other way is the likeliest.
    likely = sorted(known, key=lambda one: one.lower() != names[0].lower())
    raise InputError("no-such-fit", field, text, tuple(f"{size} {one}" for one in likely))
