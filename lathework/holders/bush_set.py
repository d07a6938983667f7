"""A set of guide bushes: one for each thread, all for the hole of one stock."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from lathework.holders.design import Design, Dimensioned, Overruled
from lathework.holders.guide_bush import bush_for, usual_blank
from lathework.holders.making import holder_job
from lathework.lengths import Length
from lathework.planning.notice import Notice
from lathework.shop.metals import Material
from lathework.threads.thread import Thread

OF_THE_STOCK = ("outside", "collar across", "bar to make it of")
"""The dimensions that all bushes for a stock share."""


def bush_set(
    threads: Sequence[Thread], *, seat: Length, deep: Length | None, metal: Material, own: Overruled
) -> Design:
    """A bush for each of the `threads`, all for one stock, as a job of so many parts; told in the unit of `own`, what
    the person sets. `seat` and `deep` are of the stock's hole. Source: practice."""
    bushes = {
        thread.designation: bush_for(thread, seat=seat, deep=deep, blank_mm=usual_blank(thread, metal), own=own)
        for thread in threads
    }
    title = f"Guide bushes, {', '.join(bushes)}"
    document = holder_job(
        title,
        fits="die stock",
        unit=own.unit,
        metal=metal,
        parts=tuple(one.made for one in bushes.values()),
        becomes="; ".join(one.becomes for one in bushes.values()),
    )
    first = next(iter(bushes.values()))
    shared = [told for told in first.dimensions if told.figure.name in OF_THE_STOCK]
    own_ones = [_of_its(name, told) for name, one in bushes.items() for told in one.dimensions if told not in shared]
    against = [_against_its(name, notice) for name, one in bushes.items() for notice in one.conflicts]
    conflicts = tuple({notice.text: notice for notice in against}.values())
    return Design(title, (*shared, *own_ones), conflicts, document, first.lying)


def _of_its(name: str, told: Dimensioned) -> Dimensioned:
    """A dimension of the bush for the thread of that name; nothing sets it for that one alone."""
    return Dimensioned(replace(told.figure, name=f"{name}: {told.figure.name}"), told.why)


def _against_its(name: str, notice: Notice) -> Notice:
    """What is against the bush for the thread of that name; what the stock lacks is said once."""
    if notice.field == "deep":
        return notice
    return Notice(f"{notice.code}-{name}", notice.field, f"{name}: {notice.text}")
