"""Reads a thread designation as people type it: forgiving in form, strict about what it could mean."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterable
from dataclasses import dataclass, replace
from decimal import Decimal
from fractions import Fraction
from functools import cache, lru_cache

from lathework.errors import InputError
from lathework.threads.series import library, special_metric, special_unified, special_whitworth, trim
from lathework.threads.thread import Thread

HOW = "Write a thread like 3/8-16, M8x1, 1/4 BSW, G3/8 or 2 BA."
_LONGEST_TEXT = 40
_INCH_SERIES = {
    "unc": "UNC", "nc": "UNC", "unf": "UNF", "nf": "UNF", "unef": "UNEF", "nef": "UNEF",
    "uns": "UNS", "un": "unified", "unr": "unified", "unified": "unified",
    "unrc": "UNC", "unrf": "UNF", "unref": "UNEF", "brass": "Brass",
    "bsw": "BSW", "bsf": "BSF", "whitworth": "whitworth", "whit": "whitworth", "ww": "whitworth",
    "me": "ME", "model engineer": "ME",
    "bsp": "G", "bspp": "G", "g": "G",
}  # fmt: skip
_SEVERAL = {"whitworth": ("BSW", "BSF"), "unified": ("UNC", "UNF", "UNEF", "UN")}
_WORDS = "|".join(sorted(_INCH_SERIES, key=len, reverse=True))
_SIZE = r"(?:#|no\.?\s*)?\d{1,3}(?:[\s-]\d{1,2}/\d{1,3}|/\d{1,3})?|\d{0,2}\.\d{1,5}"
_INCH = re.compile(
    rf"^(?P<size>{_SIZE})(?:\s*[-x*]\s*|\s+)?(?:(?P<tpi>(?<=[\s\-x*])\d{{1,3}}(?:\.\d{{1,2}})?)\s*(?:tpi)?)?"
    rf"\s*(?P<series>{_WORDS})?(?P<special>\s+special)?$",
    re.ASCII,
)
_PIPE = re.compile(rf"^g\s*(?P<size>{_SIZE})$", re.ASCII)
_BA = re.compile(r"^(?:no\.?\s*)?(?P<number>\d{1,3})\s*ba$|^ba\s*(?P<after>\d{1,3})$", re.ASCII)
_METRIC = re.compile(
    r"^m\s*(?P<diameter>\d{1,4}(?:\.\d{1,4})?)(?:\s*[-x*]\s*(?P<pitch>\d{1,3}(?:\.\d{1,4})?|\.\d{1,4}))?"
    r"\s*(?P<word>coarse|fine|special)?$",
    re.ASCII,
)
_SEALING = re.compile(rf"^(?P<series>rc|rp|r)\s*(?P<size>{_SIZE})$|^(?P<bspt>{_SIZE})\s*bspt$", re.ASCII)
_AMERICAN = re.compile(
    rf"^(?P<size>{_SIZE})(?:\s*[-x]\s*(?P<tpi>\d{{1,2}}(?:\.\d)?)|\s)?\s*(?P<series>npt|npsm)$", re.ASCII
)
_DRYSEAL = re.compile(r"\b(?:nptf|npsf|npsl|npsc|nps)$")
_HAND = re.compile(r"[\s-]+(?:lh|left|left[\s-]hand)$", re.IGNORECASE)
_STARTS = re.compile(r"[\s-]+(?P<starts>\d{1,2})[\s-]*starts?$", re.IGNORECASE)
_LEAD = re.compile(r"x\s*ph\s*(?P<lead>\d{1,3}(?:\.\d{1,4})?)\s*p\s*(?P<pitch>\d{1,3}(?:\.\d{1,4})?)", re.IGNORECASE)
_CLASS = re.compile(
    r"[\s-]+(?P<class>[123][abAB]|\d[efghGH](?:\d[efghGH])?|close|medium|free|normal)$"
    r"|(?<=\d)[\s-]*(?P<pipe>[ABab])$"
)
_MOST_STARTS = 8
_PIPES = ("G", "NPT")
_SMALLEST, _LARGEST = Decimal("0.02"), Decimal(12)
"""Inches, for a special unified or Whitworth size."""
_FEWEST_TURNS = 2
"""A thread's diameter is at least this many pitches."""


def _tidy(text: str) -> str:
    out = text.strip().replace("×", "x").replace("”", "").replace("″", "").replace('"', "")
    return re.sub(r"\s+", " ", out.replace(",", ".").replace("–", "-"))


def _fail(code: str, message: str, choices: Iterable[str] = ()) -> InputError:
    return InputError(code, "designation", message, tuple(choices))


@cache
def _by_size() -> dict[Decimal, list[Thread]]:
    """Threads by the number their size is written with: inches as printed, metric and BA left out."""
    out: dict[Decimal, list[Thread]] = {}
    for thread in library():
        if thread.series in _PIPES:
            size = (
                thread.designation.removeprefix("G") if thread.series == "G" else thread.designation.rsplit("-", 1)[0]
            )
            out.setdefault(_fraction(size), []).append(thread)
        elif thread.unit == "in" and thread.family != "npt":
            out.setdefault(Decimal(repr(thread.major)), []).append(thread)
    return out


@cache
def _number_sizes() -> dict[str, Decimal]:
    """#10 and its like: the number to its diameter in inches."""
    return {t.designation.split("-")[0]: Decimal(repr(t.major)) for t in library() if t.designation.startswith("#")}


def _fraction(size: str) -> Decimal:
    parts = [Fraction(part) for part in re.split(r"[\s-]", size)]
    total = sum(parts, Fraction(0))
    return Decimal(total.numerator) / Decimal(total.denominator)


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
            raise _fail("divided-by-zero", f"“{text}” divides by zero. {HOW}")
        return bare.replace(" ", "-"), _fraction(bare)
    if "." in bare:
        return bare if not bare.startswith(".") else "0" + bare, Decimal(bare)
    label = str(int(bare))
    numbered = _number_sizes().get(f"#{label}")
    if text != bare and numbered is None:
        raise _fail("unknown-size", f"There is no number size {text}.", sorted(_number_sizes()))
    if numbered is None or (text == bare and not _means_number(numbered, Decimal(label), series, tpi)):
        return label, Decimal(label)
    return f"#{label}", numbered


def _means_number(numbered: Decimal, inches: Decimal, series: str | None, tpi: Decimal | None) -> bool:
    """Whether a bare whole number is a number size: when a series lists it so, or could not be inches."""
    if series not in (None, "UNS", *_SEVERAL["unified"], "unified"):
        return False
    if _is_listed(numbered, series, tpi):
        return True
    return not _is_listed(inches, series, tpi) and (tpi is None or numbered * tpi > _FEWEST_TURNS)


def _ask(text: str, found: Iterable[Thread | str]) -> InputError:
    names = [t if isinstance(t, str) else t.designation for t in found]
    return _fail(
        "ambiguous",
        f"“{text}” could be {' or '.join(names) if len(names) < 4 else 'several threads'}: say which.",
        names,
    )


def _specials(label: str, tpi: Decimal) -> list[str]:
    count = trim(tpi)
    return [f"{label}-{count} UNS", f"{label}-{count} Whitworth special"]


def _special(label: str, inches: Decimal, tpi: Decimal | None, series: str) -> Thread:
    if tpi is None:
        raise _fail("incomplete", "A special thread needs its threads per inch, as in 0.51-20 UNS.")
    if not _SMALLEST <= inches <= _LARGEST or inches * tpi < _FEWEST_TURNS:
        raise _fail("unknown-size", f"{label}-{trim(tpi)} is no size a thread can have.")
    make: Callable[[str, Decimal, Decimal], Thread] = special_unified if series == "UNS" else special_whitworth
    return make(label, inches, tpi)


def _named_series(text: str, label: str, tpi: Decimal | None, series: str, at_size: list[Thread]) -> Thread:
    """The size in the series that was named; a count that contradicts it is asked about."""
    wanted = _SEVERAL.get(series, (series,))
    listed = [t for t in at_size if t.series in wanted]
    if not listed:
        raise _fail("unknown-size", f"{series} has no size {label} in its table.", [t.designation for t in at_size])
    found = [t for t in listed if tpi is None or t.tpi == float(tpi)]
    if len(found) == 1:
        return found[0]
    if found:
        raise _ask(text, found)
    counts = ", ".join(trim(t.tpi) for t in listed if t.tpi)
    specials = _specials(label, tpi) if tpi is not None else []
    raise _fail(
        "count-mismatch",
        f"{label} {series} has {counts} threads per inch.",
        [*(t.designation for t in listed), *(t.designation for t in at_size if t.tpi == float(tpi or 0)), *specials],
    )


def _unnamed(text: str, label: str, tpi: Decimal | None, at_size: list[Thread]) -> Thread:
    """No series named: a unified size stands for itself; anything else is offered, not guessed."""
    if tpi is None:
        if not at_size:
            raise _fail("incomplete", f"“{text}” lacks threads per inch or a series. {HOW}")
        raise _ask(text, at_size)
    found = [t for t in at_size if t.tpi == float(tpi)]
    # 1/8-40 is BSW written as a fraction; only "#5-40" or a decimal names the number size of that diameter.
    own = f"{label}-"
    unified = [t for t in found if t.family == "unified" and (t.designation.startswith(own) or "." in label)]
    # The constant-pitch series is rare: where another family has the same size and count, ask.
    if unified and (unified[0].series != "UN" or all(t.family == "unified" for t in found)):
        return unified[0]
    if found and all(t.series in _PIPES for t in found):
        raise _fail(
            "ambiguous", f"{label} with {trim(tpi)} to the inch is the pipe thread. {found[0].notes[0]}",
            [*(t.designation for t in found), *_specials(label, tpi)],
        )  # fmt: skip
    raise _ask(text, [*found, *_specials(label, tpi)])


def _inch(text: str, match: re.Match[str]) -> Thread:
    series = _INCH_SERIES.get(match["series"] or "")
    tpi = Decimal(match["tpi"]) if match["tpi"] else None
    if tpi is not None and not 0 < tpi <= 200:
        raise _fail("unreadable", f"{trim(tpi)} threads per inch is no count. {HOW}")
    label, inches = _size(match["size"], series, tpi)
    if inches <= 0:
        raise _fail("unknown-size", f"“{text}” has no size. {HOW}")
    if series == "UNS" or match["special"]:
        return _special(label, inches, tpi, series or "unified")
    at_size = [t for t in _by_size().get(inches, []) if tpi is None or t.series not in _PIPES or t.tpi == float(tpi)]
    if series is None:
        return _unnamed(text, label, tpi, at_size)
    return _named_series(text, label, tpi, series, at_size)


def _metric(match: re.Match[str]) -> Thread:
    diameter = Decimal(match["diameter"])
    sizes = [t for t in library() if t.family == "metric" and t.major == float(diameter)]
    pitch = Decimal(match["pitch"]) if match["pitch"] else None
    name = f"M{trim(diameter)}"
    if match["word"] == "special":
        if pitch is None or not 0 < pitch * 2 < diameter or not 1 <= diameter <= 300:
            raise _fail("incomplete", "A special metric thread needs diameter and pitch, as in M8x1.3 special.")
        return special_metric(diameter, pitch)
    if not sizes:
        listed = {t.major for t in library() if t.family == "metric"}
        near = sorted(listed, key=lambda m: abs(m - float(diameter)))[:3]
        also = [f"{name}x{trim(pitch)} special"] if pitch and 0 < pitch * 2 < diameter else []
        raise _fail("unknown-size", f"{name} is not a standard metric size.", [*(f"M{trim(m)}" for m in near), *also])
    if match["word"] == "fine" and pitch is None:
        sizes = [t for t in sizes if t.series == "fine"]
        if len(sizes) == 1:
            return sizes[0]
        raise _ask(f"{name} fine", sizes)
    for thread in sizes:
        if (pitch is None and thread.series == "coarse") or (pitch is not None and thread.pitch == float(pitch)):
            return thread
    if pitch is None:
        raise _ask(name, sizes)
    standard = ", ".join(trim(p) for p in sorted(t.pitch for t in sizes))
    also = [f"{name}x{trim(pitch)} special"] if 0 < pitch * 2 < diameter else []
    raise _fail(
        "non-standard-pitch",
        f"{name} has the standard pitches {standard} mm; {trim(pitch)} mm is none of them.",
        [*(t.designation for t in sizes), *also],
    )  # fmt: skip


def _named(name: str, what: str, family: str) -> Thread:
    for thread in library():
        if thread.designation == name:
            return thread
    raise _fail("unknown-size", f"There is no {what}.", [t.designation for t in library() if t.family == family])


def _pipe(text: str) -> Thread | None:
    """A pipe thread, or None when the text names none."""
    if match := _SEALING.match(text):
        series = (match["series"] or "r").capitalize()
        name = f"{series}{(match['size'] or match['bspt']).replace(' ', '-')}"
        return _named(name, name, "bsp")
    if match := _AMERICAN.match(text):
        size, series = match["size"].replace(" ", "-"), match["series"].upper()
        for thread in library():
            if thread.series == series and thread.designation.rsplit("-", 1)[0] == size:
                if match["tpi"] and float(match["tpi"]) != thread.tpi:
                    break
                return thread
        raise _fail(
            "unknown-size", f"There is no such {series}.", [t.designation for t in library() if t.series == series]
        )
    if match := _PIPE.match(text):
        return _named(f"G{match['size'].replace(' ', '-')}", f"G{match['size']}", "bsp")
    return None


def _read(text: str) -> Thread:
    if _DRYSEAL.search(text):
        raise _fail("taper-pipe", f"“{text}” is an American pipe thread that is not covered; NPT and NPSM are.")
    if match := _BA.match(text):
        number = int(match["number"] or match["after"])
        return _named(f"{number} BA", f"{number} BA: the series runs 0 to 16", "ba")
    if match := _METRIC.match(text):
        return _metric(match)
    if (pipe := _pipe(text)) is not None:
        return pipe
    if match := _INCH.match(text):
        return _inch(text, match)
    raise _fail("unreadable", f"“{text}” is not a thread designation. {HOW}")


@dataclass(frozen=True, slots=True)
class Called:
    """What a text calls for: the thread, and its class ("" when none is said)."""

    thread: Thread
    class_name: str = ""


def _starts(text: str) -> tuple[str, int]:
    """The text without its word on starts, and how many there are."""
    if match := _LEAD.search(text):
        lead, pitch = Decimal(match["lead"]), Decimal(match["pitch"])
        if not pitch or lead % pitch or not 0 < lead / pitch <= _MOST_STARTS:
            raise _fail("unreadable", f"A lead of {trim(lead)} is no whole number of pitches of {trim(pitch)}.")
        return text[: match.start()] + f"x{match['pitch']}" + text[match.end() :], int(lead / pitch)
    if match := _STARTS.search(text):
        starts = int(match["starts"])
        if not 0 < starts <= _MOST_STARTS:
            raise _fail("unreadable", f"A thread has 1 to {_MOST_STARTS} starts.")
        return text[: match.start()], starts
    return text, 1


def _with_hand_and_starts(thread: Thread, *, left: bool, starts: int) -> Thread:
    if not left and starts == 1:
        return thread
    name, notes = thread.designation, thread.notes
    if starts > 1:
        name += f" {starts}-start"
        notes += (f"{starts} starts: one turn advances {trim(thread.pitch * starts)} {thread.unit}.",)
    if left:
        name += " LH"
        notes += ("Left-hand: tightens anticlockwise, and wants left-hand dies and taps.",)
    return replace(thread, designation=name, notes=notes, hand="left" if left else "right", starts=starts)


def _class_said(match: re.Match[str] | None) -> str:
    if match is None:
        return ""
    said = match["class"] or match["pipe"]
    return said.upper() if said[-1] in "abAB" else said


@lru_cache(maxsize=4096)
def read_called(text: str) -> Called:
    """Read a designation with what may stand behind it: class, hand, starts. Raises as `read_designation`.

    >>> read_called("M8x1-6g LH").thread.designation, read_called("M8x1-6g LH").class_name
    ('M8x1 LH', '6g')
    """
    if len(text) > _LONGEST_TEXT:
        raise _fail("unreadable", f"That is too long for a thread. {HOW}")
    rest = _tidy(text)
    if not rest:
        raise _fail("empty", "No thread is entered.")
    rest, starts = _starts(rest)
    bare = _HAND.sub("", rest)
    left = bare != rest
    bare, again = _starts(bare)
    match = _CLASS.search(bare) if not re.search(r"^\s*[a-z]*\s*\d+\s*ba$", bare, re.IGNORECASE) else None
    if match is not None and match["pipe"] and not bare.lower().startswith("g"):
        match = None
    bare = bare if match is None else bare[: match.start()]
    if not left:
        shorter = _HAND.sub("", bare)
        left, bare = shorter != bare, shorter
    thread = _with_hand_and_starts(_read(bare.strip(" -").lower()), left=left, starts=max(starts, again))
    return Called(thread, _class_said(match))


def read_designation(text: str) -> Thread:
    """Read a designation and return the one thread it can mean, without its class.

    Raises InputError on field "designation": "empty", "unreadable", "incomplete", "ambiguous",
    "unknown-size", "count-mismatch", "non-standard-pitch", "taper-pipe", "divided-by-zero"; its `choices` can be
    typed instead.

    >>> read_designation("3/8 x 16 unc").designation, read_designation("m8x1").pitch
    ('3/8-16 UNC', 1.0)
    """
    return read_called(text).thread
