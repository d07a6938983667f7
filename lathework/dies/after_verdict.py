"""What to do with a die after a verdict, by what is known of it."""

from __future__ import annotations

from lathework.dies.aim import Aim
from lathework.dies.learner import Belief
from lathework.dies.proposal import AS_GOOD, LET_GO, propose
from lathework.dies.scale import Scale
from lathework.dies.setting import Advice
from lathework.dies.trial import Forecast
from lathework.figures import Figure, Given, Source
from lathework.gauging.sized import class_chance
from lathework.gauging.verdicts import NUT_VERDICTS, Verdict, told_metal

LEARNED = Source(
    "practice", "a line fitted to what this die has cut; before that, the wedge of its screw and typical spreads"
)
UNPLACED_STEPS = 2
"""Steps of its scale that a die is closed by whose place and past nobody knows: an eighth of a turn (practice)."""
LARGE = " It fits this nut but is rather large for its class: another nut may bind."
HEAD_CLOSED = (
    "The head is closed to the end of its scale. If the nut still binds, use other chasers, or check pitch, "
    "crest and the nut."
)
TAP_OPENED = (
    "The tap is opened to the end of its scale. If the screw still binds, use another tap, or check pitch, "
    "depth and the screw."
)
CLOSED = (
    "The die is closed as far as it goes: any further and it cracks. If the nut still binds, use another "
    "die, or check pitch, crest and the nut."
)


def chance(forecast: Forecast, aim: Aim, name: str) -> Figure:
    """The chance that a thread is in its class, in per cent (unit %). Source: practice; the normal law."""
    return class_chance(name, aim.half_mm, forecast.off_mm, forecast.spread_mm, LEARNED)


def expected(belief: Belief, eighths: float, metal: str) -> Figure:
    """How far from the middle of its class a die cuts that stands open by so many `eighths` (a number), in mm.

    Source: practice; the line that is believed of the die.
    """
    offset, slope, more = belief.line(metal)
    return Figure(
        f"pitch diameter {'under' if belief.scale.by == 'tap' else 'over'} the middle of class",
        offset + slope * eighths + more,
        "mm",
        "offset + slope × setting + effect of this material",
        LEARNED,
        (
            Given("offset", offset, "mm"),
            Given("slope", slope, "mm"),
            Given("setting", eighths),
            Given("effect of this material", more, "mm"),
        ),
        note="The slope is per 1/8 turn of the middle screw."
        if belief.scale.by == "screw"
        else "The slope is per graduation.",
    )


def _moved(now: float, then: float, scale: Scale) -> Figure:
    """How far the middle screw, or the scale of a head, moves from one setting to another (numbers of its marks)."""
    opens = then > now
    return Figure(
        "middle screw" if scale.by == "screw" else f"scale of the {scale.sets}",
        abs(then - now),
        scale.unit,
        "next setting − setting now" if opens else "setting now − next setting",
        LEARNED,
        (Given("setting now", now, scale.unit), Given("next setting", then, scale.unit)),
        places=1,
    )


def learned_advice(verdict: Verdict, belief: Belief, eighths: float, metal: str, own: Forecast) -> Advice:
    """What to do with a die that stands open by so many `eighths` (a number), after a verdict on a thread that is now
    believed to be its `own` forecast; of one that was measured its size alone says how surely it is in its class.
    Source: practice."""
    sized, scale = verdict.startswith("size-"), belief.scale
    piece = None if sized else chance(own, belief.aim, "chance that this thread is in class")
    metal_now = told_metal(verdict)
    if metal_now == "over":
        then = propose(belief, metal, below=eighths)
        if then is not None and belief.start and len(belief.latest) == 1:
            # Of one thread of a die that nobody placed only this is known: it is too large.
            least = eighths - UNPLACED_STEPS * scale.step
            then = then if then.eighths >= least else belief.forecast(least, metal)
        if then is None:
            closed = {"die": CLOSED, "head": HEAD_CLOSED, "tap": TAP_OPENED}[scale.sets]
            return Advice("leave", closed, None, False, piece=piece)
        screw = _moved(eighths, then.eighths, scale)
        likely = chance(then, belief.aim, "chance that it is then in class")
        return Advice("close", scale.close_order(screw), screw, True, likely, piece)
    stays, best = belief.forecast(eighths, metal), propose(belief, metal)
    shakes = verdict == "slight-shake" or metal_now == "under"
    opens = shakes and best is not None and best.eighths > eighths
    # A thread that is loose in this nut is wanted tighter, also where its class would have it.
    good = metal_now != "under" and best is not None and stays.within >= best.within - AS_GOOD
    if best is None or not opens or good:
        left = f"Leave the {scale.sets} as it is."
        order = f"{left}{LARGE if own.over > LET_GO and verdict in NUT_VERDICTS else ''}"
        return Advice("leave", order, None, False, chance(stays, belief.aim, "the next"), piece)
    screw = _moved(eighths, best.eighths, scale)
    order = scale.open_order(screw, passes=verdict == "slight-shake")
    return Advice("open", order, screw, False, chance(best, belief.aim, "chance that it is then in class"), piece)
