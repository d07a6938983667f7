"""The holes of a part, read and checked."""

from __future__ import annotations

from lathework.fits.fit import FitCode
from lathework.fits.taper import Taper, gauge_size, read_taper
from lathework.job.reading.fit_checks import check_bored_fit, check_key
from lathework.job.reading.job_reader import JobReader
from lathework.lengths import Length
from lathework.methods.chase import LEAST_BORE_MM
from lathework.part.across import thickness_mm
from lathework.part.bore_sizes import largest_mm, wall_mm
from lathework.part.model import Bore, Mouth, Part
from lathework.part.thread_cutters import INSIDE, Cutter


def _bore(reader: JobReader, path: str) -> Bore | None:
    """A hole: threaded where a thread is named, else drilled to its size."""
    reader.known(path)
    end: Mouth = reader.chosen(f"{path}.end")
    cut: Cutter = reader.chosen(f"{path}.cut")
    own, before = reader.ident(f"{path}.id"), reader.wrong
    depth = reader.size(f"{path}.depth")
    at = reader.size(f"{path}.at", optional=end != "across")
    tap, each = reader.line(f"{path}.tap"), reader.size(f"{path}.graduation")
    around = reader.line(f"{path}.around")
    if reader.line(f"{path}.thread"):
        reader.line(f"{path}.taper")
        count = _count(reader, path, end, depth)
        called = reader.inside(f"{path}.thread", by_tool=INSIDE[cut].sized_by == "depth" and end != "across")
        # Kept as typed for when the hole becomes a plain one again.
        reader.line(f"{path}.across")
        if called is None or reader.wrong > before:
            return None
        return Bore(
            own, end, depth, called.thread, called.class_name, None, at, cut, tap, each, count=count, around=around
        )
    across, fit = _across(reader, path)
    mate, by = reader.size(f"{path}.mate"), reader.chosen(f"{path}.by")
    if across is not None:
        check_bored_fit(reader, path, end, fit, across, mate, by)
    key, count = reader.size(f"{path}.key"), _count(reader, path, end, depth)
    socket = _socket(reader, path, end, across, depth)
    undercut = _undercut(reader, path, end, across, depth)
    if key is not None and across is not None:
        if end == "across":
            reader.fail("does-not-fit", f"{path}.key", "Only a hole along the axis can have a keyway.")
        check_key(reader, path, key, across)
    if across is None or reader.wrong > before:
        return None
    return Bore(
        own,
        end,
        depth,
        across=across,
        at=at,
        fit=fit,
        mate=mate,
        key=key,
        socket=socket,
        count=count,
        by=by,
        undercut=undercut,
        around=around,
    )


def _across(reader: JobReader, path: str) -> tuple[Length | None, FitCode]:
    """How wide a plain hole is, and its fit; a named taper has a large end of its own, where none is stated."""
    text = reader.line(f"{path}.taper")
    if not text or reader.line(f"{path}.across"):
        return reader.fitted(path, "hole")
    fit: FitCode = reader.chosen(f"{path}.fit")
    taper = reader.made(f"{path}.taper", text, read_taper)
    if taper is not None and taper.name:
        return gauge_size(taper), fit
    return reader.size(f"{path}.across", optional=taper is None), fit


def _socket(reader: JobReader, path: str, end: Mouth, across: Length | None, depth: Length | None) -> Taper | None:
    """The taper of a hole that is one: along the axis, so deep that a boring tool still gets to its bottom."""
    text = reader.line(f"{path}.taper")
    taper = reader.made(f"{path}.taper", text, read_taper) if text and across is not None else None
    if taper is None or across is None:
        return None
    if end == "across":
        reader.fail("does-not-fit", f"{path}.taper", "Only a hole along the axis can be a taper.")
    elif depth is None:
        reader.fail(
            "empty", f"{path}.depth", "Give the depth of the taper. A through hole behind it is a separate hole."
        )
    elif across.mm - depth.mm * taper.ratio < LEAST_BORE_MM:
        text = (
            f"A boring tool does not fit the small end (under {LEAST_BORE_MM:g} mm): make the taper shallower, or "
            "ream it."
        )
        reader.fail("does-not-fit", f"{path}.depth", text)
    return taper


def _undercut(reader: JobReader, path: str, end: Mouth, across: Length | None, depth: Length | None) -> Length | None:
    """How wide a hole is undercut at its bottom: a blind one along the axis that takes the tool."""
    wide = reader.size(f"{path}.undercut")
    if wide is None or across is None:
        return None
    if end == "across" or depth is None:
        reader.fail("does-not-fit", f"{path}.undercut", "Only a blind hole along the axis has a bottom to undercut.")
    elif across.mm < LEAST_BORE_MM or wide.mm >= depth.mm:
        text = f"No undercutting tool fits this hole: it is under {LEAST_BORE_MM:g} mm, or shallower than it is wide."
        reader.fail("does-not-fit", f"{path}.undercut", text)
    return wide


def _count(reader: JobReader, path: str, end: Mouth, depth: Length | None) -> int:
    """How many of a hole across are made round the part."""
    count = int(reader.share(f"{path}.count", 1))
    if count > 1 and end != "across":
        reader.fail("does-not-fit", f"{path}.count", "Only cross holes can be repeated round the part.")
    elif count > 1 and depth is None:
        text = "Holes right through meet in the middle. Give each one's depth from its own side."
        reader.fail("does-not-fit", f"{path}.count", text)
    return count


def read_bores(reader: JobReader) -> tuple[Bore, ...] | None:
    """The holes; None where one of them cannot be read. Missing is none."""
    if reader.raw("part.bores") is None:
        return ()
    found = [reader.remembered(f"part.bores.{number}", _bore) for number in range(reader.count("part.bores"))]
    whole = tuple(bore for bore in found if bore is not None)
    return whole if len(whole) == len(found) else None


def check_bores(reader: JobReader, part: Part) -> None:
    """A hole must leave a wall and a bottom, and be reached."""
    for number, bore in enumerate(part.bores):
        path = f"part.bores.{number}"
        size = f"{path}.thread" if bore.thread else f"{path}.across"
        if bore.end == "across":
            _check_across(reader, part, bore, path, size)
            continue
        if wall_mm(part, bore) <= 0:
            reader.fail("does-not-fit", size, "This hole is larger than the part.")
        if bore.depth is not None and bore.depth.mm >= part.overall_mm:
            reader.fail(
                "does-not-fit", f"{path}.depth", "This depth goes through. Leave the depth empty for a through hole."
            )
        if part.stock.one_ended and (bore.end == "left" or bore.depth is None):
            text = "Only the end outside the chuck can be drilled, and not right through."
            reader.fail("does-not-fit", f"{path}.end" if bore.end == "left" else f"{path}.depth", text)


def _check_across(reader: JobReader, part: Part, bore: Bore, path: str, size: str) -> None:
    """A hole across must lie in the part, be smaller than it, and be tapped, where it is threaded."""
    assert bore.at is not None
    across, thick = largest_mm(bore), thickness_mm(part, bore)
    if not across / 2 < bore.at.mm < part.overall_mm - across / 2:
        reader.fail("does-not-fit", f"{path}.at", "The hole would break out of the end of the part.")
    elif across >= thick:
        reader.fail("does-not-fit", size, "This hole is as wide as the part at that point.")
    elif bore.depth is not None and bore.depth.mm >= thick:
        reader.fail(
            "does-not-fit", f"{path}.depth", "This depth goes through. Leave the depth empty for a through hole."
        )
    if bore.thread is not None and bore.cutter.on_leadscrew:
        reader.fail("does-not-fit", f"{path}.cut", "A cross hole does not turn with the spindle: choose a tap for it.")
