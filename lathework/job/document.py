"""Reads a job document (format "conch-job", version 3; older ones are lifted first), with every error beside its field.

The published schema is docs/formats/job-3.schema.json. Lengths stay text as typed ("5/8", "12 mm"), so that
nothing a person wrote is lost; a bare number is in the job's own unit.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from typing import Any

from lathework.cutting.mate_blank import Mate, why_no_mate
from lathework.errors import InputError, InvalidDocument
from lathework.holes.depth import LOWEST_PERCENT
from lathework.identify.evidence import FIELDS
from lathework.job.declaration import FORMAT, IDENTIFIED, JOB, VERSION
from lathework.job.model import Head, Identification, Job, Method, Setup
from lathework.job.reading.job_reader import JobReader
from lathework.job.reading.part_document import read_part
from lathework.job.reading.thread_checks import check_grooves, check_heads, check_rest
from lathework.job.reading.upgrade import upgraded
from lathework.job.sound import unsound
from lathework.part.model import Part
from lathework.part.relief import relieved
from lathework.shop.dial import check_dial
from lathework.shop.lathe_facts import RUN_DOWN_TURNS
from lathework.shop.leadscrew import read_lead, read_leads
from lathework.shop.metals import Material, materials
from lathework.shop.racks import owned

JAWS = "Chuck jaws close a die and may crack it, and the thread comes out small. To do it anyway, give a reason."


def _identified(reader: JobReader) -> Identification | None:
    """How the thread was identified, when it was; missing or null when it was not."""
    if reader.raw("identified") is None:
        return None
    reader.section("identified", IDENTIFIED.keys)
    reader.section("identified.evidence", FIELDS)
    told = [(field, reader.text(f"identified.evidence.{field}")) for field in FIELDS]
    probability = reader.raw("identified.probability")
    sound = isinstance(probability, int | float) and not isinstance(probability, bool)
    if not sound or not 0 <= probability <= 1:
        reader.fail("out-of-range", "identified.probability", "A probability is a number from 0 to 1.")
        return None
    return Identification(tuple((field, text) for field, text in told if text), float(probability))


def _head(reader: JobReader) -> None:
    if reader.raw("format") != FORMAT:
        reader.fail("wrong-format", "format", f"This is not a job file: its format must be “{FORMAT}”.", (FORMAT,))
    version = reader.raw("version")
    if version != VERSION or isinstance(version, bool):
        reader.fail("wrong-version", "version", f"This Conch reads version {VERSION}.", (str(VERSION),))
    for name in ("", "method", "setup"):
        reader.known(name)


def _percent(reader: JobReader) -> float | None:
    """Per cent thread wanted in a hole; None where nothing is typed."""
    if not reader.text("method.percent"):
        return None
    return reader.share("method.percent", LOWEST_PERCENT)


def _drills(reader: JobReader, path: str) -> str:
    """Drills as typed: a list that can be read."""
    text = reader.line(path)
    try:
        owned(text, reader.unit)
    except InputError as error:
        reader.note(error.at(path))
    return text


def _mate(reader: JobReader, part: Part | None) -> Mate | None:
    """The mate of the first thread as it was measured: both of its sizes, or neither."""
    fields = ("method.mate_minor", "method.mate_pitch")
    missing = [field for field in fields if not reader.text(field)]
    if len(missing) == 1:
        reader.fail("empty", missing[0], "Give both sizes of the mating part, or neither.")
    if missing:
        return None
    bore, flanks = reader.size(fields[0]), reader.size(fields[1])
    outside = next((section.thread for section in part.sections if section.thread), None) if part is not None else None
    if bore is None or flanks is None or outside is None:
        return None
    mate = Mate(bore, flanks)
    why = why_no_mate(outside, mate)
    if why:
        reader.fail("no-mate", fields[1], why)
    return mate


def _method(reader: JobReader, metal: Material, part: Part | None) -> Method:
    because = reader.line("method.because")
    if reader.chosen("method.holder") == "chuck-jaws" and not because:
        reader.fail("last-resort", "method.because", JAWS)
    return Method(
        blank_school=reader.chosen("method.blank_school"),
        blank_fraction=reader.share("method.blank_fraction", metal.blank_fraction),
        finish=reader.chosen("method.finish"),
        holder=reader.chosen("method.holder"),
        order=reader.chosen("method.order"),
        batch=reader.chosen("method.batch"),
        dear=reader.chosen("method.dear"),
        support=reader.chosen("method.support"),
        tapping=reader.chosen("method.tapping"),
        percent=_percent(reader),
        because=because,
        overruled=reader.line("method.overruled"),
        mate=_mate(reader, part),
        infeed=reader.chosen("method.infeed"),
        point=reader.chosen("method.point"),
        tip=reader.size("method.tip"),
        milling=reader.chosen("method.milling"),
        lubricant=reader.line("method.lubricant"),
        fraction_asked=bool(reader.text("method.blank_fraction")),
    )


def _pitching(reader: JobReader) -> dict[str, Any]:
    """What cuts a pitch: the leadscrew, the wheels that turn it, its dial; the die head."""
    screw = reader.made("setup.leadscrew", reader.line("setup.leadscrew"), read_lead)
    gives = reader.made("setup.gearbox", reader.line("setup.gearbox"), read_leads) or ()
    gears = tuple(int(teeth) for teeth in reader.bare("setup.gears"))
    dial = {name: int(reader.share(f"setup.{name}", 0)) for name in ("dial_teeth", "dial_lines")}
    check_dial(reader, dial["dial_teeth"], dial["dial_lines"], "setup.")
    head = Head(*(reader.size(f"setup.head_{name}") for name in ("least", "most", "hollow", "overrun", "graduation")))
    return {"leadscrew": screw, "gearbox": gives, "gears": gears, "head": head, **dial}


def _setup(reader: JobReader, _: str) -> Setup | None:
    blade, parting = reader.size("setup.groove_blade"), reader.size("setup.parting_blade")
    facts: dict[str, Any] = {
        "dial": reader.chosen("setup.dial"),
        "readout": reader.chosen("setup.readout"),
        "tools": reader.chosen("setup.tools"),
        "lathe": reader.chosen("setup.lathe"),
        "run_down_turns": reader.share("setup.run_down", RUN_DOWN_TURNS),
        "groove_edge": reader.chosen("setup.groove_edge"),
        "parting_edge": reader.chosen("setup.parting_edge"),
        "drills": _drills(reader, "setup.drills"),
        "mount": reader.chosen("setup.mount"),
        "machine": reader.line("setup.machine"),
        "speeds": reader.bare("setup.speeds"),
        "bore": reader.size("setup.bore"),
        "rack": _drills(reader, "setup.rack"),
    } | _pitching(reader)
    return None if blade is None or parting is None else Setup(groove_blade=blade, parting_blade=parting, **facts)


def _shared(reader: JobReader) -> dict[str, Any]:
    """What all parts of a job have in common; a set-up that cannot be used is None."""
    return {
        "title": reader.line("title"),
        "needed_by": reader.line("needed_by"),
        "unit": reader.chosen("unit"),
        "hazards": reader.some("hazards"),
        "setup": reader.remembered("setup", _setup),
        "notes": reader.line("notes"),
        "becomes": reader.line("becomes"),
    }


def _job(reader: JobReader, part: Part | None, shared: dict[str, Any]) -> Job | None:
    """The job of one part, or None with what is wrong noted in `reader`."""
    metal = materials()[reader.chosen("material")]
    setup = shared["setup"]
    own: dict[str, Any] = {
        "fits": reader.line("fits"),
        "quantity": reader.pieces("quantity"),
        "material": metal,
        "method": _method(reader, metal, part),
        "identified": _identified(reader),
    }
    grooved = own["method"].finish == "groove"
    if part is not None and setup is not None and grooved and not reader.errors:
        part = relieved(part, setup.groove_blade)
        check_rest(reader, part)
    if part is not None and setup is not None:
        check_heads(reader, part, setup, metal, grooved=grooved)
        check_grooves(reader, part, setup.groove_blade, grooved=grooved)
    return None if reader.errors or part is None or setup is None else Job(part=part, **own, **shared)


def _whole(reader: JobReader, _: str, shared: tuple[tuple[str, Any], ...]) -> Job | None:
    """A further part as a job of its own; all that its document says is its own, but for what is shared."""
    return _job(reader, read_part(reader), dict(shared))


def _other(reader: JobReader, number: int, shared: dict[str, Any]) -> Job | None:
    """A further part, read as a job of its own; metal, method and count that it does not say are the first part's."""
    path = f"others.{number}"
    reader.known(path)
    own = reader.raw(path)
    if not isinstance(own, dict):
        return None
    alone = JobReader({**reader.document, "fits": "", "identified": None, "part": None, "others": None} | own)
    alone.known("method")
    job = alone.remembered("", _whole, tuple(shared.items()))
    reader.take(alone, path)
    return job


def _others(reader: JobReader, shared: dict[str, Any]) -> tuple[Job, ...]:
    if reader.raw("others") is None:
        return ()
    found = [_other(reader, number, shared) for number in range(reader.count("others"))]
    return tuple(job for job in found if job is not None)


def _check_part_ids(reader: JobReader, jobs: tuple[Job, ...]) -> None:
    """Each part of a job has an id of its own."""
    ids = [job.part.id for job in jobs]
    for number, own in enumerate(ids):
        if own in ids[:number]:
            text = f"Another part of this job already has the id “{own}”."
            reader.fail("doubled-id", f"others.{number - 1}.part.id", text)


def read_document(document: object) -> Job:
    """Read a job document of version 3, or an older one. Raises InvalidDocument with every field that will not do."""
    if not isinstance(document, Mapping):
        raise InvalidDocument((InputError("wrong-type", "", "A job file is a JSON object."),))
    reader = JobReader(upgraded(document))
    _head(reader)
    part = read_part(reader)
    shared = _shared(reader)
    job = _job(reader, part, shared)
    others = _others(reader, shared)
    if job is not None:
        _check_part_ids(reader, (job, *others))
    told = {error.field for error in reader.errors}
    for error in unsound(JOB, reader.document):
        if error.field not in told:
            reader.note(error)
    if reader.errors or job is None:
        raise reader.invalid()
    return replace(job, others=others) if others else job
