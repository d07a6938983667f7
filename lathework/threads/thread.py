"""What a thread is: its basic size in the unit of its own standard."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from lathework.figures import Source
from lathework.threads.forms import Form
from lathework.units import LengthUnit, convert

Family = str
"""The code of a family; `threads.families` knows what it says."""
Hand = Literal["right", "left"]


@dataclass(frozen=True, slots=True)
class Thread:
    """A thread; lengths are in `unit`, that of its standard.

    `tpi` is None where the standard gives a pitch; `special` marks a size that no series lists; `tabulated` one whose
    diameters the standard prints instead of deriving; `taper` is that on the diameter (1/16 for sealing pipe threads,
    whose diameters are those of the gauge plane); `crest_clearance` is what a trapezoidal thread is cut deeper than its
    basic form, each side, so that its crests do not touch; `notes` are sentences for the person (a look-alike, a
    nominal size that is no diameter). `outside` and `inside` say where it is cut: R on a pipe, Rc and Rp in a hole.
    """

    designation: str
    family: Family
    series: str
    form: Form
    unit: LengthUnit
    major: float
    pitch: float
    pitch_diameter: float
    minor: float
    source: Source
    tpi: float | None = None
    special: bool = False
    tabulated: bool = False
    notes: tuple[str, ...] = ()
    hand: Hand = "right"
    starts: int = 1
    taper: float = 0.0
    crest_clearance: float = 0.0
    outside: bool = True
    inside: bool = True

    @property
    def plain_name(self) -> str:
        """The designation without hand and starts, as the tables hold it."""
        name = self.designation.removesuffix(" LH") if self.hand == "left" else self.designation
        return name.removesuffix(f" {self.starts}-start") if self.starts > 1 else name

    @property
    def lead(self) -> float:
        """Advance of one turn: the pitch times the starts, in `unit`."""
        return self.pitch * self.starts

    @property
    def pitch_mm(self) -> float:
        """Pitch in millimetres."""
        return convert(self.pitch, self.unit, "mm")

    @property
    def major_mm(self) -> float:
        """Basic major diameter in millimetres."""
        return convert(self.major, self.unit, "mm")

    @property
    def minor_mm(self) -> float:
        """Basic minor diameter in millimetres."""
        return convert(self.minor, self.unit, "mm")

    @property
    def single_point(self) -> bool:
        """Whether no die or tap makes it in one."""
        return self.form.single_point

    @property
    def root(self) -> float:
        """Diameter at the root of the external thread, in `unit`: what is left of the metal under it.

        60 degree screw threads: d - 1.226869 P, the rounded root of ISO 68-1 and ISO 724 (d3); a trapezoidal one with
        its clearance (d3 of ISO 2904, ASME B1.5); else the minor.
        """
        root = self.form.root_on_diameter
        return self.minor - 2 * self.crest_clearance if root is None else self.major - float(root) * self.pitch

    @property
    def root_mm(self) -> float:
        """The same in millimetres."""
        return convert(self.root, self.unit, "mm")

    @property
    def pitch_diameter_mm(self) -> float:
        """Basic pitch diameter in millimetres."""
        return convert(self.pitch_diameter, self.unit, "mm")
