"""Words of a line that say something wherever they stand: the field that each tells of, and the choice."""

from __future__ import annotations

Told = dict[str, tuple[str, str]]
ANY: Told = {state: ("state", state) for state in ("worn", "lent", "missing", "broken")}
STEELS: Told = {"carbon": ("steel", "carbon"), "hss": ("steel", "high-speed"), "carbide": ("steel", "carbide")}
_TAPERS = {f"{n}mt": f"{n}MT" for n in range(6)} | {f"mt{n}": f"{n}MT" for n in range(6)}
SHANKS: Told = {word: ("shank", taper) for word, taper in _TAPERS.items()} | {"straight": ("shank", "straight")}
SOCKETS: Told = {word: ("taper", taper) for word, taper in _TAPERS.items()}


def forms(**named: str) -> Told:
    """Words that name a form, by the form each names; those of several words with a line below for the dash.

    >>> forms(hex="hexagon")
    {'hex': ('form', 'hexagon')}
    """
    return {word.replace("_", "-"): ("form", form) for word, form in named.items()}


def own_forms(*names: str) -> Told:
    """Forms that are typed as they are called."""
    return {name: ("form", name) for name in names}
