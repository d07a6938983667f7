"""What was typed of a thread, read into evidence with every error beside its field."""

from __future__ import annotations

from collections.abc import Mapping
from math import fsum

from lathework.errors import InputError, InvalidDocument
from lathework.identify.evidence import (
    ANGLES,
    BORE,
    CALIPER_MM,
    FIELDS,
    FITS,
    GOES,
    LEAF_SHARE,
    LONGEST,
    MOST_THREADS,
    NEARLY_SHARE,
    OUTSIDE,
    OVER,
    PITCH,
    RULE_MM,
    WORN,
    Evidence,
    Goes,
    Measured,
    YesNo,
)
from lathework.identify.priors import ORIGINS, TRADES, Shares
from lathework.lengths import Span, bare_number, read_length, within
from lathework.threads.designation import Called, read_called
from lathework.threads.families import SERIES
from lathework.units import LENGTH_UNITS, MM_PER_INCH, LengthUnit

_TAPER, _NO_TAPER = ("yes", "taper", "1/16", "1 in 16", "1:16"), ("no", "none", "0", "parallel")


class _Reader:
    def __init__(self, typed: Mapping[str, object]) -> None:
        self.typed = typed
        self.errors: list[InputError] = []
        unit = typed.get("unit") or "in"
        if unit not in LENGTH_UNITS:
            self.fail("unknown-choice", "unit", "Choose inches or millimetres for bare numbers.", LENGTH_UNITS)
        self.unit: LengthUnit = "mm" if unit == "mm" else "in"

    def fail(self, code: str, field: str, message: str, choices: tuple[str, ...] = ()) -> None:
        self.errors.append(InputError(code, field, message, choices))

    def text(self, field: str) -> str:
        value = self.typed.get(field)
        if value is None:
            return ""
        if not isinstance(value, str) or len(value) > LONGEST:
            self.fail("wrong-type", field, f"Type at most {LONGEST} characters.")
            return ""
        return value.strip()

    def length(self, field: str, text: str, span: Span) -> float | None:
        try:
            return within(read_length(text, self.unit, field), span, field).mm
        except InputError as error:
            self.errors.append(error)
            return None

    def choice(self, field: str, allowed: tuple[str, ...]) -> str | None:
        text = self.text(field)
        if text and text not in allowed:
            self.fail("unknown-choice", field, f"Choose one of {', '.join(allowed)}.", allowed)
            return None
        return text or None

    def count(self, field: str) -> float | None:
        text = self.text(field)
        if not text:
            return None
        value = bare_number(text)
        if not 1 <= value <= MOST_THREADS:
            self.fail("not-a-count", field, f"Type a number from 1 to {MOST_THREADS}.")
            return None
        return value


def _outside(reader: _Reader) -> tuple[Measured, ...]:
    out = []
    for text in filter(None, (part.strip() for part in reader.text("outside").replace(";", " , ").split(" , "))):
        mm = reader.length("outside", text, OUTSIDE)
        if mm is not None:
            out.append(Measured(mm, CALIPER_MM, text))
    return tuple(out)


def _leaf(reader: _Reader) -> Measured | None:
    tpi, pitch = reader.count("tpi"), reader.text("pitch")
    if tpi is not None and pitch:
        reader.fail("one-of", "pitch", "Give either the pitch or the threads per inch.")
        return None
    mm = MM_PER_INCH / tpi if tpi is not None else None
    if pitch:
        mm = reader.length("pitch", pitch, PITCH)
    nearly = reader.choice("fit", FITS) == "nearly"
    said = (pitch or f"{reader.text('tpi')} tpi") + (", nearly" if nearly else "")
    return None if mm is None else Measured(mm, (NEARLY_SHARE if nearly else LEAF_SHARE) * mm, said)


def _counted(reader: _Reader) -> Measured | None:
    count, over = reader.count("count"), reader.text("over")
    if (count is None) != (not over):
        field = "over" if not over else "count"
        reader.fail("incomplete", field, "Give the length you counted over.")
        return None
    if count is None:
        return None
    length = reader.length("over", over, OVER)
    return None if length is None else Measured(length / count, RULE_MM / count, f"{count:g} over {over}")


def _taper(reader: _Reader) -> YesNo | None:
    """Whether a taper is seen, in any of the words for it."""
    text = reader.text("taper").lower()
    if not text:
        return None
    if text in _NO_TAPER:
        return "no"
    if text in _TAPER:
        return "yes"
    reader.fail("unknown-choice", "taper", "Type yes, no or 1 in 16.", ("yes", "no"))
    return None


def _mate(reader: _Reader) -> tuple[Called | None, Goes | None]:
    text, goes = reader.text("mate"), reader.choice("goes", GOES)
    if not text:
        if goes:
            reader.fail("incomplete", "mate", "Type the thread you tried.")
        return None, None
    try:
        called = read_called(text)
    except InputError as error:
        reader.errors.append(error.at("mate"))
        return None, None
    if goes is None:
        return None, None
    return called, next(g for g in GOES if g == goes)


def _contradictions(reader: _Reader, evidence: Evidence) -> None:
    """What cannot be true together is pointed out, not averaged away."""
    pitches = [m for m in (evidence.leaf, evidence.counted) if m is not None]
    widest = max((m.mm for m in evidence.outside), default=None)
    if widest is not None and evidence.bore is not None and evidence.bore.mm >= widest:
        reader.fail("contradiction", "bore", "The bore is larger than the outside: they cannot be the same thread.")
    for measured, field in ((evidence.leaf, "pitch" if reader.text("pitch") else "tpi"), (evidence.counted, "over")):
        if measured is not None and widest is not None and measured.mm > widest / 2:
            reader.fail("contradiction", field, "No thread of that diameter has such a coarse pitch. Check the unit.")
    if len(pitches) == 2:
        apart = abs(pitches[0].mm - pitches[1].mm)
        if apart > 4 * (pitches[0].sigma_mm + pitches[1].sigma_mm):
            leaf, counted = (f"{m.mm:.3f} mm ({MM_PER_INCH / m.mm:.1f} per inch)" for m in pitches)
            text = f"The count gives a pitch of {counted}, the pitch gauge {leaf}: one of them is wrong."
            reader.fail("contradiction", "over", text)


def _shares(reader: _Reader, shares: Mapping[str, object]) -> Shares:
    """The person's own shares of series, in per cent as typed; "" leaves a series as it is."""
    out = []
    for series, typed in shares.items():
        text = typed.strip() if isinstance(typed, str) else "?"
        if text == "":
            continue
        share = bare_number(text) / 100
        if series not in SERIES or not 0 <= share <= 1:
            reader.fail("out-of-range", f"shares.{series}"[:60], "Type a percentage from 0 to 100.")
            continue
        out.append((series, share))
    if fsum(share for _, share in out) > 1.0001:
        reader.fail("out-of-range", f"shares.{out[0][0]}", "These percentages add up to more than 100.")
    return tuple(out)


def read_evidence(typed: Mapping[str, object], shares: Mapping[str, object] | None = None) -> Evidence:
    """Read what was typed, fields of `FIELDS`, a bare number in `unit`. Raises InvalidDocument with every error.

    `shares` are the person's own shares of series, in per cent as typed.
    """
    reader = _Reader(typed)
    for field in typed:
        if field not in FIELDS:
            reader.fail("unknown-field", str(field)[:40], "This field does not exist.", FIELDS)
    bore_text = reader.text("bore")
    bore = reader.length("bore", bore_text, BORE) if bore_text else None
    mate, goes = _mate(reader)
    found = Evidence(
        outside=_outside(reader),
        bore=None if bore is None else Measured(bore, CALIPER_MM * 1.5, bore_text),
        leaf=_leaf(reader),
        leaf_nearly=reader.text("fit") == "nearly",
        counted=_counted(reader),
        angle=reader.choice("angle", ANGLES),  # type: ignore[arg-type]  # checked by choice
        taper=_taper(reader),
        hand=reader.choice("hand", ("right", "left")),  # type: ignore[arg-type]  # checked by choice
        mate=mate,
        goes=goes,
        marking=reader.text("marking"),
        origin=reader.choice("origin", ORIGINS) or "unknown",  # type: ignore[arg-type]  # checked by choice
        trade=reader.choice("trade", TRADES) or "general",  # type: ignore[arg-type]  # checked by choice
        worn=reader.choice("worn", WORN) or "some",  # type: ignore[arg-type]  # checked by choice
        shares=_shares(reader, shares or {}),
    )
    _contradictions(reader, found)
    if reader.errors:
        raise InvalidDocument(tuple(reader.errors))
    return found
