"""What there is to know of a lathe that the work depends on: its dial, its readout, its weight, how its chuck sits."""

from __future__ import annotations

from typing import Literal, get_args

Dial = Literal["diameter", "radius"]
DIALS: tuple[Dial, ...] = get_args(Dial)
Readout = Literal["readout", "stops"]
READOUTS: tuple[Readout, ...] = get_args(Readout)
Lathe = Literal["light", "middling", "heavy"]
"""How deep a lathe may cut, by its weight."""
LATHES: tuple[Lathe, ...] = get_args(Lathe)
Mount = Literal["unsaid", "screwed", "locked"]
"""How the chuck sits on the spindle: nobody said, screwed on its nose, or bolted or locked to it."""
MOUNTS: tuple[Mount, ...] = get_args(Mount)
ToolZeros = Literal["unsaid", "kept", "each"]
"""Whether a tool's zero stands while another is in the tool post."""
TOOL_ZEROS: tuple[ToolZeros, ...] = get_args(ToolZeros)
RUN_DOWN_TURNS = 1.0
"""Turns a spindle in back gear runs on after it is switched off, where nothing was said (practice)."""
