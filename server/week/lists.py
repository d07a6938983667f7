"""What the order of the week asks for: things to lay out, what is missing, what is cut from which bar."""

from __future__ import annotations

from collections.abc import Iterable, Sequence

from lathework.outfit.need import Need
from lathework.planning.notice import told
from lathework.shop.kinds import name_of
from lathework.shop.kinds.bars import Bar
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe
from lathework.week.bars import Cutting, Wanted, buys, cutting_list, wanted_of
from lathework.week.hours import Span
from lathework.week.model import Order
from lathework.week.words import TAPE_MM, by_tape, moment_words
from server.jobs.needed import needed
from server.week.gather import Gathered
from server.week.shown import BarShown, CutFromBar, LaidOut, MissingShown


def _next_stretch(order: Order, spans: Sequence[Span]) -> list[int]:
    """The jobs that are worked at in the next time in the shop."""
    if not spans:
        return []
    return list(dict.fromkeys(one.task.job for one in order.bookings if one.begin < spans[0].end))


def needs_of(
    gathered: Gathered, order: Order, spans: Sequence[Span]
) -> tuple[tuple[LaidOut, ...], tuple[MissingShown, ...]]:
    """What to lay out for the next time, over the jobs made then; what is missing, over all jobs."""
    soon = _next_stretch(order, spans)
    laid: dict[tuple[str, str], list[str]] = {}
    missing: dict[str, tuple[list[str], list[int], str]] = {}
    for one in gathered.left:
        for need in (need for plan in one.standing.plans for need in needed(plan)):
            if _is_bar(need) or isinstance(need.thing, OwnLathe):
                continue
            if need.thing is None:
                titles, ends, instead = missing.setdefault(need.what, ([], [], ""))
                titles.append(one.job.title)
                begins = [b.begin for b in order.bookings if b.task.job == one.job.pk]
                ends += begins[:1]
                words = " or ".join(stand.words for stand in need.instead if stand.serves)
                missing[need.what] = (titles, ends, instead or words)
            elif one.job.pk in soon:
                laid.setdefault((name_of(need.thing), need.thing.place), []).append(one.job.title)
    lay_out = tuple(LaidOut(thing, place, tuple(dict.fromkeys(jobs))) for (thing, place), jobs in laid.items())
    short = tuple(
        MissingShown(what, tuple(dict.fromkeys(titles)), moment_words(gathered.now, min(ends)) if ends else "", instead)
        for what, (titles, ends, instead) in missing.items()
    )
    return lay_out, short


def _is_bar(need: Need) -> bool:
    """Whether something is bar: which is cut, and which to buy, is said over all jobs by the cutting list alone."""
    return isinstance(need.thing, Bar) or ("kind", "bar") in need.owns


def cutting_of(gathered: Gathered, owned: Iterable[Owned]) -> Cutting:
    """What is cut from which bar, over all jobs of the week."""
    wanted = []
    for one in gathered.left:
        for bench in one.progress.benches:
            begun = bool(bench.done) + len(bench.aside)
            asked = wanted_of(bench.plan, one.job.pk, bench.plan.job.quantity - bench.good - begun)
            if bench.plan.goes and not bench.finished and asked is not None:
                wanted.append(asked)
    return cutting_list(wanted, [one for one in owned if isinstance(one, Bar)])


def bars_shown(cutting: Cutting) -> tuple[BarShown, ...]:
    """Bars with their cuts."""
    shown = []
    for bar in cutting.bars:
        unit = bar.cuts[0][0].unit
        cuts = tuple(CutFromBar(one.job, one.title, n, told(one.each_mm, one.unit)) for one, n in bar.cuts)
        shares = tuple(round(one.takes_mm(n) / bar.long_mm, 4) for one, n in bar.cuts)
        left = round(max(0.0, bar.left_mm) / bar.long_mm, 4)
        shown.append(
            BarShown(bar.bar, bar.name, by_tape(bar.long_mm, unit), by_tape(bar.left_mm, unit), cuts, (*shares, left))
        )
    return tuple(shown)


def listed(jobs: Sequence[Wanted]) -> str:
    """The names of jobs."""
    return ", ".join(one.title for one in jobs)


def buys_shown(cutting: Cutting) -> tuple[str, ...]:
    """What to buy, in words."""
    return tuple(
        f"{by_tape(long_mm + TAPE_MM[jobs[0].unit], jobs[0].unit)} of {called}, for {listed(jobs)}"
        for called, long_mm, jobs in buys(cutting.missing)
    )
