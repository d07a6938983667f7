"""What a holder is asked with: examples out of the shop's own things where it has some that make a sound holder."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence

from lathework.errors import InvalidDocument
from lathework.holders.asks import HOLDERS, AskedSize, HolderKind
from lathework.holders.workshop import designed
from lathework.shop.kinds.bars import Bar
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.kind import Owned
from lathework.units import LengthUnit

USUAL_BAR_MM = 19.0
"""A holder slides on a bar of about this (practice)."""
TO_MEASURE = frozenset({"near-size-die", "not-measured"})
"""What asks to measure again, and speaks against no design."""
OF_A_DIE: tuple[HolderKind, ...] = ("die-holder", "floating", "die-stock")


def _die(dies: Sequence[Die], *, largest: bool) -> Die | None:
    """The die that a holder would be made for: of the size that most have, the one of the largest thread; or the
    largest of all."""
    if not dies:
        return None
    sizes = Counter((one.across.typed, one.thick.typed) for one in dies if one.across and one.thick)
    [(size, _)] = sizes.most_common(1)
    own = [one for one in dies if one.across and one.thick and (one.across.typed, one.thick.typed) == size]
    return max(dies if largest else own, key=lambda one: (one.across.mm if one.across else 0, one.thread.major_mm))


def _wanted(ask: AskedSize) -> bool:
    return not getattr(ask.of, "optional", False)


def examples(kind: HolderKind, owned: Sequence[Owned], unit: LengthUnit) -> Mapping[str, str]:
    """What would be typed for a holder of the shop's own die and bar, by its fields; nothing where the shop has none
    that make one."""
    if kind not in OF_A_DIE:
        return {}
    round_ones = [one for one in owned if isinstance(one, Die) and one.form != "chasers"]
    dies = [one for one in round_ones if one.across and one.thick and one.across.unit == unit]
    die = _die(dies, largest=kind == "die-stock")
    if die is None or die.across is None or die.thick is None:
        return {}
    said = {"die": die.across.typed, "thick": die.thick.typed, "thread": die.thread.designation}
    bars = [one for one in owned if isinstance(one, Bar) and one.form == "round" and one.across.unit == unit]
    bar = min(bars, key=lambda one: abs(one.across.mm - USUAL_BAR_MM), default=None)
    if bar is not None:
        said["bar"] = bar.across.typed
    asks = {one.field: one.inch if unit == "in" else one.mm for one in HOLDERS[kind].asks if _wanted(one)}
    for tried in (said, {field: text for field, text in said.items() if field != "bar"}):
        try:
            against = designed(kind, {"unit": unit, "metal": "mild-steel", **asks, **tried}).conflicts
            if {one.code for one in against} <= TO_MEASURE:
                return {field: text for field, text in tried.items() if field in asks}
        except InvalidDocument:
            continue
    return {}
