"""Nut over bolt in the axial plane, to scale: each at its limits, the room between them left open."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.drawing.shapes import Label, Line, Path, Role, Sheet
from lathework.threads.profile import Point, Profile, profile
from lathework.threads.standards.bands import Band, ExternalLimits, InternalLimits
from lathework.threads.thread import Thread
from lathework.units import LengthUnit, show_both

WIDTH, HEIGHT = 1160.0, 312.0
MARGIN = 250.0
"""Room at each side for the figures."""
PITCHES = 2.0
BODY = 40.0
"""Metal drawn behind the roots, in sheet units."""
ROOM = 20.0
"""Kept free above and below, in sheet units."""
ROW = 21.0
"""Height of a figure's line."""


@dataclass(frozen=True, slots=True)
class _Scale:
    """Thread units to sheet units: `middle` is the diameter drawn at half height."""

    per_unit: float
    middle: float
    left: float

    def y(self, diameter: float) -> float:
        return HEIGHT / 2 - (diameter - self.middle) / 2 * self.per_unit

    def line(self, points: list[Point]) -> Line:
        return tuple((self.left + x * self.per_unit, self.y(d)) for x, d in points)


def _band(scale: _Scale, role: Role, least: Profile, greatest: Profile) -> Path:
    """The zone between an outline at its least and at its greatest."""
    low, high = scale.line(least.run(PITCHES)), scale.line(greatest.run(PITCHES))
    return Path(role, (high + tuple(reversed(low)),), closed=True)


def _metal(scale: _Scale, role: Role, outline: Profile, edge: float) -> Path:
    line = scale.line(outline.run(PITCHES))
    return Path(role, ((*line, (line[-1][0], edge), (line[0][0], edge)),), closed=True)


def _range(name: str, low: float, high: float, unit: LengthUnit) -> tuple[str, str]:
    (a, b), (c, d) = show_both(low, unit), show_both(high, unit)
    return f"{name} {a} to {c}", f"{name} {b} to {d}"


def _figures(
    scale: _Scale, rows: list[tuple[str, float, float]], unit: LengthUnit, *, left: bool, words: Label
) -> tuple[list[Path], list[Label]]:
    """Limits beside the drawing, each on its own line with a leader to its diameter; one limit alone is a bound."""
    paths, labels = [], []
    edge = scale.left if left else WIDTH - scale.left
    at = [scale.y((low + high) / 2) for _, low, high in rows]
    for row in range(1, len(at)):
        at[row] = max(at[row], at[row - 1] + ROW)
    for (name, low, high), y in zip(rows, at, strict=True):
        true = scale.y((low + high) / 2)
        bend = edge - 26 if left else edge + 26
        paths.append(Path("leader", (((edge, true), (bend, y - 5)),)))
        inch, mm = _range(name, low, high, unit) if low != high else (f"{name} {t}" for t in show_both(low, unit))
        x = bend - 6 if left else bend + 6
        labels.append(Label(x, y, inch, mm, anchor="end" if left else "start"))
    return paths, [*labels, words]


def _of(thread: Thread, *, major: float, pitch_diameter: float, minor: float) -> Profile:
    return profile(thread.form, thread.pitch, major=major, pitch_diameter=pitch_diameter, minor=minor)


def _bolt(thread: Thread, limits: ExternalLimits, *, greatest: bool) -> Profile:
    major, across, minor = limits.major, limits.pitch_diameter, limits.minor_max.value
    if greatest:
        return _of(thread, major=major.maximum, pitch_diameter=across.maximum, minor=minor)
    return _of(thread, major=major.minimum, pitch_diameter=across.minimum, minor=minor - across.tolerance)


def _nut(thread: Thread, limits: InternalLimits, *, greatest: bool) -> Profile:
    minor, across, major = limits.minor, limits.pitch_diameter, limits.major_min.value
    if greatest:
        return _of(thread, major=major + across.tolerance, pitch_diameter=across.maximum, minor=minor.maximum)
    return _of(thread, major=major, pitch_diameter=across.minimum, minor=minor.minimum)


def _row(band: Band, name: str) -> tuple[str, float, float]:
    return name, band.minimum, band.maximum


def profile_sheet(thread: Thread, external: ExternalLimits | None, internal: InternalLimits | None) -> Sheet:
    """Internal thread over external, to scale; a thread without limits is drawn at its basic sizes.

    Tolerance zones are shaded between least and greatest; the clearance is the open strip between the zones.
    """
    along = PITCHES * thread.pitch
    tall = (HEIGHT - 2 * BODY - ROOM) / ((thread.major - thread.minor) / 2)
    per_unit = min((WIDTH - 2 * MARGIN) / along, tall)
    scale = _Scale(per_unit, (thread.major + thread.minor) / 2, (WIDTH - along * per_unit) / 2)
    basic = _of(thread, major=thread.major, pitch_diameter=thread.pitch_diameter, minor=thread.minor)
    paths: list[Path] = []
    labels: list[Label] = []
    bottom = scale.y(thread.minor) + BODY
    top = scale.y(thread.major) - BODY
    if internal is not None:
        least, greatest = (_nut(thread, internal, greatest=g) for g in (False, True))
        paths += [_metal(scale, "nut", greatest, top), _band(scale, "nut-zone", least, greatest)]
        major = internal.major_min.value
        rows = [("major from", major, major), _row(internal.pitch_diameter, "pitch"), _row(internal.minor, "minor")]
        name = f"nut {internal.class_name}"
        words = Label(WIDTH - scale.left + 32, top + 14, name, name, anchor="start")
        more, told = _figures(scale, rows, thread.unit, left=False, words=words)
        paths, labels = paths + more, labels + told
    if external is not None:
        least, greatest = (_bolt(thread, external, greatest=g) for g in (False, True))
        paths += [_metal(scale, "part", least, bottom), _band(scale, "zone", least, greatest)]
        minor = external.minor_max.value
        rows = [_row(external.major, "major"), _row(external.pitch_diameter, "pitch"), ("minor to", minor, minor)]
        name = f"bolt {external.class_name}"
        words = Label(scale.left - 32, bottom - 4, name, name, anchor="end")
        more, told = _figures(scale, rows, thread.unit, left=True, words=words)
        paths, labels = paths + more, labels + told
    if external is None and internal is None:
        paths.append(_metal(scale, "part", basic, bottom))
    across = scale.y(thread.pitch_diameter)
    paths.append(Path("centre", (((scale.left - 16, across), (WIDTH - scale.left + 16, across)),)))
    title = f"{thread.designation}, internal over external thread at their limits, to scale"
    return Sheet(WIDTH, HEIGHT, tuple(paths), tuple(labels), title, scale.per_unit)
