"""What an entry says, in words: for the log, for what it is found by."""

from __future__ import annotations

from lathework.bench.dispositions import DISPOSITIONS
from lathework.bench.entry import CUT_AGAIN, OF_A_HEAD, OF_A_TAP, ON_SCREW, SET, Entry
from lathework.cautions import HAZARD_NAMES
from lathework.dies.counted_from import on_screw, stands_from
from lathework.dies.scale import SCREW, graduated_tap, graduations
from lathework.dies.setting import stands_words
from lathework.gauging.causes import CAUSES, cause_of
from lathework.gauging.verdicts import MEANINGS
from lathework.part.thread_cutters import SET_CUTTERS
from lathework.units import show_both

KIND_WORDS: dict[str, str] = {
    "reading": "measured",
    "verdict": "gauged",
    "setting": "die",
    "cause": "cause of binding",
    "done": "done",
    "accept": "accepted",
    "scrap": "scrapped",
    "again": "redone",
    "note": "note",
    "pause": "pause",
    "go-on": "work went on",
    "read": "cautions read",
    "zero": "touched off",
    "zero-lost": "all tool zeros lost",
    "turn-to": "taken up",
    "take-up": "piece continued",
}
"""What was done, by the kind of its entry."""
MEASURED_WORDS: dict[str, str] = {
    "diameter": "",
    "far-end": "diameter at its far end",
    "length": "length",
    "width": "width",
    "bore": "bore",
    "depth": "depth",
    "over-flat": "over a flat",
    "across-flats": "across the flats",
    "chamfer": "chamfer",
    "mouth": "mouth",
    "run-out": "run-out",
}
"""What a reading is of; a bare one is of a diameter."""


SINCE_WORDS: dict[str, str] = {"seated": "put into its holder again", "honed": "honed, or given a new screw"}


def _setting(word: str, eighths: float | None, mate: str) -> str:
    """How a die was moved or set, or what came to it."""
    if word == CUT_AGAIN:
        return "die unchanged, thread cut further"
    if word == ON_SCREW:
        return f"set on {mate}: {stands_from(SCREW, eighths or 0.0, on_screw(mate))}"
    if word in SINCE_WORDS:
        return SINCE_WORDS[word]
    scale, move = SCREW, word.removesuffix(OF_A_HEAD).removesuffix(OF_A_TAP)
    if word != move:
        scale = graduations(None) if word.endswith(OF_A_HEAD) else graduated_tap(None)
    marks = eighths or 0.0
    if move == SET:
        return f"{move}: {scale.stands(marks)}"
    turned = {"open": "close", "close": "open"}.get(move, move) if scale.by == "tap" else move
    return f"{turned} {scale.words(marks)}"


def said(kind: str, word: str, eighths: float | None, text: str, measured: str = "", mate: str = "") -> str:
    """What an entry says beside its lengths: its word, its text, what was `measured`, the very `mate` of a thread, or
    by how many `eighths` (a number) a die was moved.

    >>> said("setting", "close", 2.0, "")
    'close 1/4 turn'
    """
    if kind in ("accept", "scrap", "again") and word in DISPOSITIONS:
        return f"{DISPOSITIONS[word].name}: {text}"
    if kind == "reading":
        return MEASURED_WORDS.get(measured, measured)
    if kind == "verdict":
        meaning = next((m for m in MEANINGS.values() if m.code == word), None)
        told = meaning.words if meaning else word
        return f"{told} ({mate})" if mate else told
    if kind == "cause":
        return next((cause_of(code).name for code in CAUSES if code == word), word)
    if kind == "read":
        return ", ".join(name for code, name in HAZARD_NAMES.items() if code in word.split())
    if kind == "setting":
        return _setting(word, eighths, mate)
    return text


def setting_words(eighths: float) -> str:
    """How far a die was opened in all, in words: a number of `eighths` of a turn of its screw, below 0 where closed.

    >>> setting_words(-2.0), setting_words(0.0)
    ('die closed 1/4 turn in total', 'die not adjusted')
    """
    return f"die {stands_words(eighths)} in total" if eighths else "die not adjusted"


def stood_words(cutter: str, marks: float) -> str:
    """How what cut a thread stood, in words: so many `marks` (a number) of a die's screw, or of a head's scale.

    >>> stood_words("die", 0.0), stood_words("die-head", -2.0), stood_words("threading-tool", 0.0)
    ('die not adjusted', 'head closed 2 graduations', 'single point')
    """
    thing = SET_CUTTERS[cutter]
    if thing.sized_by == "depth":
        return "single point"
    if thing.sized_by == "screws":
        return setting_words(marks)
    return f"head {graduations(None).stands(marks)}" if thing.opens else f"tap {graduated_tap(None).stands(marks)}"


def entry_told(entry: Entry) -> str:
    """What was recorded, in a line: a reading in both units, else its words."""
    told = said(entry.kind, entry.word, entry.eighths, entry.text, entry.measured, entry.mate)
    size = "" if entry.value_mm is None else "{} in, {} mm".format(*show_both(entry.value_mm, "mm"))
    return " ".join(filter(None, (KIND_WORDS[entry.kind], told, size)))


def entry_words(entry: Entry, typed: str) -> str:
    """Everything that is shown of an entry, and what was `typed`."""
    lengths = (entry.value_mm, entry.dialled_mm, entry.story.aim_mm if entry.value_mm is not None else None)
    shown = [" ".join(show_both(mm, "mm")) for mm in lengths if mm is not None]
    story = entry.story
    told = said(entry.kind, entry.word, entry.eighths, entry.text, entry.measured, entry.mate)
    named = (story.title, story.part, f"piece {entry.piece}", story.thread, story.class_name, story.metal)
    return " ".join((*named, KIND_WORDS[entry.kind], told, typed, *shown))
