"""Reads a job document (format "conch-job", version 3; older ones are lifted first), with every error beside its field.

The published schema is docs/formats/job-3.schema.json. Lengths stay text as typed ("5/8", "12 mm"), so that
nothing a person wrote is lost; a bare number is in the job's own unit.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Any, TypeVar

from lathework.cautions import HAZARDS
from lathework.cutting.blank import SCHOOLS
from lathework.cutting.cuts import LATHES
from lathework.cutting.mate_blank import Mate, why_no_mate
from lathework.cutting.next_cut import DIALS
from lathework.errors import InputError, InvalidDocument
from lathework.holes.depth import HIGHEST_PERCENT, LOWEST_PERCENT
from lathework.identify.evidence import FIELDS
from lathework.job.model import FINISHES, ORDERS, READOUTS, SUPPORTS, Identification, Job, Method, Setup
from lathework.job.part_document import check_grooves, read_part
from lathework.job.upgrade import upgraded
from lathework.lengths import Span
from lathework.methods.die import HOLDERS
from lathework.methods.reversing import MOUNTS
from lathework.methods.tap import TAPPINGS
from lathework.part.model import EDGES, Part
from lathework.reader import Reader
from lathework.shop.metals import Material, materials
from lathework.shop.racks import owned
from lathework.units import LENGTH_UNITS

_Choice = TypeVar("_Choice", bound=str)
FORMAT, VERSION = "conch-job", 3
KEYS = (
    *("format", "version", "title", "needed_by", "fits", "quantity", "unit", "material", "hazards"),
    *("part", "others", "method", "setup", "notes", "identified", "record"),
)
OTHER_KEYS = ("fits", "quantity", "material", "method", "part")
"""What a further part of the job says for itself."""
METHOD_KEYS = (
    *("blank_school", "blank_fraction", "finish", "holder", "order", "support", "tapping", "percent"),
    *("overruled", "mate_minor", "mate_pitch"),
)
IDENTIFIED_KEYS = ("evidence", "probability")
SETUP_KEYS = (
    *("dial", "readout", "lathe", "run_down"),
    *("groove_blade", "groove_edge", "parting_blade", "parting_edge", "drills", "mount"),
)
LONGEST_NOTE, MOST_PIECES, MOST_OTHERS = 2000, 500, 5
BLADE = Span("A blade width", 0.4, 8)
BORE, FLANKS = Span("The mate's bore", 0.3, 300), Span("The mate's pitch diameter", 0.3, 300)
RUN_DOWN_TURNS, MOST_RUN_DOWN = 1.0, 200.0
"""Turns a spindle in back gear runs on after it is switched off, where nothing was said (practice)."""


def _identified(reader: Reader) -> Identification | None:
    """How the thread was identified, when it was; missing or null when it was not."""
    if reader.raw("identified") is None:
        return None
    reader.section("identified", IDENTIFIED_KEYS)
    reader.section("identified.evidence", FIELDS)
    told = [(field, reader.text(f"identified.evidence.{field}")) for field in FIELDS]
    probability = reader.raw("identified.probability")
    sound = isinstance(probability, int | float) and not isinstance(probability, bool)
    if not sound or not 0 <= probability <= 1:
        reader.fail("out-of-range", "identified.probability", "A probability is a number from 0 to 1.")
        return None
    return Identification(tuple((field, text) for field, text in told if text), float(probability))


def _head(reader: Reader) -> None:
    if reader.raw("format") != FORMAT:
        reader.fail("wrong-format", "format", f"This is no job file: format must be “{FORMAT}”.", (FORMAT,))
    version = reader.raw("version")
    if version != VERSION or isinstance(version, bool):
        reader.fail("wrong-version", "version", f"Version {VERSION} is read here.", (str(VERSION),))
    reader.section("", KEYS)
    for name, keys in (("method", METHOD_KEYS), ("setup", SETUP_KEYS)):
        reader.section(name, keys)


def _one(reader: Reader, field: str, allowed: tuple[_Choice, ...], default: _Choice | None = None) -> _Choice:
    chosen = reader.choice(field, allowed, default)
    return next(one for one in allowed if one == chosen)


def _percent(reader: Reader) -> float | None:
    """Per cent thread wanted in a hole; None where nothing is typed."""
    if not reader.text("method.percent"):
        return None
    hint = "A per cent of thread, such as 70,"
    return reader.number("method.percent", LOWEST_PERCENT, LOWEST_PERCENT, HIGHEST_PERCENT, hint)


def _drills(reader: Reader) -> str:
    """The drills owned, as typed: a list that can be read."""
    text = reader.text("setup.drills", longest=LONGEST_NOTE)
    try:
        owned(text, reader.unit)
    except InputError as error:
        reader.note(error.at("setup.drills"))
    return text


def _mate(reader: Reader, part: Part | None) -> Mate | None:
    """The mate of the first thread as it was measured: both of its sizes, or neither."""
    fields = ("method.mate_minor", "method.mate_pitch")
    missing = [field for field in fields if not reader.text(field)]
    if len(missing) == 1:
        reader.fail("empty", missing[0], "Measure both of the mate's sizes, or neither.")
    if missing:
        return None
    bore, flanks = reader.length(fields[0], BORE), reader.length(fields[1], FLANKS)
    outside = next((section.thread for section in part.sections if section.thread), None) if part is not None else None
    if bore is None or flanks is None or outside is None:
        return None
    mate = Mate(bore, flanks)
    why = why_no_mate(outside, mate)
    if why:
        reader.fail("no-mate", fields[1], why)
    return mate


def _method(reader: Reader, metal: Material, part: Part | None) -> Method:
    return Method(
        blank_school=_one(reader, "method.blank_school", SCHOOLS),
        blank_fraction=reader.fraction("method.blank_fraction", metal.blank_fraction),
        finish=_one(reader, "method.finish", FINISHES),
        holder=_one(reader, "method.holder", HOLDERS),
        order=_one(reader, "method.order", ORDERS, "from-the-bar"),
        support=_one(reader, "method.support", SUPPORTS, "chuck"),
        tapping=_one(reader, "method.tapping", TAPPINGS, "by-centre"),
        percent=_percent(reader),
        overruled=reader.text("method.overruled"),
        mate=_mate(reader, part),
        fraction_asked=bool(reader.text("method.blank_fraction")),
    )


def _setup(reader: Reader) -> Setup | None:
    blade, parting = reader.length("setup.groove_blade", BLADE), reader.length("setup.parting_blade", BLADE)
    facts: dict[str, Any] = {
        "dial": _one(reader, "setup.dial", DIALS),
        "readout": _one(reader, "setup.readout", READOUTS, "readout"),
        "lathe": _one(reader, "setup.lathe", LATHES, "middling"),
        "run_down_turns": reader.number(
            "setup.run_down", RUN_DOWN_TURNS, 0, MOST_RUN_DOWN, "Turns the spindle runs on, such as 1.5,"
        ),
        "groove_edge": _one(reader, "setup.groove_edge", EDGES, "left"),
        "parting_edge": _one(reader, "setup.parting_edge", EDGES, "left"),
        "drills": _drills(reader),
        "mount": _one(reader, "setup.mount", MOUNTS, "unsaid"),
    }
    return None if blade is None or parting is None else Setup(groove_blade=blade, parting_blade=parting, **facts)


def _shared(reader: Reader) -> dict[str, Any]:
    """What all parts of a job have in common; a set-up that cannot be used is None."""
    return {
        "title": reader.text("title", required=True),
        "needed_by": reader.text("needed_by"),
        "unit": _one(reader, "unit", LENGTH_UNITS),
        "hazards": reader.several("hazards", HAZARDS),
        "setup": _setup(reader),
        "notes": reader.text("notes", longest=LONGEST_NOTE),
    }


def _job(reader: Reader, part: Part | None, shared: dict[str, Any]) -> Job | None:
    """The job of one part, or None with what is wrong noted in `reader`."""
    metal = materials()[reader.choice("material", tuple(materials()))]
    setup = shared["setup"]
    own: dict[str, Any] = {
        "fits": reader.text("fits"),
        "quantity": reader.whole("quantity", 1, MOST_PIECES),
        "material": metal,
        "method": _method(reader, metal, part),
        "identified": _identified(reader),
    }
    if part is not None and setup is not None and own["method"].finish == "groove":
        check_grooves(reader, part, setup.groove_blade)
    return None if reader.errors or part is None or setup is None else Job(part=part, **own, **shared)


def _other(reader: Reader, number: int, shared: dict[str, Any]) -> Job | None:
    """A further part, read as a job of its own; metal, method and count that it does not say are the first part's."""
    path = f"others.{number}"
    reader.section(path, OTHER_KEYS)
    own = reader.raw(path)
    if not isinstance(own, dict):
        return None
    alone = Reader({**reader.document, "fits": "", "identified": None, "part": None} | own)
    alone.section("method", METHOD_KEYS)
    job = _job(alone, read_part(alone), shared)
    reader.take(alone, path)
    return job


def _others(reader: Reader, shared: dict[str, Any]) -> tuple[Job, ...]:
    if reader.raw("others") is None:
        return ()
    found = [_other(reader, number, shared) for number in range(reader.rows("others", MOST_OTHERS))]
    return tuple(job for job in found if job is not None)


def _check_part_ids(reader: Reader, jobs: tuple[Job, ...]) -> None:
    """Each part of a job has an id of its own."""
    ids = [job.part.id for job in jobs]
    for number, own in enumerate(ids):
        if own in ids[:number]:
            text = f"Another part of this job is “{own}” already."
            reader.fail("doubled-id", f"others.{number - 1}.part.id", text)


def read_document(document: object) -> Job:
    """Read a job document of version 3, or an older one. Raises InvalidDocument with every field that will not do."""
    if not isinstance(document, Mapping):
        raise InvalidDocument((InputError("wrong-type", "", "A job file is a JSON object."),))
    reader = Reader(upgraded(document))
    _head(reader)
    part = read_part(reader)
    shared = _shared(reader)
    job = _job(reader, part, shared)
    others = _others(reader, shared)
    if job is not None:
        _check_part_ids(reader, (job, *others))
    if reader.errors or job is None:
        raise reader.invalid()
    return replace(job, others=others) if others else job
