"""The week as the page and the papers show it."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import timedelta
from itertools import takewhile

from lathework.answers.values import figure_shown
from lathework.figures import PRACTICE, Figure, Given
from lathework.shop.kinds import name_of
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe
from lathework.week.days import WEEKDAYS, day_words
from lathework.week.hours import Span, hours_words
from lathework.week.learned import span
from lathework.week.likely import in_time, last_of
from lathework.week.model import WEIGHTS, Booking, Order
from lathework.week.ordering import simple_order
from lathework.week.placing import Placing
from lathework.week.set_ups import LATHE
from lathework.week.tasks import STATIONS
from lathework.week.why import Reason, reasons, would_help
from lathework.week.words import at, clock, duration, from_to, moment_words
from server.kit.owned import things
from server.site.choices import ChoiceShown
from server.week.gather import Gathered, Left, gather
from server.week.lists import bars_shown, buys_shown, cutting_of, needs_of
from server.week.models import Person, PutBefore
from server.week.shown import (
    BookingShown,
    JobInWeek,
    NowShown,
    OutOfWeek,
    PersonShown,
    PlacedByHand,
    StationShown,
    StretchShown,
    WeekShown,
    WhySoShown,
    WorkedShown,
)

SOME_LATHE = "Lathe"


def order_of(gathered: Gathered) -> tuple[Placing, Order]:
    """The order of the week, and the problem by numbers."""
    placing = Placing(gathered.problem)
    return placing, simple_order(placing, gathered.known)


def station_names(owned: Sequence[Owned]) -> dict[str, str]:
    """What the stations are called, lathes by their names in the shop."""
    lathes = {LATHE + one.id: name_of(one) for one in owned if isinstance(one, OwnLathe)}
    return {**lathes, **STATIONS}


def stretches_of(gathered: Gathered) -> tuple[Span, ...]:
    """When anybody is in the shop: the stretches of all, those together that meet."""
    spans = sorted((span for hand in gathered.problem.people for span in hand.spans), key=lambda one: one.begin)
    joined: list[Span] = []
    for one in spans:
        if joined and one.begin <= joined[-1].end:
            joined[-1] = Span(joined[-1].begin, max(joined[-1].end, one.end))
        else:
            joined.append(one)
    return tuple(joined)


def _stretch(gathered: Gathered, one: Span) -> StretchShown:
    begin, end = at(gathered.now, one.begin), at(gathered.now, one.end)
    ahead = (begin.date() - gathered.now.date()).days
    day = "Today" if ahead == 0 else WEEKDAYS[begin.weekday()]
    return StretchShown(
        one.begin, one.end, day, day_words(begin.date()).partition(" ")[2], f"{clock(begin)} to {clock(end)}"
    )


def _booking(gathered: Gathered, one: Booking) -> BookingShown:
    task = one.task
    took = span(task.minutes, _strays(task.spread, task.minutes, gathered.problem.unsure))
    return BookingShown(
        ident=task.ident,
        job=task.job,
        title=task.title,
        station=task.station,
        person=one.person,
        begin=one.begin,
        end=one.end,
        setting_up=one.setting_up,
        worked=_worked(gathered, one),
        pieces=task.pieces,
        what=task.what,
        when=from_to(gathered.now, one.begin, one.end),
        takes=duration(task.minutes),
        low=duration(took.low),
        high=duration(took.high),
    )


def _worked(gathered: Gathered, one: Booking) -> tuple[WorkedShown, ...]:
    """The stretches of a task in which somebody is at it."""
    hand = next(hand for hand in gathered.problem.people if hand.name == one.person)
    spans = ((max(one.begin, span.begin), min(one.end, span.end)) for span in hand.spans)
    return tuple(WorkedShown(begin, end) for begin, end in spans if end > begin)


def _strays(own: float, minutes: float, unsure: float) -> float:
    """How far so many `minutes` stray: their `own` straying (minutes) and what is not known of the shop (a share, of no
    unit)."""
    return float((own**2 + (unsure * minutes) ** 2) ** 0.5)


def time_left(gathered: Gathered, order: Order, one: Left) -> Figure:
    """How long what is left of a job takes here, in minutes: its plan's time at the pace of the shop, and setting up as
    it comes in this order."""
    by_plan = round(one.expected_min, 1)
    pace = round(sum(task.minutes for task in one.tasks) / by_plan, 3)
    setting_up = sum(booking.setting_up for booking in order.bookings if booking.task.job == one.job.pk)
    return Figure(
        "time left",
        by_plan * pace + setting_up,
        "min",
        "time by its plan × pace here + setting up",
        PRACTICE,
        (
            Given("time by its plan", by_plan, "min"),
            Given("pace here", pace),
            Given("setting up", setting_up, "min"),
        ),
        note=_pace(gathered),
    )


def _no_place(gathered: Gathered, order: Order, job: int, names: dict[str, str]) -> str:
    """Why a job has no place in the order, "" where it has one: nobody may do it, or no hours are left."""
    left = [task for task in order.unplaced if task.job == job]
    people = gathered.problem.people
    alone = next((task for task in left if people and not any(hand.may_do(task) for hand in people)), None)
    if alone is not None:
        return f"no one who may do it uses {names.get(alone.station, SOME_LATHE)}"
    return "no hours left for it" if left else ""


def _job(
    gathered: Gathered, placing: Placing, order: Order, one: Left, by_hand: PlacedByHand, names: dict[str, str]
) -> JobInWeek:
    time = time_left(gathered, order, one)
    own = sum(task.spread**2 for task in one.tasks) ** 0.5
    took = span(time.value, _strays(own, time.value, gathered.problem.unsure))
    sure = in_time(placing, order, one.job.pk)
    end = order.done_at(one.job.pk)
    helps = would_help(placing, order, one.job.pk, duration) if sure.mark == "late" and end is not None else ()
    return JobInWeek(
        job=one.job.pk,
        title=one.job.title,
        wanted=one.wish.said,
        day=day_words(one.wish.day) if one.wish.day else "",
        weight=one.wish.weight,
        after=one.wish.after_id or 0,
        from_day=one.wish.from_said,
        from_words=day_words(one.wish.from_day) if one.wish.from_day else "",
        who=one.wish.who,
        pieces=one.progress.quantity - one.progress.good,
        quantity=one.progress.quantity,
        steps=one.progress.steps,
        steps_done=one.progress.steps_done,
        time=figure_shown(time),
        takes=duration(took.mean),
        low=duration(took.low),
        high=duration(took.high),
        expected=duration(one.expected_min),
        done=moment_words(gathered.now, end) if end is not None else "",
        no_place=_no_place(gathered, order, one.job.pk, names),
        chance=figure_shown(sure.figure) if sure.figure else None,
        revision=one.wish.revision,
        mark=sure.mark,
        sure=sure.words,
        helps=helps,
        by_hand=by_hand,
    )


def _at_once(order: Order) -> list[Booking]:
    """What is done first, up to where another job begins: the tasks of one job by one person."""
    first = min(order.bookings, key=lambda one: (one.begin, one.end))
    own = sorted((one for one in order.bookings if one.person == first.person), key=lambda one: one.begin)
    return list(takewhile(lambda one: one.task.job == first.task.job, own))


def _now(gathered: Gathered, order: Order, why: Sequence[Reason], names: dict[str, str]) -> NowShown | None:
    if not order.bookings:
        return None
    together = _at_once(order)
    first, longest = together[0], max(together, key=lambda one: one.task.minutes)
    left = next(one for one in gathered.left if one.job.pk == first.task.job)
    of_part = {one.task.part: 0 for one in together}
    for one in together:
        of_part[one.task.part] = max(of_part[one.task.part], one.task.pieces)
    many = sum(of_part.values())
    minutes = sum(one.task.minutes + one.setting_up for one in together)
    where = names.get(longest.task.station, SOME_LATHE)
    text = f"{many} {'piece' if many == 1 else 'pieces'}, {duration(minutes)}, {where}"
    if first.begin > 0:
        text += f", from {moment_words(gathered.now, first.begin)}"
    told = [one.text for one in why if one.job == first.task.job and one.mark == "set up"]
    if left.wish.day:
        told.append(f"It is wanted on {day_words(left.wish.day)}.")
    return NowShown(first.task.job, first.task.title, text, " ".join(told))


def _by_hand() -> dict[int, PlacedByHand]:
    found: dict[int, tuple[list[int], list[int]]] = {}
    for pair in PutBefore.objects.order_by("pk"):
        found.setdefault(pair.then_id, ([], []))[0].append(pair.first_id)
        found.setdefault(pair.first_id, ([], []))[1].append(pair.then_id)
    return {job: PlacedByHand(tuple(before), tuple(after)) for job, (before, after) in found.items()}


def _pace(gathered: Gathered) -> str:
    learned = gathered.pace
    if not learned.steps:
        return "Times are the plans’ own, a quarter more for a first piece: nothing was timed here yet."
    steps = f"{learned.steps} {'step' if learned.steps == 1 else 'steps'}"
    return f"Times are what {steps} took here, between what was recorded at the bench."


def now_shown(gathered: Gathered) -> NowShown | None:
    """What to do now; None where nobody said when they are in the shop."""
    if not any(hand.spans for hand in gathered.problem.people):
        return None
    _, order = order_of(gathered)
    return _now(gathered, order, reasons(gathered.problem, order), station_names(things()))


def _hand_costs(gathered: Gathered, order: Order) -> tuple[str, ...]:
    """Which jobs are done later since some were put in order by hand, or off: when, and when they would be."""
    put_off = {one.job.pk: one.wish.from_day for one in gathered.left if one.wish.from_day}
    if not put_off and not PutBefore.objects.exists():
        return ()
    free = gather(gathered.now, by_hand=False)
    _, other = order_of(free)
    told_of = []
    for one in gathered.left:
        end, before = order.done_at(one.job.pk), other.done_at(one.job.pk)
        if end is not None and before is not None and end > before:
            words = moment_words(gathered.now, end), moment_words(gathered.now, before)
            day = put_off.get(one.job.pk)
            why = f"it may not begin before {day_words(day)}" if day else "as you put the order"
            told_of.append(f"{one.job.title} is done {words[0]} instead of {words[1]}, {why}.")
    return tuple(told_of)


def week_shown(gathered: Gathered) -> WeekShown:
    """The whole page."""
    placing, order = order_of(gathered)
    owned = things()
    names, why, spans = station_names(owned), reasons(gathered.problem, order), stretches_of(gathered)
    last = max((one.end for one in order.bookings), default=0)
    stations = dict.fromkeys(one.task.station for one in order.bookings)
    by_hand = _by_hand()
    lay_out, missing = needs_of(gathered, order, spans)
    cutting = cutting_of(gathered, owned)
    nothing = PlacedByHand((), ())
    jobs = (_job(gathered, placing, order, one, by_hand.get(one.job.pk, nothing), names) for one in gathered.left)
    return WeekShown(
        now=_now(gathered, order, why, names),
        moment=moment_words(gathered.now, 0),
        people=tuple(
            PersonShown(person.name, person.usual, person.changed, hours_words(hours), _still_there(person, owned))
            for person, hours in gathered.people
        ),
        hours=_hours(gathered),
        stretches=tuple(_stretch(gathered, one) for one in spans if one.begin < max(last, 1)),
        stations=tuple(StationShown(code, names.get(code, SOME_LATHE)) for code in sorted(stations, key=_rank)),
        bookings=tuple(_booking(gathered, one) for one in order.bookings),
        unplaced=tuple(dict.fromkeys(task.title for task in order.unplaced)),
        reasons=tuple(
            WhySoShown(one.job, one.text, one.mark, duration(one.minutes) if one.minutes else "") for one in why
        ),
        by_hand=_hand_costs(gathered, order),
        jobs=tuple(sorted(jobs, key=lambda one: _done(order, one.job))),
        out=tuple(OutOfWeek(job.pk, job.title, reason) for job, reason in gathered.out),
        more=gathered.more,
        lathes=tuple(ChoiceShown(one.id, name_of(one), "") for one in owned if isinstance(one, OwnLathe)),
        next_week=day_words(gathered.now.date() + timedelta(days=7 - gathered.now.weekday())),
        weights=tuple(ChoiceShown(code, name, "") for code, (_, name) in WEIGHTS.items()),
        lay_out=lay_out,
        missing=missing,
        bars=bars_shown(cutting),
        buys=buys_shown(cutting),
        pace=_pace(gathered),
    )


def _still_there(person: Person, owned: Sequence[Owned]) -> tuple[str, ...]:
    """The lathes that somebody uses: of one that was sold nothing is left to be chosen."""
    return tuple(one.id for one in owned if isinstance(one, OwnLathe) and one.id in person.lathes)


def _rank(code: str) -> tuple[bool, str]:
    """Lathes first."""
    return not code.startswith(LATHE), code


def _done(order: Order, job: int) -> int:
    last = last_of(order, job)
    return last.end if last is not None else 10**9


def _hours(gathered: Gathered) -> str:
    """The usual weeks in words, a person's name before each where there are several."""
    told_of = [(person.name, hours_words(hours)) for person, hours in gathered.people]
    if len(told_of) == 1:
        return told_of[0][1]
    return " · ".join(f"{name}: {words or 'no hours'}" for name, words in told_of)
