"""Plunging: necks, relief grooves, parting off."""

from __future__ import annotations

from lathework import cautions
from lathework.cutting.dimension import Dimension
from lathework.cutting.groove import groove_diameter
from lathework.figures import GEOMETRY, PRACTICE, Figure, added
from lathework.lathe.cut import Cut
from lathework.lathe.outside_cuts import PartOff, Plunge
from lathework.lengths import Length
from lathework.part.bore_sizes import largest_mm
from lathework.planning.holdings.chucking import Chucking, Placed
from lathework.planning.operation import Operation, keyed, makes
from lathework.planning.positions import axis_word, blade_place, given_mm, place_words, plunge_dial, typed
from lathework.planning.steps import measures
from lathework.planning.threads.thread_work import ThreadWork, in_mm
from lathework.planning.work import Work
from lathework.units import convert

_WIDER_MM = 0.01
UNBROKEN = "Too thin for a back chamfer: break the parted edge with a fine file that has a handle."
PIP = "File off the pip that parting leaves; the file must have a handle."
CENTRE_BACK = "Withdraw the centre before the blade is through: if it still pushes, the piece jams the blade."
SLOT_WALL_MM, SLOT_UNDER_MM = 1.0, 0.5
"""Least metal round a hole when a slot is begun, and how far the slot goes under the chamfer, each side (practice)."""
OTHER_MOUTH = "Countersink the thread's mouth on this side too, in the vice or the drill press."


def plunges(work: Work, far_mm: float, width_mm: float, blade: Length, edge: str) -> tuple[dict[str, Figure], str]:
    """Positions of the first and the last plunge of a groove that ends `far_mm` behind the face, and the words."""
    figures = {"position": blade_place(work, cut_end_mm=far_mm, blade=blade, edge=edge, name=f"{edge} edge")}
    words = f"{edge} edge of the blade {place_words(work, 'position')}"
    if width_mm > blade.mm + _WIDER_MM:
        last = far_mm - width_mm + blade.mm
        figures["last"] = blade_place(work, cut_end_mm=last, blade=blade, edge=edge, name="last plunge")
        words += f", then step it over until it is {place_words(work, 'last')}"
    return figures, words


def relief_groove(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation | None:
    """Plunge the relief groove against the shoulder, in as many plunges as the blade needs."""
    if thread_work.groove is None:
        return None
    blade, edge, shoulder = work.job.setup.groove_blade, work.job.setup.groove_edge, placed.far_mm
    width, deep = thread_work.groove_width_mm, in_mm(thread_work.groove.diameter)
    places, words = plunges(work, shoulder, width, blade, edge)
    return Operation(
        key=keyed("groove", placed.section.id),
        kind="groove",
        title="Relief groove",
        sentence="Plunge the relief groove to {diameter}, " + words + ".",
        headline="diameter",
        figures={"diameter": thread_work.groove.diameter}
        | places
        | {
            "width": thread_work.groove.width,
            "dial": plunge_dial(work, thread_work.blank_mm, deep),
            "section": thread_work.groove.section_percent,
        },
        tool="grooving blade",
        edge=f"{edge} edge",
        cautions=(cautions.BLADE,),
        dimensions=(measures.relief(thread_work, deep), measures.wide(width, blade.mm)),
        acts=(Plunge(placed.section.id, Cut(shoulder, shoulder - width, thread_work.blank_mm, deep)),),
        chucking=chucking.number,
        cutter=thread_work.cut,
        makes=makes(diameter=deep, width=width),
    )


def start_groove(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation:
    """Plunge a groove in front of a thread between two shoulders: the tool starts each pass in it."""
    blade, edge = work.job.setup.groove_blade, work.job.setup.groove_edge
    deep = groove_diameter(thread_work.thread)
    wide = thread_work.start_mm
    far, deep_mm = placed.near_mm + wide, in_mm(deep)
    places, words = plunges(work, far, wide, blade, edge)
    return Operation(
        key=keyed("start-groove", placed.section.id),
        kind="groove",
        title="Groove to start in",
        sentence="Plunge a groove in front of the thread to {diameter}, " + words + ".",
        headline="diameter",
        figures={"diameter": deep} | places | {"dial": plunge_dial(work, thread_work.blank_mm, deep_mm)},
        tool="grooving blade",
        edge=f"{edge} edge",
        cautions=(cautions.BLADE,),
        dimensions=(measures.relief(thread_work, deep_mm), measures.wide(wide, blade.mm)),
        acts=(Plunge(placed.section.id, Cut(far, placed.near_mm, thread_work.blank_mm, deep_mm)),),
        chucking=chucking.number,
        cutter=thread_work.cut,
        makes=makes(diameter=deep_mm, width=wide),
    )


def slot_left(work: Work, chucking: Chucking, chamfer: Cut) -> Figure | None:
    """What a slot leaves standing, under the `chamfer` that is cut through it; None where a hole leaves it no wall."""
    through = [found.bore for found in work.bores if found.bore.depth is None and found.bore.end != "across"]
    hole, across = max(map(largest_mm, through), default=0.0), chucking.placed[-1].turned_mm
    least, most = hole + 2 * SLOT_WALL_MM, chamfer.inner_mm - 2 * SLOT_UNDER_MM
    if hole and least > most:
        return None
    unit = work.job.unit
    inputs = (
        given_mm("diameter", across, unit),
        given_mm("hole and its wall", least if hole else 0.0, unit),
        given_mm("under the chamfer", most, unit),
    )
    return Figure(
        "left uncut",
        convert(min(max(across / 2, least if hole else 0.0), most), "mm", unit),
        unit,
        "smallest of (largest of (diameter ÷ 2, hole and its wall), under the chamfer)",
        PRACTICE,
        inputs,
        fine=False,
    )


def begin_parting(work: Work, chucking: Chucking, left: Figure) -> Operation:
    """Plunge half way, so that the far edge can be chamfered while the piece still stands in its bar."""
    blade, edge = work.job.setup.parting_blade, work.job.setup.parting_edge
    far, standing = chucking.overall_mm + blade.mm, in_mm(left)
    return Operation(
        key="part-begin",
        kind="part-begin",
        title="Part half way",
        sentence=f"Plunge with the {edge} edge of the parting blade {place_words(work, 'position')} until the core is "
        f"{{left}} in diameter. Withdraw the blade.",
        headline="position",
        figures={
            "position": blade_place(work, cut_end_mm=far, blade=blade, edge=edge, name=f"{edge} edge"),
            "left": left,
            "dial": plunge_dial(work, chucking.bar_mm, standing),
            "kerf": typed("kerf", blade, fine=False),
        },
        tool="parting blade",
        edge=f"{edge} edge",
        cautions=(cautions.BLADE,),
        acts=(PartOff("", Cut(far, chucking.overall_mm, chucking.bar_mm, standing)),),
        chucking=chucking.number,
        figure_words=axis_word(work),
    )


def part_off(work: Work, chucking: Chucking, *, begun: bool) -> Operation | None:
    """Part off to length, with what the far end is faced by later; `begun` says that its slot is half way."""
    if not chucking.parted:
        return None
    blade, edge, unit = work.job.setup.parting_blade, work.job.setup.parting_edge, work.job.unit
    overall, spare = chucking.overall_mm, chucking.spare_mm
    lengths = [given_mm(f"section {p.number + 1}", p.section.length.mm, unit) for p in chucking.placed]
    lengths += [given_mm("facing of the other end", spare, unit)] if spare else []
    length = Figure(
        "parted length" if spare else "overall length",
        convert(overall + spare, "mm", unit),
        unit,
        added(lengths),
        GEOMETRY,
        (*lengths,),
        fine=False,
    )
    far = overall + spare + blade.mm
    return Operation(
        key="part-off",
        kind="part-off",
        title="Part off",
        sentence=f"Part off with the {edge} edge of the blade {place_words(work, 'position')}: "
        "the piece is {length} long.",
        headline="position",
        figures={
            "position": blade_place(work, cut_end_mm=far, blade=blade, edge=edge, name=f"{edge} edge"),
            "length": length,
            "kerf": typed("kerf", blade, fine=False),
        },
        tool="parting blade",
        edge=f"{edge} edge",
        cautions=(cautions.PART_OFF,),
        notes=(
            *((CENTRE_BACK,) if chucking.centred else ()),
            *(() if spare or begun else (UNBROKEN,)),
            *(() if spare else (PIP, *((OTHER_MOUTH,) if work.part.tapped_through else ()))),
        ),
        dimensions=(_as_parted(overall, spare),),
        acts=(PartOff("", Cut(far, overall + spare, chucking.bar_mm, 0.0), _opens(work, spare)),),
        chucking=chucking.number,
        figure_words=axis_word(work),
        makes=makes(length=overall + spare),
    )


def _opens(work: Work, spare_mm: float) -> bool:
    """Whether the blade comes out in a plain hole right through, at an end that is not faced again."""
    through = any(bore.depth is None and bore.end != "across" for bore in work.part.bores)
    return through and not spare_mm and not work.part.tapped_through


def _as_parted(overall_mm: float, spare_mm: float) -> Dimension:
    """How long the piece is once it is off: whole, or with what its other end is faced by."""
    length = overall_mm + spare_mm
    high = length + measures.DEEPER_MM if spare_mm else None
    return measures.overall(length, length + measures.SHOULDER_MM, high_mm=high)
