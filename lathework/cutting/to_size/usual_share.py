"""How far work gives way under a cut, as long as nobody knows better."""

from __future__ import annotations

from lathework.cutting.to_size.spring_back import SPRINGS

STIFF_RATIO, SLACKER, MOST_SPRINGS, FORCE = 2.0, 0.25, 0.06, 2000.0
"""Stick-out over diameter up to which work is stiff; by what share more springs away for each diameter past that; the
most that is believed before anything was cut; the cutting force of a plain steel, N/mm² (practice)."""


def usual_share(stick_out: float, force: float) -> float:
    """The share of a cut that is believed to spring away before anything was cut (a bare number).

    `stick_out` is how many of its diameters the work stands out (a number), `force` the metal's specific cutting force
    in N/mm². Source: practice.

    >>> usual_share(1, 2000), usual_share(6, 2000), usual_share(1, 800)
    (0.02, 0.04, 0.008)
    """
    slack = 1 + SLACKER * max(0.0, stick_out - STIFF_RATIO)
    return min(MOST_SPRINGS, SPRINGS * force / FORCE * slack)
