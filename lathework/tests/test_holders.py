"""Designed holders against an independent look at their geometry; what is planted against one is found."""

from __future__ import annotations

import re
import unittest
from collections.abc import Sequence
from itertools import product
from typing import Any

from hypothesis import assume, given
from hypothesis import strategies as st

from lathework.answers.holders_shown import design_shown, holders_shown
from lathework.drawing.holder.assembly import PAPER, assembly
from lathework.errors import InvalidDocument
from lathework.holders.asks import HOLDER_KINDS, HolderKind
from lathework.holders.design import Design
from lathework.holders.workshop import OWN, OWN_FIELDS, OWN_SPANS, designed
from lathework.job.document import read_document
from lathework.part.bores import BoreWork
from lathework.planning.plan import Plan, make_plan
from lathework.shop.lines import read_lines
from lathework.threads.designation import read_designation

BUSH = {"thread": "3/8-16", "seat": "5/8", "deep": "3/8"}
SLEEVE = {"bar": "1/2", "seat": "13/16", "spigot": "1/4"}
THREADS = ["1/4-20", "3/8-16", "1/2-13", "M6", "M10", "M16", "3/8 BSW", "0 BA", "M3"]


def millimetres(design: Design) -> dict[str, float]:
    """Every dimension by name, in millimetres."""
    return {
        dimension.figure.name: dimension.figure.value * (25.4 if dimension.figure.unit == "in" else 1.0)
        for dimension in design.dimensions
    }


def made(design: Design) -> Plan:
    return make_plan(read_document(design.document))


def sections(plan: Plan) -> list[tuple[float, float]]:
    """Length and diameter of each section as the lathe leaves it, from the right-hand end, in millimetres."""
    return [(one.length.mm, plan.work.turned_mm(n)) for n, one in enumerate(plan.job.part.sections)]


class GuideBush(unittest.TestCase):
    @given(
        st.sampled_from(THREADS),
        st.floats(2, 14),
        st.one_of(st.none(), st.floats(6, 30)),
        st.sampled_from(["in", "mm"]),
    )
    def test_it_fits_blank_and_stock(self, name: str, wall: float, deep: float | None, unit: str) -> None:
        """The job's own sections: the blank runs in the bore with some hundredths, the body slides into the hole of the
        stock and stays clear of the die, the collar stops on its face, and the whole guides over a diameter."""
        blank = read_designation(name).major_mm - 0.1 * read_designation(name).pitch_mm
        seat = blank + 2 * wall
        typed = {"thread": name, "seat": f"{seat:.3f} mm", "blank": f"{blank:.3f} mm", "unit": unit}
        design = designed("guide-bush", typed | ({"deep": f"{deep:.2f} mm"} if deep else {}))
        plan = made(design)
        (body_long, body), (collar_long, collar) = sections(plan)
        bore = plan.work.bores[0].drill_mm
        loose = {conflict.code for conflict in design.conflicts} & {"loose-bush"}
        self.assertTrue(0.01 <= bore - blank <= 0.105 or loose, bore - blank)
        self.assertTrue(0.0 <= seat - body <= 0.03, seat - body)
        self.assertGreaterEqual(body_long + collar_long, 1.2 * blank)
        self.assertGreaterEqual(collar - seat, 5.0)
        self.assertGreaterEqual(plan.job.part.stock.across.mm - collar, 0.9)
        if deep:
            self.assertLessEqual(body_long, deep - 0.4)
        left = (seat - bore) / 2
        if abs(left - 1.5) > 0.01:
            self.assertEqual("thin-wall" in {conflict.code for conflict in design.conflicts}, left < 1.5)

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("guide-bush", BUSH).conflicts, ())
        for fault, code in (
            ({"seat": "0.45"}, "thin-wall"),
            ({"deep": "3/32"}, "shallow-seat"),
            ({"deep": ""}, "not-measured"),
            ({"thread": "M3", "blank": "2.65 mm", "seat": "10 mm"}, ""),
        ):
            codes = [conflict.code for conflict in designed("guide-bush", BUSH | fault).conflicts]
            self.assertEqual(codes, [code] if code else [], fault)

    def test_what_it_becomes_is_understood_by_the_shop(self) -> None:
        (line,) = read_lines(str(designed("guide-bush", BUSH).document["becomes"]))
        (thing,) = line.things
        self.assertEqual(thing.kind, "bush")

    def test_the_usual_blank(self) -> None:
        """3/8-16 in mild steel: a tenth of the pitch under 0.375 is 0.3688; H8 and f7: 0 to 22, 13 to 28 under."""
        told = millimetres(designed("guide-bush", BUSH))
        self.assertAlmostEqual(told["bore"] - 0.3688 * 25.4, (0.022 + 0.013 + 0.028) / 2, places=3)
        self.assertAlmostEqual(told["collar across"], 15.875 + 6.0)


HOLDER = {"die": "1", "thick": "3/8", "thread": "1/2-13", "longest": "1-1/2", "bar": "5/8"}
TWO = HOLDER | {"other": "13/16", "other_thick": "1/4"}


class DieHolder(unittest.TestCase):
    """For one die or two, sliding on a bar."""

    @given(st.floats(16, 55), st.floats(5, 16), st.floats(10, 60), st.floats(0.45, 0.8), st.booleans())
    def test_it_fits_die_thread_and_bar(
        self, die: float, thick: float, longest: float, share: float, two: bool
    ) -> None:
        """The job's own holes: the die drops in with hundredths, stands proud, has something to sit on; the bar bears
        two diameters when the longest thread is in."""
        bar = share * die
        assume(bar > 8.5)
        mm = {"die": die, "thick": thick, "longest": longest, "bar": bar}
        mm |= {"other": 0.9 * die, "other_thick": thick} if two else {}
        typed = {name: f"{value:.3f}" for name, value in mm.items()} | {"thread": "M5", "unit": "mm"}
        design = designed("die-holder", typed)
        plan, codes = made(design), {conflict.code for conflict in design.conflicts}
        holes = {
            (bore.bore.end, bore.bore.depth.mm if bore.bore.depth else 0.0): bore.drill_mm for bore in plan.work.bores
        }
        guide = holes["right", 0.0]
        self.assertTrue(0.005 <= guide - bar <= 0.05)
        ends = [("right", die, "thin-lip-die"), *([("left", 0.9 * die, "thin-lip-other")] if two else [])]
        for end, across, code in ends:
            deep, pocket = min((deep, wide) for (side, deep), wide in holes.items() if side == end and deep)
            self.assertTrue(0.02 <= pocket - across <= 0.11, pocket - across)
            self.assertAlmostEqual(thick - deep, 0.1, places=2)
            behind = max(wide for (side, at), wide in holes.items() if wide < pocket and (side == end or not at))
            lip = (across - behind) / 2
            # The bore of the bar is a few hundredths over it: next to a millimetre either may be said.
            if abs(lip - 1.0) > 0.05:
                self.assertEqual(code in codes, lip < 1.0, (across, behind))
        ((long, outside),) = sections(plan)
        self.assertAlmostEqual(long - longest - len(ends) * (thick - 0.1), 2 * bar, delta=0.02)
        self.assertGreaterEqual(outside - die, 11.9)

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("die-holder", TWO).conflicts, ())
        for fault, code in (
            ({"bar": "3/4"}, "thin-lip-other"),
            ({"bar": "15/16", "other": "", "other_thick": ""}, "thin-lip-die"),
            ({"thread": "5/8-11"}, "bore-under-thread"),
            ({"die": "25 mm"}, "near-size-die"),
            ({"key": "3/8"}, "wide-key"),
            ({"key": "5/16", "own": {"across": "1.13"}}, "thin-over-key"),
        ):
            self.assertEqual(
                [conflict.code for conflict in designed("die-holder", TWO | fault).conflicts], [code], fault
            )

    def test_an_inch_die_is_not_asked_whether_it_is_metric(self) -> None:
        """1-1/2 in is 38.1 mm, a hair from the metric 38 mm (ISO 2568): only that one is asked about."""
        for die, asked in (("1-1/2", False), ("38.1 mm", False), ("38 mm", True)):
            codes = [conflict.code for conflict in designed("die-holder", TWO | {"die": die}).conflicts]
            self.assertEqual("near-size-die" in codes, asked, die)

    def test_its_fits_are_told_with_their_limits(self) -> None:
        """A 1 in die: H8 with f7, on its measured size: 33 micrometres wide about the aim (ISO 286-1)."""
        metric = {"unit": "mm", "die": "25.4", "thick": "9.5", "longest": "38", "bar": "16"}
        dimensions = designed("die-holder", HOLDER | metric).dimensions
        pocket = next(dimension.figure for dimension in dimensions if dimension.figure.name == "pocket of the die")
        least, most = (float(size) for size in re.findall(r"(?:Between|and) ([\d.]+)", pocket.note))
        self.assertAlmostEqual(most - least, 0.033, places=3)
        self.assertTrue(least < pocket.value < most)

    def test_keyed_to_its_bar(self) -> None:
        """A 3/16 key in a 3/4 bar: .644 left in the bar, .837 over bore and keyway (ASME B17.1); the job planes it."""
        design = designed("die-holder", HOLDER | {"bar": "3/4", "die": "1-1/2", "key": "3/16"})
        self.assertAlmostEqual(millimetres(design)["bar's keyway to the side opposite"] / 25.4, 0.644, delta=0.0006)
        self.assertAlmostEqual(millimetres(design)["over bore and keyway"] / 25.4, 0.837, delta=0.0006)
        step = next(operation for operation in made(design).operations if operation.key.startswith("hub-keyway:"))
        self.assertAlmostEqual(step.figures["over"].value, 0.837, delta=0.002)

    def test_another_die_wants_both_its_sizes(self) -> None:
        with self.assertRaises(InvalidDocument) as caught:
            designed("die-holder", HOLDER | {"other": "13/16"})
        self.assertEqual([error.field for error in caught.exception.errors], ["other_thick"])

    def test_the_shop_understands_what_it_becomes(self) -> None:
        (line,) = read_lines(str(designed("die-holder", TWO).document["becomes"]))
        (thing,) = line.things
        self.assertEqual((thing.kind, thing.document["across"]), ("holder", "1 in"))


STOCK = {"die": "2", "thick": "5/8", "thread": "1-8"}


class DieStock(unittest.TestCase):
    """A ring with two handles."""

    @given(st.floats(20, 60), st.floats(5, 20), st.sampled_from(["M6", "M10", "1/2-13", "M20"]), st.booleans())
    def test_it_fits_die_thread_and_hands(self, die: float, thick: float, name: str, inch: bool) -> None:
        """The job's own parts: the die drops in and is held by a lip, its thread passes, the handles are screwed in by
        more than a diameter without reaching the die, stop on a shoulder, and reach two and a half dies at least."""
        unit = "in" if inch else "mm"
        typed = {"die": f"{die:.3f} mm", "thick": f"{thick:.2f} mm", "thread": name, "unit": unit}
        design = designed("die-stock", typed)
        ring, handle = (make_plan(job) for job in read_document(design.document).parts)
        ((ring_long, ring_across),) = sections(ring)
        (pocket, way, across, *screws) = ring.work.bores
        assert pocket.bore.depth is not None and across.bore.at is not None
        self.assertTrue(0.02 <= pocket.drill_mm - die <= 0.13, pocket.drill_mm - die)
        self.assertLess(pocket.bore.depth.mm, thick)
        self.assertGreater(way.drill_mm, read_designation(name).major_mm)
        codes = {conflict.code for conflict in design.conflicts}
        lip = (die - way.drill_mm) / 2
        if abs(lip - 1.0) > 0.05:
            self.assertEqual("thin-lip-die" in codes, lip < 1.0)
        self.assertGreaterEqual(ring_long - pocket.bore.depth.mm, 3.9)
        screwed, held = handle.job.part.sections
        assert screwed.thread is not None and across.bore.thread == screwed.thread
        self.assertEqual(handle.job.quantity, 2)
        wall = (ring_across - die) / 2
        self.assertTrue(screwed.thread.major_mm <= wall + 0.01 and screwed.length.mm < wall)
        self.assertGreater(handle.job.part.stock.across.mm, screwed.thread.major_mm + 0.5)
        self.assertTrue(
            screwed.thread.major_mm / 2 + 2.9 < across.bore.at.mm < ring_long - screwed.thread.major_mm / 2 - 2.9
        )
        self.check_screws(screws, thick, wall)
        reach = ring_across / 2 + held.length.mm
        self.assertGreaterEqual(reach, 2.5 * die - 0.1)

    def check_screws(self, screws: Sequence[BoreWork], thick: float, wall: float) -> None:
        """One over the split and four beside it press on the middle of the die's rim, through the wall."""
        self.assertEqual([screw.bore.count for screw in screws], [1, 4])
        for one in screws:
            assert one.bore.thread is not None and one.bore.at is not None and one.bore.depth is not None
            self.assertAlmostEqual(one.bore.at.mm, thick / 2, delta=0.02)
            self.assertAlmostEqual(one.bore.depth.mm, wall, delta=0.02)
            self.assertTrue(one.bore.thread.major_mm <= 0.6 * thick or one.bore.thread.designation == "M3")
            self.assertIn("split", one.bore.around)

    def test_the_handles_bring_the_torque(self) -> None:
        """1-8 UNC in mild steel: 2000 N/mm² x 3.175² x 25.4 / 8000 = 64 N m sharp, 128 dull: 320 mm at 2 x 200 N."""
        told = {dimension.figure.name: dimension.figure.value for dimension in designed("die-stock", STOCK).dimensions}
        self.assertAlmostEqual(told["torque of a dull die"], 2 * 2000 * 3.175**2 * 25.4 / 8000, places=3)
        self.assertAlmostEqual(told["handle from the axis"] * 25.4, 128.02 / 2 / 200 * 1000, delta=0.1)

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("die-stock", STOCK).conflicts, ())
        for fault, codes in (
            ({"thread": "2-4.5"}, ["thin-lip-die", "long-handles", "handles-bend"]),
            ({"own": {"across": "2-1/4"}}, ["thin-wall"]),
            ({"own": {"rod": "1/2"}}, ["no-shoulder"]),
            ({"own": {"arm": "20"}}, ["long-handles"]),
        ):
            self.assertEqual(
                [conflict.code for conflict in designed("die-stock", STOCK | fault).conflicts], codes, fault
            )

    def test_the_shop_understands_what_it_becomes(self) -> None:
        (line,) = read_lines(str(designed("die-stock", STOCK).document["becomes"]))
        (thing,) = line.things
        self.assertEqual((thing.kind, thing.document["across"]), ("die-stock", "2 in"))


PLATE = {"thread": "1-1/2-8 UN", "plain": "1.6", "plain_long": "3/8", "seat": "2-1/2", "deep": "1/8", "wide": "4"}
FLOATING = {"die": "1", "thick": "3/8", "thread": "1/2-13", "longest": "1-1/2", "bar": "3/4"}
DESIGNS: tuple[tuple[HolderKind, dict[str, Any]], ...] = (
    ("die-holder", TWO),
    ("floating", FLOATING),
    ("die-stock", STOCK),
    ("guide-bush", BUSH),
    ("bush-set", {"threads": "1/4-20, 3/8-16, M8", "seat": "5/8", "deep": "3/8"}),
    ("sleeve", SLEEVE),
    ("taper-bar", {"taper": "MT2", "bar": "3/4", "out": "4"}),
    ("tap-holder", {"shank": "3/8", "bar": "1/2"}),
    ("backplate", PLATE),
)


class TaperBar(unittest.TestCase):
    @given(st.sampled_from(["MT1", "MT2", "MT3"]), st.floats(10, 30), st.floats(30, 120))
    def test_it_fits_holder_and_tailstock(self, taper: str, bore: float, out: float) -> None:
        """The holder's bore slides over the bar; the shank ends as wide as ASME B5.10 has it so far along; a collar
        stands over both."""
        per_foot = {"MT1": 0.59858, "MT2": 0.59941, "MT3": 0.60235}[taper]
        gauge = {"MT1": 0.475, "MT2": 0.700, "MT3": 0.938}[taper] * 25.4
        design = designed("taper-bar", {"taper": taper, "bar": f"{bore:.3f}", "out": f"{out:.1f}", "unit": "mm"})
        (bar_long, bar), (_, collar), (shank_long, wide) = sections(made(design))
        self.assertTrue(0.005 <= bore - bar <= 0.05, bore - bar)
        self.assertAlmostEqual(bar_long, out, delta=0.06)
        self.assertAlmostEqual(wide, gauge, delta=0.02)
        self.assertAlmostEqual(millimetres(design)["small end"], gauge - shank_long * per_foot / 12, delta=0.02)
        self.assertGreaterEqual(collar - max(bar, wide), 3.9)
        self.assertEqual("long-bar" in {conflict.code for conflict in design.conflicts}, out > 6 * bar)

    def test_what_is_no_taper_of_a_tailstock(self) -> None:
        for text in ("", "1:20", "MT9"):
            with self.subTest(text), self.assertRaises(InvalidDocument) as caught:
                designed("taper-bar", {"taper": text, "bar": "3/4", "out": "4"})
            self.assertEqual([error.field for error in caught.exception.errors], ["taper"])


class TapHolder(unittest.TestCase):
    @given(st.floats(3, 20), st.floats(8.5, 25))
    def test_it_fits_tap_and_bar(self, shank: float, bar: float) -> None:
        """Shank and bar slide in, meet nowhere, and the air gets out between them."""
        design = designed("tap-holder", {"shank": f"{shank:.2f}", "bar": f"{bar:.2f}", "unit": "mm"})
        plan = made(design)
        *inside, screws, tommy = plan.work.bores
        holes = {one.bore.end if one.bore.depth else "vent": one for one in inside}
        tap = holes["right"]
        opened = tap.limits.aim_mm if tap.bore.reamed and tap.limits else tap.drill_mm
        self.assertTrue(0.0 < opened - shank <= 0.06, opened - shank)
        self.assertTrue(0.005 <= holes["left"].drill_mm - bar <= 0.06)
        ((long, outside),) = sections(plan)
        deep = [sized.mm for end in ("left", "right") if (sized := holes[end].bore.depth) is not None]
        self.assertGreaterEqual(long - sum(deep), 5.9)
        self.assertLess(holes["vent"].drill_mm, max(shank, 4.1))
        self.assertGreaterEqual(outside - max(shank, bar), 11.9)
        assert tommy.bore.at is not None and screws.bore.depth is not None
        self.assertGreaterEqual(tommy.bore.at.mm - tommy.drill_mm / 2 - deep[1], 2.9)
        self.assertGreaterEqual(long - deep[0] - tommy.bore.at.mm - tommy.drill_mm / 2, 2.9)
        self.assertEqual(screws.bore.count, 2)
        titles = [step.title for step in plan.operations if step.key.startswith("cross-drill")]
        self.assertEqual(titles, ["Drill the cross hole, hole 4", "Drill the cross hole, hole 5"])
        self.assertAlmostEqual(screws.bore.depth.mm, (outside - shank) / 2, delta=0.02)

    def test_every_planted_fault_is_found(self) -> None:
        good = {"shank": "3/8", "bar": "1/2"}
        self.assertEqual(designed("tap-holder", good).conflicts, ())
        for fault, codes in (
            ({"bar": "1/4"}, ["small-bore"]),
            ({"own": {"across": "0.55"}}, ["thin-wall"]),
            ({"own": {"bears": "3/8"}}, ["short-bearing"]),
        ):
            self.assertEqual(
                [conflict.code for conflict in designed("tap-holder", good | fault).conflicts], codes, fault
            )

    def test_its_screws_press_on_the_square(self) -> None:
        """Shanks of 4, 6.3, 9, 12.5 and 20 mm have squares 6, 8, 10, 13 and 20 mm long (ISO 529, ISO 237): a screw of
        5 mm lies with its middle over them, also in a hole of one's own depth."""
        squares = ((4.0, 6.0), (6.3, 8.0), (9.0, 10.0), (12.5, 13.0), (20.0, 20.0))
        for (shank, square), own in product(squares, ("", "25")):
            design = designed("tap-holder", {"shank": f"{shank}", "bar": "16", "unit": "mm", "own": {"deep": own}})
            told = {dimension.figure.name: dimension.figure.value for dimension in design.dimensions}
            deep, at = told["depth of the tap"], told["screws behind the face"]
            self.assertTrue(deep - square + 1.0 < at < deep - 1.0, (shank, at, deep))


class Backplate(unittest.TestCase):
    def test_it_fits_nose_and_head(self) -> None:
        plan = made(designed("backplate", PLATE))
        (spigot_long, spigot), (_, outside) = sections(plan)
        nose, register = plan.work.bores
        self.assertEqual((nose.bore.thread and nose.bore.thread.designation, nose.bore.depth), ("1-1/2-8 UN", None))
        self.assertTrue(0.0 < 2.5 * 25.4 - spigot <= 0.03)
        self.assertTrue(0.0 < register.drill_mm - 1.6 * 25.4 <= 0.04)
        self.assertAlmostEqual(spigot_long, 25.4 / 8 - 0.5, delta=0.02)
        assert register.bore.depth is not None
        self.assertGreaterEqual(plan.job.part.overall_mm - register.bore.depth.mm, 0.79 * 1.5 * 25.4)
        self.assertAlmostEqual(outside, 4 * 25.4)

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("backplate", PLATE).conflicts, ())
        for fault, codes in (
            ({"seat": "1.6"}, ["thin-wall"]),
            ({"wide": "3"}, ["no-face"]),
            ({"plain": "", "plain_long": ""}, ["no-register"]),
            ({"own": {"flange": "1/2"}}, ["short-thread"]),
        ):
            self.assertEqual(
                [conflict.code for conflict in designed("backplate", PLATE | fault).conflicts], codes, fault
            )

    def test_of_the_register_both_sizes_or_neither(self) -> None:
        with self.assertRaises(InvalidDocument) as caught:
            designed("backplate", PLATE | {"plain_long": ""})
        self.assertEqual([error.field for error in caught.exception.errors], ["plain_long"])


class Floating(unittest.TestCase):
    def test_head_and_body(self) -> None:
        """The head takes the die and lets the thread through; the body slides on its bar and swallows the thread; the
        screws lie in the metal round the die, and the head has its play about them."""
        design = designed("floating", FLOATING)
        head, body = (make_plan(job) for job in read_document(design.document).parts)
        ((head_long, across),), ((body_long, outside),) = sections(head), sections(body)
        pocket, way, *screws = head.work.bores
        self.assertEqual([screw.bore.count for screw in screws], [1, 4])
        told = millimetres(design)
        self.assertTrue(0.02 <= pocket.drill_mm - 25.4 <= 0.1)
        self.assertGreater(way.drill_mm, 12.7)
        assert pocket.bore.depth is not None
        self.assertGreaterEqual(head_long - pocket.bore.depth.mm, 3.9)
        self.assertAlmostEqual(across, outside)
        self.assertTrue(0.005 <= body.work.bores[0].drill_mm - 19.05 <= 0.05)
        self.assertAlmostEqual(body_long, 38.1 + 2 * 19.05, delta=0.02)
        half = told["holes in the head"] / 2
        self.assertTrue(told["circle of the screws"] / 2 - half > 25.4 / 2 + 1.5)
        self.assertTrue(told["circle of the screws"] / 2 + half < across / 2 - 1.5)
        self.assertAlmostEqual(told["holes in the head"] - 6.0, 2 * told["floats by"])
        (line,) = read_lines(str(design.document["becomes"]))
        self.assertEqual([thing.kind for thing in line.things], ["holder"])

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("floating", FLOATING).conflicts, ())
        for fault, codes in (
            ({"thread": "7/8-9"}, ["bore-under-thread"]),
            ({"thread": "15/16-16 UN"}, ["thin-lip-die", "bore-under-thread"]),
            ({"own": {"play": "1/16"}}, ["much-play"]),
            ({"die": "25 mm"}, ["near-size-die"]),
        ):
            found = [conflict.code for conflict in designed("floating", FLOATING | fault).conflicts]
            self.assertEqual(found, codes, fault)

    def test_its_own_play_can_be_typed(self) -> None:
        """The 0.3 mm that it is made with, and the least that floats at all."""
        for play in (0.3, 0.05):
            told = designed("floating", FLOATING | {"own": {"play": f"{play} mm"}}).dimensions
            (floats, holes) = (one.figure for one in told if one.figure.name in ("floats by", "holes in the head"))
            self.assertAlmostEqual(floats.value * 25.4, play)
            self.assertAlmostEqual(holes.value * 25.4, 6.0 + 2 * play)


class BushSet(unittest.TestCase):
    def test_a_part_for_each_thread(self) -> None:
        """Each part is the bush that is designed for its thread alone; the shop takes them all."""
        stock = {"seat": "5/8", "deep": "3/8"}
        names = ("1/4-20", "3/8-16", "M8")
        together = designed("bush-set", stock | {"threads": ", ".join(names)})
        parts = read_document(together.document).parts
        for name, job in zip(names, parts, strict=True):
            alone = read_document(designed("guide-bush", stock | {"thread": name}).document)
            sizes = [(section.across, section.length) for section in job.part.sections]
            self.assertEqual(sizes, [(section.across, section.length) for section in alone.part.sections])
            self.assertEqual([bore.across for bore in job.part.bores], [bore.across for bore in alone.part.bores])
        lines = read_lines(str(together.document["becomes"]))
        self.assertEqual([thing.kind for line in lines for thing in line.things], ["bush"] * 3)

    def test_what_cannot_be(self) -> None:
        for threads in ("", " , ", "1/4-20, R1/4", "1/4-21.5x", ", ".join(["M6"] * 9)):
            with self.subTest(threads), self.assertRaises(InvalidDocument) as caught:
                designed("bush-set", {"threads": threads, "seat": "5/8"})
            self.assertEqual({error.field for error in caught.exception.errors}, {"threads"})


class Overruled(unittest.TestCase):
    def test_what_is_said_to_be_right_can_be_planned(self) -> None:
        """Any size of one's own that is taken: either something speaks against it, or all its parts have a plan."""
        for (kind, typed), mm in product(DESIGNS, (0.5, 3.0, 10.0, 40.0, 600.0)):
            for field in OWN_FIELDS[kind]:
                size = min(mm, OWN_SPANS.get(field, OWN).high_mm)
                design = designed(kind, typed | {"own": {field: f"{size} mm"}})
                if not design.conflicts:
                    self.assertTrue(all(make_plan(job).operations for job in read_document(design.document).parts))

    def test_what_follows_from_a_size_of_ones_own_follows(self) -> None:
        """A body of 2 in in place of 1.4724: the bar to make it of, its wall and the job follow; both are told."""
        before, now = designed("die-holder", HOLDER), designed("die-holder", HOLDER | {"own": {"across": "2"}})
        own = next(dimension for dimension in now.dimensions if dimension.field == "across").figure
        worked = next(dimension for dimension in before.dimensions if dimension.field == "across").figure
        self.assertEqual((own.value, own.kind, own.others[0].value), (2.0, "typed", worked.value))
        self.assertAlmostEqual(millimetres(now)["wall"], (50.8 - 25.4) / 2)
        self.assertAlmostEqual(millimetres(now)["bar to make it of"], 2.0625 * 25.4)
        ((_, outside),) = sections(made(now))
        self.assertAlmostEqual(outside, 50.8)

    def test_every_field_that_overrules_is_known(self) -> None:
        """What a dimension says it is set by is what the workshop takes, and nothing else is."""
        for kind, typed in DESIGNS:
            fields = {dimension.field for dimension in designed(kind, typed).dimensions if dimension.field}
            self.assertEqual(fields, set(OWN_FIELDS[kind]))
            for field in fields:
                told = designed(kind, typed | {"own": {field: "2.9"}})
                self.assertIn(
                    (field, 2.9), [(dimension.field, dimension.figure.value) for dimension in told.dimensions]
                )
            for own in ({"colour": "2"}, {next(iter(fields)): "wide"}):
                with self.subTest(own), self.assertRaises(InvalidDocument):
                    designed(kind, typed | {"own": own})


class Assembly(unittest.TestCase):
    def test_parts_lie_in_each_other_without_overlap(self) -> None:
        """Round the axis no two pieces are in one place, but a screw's thread in its own hole; apart none meet at all
        along the axis."""
        for kind, typed in DESIGNS:
            pieces = [one for one in designed(kind, typed).lying if not one.square and not one.spare]
            for n, one in enumerate(pieces):
                for other in pieces[n + 1 :]:
                    along = min(one.far_mm, other.far_mm) - max(one.near_mm, other.near_mm)
                    across = min(one.outer_mm, other.outer_mm) - max(one.inner_mm, other.inner_mm)
                    self.assertFalse(along > 0.15 and across > 0.15, (kind, one, other))

    def test_it_is_drawn_to_one_scale(self) -> None:
        """A body is as much wider than its die on the sheet as it is in steel; apart the drawing is as true."""
        design = designed("die-holder", HOLDER)
        for apart in (False, True):
            sheet = assembly(design.lying, design.title, PAPER, apart=apart)
            high = {
                path.role: max(y for line in path.lines for _, y in line)
                - min(y for line in path.lines for _, y in line)
                for path in sheet.paths
                if path.role in ("part", "nut")
            }
            self.assertAlmostEqual(high["part"] / sheet.scale, millimetres(design)["body across"], places=3)


class Sleeve(unittest.TestCase):
    @given(st.floats(8.5, 25), st.floats(1.6, 10), st.floats(2, 15))
    def test_it_slides_on_its_bar(self, bar: float, wall: float, spigot: float) -> None:
        """Bored to the bar within hundredths, two diameters long, a shoulder for the stock."""
        assume(spigot < 1.8 * bar)
        seat = bar + 2 * wall
        typed = {"bar": f"{bar:.3f}", "seat": f"{seat:.3f}", "spigot": f"{spigot:.2f}", "unit": "mm"}
        plan = made(designed("sleeve", typed))
        (spigot_long, across), (body_long, body) = sections(plan)
        self.assertTrue(0.005 <= plan.work.bores[0].drill_mm - bar <= 0.05)
        self.assertLess(abs(across - seat), 0.03)
        self.assertAlmostEqual(spigot_long + body_long, 2 * bar, delta=0.02)
        self.assertGreaterEqual(body - seat, 5.5)

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("sleeve", SLEEVE).conflicts, ())
        for fault, code in (
            ({"seat": "0.55"}, "thin-wall"),
            ({"spigot": "1-1/16"}, "no-body"),
            ({"bar": "1/4"}, "small-bore"),
        ):
            codes = [conflict.code for conflict in designed("sleeve", SLEEVE | fault).conflicts]
            self.assertEqual(codes, [code], fault)


class Typed(unittest.TestCase):
    def test_what_cannot_be_is_told_beside_its_field(self) -> None:
        cases: tuple[tuple[Any, dict[str, str], list[str]], ...] = (
            ("guide-bush", {"thread": "3/8-17", "seat": ""}, ["thread", "seat"]),
            ("guide-bush", BUSH | {"thread": "R1/4"}, ["thread"]),
            ("guide-bush", BUSH | {"seat": "wide"}, ["seat"]),
            ("sleeve", SLEEVE | {"bar": "900"}, ["bar"]),
            ("sleeve", SLEEVE | {"metal": "wood"}, ["metal"]),
        )
        for kind, typed, fields in cases:
            with self.subTest(typed), self.assertRaises(InvalidDocument) as caught:
                designed(kind, typed)
            self.assertEqual(sorted({error.field for error in caught.exception.errors}), sorted(fields))

    def test_each_is_drawn_as_it_is_asked_for(self) -> None:
        self.assertEqual(tuple(one.code for one in holders_shown()), HOLDER_KINDS)
        for kind, typed in DESIGNS:
            shown = design_shown(designed(kind, typed))
            self.assertIsNotNone(shown.drawing)
            self.assertEqual(
                {label.mm for label in shown.apart.labels}, {one.name for one in designed(kind, typed).lying}
            )
