"""A thread's page in the book, for a screen."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Literal

from lathework.answers.book.card import Card, Wires
from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.size import Size
from lathework.answers.size_shown import SizeShown, size_shown
from lathework.answers.values import FigureShown, Shown, figure_shown, figures_shown, length_shown, maybe_shown
from lathework.threads.families.family import Letter

Side = Literal["external", "internal"]


@answer
class LimitRow:
    """One diameter of one side at its limits; None where the standard bounds one side only."""

    side: Side
    name: str
    least: FigureShown | None
    greatest: FigureShown | None


@answer
class DrawerWire:
    """A drill whose shank serves as a wire."""

    name: str
    shown: Shown


@answer
class WiresShown:
    """Three-wire figures for the chosen wire, and what else would serve."""

    chosen: FigureShown
    over: tuple[FigureShown, ...]
    range: tuple[FigureShown, ...]
    lead_angle: FigureShown
    drawer: tuple[DrawerWire, ...]
    serves: bool


@answer
class CardShown(SizeShown):
    """A thread's page in the book."""

    letters: tuple[Letter, ...]
    external_classes: tuple[str, ...]
    internal_classes: tuple[str, ...]
    limits: tuple[LimitRow, ...]
    three_wires: WiresShown | None
    micrometer: FigureShown | None
    gauges: tuple[FigureShown, ...]
    drill: tuple[FigureShown, ...]
    plating: tuple[FigureShown, ...]
    stress: FigureShown | None
    lengths: tuple[FigureShown, ...]
    drawing: SheetShown


def _wires(wires: Wires) -> WiresShown:
    return WiresShown(
        chosen=figure_shown(wires.chosen),
        over=figures_shown(wires.over),
        range=figures_shown(wires.range),
        lead_angle=figure_shown(wires.lead_angle),
        drawer=tuple(DrawerWire(drill.name, length_shown(drill.diameter_mm)) for drill in wires.drawer),
        serves=wires.serves,
    )


def _limit_rows(size: Size) -> Iterator[LimitRow]:
    """The table of limits: one row for each diameter of each side, its least and greatest as figures."""
    if size.external is not None:
        outside = size.external
        for band in (outside.major, outside.pitch_diameter):
            yield LimitRow("external", band.name, *figures_shown(band.figures()))
        yield LimitRow("external", "minor", None, figure_shown(outside.minor_max))
    if size.internal is not None:
        inside = size.internal
        yield LimitRow("internal", "major", figure_shown(inside.major_min), None)
        for band in (inside.pitch_diameter, inside.minor):
            yield LimitRow("internal", band.name, *figures_shown(band.figures()))


def _lengths(size: Size) -> tuple[FigureShown, ...]:
    """Lengths of a taper thread, and the blank of one that is cut outside."""
    taper, blank = size.taper, size.taper_blank
    lengths = (taper.gauge_length, taper.gauge_tolerance, taper.useful_length) if taper else ()
    ends = (blank.small, blank.large, blank.angle, blank.turns) if blank else ()
    return tuple(figure_shown(figure) for figure in (*lengths, *ends) if figure)


def card_shown(card: Card) -> CardShown:
    """A thread's page: sized, with its limits as figures, letters, wires, gauges, drawing."""
    return CardShown(
        **vars(size_shown(card.size, card.length)),
        letters=card.letters,
        external_classes=card.external_classes,
        internal_classes=card.internal_classes,
        limits=tuple(_limit_rows(card.size)),
        three_wires=_wires(card.wires) if card.wires else None,
        micrometer=maybe_shown(card.micrometer),
        gauges=figures_shown(card.gauges),
        drill=figures_shown(card.drill),
        plating=figures_shown(card.plating),
        stress=maybe_shown(card.size.stress_area),
        lengths=_lengths(card.size),
        drawing=sheet_shown(card.drawing),
    )
