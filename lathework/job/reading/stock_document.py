"""The stock of a part, read: its form may be typed behind its size."""

from __future__ import annotations

from lathework.job.part_declaration import STOCK_SIZE
from lathework.job.reading.job_reader import JobReader
from lathework.part.model import Stock
from lathework.part.stock import FINISHED_FORMS, StockForm, read_bar

SHORTEST_BAR_MM = 20.0
"""A shorter length of bar is a blank, not stock; a bolt that is cut down may be shorter."""


def read_stock(reader: JobReader) -> Stock | None:
    """The stock; None with what is wrong noted in `reader`."""
    reader.known("part.stock")
    form: StockForm = reader.chosen("part.stock.form")
    before, text = reader.wrong, reader.line("part.stock.across")
    typed, said = read_bar(text)
    across = reader.length_of(typed, "part.stock.across", STOCK_SIZE) if reader.wrong == before else None
    if said and form in FINISHED_FORMS:
        text = "Here the size is that of the part itself. Type it without the form of a bar."
        reader.fail("not-a-bar", "part.stock.across", text, (typed,))
    elif said:
        form = said
    before, bar_length = reader.wrong, reader.size("part.stock.bar_length")
    if form != "bolt" and bar_length is not None and reader.wrong == before and bar_length.mm < SHORTEST_BAR_MM:
        reader.fail("out-of-range", "part.stock.bar_length", "Bars must be at least 20 mm long.")
    return None if across is None else Stock(form, across, bar_length)
