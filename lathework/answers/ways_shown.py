"""The ways to make each thread of a job, ranked, for a screen."""

from __future__ import annotations

from typing import Literal

from lathework.answers.declared_answer import answer
from lathework.answers.values import FigureShown, figure_shown, maybe_shown
from lathework.cautions import Caution
from lathework.holders.asks import MADE_FOR, HolderKind
from lathework.methods.ways.choose import Chart, Weighed
from lathework.outfit.choosing import Choosing, field_of
from lathework.planning.plan import Plan
from lathework.planning.threads.schools import schools


@answer
class TakenBy:
    """A field of the document and what it says when a way is taken."""

    field: str
    value: str


@answer
class WayShown:
    """A way of making a thread, weighed: why it does not suit, or is unusual here; what one has not got, and may
    `make` oneself, "" for nothing; what speaks for it and against."""

    code: str
    name: str
    remark: str
    takes: tuple[TakenBy, ...]
    serves: bool
    refused: tuple[str, ...]
    unusual: tuple[str, ...]
    lacking: tuple[str, ...]
    make: HolderKind | Literal[""]
    merits: tuple[str, ...]
    faults: tuple[str, ...]
    set_up: FigureShown
    each: FigureShown
    whole: FigureShown
    torque: FigureShown | None
    borne_by: str
    pitch: str
    straight: str
    shoulder: FigureShown
    cautions: tuple[Caution, ...]


@answer
class ChoosingShown:
    """The ways of one thread, the best first; `taken` is the code of the one the job takes."""

    id: str
    thread: str
    inside: bool
    taken: str
    words: str
    agrees: bool
    ways: tuple[WayShown, ...]
    chart: Chart
    changes: tuple[str, ...]
    cheapest: str


@answer
class SchoolShown:
    """A question on which practitioners differ: what the program takes here and why, and what the job does."""

    question: str
    here: str
    why: str
    chosen: str
    agrees: bool
    field: str
    value: str


@answer
class WaysShown:
    """Which way to take for each thread of a part, and where practitioners differ."""

    threads: tuple[ChoosingShown, ...]
    schools: tuple[SchoolShown, ...]
    because: str


def way_shown(way: Weighed, takes: tuple[TakenBy, ...]) -> WayShown:
    """A way that was weighed; `takes` as the document of its part has it."""
    return WayShown(
        code=way.code,
        name=way.name,
        remark=way.remark,
        takes=takes,
        serves=way.serves,
        refused=way.refused,
        unusual=way.unusual,
        lacking=way.missed,
        make=MADE_FOR.get(way.code, "") if way.missed else "",
        merits=way.merits,
        faults=way.faults,
        set_up=figure_shown(way.set_up),
        each=figure_shown(way.each),
        whole=figure_shown(way.whole),
        torque=maybe_shown(way.torque),
        borne_by=way.borne_by,
        pitch=way.expected.pitch,
        straight=way.expected.straight,
        shoulder=figure_shown(way.expected.shoulder),
        cautions=way.cautions,
    )


def _choosing(told: Choosing, plan: Plan) -> ChoosingShown:
    ways = [way_shown(way, tuple(TakenBy(*field_of(told, plan, choice)) for choice in way.takes)) for way in told.ways]
    return ChoosingShown(
        id=told.id,
        thread=told.thread.designation,
        inside=told.inside,
        taken=told.taken,
        words=told.words,
        agrees=told.agrees,
        ways=tuple(ways),
        chart=told.chart,
        changes=told.changes,
        cheapest=told.cheapest,
    )


def ways_shown(told: tuple[Choosing, ...], plan: Plan) -> WaysShown:
    """The ways of every thread of a plan."""
    asked = tuple(
        SchoolShown(school.question, school.here, school.why, school.chosen, school.agrees, school.field, school.value)
        for school in schools(plan)
    )
    return WaysShown(tuple(_choosing(one, plan) for one in told), asked, plan.job.method.because)
