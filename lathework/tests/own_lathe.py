"""A lathe of the tests' own: it does the acts of a plan one after the other, and refuses what a machinist would.

It shares no code with the product: it holds the metal as diameters at many places along the part, reads an act by its
name and its numbers, and knows what jaws, blades, drills and taps bear by its own rules (trade practice, geometry).
"""

from __future__ import annotations

import random
from typing import Any

from lathework.planning.plan import Plan
from lathework.tests.samples import bore, section

STEP = 0.25
JAWS_CLEAR = 0.9
"""Millimetres between a tool and the jaws."""
ALIKE, LEFT = 0.06, 0.06
"""Millimetres by which sizes told from two sides may differ; that may be left on or off a finished size."""
CHUCK_N, RUBS = 12_000.0, 0.2
"""Newtons with which a small chuck closes in all, and the friction of jaws on steel."""
DOUBT = 1.6
"""How far a torque may pass that before a machinist would be warned: both are rough."""
WIDTHS = 12.0
"""Widths of a parting blade that may stand out before it sings."""
OVERHANG = 9.0
"""How many times their own hold jaws bear work that nothing else carries, or its half diameter."""
LEAST_JAWS = 2.9
"""The thinnest work in millimetres that jaws close on: their corners meet before."""
CHUCK_DEEP = 60.0
"""Millimetres that work goes into a chuck before it meets the spindle."""
WARNED = (
    "no-wall",
    "slips",
    "blade-reach",
    "grip-lever",
    "bar-over-bore",
    "thin-wall",
    "tap-reach",
    "holder-short",
    "tail-over-bore",
    "jaws-small",
)


class Refused(AssertionError):
    """What a machinist would not do."""


class Bench:
    """The part as outer and inner diameters at places from its right-hand end, and what holds it."""

    def __init__(self, made: Plan) -> None:
        part = made.job.part
        self.made, self.whole = made, part.overall_mm
        self.told = {notice.code for notice in made.notices}
        self.places = [STEP * (n + 0.5) for n in range(int(self.whole / STEP))]
        self.outer = [part.stock.corners_mm] * len(self.places)
        self.inner = [0.0] * len(self.places)
        self.face, self.out, self.grip, self.length = "right", 0.0, 0.0, 0.0
        self.held = self.carried = self.clamped = self.parted = False
        self.on_flats = False
        self.threads: set[str] = set()
        self.done: list[str] = []
        self.faced: set[str] = set()

    def behind(self, place: float) -> float:
        """How far a place lies behind the face that is worked."""
        return place if self.face == "right" else self.whole - place

    def span(self, near: float, far: float) -> list[int]:
        """The places between two distances behind the face."""
        return [n for n, place in enumerate(self.places) if near <= self.behind(place) <= far]

    def refuse(self, where: str, why: str) -> None:
        raise Refused(f"{where}: {why}")

    def run(self) -> None:
        """Every act of every step, in order; then what was asked for must be there."""
        for operation in self.made.operations:
            if not operation.acts:
                self.refuse(operation.key, "does nothing")
            for act in operation.acts:
                self.act(act, operation.key)
        self.finish()

    def act(self, act: Any, key: str) -> None:
        name = type(act).__name__
        self.done.append(f"{name}:{act.made}")
        if name == "Hold":
            self.hold(act, key)
        elif name in ("Centre", "HoldUp"):
            self.carried = self.carried or getattr(act, "brought_up", True)
        elif name in ("Turn", "Plunge", "Slope", "Face"):
            self.take(act, key, name)
        elif name == "Bore":
            self.bore(act, key)
        elif name in ("RunOn", "Tap"):
            self.thread(act, key, name)
        elif name == "Screwcut":
            self.threads.add(act.made)
        elif name == "PartOff":
            self.part(act, key)

    def hold(self, act: Any, key: str) -> None:
        """Jaws close on metal that is there and of the size they were told."""
        grip = act.grip
        self.face, self.out, self.grip, self.length = grip.faces, grip.stick_out_mm, grip.across_mm, grip.length_mm
        self.held, self.carried, self.clamped, self.on_flats = True, False, grip.clamped, grip.flats
        if grip.across_mm < LEAST_JAWS and not grip.clamped and "jaws-small" not in self.told:
            self.refuse(key, f"jaws do not close on {grip.across_mm:.2f}")
        deep = self.out + CHUCK_DEEP
        tail = [self.outer[n] for n in self.span(deep, self.whole)] if self.whole > deep else []
        bore = self.made.job.setup.bore
        told = {"tail-over-bore", "bar-over-bore"} & self.told
        if tail and bore is not None and not act.on_bar and not told and max(tail) > bore.mm + ALIKE:
            self.refuse(key, f"{max(tail):.2f} behind the jaws does not go into {bore.mm:.1f}")
        if grip.length_mm < 1.9:
            self.refuse(key, f"jaws have {grip.length_mm:.2f} mm")
        there = self.span(self.out + STEP, min(self.out + self.length, self.whole) - STEP)
        small = [n for n in there if self.outer[n] < grip.across_mm - ALIKE and not grip.clamped]
        if small and len(small) * STEP > grip.length_mm - 2.0:
            self.refuse(key, f"jaws close on {self.outer[small[0]]:.2f}, not on {grip.across_mm:.2f}")

    def reach(self, far: float, key: str) -> None:
        if not self.held:
            self.refuse(key, "nothing holds it")
        if far > self.out - JAWS_CLEAR:
            self.refuse(key, f"meets the jaws: {far:.2f} of {self.out:.2f}")

    def take(self, act: Any, key: str, name: str) -> None:
        """A tool takes its band, where nothing finished stands that it was not told of."""
        band = act.band
        if name == "Face":
            self.faced.add(self.face)
            return
        self.reach(band.left_mm, key)
        bears = OVERHANG * max(self.length, self.grip / 2)
        if self.out > bears and not (self.carried or self.clamped or self.told & {"grip-lever"}):
            self.refuse(key, f"{self.out:.1f} out of {self.length:.1f} in the jaws")
        # A thread may be chamfered once it is cut; nothing else goes into it.
        standing = self.threads - ({act.made} if name == "Slope" else set())
        long = max(band.left_mm - band.right_mm, STEP)
        for n in self.span(band.right_mm, band.left_mm):
            along = self.behind(self.places[n]) - band.right_mm
            along = long - along if band.behind else along
            size = band.inner_mm + ((band.outer_mm - band.inner_mm) * along / long if band.slope else 0.0)
            if size < self.inner[n] + 0.2 and "no-wall" not in self.told:
                self.refuse(key, f"cuts through to the hole at {self.places[n]:.2f}")
            if size < self.outer[n] - ALIKE and self.sectioned(self.places[n]) in standing:
                self.refuse(key, f"cuts into a finished thread at {self.places[n]:.2f}")
            self.outer[n] = min(self.outer[n], size)

    def sectioned(self, place: float) -> str:
        """The id of the section at a place."""
        near = 0.0
        for one in self.made.job.part.sections:
            near += one.length.mm
            if place <= near:
                return one.id
        return ""

    def bore(self, act: Any, key: str) -> None:
        """A drill stays where it should, and leaves a wall."""
        if not self.held:
            self.refuse(key, "nothing holds it")
        open_there = [n for n in self.span(self.whole - 1.0, self.whole) if self.inner[n] >= act.across_mm - ALIKE]
        if act.blind and act.deep_mm > self.whole + ALIKE and not open_there:
            self.refuse(key, f"comes out: {act.deep_mm:.2f} of {self.whole:.2f}")
        for n in self.span(0.0, act.full_mm):
            if self.outer[n] < act.across_mm + 0.4 and "no-wall" not in self.told:
                self.refuse(key, f"comes out of the side at {self.places[n]:.2f}")
            self.inner[n] = max(self.inner[n], act.across_mm)

    def thread(self, act: Any, key: str, name: str) -> None:
        """What turns against the jaws must be held by them; a die goes on a blank."""
        self.threads.add(act.made)
        if act.driver != "vise":
            bears = CHUCK_N * RUBS * self.grip / 2000 * min(1.0, self.length / 8.0) * (3.0 if self.on_flats else 1.0)
            if act.torque_nm > DOUBT * bears and not self.clamped and "slips" not in self.told:
                self.refuse(key, f"slips: {act.torque_nm:.1f} of {bears:.1f} N m")
        if name == "RunOn" and act.band is not None and act.driver != "vise":
            self.reach(act.band.left_mm, key)
            inside = self.span(act.band.right_mm + STEP, act.band.left_mm - STEP)
            fat = [n for n in inside if self.outer[n] > act.band.outer_mm + 0.6]
            if fat:
                self.refuse(key, f"the die meets {self.outer[fat[0]]:.2f} at {self.places[fat[0]]:.2f}")

    def part(self, act: Any, key: str) -> None:
        """A blade reaches as deep as it goes."""
        band = act.band
        self.reach(band.left_mm, key)
        there = self.span(self.whole - 1.0, self.whole) if self.face == "right" else self.span(0.0, 1.0)
        hollow = min((self.inner[n] for n in there), default=0.0)
        deep = (band.outer_mm - max(band.inner_mm, hollow)) / 2
        if deep > WIDTHS * self.made.job.setup.parting_blade.mm and "blade-reach" not in self.told:
            self.refuse(key, f"no blade so narrow goes {deep:.1f} mm deep")
        self.parted = self.parted or band.inner_mm <= 0.0

    def finish(self) -> None:
        """Each thread, hole and fit that was asked for has its act."""
        part = self.made.job.part
        for one in part.sections:
            if one.thread is not None and one.id not in self.threads:
                self.refuse(one.id, "its thread was never cut")
            if one.fit and not any(
                type(act).__name__ == "Turn"
                and getattr(act, "fitted", False)
                and self.passes(act, operation.chucking, one.id)
                for operation in self.made.operations
                for act in operation.acts
            ):
                self.refuse(one.id, "its fit has no act")
        for hole in part.bores:
            if hole.end != "across" and f"Bore:{hole.id}" not in self.done:
                self.refuse(hole.id, "was never drilled")
            if hole.thread is not None and hole.id not in self.threads and f"Mill:{hole.id}" not in self.done:
                self.refuse(hole.id, "its thread was never cut")
        if not part.stock.one_ended and not self.parted and len(self.faced) < 2:
            self.refuse("the far end", "was neither parted nor faced")

    def passes(self, act: Any, chucking: int, own: str) -> bool:
        """Whether a cut goes over the middle of a section."""
        face = self.made.chuckings[chucking - 1].faces
        near = 0.0
        for one in self.made.job.part.sections:
            if one.id == own:
                middle = near + one.length.mm / 2
                place = middle if face == "right" else self.whole - middle
                return bool(act.band.right_mm <= place <= act.band.left_mm)
            near += one.length.mm
        return False


OUTSIDE = {
    "M3": 3.0,
    "M5": 5.0,
    "M8": 8.0,
    "M12": 12.0,
    "M12x1": 12.0,
    "M20": 20.0,
    "M30": 30.0,
    "1/4-20": 6.35,
    "3/8-16": 9.525,
    "1/2 BSW": 12.7,
    "2 BA": 4.7,
    "R1/2": 20.955,
    "1/4-18 NPT": 13.716,
}
BY_TOOL = {"M10": 10.0, "M16x1.5": 16.0, "Tr20x4": 20.0, "Tr30x12(P6)": 30.0, "1-5 Acme": 25.4, "3/4-10": 19.05}
INSIDE = {
    "M3": 3.0,
    "M5": 5.0,
    "M8": 8.0,
    "M12": 12.0,
    "M20x1.5": 20.0,
    "1/4-20": 6.35,
    "1/2-13": 12.7,
    "G1/4": 13.157,
}
"""Threads with their major diameters in millimetres, as their standards name them."""
TAPERS = ("1:10", "1:20", "MT1", "30°")


def _section(dice: random.Random, bar: float) -> tuple[float, dict[str, str]]:
    """A section and how large it is at its largest, in a bar of so many millimetres."""
    length = f"{dice.choice((0.4, 0.8, 1.2, 2.0, 3.5)) * bar * dice.uniform(0.6, 1.3) + 3:.2f}"
    size = dice.uniform(0.25, 0.95) * bar
    kind = dice.random()
    edge = dice.choice(("", "", "0.5"))
    names = [name for name, major in (OUTSIDE if kind < 0.35 else BY_TOOL).items() if major < 0.97 * bar]
    if kind < 0.45 and names:
        name = dice.choice(names)
        by_die = dice.choice(("die", "die", "die-head"))
        cut = by_die if kind < 0.35 else "threading-tool"
        return (OUTSIDE | BY_TOOL)[name], section("thread", length, thread=name, cut=cut)
    if kind < 0.55:
        return size, section("taper", length, across=f"{size:.2f}", taper=dice.choice(TAPERS))
    if kind < 0.62:
        return size, section("knurl", length, across=f"{size:.2f}", pitch="1")
    fit = dice.choice(("", "", "running", "slide", "press"))
    return size, section("round", length, across=f"{size:.2f}", fit=fit, chamfer=edge)


def _bore(dice: random.Random, least: float, overall: float) -> dict[str, str]:
    """A hole in a part whose thinnest section is so many millimetres."""
    end = dice.choice(("right", "right", "left"))
    deep = "" if dice.random() < 0.4 else f"{dice.uniform(0.1, 0.6) * overall:.2f}"
    names = [name for name, major in INSIDE.items() if major < 0.75 * least]
    if dice.random() < 0.5 and names:
        cut = dice.choice(("tap", "tap", "tap", "boring-tool"))
        return bore(dice.choice(names), depth=deep, end=end, cut=cut)
    fit = dice.choice(("", "", "running"))
    by = dice.choice(("boring-tool", "reamer")) if fit else "boring-tool"
    return bore(across=f"{dice.uniform(0.2, 0.75) * least:.1f}", depth=deep, end=end, fit=fit, by=by)


def _lies(hole: dict[str, str], overall: float) -> tuple[float, float]:
    """From where to where a hole lies along the part."""
    deep = float(hole["depth"] or overall)
    return (0.0, deep) if hole["end"] == "right" else (overall - deep, overall)


LEAST_LEFT_MM, ROOT, DRAWN_AGAIN = 3.0, 0.8, 15 / 16
"""What another hole must leave of a thread to be worth its tap, millimetres; the core of a thread, of its size, as
drilled; how often what nobody wishes is drawn again."""


def _left_mm(own: dict[str, str], wide: dict[str, str], overall: float) -> float:
    """How much of a hole another one that crosses it leaves, in millimetres."""
    (begins, ends), (from_mm, to_mm) = _lies(own, overall), _lies(wide, overall)
    return (ends - begins) - max(0.0, min(ends, to_mm) - max(begins, from_mm))


def _swallowed(holes: list[dict[str, str]], overall: float) -> bool:
    """Whether a hole is as wide as another's thread, and leaves nothing of it."""
    across = [INSIDE[hole["thread"]] if hole["thread"] else float(hole["across"]) for hole in holes]
    return any(
        own["thread"]
        and wide is not own
        and size >= ROOT * INSIDE[own["thread"]]
        and _left_mm(own, wide, overall) < LEAST_LEFT_MM
        for own in holes
        for wide, size in zip(holes, across, strict=True)
    )


def _bores(dice: random.Random, least: float, overall: float) -> list[dict[str, str]]:
    """Up to two holes. A thread that the other one leaves nothing of is nobody's wish: one of sixteen such is kept, to
    see that it is refused with its reason."""
    count = dice.choice((0, 0, 1, 1, 2))
    holes = [_bore(dice, least, overall) for _ in range(count)]
    while _swallowed(holes, overall) and dice.random() < DRAWN_AGAIN:
        holes = [_bore(dice, least, overall) for _ in range(count)]
    return holes


def random_job(dice: random.Random) -> dict[str, Any]:
    """Changes that make a job of any shape: both ends, holes from both sides, tapers, fits, heads, any lathe."""
    bar = dice.choice((6.0, 8.0, 10.0, 12.0, 16.0, 20.0, 25.0, 30.0, 40.0, 60.0))
    middle = section(dice.choice(("bar", "bar", "hexagon", "flats")), f"{dice.uniform(0.3, 2.0) * bar + 4:.2f}")
    if middle["shape"] != "bar":
        middle["across"] = f"{0.8 * bar:.2f}"
    ends = [sorted((_section(dice, bar) for _ in range(dice.randint(0, 2))), key=lambda two: two[0]) for _ in range(2)]
    sections = [*(one for _, one in ends[0]), middle, *(one for _, one in reversed(ends[1]))]
    least = min([0.8 * bar, *(0.75 * size for end in ends for size, _ in end)])
    overall = sum(float(part_section["length"]) for part_section in sections)
    return {
        "unit": "mm",
        "quantity": dice.choice((1, 1, 6)),
        "material": dice.choice(("mild-steel", "free-cutting-steel", "stainless", "brass", "aluminium", "cast-iron")),
        "part.overall_length": "",
        "part.stock.form": dice.choice(("round", "round", "round", "hexagon", "square")),
        "part.stock.across": f"{bar:.2f}",
        "part.sections": sections,
        "part.bores": _bores(dice, least, overall),
        "method.order": dice.choice(("from-the-bar", "from-the-bar", "blanks-first")),
        "method.finish": dice.choice(("groove", "run-out", "die-turned-round")),
        "method.holder": dice.choice(("sliding-by-hand", "stock-by-tailstock", "keyed-power", "stock-in-vise")),
        "method.support": dice.choice(("chuck", "chuck", "centre")),
        "setup.mount": dice.choice(("unsaid", "screwed", "locked")),
        "setup.bore": dice.choice(("", "20", "26", "40")),
        "setup.leadscrew": "3 mm",
        "setup.gears": "20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80, 127",
        "setup.groove_blade": "2",
        "setup.parting_blade": dice.choice(("1.5", "2", "3")),
    }
