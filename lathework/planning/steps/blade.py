"""Plunging: necks, relief grooves, parting off; and flats, which are milled after the lathe."""

from __future__ import annotations

from lathework import cautions
from lathework.figures import GEOMETRY, PRACTICE, Figure, Given, added
from lathework.lengths import Length
from lathework.part.bore_sizes import largest_mm
from lathework.part.model import MILLED
from lathework.part.stock import ACROSS_FLATS, depth_per_flat, largest_across_flats
from lathework.planning.chucking import Chucking, Grip, Placed
from lathework.planning.operation import Cut, Operation, keyed, makes
from lathework.planning.positions import axis_word, blade_place, given_mm, place_words, plunge_dial, typed
from lathework.planning.work import ThreadWork, Work, in_mm
from lathework.units import convert

_WIDER_MM = 0.01
UNBROKEN = "Too thin to be chamfered behind: break the parted edge with a fine file, its handle on."
PIP = "File off the pip that parting leaves, the file's handle on."
CENTRE_BACK = "Draw the centre back before the blade is through: pushed on, the piece jams it."
SLOT_WALL_MM, SLOT_UNDER_MM = 1.0, 0.5
"""Least metal round a hole when a slot is begun, and how far the slot goes under the chamfer, each side (practice)."""
OTHER_MOUTH = "Countersink the thread's mouth on this side too, in the vise or the drill press."


def _plunges(work: Work, far_mm: float, width_mm: float, blade: Length, edge: str) -> tuple[dict[str, Figure], str]:
    """Positions of the first and the last plunge of a groove that ends `far_mm` behind the face, and the words."""
    figures = {"position": blade_place(work, cut_end_mm=far_mm, blade=blade, edge=edge, name=f"{edge} edge")}
    words = f"{edge} edge of the blade {place_words(work, 'position')}"
    if width_mm > blade.mm + _WIDER_MM:
        last = far_mm - width_mm + blade.mm
        figures["last"] = blade_place(work, cut_end_mm=last, blade=blade, edge=edge, name="last plunge")
        words += f", and step it over until it stands {place_words(work, 'last')}"
    return figures, words


def relief_groove(work: Work, chucking: Chucking, placed: Placed, thread_work: ThreadWork) -> Operation | None:
    """Plunge the relief groove against the shoulder, in as many plunges as the blade needs."""
    if thread_work.groove is None:
        return None
    blade, edge, shoulder = work.job.setup.groove_blade, work.job.setup.groove_edge, placed.far_mm
    width, deep = thread_work.groove_width_mm, in_mm(thread_work.groove.diameter)
    places, words = _plunges(work, shoulder, width, blade, edge)
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
        cut=Cut(shoulder, shoulder - width, thread_work.blank_mm, deep),
        chucking=chucking.number,
        makes=makes(diameter=deep, width=width),
    )


def neck(work: Work, chucking: Chucking, placed: Placed) -> Operation | None:
    """Plunge a section that is smaller than one nearer the face."""
    before = [p.turned_mm for p in chucking.made if p.near_mm < placed.near_mm]
    across = placed.section.across
    start = max(before, default=0.0)
    if across is None or placed.thread is not None or start <= placed.turned_mm + _WIDER_MM:
        return None
    blade, edge = work.job.setup.groove_blade, work.job.setup.groove_edge
    width = placed.far_mm - placed.near_mm
    places, words = _plunges(work, placed.far_mm, width, blade, edge)
    return Operation(
        key=keyed("neck", placed.section.id),
        kind="neck",
        title="Plunge the neck",
        sentence="Plunge to {diameter}, " + words + ".",
        headline="diameter",
        figures={"diameter": typed("diameter", across, fine=True)}
        | places
        | {"dial": plunge_dial(work, start, placed.turned_mm)},
        tool="grooving blade",
        edge=f"{edge} edge",
        cautions=(cautions.BLADE,),
        cut=Cut(placed.far_mm, placed.near_mm, start, placed.turned_mm),
        chucking=chucking.number,
        makes=makes(diameter=placed.turned_mm, length=width),
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
        "left standing",
        convert(min(max(across / 2, least if hole else 0.0), most), "mm", unit),
        unit,
        "least of (greatest of (diameter ÷ 2, hole and its wall), under the chamfer)",
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
        sentence=f"Plunge with the {edge} edge of the parting blade {place_words(work, 'position')} until {{left}} is "
        "left, and draw it out again.",
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
        cut=Cut(far, chucking.overall_mm, chucking.bar_mm, standing),
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
        cut=Cut(far, overall + spare, chucking.bar_mm, 0.0),
        chucking=chucking.number,
        figure_words=axis_word(work),
        makes=makes(length=overall + spare),
    )


def mill_flats(work: Work, chucking: Chucking, placed: Placed, grip: Grip) -> Operation:
    """Mill the flats of a section in a collet block: the same cut at each."""
    across, shape = placed.section.across, placed.section.shape
    assert across is not None
    stock = work.part.stock
    start = stock.across.mm if stock.form in ("hexagon", "square") else placed.turned_mm
    count = MILLED[shape]
    block = "hexagonal" if count == 6 else "square"
    unit = work.job.unit
    guard = "screwed into a split bush " if grip.on_thread else ""
    figures: dict[str, Figure] = {"across": typed("across flats", across, fine=True)}
    if stock.form == "round" and count in ACROSS_FLATS:
        figures["largest"] = largest_across_flats(count, stock.across.mm, unit)
    return Operation(
        key=keyed("flats", placed.section.id),
        kind="flats",
        title={"hexagon": "Mill the hexagon", "square": "Mill the square"}.get(shape, "Mill the two flats"),
        sentence=f"Hold the piece {guard}by {grip.words} in the {block} collet block. Mill " + "{count} over {length}, "
        "{depth} deep at each: {across} across.",
        headline="across",
        figures=figures
        | {
            "depth": depth_per_flat(start, across.mm, unit),
            "count": Figure("flats", count, "flat", "by the shape", GEOMETRY, kind="table"),
            "length": typed("length", placed.section.length, fine=False)
            if placed.section.length.typed
            else Figure(
                "length",
                convert(placed.far_mm - placed.near_mm, "mm", unit),
                unit,
                "overall length − the other sections",
                GEOMETRY,
                (
                    given_mm("overall length", chucking.overall_mm, unit),
                    given_mm("the other sections", chucking.overall_mm - placed.far_mm + placed.near_mm, unit),
                ),
                fine=False,
            ),
            "index": Figure("turn the block by", 360 / count, "°", "360 ÷ flats", GEOMETRY, (Given("flats", count),)),
        },
        tool="end mill, collet block in the vise",
        edge="",
        cautions=(cautions.MILLING,),
        notes=(
            "Measure after the second, opposite flat, and correct the depth by half of what is left.",
            "No mill? File them against rollers set to the depth, spindle locked at each flat.",
        ),
        cut=Cut(placed.far_mm, placed.near_mm, start, across.mm),
        chucking=chucking.number,
        makes=makes(shape=shape, across=across.mm, length=placed.far_mm - placed.near_mm),
    )
