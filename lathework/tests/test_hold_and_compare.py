"""Holding the plan: a model of its own keeps where the jaws are, what metal they have, and what carries the free end.

The model knows nothing of how plans are made: it reads from the steps how far the work stands out, takes away the metal
they cut, and refuses what a machinist would: jaws that close on nothing, a tool that meets them, work that hangs out
too far for what is done to it, a tap without room, a die under power into a dead end.
"""

from __future__ import annotations

import random
import unittest
from typing import Any

from lathework.errors import InvalidDocument
from lathework.figures import Figure
from lathework.holes.depth import POINT_SHARE
from lathework.job.document import read_document
from lathework.job.model import Job
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan, make_plan
from lathework.tests.samples import bore, document, section
from lathework.units import convert

JOBS = 2000
ABOUT_FOUR, MOST = 4.0, 12.0
"""Diameters that work may stand out of the chuck alone, and with a reason; past them a centre, and a steady as well
(trade practice)."""
ABOUT, CLEARANCE = 0.01, 6.0
JAWS_CLEAR, LEAST_HELD = 1.0, 2.0
"""Millimetres between tool and jaws at least; and that anything at all can hold."""
THREE_JAWS = 7.9
SLIPS, SLOWEST = 8.0, 20.0
"""N m past which nothing that slips bears a die or a tap, rev/min that lathes commonly have (trade practice)."""
WALL = 0.5
"""Millimetres of metal that must be left round a thread when a slot is begun beside it."""
LEAD, CHIPS = 3.0, 1.0
"""Threads of a tap's lead, and of room for chips, below the last full thread (trade practice)."""
BLADE = ("part-begin", "part-off")
CUTTING = ("drill", "turn", "face", "groove", "neck", "rough", "taper", "thread", "screwcut", *BLADE)
ALL_THREAD = 0.1
"""Share of the jobs that are a rod screwed all along."""
OUTSIDE = (*("M3", "M5", "M8", "M8 LH", "M12", "M24", "1/4-20", "3/8-16", "1/2 BSW", "4 BA", "R1/2", "1/8-27 NPT"),)
CUT_BY = ("die", "die", "threading-tool", "die-head")
TAILSTOCK_BEARS = 60.0
"""N m past which no tailstock holds a head back (trade practice)."""
FORMS = ("round", "round", "round", "hexagon", "bolt")
INSIDE = ("M3", "M4", "M6", "M6 LH", "M10", "M16", "1/4-20", "2 BA")


def mm(figure: Figure) -> float:
    return convert(figure.value, "in" if figure.unit == "in" else "mm", "mm")


class Held:
    """The work in the jaws: how long it is, how far it stands out, what carries it, what has been cut off it."""

    def __init__(self, made: Plan) -> None:
        self.made, self.job = made, made.job
        self.sawn: float | None = None
        self.out, self.chucking = 0.0, 1
        self.centred = self.steadied = self.stepped = False
        self.drilled: dict[str, float] = {}
        self.die_alone = True

    def hold(self, operation: Operation) -> None:
        """Take the work into the jaws, or move it in them."""
        self.centred = self.steadied = False
        self.out = mm(operation.figures["stick_out"])
        length = self.sawn if self.sawn is not None else float("inf")
        gripped = length - self.out
        if self.job.part.stock.one_ended:
            # By its head, where all of it stands out; else by what is behind the jaws.
            overall = self.job.part.overall_mm
            gripped = THREE_JAWS if self.out >= overall else overall - self.out
            by_head = "head" in self.made.chuckings[operation.chucking - 1].grip.words
            assert by_head == (self.out >= overall) or self.job.part.stock.form != "bolt", operation.key
        told = operation.sentence + " ".join(operation.notes)
        wanted = LEAST_HELD if "threaded split bush" in told or "soft jaws bored" in told else THREE_JAWS
        assert gripped >= wanted - 0.01, f"{operation.key}: the jaws have {gripped:.2f} mm"

    def across(self) -> float:
        """What the jaws hold."""
        return self.made.chuckings[self.chucking - 1].grip.across_mm

    def step(self, operation: Operation) -> None:
        """Do a step, and refuse what must not be done."""
        self.chucking = operation.chucking
        key = operation.key.partition(":")[0]
        if operation.kind == "saw":
            self.saw(operation)
        elif "stick_out" in operation.figures:
            self.hold(operation)
        if key in ("centre", "carry"):
            self.centred = "bring up" in operation.sentence.lower()
        if key == "steady":
            self.steadied = True
        self.stepped = (
            key == "carry" and "at a time" in operation.sentence or (self.stepped and operation.kind != "hold")
        )
        if operation.kind in CUTTING:
            self.cut(operation)
        if operation.kind == "part-off":
            self.part(operation)
        if operation.kind == "part-begin":
            self.slot(operation)
        if operation.kind == "knurl":
            self.knurl(operation)
        if "stop" in operation.figures and operation.kind in ("thread", "tap"):
            self.power(operation)
        if operation.key.startswith(("tap:", "drill:")):
            self.hole(operation)

    def saw(self, operation: Operation) -> None:
        if operation.key == "saw-off":
            assert self.sawn is not None
            self.sawn -= mm(operation.figures["long"])
        elif "length" in operation.figures:
            self.sawn = mm(operation.figures["length"])

    def part(self, operation: Operation) -> None:
        self.sawn = mm(operation.figures["length"])

    def slot(self, operation: Operation) -> None:
        """A slot half way leaves metal round every hole along the axis that goes through."""
        through = [one for one in self.job.part.bores if one.depth is None and one.end != "across"]
        widest = max(
            (one.thread.major_mm if one.thread else one.across.mm if one.across else 0 for one in through), default=0
        )
        assert mm(operation.figures["left"]) >= widest + 2 * WALL - 0.01, f"{operation.key} breaks into the hole"

    def knurl(self, operation: Operation) -> None:
        """Wheels stand clear of the jaws like any tool."""
        far = -mm(operation.figures["position"]) + mm(operation.figures["length"])
        assert far <= self.out - JAWS_CLEAR, f"{operation.key} meets the jaws"

    def power(self, operation: Operation) -> None:
        """What goes on under power slips in time, at a speed the lathe has, and never unscrews the chuck."""
        keyed = "key does not slip" in operation.sentence
        torque = operation.figures["torque"].value
        headed = operation.cutter == "die-head"
        assert not headed or torque <= TAILSTOCK_BEARS, f"{operation.key}: {torque:.0f} N m on the tailstock"
        assert keyed or headed or torque <= SLIPS, f"{operation.key} slips at {torque:.1f} N m"
        assert operation.figures["speed"].value >= SLOWEST, f"{operation.key} wants a slower lathe"
        left = "LH" in operation.tool
        assert not left or self.job.setup.mount == "locked", f"{operation.key} unscrews the chuck"

    def cut(self, operation: Operation) -> None:
        """How far from the jaws a tool works, and what carries the work there."""
        cut = operation.cut
        assert cut is not None
        if operation.kind != "drill" and "in the vice" not in operation.sentence:
            assert cut.left_mm <= self.out - JAWS_CLEAR, f"{operation.key} meets the jaws"
        if operation.kind == "thread":
            # A die squares itself on what it cuts.
            return
        ratio = min(self.out - CLEARANCE, self.job.part.overall_mm) / self.across()
        if operation.kind in BLADE and self.die_alone:
            # Nothing was turned of it: the blade works close to the jaws, what hangs before it only whips.
            assert ratio <= MOST, f"{operation.key} at {ratio:.1f} diameters"
            ratio = (self.out - cut.left_mm) / self.across()
        self.die_alone = self.die_alone and operation.kind in (*BLADE, "face", "thread")
        most = MOST if self.job.method.overruled or self.centred else ABOUT_FOUR
        if self.steadied or self.stepped:
            most = float("inf")
        assert ratio <= most + ABOUT, f"{operation.key} at {ratio:.1f} diameters"

    def hole(self, operation: Operation) -> None:
        """A blind hole, or one through a piece on its bar, has room for the tap at full diameter."""
        own = operation.key.partition(":")[2]
        bored = next(one for one in self.job.part.bores if one.id == own)
        if operation.key.startswith("drill:"):
            self.drilled[own] = mm(operation.figures["depth"]) - POINT_SHARE * mm(operation.figures["drill"])
            return
        keys = [one.key for one in self.made.operations]
        on_bar = "part-off" in keys and keys.index(operation.key) < keys.index("part-off")
        if bored.thread is None or (bored.depth is None and not on_bar) or own not in self.drilled:
            return
        full = self.job.part.overall_mm if bored.depth is None else bored.depth.mm
        wanted = full + (LEAD + CHIPS) * bored.thread.pitch_mm
        assert self.drilled[own] >= wanted - 0.02, f"{operation.key}: no room for the tap"
        assert not {"speed", "stop"} & set(operation.figures), f"{operation.key}: power into a dead end"


def _all_thread(dice: random.Random) -> dict[str, Any]:
    """A length of rod of its thread's own size, or a little over, screwed all along."""
    size = dice.choice((3, 4, 5, 6, 8, 10, 12, 16, 24))
    return {
        "unit": "mm",
        "part.overall_length": f"{dice.uniform(1, 14) * size:.1f}",
        "part.sections": [section("thread", thread=f"M{size}")],
        "part.stock.across": f"{size + dice.choice((0, 0, 0, 0.5)):.2f}",
        "material": dice.choice(("brass", "mild-steel", "stainless", "aluminium")),
        "method.blank_school": dice.choice(("nominal", "pitch-fraction", "mid-limits")),
        "method.holder": dice.choice(("sliding-by-hand", "stock-by-tailstock", "stock-in-vise", "keyed-power")),
        "setup.mount": dice.choice(("unsaid", "locked")),
        "setup.groove_blade": "2",
        "setup.parting_blade": "2",
    }


def any_job(dice: random.Random) -> dict[str, Any]:
    """A document of a part long or short, thick or thin, with holes or without; not every one can be made."""
    bar = dice.choice((3.0, 5.0, 6.0, 8.0, 10.0, 12.0, 16.0, 20.0, 32.0))
    sections = [
        section("thread", f"{dice.uniform(4, 5 * bar):.1f}", thread=dice.choice(OUTSIDE), cut=dice.choice(CUT_BY))
        if dice.random() < 0.5
        else section("round", f"{dice.uniform(2, 8 * bar):.1f}", across=f"{dice.uniform(0.3, 0.98) * bar:.2f}")
        for _ in range(dice.randint(0, 2))
    ]
    body = section(dice.choice(("bar", "bar", "round", "knurl")), f"{dice.choice((3, 6, 12, 40, 15 * bar)):.1f}")
    body |= {"across": f"{0.97 * bar:.2f}", "chamfer": dice.choice(("", "0.3"))}
    far = [section("thread", f"{dice.uniform(4, 20):.1f}", thread=dice.choice(OUTSIDE))] if dice.random() < 0.3 else []
    if dice.random() < ALL_THREAD:
        return _all_thread(dice)
    holes = [
        bore(
            dice.choice(INSIDE),
            depth=dice.choice(("", f"{dice.uniform(3, 12):.1f}")),
            end=dice.choice(("right", "left")),
        )
        for _ in range(dice.randint(0, 1))
    ]
    return {
        "unit": "mm",
        "part.overall_length": "",
        "part.sections": [*sections, body, *far],
        "part.bores": holes,
        "part.stock.across": f"{bar:.2f}",
        "part.stock.form": dice.choice(FORMS),
        "material": dice.choice(("brass", "mild-steel", "stainless", "aluminium")),
        "method.order": dice.choice(("from-the-bar", "blanks-first")),
        "method.support": dice.choice(("chuck", "chuck", "centre")),
        "method.finish": dice.choice(("groove", "run-out", "die-turned-round")),
        "method.holder": dice.choice(("sliding-by-hand", "stock-in-vise", "floating-power", "keyed-power")),
        "setup.mount": dice.choice(("unsaid", "screwed", "locked")),
        "method.tapping": dice.choice(("by-centre", "slipping-hand", "slipping-chuck", "in-vise")),
        "method.overruled": dice.choice(("", "", "", "the bar is at hand")),
        "setup.groove_blade": "2",
        "setup.parting_blade": "2",
    }


def read(dice: random.Random) -> Job | None:
    try:
        return read_document(document(any_job(dice)))
    except InvalidDocument:
        return None


class HoldAndCompare(unittest.TestCase):
    def check(self, made: Plan) -> None:
        held = Held(made)
        for operation in made.operations:
            held.step(operation)

    def test_two_thousand_jobs(self) -> None:
        """Long, short, thin and thick; through and blind; sawn, off the bar, bolts."""
        dice = random.Random(12)
        made = 0
        while made < JOBS:
            job = read(dice)
            if job is not None:
                made += 1
                with self.subTest(number=made, part=job.part):
                    planned = make_plan(job)
                    if planned.goes:
                        self.check(planned)
