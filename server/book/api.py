"""The book of threads: browse it, open a page, take it away, lay two threads over each other."""

from __future__ import annotations

from functools import cache
from typing import Any, Literal

import orjson
from django.http import HttpRequest, HttpResponse
from ninja import Query, Router, Schema
from ninja.params import functions as params

from lathework.answers.book.card import Asked, Card, card
from lathework.answers.book.card_shown import CardShown, card_shown
from lathework.answers.book.hole import AskedHole, hole
from lathework.answers.book.hole_shown import HoleShown, PipeHoleShown, hole_shown, pipe_hole_shown
from lathework.answers.book.mating_shown import MatingShown, mating_shown
from lathework.answers.book.pipe_hole import pipe_hole
from lathework.answers.sheet_shown import sheet_shown
from lathework.answers.size_shown import size_contract
from lathework.answers.thread_shown import RowShown, row_shown
from lathework.answers.values import length_shown
from lathework.drawing.profile.stamp import stamp
from lathework.drawing.svg import sheet_svg
from lathework.errors import InputError
from lathework.lengths import Span, read_length, within
from lathework.threads.designation import Called, read_called
from lathework.threads.families import SERIES
from lathework.threads.library import library
from lathework.threads.mating import mate
from lathework.threads.near import SHARE, near
from lathework.threads.thread import Thread
from lathework.units import convert
from server.book import actions
from server.book.files import limits_csv
from server.book.schemas import HitShown, KeepIn, Kept, NearShown, SeriesShown, TickShown
from server.kit.owned import drill_list
from server.site.files import file_answer, file_in_schema
from server.site.problems import PROBLEMS, answer

router = Router(tags=["threads"])


@cache
def _series() -> tuple[SeriesShown, ...]:
    """Every series of the book, in its order."""
    sizes: dict[str, list[Thread]] = {series: [] for series in SERIES}
    for thread in library():
        sizes[thread.series].append(thread)
    return tuple(
        SeriesShown(
            family=some[0].family,
            series=series,
            name=SERIES[series].name,
            count=len(some),
            angle_deg=some[0].form.angle_deg,
            least=min(some, key=lambda thread: thread.major_mm).designation,
            greatest=max(some, key=lambda thread: thread.major_mm).designation,
            picture=sheet_shown(stamp(some[len(some) // 2])),
            sizes=tuple(TickShown(thread.designation, round(thread.major_mm, 4)) for thread in some),
        )
        for series, some in sizes.items()
    )


_LONGEST = 60
MEASURED = Span("What a thread measures", 0.5, 150)


class CardQuery(Schema):
    """A thread, its classes, and what the person has: all as typed, empty for the usual."""

    q: str = params.Query(..., max_length=200)
    class_name: str = params.Query("", alias="class", max_length=_LONGEST)
    internal_class: str = params.Query("", max_length=_LONGEST)
    engagement: str = params.Query("", max_length=_LONGEST)
    wire: str = params.Query("", max_length=_LONGEST)
    drill: str = params.Query("", max_length=_LONGEST)
    plating: str = params.Query("", max_length=_LONGEST)

    def card(self) -> Card:
        """The card asked for. Raises InputError."""
        return card(
            self.q,
            class_name=self.class_name.strip(),
            internal_class=self.internal_class.strip(),
            engagement=self.engagement,
            asked=Asked(self.wire, self.drill, self.plating),
        )


@router.get("/series", response=list[SeriesShown])
def series(request: HttpRequest) -> HttpResponse:
    """The series of the book."""
    return answer(_series())


@router.get("/near", response={200: NearShown, **PROBLEMS})
def near_size(
    request: HttpRequest, size: str = params.Query(..., max_length=_LONGEST), unit: Literal["in", "mm"] = "in"
) -> HttpResponse:
    """The threads of each series that measure about a `size` over their crests; a bare number is in `unit`."""
    length = within(read_length(size, unit, "size"), MEASURED, "size")
    hits = tuple(HitShown(one.thread.series, one.thread.designation, one.more) for one in near(length.mm))
    return answer(NearShown(length_shown(length.mm), length.mm, SHARE, hits))


@router.get("/rows", response={200: list[RowShown], **PROBLEMS})
def rows(request: HttpRequest, series: str = params.Query(..., max_length=_LONGEST)) -> HttpResponse:
    """The threads of one series, in its table's order; none for a series that the book lacks."""
    return answer([row_shown(thread) for thread in library() if thread.series == series])


@router.get("/card", response={200: CardShown, **PROBLEMS})
def page(request: HttpRequest, asked: Query[CardQuery]) -> HttpResponse:
    """A thread's page."""
    return answer(card_shown(asked.card()))


def _called(text: str, field: str) -> Called:
    """What a text calls for, its error told of `field`."""
    try:
        return read_called(text)
    except InputError as error:
        raise error.at(field) from None


def _name(page: Card) -> str:
    """A file name without characters that file systems mind."""
    return "".join(c if c.isalnum() else "-" for c in page.size.thread.designation).strip("-")


@router.get("/card.json", response={200: dict[str, Any], **PROBLEMS})
def page_as_json(request: HttpRequest, asked: Query[CardQuery]) -> HttpResponse:
    """The size answer with limits, as the command line prints it."""
    found = asked.card()
    content = orjson.dumps(size_contract(found.size), option=orjson.OPT_INDENT_2)
    return file_answer(content, f"{_name(found)}.json", "application/json")


@router.get("/card.csv", response=PROBLEMS, openapi_extra=file_in_schema("text/csv"))
def page_as_csv(request: HttpRequest, asked: Query[CardQuery]) -> HttpResponse:
    """The limits as CSV."""
    found = asked.card()
    return file_answer(limits_csv(found), f"{_name(found)}.csv", "text/csv; charset=utf-8")


@router.get("/card.svg", response=PROBLEMS, openapi_extra=file_in_schema("image/svg+xml"))
def page_as_svg(request: HttpRequest, asked: Query[CardQuery]) -> HttpResponse:
    """The profile as SVG, in the thread's own unit."""
    found = asked.card()
    drawing = sheet_svg(found.drawing, found.size.thread.unit)
    return file_answer(drawing, f"{_name(found)}.svg", "image/svg+xml")


@router.get("/card.dxf", response=PROBLEMS, openapi_extra=file_in_schema("image/vnd.dxf"))
def page_as_dxf(request: HttpRequest, asked: Query[CardQuery]) -> HttpResponse:
    """The profile as DXF, true size in millimetres."""
    from server.paper.dxf import sheet_dxf

    found = asked.card()
    unit = found.size.thread.unit
    drawing = sheet_dxf(found.drawing, convert(1.0, unit, "mm"), unit)
    return file_answer(drawing, f"{_name(found)}.dxf", "image/vnd.dxf")


class HoleQuery(Schema):
    """A thread to be tapped and what the shop has for it: all as typed, empty for the usual."""

    q: str = params.Query(..., max_length=200)
    internal_class: str = params.Query("", max_length=_LONGEST)
    percent: str = params.Query("", max_length=_LONGEST)
    drills: str = params.Query("", max_length=2000)
    bolt: str = params.Query("", max_length=_LONGEST)
    metal: str = params.Query("", max_length=_LONGEST)
    depth: str = params.Query("", max_length=_LONGEST)
    through: str = params.Query("", max_length=_LONGEST)
    piloted: bool = False


@router.get("/hole", response={200: HoleShown, **PROBLEMS})
def tapped_hole(request: HttpRequest, asked: Query[HoleQuery]) -> HttpResponse:
    """A tapped hole: the drill out of those named, or of the shop, or of every rack; its strength, how deep to go."""
    wanted = AskedHole(
        percent=asked.percent,
        drills=asked.drills.strip() or drill_list(),
        bolt=asked.bolt,
        metal=asked.metal,
        depth=asked.depth,
        through=asked.through,
        piloted=asked.piloted,
    )
    return answer(hole_shown(hole(asked.q, internal_class=asked.internal_class.strip(), asked=wanted)))


@router.get("/pipe-hole", response={200: PipeHoleShown, **PROBLEMS})
def taper_hole(
    request: HttpRequest,
    q: str = params.Query(..., max_length=200),
    drills: str = params.Query("", max_length=2000),
    unit: Literal["in", "mm"] = "in",
) -> HttpResponse:
    """A hole for a taper pipe thread: drill, ream, gauge; bare numbers among the drills are in `unit`."""
    return answer(pipe_hole_shown(pipe_hole(q, drills.strip() or drill_list(), unit)))


@router.get("/mating", response={200: MatingShown, **PROBLEMS})
def mating(
    request: HttpRequest,
    bolt: str = params.Query(..., max_length=200),
    nut: str = params.Query(..., max_length=200),
) -> HttpResponse:
    """A nut of one thread on a bolt of another; a class said with either stands."""
    outside, inside = (_called(text, field) for text, field in ((bolt, "bolt"), (nut, "nut")))
    return answer(
        mating_shown(mate(outside.thread, inside.thread, bolt_class=outside.class_name, nut_class=inside.class_name))
    )


@router.get("/favourites", response=Kept)
def favourites(request: HttpRequest) -> HttpResponse:
    """Threads the shop keeps at hand."""
    return answer(Kept(actions.favourites()))


@router.put("/favourites", response={200: Kept, **PROBLEMS})
def keep(request: HttpRequest, payload: KeepIn) -> HttpResponse:
    """Keep a thread at hand."""
    return answer(Kept(actions.keep(payload.designation)))


@router.delete("/favourites", response={200: Kept, **PROBLEMS})
def let_go(request: HttpRequest, q: str = params.Query(..., max_length=200)) -> HttpResponse:
    """Let a kept thread go."""
    return answer(Kept(actions.let_go(q)))
