"""What the choices of the evidence are called: names and remarks by what is typed; "" is what stands unsaid."""

from __future__ import annotations

from collections.abc import Mapping

_UNKNOWN = {"": ("not known", "")}
EVIDENCE: Mapping[str, Mapping[str, tuple[str, str]]] = {
    "fit": {"": ("sits without light", ""), "nearly": ("only nearly fits", "")},
    "angle": _UNKNOWN
    | {
        "60": ("60° leaf fits", "unified, metric"),
        "55": ("55° leaf fits", "Whitworth, BSP"),
        "47.5": ("47½° leaf fits", "BA"),
    },
    "taper": _UNKNOWN | {"no": ("same at both ends", ""), "yes": ("larger toward the shank", "")},
    "hand": _UNKNOWN | {"right": ("right", ""), "left": ("left", "")},
    "worn": {"": ("somewhat", ""), "new": ("as new", ""), "badly": ("badly", "")},
    "goes": _UNKNOWN
    | {
        "will-not-start": ("does not start", ""),
        "few-turns": ("binds after a few turns", ""),
        "all-the-way": ("goes all the way", ""),
        "loose": ("goes, loose", ""),
    },
    "origin": _UNKNOWN
    | {
        "american": ("American", ""),
        "british-old": ("British, before 1960 or so", ""),
        "british-new": ("British, later", ""),
        "european": ("European or Asian", ""),
    },
    "trade": {
        "": ("general", ""),
        "pipe": ("pipe work", ""),
        "instrument": ("instrument, electrical", ""),
        "bicycle": ("bicycle", ""),
        "model": ("model engineering", ""),
        "motor": ("motor", ""),
        "other": ("clock, sewing, hose, lamp, camera", ""),
    },
}
