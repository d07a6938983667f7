"""Size line, choices, and the words of the trade."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal

from django.http import HttpRequest, HttpResponse
from ninja import Router
from ninja.params.functions import Query

from lathework.answers.bench.gauge_shown import GaugeShown, gauges_shown
from lathework.answers.gears_shown import GearsShown, geared, gears_shown
from lathework.answers.size import size
from lathework.answers.size_shown import SizeShown, size_shown
from lathework.answers.values import Shown, length_shown
from lathework.bench.dispositions import MISTAKES, OFFERED, Outcome
from lathework.bench.entry_words import KIND_WORDS
from lathework.glossary import TradeWord, trade_words
from lathework.identify.evidence_words import EVIDENCE
from lathework.instruments.stand_in import FAULT_WORDS
from lathework.job import choice_words
from lathework.job.usual import WHERE_EMPTY, usual_choices
from lathework.lengths import Span, read_length, within
from lathework.part.sample import nominals
from lathework.shop.lathe_words import DIALS, LATHES, MOUNTS, READOUTS, STATE_WORDS, TOOL_ZEROS
from lathework.threads.designation import read_called
from server.site.choices import ChoiceShown
from server.site.problems import PROBLEMS, answer

router = Router(tags=["reference"])


@dataclass(frozen=True)
class Alive:
    """A constant."""

    alive: bool


@dataclass(frozen=True)
class DispositionShown(ChoiceShown):
    """What may become of a step or a piece, and the kind of entry that it makes."""

    outcome: Outcome


@dataclass(frozen=True)
class Choices:
    """Everything a form offers; `evidence` by its field. `usual` is the choice that stands where none was made, and
    `empty` what is reckoned with where nothing is typed, by the path of the field."""

    materials: tuple[ChoiceShown, ...]
    schools: tuple[ChoiceShown, ...]
    shapes: tuple[ChoiceShown, ...]
    patterns: tuple[ChoiceShown, ...]
    edges_broken: tuple[ChoiceShown, ...]
    thread_runs: tuple[ChoiceShown, ...]
    millings: tuple[ChoiceShown, ...]
    finishers: tuple[ChoiceShown, ...]
    stocks: tuple[ChoiceShown, ...]
    finishes: tuple[ChoiceShown, ...]
    holders: tuple[ChoiceShown, ...]
    outside_cutters: tuple[ChoiceShown, ...]
    infeeds: tuple[ChoiceShown, ...]
    points: tuple[ChoiceShown, ...]
    orders: tuple[ChoiceShown, ...]
    batches: tuple[ChoiceShown, ...]
    dears: tuple[ChoiceShown, ...]
    supports: tuple[ChoiceShown, ...]
    dials: tuple[ChoiceShown, ...]
    readouts: tuple[ChoiceShown, ...]
    lathes: tuple[ChoiceShown, ...]
    edges: tuple[ChoiceShown, ...]
    mounts: tuple[ChoiceShown, ...]
    tool_zeros: tuple[ChoiceShown, ...]
    mouths: tuple[ChoiceShown, ...]
    tappings: tuple[ChoiceShown, ...]
    cutters: tuple[ChoiceShown, ...]
    fits: tuple[ChoiceShown, ...]
    hazards: tuple[ChoiceShown, ...]
    gauges: tuple[GaugeShown, ...]
    entries: tuple[ChoiceShown, ...]
    faults: tuple[ChoiceShown, ...]
    dispositions: tuple[DispositionShown, ...]
    mistakes: tuple[ChoiceShown, ...]
    states: tuple[ChoiceShown, ...]
    evidence: dict[str, tuple[ChoiceShown, ...]]
    usual: dict[str, str]
    empty: dict[str, str]


@dataclass(frozen=True)
class NominalShown:
    """A size a reading may have meant: as one would type it, and how far the reading lies under it."""

    typed: str
    under: Shown


def _choices(named: Mapping[Any, tuple[str, str]]) -> tuple[ChoiceShown, ...]:
    return tuple(ChoiceShown(code, name, remark) for code, (name, remark) in named.items())


@router.get("/alive", response=Alive)
def alive(request: HttpRequest) -> HttpResponse:
    """A constant through the whole stack: what other answers are measured against."""
    return answer(Alive(alive=True))


@router.get("/size", response={200: SizeShown, **PROBLEMS})
def size_line(request: HttpRequest, q: str = Query(..., max_length=200)) -> HttpResponse:
    """Blank, drills, groove and wires of the thread that `q` designates."""
    return answer(size_shown(size(q), read_called(q).length))


@router.get("/gears", response={200: GearsShown, **PROBLEMS})
def gears(
    request: HttpRequest,
    pitch: str = Query(..., max_length=120),
    leadscrew: str = Query(..., max_length=120),
    gears: str = Query("", max_length=240),
    gearbox: str = Query("", max_length=2000),
    dial_teeth: str = Query("", max_length=12),
    dial_lines: str = Query("", max_length=12),
    length: str = Query("", max_length=120),
    unit: Literal["in", "mm"] = "in",
) -> HttpResponse:
    """Trains of the change gears owned that cut a pitch, or that of a thread, alone or before a gearbox; when the nuts
    may be closed."""
    typed = {"pitch": pitch, "leadscrew": leadscrew, "gears": gears, "length": length, "unit": unit, "gearbox": gearbox}
    return answer(gears_shown(geared(typed | {"dial_teeth": dial_teeth, "dial_lines": dial_lines})))


_READING = Span("A reading", 0.3, 700)


@router.get("/sample", response={200: list[NominalShown], **PROBLEMS})
def sample(
    request: HttpRequest,
    reading: str = Query(..., max_length=200),
    unit: Literal["in", "mm"] = "in",
    of: Literal["across", "length", "thread"] = "across",
) -> HttpResponse:
    """What a reading off a worn part was probably meant to be, likeliest first; a bare number is in `unit`."""
    length = within(read_length(reading, unit, "reading"), _READING, "reading")
    nearest = nominals(length.mm, along=of == "length", thread=of == "thread")
    return answer([NominalShown(near.typed, length_shown(near.under_mm)) for near in nearest])


@router.get("/words", response=list[TradeWord])
def words(request: HttpRequest) -> HttpResponse:
    """Words of the trade and what they mean, by the alphabet."""
    return answer(trade_words())


@router.get("/choices", response=Choices)
def choices(request: HttpRequest) -> HttpResponse:
    """Everything a form offers, in the trade's words."""
    return answer(
        Choices(
            materials=_choices(choice_words.METALS),
            schools=_choices(choice_words.SCHOOLS),
            shapes=_choices(choice_words.SHAPES),
            patterns=_choices(choice_words.PATTERNS),
            edges_broken=_choices(choice_words.BROKEN),
            thread_runs=_choices(choice_words.RUNS),
            millings=_choices(choice_words.MILLINGS),
            finishers=_choices(choice_words.FINISHERS),
            stocks=_choices(choice_words.STOCKS),
            finishes=_choices(choice_words.FINISHES),
            holders=_choices(choice_words.HOLDERS),
            outside_cutters=_choices(choice_words.OUTSIDE_CUTTERS),
            infeeds=_choices(choice_words.INFEEDS),
            points=_choices(choice_words.POINTS),
            orders=_choices(choice_words.ORDERS),
            batches=_choices(choice_words.BATCHES),
            dears=_choices(choice_words.DEARS),
            supports=_choices(choice_words.SUPPORTS),
            dials=_choices(DIALS),
            readouts=_choices(READOUTS),
            lathes=_choices(LATHES),
            edges=_choices(choice_words.EDGES),
            mounts=_choices(MOUNTS),
            tool_zeros=_choices(TOOL_ZEROS),
            mouths=_choices(choice_words.MOUTHS),
            tappings=_choices(choice_words.TAPPINGS),
            cutters=_choices(choice_words.CUTTERS),
            fits=_choices(choice_words.FITS),
            hazards=_choices(choice_words.HAZARDS),
            gauges=gauges_shown(),
            faults=tuple(ChoiceShown(fault, name, "") for fault, name in FAULT_WORDS.items()),
            entries=tuple(ChoiceShown(kind, name, "") for kind, name in KIND_WORDS.items()),
            dispositions=tuple(
                DispositionShown(code, one.name, one.means, one.outcome) for code, one in OFFERED.items()
            ),
            mistakes=tuple(ChoiceShown(code, one.name, one.check) for code, one in MISTAKES.items()),
            states=_choices(STATE_WORDS),
            evidence={field: _choices(named) for field, named in EVIDENCE.items()},
            usual=dict(usual_choices()),
            empty=WHERE_EMPTY,
        )
    )
