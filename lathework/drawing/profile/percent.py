"""Strength and torque against per cent thread: what a fuller thread gives, and what it costs."""

from __future__ import annotations

from lathework.drawing.shapes import Label, Path, Sheet
from lathework.holes.depth import hole_for
from lathework.holes.percent import metal_cut
from lathework.holes.strength import external_shear
from lathework.threads.standards.bands import ExternalLimits
from lathework.threads.thread import Thread
from lathework.units import show_share

WIDTH, HEIGHT = 560.0, 250.0
LEFT, RIGHT, TOP, BOTTOM = 52.0, 120.0, 22.0, 38.0
LOWEST, HIGHEST, STEP = 40, 100, 5


def _x(percent: float) -> float:
    return LEFT + (percent - LOWEST) / (HIGHEST - LOWEST) * (WIDTH - LEFT - RIGHT)


def _y(share: float) -> float:
    return HEIGHT - BOTTOM - share * (HEIGHT - TOP - BOTTOM)


def _both(text: str) -> tuple[str, str]:
    return text, text


def percent_sheet(thread: Thread, limits: ExternalLimits, chosen: float) -> Sheet:
    """Strength of the bolt's thread and torque of the tap, each over its own at 100 per cent.

    `chosen` is the per cent thread (a bare number) that is marked.
    """
    percents = range(LOWEST, HIGHEST + 1, STEP)
    full = external_shear(thread, limits, hole_for(thread, HIGHEST).value).value
    strength = [external_shear(thread, limits, hole_for(thread, p).value).value / full for p in percents]
    torque = [metal_cut(p) / metal_cut(HIGHEST) for p in percents]
    paths = [
        Path("dimension", (((LEFT, _y(0)), (_x(HIGHEST), _y(0))), ((LEFT, _y(0)), (LEFT, _y(1))))),
        *(Path("leader", (((LEFT, _y(s)), (_x(HIGHEST), _y(s))),)) for s in (0.5, 1.0)),
        Path("edge", (tuple((_x(p), _y(s)) for p, s in zip(percents, strength, strict=True)),)),
        Path("ghost", (tuple((_x(p), _y(s)) for p, s in zip(percents, torque, strict=True)),)),
    ]
    labels = [
        *(Label(_x(p), HEIGHT - 16, *_both(f"{p} %")) for p in range(LOWEST, HIGHEST + 1, 20)),
        *(Label(LEFT - 6, _y(s) + 5, *_both(show_share(s)), anchor="end") for s in (0.5, 1.0)),
        Label(_x(HIGHEST) + 8, _y(strength[-1]) + 5, *_both("strength"), anchor="start"),
        Label(_x(HIGHEST) + 8, _y(torque[-1]) + 23, *_both("torque"), anchor="start"),
    ]
    if LOWEST <= chosen <= HIGHEST:
        paths.append(Path("centre", (((_x(chosen), _y(0)), (_x(chosen), _y(1))),)))
    title = f"{thread.designation}: strength and tapping torque against per cent thread, each over its own at 100 %"
    return Sheet(WIDTH, HEIGHT, tuple(paths), tuple(labels), title, 1.0)
