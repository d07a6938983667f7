"""One thread in another: how far a nut goes on a bolt it was not made for before it binds."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import Literal

from lathework.errors import InputError
from lathework.figures import Figure, Given, Source
from lathework.threads.limits import external_limits, internal_limits
from lathework.threads.standards.bands import ExternalLimits, InternalLimits
from lathework.threads.thread import Thread
from lathework.units import convert

VIRTUAL = Source("practice", "virtual pitch diameter: lead and flank errors as diameter, by plane geometry")
USUAL_NUT_DIAMETERS = 0.8
"""Height of a usual nut in bolt diameters (practice)."""
SAME_PITCH_MM = 1e-6
THIN_OVERLAP = 60.0
"""Per cent of the basic overlap under which the threads hold on their crests only (practice)."""
Meets = Literal["fits", "goes-on", "binds", "will-not-start", "nothing-holds"]
Pair = Literal["tightest", "middle", "loosest"]


@dataclass(frozen=True, slots=True)
class Sizes:
    """Diameters in millimetres at one place within the limits."""

    major: float
    pitch_diameter: float
    minor: float


@dataclass(frozen=True, slots=True)
class Meeting:
    """A bolt and a nut at one pair of sizes: the room between them and the threads engaged before they bind.

    `threads` is None when they never bind; 0 when they do not start.
    """

    pair: Pair
    bolt: Sizes
    nut: Sizes
    clearance: Figure
    threads: float | None


@dataclass(frozen=True, slots=True)
class Mating:
    """The verdict on a nut of one thread on a bolt of another, with its figures; lengths in millimetres."""

    bolt: Thread
    nut: Thread
    meetings: tuple[Meeting, ...]
    pitch_mismatch: Figure
    flank_mismatch: Figure
    crest_room: Figure
    overlap: Figure
    verdict: Meets
    sentence: str


def _mm(thread: Thread, value: float) -> float:
    return convert(value, thread.unit, "mm")


def _bolt_sizes(thread: Thread, limits: ExternalLimits) -> dict[Pair, Sizes]:
    major, across, minor = limits.major, limits.pitch_diameter, limits.minor_max.value
    root = _mm(thread, minor)
    return {
        "tightest": Sizes(_mm(thread, major.maximum), _mm(thread, across.maximum), root),
        "middle": Sizes(_mm(thread, major.middle), _mm(thread, across.middle), root),
        "loosest": Sizes(_mm(thread, major.minimum), _mm(thread, across.minimum), root),
    }


def _nut_sizes(thread: Thread, limits: InternalLimits) -> dict[Pair, Sizes]:
    major, across, minor = limits.major_min.value, limits.pitch_diameter, limits.minor
    root = _mm(thread, major)
    return {
        "tightest": Sizes(root, _mm(thread, across.minimum), _mm(thread, minor.minimum)),
        "middle": Sizes(root, _mm(thread, across.middle), _mm(thread, minor.middle)),
        "loosest": Sizes(root, _mm(thread, across.maximum), _mm(thread, minor.maximum)),
    }


def flank_mismatch(bolt: Thread, nut: Thread, overlap_mm: float) -> Figure:
    """What unequal flanks take of the clearance, as diameter: overlap x |tan a1 - tan a2| / tan(mean half angle).

    `overlap_mm` is the depth on one side over which the flanks face each other.
    """
    a, b = (math.tan(math.radians(t.form.angle_deg / 2)) for t in (bolt, nut))
    return Figure(
        "taken by unequal flanks",
        max(0.0, overlap_mm) * abs(a - b) / ((a + b) / 2),
        "mm",
        "largest of (0, overlap) × 2 × (largest of (a, b) − smallest of (a, b)) ÷ (a + b)",
        VIRTUAL,
        (
            Given("overlap", overlap_mm, "mm"),
            Given("a", a),
            Given("b", b),
        ),
        note="a and b are the tangents of half the flank angles of bolt and nut.",
    )


def _meet(pair: Pair, bolt: Thread, nut: Thread, outside: Sizes, inside: Sizes, mismatch_mm: float) -> Meeting:
    overlap = (outside.major - inside.minor) / 2
    taken = flank_mismatch(bolt, nut, overlap).value
    at_flanks = inside.pitch_diameter - outside.pitch_diameter - taken
    at_crests = inside.major - outside.major
    room = at_flanks if overlap > 0 else inside.minor - outside.major
    starts = room >= 0 and (overlap <= 0 or at_crests >= 0)
    tangent = math.fsum(math.tan(math.radians(t.form.angle_deg / 2)) for t in (bolt, nut)) / 2
    threads: float | None = None
    if not starts:
        threads = 0.0
    elif mismatch_mm > SAME_PITCH_MM and overlap > 0:
        threads = room * tangent / mismatch_mm
    clearance = Figure(
        f"clearance at the flanks, {pair} pair",
        at_flanks,
        "mm",
        "nut's pitch diameter − bolt's pitch diameter − taken by unequal flanks",
        VIRTUAL,
        (
            Given("nut's pitch diameter", inside.pitch_diameter, "mm"),
            Given("bolt's pitch diameter", outside.pitch_diameter, "mm"),
            Given("taken by unequal flanks", taken, "mm"),
        ),
        note="Negative: they do not pass." if at_flanks < 0 else "",
    )
    return Meeting(pair, outside, inside, clearance, threads)


def _crest_room(outside: Sizes, inside: Sizes) -> Figure:
    """Room over the bolt's crests at the loosest, on the diameter; negative, and the nut cannot start."""
    return Figure(
        "clearance over the crests, loosest pair",
        inside.major - outside.major,
        "mm",
        "nut's major − bolt's major",
        VIRTUAL,
        (Given("nut's major", inside.major, "mm"), Given("bolt's major", outside.major, "mm")),
        note=("Negative: the crests of the bolt are larger than the room in the nut.")
        if inside.major < outside.major
        else "",
    )


def _turns(threads: float) -> str:
    if threads < 1:
        return "a fraction of a turn"
    return f"about {threads:.1f} turns" if threads < 10 else "10 turns or more"


def _judge(
    bolt: Thread, nut: Thread, meetings: tuple[Meeting, ...], overlap: float, mismatch: float
) -> tuple[Meets, str]:
    """The verdict and its sentence: plain, and never an invitation to force."""
    the_nut, the_bolt = f"The {nut.designation} nut", f"the {bolt.designation} bolt"
    tight, loose = meetings[0].threads, meetings[-1].threads
    needed = USUAL_NUT_DIAMETERS * bolt.major_mm / bolt.pitch_mm
    if bolt.hand != nut.hand:
        return "will-not-start", f"{the_nut} does not start on {the_bolt}: one is left-hand. Do not force it."
    if overlap <= 0:
        return "nothing-holds", f"{the_nut} slips over {the_bolt}: no thread holds. Do not use it."
    if loose == 0:
        return "will-not-start", f"{the_nut} does not start on {the_bolt}, even at the loosest. Do not force it."
    if loose is not None and loose < needed:
        least = "does not start" if not tight else f"binds after {_turns(tight)}"
        return "binds", (
            f"{the_nut} on {the_bolt}: the tightest pair {least}, the loosest binds after {_turns(loose)}. Do "
            "not force it."
        )
    if overlap < THIN_OVERLAP:
        return "goes-on", f"{the_nut} goes on {the_bolt} but holds only on the crests: it strips. Do not use it."
    if bolt.form.angle_deg == nut.form.angle_deg and mismatch <= SAME_PITCH_MM and tight is None:
        return "fits", f"{the_nut} fits {the_bolt}."
    why = "unequal flanks" if bolt.form.angle_deg != nut.form.angle_deg else "sizes that were not made for each other"
    return "goes-on", f"{the_nut} may go on {the_bolt} with {why}: it bears on edges. Do not load it."


def mate(bolt: Thread, nut: Thread, *, bolt_class: str = "", nut_class: str = "") -> Mating:
    """How a nut of one thread goes on a bolt of another, at the tightest, middle and loosest of their classes.

    A lead difference e over n threads takes n e cot(a/2) of the clearance on the pitch diameter, so it binds after
    clearance x tan(a/2) / e threads. Raises InputError on "bolt" or "nut" for a thread without limits (a taper).
    """
    outside = external_limits(bolt, bolt_class, field="bolt_class")
    inside = internal_limits(nut, nut_class, field="nut_class")
    for thread, limits, field in ((bolt, outside, "bolt"), (nut, inside, "nut")):
        if limits is None:
            raise InputError("no-limits", field, f"{thread.designation} has no limits to compare with another thread.")
    assert outside is not None and inside is not None
    mismatch = abs(_mm(bolt, bolt.lead) - _mm(nut, nut.lead))
    bolts, nuts = _bolt_sizes(bolt, outside), _nut_sizes(nut, inside)
    meetings = tuple(_meet(pair, bolt, nut, bolts[pair], nuts[pair], mismatch) for pair in bolts)
    depth = (bolt.major_mm - bolt.minor_mm) / 2
    overlap = Figure(
        "overlap, of the bolt's depth",
        100 * (bolts["middle"].major - nuts["middle"].minor) / 2 / depth,
        "%",
        "100 × (bolt's major − nut's minor) ÷ 2 ÷ depth of thread",
        VIRTUAL,
        (
            Given("bolt's major", bolts["middle"].major, "mm"),
            Given("nut's minor", nuts["middle"].minor, "mm"),
            Given("depth of thread", depth, "mm"),
        ),
    )
    verdict, sentence = _judge(bolt, nut, meetings, overlap.value, mismatch)
    middle_overlap = (bolts["middle"].major - nuts["middle"].minor) / 2
    return Mating(
        bolt=bolt,
        nut=nut,
        meetings=meetings,
        pitch_mismatch=Figure(
            "out of step by, each turn",
            mismatch,
            "mm",
            "largest of (bolt's lead, nut's lead) − smallest of (bolt's lead, nut's lead)",
            VIRTUAL,
            (Given("bolt's lead", bolt.lead, bolt.unit), Given("nut's lead", nut.lead, nut.unit)),
        ),
        flank_mismatch=flank_mismatch(bolt, nut, middle_overlap),
        crest_room=_crest_room(bolts["loosest"], nuts["loosest"]),
        overlap=overlap,
        verdict=verdict,
        sentence=sentence,
    )
