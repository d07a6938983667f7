"""The week on paper: what to make when, where and for how long, with boxes to tick; what to lay out, cut and buy."""

from __future__ import annotations

from server.paper.fonts import BOLD
from server.paper.week_sheet import Sheet
from server.week.shown import WeekShown

_PLACES = (5.0, 51.0, 97.0, 137.0)


def week_sheet(week: WeekShown) -> bytes:
    """The paper of a week."""
    sheet = Sheet("This week", f"{week.hours or 'No hours'}. Planned {week.moment}.")
    names = {station.code: station.name for station in week.stations}
    sheet.heading("What to make, in this order")
    for one in week.bookings:
        begins = one.when.partition(" to ")[0]
        takes = f"{one.takes} + {one.setting_up} min set-up" if one.setting_up else one.takes
        where = f"{names[one.station]}, {one.person}" if len(week.people) > 1 else names[one.station]
        sheet.row((begins, f"{one.pieces} × {one.title}", where, takes), _PLACES, box=True)
    if week.jobs:
        sheet.heading("Done by")
    for job in week.jobs:
        wanted = f"wanted {job.day}" if job.day else "whenever"
        sheet.row((job.done or "no hours left", job.title, wanted, job.sure), (0.0, 46.0, 99.0, 144.0))
        sheet.made(job.quantity, job.steps_done / job.steps if job.steps else 0.0, 158.0)
    if week.lay_out:
        sheet.heading("To lay out next time")
    for thing in week.lay_out:
        sheet.row((thing.thing, thing.place), (5.0, 100.0), box=True)
    _bars(sheet, week)
    return sheet.pdf()


def _bars(sheet: Sheet, week: WeekShown) -> None:
    """The cutting list: each bar to scale, and what is to buy."""
    if week.bars or week.buys:
        sheet.heading("To cut")
    for bar in week.bars:
        sheet.text(f"{bar.name}: {bar.left} left", face=BOLD)
        for cut in bar.cuts:
            sheet.row((f"{cut.pieces} × {cut.each}", cut.title), (5.0, 50.0), box=True)
        sheet.bar(bar.shares)
    for line in week.buys:
        sheet.row((f"To buy: {line}",), (0.0,))
