"""Two threads laid over each other: the nut's outline over the bolt's, in step at the first thread, clashes filled."""

from __future__ import annotations

from itertools import groupby

from lathework.drawing.shapes import Label, Line, Path, Sheet
from lathework.threads.mating import Mating, Sizes
from lathework.threads.profile import Profile, profile
from lathework.threads.thread import Thread

WIDTH, HEIGHT = 1160.0, 260.0
MARGIN = 40.0
PITCHES = 7
BODY = 34.0
SAMPLES = 560


def _outline(thread: Thread, sizes: Sizes) -> Profile:
    return profile(
        thread.form, thread.pitch_mm, major=sizes.major, pitch_diameter=sizes.pitch_diameter, minor=sizes.minor
    )


def overlay_sheet(mating: Mating, *, pair: str = "middle") -> Sheet:
    """Nut over bolt at the sizes of `pair`, seven bolt pitches long; where metal meets metal it is filled."""
    met = next(m for m in mating.meetings if m.pair == pair)
    bolt, nut = _outline(mating.bolt, met.bolt), _outline(mating.nut, met.nut)
    long = PITCHES * mating.bolt.pitch_mm
    scale = (WIDTH - 2 * MARGIN) / long
    deep = max(met.bolt.major, met.nut.major) - min(met.bolt.minor, met.nut.minor)
    tall = min(scale, (HEIGHT - 2 * BODY - 40) / (deep / 2))
    left = (WIDTH - long * tall) / 2 if tall < scale else MARGIN
    scale = min(scale, tall)
    middle = (max(met.bolt.major, met.nut.major) + min(met.bolt.minor, met.nut.minor)) / 2

    def y(diameter: float) -> float:
        return HEIGHT / 2 - (diameter - middle) / 2 * scale

    def line(outline: Profile) -> Line:
        return tuple((left + x * scale, y(d)) for x, d in outline.run(long / outline.pitch))

    def filled(run: list[tuple[float, float, float]]) -> Line:
        high = tuple((left + x * scale, y(d)) for x, d, _ in run)
        return high + tuple((left + x * scale, y(d)) for x, _, d in reversed(run))

    under, over = line(bolt), line(nut)
    bottom, top = y(min(met.bolt.minor, met.nut.minor)) + BODY, y(max(met.bolt.major, met.nut.major)) - BODY
    paths = [
        Path("nut", ((*over, (over[-1][0], top), (over[0][0], top)),), closed=True),
        Path("part", ((*under, (under[-1][0], bottom), (under[0][0], bottom)),), closed=True),
        *(Path("clash", (filled(run),), closed=True) for run in _clashes(bolt, nut, long) if len(run) > 1),
    ]
    labels = (
        Label(WIDTH / 2, top - 6, f"{mating.nut.designation} nut", f"{mating.nut.designation} nut"),
        Label(WIDTH / 2, bottom + 16, f"{mating.bolt.designation} bolt", f"{mating.bolt.designation} bolt"),
    )
    title = f"{mating.nut.designation} nut laid over a {mating.bolt.designation} bolt, {pair} pair, to scale"
    return Sheet(WIDTH, HEIGHT, tuple(paths), labels, title, scale)


def _clashes(bolt: Profile, nut: Profile, long: float) -> list[list[tuple[float, float, float]]]:
    """Runs of (along, bolt's diameter, nut's diameter) where the bolt is larger than the room in the nut."""
    places = [long * n / SAMPLES for n in range(SAMPLES + 1)]
    sampled = [(x, bolt.diameter_at(x), nut.diameter_at(x)) for x in places]
    return [list(run) for clash, run in groupby(sampled, key=lambda s: s[1] > s[2]) if clash]
