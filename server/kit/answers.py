"""The shop as the endpoints answer with it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.answers.values import FieldError, FigureShown, field_error, figure_shown
from lathework.outfit.serving import Capability, Serving
from lathework.remembered import Remembered
from lathework.shop.kinds import CODES, kind_of
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.gauges import ThreadGauge
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.taps import Tap
from lathework.shop.kit_choices import State
from lathework.shop.kit_file import FileRow
from lathework.shop.lathe_words import STATE_WORDS
from lathework.shop.lines import Line
from lathework.threads.families import series_name
from server.kit.kinds import KindCode
from server.kit.models import Thing
from server.kit.owned import MOST_KNOWN
from server.kit.photographs import revisions


@dataclass(frozen=True)
class ThingShown:
    """A thing: what it is called, and everything that was said of it.

    `said` are the fields that are its kind's own, as typed. `drawer` is the shop and place it lies in, or a heading
    where nobody said; `condition` is its state in words; `across_mm` and `bore_mm` draw it: its size, a usual one where
    nobody measured it, and that of its thread, 0 for what has none; `short` stands under it. `photograph` is the
    revision of its photograph, 0 where it has none.
    """

    id: str
    kind: KindCode
    name: str
    short: str
    drawer: str
    thread: str
    said: dict[str, str]
    state: State
    condition: str
    shop: str
    place: str
    notes: str
    across_mm: float
    bore_mm: float
    photograph: int
    revision: int


@dataclass(frozen=True)
class KitShown:
    """Everything owned, drawer by drawer, by size."""

    things: tuple[ThingShown, ...]


@dataclass(frozen=True)
class NamedThing:
    """A thing that was typed: its document without an id, what it will be called, whether the like is owned; how it is
    drawn."""

    kind: KindCode
    name: str
    short: str
    across_mm: float
    bore_mm: float
    document: dict[str, str]
    known: bool


@dataclass(frozen=True)
class LineShown:
    """A line as typed: the things it names, or what is wrong with it."""

    text: str
    things: tuple[NamedThing, ...]
    error: FieldError | None


@dataclass(frozen=True)
class FileRowShown:
    """A row of a kit file by its line: the thing it holds, or what is wrong in which column."""

    line: int
    thing: NamedThing | None
    errors: tuple[FieldError, ...]


def _named(kind: str, thing: Owned, document: dict[str, str], names: set[str]) -> NamedThing:
    """Something that is not in the shop yet; `names` are those of things that are."""
    told = kind_of(thing)
    name, (across_mm, bore_mm) = told.name(thing), told.across(thing)
    return NamedThing(kind, name, told.short(thing), round(across_mm, 3), round(bore_mm, 3), document, name in names)


def file_rows_shown(rows: tuple[FileRow, ...], names: set[str]) -> tuple[FileRowShown, ...]:
    """The rows of a kit file; `names` are those of things that are owned."""
    return tuple(
        FileRowShown(
            row.line,
            None if row.thing is None else _named(row.kind, row.thing, dict(row.document), names),
            tuple(field_error(error) for error in row.errors),
        )
        for row in rows
    )


@dataclass(frozen=True)
class HoldingShown:
    """A holder, and whether it holds a die of the thread; `why` not, or on what condition."""

    thing: ThingShown
    fits: bool
    why: str


@dataclass(frozen=True)
class ServingShown:
    """What of the shop serves a thread, and what does not."""

    thread: str
    dies: tuple[ThingShown, ...]
    taps: tuple[ThingShown, ...]
    drill: str
    percent: FigureShown | None
    holding: tuple[HoldingShown, ...]
    gauges: tuple[ThingShown, ...]
    away: tuple[ThingShown, ...]
    instead: tuple[str, ...]
    missing: tuple[str, ...]
    unlike: tuple[str, ...]


@dataclass(frozen=True)
class CapabilityShown:
    """A thread that the shop can cut, under its series; `words` say what is there and what is not."""

    thread: str
    series: str
    die: bool
    tap: bool
    words: str


def capabilities_shown(cut: tuple[Capability, ...]) -> tuple[CapabilityShown, ...]:
    """Every thread that the shop can cut."""
    told = []
    for one in cut:
        hole = "tap and drill" if one.drill else "tap, no drill near" if one.tap else ""
        words = ", ".join(part for part in ("die" if one.die else "", hole) if part)
        series = series_name(one.thread)
        told.append(CapabilityShown(one.thread.designation, series, one.die, one.tap, words))
    return tuple(told)


def _drawer(thing: Owned) -> str:
    lies = thing.place or kind_of(thing).drawer(thing)
    return f"{thing.shop}: {lies}" if thing.shop else lies


_shown: Remembered[ThingShown] = Remembered(MOST_KNOWN)


def thing_shown(row: Thing, thing: Owned, photograph: int = 0) -> ThingShown:
    """A stored thing."""
    return _shown.of(
        (row.ident, row.revision, row.changed_at, photograph), lambda: _thing_shown(row, thing, photograph)
    )


def _thing_shown(row: Thing, thing: Owned, photograph: int) -> ThingShown:
    kind, told = kind_of(thing), row.document
    across_mm, bore_mm = kind.across(thing)
    return ThingShown(
        id=row.ident,
        kind=kind.code,
        name=kind.name(thing),
        short=kind.short(thing),
        drawer=_drawer(thing),
        thread=thing.thread.designation if isinstance(thing, Die | Tap | ThreadGauge) and thing.thread else "",
        said={name: str(told.get(name) or own.field.default or "") for name, own in kind.fields.items()},
        state=thing.state,
        condition=STATE_WORDS[thing.state][0],
        shop=thing.shop,
        place=thing.place,
        notes=thing.notes,
        across_mm=round(across_mm, 3),
        bore_mm=round(bore_mm, 3),
        photograph=photograph,
        revision=row.revision,
    )


def kit_shown(things: list[tuple[Thing, Owned]]) -> KitShown:
    """Everything owned, drawer by drawer: those with dies first, then taps, then drills; in each by size."""
    pictures = revisions()
    shown = [thing_shown(row, thing, pictures.get(row.ident, 0)) for row, thing in things]
    first: dict[str, int] = {}
    for one in shown:
        first[one.drawer] = min(CODES.index(one.kind), first.get(one.drawer, len(CODES)))
    shown.sort(
        key=lambda one: (first[one.drawer], one.drawer, CODES.index(one.kind), one.bore_mm or one.across_mm, one.name)
    )
    return KitShown(tuple(shown))


def lines_shown(lines: tuple[Line, ...], names: set[str]) -> tuple[LineShown, ...]:
    """What was typed, understood; `names` are those of things that are owned."""
    return tuple(
        LineShown(
            line.text,
            tuple(_named(thing.kind, thing.thing, thing.document, names) for thing in line.things),
            field_error(line.error) if line.error else None,
        )
        for line in lines
    )


def serving_shown(told: Serving, rows: dict[str, Thing]) -> ServingShown:
    """What serves a thread; `rows` are the stored things by id."""

    def shown(things: Sequence[Owned]) -> tuple[ThingShown, ...]:
        return tuple(thing_shown(rows[thing.id], thing) for thing in things)

    return ServingShown(
        thread=told.thread.designation,
        dies=shown(told.dies),
        taps=shown(told.taps),
        drill=told.drill.drill.name if told.drill else "",
        percent=figure_shown(told.drill.percent) if told.drill else None,
        holding=tuple(
            HoldingShown(thing_shown(rows[one.thing.id], one.thing), one.fit.fits, one.fit.why) for one in told.holding
        ),
        gauges=shown(told.gauges),
        away=shown(told.away),
        instead=told.instead,
        missing=told.missing,
        unlike=told.unlike,
    )
