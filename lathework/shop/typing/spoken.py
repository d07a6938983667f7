"""Lines of a shop as people say them, brought into the words that are read: 3 jaw chuck, no 2 morse, 1 m of 16 mm."""

from __future__ import annotations

import re
from collections.abc import Callable
from decimal import Decimal

Instead = str | Callable[[re.Match[str]], str]
_MM_PER_METRE, _INCHES_PER_FOOT = 1000, 12


def _times(number: str, each: int, unit: str) -> str:
    return f"{(Decimal(number.replace(',', '.')) * each).normalize():f} {unit}"


_SPOKEN: tuple[tuple[re.Pattern[str], Instead], ...] = tuple(
    (re.compile(pattern, re.IGNORECASE), instead)
    for pattern, instead in (
        (r"^(?:i(?:'ve| have)?(?: got)?|we have|there(?:'s| is| are)|got|my|some|a few|a couple of|a pair of)\s+", ""),
        (r"\bhigh[\s-]+speed(?:[\s-]+steel)?\b", "hss"),
        (r"\bcenter(s?)\b", r"centre\1"),
        (r"\baluminum\b|\bali\b|\balloy bar\b", "aluminium"),
        (r"\b(?:revolving|rotating|running)\s+(?=centre)", "live "),
        (r"\b(?:3|three|self[\s-]centring 3)[\s-]*jaw\b", "three-jaw"),
        (r"\b(?:4|four)[\s-]*jaw(?:\s+independent)?\b|\bindependent\s+4[\s-]*jaw\b", "four-jaw"),
        (r"\b(?:no\.?\s*|number\s*|#)?(?P<n>[0-5])\s*(?:mt|morse(?:\s+taper)?)\b", r"\g<n>MT"),
        (r"\b(?:mt|morse(?:\s+taper)?)\s*(?:no\.?\s*|#)?(?P<n>[0-5])\b", r"\g<n>MT"),
        # The taper of a spindle is not that of its tailstock.
        (
            r"\b(?P<before>[0-7]MT)\s+(?:spindle|headstock)\b|\b(?:spindle|headstock)\s+(?:taper\s+)?(?P<behind>[0-7]MT)\b",
            lambda m: f"({m['before'] or m['behind']} spindle)",
        ),
        (r"\bdial\s+(?P<kind>calipers?|micrometers?)\b", r"\g<kind> (dial)"),
        (r"\b(?:tail\s*stock)\b", "tailstock"),
        (r"\bdie\s*holder\b", "die holder"),
        (r"\bleft[\s-]*hand(?:ed)?\b|\bl\.?h\.?(?=\s|$)", "LH"),
        (r"\bsplit\s+button\b|\bcircular\s+split\b", "split"),
        (r"\bdie\s*nuts?\b", "hexagon die"),
        (r"\bplug\s+tap\b|\bbottom\s+tap\b", "bottoming tap"),
        (r"\bspiral\s+(?P<kind>point|flute)(?:ed)?\b", r"spiral-\g<kind>"),
        (r"\b(?:mic|mike|micrometers?\s+caliper)\b", "micrometer"),
        (r"\bvernier\s+calipers?\b|\bverniers?\b(?!\s+caliper)", "vernier caliper"),
        (r"\bpart(?:ing)?[\s-]*off\s+(?:tool|blade)\b|\bparting\s+tool\b", "parting blade"),
        (r"\b(?P<n>\d+(?:[.,]\d+)?)\s*(?:metres?|meters?|m)(?![\w.])", lambda m: _times(m["n"], _MM_PER_METRE, "mm")),
        (r"\b(?P<n>\d+(?:[.,]\d+)?)\s*(?:ft|foot|feet)\b", lambda m: _times(m["n"], _INCHES_PER_FOOT, "in")),
        (r"(?<=[\d/])\s*(?:\"|inch(?:es)?\b)", " in"),
        (r"\bø\s*", ""),
        (r"\b(?:dia(?:m(?:eter)?)?|thickness|thick|wide|long|length|outside|o\.?d\.?)\b\.?", ""),
        (r"\bhalf\s+(?:a\s+)?(?:mm|millimet(?:re|er)s?)\b", "0.5 mm"),
        # Runs: 1 to 13 mm by 0.5, in 64ths, in half millimetre steps; numbers; letters.
        (
            r"\b(?P<low>\d+/\d+)\s*(?:in\s*)?(?:-|to)\s*(?P<high>[\d./-]+)\s*(?:in\s*)?(?P<kind>drills?)?"
            r"\s*(?:by|in)\s*(?P<part>16|32|64)(?:ths|nds)\b",
            lambda m: f"{m['low']}-{m['high']} x 1/{m['part']} {m['kind'] or ''}".strip(),
        ),
        (
            r"\b(?P<low>[\d./]+)\s*(?:mm\s*)?(?:-|to|up to)\s*(?P<high>[\d./]+)\s*(?P<unit>mm|in)?"
            r"\s*(?P<kind>drills?|collets?|reamers?)?(?:\s+set)?\s*(?:by|in|every|steps? of|x)\s*(?:steps? of\s*)?"
            r"(?P<step>\d*[./]?\d+)(?:'?s\b)?(?:\s*(?:mm|in)\b)?(?:\s*(?:steps?|increments?))?",
            lambda m: f"{m['low']}-{m['high']} x {m['step']} {m['kind'] or ''}".strip(),
        ),
        (r"\bnumber(?:ed)?\s+drills?\s+#?(?P<low>\d+)\s*(?:-|to)\s*#?(?P<high>\d+)", r"#\g<low>-#\g<high> drills"),
        (r"#?\b(?P<low>\d+)\s*(?:-|to)\s*#?(?P<high>\d+)\s+number(?:ed)?\s+drills?", r"#\g<low>-#\g<high> drills"),
        (r"\bletter\s+drills?\s+(?P<low>[a-z])\s*(?:-|to)\s*(?P<high>[a-z])\b", r"\g<low>-\g<high> drills"),
        (r"\bnumber\s+(?P<n>\d{1,2})\s+drill\b", r"#\g<n> drill"),
        (
            r"\b(?P<series>BA|BSW|BSF|UNC|UNF|UNEF|ME)\s+(?P<kind>taps?|dies?)?\s*#?(?P<low>[\d/]+)"
            r"\s*(?:-|to)\s*#?(?P<high>[\d/]+)\b",
            r"\g<low>-\g<high> \g<series> \g<kind>",
        ),
        (r"\bletter\s+(?P<l>[a-z])\s+drill\b", r"\g<l> drill"),
        (r"(?<=[\d])\s+to\s+(?=m?\d)", "-"),
        (r"(?<=jaw)\s+(?:self[\s-]*cent(?:ring|ering)|independent)\b", ""),
        (r"\btaper,?\s*(?:and\s+)?second,?\s*(?:and|&)\s*(?:plug|bottoming)\s+tap(?:s|\b)", "taps"),
        (r"\bboring\s+bar\b", "boring tool"),
        (r"(?<=\d)\s*(?:degrees?|deg\.?)(?=\s|$)", "°"),
        (r"^(?P<long>\d+(?:\.\d+)?\s*(?:mm|in))\s+of\s+(?P<rest>.+)$", r"\g<rest> \g<long>"),
        (r"(?P<kind>\b(?:dies?|taps?|drills?|collets?))\s*x\s*(?P<n>\d{1,2})$", r"\g<kind> (\g<n> of them)"),
        (r"\bmetric\s+(?=(?:coarse\s+)?(?:taps?|dies?)?.*\bm\s*\d)", ""),
    )
)
QUALITIES = frozenset(
    (
        *("old", "new", "good", "spare", "cheap", "small", "big", "large", "used", "decent", "nice", "vintage", "mini"),
        *("digital", "vernier", "import", "imported", "imperial", "ground", "sharp", "blunt", "unused"),
        *("machine", "hand", "carbide", "hss", "indexable", "brazed"),
    )
)
"""Words on what a thing is like, which its notes keep."""
COUNTS = frozenset(["one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "both", "pair"])
"""Words that only count what is named behind them."""
TIGHT = frozenset(f"h{grade}" for grade in range(5, 12))
"""Classes of a reamer, which its notes keep."""
_PLACE = re.compile(
    r"^(?:by|in|at|under|on|beside|behind|next to|near)\s|"
    r"\b(?:room|shop|shed|garage|cellar|basement|house|box|drawer|shelf|rack|cupboard|window|wall|corner|store|tower|loft)$",
    re.IGNORECASE,
)
_NOTES = re.compile(r"\((?P<notes>[^()]*)\)")


def spoken_line(text: str) -> str:
    """A line in the words that are read.

    >>> spoken_line("3 jaw chuck"), spoken_line("no 2 morse live center"), spoken_line("1 m of 16 mm brass bar")
    ('three-jaw chuck', '2MT live centre', '16 mm brass bar 1000 mm')
    >>> spoken_line("number drills 1 to 60"), spoken_line("1 to 13 mm drills in 0.5 steps")
    ('#1-#60 drills', '1-13 x 0.5 drills')
    """
    for pattern, instead in _SPOKEN:
        text = pattern.sub(instead, text)
    return " ".join(text.split())


def is_place(words: str) -> bool:
    """Whether words say where something stands, by how they begin or end.

    >>> is_place("by the window"), is_place("lamp room"), is_place("quick change")
    (True, True, False)
    """
    return not any(sign.isdigit() for sign in words) and _PLACE.search(words) is not None


def without_notes(text: str) -> tuple[str, str]:
    """A line without what stands in brackets, and that: its notes.

    >>> without_notes("M6 taps (the blue box)")
    ('M6 taps', 'the blue box')
    """
    notes = "; ".join(found["notes"].strip() for found in _NOTES.finditer(text))
    return " ".join(_NOTES.sub(" ", text).split()), notes
