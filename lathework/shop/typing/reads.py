"""What a line says of a thing is read into documents: threads and drills by name or in runs, sizes in their order."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator

from lathework.errors import InputError
from lathework.lengths import read_length
from lathework.shop.racks import RACKS
from lathework.shop.typing.sizes import HOW, die_size, mixed, number_of, unit_of, wrong
from lathework.tables.drills import all_drills
from lathework.threads.designation import read_called
from lathework.threads.library import library
from lathework.threads.thread import Thread

METRIC_SET = (1, 1.2, 1.6, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 24, 30, 36)
"""Diameters of the first choice: what a set of dies or taps holds. Source: ISO 262, first choice."""
_RUN = re.compile(r"^(?P<low>m?[\d./#]+)\s*(?:-|to|\u2013)\s*(?P<high>m?[\d./#]+)\s*(?P<series>[a-z]*)$", re.IGNORECASE)
STEPS = re.compile(r"^(?P<low>[\d./]+)\s*(?:-|to)\s*(?P<high>[\d./]+)\s*(?:x|by)\s*(?P<step>[\d./]+)$", re.IGNORECASE)
_NAMED_DRILLS = re.compile(r"^(?P<low>#\d+|[a-z])\s*(?:-|to)\s*(?P<high>#?\d+|[a-z])$", re.IGNORECASE)
MOST_THINGS = 400
Reads = Callable[[str, dict[str, str]], Iterator[dict[str, str]]]
"""Reads what is left of a line, with what its words told, into documents."""


def _members(low: Thread, high: Thread) -> Iterator[Thread]:
    """The sizes of a series from one to the other; of metric threads those of the first choice."""
    least, most = sorted((low.major, high.major))
    for thread in library():
        chosen = thread.series != "coarse" or thread.major in METRIC_SET
        if thread.series == low.series and least <= thread.major <= most and chosen:
            yield thread


def threads(text: str) -> tuple[str, ...]:
    """The threads a text names: one, or a run of a series. Raises InputError."""
    run = _RUN.match(text)
    try:
        return (read_called(text, stored=True).thread.designation,)
    except InputError as error:
        if run is None:
            raise error.at("text") from None
    series = run["series"]
    low, high = (read_called(f"{run[end]} {series}".strip(), stored=True).thread for end in ("low", "high"))
    if low.series != high.series:
        raise wrong(f"{low.designation} and {high.designation} are not in the same series.")
    return tuple(thread.designation for thread in _members(low, high))


def drills(text: str) -> tuple[str, ...]:
    """The drills a text names: one, a run in equal steps, or number or letter drills. Raises InputError."""
    if text.lower() in RACKS:
        return tuple(drill.name for drill in all_drills() if drill.rack == text.lower())
    if steps := STEPS.match(text):
        low, high, step = (number_of(steps[name]) for name in ("low", "high", "step"))
        if step <= 0 or high < low or (high - low) / step >= MOST_THINGS:
            raise wrong("Those sizes do not make a range. Give the smallest, the largest and the step.")
        inches = "/" in text
        sizes = [low + step * n for n in range(int((high - low) / step) + 1)]
        return tuple(f"{mixed(size)} in" if inches else f"{float(size):g} mm" for size in sizes)
    if gauge := _NAMED_DRILLS.match(text):
        names = [drill.name for drill in all_drills() if drill.rack in ("number", "letter")]
        ends = [gauge["low"].upper(), gauge["high"].upper()]
        ends[1] = f"#{ends[1]}" if ends[1].isdecimal() else ends[1]
        if all(end in names for end in ends):
            first, last = sorted(names.index(end) for end in ends)
            return tuple(names[first : last + 1])
    return (read_length(text, "in" if "/" in text else "mm", "text").typed + unit_of(text),)


def reads_threads(text: str) -> bool:
    """Whether a text names threads by itself."""
    try:
        return bool(threads(text))
    except InputError:
        return False


def of_threads(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A thing for each thread that is named."""
    return ({"thread": thread, **told} for thread in threads(rest))


def of_drills(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A thing for each size of a drill that is named."""
    return ({"size": size, **told} for size in drills(rest))


def plain_size(text: str) -> str:
    """A size with its unit: a fraction is in inches, any other bare number in millimetres."""
    return text + unit_of(text)


def measured(*fields: str, size_of: Callable[[str], str] = plain_size) -> Reads:
    """Reads lengths into `fields`, in their order: "1 x 3/8"."""

    def read(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
        sizes = [size.strip() for size in re.split(r"\s+x\s+|(?<=mm|in)\s+|\s+(?=[\d.])", rest) if size.strip()]
        if len(sizes) > len(fields):
            raise wrong(f"“{rest}” is more than this item needs. {HOW}")
        read = {name: size_of(size) for name, size in zip(fields, sizes, strict=False)}
        return iter(({**read, **told},))

    return read


def most(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A thing that is told by its words alone, or by the most it takes."""
    return iter(({"most": die_size(rest), **told} if rest else told,))


def words_alone(rest: str, told: dict[str, str]) -> Iterator[dict[str, str]]:
    """A thing that is told by its words alone. Raises InputError where more is said."""
    if rest:
        raise wrong(f"“{rest}” is not needed here. {HOW}")
    return iter((told,))
