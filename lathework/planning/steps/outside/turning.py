"""Turning: each diameter in its cuts, the largest first."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from lathework.cutting.cuts import deepest_cut, last_diameters, passes
from lathework.cutting.dimension import Dimension, Target
from lathework.cutting.knurl import blank_figure
from lathework.cutting.to_size.last_cuts import FINISH_MM
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, added
from lathework.fits.fit import Limits
from lathework.fits.taper import gauge_size, large_end
from lathework.lathe.cut import Cut
from lathework.lathe.outside_cuts import Turn
from lathework.part.fitted import section_limits
from lathework.part.model import MILLED
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import along, given, given_mm, place_words, tip_stop, typed
from lathework.planning.steps import measures
from lathework.planning.steps.fit_words import fit_figures, fit_notes
from lathework.planning.steps.holding import KNIFE, speed, swarf
from lathework.planning.steps.outside.bends import bends_away, both_ends, long_fit
from lathework.planning.threads.thread_work import in_mm
from lathework.planning.work import Work
from lathework.units import LengthUnit, convert

CENTRE_STIFFENS = 3.0
"""How many times its stick-out work may stand out when a centre carries its end (practice)."""
BLANK_OVER, BLANK_UNDER = 0.02, 0.05
"""Band of a blank that counts as on size, in pitches over and under the aim (practice)."""
_CUT_MM = 0.005


def _fitted(placed: Sequence[Placed]) -> list[Limits]:
    """The limits of those sections that are made to a fit."""
    return [limits for one in placed if (limits := section_limits(one.section)) is not None]


def _target(placed: Placed, over: Sequence[Placed]) -> Target:
    """On size: about a plain diameter; for a die a little over, or under as long as the class allows.

    `over` are the sections that the cut passes: fits of this very size are met together, and nothing goes under one
    that is turned only later.
    """
    found, aim = placed.thread, placed.turned_mm
    if section_limits(placed.section) is not None:
        alike = _fitted([one for one in over if abs(one.turned_mm - aim) <= _CUT_MM])
        return Target(max(one.low_mm for one in alike), aim, min(one.high_mm for one in alike))
    if found is None:
        plain = measures.about(aim, measures.PLAIN_TOLERANCE_MM)
        later = [one.high_mm for one in _fitted(over) if one.high_mm < aim]
        return Target(max(plain.low_mm, *later), aim, plain.high_mm) if later else plain
    pitch = found.thread.pitch_mm
    low = aim - BLANK_UNDER * pitch
    if found.limits is not None:
        smallest = convert(found.limits.major.minimum, found.thread.unit, "mm")
        low = max(low, min(smallest, aim - 0.01))
    return Target(low, aim, aim + BLANK_OVER * pitch)


def _length(work: Work, chucking: Chucking, far: Placed) -> tuple[Figure, float, tuple[Given, ...]]:
    """How far from the face a cut goes, as a figure and in millimetres, and the lengths it is made of.

    One section's own length as typed, or the sum up to there; past the part where a die runs out into the bar.
    """
    run = [p for p in chucking.placed if p.far_mm <= far.far_mm + 1e-9]
    inputs = tuple(given(f"section {p.number + 1}", p.section.length) for p in run)
    if chucking.overrun_mm and far.number == chucking.placed[-1].number:
        end_mm = far.far_mm + chucking.overrun_mm
        inputs = (*inputs, given_mm("for the die to run out past the part", chucking.overrun_mm, work.job.unit))
        return (
            along(work, "length from the face", end_mm, added(inputs), *inputs),
            end_mm,
            inputs,
        )
    if len(run) == 1 and run[0].section.full is not None:
        full = given("full thread", run[0].section.full)
        wide = given_mm("relief groove", far.far_mm - run[0].section.full.mm, work.job.unit)
        told = along(work, "length from the face", far.far_mm, "full thread + relief groove", full, wide)
        return told, far.far_mm, inputs
    if len(run) == 1 and run[0].section.length.typed:
        return typed("length", run[0].section.length, fine=False), far.far_mm, inputs
    told = along(work, "length from the face", far.far_mm, added(inputs), *inputs)
    return told, far.far_mm, inputs


def _deepest(work: Work, chucking: Chucking) -> Figure:
    """Deepest cut that metal, lathe and stick-out bear; a centre carries the far end."""
    ratio = chucking.ratio / (CENTRE_STIFFENS if chucking.centred else 1.0)
    return deepest_cut(work.job.material.max_cut_mm, work.job.setup.lathe, ratio, work.job.unit)


def _cuts(cuts: tuple[Figure, ...], deepest: Figure, start_mm: float, aim_mm: float, unit: LengthUnit) -> Figure:
    """How many cuts."""
    return Figure(
        "cuts",
        len(cuts),
        "cut",
        "largest of (0, next whole of ((from − to − kept for the last cuts) ÷ most per cut)) + last cuts",
        PRACTICE,
        (
            given_mm("from", start_mm, unit),
            given_mm("to", aim_mm, unit),
            given_mm("kept for the last cuts", FINISH_MM, unit),
            given_mm("most per cut", in_mm(deepest), unit),
            Given("last cuts", len(last_diameters(start_mm, aim_mm))),
        ),
    )


def _turn(work: Work, chucking: Chucking, placed: Placed, over: Sequence[Placed], start_mm: float) -> Operation:
    """Turn to the diameter of `placed` over all of `over`, from the face on, from `start_mm`."""
    found, aim, deepest, far = placed.thread, placed.turned_mm, _deepest(work, chucking), over[-1]
    cuts = passes(start_mm, aim, deepest, work.job.unit)
    length, end_mm, inputs = _length(work, chucking, far)
    figures = {"diameter": _diameter(work, placed), "length": length, "stop": tip_stop(work, end_mm, *inputs)}
    if found is not None and found.taper is None:
        figures["crest"] = found.blank.crest_percent
    limits = section_limits(placed.section, work.job.unit)
    figures |= fit_figures(limits, work.job.unit) if limits is not None else {}
    figures["cuts"] = _cuts(cuts, deepest, start_mm, aim, work.job.unit)
    figures |= {"speed": speed(work, start_mm), "deepest": deepest}
    bends = bends_away(work, chucking, aim, end_mm)
    figures |= {"bends": bends} if bends is not None else {}
    stop = "the tool tip stops" if work.job.setup.readout == "readout" else "stop the carriage"
    return Operation(
        key=keyed("turn", placed.section.id),
        kind="turn",
        title=_turn_title(work, placed, last=bool(chucking.made) and placed is chucking.made[-1]),
        sentence=f"Turn to {{diameter}} over {{length}}; {stop} {place_words(work, 'stop')}.",
        headline="diameter",
        figures=figures,
        tool=KNIFE,
        edge="tip",
        cautions=(swarf(work),),
        notes=(
            *((found.blank.verdict,) if found else fit_notes(placed.section.fit, limits)),
            *both_ends(placed, bends, _target(placed, over)),
        ),
        measure="diameter",
        dimensions=tuple(_dimensions(chucking, placed, over, start_mm, in_mm(deepest), cuts)),
        acts=(Turn(placed.section.id, Cut(end_mm, 0.0, start_mm, aim), fitted=limits is not None),),
        chucking=chucking.number,
        passes=cuts,
        thread=found.thread if found else None,
        cutter=found.cut if found else "die",
        class_name=found.class_name if found else "",
        makes=makes(diameter=aim, length=end_mm - placed.near_mm),
    )


def _dimensions(
    chucking: Chucking,
    placed: Placed,
    over: Sequence[Placed],
    start_mm: float,
    most_mm: float,
    cuts: tuple[Figure, ...],
) -> Iterator[Dimension]:
    """The diameter; and the length to the shoulder, where the bar itself does not end the step."""
    sizes = tuple(in_mm(cut) for cut in cuts)
    how = "micrometer, the work cold" if placed.section.fit else "micrometer or caliper"
    target, far = _target(placed, over), over[-1]
    yield Dimension(
        "diameter", "diameter", target, start_mm, most_mm, "cross-slide", how, sizes_mm=sizes, leaves_mm=FINISH_MM
    )
    if long_fit(placed):
        yield measures.far_end(target, start_mm)
    if far.number != chucking.placed[-1].number:
        roughly = any(one.section.length.about for one in chucking.placed if one.far_mm <= far.far_mm)
        yield measures.shoulder(far.far_mm, roughly=roughly)


def _turn_title(work: Work, placed: Placed, *, last: bool) -> str:
    if placed.thread is not None:
        return "Turn the thread blank"
    if placed.section.shape in MILLED:
        return f"Turn the round for the {placed.section.shape}"
    if placed.section.fit:
        return "Turn to the fit"
    if placed.section.taper is not None:
        return "Turn the blank for the taper"
    if placed.section.knurl is not None:
        return "Turn the knurl's blank"
    # A bush has no shank.
    return "Turn the body" if last else "Turn the shank" if work.threads else "Turn the step"


def _diameter(work: Work, placed: Placed) -> Figure:
    if placed.thread is not None:
        return placed.thread.blank.diameter
    across, limits = placed.section.across, section_limits(placed.section, work.job.unit)
    if limits is not None:
        return limits.aim
    taper = placed.section.taper
    if taper is not None and across is not None and across == gauge_size(taper):
        return large_end(taper)
    if placed.section.knurl is not None and across is not None:
        return blank_figure(placed.section.knurl, across, work.job.unit)
    if across is not None and placed.section.shape in ("round", "taper", "knurl"):
        return typed("diameter", across, fine=True)
    if placed.section.round is not None:
        return typed("diameter", placed.section.round, fine=True)
    unit = work.job.unit
    return Figure(
        "diameter",
        convert(placed.turned_mm, "mm", unit),
        unit,
        "round for the flats",
        GEOMETRY,
        (given_mm("round for the flats", placed.turned_mm, unit),),
        note=f"The circle round flats of {across.typed}, as far as the bar has it." if across else "",
    )


def turn(work: Work, chucking: Chucking) -> Iterator[Operation]:
    """Turn what this chucking makes, the largest diameter first.

    A section smaller than one nearer the face is a neck: it is turned with its larger neighbour, and plunged later.
    """
    current = chucking.bar_mm
    made = list(chucking.made)
    while made:
        # Of sections that are turned in one, the fit among them says how well.
        widest = max(p.turned_mm for p in made)
        alike = [p for p in made if p.turned_mm >= widest - _CUT_MM]
        largest = max(alike, key=lambda p: (bool(p.section.fit), p.turned_mm))
        skin = current == chucking.bar_mm and largest.thread is not None and largest.thread.left_on(current)
        if largest.turned_mm < current - _CUT_MM and not skin:
            yield _turn(work, chucking, largest, tuple(made), current)
            current = largest.turned_mm
        made.pop()
