"""What each metal asks of the die and the tool (starting values, practice)."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cache

from lathework.tables.loader import load


@dataclass(frozen=True, slots=True)
class Material:
    """Starting values: blank fraction of the pitch under nominal; speeds in m/min, `head_speed` that of a self-opening
    die head; largest cut on diameter in mm;
    feed in mm a revolution; specific cutting force, tensile strength and `elastic` modulus in N/mm²; `expansion` in
    millionths a kelvin.

    `die_note` is what a die in it wants minded, "" for nothing more than usual. `form_tap` says whether a form tap
    flows it, `swells` whether a drill cuts over its size in it. `back_off_turns` is how far the die goes on before
    it is turned back to break the chip. `swarf` is what to do about its chips at the tool, and `swarf_why`.
    """

    code: str
    name: str
    blank_fraction: float
    thread_speed: float
    head_speed: float
    turning_speed: float
    back_off_turns: float
    max_cut_mm: float
    feed_mm: float
    cutting_force: float
    tensile: float
    expansion: float
    elastic: float
    form_tap: bool
    swells: bool
    lubricant: str
    die_note: str = ""
    swarf: str = ""
    swarf_why: str = ""


@cache
def materials() -> dict[str, Material]:
    """The metals by code. Source: practice."""
    return {
        row.text("code"): Material(
            code=row.text("code"),
            name=row.text("name"),
            blank_fraction=float(row.number("blank_fraction")),
            thread_speed=float(row.number("thread_speed")),
            head_speed=float(row.number("head_speed")),
            turning_speed=float(row.number("turning_speed")),
            back_off_turns=float(row.number("back_off_turns")),
            max_cut_mm=float(row.number("max_cut")),
            feed_mm=float(row.number("feed")),
            cutting_force=float(row.number("cutting_force")),
            tensile=float(row.number("tensile")),
            expansion=float(row.number("expansion")),
            elastic=float(row.number("elastic")),
            form_tap=row.text("form_tap") == "yes",
            swells=row.text("swells") == "yes",
            lubricant=row.text("lubricant"),
            die_note=row.text("die_note"),
            swarf=row.text("swarf"),
            swarf_why=row.text("swarf_why"),
        )
        for row in load("materials").rows
    }
