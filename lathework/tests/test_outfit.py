"""Plans with a shop: what they ask for is there, or is told as missing with what may stand in."""

from __future__ import annotations

import unittest
from dataclasses import replace
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.job.document import read_document
from lathework.job.furnish import furnish
from lathework.outfit.need import Need
from lathework.outfit.needs import facts_of, needs
from lathework.outfit.serving import serving
from lathework.planning.plan import Plan, make_plan
from lathework.planning.threads.thread_work import in_mm
from lathework.shop.kinds import name_of
from lathework.shop.kinds.die_holders import DieHolder, DieStock
from lathework.shop.kinds.dies import Die
from lathework.shop.kinds.drills import ShopDrill
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kinds.tools import Blade
from lathework.shop.kit import read_thing
from lathework.shop.lines import read_lines
from lathework.tests.samples import bore, document, plan, section, step
from lathework.threads.designation import read_called


def shop(text: str) -> list[Owned]:
    """The things that lines name, with ids."""
    typed = [thing for line in read_lines(text) for thing in line.things]
    return [read_thing(one.kind, {"id": f"t{n}", **one.document}) for n, one in enumerate(typed)]


def made(things: list[Owned], changes: dict[str, Any] | None = None) -> Plan:
    """The plan of a fresh job in a shop."""
    return make_plan(read_document(furnish(document(changes), things, fresh=True)))


def found(told: tuple[Need, ...], what: str) -> Need:
    """The need that begins with some words."""
    return next(need for need in told if need.what.startswith(what))


TAPPED = {
    "unit": "mm",
    "part.stock.across": "16",
    "part.overall_length": "30",
    "part.sections": [section("bar")],
    "setup.groove_blade": "3",
    "setup.parting_blade": "2",
}
LATHE = "bench lathe 2MT 20 mm bore radius screwed speeds 60 110 200 400 900"
SPEEDS = (60, 110, 200, 400, 900)


class OnItsLathe(unittest.TestCase):
    def test_the_only_lathe_is_taken_with_its_facts(self) -> None:
        job = made(shop(LATHE)).job
        self.assertEqual((job.setup.dial, job.setup.mount, job.setup.machine), ("radius", "screwed", "t0"))
        self.assertEqual(job.setup.speeds, SPEEDS)

    def test_of_two_lathes_the_one_that_is_named(self) -> None:
        things = shop(f"{LATHE}; workshop lathe 3MT cam")
        self.assertEqual(made(things).job.setup.machine, "")
        self.assertEqual(made(things, {"setup.machine": "t1"}).job.setup.mount, "locked")

    def test_a_job_of_another_shop_keeps_what_was_said(self) -> None:
        job = document({"setup.machine": "elsewhere", "setup.speeds": "75, 150"})
        setup = furnish(job, shop(LATHE))["setup"]
        self.assertEqual((setup["machine"], setup["speeds"]), ("elsewhere", "75, 150"))

    def test_a_speed_is_one_of_the_lathes_and_no_faster(self) -> None:
        """1/2 in at 28 m/min: 1000 x 28 / (pi x 12.7) = 702 rev/min; the next slower one is 400."""
        figure = step(made(shop(LATHE), {"material": "mild-steel"}), "face").figures["speed"]
        self.assertEqual(figure.value, 400)
        self.assertEqual(step(plan({"material": "mild-steel"}), "face").figures["speed"].value // 1, 701)

    def test_a_die_too_slow_for_the_lathe_goes_by_hand(self) -> None:
        """A few m/min at 8 mm is some hundred rev/min: a lathe of 900 and up has nothing so slow."""
        job = TAPPED | {
            "part.sections": [section("thread", "20", thread="M8"), section("bar")],
            "method.holder": "keyed-power",
            "material": "stainless",
        }
        self.assertIn("by hand", step(made(shop("fast lathe speeds 900 1800"), job), "thread").sentence)

    @given(
        st.lists(st.integers(20, 3000), min_size=1, max_size=12),
        st.sampled_from(("brass", "mild-steel", "stainless", "aluminium", "plastic")),
        st.sampled_from(("sliding-by-hand", "floating-power", "keyed-power")),
    )
    def test_every_speed_is_there(self, speeds: list[int], metal: str, holder: str) -> None:
        things = shop(f"a lathe speeds {' '.join(map(str, speeds))}")
        for job in ({}, TAPPED | {"part.bores": [bore("M6", depth="12")]}):
            told = made(things, job | {"material": metal, "method.holder": holder})
            for operation in told.operations:
                if "speed" in operation.figures:
                    self.assertIn(operation.figures["speed"].value, speeds, operation.key)
                    self.assertNotIn("many a lathe", operation.figures["speed"].note)


class OutOfTheShop(unittest.TestCase):
    @given(st.sets(st.integers(4, 48), min_size=1), st.sampled_from(("M3", "M5", "M8", "M12", "1/4-20", "1/2 BSW")))
    def test_every_drill_is_one_of_the_rack(self, quarters: set[int], thread: str) -> None:
        """Racks with gaps, in quarter millimetres: a hole is drilled with what is there, or bored."""
        things = shop("\n".join(f"{n / 4:g} drill" for n in quarters))
        owned = {thing.size.mm for thing in things if isinstance(thing, ShopDrill)}
        told = made(things, TAPPED | {"part.bores": [bore(thread, depth="12")]})
        for operation in told.operations:
            if operation.kind == "drill" and {"drill", "pilot"} & set(operation.figures):
                size = next(in_mm(operation.figures[key]) for key in ("drill", "pilot") if key in operation.figures)
                self.assertTrue(any(abs(size - own) < 0.001 for own in owned), (operation.key, size, owned))

    @given(st.lists(st.sampled_from(("1", "1.5", "2", "2.5", "3", "4")), min_size=1, max_size=4))
    def test_every_blade_is_one_that_is_owned(self, widths: list[str]) -> None:
        things = shop("\n".join(f"{width} mm blade" for width in widths))
        owned = {thing.width.mm for thing in things if isinstance(thing, Blade)}
        told = made(things)
        self.assertIn(round(told.job.setup.parting_blade.mm, 3), owned)
        self.assertIn(round(told.job.setup.groove_blade.mm, 3), owned)
        self.assertTrue(all(need.thing for need in needs(told, things) if "blade" in need.what))

    def test_jaws_close_on_what_they_hold(self) -> None:
        """Half-inch bar: a chuck that closes on 2 to 10 mm does not take it, one of 80 mm does; a collet stands in."""

        def jaws(*lines: tuple[str, dict[str, str]]) -> list[Need]:
            chucks = [read_thing("chuck", {"id": f"c{n}", "form": form, **of}) for n, (form, of) in enumerate(lines)]
            return [need for need in needs(made(chucks), chucks) if need.what.startswith("jaws")]

        small, large = {"least": "2 mm", "most": "10 mm"}, {"least": "3 mm", "most": "80 mm"}
        self.assertEqual(jaws(("three-jaw", large)), [])
        self.assertEqual(jaws(("three-jaw", small), ("four-jaw", large)), [])
        (missing,) = jaws(("three-jaw", small))
        self.assertIsNone(missing.thing)
        self.assertIn("at most 10 mm", missing.note)

    def test_the_sound_die_is_taken_before_the_worn_and_the_proven_before_the_untried(self) -> None:
        things = shop("3/8-16 die worn; 3/8-16 die; 3/8-16 die")
        self.assertEqual(made(things).job.part.sections[0].die, "t1")
        proven = read_document(furnish(document(), things, ("t2",)))
        self.assertEqual(proven.part.sections[0].die, "t2")

    def test_a_die_that_was_named_stays_until_the_thread_is_another(self) -> None:
        things = shop("3/8-16 die; 3/8-16 die; M10 die")
        named = document({"part.sections.0.die": "t1"})
        self.assertEqual(furnish(named, things)["part"]["sections"][0]["die"], "t1")
        named["part"]["sections"][0]["thread"] = "M10"
        self.assertEqual(furnish(named, things)["part"]["sections"][0]["die"], "t2")
        named["part"]["sections"][0]["thread"] = "no thread at all"
        self.assertEqual(furnish(named, things)["part"]["sections"][0]["die"], "")

    def test_without_a_shop_nothing_is_told_and_nothing_changes(self) -> None:
        self.assertEqual(needs(plan(), []), ())
        self.assertEqual(furnish(document(), []), document())


class Missing(unittest.TestCase):
    def test_a_missing_die_is_told_with_what_stands_in_and_what_does_not(self) -> None:
        things = shop("3/8-16 die lent; 3/8 BSF die; 60 threading tool; 55 threading tool")
        need = found(needs(made(things), things), "die for 3/8-16")
        self.assertIsNone(need.thing)
        words = " / ".join(one.words for one in need.instead)
        self.assertIn("is on loan", words)
        self.assertIn("single point: 60°", words)
        self.assertIn("3/8 BSF does not fit", words)

    def test_a_holder_too_small_sends_to_the_die_stock(self) -> None:
        things = shop("3/8-16 die 1 x 3/8; 25 mm die holder 2MT; 1 x 3/8 die stock")
        need = found(needs(made(things), things), "holder for the 3/8-16")
        self.assertIsNone(need.thing)
        self.assertIn("a 1 in die does not fit a 25 mm pocket", need.note)
        (instead,) = need.instead
        self.assertEqual((instead.field, instead.value), ("method.holder", "stock-by-tailstock"))
        taken = made(things, {instead.field: instead.value})
        self.assertIsInstance(found(needs(taken, things), "holder for the 3/8-16").thing, DieStock)

    def test_a_thread_longer_than_its_holder_swallows(self) -> None:
        things = shop("3/8-16 die 1 in; 1 in die holder 2MT")
        long = [
            read_thing("holder", {"id": thing.id, "across": "1 in", "swallows": "1 in"})
            if isinstance(thing, DieHolder)
            else thing
            for thing in things
        ]
        self.assertIsInstance(found(needs(made(things), things), "holder").thing, DieHolder)
        self.assertIn("takes at most 1 in of thread", found(needs(made(long), long), "holder").note)

    def test_a_bush_for_the_blank_and_a_reamer_for_the_hole(self) -> None:
        """3/8-16 is turned to some 9.37 mm: a bush bored 9.4 guides it, one of 9.6 does not; laid out only for
        the way that uses it. 1/4 in is not 6 mm."""
        things = shop("3/8-16 die; 9.4 mm guide bush; 9.6 mm guide bush")
        self.assertFalse([need for need in needs(made(things), things) if need.what.startswith("to start")])
        guided = {"method.holder": "guide-bush"}
        bush = found(needs(made(things, guided), things), "to start the 3/8-16").thing
        assert bush is not None
        self.assertEqual(name_of(bush), "guide bush, 9.4 mm bore")
        things = shop("3/8-16 die; 1/4 reamer; 6 mm reamer; 6 drill")
        drilled = {"part.bores": [bore(across="6 mm", depth="1/2")]}
        reamer = found(needs(made(things, drilled), things), "to finish").thing
        assert reamer is not None
        self.assertEqual(name_of(reamer), "6 mm reamer")

    def test_the_bar_is_found_with_what_is_left_of_it(self) -> None:
        """Six studs of 2 in with a kerf of 3/32 and a facing each, and what stays in the jaws."""
        whole = next(one for one in plan({"material": "mild-steel"}).batch if one.name == "bar for the batch")
        things = shop("1/2 mild steel bar 6 in; 1/2 mild steel bar 24 in; 3/4 mild steel bar 30 in")
        need = found(needs(made(things, {"material": "mild-steel"}), things), f"{whole.value:.3f}")
        assert need.thing is not None
        self.assertEqual(name_of(need.thing), "1/2 in round mild steel bar, 24 in")
        self.assertIn(f"{24 - whole.value:.3f}", need.note)
        short = [thing for thing in things if "24 in" not in name_of(thing)]
        (instead,) = found(needs(made(short, {"material": "mild-steel"}), short), f"{whole.value:.3f}").instead
        # Its body is bar as bought: from thicker bar it would come out thicker.
        self.assertEqual((instead.field, instead.value), ("", ""))
        self.assertIn("turn the part that is left as bar down to 1/2", instead.words)

    def test_a_thicker_bar_is_taken_where_all_of_the_part_is_turned(self) -> None:
        things = shop("3/4 mild steel bar 30 in")
        turned = {"part.sections.1": section("round", across="7/16"), "material": "mild-steel"}
        need = next(need for need in needs(made(things, turned), things) if "round mild steel" in need.what)
        self.assertEqual([(one.field, one.value) for one in need.instead], [("part.stock.across", "3/4 in")])

    def test_chasers_are_no_die_and_an_unmeasured_die_names_no_holder(self) -> None:
        things = shop("3/8-16 chasers; 1 in die holder 2MT; self-opening die head 1/4 x 3/4")
        self.assertEqual(made(things).job.part.sections[0].die, "")
        self.assertIsNone(found(needs(made(things), things), "die for 3/8-16").thing)
        things = shop("3/8-16 die; 1 in die holder 2MT")
        told = needs(made(things), things)
        self.assertIn("measure its outside diameter", found(told, "die for 3/8-16").note)
        self.assertFalse([need for need in told if need.what.startswith("holder")])

    def test_the_bar_that_does_not_pass_the_spindle(self) -> None:
        things = shop("bench lathe 2MT 12 mm bore")
        self.assertIn("does not fit its 12 mm spindle", found(needs(made(things), things), "lathe").note)

    def test_each_thing_is_laid_out_for_the_step_that_takes_it(self) -> None:
        things = shop("3/8-16 die 1 in; 1 in die holder 2MT; 3/32 parting blade; 3/8-16 ring gauge; M6 tap; 5 drill")
        told = made(things, {"part.bores": [bore("M6", depth="1/2")]})
        taken = {operation.kind: set[str]() for operation in told.operations}
        kinds = {operation.key: operation.kind for operation in told.operations}
        for need in needs(told, things):
            for key in need.steps:
                taken[kinds[key]].add(name_of(need.thing) if need.thing else "")
        self.assertEqual(taken["thread"], {"3/8-16 UNC split die, 1 in", "tailstock die holder, 1 in, 2MT"})
        self.assertEqual(taken["gauge"], {"3/8-16 UNC ring gauge"})
        self.assertEqual(taken["part-off"], {"3/32 in parting blade"})
        self.assertEqual((taken["drill"], taken["tap"]), ({"5 mm drill"}, {"M6 taps, a set"}))
        self.assertEqual(taken["face"], set())

    def test_paper_says_what_to_lay_out(self) -> None:
        things = shop("3/8-16 die, top drawer; 3/32 blade; M10 die")
        missing, there = facts_of(needs(made(things, {"setup.groove_blade": "3/32"}), things) + (Need("a tap", None),))
        self.assertEqual(missing, ("Missing", "a tap."))
        self.assertIn("3/8-16 UNC split die (top drawer)", there[1])

    @given(
        st.lists(
            st.sampled_from(
                (
                    "3/8-16 die",
                    "3/8-16 die 1 in",
                    "1 in die holder 2MT",
                    "25 mm die holder 2MT",
                    "1 in die stock",
                    "M10 die",
                    "3/32 blade",
                    "4 mm blade",
                    "5/8 mild steel bar 14 in",
                    LATHE,
                )
            ),
            max_size=8,
        )
    )
    def test_what_serves_is_at_hand_and_what_is_missing_is_not(self, lines: list[str]) -> None:
        things = shop("\n".join(lines))
        told = needs(made(things, {"material": "mild-steel"}), things)
        for need in told:
            if need.thing is not None:
                self.assertTrue(need.thing.at_hand)
                self.assertIn(need.thing, things)
                keys = {operation.key for operation in made(things, {"material": "mild-steel"}).operations}
                self.assertLessEqual(set(need.steps), keys)
        if things:
            own = [thing for thing in things if isinstance(thing, Die) and thing.thread.designation == "3/8-16 UNC"]
            self.assertEqual(found(told, "die for 3/8-16").thing is not None, bool(own))


class Bearing(unittest.TestCase):
    """Mild steel cuts at 2000 N/mm²: M8 takes 2000 × 1.25² × 8 ÷ 8000 = 3.1 N m, M16 (pitch 2) 16, M24 (3) 54."""

    def words(self, thread: str, holder: str) -> tuple[bool, str]:
        things = shop(f"{thread} die 2 in; {holder}")
        (told,) = serving(read_called(thread).thread, things).holding
        return told.fit.fits, told.fit.why

    def test_a_small_thread_asks_for_nothing(self) -> None:
        self.assertEqual(self.words("M3", "2 in die holder 2MT"), (True, ""))

    def test_a_bare_taper_slips_and_a_key_holds(self) -> None:
        self.assertEqual(self.words("M8", "2 in die holder 2MT"), (True, "the die takes about 3 N m: put a bar in it"))
        self.assertIn("16 N m: put a long bar in it", self.words("M16", "2 in die holder 2MT")[1])
        self.assertEqual(self.words("M16", "2 in die holder 2MT keyed"), (True, ""))
        self.assertEqual(self.words("M24", "2 in die holder 2MT")[0], False)
        self.assertIn("rough the thread out first", self.words("M24", "2 in die holder 2MT keyed")[1])

    def test_the_plan_asks_for_what_its_die_takes(self) -> None:
        """3/8-16: kc 1.5875² × 9.525 ÷ 8000 is 6.0 N m in mild steel (2000) and 2.7 in brass (900); M5 in brass 0.4."""
        things = shop("3/8-16 die 1 in; M5 die 1 in; 1 in die holder 2MT")
        for changes, note in (
            ({"material": "mild-steel"}, "the die takes about 6 N m: put a bar in it"),
            ({"material": "brass"}, "the die takes about 3 N m: put a bar in it"),
            ({"material": "brass", "part.sections.0.thread": "M5"}, ""),
        ):
            with self.subTest(changes):
                self.assertEqual(found(needs(made(things, changes), things), "holder").note, note)

    def test_a_thread_of_several_starts_stands_in_for_none(self) -> None:
        wanted = read_called("3/8-16").thread
        (die,) = shop("3/8-16 die")
        assert isinstance(die, Die)
        twice = replace(die, thread=replace(wanted, starts=2, designation="3/8-16 UNC, 2 starts"))
        told = serving(wanted, [twice])
        self.assertEqual(told.instead, ())
        self.assertIn("it has 2 starts, not 1", told.unlike[0])


class OfOnePitch(unittest.TestCase):
    """Dies of one pitch and form: 1/4 BSF has 26 to the inch, so have brass threads of every size (55°)."""

    def test_one_by_another_name_serves_and_one_a_little_off_is_opened(self) -> None:
        told = serving(read_called("1/4 BSF").thread, shop("1/4 brass die; 1/4-26 UNS die"))
        self.assertEqual(len(told.instead), 1, told)
        self.assertIn("the same pitch and form", told.instead[0])
        near = serving(read_called("3/8-16").thread, shop("0.370-16 UNS die; 0.380-16 UNS die; 0.385-16 UNS die"))
        self.assertEqual(
            [words.rpartition(", ")[2] for words in near.instead], ["opened by 0.13 mm", "closed by 0.13 mm"]
        )
        self.assertEqual(len(near.unlike), 1)

    def test_no_tap_is_opened(self) -> None:
        told = serving(read_called("3/8-16").thread, shop("0.370-16 UNS tap"))
        self.assertEqual(told.instead, ())


class InAClub(unittest.TestCase):
    """Two shops in one store: what lies in the other is no help at this lathe."""

    def test_only_what_is_beside_the_lathe_is_taken(self) -> None:
        lathes = [
            read_thing("lathe", {"id": "l1", "name": "at the quay", "shop": "quay"}),
            read_thing("lathe", {"id": "l2", "name": "on the hill", "shop": "hill"}),
        ]
        dies = [
            read_thing("die", {"id": "d1", "thread": "3/8-16", "shop": "quay"}),
            read_thing("drill", {"id": "d2", "size": "5 mm", "shop": "hill"}),
            read_thing("drill", {"id": "d3", "size": "6 mm"}),
        ]
        hill = made(lathes + dies, {"setup.machine": "l2"})
        self.assertEqual(hill.job.part.sections[0].die, "")
        self.assertIsNone(found(needs(hill, lathes + dies), "die for 3/8-16").thing)
        self.assertTrue(hill.job.setup.own_drills.endswith(", 5 mm, 6 mm"))
        quay = made(lathes + dies, {"setup.machine": "l1"})
        self.assertEqual(quay.job.part.sections[0].die, "d1")
        self.assertTrue(quay.job.setup.own_drills.endswith("racks, 6 mm"))


class Whole(unittest.TestCase):
    def test_a_lathe_that_goes_is_still_the_jobs(self) -> None:
        """Taken out of the shop, what it was stays in the document: the plan does not change by itself."""
        things = shop(LATHE)
        document_now = furnish(document(), things, fresh=True)
        without = [thing for thing in things if not isinstance(thing, OwnLathe)] + shop("M3 die")
        again = furnish(document_now, without)
        self.assertEqual(again["setup"]["speeds"], document_now["setup"]["speeds"])
