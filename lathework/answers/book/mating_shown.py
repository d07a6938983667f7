"""One thread laid over another, for a screen."""

from __future__ import annotations

from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.values import FigureShown, figure_shown, figures_shown
from lathework.drawing.profile.overlay import overlay_sheet
from lathework.threads.mating import Mating, Meets, Pair


@answer
class MeetingShown:
    """A bolt and a nut at one pair of sizes; `threads` engaged before they bind, None when they never do."""

    pair: Pair
    clearance: FigureShown
    threads: float | None


@answer
class MatingShown:
    """One thread laid over another."""

    bolt: str
    nut: str
    verdict: Meets
    sentence: str
    meetings: tuple[MeetingShown, ...]
    figures: tuple[FigureShown, ...]
    drawing: SheetShown


def mating_shown(mating: Mating) -> MatingShown:
    """One thread laid over another: verdict, figures, drawing."""
    return MatingShown(
        bolt=mating.bolt.designation,
        nut=mating.nut.designation,
        verdict=mating.verdict,
        sentence=mating.sentence,
        meetings=tuple(MeetingShown(met.pair, figure_shown(met.clearance), met.threads) for met in mating.meetings),
        figures=figures_shown((mating.crest_room, mating.pitch_mismatch, mating.flank_mismatch, mating.overlap)),
        drawing=sheet_shown(overlay_sheet(mating)),
    )
