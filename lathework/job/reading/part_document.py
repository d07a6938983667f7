"""Reads the part of a job document: stock, sections, and whether they fit each other."""

from __future__ import annotations

from math import fsum

from lathework.cutting.groove import SHORTEST_THREAD
from lathework.cutting.knurl import Knurl
from lathework.fits.fit import FitCode
from lathework.fits.taper import HOW, gauge_size, read_taper
from lathework.job.part_declaration import ACROSS, ALONG
from lathework.job.reading.bore_document import check_bores, read_bores
from lathework.job.reading.fit_checks import check_fit, check_fit_on_bar, check_key
from lathework.job.reading.job_reader import JobReader
from lathework.job.reading.section_checks import check_round, why_unreached
from lathework.job.reading.stock_document import read_stock
from lathework.lengths import Length
from lathework.part.ends import ends_of, nominal_mm
from lathework.part.model import MILLED, Bore, Part, Section, Shape
from lathework.part.thread_cutters import OUTSIDE, OutsideCutter
from lathework.units import LengthUnit, convert, show_length

DEEPEST_LEAD = 0.2
"""Largest lead chamfer, each way, as a share of the thread's diameter (practice)."""
_SLACK = 1.0001


def _section(reader: JobReader, path: str, rest: Length | None) -> Section | None:
    """One section; `rest` is the length of one that states none."""
    reader.known(path)
    own = reader.ident(f"{path}.id")
    shape: Shape = reader.chosen(f"{path}.shape")
    typed = reader.line(f"{path}.length")
    length = reader.size(f"{path}.length", optional=False) if typed or rest is None else rest
    chamfer = reader.size(f"{path}.chamfer")
    measured = reader.size(f"{path}.measured")
    reader.size(f"{path}.measured_length")
    die = reader.line(f"{path}.die")
    cut: OutsideCutter = reader.chosen(f"{path}.cut")
    if shape == "thread":
        called, runs = reader.thread(f"{path}.thread", by_tool=OUTSIDE[cut].on_leadscrew), reader.chosen(f"{path}.runs")
        reader.line(f"{path}.across")
        if called is None or length is None:
            return None
        thread, class_name = called.thread, called.class_name
        return Section(own, shape, length, None, thread, class_name, chamfer, measured, die, cut, runs=runs)
    # Kept as typed for when the section becomes a thread, or a taper, again.
    reader.line(f"{path}.thread")
    if shape == "taper":
        return _taper(reader, path, own, length, chamfer)
    reader.line(f"{path}.taper")
    if shape == "bar":
        reader.line(f"{path}.across")
        return None if length is None else Section(own, shape, length, chamfer=chamfer)
    across, fit = _across(reader, path, shape)
    mate = reader.size(f"{path}.mate")
    edge = reader.chosen(f"{path}.edge")
    pattern, pitch = reader.chosen(f"{path}.pattern"), reader.size(f"{path}.pitch")
    milled_on = reader.size(f"{path}.round")
    if milled_on is not None and shape in MILLED and across is not None:
        check_round(reader, path, milled_on, across)
    if length is None or across is None:
        return None
    if shape != "round":
        knurl = Knurl(pattern, pitch) if shape == "knurl" and pitch is not None else None
        flats_on = milled_on if shape in MILLED else None
        return Section(own, shape, length, across, chamfer=chamfer, knurl=knurl, edge=edge, round=flats_on)
    check_fit(reader, path, fit, across, mate)
    key, key_length = reader.size(f"{path}.key"), reader.size(f"{path}.key_length")
    check_key(reader, path, key, across)
    if key is not None and key_length is not None and not key.mm <= key_length.mm <= length.mm:
        text = "At least as long as the key is wide, at most as long as the section."
        reader.fail("does-not-fit", f"{path}.key_length", text)
    return Section(
        own, shape, length, across, chamfer=chamfer, fit=fit, mate=mate, key=key, key_length=key_length, edge=edge
    )


def _across(reader: JobReader, path: str, shape: Shape) -> tuple[Length | None, FitCode]:
    """How wide a section is, and the fit that a round one is made to."""
    if shape == "round":
        return reader.fitted(path, "shaft")
    return reader.size(f"{path}.across", optional=False), reader.chosen(f"{path}.fit")


def _taper(reader: JobReader, path: str, own: str, length: Length | None, chamfer: Length | None) -> Section | None:
    """A section that is a taper: a named one has a large end of its own, where none is stated."""
    before, text = reader.wrong, reader.line(f"{path}.taper")
    if not text:
        reader.fail("empty", f"{path}.taper", f"Which taper is it? {HOW}")
    taper = reader.made(f"{path}.taper", text, read_taper)
    named = taper is not None and bool(taper.name)
    across = reader.size(f"{path}.across", optional=named or taper is None)
    if taper is not None and across is None and named:
        across = gauge_size(taper)
    if taper is None or across is None or length is None or reader.wrong > before:
        return None
    return Section(own, "taper", length, across, chamfer=chamfer, taper=taper)


def _rest(reader: JobReader, stated: Length | None, count: int, unit: LengthUnit) -> tuple[int | None, Length | None]:
    """Which section takes what the others leave of the overall length, and how much that is.

    One that states no length; where several do not, the one that is bar as bought.
    """
    open_ones = [n for n in range(count) if not reader.line(f"part.sections.{n}.length")]
    if len(open_ones) > 1:
        open_ones = [n for n in open_ones if reader.raw(f"part.sections.{n}.shape") == "bar"]
    if len(open_ones) != 1 or stated is None:
        return None, None
    quiet = JobReader(reader.document)
    others = [quiet.size(f"part.sections.{n}.length", optional=False) for n in range(count) if n != open_ones[0]]
    known = [length.mm for length in others if length is not None]
    if len(known) < len(others):
        # Told where they stand; this one waits for them.
        return open_ones[0], Length(stated.value, stated.unit, "")
    left = stated.mm - fsum(known)
    if left < ALONG.low_mm:
        field = f"part.sections.{open_ones[0]}.length"
        told = show_length(abs(left), "mm", unit, fine=False)
        words = f"the other sections are {told} {unit} longer than the whole" if left < 0 else "nothing is left for it"
        reader.fail("does-not-fit", field, f"It takes the rest of the overall length, but {words}.")
        return open_ones[0], Length(stated.value, stated.unit, "")
    return open_ones[0], Length(convert(left, "mm", unit), unit, "")


def _check_ids(reader: JobReader, features: tuple[Section | Bore, ...]) -> None:
    """Sections and holes of a part have ids of their own: what is recorded is told by them."""
    seen: set[str] = set()
    for number, feature in enumerate(features):
        sections = sum(isinstance(one, Section) for one in features)
        path = f"part.sections.{number}.id" if number < sections else f"part.bores.{number - sections}.id"
        if feature.id in seen:
            reader.fail("doubled-id", path, f"Another section or hole of this part already has the id “{feature.id}”.")
        seen.add(feature.id)


def read_part(reader: JobReader) -> Part | None:
    """The part, or None with what is wrong noted in `reader`."""
    reader.known("part")
    unit = reader.unit
    stock = read_stock(reader)
    stated = reader.size("part.overall_length")
    own, before = reader.ident("part.id"), reader.wrong
    count = reader.count("part.sections")
    if not count and reader.wrong == before:
        reader.fail("empty", "part.sections", "A part needs at least one section.")
    open_one, rest = _rest(reader, stated, count, unit)
    sections = [
        reader.remembered(f"part.sections.{number}", _section, rest if number == open_one else None)
        for number in range(count)
    ]
    whole = [section for section in sections if section is not None]
    if stock is None or not whole or len(whole) < count:
        return None
    bores = read_bores(reader)
    if bores is None:
        return None
    _check_ids(reader, (*whole, *bores))
    part = Part(
        own,
        stock,
        tuple(whole),
        stated,
        bores,
        reader.line("part.name"),
        reader.line("part.afterwards"),
    )
    before = reader.wrong
    for number in range(count):
        _check_section(reader, part, number)
    if part.overall_mm > ALONG.high_mm:
        reader.fail("out-of-range", "part.overall_length", "Conch plans parts up to 600 mm long.")
    if reader.wrong == before:
        _check_reach(reader, part)
        check_bores(reader, part)
    return part


def _check_section(reader: JobReader, part: Part, number: int) -> None:
    """What one section must be to come out of the stock."""
    section, path, stock = part.sections[number], f"part.sections.{number}", part.stock
    before = reader.wrong
    if section.thread is not None:
        thread = section.thread
        if thread.major_mm > stock.across.mm * _SLACK:
            need = f"{thread.major:.4g} {thread.unit}"
            text = f"{thread.designation} measures {need} over the crests: this is too small."
            reader.fail("does-not-fit", "part.stock.across", text)
        if section.length.mm < SHORTEST_THREAD * thread.pitch_mm:
            text = "Too short: give at least four threads. The chamfer of the die takes three."
            reader.fail("does-not-fit", f"{path}.length", text)
        if section.chamfer is not None and (
            section.chamfer.mm > DEEPEST_LEAD * thread.major_mm or section.chamfer.mm > section.length.mm / 2
        ):
            reader.fail("does-not-fit", f"{path}.chamfer", "With this chamfer the die has nothing to start on.")
        return
    if section.across is None:
        return
    flats = section.shape in MILLED
    if section.across.mm > stock.across.mm * _SLACK:
        what = "across the flats" if flats else "turned"
        reader.fail("does-not-fit", f"{path}.across", f"The bar is smaller than this, {what}.")
    elif section.fit and reader.wrong == before:
        check_fit_on_bar(reader, path, section, stock)
    elif flats and section.shape != stock.form and section.across.mm >= nominal_mm(part, number) - 0.01:
        reader.fail(
            "does-not-fit", f"{path}.across", "Nothing would come off: the flats are as wide as the bar is round."
        )
    if section.taper is not None and section.small_mm < ACROSS.low_mm:
        takes = section.length.mm * section.taper.ratio
        text = (
            f"Over this length the taper takes {takes:.1f} mm of {section.across.mm:.1f} mm: its small end "
            "would be too thin. Make it shorter, or the taper less steep."
        )
        reader.fail("does-not-fit", f"{path}.length", text)
    slim = section.small_mm if section.taper is not None else nominal_mm(part, number)
    if section.chamfer is not None and (2 * section.chamfer.mm >= slim or section.chamfer.mm > section.length.mm):
        reader.fail("does-not-fit", f"{path}.chamfer", "The chamfer is larger than the section it is on.")


def _check_reach(reader: JobReader, part: Part) -> None:
    """A die must pass over everything between the end and its thread; a bolt keeps its head."""
    ends, now = ends_of(part), part.stock.bar_length
    if part.stock.form == "bolt" and now is not None and now.mm < part.overall_mm:
        text = f"The bolt is {now.typed} long under its head now. It cannot become longer."
        reader.fail("does-not-fit", "part.stock.bar_length", text)
    if part.stock.one_ended and (ends.second or ends.turned_about):
        text = "A bolt keeps its head: only its other end can be machined."
        if part.stock.form == "kept":
            text = "Only the end outside the chuck is machined: no section nearer the chuck may be smaller."
        reader.fail("does-not-fit", "part.sections", text)
    for run in (ends.first, ends.second):
        for at, number in enumerate(run):
            section, thread = part.sections[number], part.sections[number].thread
            if section.taper is not None and at and nominal_mm(part, run[at - 1]) > section.small_mm * _SLACK:
                text = "The section in front of the small end is larger than it: add a neck between them for the tool."
                reader.fail("does-not-fit", f"part.sections.{number}.taper", text)
            if thread is None:
                continue
            if any(nominal_mm(part, nearer) > thread.minor_mm * _SLACK for nearer in run[:at]):
                text = why_unreached(section)
                if text:
                    reader.fail("die-cannot-reach", f"part.sections.{number}.thread", text)
