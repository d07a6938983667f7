"""A thread sized, as plain dictionaries. No rule is computed here."""

from __future__ import annotations

from lathework.answers.card import Card, Wires
from lathework.answers.size import Size
from lathework.cutting.blank import SCHOOL_NAMES, BlankChoice
from lathework.drawing.profile.overlay import overlay_sheet
from lathework.figures import Figure
from lathework.present.sheets import sheet_json
from lathework.present.values import Json, figure_json, length_shown
from lathework.threads.limits.bands import Band, ExternalLimits, InternalLimits
from lathework.threads.mating import Mating
from lathework.threads.taper import TaperLengths
from lathework.threads.thread import Thread
from lathework.threads.working import basic_figures
from lathework.units import round_half_up


def thread_json(thread: Thread) -> Json:
    """The basic sizes of a thread, in its own unit."""
    return {
        "designation": thread.designation,
        "family": thread.family,
        "series": thread.series,
        "angle_deg": thread.form.angle_deg,
        "unit": thread.unit,
        "tpi": thread.tpi,
        "pitch": thread.pitch,
        "basic": {"major": thread.major, "pitch_diameter": thread.pitch_diameter, "minor": thread.minor},
        "special": thread.special,
        "hand": thread.hand,
        "starts": thread.starts,
        "lead": thread.lead,
        "taper": thread.taper,
        "notes": list(thread.notes),
        "source": {"kind": thread.source.kind, "title": thread.source.title},
    }


def _places(value: float, unit: str) -> float:
    return round_half_up(value, 5 if unit == "in" else 4)


def _blank_numbers(choice: BlankChoice) -> Json:
    return {
        "school": choice.school,
        "diameter": choice.diameter.value,
        "crest_percent": round(choice.crest_percent.value, 1),
        "within_class": choice.within_class,
        "verdict": choice.verdict,
        "source": choice.diameter.source.kind,
    }


def _limits(band: Band) -> list[float]:
    return [band.minimum, band.maximum]


def _external(limits: ExternalLimits | None) -> Json | None:
    if limits is None:
        return None
    return {
        "class": limits.class_name,
        "major": _limits(limits.major),
        "pitch_diameter": _limits(limits.pitch_diameter),
        "minor_max": limits.minor_max.value,
        "notes": list(limits.notes),
    }


def _internal(limits: InternalLimits | None) -> Json | None:
    if limits is None:
        return None
    return {
        "class": limits.class_name,
        "minor": _limits(limits.minor),
        "pitch_diameter": _limits(limits.pitch_diameter),
        "major_min": limits.major_min.value,
        "notes": list(limits.notes),
    }


def _taper(lengths: TaperLengths | None) -> Json | None:
    if lengths is None:
        return None
    return {
        "gauge_length": lengths.gauge_length.value,
        "gauge_tolerance": lengths.gauge_tolerance.value if lengths.gauge_tolerance else None,
        "useful_length": lengths.useful_length.value,
    }


def size_json(size: Size) -> Json:
    """The size answer in numbers: the command line's contract. Lengths in the thread's own unit."""
    unit = size.thread.unit
    groove, over = size.groove, size.over_wires
    return thread_json(size.thread) | {
        "blank": [_blank_numbers(b) for b in size.blanks],
        "tapping_drills": [
            {
                "name": d.drill.name,
                "diameter": _places(d.diameter, unit),
                "percent": round(d.percent, 1),
                "convention": d.convention,
            }
            for d in size.drills
        ],
        "groove": {"diameter": groove.diameter.value, "width": _places(groove.width.value, unit)} if groove else None,
        "chamfer": {"diameter": size.chamfer.value} if size.chamfer else None,
        "wires": {
            "best": _places(size.wire.value, unit),
            "over_wires": [_places(figure.value, unit) for figure in over] if over else None,
        },
        "stress_area": round(size.stress_area.value, 5) if size.stress_area else None,
        "external": _external(size.external),
        "internal": _internal(size.internal),
        "taper_lengths": _taper(size.taper),
    }


def size_shown(size: Size) -> Json:
    """The size answer for a screen: the numbers, and the figures with their working."""
    return size_json(size) | {
        "figures": {
            "basic": [figure_json(f) for f in basic_figures(size.thread)],
            "blank": [
                {"school": SCHOOL_NAMES[b.school], "figure": figure_json(b.diameter), "within_class": b.within_class}
                for b in size.blanks
            ],
            "groove": [figure_json(size.groove.diameter), figure_json(size.groove.width)] if size.groove else [],
            "chamfer": figure_json(size.chamfer) if size.chamfer else None,
            "wire": figure_json(size.wire),
        },
    }


def _pair(figures: tuple[Figure, Figure]) -> list[Json]:
    return [figure_json(figure) for figure in figures]


def _wires(wires: Wires | None) -> Json | None:
    if wires is None:
        return None
    return {
        "chosen": figure_json(wires.chosen),
        "over": _pair(wires.over),
        "range": _pair(wires.range),
        "lead_angle": figure_json(wires.lead_angle),
        "drawer": [{"name": d.name, "shown": length_shown(d.diameter_mm)} for d in wires.drawer],
        "serves": wires.serves,
    }


def _limit_rows(size: Size) -> list[Json]:
    """The table of limits: one row for each diameter of each side, its least and greatest as figures."""
    rows: list[Json] = []
    if size.external is not None:
        out = size.external
        rows += [
            {"side": "external", "name": band.name, "least": figure_json(least), "greatest": figure_json(greatest)}
            for band in (out.major, out.pitch_diameter)
            for least, greatest in (band.figures(),)
        ]
        rows.append({"side": "external", "name": "minor", "least": None, "greatest": figure_json(out.minor_max)})
    if size.internal is not None:
        inside = size.internal
        rows.append({"side": "internal", "name": "major", "least": figure_json(inside.major_min), "greatest": None})
        rows += [
            {"side": "internal", "name": band.name, "least": figure_json(least), "greatest": figure_json(greatest)}
            for band in (inside.pitch_diameter, inside.minor)
            for least, greatest in (band.figures(),)
        ]
    return rows


def _lengths(size: Size) -> list[Json]:
    """Lengths of a taper thread, and the blank of one that is cut outside."""
    taper, blank = size.taper, size.taper_blank
    lengths = (taper.gauge_length, taper.gauge_tolerance, taper.useful_length) if taper else ()
    ends = (blank.small, blank.large, blank.angle, blank.turns) if blank else ()
    return [figure_json(figure) for figure in (*lengths, *ends) if figure]


def card_json(card: Card) -> Json:
    """A thread's page: the size answer, its limits as figures, letters, wires, gauges, drawing."""
    return size_shown(card.size) | {
        "letters": [{"text": letter.text, "means": letter.means} for letter in card.letters],
        "external_classes": list(card.external_classes),
        "internal_classes": list(card.internal_classes),
        "limits": _limit_rows(card.size),
        "three_wires": _wires(card.wires),
        "micrometer": figure_json(card.micrometer) if card.micrometer else None,
        "gauges": [figure_json(figure) for figure in card.gauges],
        "drill": [figure_json(figure) for figure in card.drill],
        "plating": [figure_json(figure) for figure in card.plating],
        "stress": figure_json(card.size.stress_area) if card.size.stress_area else None,
        "lengths": _lengths(card.size),
        "drawing": sheet_json(card.drawing),
    }


def mating_json(mating: Mating) -> Json:
    """One thread laid over another: verdict, figures, drawing."""
    return {
        "bolt": mating.bolt.designation,
        "nut": mating.nut.designation,
        "verdict": mating.verdict,
        "sentence": mating.sentence,
        "meetings": [
            {"pair": met.pair, "clearance": figure_json(met.clearance), "threads": met.threads}
            for met in mating.meetings
        ],
        "figures": [
            figure_json(f) for f in (mating.crest_room, mating.pitch_mismatch, mating.flank_mismatch, mating.overlap)
        ],
        "drawing": sheet_json(overlay_sheet(mating)),
    }


def row_json(thread: Thread) -> Json:
    """A thread as one line of the book."""
    return {
        "designation": thread.designation,
        "tpi": thread.tpi,
        "major": length_shown(thread.major_mm),
        "pitch": length_shown(thread.pitch_mm),
    }
