"""What is said to fit, fits: tried with discs and cones of points that know nothing of the rules."""

from __future__ import annotations

import math
import unittest
from typing import Any

from hypothesis import assume, given
from hypothesis import strategies as st

from lathework.shop.fits import grips, guides, in_pocket, in_tailstock, long_enough, parts, reaches, reams, through
from lathework.shop.kinds.die_holders import DieHolder
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kinds.workholding import Chuck, Collet
from lathework.shop.kit import read_thing
from lathework.shop.kit_choices import MORSE
from lathework.threads.library import library

#: Morse tapers: large end at the gauge line and length to the small end (mm), taper on diameter 1 in. Source: DIN 228,
#: from memory.
CONES = {
    "0MT": (9.045, 50.0, 19.212),
    "1MT": (12.065, 53.5, 20.047),
    "2MT": (17.780, 64.0, 20.020),
    "3MT": (23.825, 81.0, 19.922),
    "4MT": (31.267, 102.5, 19.254),
    "5MT": (44.399, 129.5, 19.002),
}
#: Round dies, outside diameter x thickness. Source: ISO 2568 (metric, mm); the inch sizes dies are sold in (memory).
ROUND_DIES = {
    "mm": ((16, 5), (20, 5), (20, 7), (25, 9), (30, 11), (38, 10), (38, 14), (45, 14), (45, 18), (55, 16), (55, 22)),
    "in": (("13/16", "1/4"), ("1", "3/8"), ("1-5/16", "7/16"), ("1-1/2", "1/2"), ("2", "5/8")),
}
NUMBER_OF_POINTS = 180
WOBBLE_MM = 0.1
"""A die that can be pushed further off the centre of its pocket than this does not run true."""


def thing(kind: str, **said: Any) -> Any:
    return read_thing(kind, {"id": "x1", **{name: str(value) for name, value in said.items()}})


def rim(radius: float, *, off: float = 0.0) -> list[tuple[float, float]]:
    """Points on a disc's rim, its centre `off` to the side."""
    turns = (2 * math.pi * n / NUMBER_OF_POINTS for n in range(NUMBER_OF_POINTS))
    return [(radius * math.cos(turn) + off, radius * math.sin(turn)) for turn in turns]


def inside(points: list[tuple[float, float]], radius: float) -> bool:
    return all(math.hypot(x, y) <= radius + 1e-6 for x, y in points)


def goes_in(die_mm: float, pocket_mm: float) -> bool:
    return inside(rim(die_mm / 2), pocket_mm / 2)


def stays_true(die_mm: float, pocket_mm: float) -> bool:
    """Pushed sideways by more than it may wobble, a die must strike the pocket's wall."""
    return not inside(rim(die_mm / 2, off=WOBBLE_MM + 1e-5), pocket_mm / 2)


class RoundDies(unittest.TestCase):
    @given(st.floats(16, 55), st.floats(-1, 1))
    def test_what_is_said_of_a_pocket_is_so(self, pocket: float, more: float) -> None:
        die_mm = pocket + more
        die = thing("die", thread="M3", across=f"{die_mm:.4f} mm")
        holder = thing("holder", across=f"{pocket:.4f} mm")
        told = in_pocket(die, holder).fits
        die_mm, pocket = die.across.mm, holder.across.mm
        if abs(more) > 1e-3 and abs(abs(more) - 2 * WOBBLE_MM) > 1e-3:
            self.assertEqual(told, goes_in(die_mm, pocket) and stays_true(die_mm, pocket))

    def test_each_standard_die_goes_into_its_own_pocket_alone(self) -> None:
        """A 25 mm pocket does not take a 1 in die, nor an inch pocket a 25 mm one; 38 mm is a tenth under 1-1/2 in."""
        sizes = [f"{across} {unit}" for unit, rows in ROUND_DIES.items() for across, _ in rows]
        own = {("38 mm", "1-1/2 in"), *((size, size) for size in sizes)}
        for across in sizes:
            die = thing("die", thread="M3", across=across)
            for pocket in sizes:
                with self.subTest(die=across, pocket=pocket):
                    self.assertEqual(in_pocket(die, thing("holder", across=pocket)).fits, (across, pocket) in own)

    def test_every_standard_size_can_be_kept(self) -> None:
        for unit, rows in ROUND_DIES.items():
            for across, thick in rows:
                die = thing("die", thread="M3", across=f"{across} {unit}", thick=f"{thick} {unit}")
                self.assertLess(die.thick.mm, die.across.mm)

    def test_a_die_thicker_than_its_pocket_is_told(self) -> None:
        die = thing("die", thread="M16", across="45 mm", thick="18 mm")
        self.assertFalse(in_pocket(die, thing("holder", across="45 mm", deep="14 mm")).fits)
        self.assertTrue(in_pocket(die, thing("holder", across="45 mm", deep="17.5 mm")).fits)
        self.assertFalse(in_pocket(thing("die", thread="M8"), thing("holder", across="25 mm")).fits)

    @given(st.sampled_from(library()), st.floats(1, 60), st.floats(1, 120), st.floats(1, 120))
    def test_a_thread_that_passes_its_holder_strikes_nothing(
        self, thread: Any, bore: float, length: float, swallows: float
    ) -> None:
        holder = thing("holder", across="100 mm", behind=f"{bore:.3f} mm", swallows=f"{swallows:.3f} mm")
        if through(thread, length, holder).fits:
            self.assertTrue(inside(rim(thread.major_mm / 2), holder.behind.mm / 2))
            self.assertLessEqual(length, swallows + 1e-3)
        elif length < swallows - 1e-3:
            # With room for chips it would strike.
            self.assertFalse(inside(rim(thread.major_mm / 2 + 0.1 + 1e-5), holder.behind.mm / 2))


class Tapers(unittest.TestCase):
    def seats(self, shank: str, socket: str) -> bool:
        """Whether a cone touches its socket along its length, and neither drops through nor stands out of it."""
        (large, length, per), (mouth, deep, own) = CONES[shank], CONES[socket]
        gaps = [(mouth - at / own) - (large - at / per) for at in (0.0, min(length, deep) / 2, min(length, deep))]
        return all(abs(gap) < 0.05 for gap in gaps)

    def drops_in(self, shank: str, socket: str) -> bool:
        """Whether a cone is thinner at its large end than the socket at its small one: a sleeve has metal all along."""
        (large, _, _), (mouth, deep, own) = CONES[shank], CONES[socket]
        return large < mouth - deep / own

    def test_a_shank_in_each_tailstock(self) -> None:
        for shank in CONES:
            holder: DieHolder = thing("holder", across="25 mm", shank=shank)
            for socket in CONES:
                told = in_tailstock(holder, next(one for one in MORSE if one == socket), ())
                with self.subTest(shank=shank, socket=socket):
                    self.assertEqual(told.fits and not told.why, self.seats(shank, socket))
                    self.assertEqual(told.fits, self.seats(shank, socket) or self.drops_in(shank, socket))

    def test_a_straight_shank_goes_into_the_drill_chuck(self) -> None:
        holder = thing("holder", across="25 mm", shank="straight", round="16 mm")
        small: Chuck = thing("chuck", form="drill", most="13 mm")
        large: Chuck = thing("chuck", form="drill", most="16 mm")
        self.assertFalse(in_tailstock(holder, "2MT", (small,)).fits)
        self.assertTrue(in_tailstock(holder, "2MT", (small, large)).fits)


class Others(unittest.TestCase):
    @given(st.floats(1, 30), st.floats(1, 30), st.floats(0, 4))
    def test_a_collet_closes_on_what_lies_between_its_ends(self, size: float, most: float, range_mm: float) -> None:
        least = max(0.2, most - range_mm)
        collet: Collet = thing("collet", least=f"{least:.3f} mm", most=f"{most:.3f} mm")
        told = grips(collet, size).fits
        open_bore, closed_bore = collet.most.mm / 2, collet.least.mm / 2 if collet.least else 0.0
        # At its very ends a hair decides.
        assume(min(abs(size - collet.most.mm), abs(size - 2 * closed_bore)) > 1e-4)
        # It goes in while open, and when closed it would not leave the collet slack.
        self.assertEqual(told, inside(rim(size / 2), open_bore) and size / 2 >= closed_bore - 1e-6)

    def test_sizes_near_each_other_are_not_one(self) -> None:
        """1/4 in is 6.35 mm: a reamer of that is none for a 6 mm shaft."""
        self.assertTrue(reams(thing("reamer", size="1/4 in"), 6.35).fits)
        self.assertFalse(reams(thing("reamer", size="1/4 in"), 6.0).fits)
        self.assertTrue(guides(thing("bush", bore="9.55 mm"), 9.52).fits)
        self.assertFalse(guides(thing("bush", bore="9.5 mm"), 9.52).fits)
        self.assertFalse(guides(thing("bush", bore="10 mm"), 9.52).fits)

    def test_reach(self) -> None:
        self.assertFalse(parts(thing("blade", width="2 mm", reach="10 mm"), 20.0).fits)
        self.assertTrue(parts(thing("blade", width="2 mm", reach="12 mm"), 20.0).fits)
        self.assertFalse(parts(thing("blade", width="2 mm", use="grooving"), 5.0).fits)
        self.assertFalse(reaches(thing("tap", thread="M6", reaches="20 mm"), 25.0).fits)
        self.assertFalse(long_enough(thing("bar", across="16 mm", long="200 mm"), 210.0).fits)
        self.assertFalse(grips(thing("collet", most="10 mm", deep="20 mm"), 10.0, 6.0).fits)


class Declared(unittest.TestCase):
    def test_a_lathe_keeps_its_speeds_in_order(self) -> None:
        lathe: OwnLathe = thing("lathe", name="Bench lathe", speeds="600, 45;160 320 , 85")
        self.assertEqual(lathe.speeds, (45, 85, 160, 320, 600))

    def test_a_die_is_a_die(self) -> None:
        die: Die = thing("die", thread="M8 LH", lead="plain", unfinished="2,5")
        self.assertEqual((die.thread.hand, die.lead, die.unfinished), ("left", "plain", 2.5))
