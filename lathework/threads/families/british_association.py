"""British Association threads: BS 93."""

from __future__ import annotations

from collections.abc import Iterable

from lathework.tables.loader import load
from lathework.threads.families.family import Letter, Percent, Series, ThreadFamily, Typed, all_alike, both
from lathework.threads.forms import BA_FORM
from lathework.threads.series import tabulated
from lathework.threads.standards import british_association
from lathework.threads.thread import Thread

CODE = "ba"
SERIES = (Series("BA", "British Association", "British Association, 47.5 degree flanks, millimetre sizes", 120),)


def _threads() -> Iterable[Thread]:
    table = load("ba")
    for row in table.rows:
        yield tabulated(row, table, designation=f"{row.text('number')} BA", family=CODE, series="BA", form=BA_FORM)


def _number(thread: Thread) -> float:
    return float(thread.plain_name.split()[0])


def _letters(thread: Thread) -> list[Letter]:
    number = thread.plain_name.split()[0]
    told = f"the BA number: pitch 0.9^{number} mm, major {both(thread.major, thread)}"
    return [Letter(number, told), Letter("BA", SERIES[0].means)]


BRITISH_ASSOCIATION = ThreadFamily(
    code=CODE,
    series=SERIES,
    threads=_threads,
    rules=lambda thread: british_association.RULES,
    letters=_letters,
    percent=Percent(1.2, "BA: 1.2 P is 100 %", 77.0),
    drills="metric",
    typed=Typed(patterns=((r"(?:no\.?\s*)?(?P<a>\d{1,3})\s*ba|ba\s*(?P<b>\d{1,3})", "{a}{b} BA"),)),
    stressed="mean",
    preferred=all_alike,
    number=_number,
    crests_cut=True,
    pipe=False,
    by_limits=False,
    classes_as_typed=False,
)
