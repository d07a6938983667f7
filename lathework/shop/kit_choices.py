"""What may be chosen of a thing in the shop: its state, its form."""

from __future__ import annotations

from typing import Literal, get_args

State = Literal["ready", "worn", "lent", "missing", "broken"]
STATES: tuple[State, ...] = get_args(State)
DieForm = Literal["split", "solid", "hexagon", "chasers"]
DIE_FORMS: tuple[DieForm, ...] = get_args(DieForm)
TapForm = Literal["set", "taper", "second", "bottoming", "spiral-point", "spiral-flute", "forming", "adjustable"]
TAP_FORMS: tuple[TapForm, ...] = get_args(TapForm)
ToolSteel = Literal["", "carbon", "high-speed", "carbide"]
TOOL_STEELS: tuple[ToolSteel, ...] = get_args(ToolSteel)
Lead = Literal["", "marked", "plain", "both"]
"""Which side of a die has the longer lead: nobody looked, the marked one, the other, both alike."""
LEADS: tuple[Lead, ...] = get_args(Lead)
Said = Literal["", "yes", "no"]
SAID: tuple[Said, ...] = get_args(Said)
BladeUse = Literal["either", "parting", "grooving"]
BLADE_USES: tuple[BladeUse, ...] = get_args(BladeUse)
ToolForm = Literal["knife", "threading", "boring", "chamfering", "knurling", "form"]
TOOL_FORMS: tuple[ToolForm, ...] = get_args(ToolForm)
Morse = Literal["", "0MT", "1MT", "2MT", "3MT", "4MT", "5MT"]
MORSE: tuple[Morse, ...] = get_args(Morse)
"""Morse tapers of tailstocks and shanks; empty where nobody said."""
Shank = Literal["", "0MT", "1MT", "2MT", "3MT", "4MT", "5MT", "straight", "on-a-guide"]
SHANKS: tuple[Shank, ...] = get_args(Shank)
Screws = Literal["", "three-at-the-split", "two-opposed", "four"]
SCREWS: tuple[Screws, ...] = get_args(Screws)
ChuckForm = Literal["three-jaw", "four-jaw", "collet", "drill", "faceplate"]
CHUCK_FORMS: tuple[ChuckForm, ...] = get_args(ChuckForm)
CentreForm = Literal["dead", "live", "half", "pipe"]
CENTRE_FORMS: tuple[CentreForm, ...] = get_args(CentreForm)
Point = Literal["flat", "radius", "sharp", "full-form", "chaser"]
POINTS: tuple[Point, ...] = get_args(Point)
"""How the point of a threading tool is ground."""
Ground = Literal["", "flat", "radius", "sharp", "full-form", "chaser"]
GROUND: tuple[Ground, ...] = get_args(Ground)
"""The same, "" where nobody said."""
GaugeForm = Literal["ring", "plug", "nut", "mate", "wires", "leaf"]
GAUGE_FORMS: tuple[GaugeForm, ...] = get_args(GaugeForm)
InstrumentForm = Literal["caliper", "micrometer", "indicator", "rule"]
INSTRUMENT_FORMS: tuple[InstrumentForm, ...] = get_args(InstrumentForm)
BarForm = Literal["round", "hexagon", "square"]
BAR_FORMS: tuple[BarForm, ...] = get_args(BarForm)
