"""No text that a person reads has more digits than can be read off a scale or dialled."""

from __future__ import annotations

import re
import unittest
from collections.abc import Iterator
from dataclasses import fields, is_dataclass
from typing import Any

from lathework.answers.gears_shown import geared, gears_shown
from lathework.answers.plan_shown import plan_shown
from lathework.answers.ways_shown import ways_shown
from lathework.outfit.choosing import choosings
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, body, bore, plan

TOO_FINE = re.compile(r"\d[.,]\d{5,}(?!\d| P\b)")
"""Four decimals of an inch are a tenth of a thousandth: what a vernier says. A factor of the pitch is a standard's."""
LEFT_OUT = frozenset({"d", "inputs", "formula"})
"""Coordinates of a drawing, which nobody reads; the working of a figure, which is exact so that it works out."""


def texts(value: Any, name: str = "") -> Iterator[tuple[str, str]]:
    """Every text within an answer, with the field that it stands in."""
    if name in LEFT_OUT:
        return
    if isinstance(value, str):
        yield name, value
    elif isinstance(value, dict):
        for key, one in value.items():
            yield from texts(one, str(key))
    elif isinstance(value, list | tuple):
        for one in value:
            yield from texts(one, name)
    elif is_dataclass(value) and not isinstance(value, type):
        for field in fields(value):
            yield from texts(getattr(value, field.name), field.name)


class Digits(unittest.TestCase):
    def check(self, answer: Any) -> None:
        found = list(texts(answer))
        self.assertGreater(len(found), 5)
        for name, text in found:
            self.assertIsNone(TOO_FINE.search(text), f"{name}: {text}")

    def test_plans_and_ways(self) -> None:
        """Odd sizes, pitches that are no round number, a speed that a lathe does not have."""
        odd = {"part.stock.across": "17.3 mm", "setup.speeds": "37, 61, 113.7, 260"}
        chased = {
            "part.sections.0.cut": "threading-tool",
            "setup.leadscrew": "8 tpi",
            "setup.gears": "20,30,37,47,63,80",
        }
        holes = body(bore("M10", depth="17.7 mm"), bore("3/4-16", end="left", depth="1/2"))
        for base in ({}, odd, chased, odd | chased, SCREW, TIE_ROD, PLUG, holes):
            made = plan(base)
            self.check(plan_shown(made))
            self.check(ways_shown(tuple(choosings(made, ())), made))

    def test_gears(self) -> None:
        for pitch in ("11.5 tpi", "0.7 mm", "M7", "27 tpi"):
            typed = {
                "pitch": pitch,
                "leadscrew": "8 tpi",
                "gears": "20,30,37,40,47,60,63,80,127",
                "gearbox": "9, 10 tpi",
            }
            self.check(gears_shown(geared(typed)))
