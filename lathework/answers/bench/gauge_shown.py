"""What a thread may be tried with, and what it then says, for a screen."""

from __future__ import annotations

from lathework.answers.declared_answer import answer
from lathework.gauging.tried import TRIED, Gauge
from lathework.gauging.verdicts import MEANINGS, Metal, Verdict


@answer
class VerdictShown:
    """What a thread said when it was gauged, and how much metal there is on it."""

    code: Verdict
    words: str
    passes: bool
    metal: Metal


@answer
class GaugeShown:
    """Something a thread is tried with: its name for a bolt and for a hole, what to know of it, its verdicts, and
    whether it is a mate, which may have a name of its own."""

    code: Gauge
    bolt: str
    hole: str
    remark: str
    verdicts: tuple[VerdictShown, ...]
    mate: bool


def verdict_shown(code: Verdict) -> VerdictShown:
    """A verdict."""
    return VerdictShown(code, MEANINGS[code].words, MEANINGS[code].passes, MEANINGS[code].metal)


def gauges_shown() -> tuple[GaugeShown, ...]:
    """All that threads are tried with."""
    return tuple(
        GaugeShown(code, one.bolt, one.hole, one.remark, tuple(map(verdict_shown, one.verdicts)), one.spread > 0)
        for code, one in TRIED.items()
    )
