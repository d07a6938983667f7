"""Reaming a taper before a taper tap."""

from __future__ import annotations

from lathework import cautions
from lathework.cautions import Caution
from lathework.holes.taper_pipe import TaperHole
from lathework.part.bores import BoreWork
from lathework.planning.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work

REAMING_SHARE = 0.3
"""Reaming speed over turning speed (practice)."""


def ream(
    work: Work,
    chucking: Chucking,
    bore_work: BoreWork,
    taper: TaperHole,
    *,
    kind: str = "ream",
    guided: str = "on the tailstock centre",
    care: Caution = cautions.DRILL,
) -> Operation:
    """Ream a taper, `guided` as said, before a taper tap; or go without and drill larger."""
    speed = work.speed(work.job.material.turning_speed * REAMING_SHARE, bore_work.drill_mm)
    without = f" Drill {taper.plain.name} then." if taper.plain else ""
    return Operation(
        key=keyed(kind, bore_work.bore.id),
        kind="ream",
        title="Ream the taper",
        sentence="Ream 1 in 16 until the mouth measures {mouth}.",
        headline="mouth",
        figures={"mouth": taper.ream_to, "deep": taper.deep, "speed": speed},
        tool=f"taper pipe reamer {guided}",
        edge="",
        cautions=(care,),
        notes=("Never backward: its edges chip.", f"No taper reamer?{without} The tap wears fast."),
        makes=makes(mouth=in_mm(taper.ream_to)),
        chucking=chucking.number,
    )
