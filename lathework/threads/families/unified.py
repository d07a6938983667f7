"""Unified threads: ASME B1.1."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from types import MappingProxyType

from lathework.tables.loader import load
from lathework.threads.families.family import (
    SIXTY,
    Letter,
    Series,
    ThreadFamily,
    Typed,
    by_major,
    inch_letters,
)
from lathework.threads.forms import UNIFIED as FORM
from lathework.threads.series import inch_row
from lathework.threads.standards import unified
from lathework.threads.thread import Thread

CODE = "unified"
SERIES = (
    Series("UNC", "Unified coarse", "unified coarse series, 60 degree flanks", 10, "coarse"),
    Series("UNF", "Unified fine", "unified fine series, 60 degree flanks", 20, "fine"),
    Series("UNEF", "Unified extra fine", "unified extra-fine series, 60 degree flanks", 30, "extra fine"),
    Series("UN", "Unified, constant pitch", "unified series of constant pitch, 60 degree flanks", 40),
)
SPECIAL = "unified special: no series lists it; 60 degree flanks"
MEANS: Mapping[str, str] = MappingProxyType({one.code: one.means for one in SERIES} | {"UNS": SPECIAL})
WORDS: Mapping[str, str] = MappingProxyType(
    {
        **dict.fromkeys(("unc", "nc", "unrc"), "UNC"),
        **dict.fromkeys(("unf", "nf", "unrf"), "UNF"),
        **dict.fromkeys(("unef", "nef", "unref"), "UNEF"),
        "uns": "UNS",
        **dict.fromkeys(("un", "unr", "unified"), CODE),
    }
)


def _threads() -> Iterable[Thread]:
    table = load("unified")
    return (inch_row(row, table, CODE, FORM) for row in table.rows)


def _letters(thread: Thread) -> list[Letter]:
    return [*inch_letters()(thread), Letter(thread.series, MEANS[thread.series])]


def inch_preferred(thread: Thread) -> bool:
    """Sizes in inches that are met first: number sizes, eighths, and what is small (practice)."""
    return thread.designation.startswith("#") or thread.major * 16 % 2 == 0 or thread.major < 0.6


UNIFIED = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=lambda thread: unified.RULES,
    letters=_letters,
    percent=SIXTY,
    drills="inch",
    typed=Typed(WORDS),
    stressed="unified",
    preferred=inch_preferred,
    number=by_major,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=False,
)
