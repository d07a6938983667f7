"""Special sizes of a standard form, that no series lists."""

from __future__ import annotations

from decimal import Decimal

from lathework.figures import PRACTICE, Source
from lathework.threads.forms import METRIC, UNIFIED, WHITWORTH
from lathework.threads.series import basic, trim
from lathework.threads.thread import Thread


def special_unified(size: str, major: Decimal, tpi: Decimal) -> Thread:
    """A unified thread that no series lists; `major` in inches, named by `size`."""
    return basic(
        designation=f"{size}-{trim(tpi)} UNS",
        family="unified",
        series="UNS",
        form=UNIFIED,
        unit="in",
        major=major,
        pitch=1 / tpi,
        tpi=tpi,
        source=UNIFIED.source,
        special=True,
    )


def special_whitworth(size: str, major: Decimal, tpi: Decimal) -> Thread:
    """A thread of Whitworth form that no series lists; `major` in inches, named by `size`."""
    return basic(
        designation=f"{size}-{trim(tpi)} Whitworth special",
        family="whitworth",
        series="special",
        form=WHITWORTH,
        unit="in",
        major=major,
        pitch=1 / tpi,
        tpi=tpi,
        source=Source(PRACTICE.kind, "Whitworth form at a chosen size; form from BS 84"),
        special=True,
    )


def special_metric(major: Decimal, pitch: Decimal) -> Thread:
    """A metric thread that ISO 261 does not list; millimetres."""
    return basic(
        designation=f"M{trim(major)}x{trim(pitch)} special",
        family="metric",
        series="special",
        form=METRIC,
        unit="mm",
        major=major,
        pitch=pitch,
        source=METRIC.source,
        special=True,
    )
