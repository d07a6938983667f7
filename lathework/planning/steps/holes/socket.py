"""A hole that is a taper: drilled to what its small end leaves, then bored with the top slide set over."""

from __future__ import annotations

from lathework import cautions
from lathework.cutting.dimension import Dimension, Target
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.figures import GEOMETRY, Figure, Given
from lathework.fits.taper import Taper, set_over
from lathework.holes.depth import THIN_WALL
from lathework.lathe.boring import Bore
from lathework.part.bores import BoreWork
from lathework.part.finished_holes import mouth_figure
from lathework.planning.holdings.chucking import Chucking
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import given_mm, typed
from lathework.planning.steps import measures
from lathework.planning.steps.holes.boring import drilling_speed
from lathework.planning.steps.outside.cone import BY_INDICATOR, HOLDS_ITSELF, ON_CENTRE, readings
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.units import convert

LIGHT = (
    "Take light cuts, and repeat the same dial setting twice at the end: a boring bar springs and bellies the taper."
)
REAMER = (
    "With a taper reamer, leave a tenth of a millimetre and ream by hand, in line with the tailstock, never backward."
)
BLUED = (
    "Clean and dry both. Draw three blue lines along the shank that goes in and twist it lightly: three "
    "quarters must rub, most at the large end. Wrung in, it must not rock."
)
PLUG = "Try the mating part: it must stop short of home by the amount the last cuts will let it in."


def _mouth(large_mm: float, start_mm: float) -> Dimension:
    """The large end at the mouth: a band of a plain size."""
    half = measures.PLAIN_TOLERANCE_MM / 2
    band = Target(large_mm - half, large_mm, large_mm + half)
    how, most = "inside jaws of the caliper; then the mating part", 4 * FINISH_MM
    return Dimension("bore", "mouth of the taper", band, start_mm, most, "cross-slide", how, grows=True)


def bore_socket(work: Work, chucking: Chucking, bore_work: BoreWork, taper: Taper) -> Operation:
    """Bore the taper of a hole until its mouth is as wide as it should be."""
    bore, unit = bore_work.bore, work.job.unit
    assert bore.across is not None and bore.depth is not None  # the reader gives a socket both
    inputs = (
        given_mm("mouth", bore.across.mm, unit),
        given_mm("deep", bore.depth.mm, unit),
        Given("rise", taper.rise),
        Given("along", taper.along),
    )
    small = Figure(
        "small end", convert(bore.small_mm, "mm", unit), unit, "mouth − deep × rise ÷ along", GEOMETRY, inputs
    )
    figures = {
        "angle": set_over(taper),
        "mouth": mouth_figure(bore),
        "length": typed("deep", bore.depth, fine=False),
        "small": small,
        **readings(unit, bore.depth, taper),
        "speed": drilling_speed(work, bore.across.mm),
    }
    return Operation(
        key=keyed("socket", bore.id),
        kind="taper",
        title=f"Bore the taper, {taper.told}",
        sentence="Set the top slide over {angle} and bore the taper {length} deep, until the mouth measures {mouth}.",
        headline="mouth",
        figures=figures,
        tool="boring tool",
        edge="tip",
        cautions=(cautions.STOP_TO_MEASURE,),
        notes=(ON_CENTRE, BY_INDICATOR, LIGHT, PLUG, *((BLUED, REAMER) if taper.ratio <= HOLDS_ITSELF else ())),
        dimensions=(_mouth(bore.across.mm, bore_work.drill_mm),),
        acts=(
            Bore(
                bore.id,
                bore.across.mm,
                bore.depth.mm,
                bore.depth.mm,
                blind=True,
                state="finished",
                wall_share=THIN_WALL,
            ),
        ),
        chucking=chucking.number,
        makes=makes(diameter=in_mm(figures["mouth"]), length=bore.depth.mm, taper=taper.ratio),
    )
