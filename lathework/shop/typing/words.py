"""What each kind of thing is called in a line; and the words that say something of it wherever they stand."""

from __future__ import annotations

import re

from lathework.shop.kit_choices import Kind

_KINDS: tuple[tuple[Kind, str], ...] = (
    ("head", r"(?:self[- ]opening )?die ?heads?"),
    ("die-stock", r"die ?stocks?"),
    ("holder", r"(?:sliding |floating )?(?:tailstock )?(?:die ?)?holders?"),
    ("bush", r"(?:guide )?bush(?:es)?"),
    ("collet", r"collets?"),
    ("chuck", r"chucks?|faceplates?"),
    ("centre", r"(?:tailstock )?centres?"),
    ("gauge", r"(?:ring |plug |leaf )?gauges?|trusted nuts?|(?:measuring )?wires?"),
    ("instrument", r"calipers?|micrometers?|dial indicators?|rules?"),
    ("reamer", r"reamers?"),
    ("blade", r"blades?"),
    ("tool", r"(?:turning |lathe )?tools?"),
    ("lathe", r"lathes?|tailstocks?"),
    ("bar", r"bars?|bar ends?|rods?"),
    ("die", r"dies?|chasers?"),
    ("tap", r"taps?"),
    ("drill", r"drills?"),
)
"""What each kind is called, the longer names before the words they hold."""
NAMED = tuple((kind, re.compile(rf"(?<![\w-])(?:{words})(?![\w-])", re.IGNORECASE)) for kind, words in _KINDS)
ANY: dict[str, tuple[str, str]] = {
    "worn": ("state", "worn"),
    "lent": ("state", "lent"),
    "missing": ("state", "missing"),
    "broken": ("state", "broken"),
}
_STEELS = {"carbon": ("steel", "carbon"), "hss": ("steel", "high-speed"), "carbide": ("steel", "carbide")}
_TAPERS = {f"{n}mt": f"{n}MT" for n in range(6)} | {f"mt{n}": f"{n}MT" for n in range(6)}
_SHANKS = {word: ("shank", taper) for word, taper in _TAPERS.items()} | {"straight": ("shank", "straight")}
_SOCKETS = {word: ("taper", taper) for word, taper in _TAPERS.items()}
OF_KIND: dict[Kind, dict[str, tuple[str, str]]] = {
    "die": _STEELS
    | {
        "split": ("form", "split"),
        "button": ("form", "split"),
        "solid": ("form", "solid"),
        "hexagon": ("form", "hexagon"),
        "hex": ("form", "hexagon"),
        "chasers": ("form", "chasers"),
    },
    "tap": _STEELS
    | {
        "taper": ("form", "taper"),
        "second": ("form", "second"),
        "bottoming": ("form", "bottoming"),
        "forming": ("form", "forming"),
        "adjustable": ("form", "adjustable"),
        "spiral-point": ("form", "spiral-point"),
        "spiral-flute": ("form", "spiral-flute"),
    },
    "blade": {"parting": ("use", "parting"), "grooving": ("use", "grooving")},
    "tool": {form: ("form", form) for form in ("knife", "threading", "boring", "chamfering", "knurling", "form")},
    "holder": _SHANKS | {"keyed": ("keyed", "yes"), "sliding": ("shank", "on-a-guide")},
    "head": _SHANKS,
    "chuck": _SOCKETS
    | {
        "three-jaw": ("form", "three-jaw"),
        "3-jaw": ("form", "three-jaw"),
        "four-jaw": ("form", "four-jaw"),
        "4-jaw": ("form", "four-jaw"),
        "drill": ("form", "drill"),
        "collet": ("form", "collet"),
        "faceplate": ("form", "faceplate"),
    },
    "centre": _SOCKETS
    | {"dead": ("form", "dead"), "live": ("form", "live"), "half": ("form", "half"), "pipe": ("form", "pipe")},
    "gauge": {
        "ring": ("form", "ring"),
        "plug": ("form", "plug"),
        "leaf": ("form", "leaf"),
        "nut": ("form", "nut"),
        "nuts": ("form", "nut"),
        "wires": ("form", "wires"),
        "wire": ("form", "wires"),
    },
    "instrument": {
        "caliper": ("form", "caliper"),
        "calipers": ("form", "caliper"),
        "micrometer": ("form", "micrometer"),
        "micrometers": ("form", "micrometer"),
        "indicator": ("form", "indicator"),
        "rule": ("form", "rule"),
    },
    "bar": {
        "round": ("form", "round"),
        "hexagon": ("form", "hexagon"),
        "hex": ("form", "hexagon"),
        "square": ("form", "square"),
    },
    "lathe": _SOCKETS
    | {
        "screwed": ("mount", "screwed"),
        "cam": ("mount", "locked"),
        "light": ("weight", "light"),
        "heavy": ("weight", "heavy"),
        "radius": ("dial", "radius"),
    },
}
