"""A single point on the leadscrew as a way of making a thread, outside or in a hole."""

from __future__ import annotations

from collections.abc import Iterator

from lathework import cautions
from lathework.figures import Figure, Given
from lathework.methods.chase import LEAST_BORE_MM
from lathework.methods.gearbox import best_setting
from lathework.methods.infeed import first_pass_mm, pass_depths
from lathework.methods.run_out import fastest
from lathework.methods.tool_form import standard_tip, thread_depth, usual_point
from lathework.methods.ways.contract import Expected, Wanted, Way
from lathework.methods.ways.minutes import left_over, minutes, set_up_minutes
from lathework.shop.kinds import name_of
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kinds.tools import Tool
from lathework.shop.leadscrew import lead_of
from lathework.units import convert

FASTER = 2.0
"""Speed of a threading tool over that of a die (practice)."""
RETURN_MIN = 0.25
"""Minutes to draw a threading tool out, run it back, set it and wait for the line (practice)."""
TRYING_MIN = 1.5
"""Minutes to try the mate, or measure, over the last passes (practice)."""
SET_UP_MIN, INSIDE_MORE_MIN = 20.0, 5.0
"""Minutes to change gears, set compound and tool, and scratch a trial; in a hole so much more (practice)."""
BAR_SHARE = 2 / 3
"""First pass of a tool on a bar, over that of one close to its post: a bar springs (practice)."""
LONG = 2.0
"""Length over diameter from which a thread's pitch and straightness count (practice)."""
SPRINGS = 6.0
"""Length of a hole over its diameter from which no boring tool is stiff enough (practice)."""


class ToolWay(Way):
    """A threading tool, outside."""

    code = "threading-tool"
    name = "single point, on the leadscrew"
    remark = "true in pitch and straight, any size; slow, and your hand must be quick at the end of each pass"
    takes = (("cut", "threading-tool"),)
    cautions = (cautions.CHASE, cautions.GEARS)
    spoils = 0.02

    def refused(self, wanted: Wanted) -> Iterator[str]:
        """Nothing, outside: what a lathe without a leadscrew lacks is told there."""
        yield from ()

    def _lathe(self, wanted: Wanted) -> Iterator[str]:
        lathes, machine, lead = wanted.owned(OwnLathe), wanted.machine, lead_of(wanted.thread)
        screw = machine.leadscrew
        if screw is None:
            if lathes and not any(lathe.leadscrew for lathe in lathes):
                yield f"a leadscrew ({name_of(lathes[0])}: pitch not given)"
        elif machine.gears and best_setting(lead.mm, screw.mm, machine.gearbox, machine.gears) is None:
            yield "change gears that cut its pitch"

    def lacking(self, wanted: Wanted) -> Iterator[str]:
        """A threading tool of its angle, a leadscrew, wheels."""
        if wanted.things is None:
            return
        angle = wanted.thread.form.angle_deg
        if not any(tool.form == "threading" and tool.angle == angle for tool in wanted.owned(Tool)):
            yield f"a threading tool of {angle:g}°"
        yield from self._lathe(wanted)

    def merits(self, wanted: Wanted) -> Iterator[str]:
        """True where it counts; the only way where no die is made."""
        if wanted.thread.single_point:
            yield "the only way to cut this form"
        if wanted.length_mm > LONG * wanted.thread.major_mm:
            yield "a thread this long needs an accurate pitch"

    def faults(self, wanted: Wanted) -> Iterator[str]:
        """Slow; no room to stop; a taper wants an attachment."""
        yield f"{self._passes(wanted)} passes for each piece"
        if wanted.shoulder and not wanted.groove_mm:
            yield "no groove: withdraw the tool in time, or cut away from the shoulder in reverse"
        if wanted.thread.taper:
            yield "needs a taper attachment, or the tailstock set over"

    def torque(self, wanted: Wanted) -> Figure | None:
        """None: no tool turns in the work."""
        return None

    def borne_by(self, wanted: Wanted) -> str:
        """The leadscrew."""
        return "the leadscrew and the half nuts"

    def _passes(self, wanted: Wanted) -> int:
        thread = wanted.thread
        point = usual_point(thread.form)
        blank = convert(wanted.blank_mm, "mm", thread.unit)
        tip = standard_tip(thread, point)
        deep = thread_depth(
            thread, blank=blank, pitch_diameter=wanted.pitch_diameter, point=point, tip=tip, inside=self.inside
        )
        depth_mm = max(0.05, convert(deep.value, thread.unit, "mm"))
        first_mm = first_pass_mm(wanted.machine.weight, wanted.metal.cutting_force)
        if self.inside:
            first_mm *= BAR_SHARE
        return len(pass_depths(depth_mm, first_mm)) + 1

    def set_up(self, wanted: Wanted) -> Figure:
        """Gears, compound, tool."""
        return set_up_minutes(SET_UP_MIN + (INSIDE_MORE_MIN if self.inside else 0.0))

    def _speed(self, wanted: Wanted) -> float:
        """Speed in rev/min of a pass: that of the metal, as far as a hand stops it in the room there is."""
        metal = wanted.speed(wanted.metal.thread_speed * FASTER)
        room = wanted.groove_mm or convert(wanted.thread.lead, wanted.thread.unit, "mm")
        return min(metal.value, fastest(wanted.thread, room).value)

    def pass_min(self, wanted: Wanted) -> float:
        """Minutes of one pass, and of the way back."""
        return wanted.turns / self._speed(wanted) + RETURN_MIN

    def cycle(self, wanted: Wanted) -> Figure:
        """Passes x (turns / speed + return) and trying the mate."""
        speed, passes = self._speed(wanted), self._passes(wanted)
        return minutes(
            "each",
            passes * self.pass_min(wanted) + TRYING_MIN,
            "passes × (turns ÷ speed + return) + trying the mating part",
            Given("passes", passes),
            Given("turns", wanted.turns),
            Given("speed", speed, "rev/min"),
            Given("return", RETURN_MIN, "min"),
            Given("trying the mating part", TRYING_MIN, "min"),
        )

    def expected(self, wanted: Wanted) -> Expected:
        """The leadscrew's pitch; full into a groove, a pitch short without."""
        near = left_over("from the shoulder", wanted.thread, 0.0 if wanted.groove_mm else 1.0)
        return Expected("the leadscrew's, through its change gears", "as straight as the lathe turns", near)


class InsideToolWay(ToolWay):
    """A threading tool in a hole."""

    code = "boring-tool"
    name = "inside threading tool, on the leadscrew"
    remark = "true in pitch and straight in any bore that takes the bar; slow, by feel"
    takes = (("cut", "boring-tool"),)
    inside = True

    def refused(self, wanted: Wanted) -> Iterator[str]:
        """Bores no bar goes into, or that are too deep for one."""
        if wanted.blank_mm < LEAST_BORE_MM:
            yield f"no threading bar fits a bore under {LEAST_BORE_MM:g} mm: use a tap"
        elif wanted.length_mm > SPRINGS * wanted.blank_mm:
            yield f"a bar reaching {wanted.length_mm / wanted.blank_mm:.0f} diameters deep deflects"
        if wanted.thread.taper:
            yield "ream and tap a taper"

    def faults(self, wanted: Wanted) -> Iterator[str]:
        """Slow; blind holes want a recess."""
        yield f"{self._passes(wanted)} passes for each piece, by feel"
        if wanted.blind:
            yield "needs a recess at the bottom for the tool to run into"
