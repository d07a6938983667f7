"""A lathe as it is typed: what its spindle, screw, wheels, box and dials are, in any order, with commas or without."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator

from lathework.shop.typing.left_over import left_over
from lathework.shop.typing.sizes import die_size

_NUMBERS = r"\d{1,4}(?:\s*(?:,|/|and|\s)\s*\d{1,4})*"
_PREFERRED = (100, 125, 160, 200, 250, 315, 400, 500, 630, 800)
"""Series R10 of preferred numbers (ISO 3): what stands for a speed that is set without steps."""
_SIZE = r"[\d./-]+(?:\s*(?:mm|in))?"
_PITCH = r"[\d./]+\s*(?:tpi|mm|in)"


def _list(text: str) -> str:
    return ", ".join(re.findall(r"\d+", text))


def _between(low: int, high: int) -> str:
    """Speeds that stand for a range without steps."""
    steps = {base * 10**power // 100 for power in range(1, 5) for base in _PREFERRED}
    return ", ".join(str(one) for one in sorted({low, high, *(one for one in steps if low < one < high)}))


def _wheels(match: re.Match[str]) -> str:
    if match["step"]:
        return ", ".join(str(one) for one in range(int(match["low"]), int(match["high"]) + 1, int(match["step"])))
    return _list(match["numbers"])


def _gives(match: re.Match[str]) -> str:
    return " ".join(match["gives"].split()).rstrip(",; ")


Told = Callable[[re.Match[str]], dict[str, str]]
_FIELDS: tuple[tuple[re.Pattern[str], Told], ...] = tuple(
    (re.compile(pattern, re.IGNORECASE), told)
    for pattern, told in (
        (
            r"(?:thread\s+)?dial\s*(?:indicator\s*)?(?:of\s+)?(?P<teeth>\d+)\s*(?:teeth|t)?"
            r"\s*,?\s*(?P<lines>\d+)\s*lines\b",
            lambda m: {"dial_teeth": m["teeth"], "dial_lines": m["lines"]},
        ),
        (
            rf"(?:lead\s*screw|screw\s+pitch)\s*(?:of|is|:|=)?\s*(?P<pitch>{_PITCH})|(?P<before>{_PITCH})\s+lead\s*screw",
            lambda m: {"leadscrew": m["pitch"] or m["before"]},
        ),
        (
            r"(?:gear\s*)?box\s*(?:gives|of|:)?\s*"
            r"(?P<gives>\d[\d., ]*(?:tpi|mm)(?:\s*[;,]?\s*(?:and\s+)?\d[\d., ]*(?:tpi|mm))?)",
            lambda m: {"gearbox": _gives(m)},
        ),
        (
            rf"(?:change\s*)?(?:wheels?|gears?)\s*(?:of|:)?\s*"
            rf"(?:(?P<low>\d{{1,3}})\s*(?:-|to)\s*(?P<high>\d{{1,3}})\s*(?:by|in|x)\s*(?P<step>[1-9]\d?)\b'?s?"
            rf"|(?P<numbers>{_NUMBERS}))",
            lambda m: {"gears": _wheels(m)},
        ),
        (r"(?P<n>\d{2,3})[\s-]*(?:t|tooth|teeth)?\s*(?:change\s*)?(?:wheel|gear)\b", lambda m: {"gears": m["n"]}),
        (
            r"\b(?P<swing>\d{1,2}(?:\.\d)?)\s*(?:in\s*)?x\s*(?P<long>\d{2})(?:\s*in)?\b",
            lambda m: {"swing": f"{m['swing']} in", "notes": f"{m['long']} in between centres"},
        ),
        (
            r"(?:speeds?\s*(?:of|from|:)?\s*|variable(?:\s+speed)?\s*(?:from\s+)?)(?P<low>\d{1,4})\s*(?:-|to)\s*(?P<high>\d{1,4})"
            r"(?:\s*(?:rpm|rev/min))?|(?P<first>\d{1,4})\s*(?:-|to)\s*(?P<last>\d{1,4})\s*(?:rpm|rev/min)",
            lambda m: {"speeds": _between(int(m["low"] or m["first"]), int(m["high"] or m["last"]))},
        ),
        (
            rf"speeds?\s*(?:of|:)?\s*(?P<numbers>{_NUMBERS})(?:\s*(?:rpm|rev/min))?|(?P<bare>{_NUMBERS})\s*(?:rpm|rev/min)",
            lambda m: {"speeds": _list(m["numbers"] or m["bare"])},
        ),
        (
            rf"(?:spindle\s+)?bore\s*(?:of|is|:)?\s*(?P<size>{_SIZE})|(?P<before>{_SIZE})\s+(?:spindle\s+)?(?:through\s+)?bore",
            lambda m: {"bore": die_size((m["size"] or m["before"]).strip())},
        ),
        (
            rf"swing\s*(?:of|is|:)?\s*(?P<size>{_SIZE})|(?P<before>{_SIZE})\s+swing",
            lambda m: {"swing": die_size((m["size"] or m["before"]).strip())},
        ),
        (r"(?:dial\s+reads\s+|reads\s+)(?:on\s+)?(?P<dial>radius|diameter)", lambda m: {"dial": m["dial"].lower()}),
        (r"no\s+reverse\b", lambda m: {"reverse": "no"}),
        (r"\breverse\b|\breverses\b", lambda m: {"reverse": "yes"}),
    )
)
_LISTS = ("gears", "speeds")


def _with(told: dict[str, str], more: dict[str, str]) -> dict[str, str]:
    """What was said, with more of it: lists go on, and what was said first of anything else stands."""
    lists = {name: f"{told[name]}, {more[name]}" for name in _LISTS if name in told and name in more}
    return {**more, **told, **lists}


_PUNCTUATION = re.compile(r"[,;:]")
_JOINING = frozenset(("with", "and", "has", "it", "of", "tailstock", "spindle", "the", "a", "in"))
_OWN = re.compile(r"\blathes?\b", re.IGNORECASE)


def reads_lathe(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A lathe by its name; whatever else is said of it, with what it is. Raises InputError where words are left over:
    they are no name."""
    for pattern, of in _FIELDS:
        while (found := pattern.search(rest)) is not None:
            told = _with(told, of(found))
            rest = f"{rest[: found.start()]} , {rest[found.end() :]}"
    chunks = [_plain(chunk) for chunk in _PUNCTUATION.split(rest)]
    # Its name stands before the word itself, and has no figures.
    name = next((chunk for chunk in chunks if _OWN.search(chunk) and not any(sign.isdigit() for sign in chunk)), "")
    over = " ".join(filter(None, (chunk for chunk in chunks if chunk != name)))
    if over:
        raise left_over(over)
    words = " ".join([*_OWN.sub(" ", name).split(), "lathe"])
    return iter(({"name": words[0].upper() + words[1:], **told},))


def _plain(chunk: str) -> str:
    return " ".join(word for word in chunk.split() if word.lower() not in _JOINING)
