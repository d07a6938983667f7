"""The week: what to make next, when it is done, and what is said of both. Parse, act, answer."""

from __future__ import annotations

from django.http import HttpRequest, HttpResponse
from ninja import Router, Schema
from pydantic import Field

from lathework.week.hours import Hours, changed_words, read_changed, read_hours, without
from server.kit.owned import things
from server.site.files import file_answer, file_in_schema
from server.site.problems import PROBLEMS, answer
from server.week import actions
from server.week.answers import now_shown, order_of, station_names, week_shown
from server.week.evening import today_shown
from server.week.gather import gather, local_now
from server.week.lists import cutting_of
from server.week.models import LONGEST_DAY, LONGEST_HOURS, LONGEST_NAME
from server.week.search import process as search
from server.week.sheet import week_sheet
from server.week.shown import BusyShown, NowShown, SearchShown, TodayShown, WeekShown
from server.week.tables import cutting_csv, week_csv

router = Router(tags=["week"])
MOST_CALENDAR = 2_000_000
MOST_LATHES = 60


class WishIn(Schema):
    """What is said of a job: the day it is wanted, what a day late costs, the job it waits for (0 for none), the day it
    may begin from, who may do it: days as people say them, "" for whenever and for anybody; the revision that
    the page shows."""

    wanted: str = Field("", max_length=LONGEST_DAY)
    weight: str = Field("usual", max_length=12)
    after: int = Field(0, ge=0, le=2**62)
    from_day: str = Field("", max_length=LONGEST_DAY)
    who: str = Field("", max_length=LONGEST_NAME)
    revision: int | None = Field(None, ge=0, le=2**31)


class HandIn(Schema):
    """Somebody with their hours, as people say them, and the lathes they use by their ids, none for all."""

    name: str = Field(..., max_length=LONGEST_NAME)
    usual: str = Field("", max_length=LONGEST_HOURS)
    changed: str = Field("", max_length=LONGEST_HOURS)
    lathes: list[str] = Field([], max_length=MOST_LATHES)


class HandsIn(Schema):
    """Who is in the shop."""

    people: list[HandIn] = Field(..., max_length=actions.MOST_PEOPLE)


class BeforeIn(Schema):
    """One job put before another, by their numbers."""

    first: int = Field(..., ge=1, le=2**62)
    then: int = Field(..., ge=1, le=2**62)


class CalendarIn(Schema):
    """A calendar file as text, and the hours of its owner as they are typed."""

    text: str = Field(..., max_length=MOST_CALENDAR)
    usual: str = Field("", max_length=LONGEST_HOURS)
    changed: str = Field("", max_length=LONGEST_HOURS)


def _week() -> HttpResponse:
    return answer(week_shown(gather(local_now())))


@router.get("/week", response={200: WeekShown, **PROBLEMS})
def read_week(request: HttpRequest) -> HttpResponse:
    """The week as it stands now."""
    return _week()


@router.get("/week/now", response={200: NowShown | None, **PROBLEMS})
def read_now(request: HttpRequest) -> HttpResponse:
    """What to do now; null where nobody said when they are in the shop, or nothing is left."""
    return answer(now_shown(gather(local_now())))


@router.get("/week/today", response={200: TodayShown | None, **PROBLEMS})
def read_today(request: HttpRequest) -> HttpResponse:
    """What was done today, and what that moves; null where nothing was recorded yet."""
    return answer(today_shown(local_now()))


@router.put("/week/jobs/{job_id}", response={200: WeekShown, **PROBLEMS})
def wish(request: HttpRequest, job_id: int, payload: WishIn) -> HttpResponse:
    """Say when a job is wanted and what it waits for; the answer is the week that follows."""
    said = actions.Wished(**payload.model_dump())
    actions.wish(job_id, said)
    return _week()


@router.put("/week/people", response={200: WeekShown, **PROBLEMS})
def set_people(request: HttpRequest, payload: HandsIn) -> HttpResponse:
    """Say who is in the shop, and when."""
    actions.set_people([actions.Hand(one.name, one.usual, one.changed, tuple(one.lathes)) for one in payload.people])
    return _week()


@router.post("/week/before", response={200: WeekShown, **PROBLEMS})
def put_before(request: HttpRequest, payload: BeforeIn) -> HttpResponse:
    """Put one job before another by hand."""
    actions.put_before(payload.first, payload.then)
    return _week()


@router.delete("/week/before/{job_id}", response={200: WeekShown, **PROBLEMS})
def let_go(request: HttpRequest, job_id: int) -> HttpResponse:
    """Take back where a job was put by hand."""
    actions.let_go(job_id)
    return _week()


def _searched(found: search.Search | None) -> SearchShown:
    if found is None:
        return SearchShown(False, 0.0, search.SECONDS, 0.0, False, False)
    first, now = found.first_cost or 0, found.cost or 0
    better = round(100 * (first - now) / first, 1) if first else 0.0
    return SearchShown(found.runs, round(found.elapsed_s, 1), found.seconds, better, found.proven, found.failed)


@router.post("/week/search", response={200: SearchShown, **PROBLEMS})
def begin_search(request: HttpRequest) -> HttpResponse:
    """Look for a better order, in a process of its own; what it finds is kept."""
    gathered = gather(local_now())
    return answer(_searched(search.begin(gathered.problem, actions.keep_order)))


@router.get("/week/search", response={200: SearchShown, **PROBLEMS})
def read_search(request: HttpRequest) -> HttpResponse:
    """How far the search is."""
    return answer(_searched(search.latest()))


@router.delete("/week/search", response={200: SearchShown, **PROBLEMS})
def end_search(request: HttpRequest) -> HttpResponse:
    """Stop the search: the best it found is kept."""
    search.end()
    return answer(_searched(search.latest()))


@router.post("/week/busy", response={200: BusyShown, **PROBLEMS})
def read_calendar(request: HttpRequest, payload: CalendarIn) -> HttpResponse:
    """The days that differ from a usual week for somebody whose calendar file this is; nothing is stored."""
    from server.week.calendar import busy_times

    now = local_now()
    hours = Hours(read_hours(payload.usual, "usual"), read_changed(payload.changed, now.date()))
    busy = busy_times(payload.text, now)
    return answer(BusyShown(len(busy), changed_words(without(hours, busy))))


@router.get("/week/week.ics", response=PROBLEMS, openapi_extra=file_in_schema("text/calendar"))
def week_as_calendar(request: HttpRequest) -> HttpResponse:
    """The tasks as a calendar file."""
    from server.week.calendar import calendar_file

    gathered = gather(local_now())
    _, order = order_of(gathered)
    content = calendar_file(gathered, order, station_names(things()))
    return file_answer(content, "week.ics", "text/calendar; charset=utf-8")


@router.get("/week/week.csv", response=PROBLEMS, openapi_extra=file_in_schema("text/csv"))
def week_as_csv(request: HttpRequest) -> HttpResponse:
    """The tasks as a table."""
    gathered = gather(local_now())
    _, order = order_of(gathered)
    return file_answer(week_csv(gathered, order, station_names(things())), "week.csv", "text/csv; charset=utf-8")


@router.get("/week/cutting.csv", response=PROBLEMS, openapi_extra=file_in_schema("text/csv"))
def cutting_as_csv(request: HttpRequest) -> HttpResponse:
    """What is cut from which bar."""
    cutting = cutting_of(gather(local_now()), things())
    return file_answer(cutting_csv(cutting), "cutting-list.csv", "text/csv; charset=utf-8")


@router.get("/week/week.pdf", response=PROBLEMS, openapi_extra=file_in_schema("application/pdf"))
def week_as_pdf(request: HttpRequest) -> HttpResponse:
    """The week on paper."""
    return file_answer(week_sheet(week_shown(gather(local_now()))), "week.pdf", "application/pdf")
