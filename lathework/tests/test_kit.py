"""What one owns: typed as people say it, refused where it cannot be, and what of it serves a thread."""

from __future__ import annotations

import unittest
from itertools import pairwise

from hypothesis import given
from hypothesis import strategies as st

from lathework.errors import InvalidDocument
from lathework.methods.die_held_by import holdings
from lathework.outfit.serving import capabilities, serving
from lathework.shop.fits import grips
from lathework.shop.kinds import name_of
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kinds.taps import Tap
from lathework.shop.kinds.workholding import Collet
from lathework.shop.kit import read_thing
from lathework.shop.lines import read_line, read_lines
from lathework.shop.typing.reads import METRIC_SET
from lathework.threads.designation import read_designation
from lathework.threads.library import library
from lathework.threads.thread import Thread


def things(text: str) -> list[Owned]:
    """The things that lines name, with ids."""
    out: list[Owned] = []
    for line in read_lines(text):
        assert line.error is None, line.error
        start = len(out)
        out += [read_thing(one.kind, {"id": f"t{start + n}", **one.document}) for n, one in enumerate(line.things)]
    return out


def names(text: str) -> list[str]:
    return [name_of(thing) for thing in things(text)]


class AsPeopleSayIt(unittest.TestCase):
    def test_one_thing_a_line(self) -> None:
        for typed, name in (
            ("1/4 BSW split die 13/16", "1/4 BSW split die, 13/16 in"),
            ("die 1/2 bsw 1 x 3/8 worn, British box", "1/2 BSW split die, 1 in × 3/8 in"),
            ("M8 die 25 x 9", "M8 split die, 25 mm × 9 mm"),
            ("3/8-16 hexagon die", "3/8-16 UNC hexagon die"),
            ("M8 second tap hss", "M8 second tap"),
            ("2 BA taps", "2 BA taps, a set"),
            ("#7 drill", "#7 drill"),
            ("8.5 drill missing", "8.5 mm drill"),
            ("5/16 drill", "5/16 in drill"),
            ("M10 LH tap", "M10 LH taps, a set"),
            ("1 in die holder 2MT", "tailstock die holder, 1 in, 2MT"),
            ("25 mm x 9 tailstock die holder 3MT keyed", "tailstock die holder, 25 mm, 3MT, keyed"),
            ("13/16 die stock", "die stock, 13/16 in"),
            ("2MT tailstock", "Lathe"),
            ("bench lathe 2MT 20 mm bore screwed, by the window", "Bench lathe"),
            ("drill chuck 13 mm 2MT", "drill chuck, to 13 mm"),
            ("three-jaw chuck", "three-jaw chuck"),
            ("live centre 2MT", "live centre, 2MT"),
            ("3/32 parting blade", "3/32 in parting blade"),
            ("60 threading tool", "60° threading tool"),
            ("5/8 mild steel bar 14 in", "5/8 in round mild steel bar, 14 in"),
            ("3.6 brass bar 300", "3.6 mm round brass bar, 300 mm"),
            ("3 blade", "3 mm blade"),
            ("22 hex brass bar", "22 mm hexagon brass bar"),
            ("M8 ring gauge", "M8 ring gauge"),
            ("0.029 in wires", "0.029 in wires"),
            ("micrometer 25 mm", "micrometer, to 25 mm"),
            ("1/4 reamer", "1/4 in reamer"),
            ("self-opening die head 1/4 x 3/4", "self-opening die head, 1/4 in to 3/4 in"),
            ("3/8 bsw chasers", "3/8 BSW set of chasers"),
            ("3/8 guide bush", "guide bush, 3/8 in bore"),
        ):
            with self.subTest(typed):
                self.assertEqual(names(typed), [name])

    def test_state_steel_and_place_are_kept(self) -> None:
        (typed,) = read_line("1/2 bsw split die carbon worn, British box, row 2").things
        document = typed.document
        self.assertEqual(
            (document["state"], document["steel"], document["place"]), ("worn", "carbon", "British box, row 2")
        )

    def test_a_place_may_be_named_after_a_tool(self) -> None:
        (typed,) = read_line("M6 tap, tap and drill rack").things
        document = typed.document
        self.assertEqual(document["place"], "tap and drill rack")

    def test_a_lathe_is_told_with_its_speeds(self) -> None:
        (typed,) = read_line("bench lathe 1MT 15 mm bore speeds 60 110 200, lamp room").things
        self.assertEqual((typed.document["speeds"], typed.document["bore"]), ("60, 110, 200", "15 mm"))
        lathe = read_thing("lathe", {"id": "l1", **typed.document})
        assert isinstance(lathe, OwnLathe)
        self.assertEqual(lathe.speeds, (60, 110, 200))

    def test_a_set_is_its_sizes(self) -> None:
        """ISO 262, first choice from 3 to 12: 3, 4, 5, 6, 8, 10, 12. BS 93: eleven BA sizes from 0 to 10."""
        self.assertEqual(
            [thing.split()[0] for thing in names("M3-M12 dies")], ["M3", "M4", "M5", "M6", "M8", "M10", "M12"]
        )
        self.assertEqual(len(names("0-10 BA taps")), 11)
        self.assertIn("3/8 BSW split die", names("1/8-1/2 bsw dies"))

    def test_every_size_of_a_metric_set_is_a_standard_coarse_thread(self) -> None:
        coarse = {thread.major for thread in library() if thread.series == "coarse"}
        self.assertLessEqual(set(METRIC_SET), coarse)

    def test_collets_in_steps_close_over_a_step(self) -> None:
        """DIN 6499 (from memory): collets from 2 mm up close over 1 mm, so that a set of whole sizes takes anything."""
        collets = [thing for thing in things("3-10 x 1 collets") if isinstance(thing, Collet)]
        for tenth in range(20, 101):
            self.assertTrue(any(grips(collet, tenth / 10).fits for collet in collets), tenth)

    def test_a_rack_is_one_line(self) -> None:
        """1 to 13 by half: 25 drills; 1/16 to 1/2 by 64ths: 29; number drills 1 to 60; letters A to Z."""
        for typed, count in (
            ("1-13 x 0.5 drills", 25),
            ("1/16-1/2 x 1/64 drills", 29),
            ("#1-#60 drills", 60),
            ("A-Z drills", 26),
            ("letter drills", 26),
            ("number drills", 80),
            ("4-13 x 1 collets", 10),
        ):
            with self.subTest(typed):
                self.assertEqual(len(names(typed)), count)

    def test_what_cannot_be_is_refused_with_a_reason(self) -> None:
        for typed, words in (
            ("hammer", "Say what it is: a die, a tap, a drill"),
            ("M10 die tap", "Is it a die or a tap"),
            ("die", "Type it like M3-M12 dies"),
            ("M8 die 25 x 30", "thicker than its diameter"),
            ("M20 die 16 x 5", "A die this small cannot cut"),
            ("Tr20x4 die", "single point"),
            ("1-3 x 0 drills", "do not make a range"),
            ("M3-1/2 bsw dies", ""),
            ("7/16 whitworth tap", "Type the one you mean"),
        ):
            with self.subTest(typed):
                error = read_line(typed).error
                assert error is not None
                self.assertIn(words, error.message)
                self.assertEqual(error.field, "text")

    @given(st.text(max_size=60))
    def test_no_line_breaks_it(self, text: str) -> None:
        for line in read_lines(text):
            self.assertEqual(line.error is None, bool(line.things))

    def test_more_than_one_can_look_through_is_refused(self) -> None:
        """Number drills 1 to 80 seven times are 560 things; a size of four hundred digits is no size."""
        lines = read_lines("#1-#80 drills\n" * 7)
        self.assertEqual(sum(len(line.things) for line in lines), 400)
        self.assertEqual([line.error is None for line in lines], [True] * 5 + [False] * 2)
        nines = "9" * 400
        self.assertIsNotNone(read_line(f"{nines}-{nines} x 1 drills").error)
        self.assertIsNotNone(read_line(f"M8 die {nines}").error)

    def test_two_words_for_one_thing_are_asked_about(self) -> None:
        """The second would take the place of the first, unseen; in brackets it is a note."""
        for line in ("1 in die holder 4MT sliding", "carbon HSS M6 die", "worn missing M6 die"):
            with self.subTest(line):
                told = read_line(line)
                self.assertEqual(told.things, ())
                self.assertIn("Put the other in brackets, as a note.", told.error.message if told.error else "")
        [held] = read_line("1 in die holder sliding (4MT)").things
        self.assertEqual(held.document, {"across": "1 in", "shank": "on-a-guide", "notes": "4MT"})
        [same] = read_line("worn M6 die worn").things
        self.assertEqual(same.document["state"], "worn")

    def test_errors_of_a_thing_stand_beside_their_fields(self) -> None:
        with self.assertRaises(InvalidDocument) as told:
            read_thing("die", {"id": "d1", "thread": "M99", "across": "25 mm", "steel": "stone", "colour": "red"})
        self.assertEqual({error.field for error in told.exception.errors}, {"thread", "steel", "colour"})


class WhatServes(unittest.TestCase):
    OWNED = things("1/2 bsw split die worn; 1/2 bsw split die; 1/2 bsf die; M12 taps; M12 die lent; 1-13 x 0.5 drills")

    def test_the_sound_die_stands_before_the_worn(self) -> None:
        told = serving(read_designation("1/2 bsw"), self.OWNED)
        self.assertEqual([die.state for die in told.dies], ["ready", "worn"])

    def test_what_only_looks_alike_is_told_with_its_reason(self) -> None:
        """BS 84: 1/2 BSW has 12 threads to the inch, 1/2 BSF 16."""
        (why,) = [one for one in serving(read_designation("1/2 bsw"), self.OWNED).unlike if "BSF" in one]
        self.assertEqual(why, "1/2 BSF does not fit: 16 threads per inch, not 12.")

    def test_what_is_missing_is_named(self) -> None:
        """ISO 2306: M12 is drilled 10.2; half-millimetre steps hold 10, which leaves more, or 10.5."""
        told = serving(read_designation("M12"), self.OWNED)
        self.assertEqual(told.missing, ("no die",))
        self.assertEqual([thing.state for thing in told.away], ["lent"])
        assert told.drill is not None
        self.assertIn(told.drill.drill.name, ("10 mm", "10.5 mm"))
        self.assertEqual(
            serving(read_designation("M30"), self.OWNED).missing,
            ("no die", "no tap", "no tapping drill near the right size"),
        )

    def test_what_can_be_cut_is_what_something_serves(self) -> None:
        """The chart of the shop says of every thread what the shop says of that thread alone."""
        chart = {capability.thread.designation: capability for capability in capabilities(self.OWNED)}
        self.assertEqual(set(chart), {"1/2 BSW", "1/2 BSF", "M12"})
        for thread in library():
            told, one = serving(thread, self.OWNED), chart.get(thread.designation)
            self.assertEqual((bool(told.dies), bool(told.taps)), (one.die, one.tap) if one else (False, False))
            if one and one.tap:
                self.assertEqual(told.drill is not None, one.drill)

    @given(st.sampled_from(library()))
    def test_nothing_serves_a_thread_but_its_own(self, thread: Thread) -> None:
        """Whatever is offered has the same pitch, diameter, angle and hand."""
        told = serving(thread, self.OWNED)
        tools: list[Die | Tap] = [*told.dies, *told.taps]
        for tool in tools:
            self.assertEqual(
                (tool.thread.major_mm, tool.thread.pitch_mm, tool.thread.form.angle_deg, tool.thread.hand),
                (thread.major_mm, thread.pitch_mm, thread.form.angle_deg, thread.hand),
            )


class AsOtherHandsTypeThem(unittest.TestCase):
    """Lines as people tell a friend: read at once, or asked about; never made into a name or a place unasked."""

    READ: tuple[tuple[str, int, dict[str, str]], ...] = (
        ("set of metric taps M3 to M12", 7, {"thread": "M3"}),
        ("M3, M4, M5 taps", 3, {"thread": "M3"}),
        ("M6 and M8 dies", 2, {"thread": "M6"}),
        ("three dies M3 M4 M5", 3, {"thread": "M3"}),
        ("BA taps 0 to 10", 11, {"thread": "0 BA"}),
        ("number drills 1 to 60", 60, {}),
        ("drills 1 to 13 mm by 0.5", 25, {"size": "1 mm"}),
        ("1-10 mm drill set in 0.1 steps", 91, {"size": "1 mm"}),
        ("set of drills 1/16 to 1/2 in by 64ths", 29, {"size": "1/16 in"}),
        ("letter drills A to Z", 26, {"size": "A"}),
        ("ER32 collets", 19, {"system": "ER32"}),
        ("ER32 collet 10 mm", 1, {"system": "ER32", "most": "10 mm"}),
        ("reamer 10 H7", 1, {"size": "10 mm", "notes": "H7"}),
        ("4 jaw independent chuck 200 mm", 1, {"form": "four-jaw", "most": "200 mm"}),
        ("0-25 micrometer", 1, {"most": "25 mm"}),
        ("0-1 inch micrometer", 1, {"most": "1 in"}),
        ("25-50 mm micrometer", 1, {"most": "50 mm", "notes": "from 25 mm"}),
        ("6 inch digital caliper", 1, {"most": "6 in", "notes": "digital"}),
        ("revolving centre no 2 morse", 1, {"form": "live", "taper": "2MT"}),
        ("left-hand M10 tap", 1, {"thread": "M10 LH"}),
        ("left hand 1/2 BSW die 1 in", 1, {"thread": "1/2 BSW LH", "across": "1 in"}),
        ("1 m of 16 mm mild steel", 1, {"across": "16 mm", "long": "1000 mm", "metal": "mild-steel"}),
        ("2 ft of 1/2 hex brass bar", 1, {"across": "1/2 in", "long": "24 in", "form": "hexagon"}),
        ("12 mm EN1A round bar", 1, {"metal": "free-cutting-steel", "notes": "EN1A"}),
        ("lathe leadscrew 8 tpi wheels 20,30,40", 1, {"leadscrew": "8 tpi", "gears": "20, 30, 40", "name": "Lathe"}),
        ("lathe, wheels 20 to 65 in 5s, 127 wheel", 1, {"gears": "20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 127"}),
        ("lathe 9 inch swing 26 mm spindle bore 2MT", 1, {"swing": "9 in", "bore": "26 mm", "taper": "2MT"}),
        ("lathe 3 mm leadscrew gearbox 0.5, 1, 1.5 mm", 1, {"gearbox": "0.5, 1, 1.5 mm", "leadscrew": "3 mm"}),
        (
            "bench lathe, 60, 110, 200 rpm, thread dial 32 teeth 8 lines",
            1,
            {"speeds": "60, 110, 200", "dial_lines": "8"},
        ),
    )

    def test_read_at_once(self) -> None:
        for typed, count, says in self.READ:
            with self.subTest(typed):
                line = read_line(typed)
                self.assertIsNone(line.error, line.error)
                self.assertEqual(len(line.things), count)
                self.assertTrue(any(says.items() <= thing.document.items() for thing in line.things), line.things)

    def test_the_taper_of_the_spindle_is_not_that_of_the_tailstock(self) -> None:
        for typed in ("lathe 3MT spindle 2MT tailstock", "lathe 2MT tailstock 3MT spindle", "lathe, spindle 3MT, 2MT"):
            with self.subTest(typed):
                (told,) = read_line(typed).things
                self.assertEqual((told.document["taper"], told.document["notes"]), ("2MT", "3MT spindle"))

    def test_a_line_that_could_go_on_for_ever_is_refused(self) -> None:
        """Wheels by nothing, wheels without end, more words than anybody could sort out: each in the test's own
        time."""
        for typed in (
            "lathe wheels 20 to 60 by 0",
            "lathe gears 1 to 9999999999 by 1",
            f"M6 tap {'of what I found in there ' * 10}",
        ):
            with self.subTest(typed):
                self.assertIsNotNone(read_line(typed).error)

    def test_a_speed_without_steps_is_told_by_its_ends(self) -> None:
        (typed,) = read_line("small lathe with speeds 120-2000").things
        speeds = [int(one) for one in typed.document["speeds"].split(", ")]
        self.assertEqual((speeds[0], speeds[-1], typed.document["name"]), (120, 2000, "Lathe"))
        self.assertTrue(all(later / former < 1.4 for former, later in pairwise(speeds)))

    def test_what_is_left_over_is_asked_with_the_line_put_right(self) -> None:
        for typed, words in (
            ("M6 yellow tap", "yellow"),
            ("lathe, quick change toolpost, 8 tpi leadscrew", "quick change toolpost"),
            ("boring bar 8 mm", "8 mm"),
        ):
            with self.subTest(typed):
                error = read_line(typed).error
                assert error is not None
                self.assertEqual(error.code, "left-over")
                self.assertIn(f"“{words}”", error.message)
                place, note, out = map(read_line, error.choices)
                self.assertEqual(note.things[0].document["notes"], words)
                self.assertNotIn(words, str(out.things[0].document))
                if place.error is None:
                    self.assertIn(words, place.things[0].document["place"])

    def test_what_is_no_thing_of_a_shop_is_refused(self) -> None:
        for typed in ("milling machine", "hammer", "6 mm cube", "surface plate"):
            with self.subTest(typed):
                self.assertIsNotNone(read_line(typed).error)


class HeldBy(unittest.TestCase):
    def test_one_that_fits_is_enough(self) -> None:
        """Of two dies the holder takes the larger, of two lathes the larger takes its shank: that holds, whichever was
        named first."""
        for line in (
            "M8 die 20; M8 die 25; 25 mm die holder 3MT; bench lathe 2MT; big lathe 3MT",
            "M8 die 25; M8 die 20; 25 mm die holder 3MT; big lathe 3MT; bench lathe 2MT",
        ):
            owned = things(line)
            dies = [one for one in owned if isinstance(one, Die)]
            [held] = holdings(dies, owned)
            self.assertTrue(held.fit.fits, held.fit.why)
            alone = [one for one in owned if not (isinstance(one, OwnLathe) and one.taper == "3MT")]
            self.assertFalse(holdings(dies, alone)[0].fit.fits)
