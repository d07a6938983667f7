"""A designed holder, for a screen: its dimensions with their reasons, drawn, and the job that makes it."""

from __future__ import annotations

from collections.abc import Callable, Mapping

from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.values import FigureShown, figure_shown
from lathework.drawing.holder import assembly
from lathework.drawing.part.alone import BELOW, BESIDE, part_alone
from lathework.drawing.part.layout import Frame
from lathework.errors import InvalidDocument
from lathework.fields import Extent, Json
from lathework.holders.asks import HOLDERS, HolderKind
from lathework.holders.design import Design
from lathework.job.document import read_document
from lathework.planning.notice import Notice
from lathework.planning.plan import make_plan
from lathework.units import LENGTH_UNITS, LengthUnit


@answer
class AskedShown:
    """What a holder asks for, with an example in inches and one in millimetres; whether it may be left empty, and
    whether it is a size."""

    field: str
    label: str
    inch: str
    mm: str
    optional: bool
    size: bool


@answer
class HolderShown:
    """A holder that is designed here, and what it asks for."""

    code: HolderKind
    name: str
    remark: str
    asks: tuple[AskedShown, ...]


@answer
class DimensionedShown:
    """A dimension of a holder, and why it is so; the field of what the person sets it by, "" where it follows."""

    figure: FigureShown
    why: str
    field: str


@answer
class DesignShown:
    """A designed holder: its dimensions, what is against it, how its parts lie together and apart; how its first part
    looks, None where it cannot be made as it is."""

    title: str
    dimensions: tuple[DimensionedShown, ...]
    conflicts: tuple[Notice, ...]
    together: SheetShown
    apart: SheetShown
    drawing: SheetShown | None


Examples = Callable[[HolderKind, LengthUnit], Mapping[str, str]]


def _none(kind: HolderKind, unit: LengthUnit) -> Mapping[str, str]:
    return {}


def holders_shown(own: Examples = _none) -> tuple[HolderShown, ...]:
    """Every holder that is designed here; `own` are a shop's examples of what is asked, before the usual ones."""
    said = {(kind, unit): own(kind, unit) for kind in HOLDERS for unit in LENGTH_UNITS}
    return tuple(
        HolderShown(
            one.code,
            one.name,
            one.remark,
            tuple(
                AskedShown(
                    ask.field,
                    ask.label,
                    said[one.code, "in"].get(ask.field, ask.inch),
                    said[one.code, "mm"].get(ask.field, ask.mm),
                    bool(getattr(ask.of, "optional", False)),
                    isinstance(ask.of, Extent),
                )
                for ask in one.asks
            ),
        )
        for one in HOLDERS.values()
    )


def _drawn(document: Json, frame: Frame) -> SheetShown | None:
    try:
        plan = make_plan(read_document(document))
    except InvalidDocument:
        return None
    return sheet_shown(part_alone(plan, frame, lambda _: True))


def design_shown(design: Design, *, narrow: bool = False) -> DesignShown:
    """A designed holder; `narrow` is for a screen as wide as a phone."""
    frame, room = (BELOW, assembly.BELOW) if narrow else (BESIDE, assembly.BESIDE)
    dimensions = tuple(
        DimensionedShown(figure_shown(dimension.figure), dimension.why, dimension.field)
        for dimension in design.dimensions
    )
    together, apart = (
        sheet_shown(assembly.assembly(design.lying, design.title, room, apart=apart)) for apart in (False, True)
    )
    return DesignShown(design.title, dimensions, design.conflicts, together, apart, _drawn(design.document, frame))
