"""Cutting the plan: a small lathe of its own turns the bar by the plan's cuts, and the shape must be the part's.

The model knows nothing of how plans are made: it holds a radius at each of many places along the bar, takes off what
each step says, and turns the piece end for end where the chucking changes.
"""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import HealthCheck, assume, given, settings
from hypothesis import strategies as st

from lathework.errors import InvalidDocument
from lathework.fits.fit import Limits, limits_of
from lathework.job.document import read_document
from lathework.job.model import Job
from lathework.part.model import MILLED, Section
from lathework.part.thread_cutters import OUTSIDE_CUTTERS
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan, make_plan
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, bore, document, plan, section
from lathework.threads.designation import read_designation
from lathework.threads.thread import Thread

STEP = 0.2
ON_SIZE, LEFT, EDGE = 1e-6, 0.011, 0.01
"""Millimetres: never under size; a hundredth may be left; places on an edge between sections belong to neither."""
SKIN = 0.1
"""Millimetres over a thread's blank that a bar of its nominal size may keep."""
BROKEN = 1.1
"""Millimetres at an end of the part where a parted or sawn edge may be broken, or a parted thread chamfered."""
FACED = {**PLUG, "part.bores": [bore("#4-40", depth="1/4", end="left")]}
"""A plug with a blind hole in its head: turned round for it, and faced there."""
TAPER_AT_FACE = {
    "R1/4": 13.157 - 6.0 / 16,
    "R1/2": 20.955 - 8.2 / 16,
    "R3/4": 26.441 - 9.5 / 16,
    "1/4-18 NPT": 25.4 * (0.47739 + 0.8 / 18),
    "3/4-14 NPT": 25.4 * (0.96768 + 0.8 / 14),
}
"""Crest at the small end in millimetres: major less a sixteenth of the gauge length (ISO 7-1); pitch diameter E0 there
and 0.8 P (ASME B1.20.1)."""
PRINTED = 1e-3
"""Millimetres by which the printed diameters, rounded each on its own, may differ."""
LEAD_TURNS = 2.0
"""Pitches behind the face within which the lead chamfer ends."""
THREADS = ("M6", "M8", "M10", "3/8-16", "1/4 BSW", "1/2 BSF", "0 BA", "M8x1", "G1/8", *TAPER_AT_FACE)


class Lathe:
    """The bar as diameters at places along it, from the right-hand end of the part."""

    def __init__(self, made: Plan) -> None:
        self.made = made
        self.overall = made.job.part.overall_mm
        edges = [
            sum(part_section.length.mm for part_section in made.job.part.sections[:n])
            for n in range(len(made.job.part.sections))
        ]
        even = [STEP * (n + 0.5) for n in range(int(self.overall / STEP))]
        self.places = [place for place in even if all(abs(place - edge) > EDGE for edge in edges)]
        self.allowed = [wanted(made.job, made, place) for place in self.places]
        self.across = [made.job.part.stock.corners_mm] * len(self.places)
        self.parted_at: float | None = None
        self.flats: dict[float, float] = {}

    def behind(self, place: float, operation: Operation) -> float:
        """How far a place lies behind the face that `operation` sees."""
        from_right = self.made.chuckings[operation.chucking - 1].faces == "right"
        return place if from_right else self.overall - place

    def cut(self, operation: Operation) -> None:
        """Take off what a step says."""
        cut = operation.cut
        if cut is None or operation.kind in ("thread", "finish", "screwcut"):
            return
        if operation.kind == "part-off":
            self.parted_at = cut.right_mm
            return
        for n, place in enumerate(self.places):
            z = self.behind(place, operation)
            if not cut.right_mm <= z <= cut.left_mm:
                continue
            if operation.kind == "flats":
                self.flats[place] = cut.inner_mm
                continue
            along = (cut.left_mm - z if cut.behind else z - cut.right_mm) / max(STEP, cut.left_mm - cut.right_mm)
            size = cut.inner_mm + ((cut.outer_mm - cut.inner_mm) * along if cut.slope else 0.0)
            self.across[n] = min(self.across[n], size)


def tapering(
    thread: Thread, size: float, place: float, near: float, far: float, *, from_right: bool
) -> tuple[float, float]:
    """Between lead chamfer and shoulder a taper blank grows by 1 in 16 up to its straight part, as ISO 7-1 draws it."""
    behind = place - near if from_right else far - place
    crest = min(size, TAPER_AT_FACE[thread.designation] + behind / 16) - PRINTED
    return (crest if behind > LEAD_TURNS * thread.pitch_mm else crest - 3 * thread.pitch_mm), crest


def enters_from_right(job: Job, number: int) -> bool:
    """Whether a taper's small end lies toward the right-hand end: away from the largest of the other sections, the last
    of those that are alike; a part of one section enters from the right."""
    bar = job.part.stock.corners_mm

    def across(one: Section) -> float:
        if one.thread is not None:
            return one.thread.major_mm
        if one.shape == "flats":
            return one.round.mm if one.round is not None else bar  # two flats leave the round between them
        if one.shape in MILLED and one.across is not None:
            return min(bar, one.across.mm * {6: 1.1547, 4: 1.4142}[MILLED[one.shape]])
        return one.across.mm if one.across is not None else bar

    others = [(round(across(one), 2), at) for at, one in enumerate(job.part.sections) if at != number]
    return not others or max(others)[1] > number


def wanted(job: Job, made: Plan, place: float) -> tuple[float, float]:
    """Least and greatest diameter allowed at a place of the finished part: relief, lead and chamfers may go under."""
    near, number, one = 0.0, 0, job.part.sections[0]
    while place > near + one.length.mm:
        near, number = near + one.length.mm, number + 1
        one = job.part.sections[number]
    far = near + one.length.mm
    size = made.work.turned_mm(number)
    margin = one.chamfer.mm if one.chamfer else 0.0
    whole = job.part.overall_mm
    margin = max(margin, BROKEN if place < BROKEN or place > whole - BROKEN else 0.0)
    inside = near + margin < place < far - margin
    from_right = enters_from_right(job, number)
    if one.taper is not None and one.across is not None:
        behind = (place - near if from_right else far - place) / one.length.mm
        small = one.across.mm - one.length.mm * one.taper.rise / one.taper.along
        # Beside a fit of its size its large end is turned with that.
        crest = min(size, small + (one.across.mm - small) * behind)
        return (crest - 2 * margin if not inside else crest), crest
    if one.thread is not None and one.thread.taper:
        # A pipe's bar may be a little under the blank behind its thread: there it stays as it is.
        return tapering(one.thread, min(size, job.part.stock.corners_mm), place, near, far, from_right=from_right)
    if one.thread is not None:
        # Lead at one end, relief at the other; between them the blank.
        found = made.work.threads[number]
        ends = max(found.groove_width_mm, (found.blank_mm - found.thread.minor_mm) / 2 + found.thread.pitch_mm)
        if found.cut == "threading-tool":
            # Between two shoulders the tool starts in a groove two turns wide, or as wide as the blade.
            ends = max(ends, 2 * found.thread.pitch_mm, job.setup.groove_blade.mm)
        inside = near + ends + EDGE < place < far - ends - EDGE
        bar = job.part.stock.corners_mm
        if bar <= found.thread.major_mm + ON_SIZE and bar < size + SKIN:
            # Bar of the thread's own size is not turned down by a skin.
            size = max(size, bar)
            return found.thread.minor_mm - 0.35 * found.thread.pitch_mm, size
        return (size, size) if inside else (found.thread.minor_mm - 0.35 * found.thread.pitch_mm, size)
    return (size, size) if inside else (size - 2 * margin, size)


class CutAndCompare(unittest.TestCase):
    def check(self, made: Plan) -> None:
        """Cut every step in order; no step goes into what is finished, and what is left is the part."""
        lathe = Lathe(made)
        for operation in made.operations:
            self.check_step(lathe, operation)
            lathe.cut(operation)
            for place, across, (least, _) in zip(lathe.places, lathe.across, lathe.allowed, strict=True):
                if across < least - ON_SIZE:
                    self.fail(f"{operation.key} cuts into the part at {place:.2f}")
        for place, across, (_, most) in zip(lathe.places, lathe.across, lathe.allowed, strict=True):
            self.assertLessEqual(across, most + LEFT, f"metal is left at {place:.2f}")
        self.check_flats(lathe)
        self.check_order(made)
        self.check_fits(lathe)

    def check_fits(self, lathe: Lathe) -> None:
        """The last cut over every place of a fit is one that asks for its limits, or for closer ones."""
        near = 0.0
        for one in lathe.made.job.part.sections:
            far = near + one.length.mm
            if one.fit and one.across is not None:
                wanted = limits_of(one.fit, "shaft", one.across.mm, None, "mm")
                for place in (near + 2 * BROKEN, (near + far) / 2, far - 2 * BROKEN):
                    self.check_fit(lathe, place, wanted, one.id)
            near = far

    def check_fit(self, lathe: Lathe, place: float, wanted: Limits, named: str) -> None:
        """The last turning cut over a place meets these limits."""
        turned = [step for step in lathe.made.operations if step.kind in ("turn", "neck") and step.cut is not None]
        over = [one for one in turned if one.cut and one.cut.right_mm <= lathe.behind(place, one) <= one.cut.left_mm]
        self.assertTrue(over, f"{named} has no step")
        target = over[-1].dimensions[0].target
        self.assertGreaterEqual(target.low_mm, wanted.low_mm - ON_SIZE, named)
        self.assertLessEqual(target.high_mm, wanted.high_mm + ON_SIZE, named)
        for earlier in over[:-1]:
            self.assertGreaterEqual(earlier.dimensions[0].target.low_mm, wanted.high_mm - ON_SIZE, f"{named} too early")

    def check_order(self, made: Plan) -> None:
        """In each chucking the turning cuts grow shorter and smaller: none reaches past the one before it."""
        for chucking in made.chuckings:
            turned = [step.cut for step in made.operations if step.kind == "turn" and step.chucking == chucking.number]
            cuts = [cut for cut in turned if cut is not None]
            for before, after in zip(cuts, cuts[1:], strict=False):
                self.assertLess(after.left_mm, before.left_mm)
                self.assertLess(after.inner_mm, before.inner_mm)
                self.assertAlmostEqual(after.outer_mm, before.inner_mm)

    def check_step(self, lathe: Lathe, operation: Operation) -> None:
        cut = operation.cut
        if cut is not None:
            self.assertGreaterEqual(cut.outer_mm, cut.inner_mm - ON_SIZE, operation.key)
            self.assertGreaterEqual(cut.left_mm, cut.right_mm - ON_SIZE, operation.key)
            stick_out = lathe.made.chuckings[operation.chucking - 1].stick_out_mm
            if operation.kind != "flats":
                self.assertLess(cut.left_mm, stick_out + ON_SIZE, f"{operation.key} reaches the jaws")
        sizes = [figure.value for figure in operation.passes]
        # A threading tool's passes are told as what its dial reads, from nothing on; the others as what they leave.
        dialled = operation.kind == "screwcut"
        self.assertEqual(sizes, sorted(sizes, reverse=not dialled), "each cut goes deeper")

    def check_flats(self, lathe: Lathe) -> None:
        """Every milled section has its flats over its whole length; no other has any."""
        near = 0.0
        stock = lathe.made.job.part.stock
        for one in lathe.made.job.part.sections:
            far = near + one.length.mm
            inside = [p for p in lathe.places if near + STEP < p < far - STEP]
            bought = one.shape == stock.form and one.across is not None and one.across.mm == stock.across.mm
            if one.shape in MILLED and one.across is not None and not bought:
                self.assertTrue(all(lathe.flats.get(p) == one.across.mm for p in inside), one.shape)
            else:
                self.assertFalse(any(p in lathe.flats for p in inside), one.shape)
            near = far

    def test_the_samples(self) -> None:
        for base in ({}, SCREW, TIE_ROD, PLUG):
            for change in (
                {},
                {"method.finish": "die-turned-round"},
                {"method.finish": "run-out"},
                {"method.order": "blanks-first"},
                {"method.holder": "stock-in-vise"},
                {"method.support": "centre"},
            ):
                with self.subTest(base=base, change=change):
                    self.check(plan({**base, **change}))

    def test_the_parted_piece_leaves_what_the_second_face_takes(self) -> None:
        for base, spare in (({}, 0.0), (PLUG, 0.0), (FACED, 0.5)):
            lathe = Lathe(plan(base))
            for operation in lathe.made.operations:
                lathe.cut(operation)
            assert lathe.parted_at is not None
            self.assertAlmostEqual(lathe.parted_at, lathe.overall + spare)

    def test_a_neck_and_a_chamfer(self) -> None:
        sections = [
            section("thread", "1", thread="3/8-16"),
            section("round", "1/8", across="0.28"),
            section("round", "1/2", across="0.45", chamfer="1/32"),
            section("bar"),
        ]
        made = plan({"part.sections": sections})
        self.assertIn("neck", [step.kind for step in made.operations])
        self.check(made)

    def test_a_taper_is_made_from_where_it_enters(self) -> None:
        """Listed head first or last, and where nothing of the part is larger than the taper itself."""
        head, spigot = section("square", "12", across="15"), section("round", "15", across="10")
        morse = section("taper", "62", taper="MT2")
        for thread in ("3/4-14 NPT", "R3/4"):
            pipe = section("thread", "19", thread=thread)
            for sections in ([pipe, head], [head, pipe], [spigot, head, pipe], [pipe, spigot]):
                self.check(self.tapered(sections))
        for sections in ([morse, spigot], [spigot, morse], [section("round", "20", across="25"), morse, spigot]):
            self.check(self.tapered(sections))

    def tapered(self, sections: list[dict[str, str]]) -> Plan:
        """The plan of such a part from a bar of 32 mm."""
        bar = {"unit": "mm", "part.overall_length": "", "part.stock.across": "32", "material": "brass"}
        return plan({"part.sections": sections} | bar | {"setup.groove_blade": "2", "setup.parting_blade": "2"})

    def test_a_bar_a_little_under_the_blank(self) -> None:
        """1/4-18 NPT wants 13.89 mm under its die's last thread, the bar has 13.75: nothing of the part is larger, and
        the square behind it is milled, never plunged round."""
        sections = [
            section("round", "8", across="6.88"),
            section("thread", "28", thread="1/4-18 NPT"),
            section("round", "5", across="4.12"),
            section("square", "15", across="11"),
        ]
        blades = {"setup.groove_blade": "2", "setup.parting_blade": "2"}
        bar = {"unit": "mm", "part.overall_length": "", "part.stock.across": "13.75"}
        made = plan({"part.sections": sections} | bar | blades)
        self.assertEqual([step.key for step in made.operations if step.kind == "neck"], ["neck:s3"])
        self.check(made)

    def test_a_taper_beside_a_press_fit_of_its_size(self) -> None:
        """The fit is a hair larger than the taper's large end: the taper keeps its angle and ends at a step."""
        sections = [
            section("taper", "8 mm", across="6 mm", taper="1:20"),
            section("round", "8 mm", across="6 mm", fit="press"),
            section("bar", "15 mm"),
        ]
        made = plan({"part.overall_length": "", "part.sections": sections})
        self.check(made)

    @settings(max_examples=80, suppress_health_check=[HealthCheck.filter_too_much, HealthCheck.too_slow])
    @given(st.data())
    def test_any_part(self, data: st.DataObject) -> None:
        """Random shafts: whatever the reader takes as a part, the plan cuts, and cuts right."""
        made = self.any_plan(data)
        self.check(made)
        positions = [step.figures["position"].value for step in made.operations if step.kind == "part-off"]
        self.assertTrue(all(value < 0 for value in positions))

    def any_side(self, data: st.DataObject, bar: float) -> list[dict[str, str]]:
        """Sections of one end, the smallest outermost; now and then a neck among them."""
        drawn: list[tuple[float, dict[str, str]]] = []
        for _ in range(data.draw(st.integers(0, 3))):
            length = f"{data.draw(st.floats(8, 40)):.2f}"
            size = data.draw(st.floats(0.2, 0.98)) * bar
            fit = data.draw(st.sampled_from(["", "", "running", "slide", "press"]))
            edge = data.draw(st.sampled_from(["", "0.5"]))
            # Now and then of the size of one that is there: a fit behind it must not be lost.
            if drawn and data.draw(st.integers(0, 2)) == 0:
                size = drawn[-1][0]
            one = section("round", length, across=f"{size:.2f}", chamfer=edge, fit=fit)
            if data.draw(st.integers(0, 3)) == 0:
                taper = data.draw(st.sampled_from(["1:20", "1:10", "1 in 5", "30°"]))
                one = section("taper", length, across=f"{size:.2f}", taper=taper, chamfer=edge)
            elif data.draw(st.booleans()):
                thread = read_designation(data.draw(st.sampled_from(THREADS)))
                cut = data.draw(st.sampled_from(OUTSIDE_CUTTERS))
                size, one = thread.major_mm, section("thread", length, thread=thread.designation, cut=cut)
            drawn.append((size, one))
        made = [one for _, one in sorted(drawn, key=lambda pair: pair[0])]
        if data.draw(st.integers(0, 3)) == 0:
            made.append(section("round", "5", across=f"{0.3 * bar:.2f}"))
        return made

    def any_plan(self, data: st.DataObject) -> Plan:
        bar = data.draw(st.floats(12, 40))
        middle = section(data.draw(st.sampled_from(["bar", "hexagon", "square", "flats"])), "15")
        middle["across"] = f"{0.8 * bar:.2f}"
        sections = [*self.any_side(data, bar), middle, *reversed(self.any_side(data, bar))]
        changes: dict[str, Any] = {
            "unit": "mm",
            "part.overall_length": "",
            "part.sections": sections,
            "part.stock.across": f"{bar:.2f}",
            "part.stock.form": data.draw(st.sampled_from(["round", "round", "hexagon", "square"])),
            "method.order": data.draw(st.sampled_from(["from-the-bar", "blanks-first"])),
            "method.finish": data.draw(st.sampled_from(["groove", "run-out", "die-turned-round"])),
            "method.milling": data.draw(st.sampled_from(["after", "on-the-bar"])),
            "setup.groove_blade": "2",
            "setup.parting_blade": "2",
        }
        try:
            job = read_document(document(changes))
        except InvalidDocument:
            assume(False)
        made = make_plan(job)
        assume(made.goes)
        return made
