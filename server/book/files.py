"""A thread's limits as CSV."""

from __future__ import annotations

import csv
import io

from lathework.answers.book.card import Card
from lathework.answers.values import figure_text
from lathework.figures import Figure

COLUMNS = ("side", "diameter", "limit", "inches", "millimetres", "formula", "source")


def _rows(card: Card) -> list[tuple[str, str, str, Figure]]:
    out: list[tuple[str, str, str, Figure]] = []
    if card.size.external is not None:
        for band in (card.size.external.major, card.size.external.pitch_diameter):
            least, greatest = band.figures()
            out += [("external", band.name, "least", least), ("external", band.name, "greatest", greatest)]
        out.append(("external", "minor", "greatest", card.size.external.minor_max))
    if card.size.internal is not None:
        out.append(("internal", "major", "least", card.size.internal.major_min))
        for band in (card.size.internal.pitch_diameter, card.size.internal.minor):
            least, greatest = band.figures()
            out += [("internal", band.name, "least", least), ("internal", band.name, "greatest", greatest)]
    return out


def limits_csv(card: Card) -> str:
    """The limits of a thread, one row a limit, in both units (RFC 4180)."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(COLUMNS)
    for side, name, limit, figure in _rows(card):
        told = [figure_text(figure, unit).split()[0] for unit in ("in", "mm")]
        writer.writerow([side, name, limit, *told, figure.formula, figure.source.title])
    return out.getvalue()
