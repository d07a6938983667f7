"""Inch designations: unified, Whitworth, model engineer, brass, and G written as bsp."""

from __future__ import annotations

import re
from collections.abc import Callable
from decimal import Decimal
from functools import cache

from lathework.threads.designation.common import HOW, SIZE, ask, fail, fraction
from lathework.threads.families import SERIES, family_of, series_words
from lathework.threads.library import library
from lathework.threads.series import trim
from lathework.threads.special import special_unified, special_whitworth
from lathework.threads.thread import Thread

_EITHER = {"coarse": "coarse", "fine": "fine"}
"""Words that name a series of either family of inch threads."""
_INCH_SERIES = {**series_words(), **_EITHER}
_SEVERAL = {
    "whitworth": ("BSW", "BSF"),
    "unified": ("UNC", "UNF", "UNEF", "UN"),
    "coarse": ("UNC", "BSW"),
    "fine": ("UNF", "BSF"),
}
_WORDS = "|".join(sorted(_INCH_SERIES, key=len, reverse=True))
_INCH = re.compile(
    rf"^(?P<size>{SIZE})(?:\s*[-x*]\s*|\s+)?(?:(?P<tpi>(?<=[\s\-x*])\d{{1,3}}(?:\.\d{{1,2}})?)\s*(?:tpi)?)?"
    rf"\s*(?P<series>{_WORDS})?(?P<special>\s+special)?$",
    re.ASCII,
)
_PIPES = tuple(one.code for one in SERIES.values() if one.by_size)
_SMALLEST, _LARGEST = Decimal("0.02"), Decimal(12)
"""Inches, for a special unified or Whitworth size."""
FORMERLY_FINE = "1-14 UNS"
"""Once of the fine series, and still on sale as such."""
_FEWEST_TURNS = 2
"""A thread's diameter is at least this many pitches."""


@cache
def _by_size() -> dict[Decimal, list[Thread]]:
    """Threads by the number their size is written with: inches as printed, metric and BA left out."""
    out: dict[Decimal, list[Thread]] = {}
    for thread in library():
        if thread.series in _PIPES:
            named = thread.designation.startswith(thread.series)
            size = thread.designation.removeprefix(thread.series) if named else thread.designation.rsplit("-", 1)[0]
            out.setdefault(fraction(size), []).append(thread)
        elif thread.unit == "in" and not family_of(thread).pipe:
            out.setdefault(Decimal(repr(thread.major)), []).append(thread)
    return out


@cache
def _number_sizes() -> dict[str, Decimal]:
    """#10 and its like: the number to its diameter in inches."""
    return {t.designation.split("-")[0]: Decimal(repr(t.major)) for t in library() if t.designation.startswith("#")}


def _is_listed(inches: Decimal, series: str | None, tpi: Decimal | None) -> bool:
    wanted = _SEVERAL.get(series or "", (series,))
    return any(
        (series is None or t.series in wanted) and (tpi is None or t.tpi == float(tpi)) and t.series not in _PIPES
        for t in _by_size().get(inches, [])
    )


def _size(text: str, series: str | None, tpi: Decimal | None) -> tuple[str, Decimal]:
    """The size as it is printed, and its inches.

    A whole number may be a number size or inches; whichever a series lists is meant: 10-32 is #10-32, 1-8 an inch.
    """
    bare = re.sub(r"^(#|no\.?\s*)", "", text)
    if "/" in bare:
        if re.search(r"/0+$", bare):
            raise fail("divided-by-zero", f"“{text}” divides by zero. {HOW}")
        return bare.replace(" ", "-"), fraction(bare)
    if "." in bare:
        return bare if not bare.startswith(".") else "0" + bare, Decimal(bare)
    label = str(int(bare))
    numbered = _number_sizes().get(f"#{label}")
    if text != bare and numbered is None:
        sizes = [t for t in library() if t.designation.startswith("#")]
        counted = [t for t in sizes if tpi is not None and t.tpi == float(tpi)]
        raise fail("unknown-size", f"There is no number size {text}.", [t.designation for t in counted or sizes])
    if numbered is not None and text == bare and series is not None and tpi is None:
        _ask_which(text, Decimal(label), numbered, series)
    if numbered is None or (text == bare and not _means_number(numbered, Decimal(label), series, tpi)):
        return label, Decimal(label)
    return f"#{label}", numbered


def _ask_which(text: str, inches: Decimal, numbered: Decimal, series: str) -> None:
    """A whole number that a series lists as a number size and as inches is asked about. Raises InputError."""
    wanted = _SEVERAL.get(series, (series,))
    found = [[t for t in _by_size().get(size, []) if t.series in wanted] for size in (numbered, inches)]
    if all(found):
        raise ask(f"{text} {series}", [*found[0], *found[1]])


def _means_number(numbered: Decimal, inches: Decimal, series: str | None, tpi: Decimal | None) -> bool:
    """Whether a bare whole number is a number size: when a series lists it so, or could not be inches."""
    if series not in (None, "UNS", *_SEVERAL["unified"], "unified"):
        return False
    if _is_listed(numbered, series, tpi):
        return True
    return not _is_listed(inches, series, tpi) and (tpi is None or numbered * tpi > _FEWEST_TURNS)


def at_size_of(label: str) -> list[Thread]:
    """Threads of the size that is written `label`, in inches."""
    return _by_size().get(fraction(label), [])


def _specials(label: str, tpi: Decimal) -> list[str]:
    count = trim(tpi)
    return [f"{label}-{count} UNS", f"{label}-{count} Whitworth special"]


def _special(label: str, inches: Decimal, tpi: Decimal | None, series: str) -> Thread:
    if tpi is None:
        raise fail("incomplete", "A special thread needs its threads per inch, as in 0.51-20 UNS.")
    if not _SMALLEST <= inches <= _LARGEST or inches * tpi < _FEWEST_TURNS:
        raise fail("unknown-size", f"{label}-{trim(tpi)} is not a possible thread size.")
    british = series in ("BSW", "BSF", "whitworth", "ME", "Brass", "G")
    make: Callable[[str, Decimal, Decimal], Thread] = special_whitworth if british else special_unified
    return make(label, inches, tpi)


def _named_series(text: str, label: str, tpi: Decimal | None, series: str, at_size: list[Thread]) -> Thread:
    """The size in the series that was named; a count that contradicts it is asked about."""
    wanted = _SEVERAL.get(series, (series,))
    listed = [t for t in at_size if t.series in wanted]
    if not listed:
        raise fail("unknown-size", f"{series} has no size {label} in its table.", [t.designation for t in at_size])
    found = [t for t in listed if tpi is None or t.tpi == float(tpi)]
    if len(found) == 1:
        return found[0]
    if found:
        raise ask(text, found)
    counts = ", ".join(trim(t.tpi) for t in listed if t.tpi)
    specials = _specials(label, tpi) if tpi is not None else []
    raise fail(
        "count-mismatch",
        f"{label} {series} has {counts} threads per inch.",
        [*(t.designation for t in listed), *(t.designation for t in at_size if t.tpi == float(tpi or 0)), *specials],
    )


def _unnamed(text: str, label: str, tpi: Decimal | None, at_size: list[Thread]) -> Thread:
    """No series named: a unified size stands for itself; anything else is offered, not guessed."""
    if tpi is None:
        if not at_size:
            raise fail("incomplete", f"“{text}” is missing its threads per inch or a series. {HOW}")
        raise ask(text, at_size)
    found = [t for t in at_size if t.tpi == float(tpi)]
    # 1/8-40 is BSW written as a fraction; only "#5-40" or a decimal names the number size of that diameter.
    own = f"{label}-"
    unified = [t for t in found if t.family == "unified" and (t.designation.startswith(own) or "." in label)]
    # The constant-pitch series is rare: where another family has the same size and count, ask.
    if unified and (unified[0].series != "UN" or all(t.family == "unified" for t in found)):
        return unified[0]
    if found and all(t.series in _PIPES for t in found):
        raise fail(
            "ambiguous",
            f"{label} with {trim(tpi)} threads per inch is the pipe thread. {found[0].notes[0]}",
            [*(t.designation for t in found), *_specials(label, tpi)],
        )
    if not found and f"{label}-{trim(tpi)} UNS" == FORMERLY_FINE:
        stock = next(t for t in at_size_of(label) if t.series == "UNF")
        raise fail(
            "ambiguous",
            f"{label}-{trim(tpi)} was once the fine thread, and taps for it are sold as UNF or UNS. The "
            f"standard fine thread is {stock.designation}. Type the one you mean.",
            [FORMERLY_FINE, stock.designation, *_specials(label, tpi)[1:]],
        )
    raise ask(text, [*found, *_specials(label, tpi), *([] if found else _like(tpi))])


def _like(tpi: Decimal) -> list[str]:
    """The unified thread of that count, where none has it at that size: the size may be the slip."""
    return [t.designation for t in library() if t.series in ("UNC", "UNF") and t.tpi == float(tpi)][:1]


def read_inch(text: str) -> Thread | None:
    """The thread an inch designation means, or None when `text` is none. Raises InputError."""
    match = _INCH.match(text)
    if match is None:
        return None
    series = _INCH_SERIES.get(match["series"] or "")
    tpi = Decimal(match["tpi"]) if match["tpi"] else None
    if tpi is not None and not 0 < tpi <= 200:
        raise fail("unreadable", f"{trim(tpi)} is not a possible number of threads per inch. {HOW}")
    label, inches = _size(match["size"], series, tpi)
    if inches <= 0:
        raise fail("unknown-size", f"“{text}” has no size. {HOW}")
    if series == "UNS" or match["special"]:
        return _special(label, inches, tpi, series or "unified")
    at_size = [t for t in _by_size().get(inches, []) if tpi is None or t.series not in _PIPES or t.tpi == float(tpi)]
    if series is None:
        return _unnamed(text, label, tpi, at_size)
    return _named_series(text, label, tpi, series, at_size)
