"""What to grip a piece by when one end of it is worked: a plain body near the work before a finished thread."""

from __future__ import annotations

from lathework.planning.holdings.chucking import ALIKE_MM, Grip, Placed
from lathework.planning.holdings.order import CENTRE_RATIO, HOLD_CLEARANCE_MM, LEAST_GRIP_MM, over

CLEAR_MM = 1.5
"""Kept between a shoulder and what holds the work behind it: soft jaws, a bush (practice)."""
LEAST_IN_BUSH_MM = 2.0
"""Least that soft jaws or a threaded bush can hold (practice)."""


def _bodies(placed: tuple[Placed, ...], made: int) -> list[list[Placed]]:
    """Plain sections behind the first `made` (a count), neighbours of one diameter together."""
    runs: list[list[Placed]] = []
    for p in placed[made:]:
        if p.thread is not None:
            continue
        joins = runs and abs(runs[-1][-1].turned_mm - p.turned_mm) < ALIKE_MM and runs[-1][-1].far_mm == p.near_mm
        if joins and p.section.taper is None and runs[-1][-1].section.taper is None:
            runs[-1].append(p)
        else:
            runs.append([p])
    return runs


def _gripped(placed: Placed, length_mm: float) -> Grip:
    return Grip(
        f"the {placed.name}",
        placed.held_mm,
        length_mm,
        placed.turned_mm,
        flats=placed.bar is not None,
        on_thread=placed.thread is not None,
        tapered=placed.section.taper is not None,
    )


def _on_body(run: list[Placed]) -> tuple[Grip, float]:
    near, far = run[0].near_mm, run[-1].far_mm
    # A little clear of the shoulder and of the face, and never so much that the jaws have too little.
    stick_out = near + max(0.0, min(HOLD_CLEARANCE_MM, far - near - LEAST_GRIP_MM))
    stick_out = max(stick_out, min(HOLD_CLEARANCE_MM, (near + far) / 2), near + min(CLEAR_MM, (far - near) / 2))
    longest = max(run, key=lambda p: p.far_mm - p.near_mm)
    return _gripped(longest, max(0.0, far - stick_out)), stick_out


def _on_thread(placed: Placed) -> tuple[Grip, float]:
    length = placed.far_mm - placed.near_mm
    stick_out = max(placed.near_mm + min(CLEAR_MM, length / 4), min(HOLD_CLEARANCE_MM, placed.near_mm + length / 2))
    return _gripped(placed, max(0.0, placed.far_mm - stick_out)), stick_out


def _worse(found: tuple[Grip, float]) -> tuple[int, float]:
    """How much worse a grip is than a plain body well held close to the work: a thread in a bush, a short body in soft
    jaws, anything far from the work; worst of all a taper, which jaws touch in a ring."""
    grip, stick_out = found
    ratio = stick_out / grip.across_mm
    if grip.tapered:
        return 4, ratio
    if over(ratio, CENTRE_RATIO) or grip.length_mm < LEAST_IN_BUSH_MM:
        return 3, ratio
    if grip.on_thread:
        return 1, 0.0
    return (0, 0.0) if grip.length_mm >= LEAST_GRIP_MM else (2, 0.0)


def grip_of(placed: tuple[Placed, ...], made: int) -> tuple[Grip, float]:
    """The best thing to grip behind the first `made` sections (a count), and how far the work then stands out (mm).

    A plain body close to the work; else a thread in a bush, a short body in soft jaws, whatever is least far out. Among
    equals the one nearest to the work. Source: practice.
    """
    there = placed if made >= len(placed) else placed[made:]
    threads = [_on_thread(p) for p in there if p.thread is not None]
    bodies = [_on_body(run) for run in _bodies(there, 0)]
    return min([*bodies, *threads], key=lambda found: (*_worse(found), found[1]))
