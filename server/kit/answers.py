"""The shop as the endpoints answer with it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework.answers.values import FieldError, FigureShown, field_error, figure_shown
from lathework.outfit.serving import Capability, Serving
from lathework.remembered import Remembered
from lathework.shop.equipment import Bar, Bush, Collet, DieHolder, DieStock, ThreadGauge
from lathework.shop.kinds import Owned, kind_named, kind_of
from lathework.shop.kit import drawn_mm, name_of
from lathework.shop.kit_choices import KINDS, Kind, State
from lathework.shop.kit_declaration import GROUPS
from lathework.shop.kit_file import FileRow
from lathework.shop.things import Blade, Die, Reamer, ShopDrill, Tap
from lathework.shop.typing.lines import Line
from lathework.shop.words import KIND_WORDS
from lathework.threads.families import series_name
from server.kit.kinds import COMMON
from server.kit.models import Thing
from server.kit.owned import MOST_KNOWN
from server.kit.photographs import revisions


@dataclass(frozen=True)
class ThingShown:
    """A thing: what it is called, and everything that was said of it.

    `said` are the fields that are its kind's own, as typed. `drawer` is the shop and place it lies in, or a heading
    where nobody said; `across_mm` and `bore_mm` draw it: its size, a usual one where nobody measured it, and that of
    its thread, 0 for what has none; `short` stands under it. `photograph` is the revision of its photograph, 0 where it
    has none.
    """

    id: str
    kind: Kind
    name: str
    short: str
    drawer: str
    thread: str
    said: dict[str, str]
    state: State
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

    kind: Kind
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


def _named(kind: Kind, thing: Owned, document: dict[str, str], names: set[str]) -> NamedThing:
    """Something that is not in the shop yet; `names` are those of things that are."""
    name, (across_mm, bore_mm) = name_of(thing), _drawn(thing)
    return NamedThing(kind, name, _short(thing), round(across_mm, 3), round(bore_mm, 3), document, name in names)


def file_rows_shown(rows: tuple[FileRow, ...], names: set[str]) -> tuple[FileRowShown, ...]:
    """The rows of a kit file; `names` are those of things that are owned."""
    return tuple(
        FileRowShown(
            row.line,
            None if row.thing is None else _named(kind_named(row.kind), row.thing, dict(row.document), names),
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


def _drawn(thing: Owned) -> tuple[float, float]:
    """Diameter over all and of the thread, in millimetres; a usual one where nobody measured it."""
    match thing:
        case Die():
            return drawn_mm(thing), thing.thread.major_mm
        case Tap():
            return thing.thread.major_mm, thing.thread.major_mm
        case ShopDrill() | Reamer():
            return thing.size.mm, 0.0
        case DieHolder() | DieStock() | Bar():
            return thing.across.mm, 0.0
        case Blade():
            return thing.width.mm, 0.0
        case Bush():
            return thing.bore.mm, 0.0
        case Collet():
            return thing.most.mm, 0.0
        case _:
            return 0.0, 0.0


def _short(thing: Owned) -> str:
    """What stands under a thing in its drawer."""
    match thing:
        case Die() | Tap():
            return thing.thread.designation
        case ShopDrill() | Reamer():
            return thing.size.typed
        case _:
            return name_of(thing)


def _drawer(thing: Owned) -> str:
    return f"{thing.shop}: {_lies_in(thing)}" if thing.shop else _lies_in(thing)


def _lies_in(thing: Owned) -> str:
    if thing.place:
        return thing.place
    kind = kind_of(thing)
    if isinstance(thing, Die | Tap):
        return f"{series_name(thing.thread)} {kind}s"
    return KIND_WORDS[kind][1]


_shown: Remembered[ThingShown] = Remembered(MOST_KNOWN)


def thing_shown(row: Thing, thing: Owned, photograph: int = 0) -> ThingShown:
    """A stored thing."""
    return _shown.of(
        (row.ident, row.revision, row.changed_at, photograph), lambda: _thing_shown(row, thing, photograph)
    )


def _thing_shown(row: Thing, thing: Owned, photograph: int) -> ThingShown:
    across_mm, bore_mm = _drawn(thing)
    kind = kind_of(thing)
    told = row.document
    return ThingShown(
        id=row.ident,
        kind=kind,
        name=name_of(thing),
        short=_short(thing),
        drawer=_drawer(thing),
        thread=thing.thread.designation if isinstance(thing, Die | Tap | ThreadGauge) and thing.thread else "",
        said={
            name: str(told.get(name) or field.default or "")
            for name, field in GROUPS[kind].fields.items()
            if name not in COMMON
        },
        state=thing.state,
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
        first[one.drawer] = min(KINDS.index(one.kind), first.get(one.drawer, len(KINDS)))
    shown.sort(
        key=lambda one: (first[one.drawer], one.drawer, KINDS.index(one.kind), one.bore_mm or one.across_mm, one.name)
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
