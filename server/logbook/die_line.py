"""What a die cuts over its setting, as far as its verdicts tell: the line, its band, and each thread on it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.answers.values import FigureShown, Shown, figure_shown, length_shown
from lathework.bench.gauge.die import aim_inside_of, aim_of
from lathework.dies.after_verdict import chance
from lathework.dies.counted_from import TOUCH, screw_of
from lathework.dies.learner import Belief
from lathework.dies.proposal import settings, start
from lathework.dies.scale import SCREW, Scale, graduated_tap, graduations
from lathework.dies.trial import Forecast, Trial
from lathework.errors import InputError
from lathework.gauging.verdicts import MEANINGS
from lathework.part.thread_cutters import SET_CUTTERS
from lathework.shop.kinds.die_heads import DieHead
from lathework.shop.kinds.taps import Tap
from lathework.threads.designation import read_called
from lathework.units import unit_word
from server.jobs.history.did_before import trials_of
from server.jobs.queries import gaugings, last_trial
from server.kit.owned import things

MARGIN = 1.0
"""Eighths of a turn that are drawn past the settings it was used at."""


@dataclass(frozen=True)
class DiePoint:
    """A thread of a die: how it stood in eighths of a turn, where its pitch diameter is believed to be over the middle
    of its class (mm), what the nut said of it, and in which metal."""

    eighths: float
    off_mm: float
    said: str
    passes: bool
    metal: str


@dataclass(frozen=True)
class LineAt:
    """What is expected at a setting: the pitch diameter over the middle of the class and the band that holds nineteen
    of twenty threads, in mm."""

    eighths: float
    off_mm: float
    low_mm: float
    high_mm: float


@dataclass(frozen=True)
class DieLine:
    """A die: its thread, half the width of its class (mm, and as it is told), its threads, the line in the metal it cut
    last; what the `marks` are that it is set by. `next` is where to set it for another job in that metal, `at` in
    marks, its `chance` that of the class there; else "" and None, and `unknown` says what to do."""

    thread: str
    metal: str
    half_mm: float
    half: Shown
    points: tuple[DiePoint, ...]
    line: tuple[LineAt, ...]
    marks: str
    next: str
    at: float | None
    chance: FigureShown | None
    unknown: str


NINETEEN_OF_TWENTY = 1.96
"""Standard deviations either way that hold nineteen of twenty (the normal law)."""


def _over(belief: Belief, told: Forecast) -> float:
    """How far the pitch diameter is over the middle of its class: of a hole, by the metal that is missing (mm)."""
    return -told.off_mm if belief.scale.sets == "tap" else told.off_mm


def _point(belief: Belief, trial: Trial) -> DiePoint:
    own = belief.learn(trial)
    meaning = MEANINGS[trial.verdict] if trial.verdict else None
    words, passes = (meaning.words, meaning.passes) if meaning else ("", False)
    stood = belief.scale.opened(trial.eighths)
    return DiePoint(stood, round(_over(belief, own), 4), words, passes, trial.metal)


def _at(belief: Belief, told: Forecast) -> LineAt:
    wide, over = NINETEEN_OF_TWENTY * told.spread_mm, _over(belief, told)
    return LineAt(belief.scale.opened(told.eighths), *(round(size, 4) for size in (over, over - wide, over + wide)))


def _scale(die: str) -> Scale:
    """What the die of that id is set by, by what it was when it was last gauged: chasers by the scale of the shop's
    head, an adjustable tap by its own."""
    last = gaugings().filter(die=die).first()
    cutter = SET_CUTTERS[last.cutter if last is not None else "die"]
    if cutter.sized_by != "graduations":
        return SCREW
    graded = (thing for thing in things() if isinstance(thing, DieHead) or (isinstance(thing, Tap) and thing.id == die))
    kind = DieHead if cutter.opens else Tap
    each = next((one.graduation for one in graded if isinstance(one, kind) and one.graduation), None)
    return (graduations if cutter.opens else graduated_tap)(each.mm if each else None)


def _points(belief: Belief, trials: Sequence[Trial]) -> list[DiePoint]:
    """Each thread of a die where the belief, which learns of them, puts it."""
    points: list[DiePoint] = []
    for trial in trials:
        point = _point(belief, trial)
        if trial.start:
            # Nobody said where it stood: it has no place on the line.
            continue
        # Of a thread that was judged by several means the last word stands, learned from all of them.
        points[-1 if trial.again else len(points) :] = [point]
    return points


def _unknown(start: str) -> str:
    """What to do where no next setting is known, the last one counted from `start`."""
    screw = screw_of(start)
    if screw:
        return f"It was last set on {screw}. The bench asks for that first, then says how far to turn."
    if start != TOUCH:
        return "Set it from where its screw touches, and record that at the bench. Its next setting is then shown here."
    return "No setting of it is likely to serve: try another one."


def die_line(die: str) -> DieLine | None:
    """What the die of that id is known to cut; None where it was never gauged, or no class sizes its thread."""
    last = last_trial(die)
    if last is None:
        return None
    scale = _scale(die)
    try:
        thread = read_called(last.thread, stored=True).thread
    except InputError:
        return None
    aim = (aim_inside_of if scale.sets == "tap" else aim_of)(thread, "")
    if aim is None:
        return None
    trials, belief = trials_of(die), Belief(aim, scale)
    points = _points(belief, trials)
    # For another job it is put into its holder anew, and tried by other nuts: as the bench of that job reckons.
    belief.unsettle(seated=True, honed=False)
    # Where its last place has only a name, the bench asks for that first, and tells no other.
    best = start(belief, last.metal) if trials and trials[-1].start == TOUCH else None
    used = [trial.eighths for trial in trials if not trial.start] or [0.0]
    used += [] if best is None else [best.eighths]
    low, high = max(-scale.most, min(used) - MARGIN), min(scale.most, max(used) + MARGIN)
    told = [belief.forecast(eighths, last.metal) for eighths in settings(scale, low, high)]
    line = tuple(sorted((_at(belief, one) for one in told), key=lambda at: at.eighths))
    return DieLine(
        last.thread,
        last.metal,
        round(aim.half_mm, 4),
        length_shown(aim.half_mm),
        tuple(points),
        line,
        unit_word(scale.unit, 2),
        "" if best is None else scale.stands(best.eighths),
        None if best is None else scale.opened(best.eighths),
        None if best is None else figure_shown(chance(best, aim, "in its class")),
        "" if best is not None else _unknown(trials[-1].start if trials else TOUCH),
    )
