"""Reaming: a taper before a taper tap, a plain hole to its fit."""

from __future__ import annotations

from lathework import cautions
from lathework.cautions import Caution
from lathework.cutting.dimension import Dimension, Target
from lathework.fits.fit import Limits
from lathework.holes.taper_pipe import TaperHole
from lathework.lathe.acts import Sink
from lathework.lathe.boring import Bore
from lathework.part.bores import BoreWork
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import typed
from lathework.planning.steps.fit_words import fit_figures
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work

REAMING_SHARE = 0.3
"""Reaming speed over turning speed (practice)."""
FLOAT = (
    "Let the reamer float in its holder, or push it with the tailstock centre while you keep it from turning by hand."
)
FEED = "Use plenty of oil and feed steadily. Never turn it backward: its edges chip."
LEAD = "A hand reamer's lead leaves the bottom of a blind hole small: use a machine reamer, or drill that much deeper."


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
        notes=("Never turn it backward: its edges chip.", f"No taper reamer?{without} The tap wears fast."),
        acts=(Sink(bore_work.bore.id),),
        makes=makes(mouth=in_mm(taper.ream_to)),
        chucking=chucking.number,
    )


def _reamed(work: Work, bore_work: BoreWork, across_mm: float) -> Bore:
    """The hole at its fit, as deep as it is plain."""
    depth = bore_work.bore.depth
    long_mm = work.part.overall_mm if depth is None else depth.mm
    return Bore(bore_work.bore.id, across_mm, long_mm, long_mm, blind=depth is not None, state="fitted")


def ream_to_fit(work: Work, chucking: Chucking, bore_work: BoreWork, limits: Limits) -> Operation:
    """Ream a plain hole to its fit: the reamer makes its own size, and the fit follows from its mate."""
    bore = bore_work.bore
    assert bore.across is not None
    figures = {
        "bore": typed("bore", bore.across, fine=True),
        **fit_figures(limits, work.job.unit),
        "speed": work.speed(work.job.material.turning_speed * REAMING_SHARE, bore.across.mm),
    }
    target = Target(limits.low_mm, limits.aim_mm, limits.high_mm)
    how = "plug, or the mating part, with the work cold"
    return Operation(
        key=keyed("ream", bore.id),
        kind="ream",
        title="Ream to the fit",
        sentence="Ream to {bore}" + ("." if bore.depth is None else ", to the bottom."),
        headline="bore",
        figures=figures,
        tool=f"{bore.across.typed} reamer",
        edge="",
        cautions=(cautions.DRILL,),
        notes=(FLOAT, FEED, *((LEAD,) if bore.depth is not None else ())),
        dimensions=(Dimension("bore", "bore", target, bore_work.drill_mm, bore.across.mm, "none", how, grows=True),),
        acts=(_reamed(work, bore_work, limits.aim_mm),),
        makes=makes(diameter=limits.aim_mm),
        chucking=chucking.number,
    )
