"""A designation read out letter by letter."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.threads.series import trim
from lathework.threads.thread import Thread
from lathework.units import show_both


@dataclass(frozen=True, slots=True)
class Letter:
    """A part of a designation and what it means."""

    text: str
    means: str


_SERIES = {
    "UNC": "unified coarse series, 60 degree flanks",
    "UNF": "unified fine series, 60 degree flanks",
    "UNEF": "unified extra-fine series, 60 degree flanks",
    "UN": "unified series of constant pitch, 60 degree flanks",
    "UNS": "unified special: no series lists it; 60 degree flanks",
    "BSW": "British Standard Whitworth, coarse, 55 degree flanks",
    "BSF": "British Standard Fine, 55 degree flanks",
    "ME": "model engineer, Whitworth form, 55 degree flanks",
    "Brass": "brass thread, 26 to the inch at every size, Whitworth form",
    "special": "no series lists it",
    "G": "parallel pipe thread, 55 degree flanks: it does not seal on the thread",
    "R": "external taper pipe thread, 1 in 16, 55 degree flanks: it seals on the thread",
    "Rc": "internal taper pipe thread, 1 in 16, 55 degree flanks",
    "Rp": "internal parallel pipe thread for an external taper thread, 55 degree flanks",
    "NPT": "American taper pipe thread, 1 in 16, 60 degree flanks: it seals on the thread with a sealant",
    "NPSM": "American parallel pipe thread for free-fitting joints, 60 degree flanks",
    "BSC": "British Standard Cycle, 60 degree flanks, rounded",
    "Conduit": "electrical conduit, Whitworth form",
    "RMS": "microscope objective, 36 to the inch, Whitworth form",
    "W": "gas cylinder valve, 21.8 mm, 14 to the inch, Whitworth form",
    "Tr": "trapezoidal, 30 degree flanks",
    "Acme": "Acme, 29 degree flanks",
    "BA": "British Association, 47.5 degree flanks, millimetre sizes",
}
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
    "f": "external, middling allowance",
    "g": "external, small allowance",
    "h": "external, no allowance",
    "G": "internal, small allowance",
    "H": "internal, no allowance",
}


def _both(value: float, thread: Thread) -> str:
    inch, mm = show_both(value, thread.unit)
    return f"{inch} in ({mm} mm)"


def _size(thread: Thread) -> list[Letter]:
    """The size and the count or pitch, as the family writes them."""
    first = thread.plain_name.split()[0]
    if thread.family == "metric":
        out = [
            Letter("M", "ISO metric, 60 degree flanks"),
            Letter(trim(thread.major), f"nominal major diameter, {_both(thread.major, thread)}"),
        ]
        pitch = f"pitch {_both(thread.pitch, thread)}"
        return [*out, Letter(f"x{trim(thread.pitch)}", pitch) if "x" in first else Letter("", f"coarse: {pitch}")]
    if thread.series == "Tr":
        return [
            Letter("Tr", _SERIES["Tr"]),
            Letter(trim(thread.major), f"nominal major diameter, {_both(thread.major, thread)}"),
            Letter(f"x{trim(thread.pitch)}", f"pitch {_both(thread.pitch, thread)}"),
        ]
    if thread.series in ("RMS", "W"):
        told = f"major {_both(thread.major, thread)}, pitch {_both(thread.pitch, thread)}"
        return [Letter(first.removeprefix(thread.series), told)]
    if thread.family == "ba":
        return [Letter(first, f"the BA number: pitch 0.9^{first} mm, major {_both(thread.major, thread)}")]
    if thread.family == "bsp":
        size = first.removeprefix(thread.series)
        return [
            Letter(thread.series, _SERIES[thread.series]),
            Letter(size, f"nominal pipe size, not a diameter: {_both(thread.major, thread)} across the crests"),
            Letter("", f"{trim(thread.tpi or 0)} threads per inch"),
        ]
    size, _, count = first.partition("-") if first.count("-") < 2 else first.rpartition("-")
    if thread.family == "whitworth" and not thread.special and thread.series != "Conduit":
        size, count = first, ""
    told = "nominal pipe size" if thread.family == "npt" else "nominal major diameter"
    counted = f"threads per inch: pitch {_both(thread.pitch, thread)}"
    return [
        Letter(size, f"{told}, {_both(thread.major, thread)}" + (" in the gauge plane" if thread.taper else "")),
        Letter(count, counted) if count else Letter("", f"{trim(thread.tpi or 0)} {counted}"),
    ]


def _class(name: str) -> list[Letter]:
    if name[-1:] in ("A", "B") and name[:1] in ("1", "2", "3"):
        side = "external" if name[-1] == "A" else "internal"
        return [Letter(name[0], f"class {name[0]}: {_FITS[name[0]]}"), Letter(name[1], side)]
    if name in _FITS:
        return [Letter(name, _FITS[name])]
    if name in ("A", "B"):
        return [Letter(name, "tolerance class of the external thread, " + ("the closer" if name == "A" else "twice A"))]
    if len(name) == 4:
        return [
            Letter(name[:2], f"pitch diameter: grade {name[0]}, {_POSITIONS[name[1]]}"),
            Letter(name[2:], f"crest diameter: grade {name[2]}, {_POSITIONS[name[3]]}"),
        ]
    if len(name) == 2 and name[1] in _POSITIONS:
        return [
            Letter(name[0], f"tolerance grade {name[0]}: 6 is usual, less is closer"),
            Letter(name[1], _POSITIONS[name[1]]),
        ]
    return []


def explain(thread: Thread, class_name: str = "") -> tuple[Letter, ...]:
    """Each part of the designation of `thread`, and of its class, with what it means; lengths told in both units."""
    out = _size(thread)
    if thread.series in ("RMS", "W"):
        out.insert(0, Letter(thread.series, _SERIES[thread.series]))
    elif thread.family not in ("metric", "bsp") and thread.series != "Tr":
        out.append(Letter(thread.series, _SERIES[thread.series]))
    elif thread.special:
        out.append(Letter("special", _SERIES["special"]))
    if thread.starts > 1:
        out.append(Letter(f"{thread.starts}-start", f"one turn advances {_both(thread.lead, thread)}"))
    if thread.hand == "left":
        out.append(Letter("LH", "left-hand: tightens anticlockwise"))
    return (*out, *_class(class_name))
