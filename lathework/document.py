"""Reads a job document (format "conch-job", version 1) and reports every field that cannot be used.

The published schema is docs/formats/job-1.schema.json. Lengths stay text as typed ("5/8", "12 mm"), so that
nothing a person wrote is lost; a bare number is in the job's own unit.
"""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from lathework.errors import InputError, InvalidDocument
from lathework.fields import Reader
from lathework.identify.evidence import FIELDS
from lathework.lengths import Length, Span
from lathework.part import DRIVES, EDGES, FINISHES, PART_KINDS, Identification, Job, Method, Part, Setup
from lathework.rules.blank import SCHOOLS
from lathework.rules.materials import Material, materials
from lathework.rules.relief import groove_width
from lathework.rules.turning import DIALS
from lathework.units import LENGTH_UNITS, convert, show_length

FORMAT, VERSION = "conch-job", 1
KEYS = (
    *("format", "version", "title", "needed_by", "fits", "quantity", "unit", "material", "pressure"),
    *("part", "method", "setup", "notes", "identified", "record"),
)
PART_KEYS = ("kind", "thread", "stock_diameter", "thread_length", "overall_length", "shank_diameter", "shank_length")
METHOD_KEYS = ("blank_school", "blank_fraction", "finish", "drive")
IDENTIFIED_KEYS = ("evidence", "probability")
SETUP_KEYS = ("dial", "groove_blade", "groove_edge", "parting_blade", "parting_edge")
LONGEST_NOTE, MOST_PIECES = 2000, 500
STOCK = Span("A bar diameter", 1, 150)
ALONG = Span("A length", 1, 600)
BLADE = Span("A blade width", 0.4, 8)
FEWEST_TURNS = 2
"""Full threads that must stand before a relief groove."""


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
    for name, keys in (("part", PART_KEYS), ("method", METHOD_KEYS), ("setup", SETUP_KEYS)):
        reader.section(name, keys)


def _shank(reader: Reader) -> tuple[Length | None, Length | None]:
    return reader.length("part.shank_diameter", STOCK), reader.length("part.shank_length", ALONG)


def _part(reader: Reader) -> Part | None:
    kind = reader.choice("part.kind", PART_KINDS)
    called, stock = reader.thread("part.thread"), reader.length("part.stock_diameter", STOCK)
    threaded, overall = reader.length("part.thread_length", ALONG), reader.length("part.overall_length", ALONG)
    shouldered = kind == "shouldered-screw"
    shank, shank_length = _shank(reader) if shouldered else (None, None)
    if not shouldered:
        # Kept as typed for when the part becomes a shouldered screw again.
        for field in ("part.shank_diameter", "part.shank_length"):
            reader.text(field)
    if not (called and stock and threaded and overall) or (shouldered and not (shank and shank_length)):
        return None
    part = Part(
        "shouldered-screw" if shouldered else "stud", called.thread, stock, threaded, overall, shank, shank_length,
        called.class_name,
    )  # fmt: skip
    _check_part(reader, part)
    return part


def _check_part(reader: Reader, part: Part) -> None:
    """What one field alone cannot know: the sizes must fit each other."""
    body, body_field = part.stock_diameter, "part.stock_diameter"
    if part.shank_diameter is not None and part.shank_length is not None:
        if part.shank_diameter.mm >= part.stock_diameter.mm:
            reader.fail(
                "does-not-fit", "part.shank_diameter", "The shank must be smaller than the bar, or there is no head."
            )
        if not part.thread_length.mm <= part.shank_length.mm < part.overall_length.mm:
            reader.fail(
                "does-not-fit", "part.shank_length", "The head begins behind the thread and before the parted end."
            )
        body, body_field = part.shank_diameter, "part.shank_diameter"
    elif part.thread_length.mm >= part.overall_length.mm:
        reader.fail("does-not-fit", "part.thread_length", "The thread must be shorter than the part.")
    if part.thread.major_mm > body.mm * 1.0001:
        need = f"{part.thread.major:.4g} {part.thread.unit}"
        reader.fail(
            "does-not-fit",
            body_field,
            f"{part.thread.designation} measures {need} across the crests: this is too small.",
        )
    if part.thread_length.mm < 4 * part.thread.pitch_mm:
        reader.fail(
            "does-not-fit", "part.thread_length", "Shorter than four threads: the die's lead alone takes three."
        )


def _check_groove(reader: Reader, part: Part, blade: Length) -> None:
    """A relief groove must leave a thread in front of it."""
    thread = part.thread
    width = groove_width(thread, convert(blade.mm, "mm", thread.unit))
    left_mm = part.thread_length.mm - convert(width.value, thread.unit, "mm")
    if left_mm < FEWEST_TURNS * thread.pitch_mm:
        told = show_length(width.value, thread.unit, thread.unit, fine=False)
        reader.fail(
            "does-not-fit",
            "method.finish",
            f"The relief groove, {told} {thread.unit} wide, leaves no thread: turn the die round, "
            "take a narrower blade or a longer thread.",
        )


def _method(reader: Reader, metal: Material) -> Method:
    return Method(
        blank_school=reader.choice("method.blank_school", SCHOOLS),  # type: ignore[arg-type]  # checked by choice
        blank_fraction=reader.fraction("method.blank_fraction", metal.blank_fraction),
        finish=reader.choice("method.finish", FINISHES),  # type: ignore[arg-type]  # checked by choice
        drive=reader.choice("method.drive", DRIVES),  # type: ignore[arg-type]  # checked by choice
    )


def read_document(document: object) -> Job:
    """Read a version 1 job document. Raises InvalidDocument with every field that cannot be used."""
    if not isinstance(document, Mapping):
        raise InvalidDocument((InputError("wrong-type", "", "A job file is a JSON object."),))
    reader = Reader(document)
    _head(reader)
    unit = reader.choice("unit", LENGTH_UNITS)
    metal = materials()[reader.choice("material", tuple(materials()))]
    part = _part(reader)
    blade, parting = reader.length("setup.groove_blade", BLADE), reader.length("setup.parting_blade", BLADE)
    head: dict[str, Any] = {
        "title": reader.text("title", required=True),
        "needed_by": reader.text("needed_by"),
        "fits": reader.text("fits"),
        "quantity": reader.whole("quantity", 1, MOST_PIECES),
        "unit": unit,
        "material": metal,
        "pressure": reader.flag("pressure"),
        "method": _method(reader, metal),
        "notes": reader.text("notes", longest=LONGEST_NOTE),
        "identified": _identified(reader),
    }
    if part is not None and blade is not None and head["method"].finish == "groove":
        _check_groove(reader, part, blade)
    dial = reader.choice("setup.dial", DIALS)
    edges = [reader.choice(f"setup.{name}", EDGES, "left") for name in ("groove_edge", "parting_edge")]
    if reader.errors or part is None or blade is None or parting is None:
        raise InvalidDocument(tuple(reader.errors))
    setup = Setup(dial, blade, edges[0], parting, edges[1])  # type: ignore[arg-type]  # checked by choice
    return Job(part=part, setup=setup, **head)
