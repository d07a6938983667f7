"""What the choices of the evidence are called: names and remarks by what is typed; "" is what stands unsaid."""

from __future__ import annotations

from collections.abc import Mapping

_UNKNOWN = {"": ("not known", "")}
EVIDENCE: Mapping[str, Mapping[str, tuple[str, str]]] = {
    "fit": {"": ("fits exactly, no light", ""), "nearly": ("nearly fits", "")},
    "angle": _UNKNOWN
    | {
        "60": ("60° gauge fits", "unified, metric"),
        "55": ("55° gauge fits", "Whitworth, BSP"),
        "47.5": ("47½° gauge fits", "BA"),
    },
    "taper": _UNKNOWN | {"no": ("same at both ends", ""), "yes": ("larger toward the shank", "")},
    "hand": _UNKNOWN | {"right": ("right", ""), "left": ("left", "")},
    "worn": {"": ("somewhat", ""), "new": ("as new", ""), "badly": ("badly", "")},
    "goes": _UNKNOWN
    | {
        "will-not-start": ("does not start", ""),
        "few-turns": ("binds after a few turns", ""),
        "all-the-way": ("runs on fully", ""),
        "loose": ("runs on, loose", ""),
    },
    "origin": _UNKNOWN
    | {
        "american": ("American", ""),
        "british-old": ("British, before about 1960", ""),
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
