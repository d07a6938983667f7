"""The lathe as it stands between two acts: the metal, what holds it, what this lathe and its tools can do."""

from __future__ import annotations

from lathework.lathe.metal import Metal
from lathework.part.model import Edge
from lathework.value import value

GRIP_NM = 1.2
"""Torque that three jaws hold for each millimetre of the diameter they close on, in N m: about 12 kN in all at a
friction of 0.2 (practice)."""
ON_FLATS = 3.0
"""How many times as much they hold by the flats of a bar (practice)."""
TUBE_SHARE, ON_TUBE = 0.6, 0.4
"""Hole over diameter from which jaws hold a tube, and what share of a solid bar's torque they dare (practice)."""
FULL_GRIP_MM = 8.0
"""Length in the jaws under which they hold less in proportion (practice)."""
REACH_WIDTHS = 10.0
"""How far a parting blade may stand out, over its width (practice)."""
WALL_MM = 1.0
"""Metal left round a hole that the blade still goes through, in millimetres (practice)."""

LEAST_LEFT_MM = 0.4
"""Least metal round a hole, on the diameter, that any cut may leave (practice)."""
CHUCK_DEEP_MM = 50.0
"""How far work goes into the chuck behind the jaws' face before it meets the spindle's bore (practice)."""


@value
class Machine:
    """What the lathe and its tools are: what passes its spindle (millimetres, None where nobody said), how wide its
    parting blade is."""

    spindle_mm: float | None
    blade_mm: float

    @property
    def blade_reach_mm(self) -> float:
        """How deep the parting blade goes, in millimetres."""
        return REACH_WIDTHS * self.blade_mm


@value
class Grip:
    """What holds the work: the end that stands out, what the jaws close on and how much of it they have, how far the
    work stands out; in millimetres. `flats` of bar, `clamped` in a bush, a block or a vise, which does not slip."""

    faces: Edge
    across_mm: float
    length_mm: float
    stick_out_mm: float
    flats: bool = False
    clamped: bool = False


@value
class Lathe:
    """The lathe as it stands: its metal, its grip, whether a centre or a steady holds the free end up, and how wide the
    centre hole in each end is."""

    metal: Metal
    machine: Machine
    grip: Grip | None = None
    held_up: bool = False
    centres: tuple[tuple[Edge, float], ...] = ()

    def with_metal(self, metal: Metal) -> Lathe:
        """The same lathe with other metal in it."""
        # Made anew, not replaced: a plan is run at each key.
        return Lathe(metal, self.machine, self.grip, self.held_up, self.centres)

    @property
    def faces(self) -> Edge:
        """The end that is worked."""
        assert self.grip is not None  # nothing is cut before it is held
        return self.grip.faces

    @property
    def holds_nm(self) -> float:
        """Torque up to which the work does not turn in what holds it, in newton metres."""
        grip = self.grip
        if grip is None or grip.clamped:
            return float("inf")
        near, far = self.metal.span(grip.faces, grip.stick_out_mm, grip.stick_out_mm + grip.length_mm)
        whole = GRIP_NM * grip.across_mm * min(1.0, grip.length_mm / FULL_GRIP_MM)
        tube = self.metal.hollow_mm(near, far) > TUBE_SHARE * grip.across_mm
        return whole * (ON_FLATS if grip.flats else 1.0) * (ON_TUBE if tube else 1.0)
