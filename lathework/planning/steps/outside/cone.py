"""A section that is a taper: turned with the top slide set over, tried by two readings and in its mate."""

from __future__ import annotations

import math

from lathework.cutting.cuts import deepest_cut
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given
from lathework.fits.taper import Taper, set_over
from lathework.lathe.cut import Cut
from lathework.lathe.outside_cuts import Slope
from lathework.lengths import Length
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import along, given_mm, place_words, tip_stop, typed
from lathework.planning.steps import measures
from lathework.planning.steps.holding import KNIFE, speed, swarf
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.units import LengthUnit, convert

HOLDS_ITSELF = 1 / 8
"""Taper on the diameter up to which a shank sticks in its socket by itself (practice)."""
SLIDE_TRAVEL_MM = 75.0
"""How far the top slide of a usual lathe travels (practice)."""
MARKS_SHARE = 0.75
"""How much of a taper's length two readings are taken over (practice)."""
CHATTER = (
    "Chatter? Lower the speed, raise the feed a little, shorten the tool overhang, use a smaller nose radius, "
    "and lock the slide you are not using."
)
ON_CENTRE = "Set the tool exactly on centre height, or the taper comes out hollow and at the wrong angle."
BY_INDICATOR = (
    "Set the angle by an indicator on a true bar, not by the slide's marks: it moves {rise} over {marks} of the slide."
)
TWO_READINGS = (
    "Scribe two lines {marks} apart. The inner one should measure {growth} larger. If it is less, set the "
    "slide over a little more, while there is still metal left."
)
BLUE = (
    "Draw three blue lines along it and twist it lightly in its socket: three quarters must rub, most at the "
    "large end. Wring it in: it must not rock."
)
DRY = (
    "Clean and dry socket and shank for that. Take the last hundredth with emery on a flat file; it cannot "
    "correct the angle."
)
LONG = (
    "Longer than the top slide travels. Use the taper attachment, or turn between centres with the tailstock "
    "set over {offset} toward you, small end at the tailstock."
)


def _small(work: Work, placed: Placed, taper: Taper) -> Figure:
    section = placed.section
    assert section.across is not None
    unit = work.job.unit
    large = given_mm("large end", section.across.mm, unit)
    rise, run = Given("rise", taper.rise), Given("along", taper.along)
    formula = "large end − length × rise ÷ along"
    inputs = (large, given_mm("length", section.length.mm, unit), rise, run)
    return Figure("small end", convert(section.small_mm, "mm", unit), unit, formula, GEOMETRY, inputs)


def readings(unit: LengthUnit, long: Length, taper: Taper) -> dict[str, Figure]:
    """Where two readings are taken on a taper so long, and how much they differ; what an indicator on the slide shows;
    told in `unit`."""
    apart_mm = MARKS_SHARE * long.mm
    share = (Given("share", MARKS_SHARE), Given("length", long.value, long.unit))
    marks = Figure("apart", convert(apart_mm, "mm", unit), unit, "share × length", PRACTICE, share, fine=False)
    apart, rise, run = Given("apart", marks.value, unit), Given("rise", taper.rise), Given("along", taper.along)
    growth = Figure("larger by", marks.value * taper.ratio, unit, "apart × rise ÷ along", GEOMETRY, (apart, rise, run))
    half = "apart × rise ÷ (2 × along), measured on the side along the axis"
    moves = Figure("indicator", marks.value * taper.ratio / 2, unit, half, GEOMETRY, (apart, rise, run))
    return {"marks": marks, "growth": growth, "rise": moves}


def _cuts(work: Work, chucking: Chucking, placed: Placed) -> Figure:
    """How many passes of the slide, the deepest at the small end."""
    unit, job = work.job.unit, work.job
    deepest = deepest_cut(job.material.max_cut_mm, job.setup.lathe, chucking.ratio, unit)
    inputs = (
        given_mm("turned diameter", placed.turned_mm, unit),
        given_mm("small end", placed.end_mm, unit),
        given_mm("most per cut", in_mm(deepest), unit),
    )
    count = math.ceil((placed.turned_mm - placed.end_mm) / in_mm(deepest)) + 1
    formula = "next whole of ((turned diameter − small end) ÷ most per cut) + 1; the last one finishes"
    return Figure("passes", count, "cut", formula, PRACTICE, inputs)


def _offset(work: Work, chucking: Chucking, taper: Taper) -> Figure:
    """How far the tailstock is set over for a taper between centres."""
    whole = given_mm("overall length", chucking.overall_mm, work.job.unit)
    inputs = (whole, Given("rise", taper.rise), Given("along", taper.along))
    mm = chucking.overall_mm * taper.ratio / 2
    return along(work, "tailstock over", mm, "overall length × rise ÷ (2 × along)", *inputs, fine=True)


def turn_cone(work: Work, chucking: Chucking, placed: Placed, taper: Taper) -> Operation:
    """Turn a section's taper down to its small end, which lies toward the face."""
    section, near = placed.section, placed.near_mm
    # Beside a fit of its size it is turned down with that and runs out a hair sooner, or ends at a step of a hair.
    long_mm = min(section.length.mm, (placed.turned_mm - placed.end_mm) / taper.ratio)
    large_mm = placed.end_mm + long_mm * taper.ratio
    figures = {
        "angle": set_over(taper),
        "small": _small(work, placed, taper),
        "length": typed("length", section.length, fine=False),
        **readings(work.job.unit, section.length, taper),
        "cuts": _cuts(work, chucking, placed),
        "speed": speed(work, placed.turned_mm),
    }
    if near > 0:
        figures["position"] = tip_stop(work, near)
    where = f"at its near edge, {place_words(work, 'position')}" if near > 0 else "at the face"
    notes = [ON_CENTRE, BY_INDICATOR, TWO_READINGS, CHATTER, *([BLUE, DRY] if taper.ratio <= HOLDS_ITSELF else [])]
    if section.length.mm > SLIDE_TRAVEL_MM:
        figures["offset"] = _offset(work, chucking, taper)
        notes.insert(0, LONG)
    return Operation(
        key=keyed("taper", section.id),
        kind="taper",
        title=f"Turn the taper, {taper.told}",
        sentence=f"Set the top slide over {{angle}} and turn the taper over {{length}}, until it measures {{small}} "
        f"{where}.",
        headline="small",
        figures=figures,
        tool=KNIFE,
        edge="tip",
        cautions=(swarf(work),),
        notes=tuple(notes),
        dimensions=(measures.plunged("small end", placed.end_mm, placed.turned_mm),),
        acts=(
            Slope(
                section.id,
                Cut(near + long_mm, near, large_mm, placed.end_mm, slope=True),
            ),
        ),
        chucking=chucking.number,
        makes=makes(diameter=placed.end_mm, length=section.length.mm, taper=taper.ratio),
    )
