"""Designed holders against an independent look at their geometry; what is planted against one is found."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import assume, given
from hypothesis import strategies as st

from lathework.answers.holders_shown import design_shown, holders_shown
from lathework.errors import InvalidDocument
from lathework.holders.design import Design
from lathework.holders.workshop import HOLDER_KINDS, designed
from lathework.job.document import read_document
from lathework.planning.plan import Plan, make_plan
from lathework.shop.typing.lines import read_lines
from lathework.threads.designation import read_designation

BUSH = {"thread": "3/8-16", "seat": "5/8", "deep": "3/8"}
SLEEVE = {"bar": "1/2", "seat": "13/16", "spigot": "1/4"}
THREADS = ["1/4-20", "3/8-16", "1/2-13", "M6", "M10", "M16", "3/8 BSW", "0 BA", "M3"]


def millimetres(design: Design) -> dict[str, float]:
    """Every dimension by name, in millimetres."""
    return {one.figure.name: one.figure.value * (25.4 if one.figure.unit == "in" else 1.0) for one in design.dimensions}


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
        loose = {one.code for one in design.conflicts} & {"loose-bush"}
        self.assertTrue(0.01 <= bore - blank <= 0.105 or loose, bore - blank)
        self.assertTrue(0.0 <= seat - body <= 0.03, seat - body)
        self.assertGreaterEqual(body_long + collar_long, 1.2 * blank)
        self.assertGreaterEqual(collar - seat, 5.0)
        self.assertGreaterEqual(plan.job.part.stock.across.mm - collar, 0.9)
        if deep:
            self.assertLessEqual(body_long, deep - 0.4)
        self.assertEqual("thin-wall" in {one.code for one in design.conflicts}, (seat - bore) / 2 < 1.5)

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("guide-bush", BUSH).conflicts, ())
        for fault, code in (
            ({"seat": "0.45"}, "thin-wall"),
            ({"deep": "3/32"}, "shallow-seat"),
            ({"deep": ""}, "not-measured"),
            ({"thread": "M3", "blank": "2.65 mm", "seat": "10 mm"}, ""),
        ):
            codes = [one.code for one in designed("guide-bush", BUSH | fault).conflicts]
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
        plan, codes = made(design), {one.code for one in design.conflicts}
        holes = {(one.bore.end, one.bore.depth.mm if one.bore.depth else 0.0): one.drill_mm for one in plan.work.bores}
        guide = holes["right", 0.0]
        self.assertTrue(0.005 <= guide - bar <= 0.05)
        ends = [("right", die, "thin-lip-die"), *([("left", 0.9 * die, "thin-lip-other")] if two else [])]
        for end, across, code in ends:
            deep, pocket = min((deep, wide) for (side, deep), wide in holes.items() if side == end and deep)
            self.assertTrue(0.02 <= pocket - across <= 0.11, pocket - across)
            self.assertAlmostEqual(thick - deep, 0.1, places=2)
            behind = max(wide for (side, at), wide in holes.items() if wide < pocket and (side == end or not at))
            self.assertEqual(code in codes, (across - behind) / 2 < 1.0 - 0.03, (across, behind))
        ((long, outside),) = sections(plan)
        self.assertAlmostEqual(long - longest - len(ends) * (thick - 0.1), 2 * bar, delta=0.02)
        self.assertGreaterEqual(outside - die, 11.9)

    def test_every_planted_fault_is_found(self) -> None:
        self.assertEqual(designed("die-holder", TWO).conflicts, ())
        for fault, code in (
            ({"bar": "3/4"}, "thin-lip-other"),
            ({"bar": "15/16", "other": "", "other_thick": ""}, "thin-lip-die"),
            ({"thread": "5/8-11"}, "bore-under-thread"),
        ):
            self.assertEqual([one.code for one in designed("die-holder", TWO | fault).conflicts], [code], fault)

    def test_another_die_wants_both_its_sizes(self) -> None:
        with self.assertRaises(InvalidDocument) as caught:
            designed("die-holder", HOLDER | {"other": "13/16"})
        self.assertEqual([error.field for error in caught.exception.errors], ["other_thick"])

    def test_the_shop_understands_what_it_becomes(self) -> None:
        (line,) = read_lines(str(designed("die-holder", TWO).document["becomes"]))
        (thing,) = line.things
        self.assertEqual((thing.kind, thing.document["across"]), ("holder", "1 in"))


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
            codes = [one.code for one in designed("sleeve", SLEEVE | fault).conflicts]
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
        for kind, typed in (("die-holder", TWO), ("guide-bush", BUSH), ("sleeve", SLEEVE)):
            self.assertIsNotNone(design_shown(designed(kind, typed)).drawing)  # type: ignore[arg-type]
