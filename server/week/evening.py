"""What was done today, and what that moves: the week as it stood before, beside the week as it stands."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime, time, timedelta
from itertools import groupby

from lathework.week.words import at, duration, moment_words
from server.jobs.queries import Entry, entries_between, minutes_between, pieces_of
from server.week.answers import order_of
from server.week.gather import Gathered, gather
from server.week.shown import DoneShown, TodayShown

TOLD_FROM_MIN = 15
"""What moves by less is not worth a sentence."""
MOST_TOLD = 4
DAY = timedelta(days=1)


def _begin(now: datetime) -> datetime:
    """The beginning of the shop's day, with the time zone of the machine that Conch runs on."""
    return datetime.combine(now.date(), time()).astimezone()


def _counted(number: int, one: str, more: str) -> str:
    return f"{number} {one if number == 1 else more}"


def _done(entries: Sequence[Entry], begin: datetime) -> DoneShown:
    """What was done of a job, by its entries of the day."""
    job = entries[0].job
    pieces = pieces_of(job).filter(good=True, entry__at__gte=begin, entry__at__lt=begin + DAY).count()
    steps = len({(one.part, one.piece, one.step) for one in entries if one.kind in ("done", "accept")})
    made = [_counted(pieces, "piece", "pieces")] if pieces else []
    made.append(_counted(steps, "step", "steps") if steps else _counted(len(entries), "record", "records"))
    minutes = minutes_between(entries)
    return DoneShown(job.pk, job.title, ", ".join([*made, *([duration(minutes)] if minutes >= 1 else [])]))


def _ends(gathered: Gathered) -> dict[int, int | None]:
    _, order = order_of(gathered)
    return {one.job.pk: order.done_at(one.job.pk) for one in gathered.left}


def _moves(then: Gathered, now: Gathered) -> tuple[str, ...]:
    """The jobs that are done at another time than they were to be, those that move most first."""
    ends, ended = _ends(now), _ends(then)
    told: list[tuple[float, str]] = []
    for one in now.left:
        end, before = ends[one.job.pk], ended.get(one.job.pk)
        if end is None or before is None:
            continue
        apart = (at(now.now, end) - at(then.now, before)).total_seconds() / 60
        words, was = moment_words(now.now, end), moment_words(then.now, before)
        if abs(apart) >= TOLD_FROM_MIN and words != was:
            told.append((-abs(apart), f"{one.job.title} is done {words} instead of {was}."))
    return tuple(text for _, text in sorted(told)[:MOST_TOLD])


def today_shown(now: datetime) -> TodayShown | None:
    """What was done today at a moment of the shop's clock; None where nothing was recorded.

    Both weeks are at the pace that is known now, and begin from what stands in the lathes now: what they differ by is
    what was done.
    """
    begin = _begin(now)
    entries = list(entries_between(begin, begin + DAY).select_related("job"))
    if not entries:
        return None
    first = min(one.at for one in entries).astimezone().replace(tzinfo=None, second=0, microsecond=0)
    then = gather(min(first, now), before=begin)
    done = tuple(_done(list(own), begin) for _, own in groupby(entries, key=lambda one: one.job_id))
    return TodayShown(done, _moves(then, gather(now)))
