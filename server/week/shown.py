"""What the week answers, declared: its page, its papers and the search speak of the same."""

from __future__ import annotations

from lathework.answers.declared_answer import answer
from lathework.answers.values import FigureShown
from lathework.week.likely import Mark
from server.site.choices import ChoiceShown


@answer
class StretchShown:
    """A stretch of time in the shop, in minutes from now: its day and hours in words."""

    begin: int
    end: int
    day: str
    date: str
    hours: str


@answer
class StationShown:
    """Where work is done."""

    code: str
    name: str


@answer
class WorkedShown:
    """A stretch in which somebody is at a task, in minutes from now."""

    begin: int
    end: int


@answer
class BookingShown:
    """A task in its place, in minutes from now; its first `setting_up` minutes of work set it up; `worked` are the
    stretches in which somebody is at it. `takes` says how long it is without that, `low` and `high` in eight cases of
    ten."""

    ident: str
    job: int
    title: str
    station: str
    person: str
    begin: int
    end: int
    setting_up: int
    worked: tuple[WorkedShown, ...]
    pieces: int
    what: str
    when: str
    takes: str
    low: str
    high: str


@answer
class WhySoShown:
    """A sentence on the order, the job it is of; what it saves, "" for nothing."""

    job: int
    text: str
    mark: str
    saves: str


@answer
class PlacedByHand:
    """Jobs that were put before or behind a job by hand: their numbers."""

    before: tuple[int, ...]
    after: tuple[int, ...]


@answer
class JobInWeek:
    """A job with what was said of it, when it is done and how sure that is; `expected` is what its plan alone says of
    what is left, `takes` what it takes here with setting up, `time` that with its working, `low` and `high` in eight
    cases of ten. `pieces` are left of its `quantity`; `steps_done` are done of its `steps`. `no_place` says why it is
    not in the order, `chance` is how sure its day is with its working. `helps` would make it be in time where it is
    late."""

    job: int
    title: str
    wanted: str
    day: str
    weight: str
    after: int
    from_day: str
    from_words: str
    who: str
    pieces: int
    quantity: int
    steps: int
    steps_done: int
    time: FigureShown
    takes: str
    low: str
    high: str
    expected: str
    done: str
    no_place: str
    mark: Mark
    sure: str
    chance: FigureShown | None
    revision: int
    helps: tuple[str, ...]
    by_hand: PlacedByHand


@answer
class OutOfWeek:
    """A job that is not in the week, and why."""

    job: int
    title: str
    why: str


@answer
class NowShown:
    """What to do now: the job, what of it, for how long, on what; why that one first."""

    job: int
    title: str
    text: str
    because: str


@answer
class PersonShown:
    """Somebody with their hours, as typed and as understood; `changed` are single days; the `lathes` they use by
    their ids, none for all."""

    name: str
    usual: str
    changed: str
    words: str
    lathes: tuple[str, ...]


@answer
class LaidOut:
    """A thing to lay out for the next time in the shop: where it lies, for which jobs."""

    thing: str
    place: str
    jobs: tuple[str, ...]


@answer
class MissingShown:
    """Something that is not there: what, for which jobs, by when the first of them is made; what may stand in."""

    what: str
    jobs: tuple[str, ...]
    when: str
    instead: str


@answer
class CutFromBar:
    """Pieces that are cut from a bar: of which job, how many, how long each with its cut."""

    job: int
    title: str
    pieces: int
    each: str


@answer
class BarShown:
    """A bar with what is cut from it, in order, and what is left; `shares` are the shares of its length, in order, what
    is left last."""

    bar: str
    name: str
    long: str
    left: str
    cuts: tuple[CutFromBar, ...]
    shares: tuple[float, ...]


@answer
class SearchShown:
    """A search for a better order: whether it goes on, for how long of how many seconds; how much better what it found
    is, in hundredths of the cost; whether it is proven that there is none better."""

    runs: bool
    elapsed_s: float
    seconds: float
    better_percent: float
    proven: bool
    failed: bool


@answer
class WeekShown:
    """The week: what to do now, who is there when, the stretches ahead, the tasks in their places, why, what it costs
    that some were put `by_hand`, and when each job is done; what to lay out, what is missing, what is cut from what;
    `more` is how many jobs are over what is put in order at once; `next_week` begins on that day."""

    now: NowShown | None
    moment: str
    people: tuple[PersonShown, ...]
    hours: str
    stretches: tuple[StretchShown, ...]
    stations: tuple[StationShown, ...]
    bookings: tuple[BookingShown, ...]
    unplaced: tuple[str, ...]
    reasons: tuple[WhySoShown, ...]
    by_hand: tuple[str, ...]
    jobs: tuple[JobInWeek, ...]
    out: tuple[OutOfWeek, ...]
    more: int
    lathes: tuple[ChoiceShown, ...]
    next_week: str
    weights: tuple[ChoiceShown, ...]
    lay_out: tuple[LaidOut, ...]
    missing: tuple[MissingShown, ...]
    bars: tuple[BarShown, ...]
    buys: tuple[str, ...]
    pace: str


@answer
class DoneShown:
    """What was done of a job on a day."""

    job: int
    title: str
    text: str


@answer
class TodayShown:
    """What was done today, and which jobs are done sooner or later for it."""

    done: tuple[DoneShown, ...]
    moves: tuple[str, ...]


@answer
class BusyShown:
    """What a calendar says: how many times its owner is busy, and the days that differ for it, as one types them."""

    times: int
    changed: str
