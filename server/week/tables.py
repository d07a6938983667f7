"""The week and its cutting list as CSV."""

from __future__ import annotations

import csv
import io

from lathework.spreadsheet import guarded
from lathework.week.bars import Cutting
from lathework.week.model import Order
from lathework.week.words import at
from server.week.gather import Gathered

WEEK = ("begin", "end", "job", "task", "pieces", "where", "who", "setting_up_min", "minutes", "wanted")
CUTS = ("bar", "bar_mm", "job", "pieces", "each_mm", "left_mm")


def week_csv(gathered: Gathered, order: Order, names: dict[str, str]) -> str:
    """The tasks in their order."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(WEEK)
    days = {one.job.pk: one.wish.day for one in gathered.left}
    for one in order.bookings:
        task = one.task
        day = days[task.job]
        moments = (at(gathered.now, minute).isoformat(timespec="minutes") for minute in (one.begin, one.end))
        words = map(guarded, (task.title, task.what))
        where = guarded(names.get(task.station, "Lathe"))
        numbers = (str(one.setting_up), str(task.minutes), day.isoformat() if day else "")
        writer.writerow((*moments, *words, str(task.pieces), where, guarded(one.person), *numbers))
    return out.getvalue()


def cutting_csv(cutting: Cutting) -> str:
    """Which pieces are cut from which bar, in millimetres; what is to buy has no bar."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(CUTS)
    for bar in cutting.bars:
        for wanted, pieces in bar.cuts:
            cells = (f"{bar.long_mm:.0f}", guarded(wanted.title), str(pieces), f"{wanted.each_mm:.1f}")
            writer.writerow((guarded(bar.name), *cells, f"{max(0.0, bar.left_mm):.0f}"))
    for wanted, pieces in cutting.missing:
        writer.writerow(
            (f"to buy: {guarded(wanted.called)}", "", guarded(wanted.title), pieces, f"{wanted.each_mm:.1f}", "")
        )
    return out.getvalue()
