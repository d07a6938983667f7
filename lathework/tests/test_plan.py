"""Plans: the order of work, positions for the edge that was touched off, cautions beside their step."""

from __future__ import annotations

import re
import unittest
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from lathework.answers.plan_shown import plan_shown
from lathework.answers.printed import notes_text, sentence_text
from lathework.figures import Figure
from lathework.methods.head import stop_after
from lathework.shop.metals import materials
from lathework.tests.samples import PARTED, SCREW, kinds, plan, step
from lathework.threads.designation import read_designation
from lathework.threads.library import library
from lathework.threads.limits import external_classes
from lathework.threads.thread import Thread


class Order(unittest.TestCase):
    def test_a_grooved_stud(self) -> None:
        self.assertEqual(kinds(plan()), ["face", "turn", "groove", "chamfer", "thread", "gauge", *PARTED])

    def test_a_shouldered_screw_with_the_die_turned_round(self) -> None:
        made = plan({**SCREW, "method.finish": "die-turned-round"})
        wanted = ["face", "turn", "turn", "chamfer", "thread", "finish", "gauge", *PARTED]
        self.assertEqual(kinds(made), wanted)


class Batch(unittest.TestCase):
    def test_bar_by_hand(self) -> None:
        """Six studs of 2 in, a 3/32 in blade, 0.5 mm faced, 30 mm gripped: 6 x 2.11344 + 1.18110 = 13.8617 in."""
        piece, whole = plan().batch[:2]
        self.assertAlmostEqual(piece.value, 2 + 0.09375 + 0.5 / 25.4, places=6)
        self.assertAlmostEqual(whole.value, 13.86171, places=4)
        self.assertEqual(whole.unit, "in")

    def test_twice_the_pieces_need_less_than_twice_the_bar(self) -> None:
        one, two = (plan({"quantity": n}).batch[1].value for n in (6, 12))
        self.assertTrue(one < two < 2 * one)


class Times(unittest.TestCase):
    def test_a_piece_by_hand(self) -> None:
        """3/8-16 over 1.25 in of 1/2 in mild steel at 28 m/min and 0.12 mm: 702 rev/min; by hand, step by step.

        A cut over 31.75 mm: 31.75/(0.12 x 702) = 0.377. Face 6.35/(0.12 x 702) = 0.075. 19 turns of the die there and
        back at 0.04 min: 1.52. Handling 0.75 a step.
        """
        made = plan({"material": "mild-steel"})
        shares = {given.name: given.value for given in made.batch[2].inputs}
        cuts = step(made, "turn:s1").figures["cuts"].value
        self.assertAlmostEqual(shares["Turn the thread blank"], 0.377 * cuts + 0.75, places=2)
        self.assertAlmostEqual(shares["Face the end, set Z zero"], 0.075 + 0.75, places=2)
        self.assertAlmostEqual(shares["Run the die on, marked side first"], 1.52 + 0.75, places=2)
        self.assertAlmostEqual(made.batch[2].value, sum(shares.values()), places=9)

    def test_power_is_quicker_than_the_hand(self) -> None:
        hand, power = (plan({"method.holder": way}).batch[2].value for way in ("sliding-by-hand", "floating-power"))
        self.assertLess(power, hand)

    def test_a_batch_sets_up_once(self) -> None:
        """Hours for six pieces by hand: (6 x piece + 15) / 60."""
        made = plan()
        self.assertAlmostEqual(made.batch[3].value, (6 * made.batch[2].value + 15) / 60, places=9)


class HandAndStarts(unittest.TestCase):
    def test_a_left_hand_thread_turns_the_other_way(self) -> None:
        made = plan({"part.sections.0.thread": "3/8-16 LH"})
        self.assertIn("in reverse to cut", " ".join(step(made, "thread").notes))
        self.assertTrue(any("left-hand dies" in notice.text for notice in made.notices))
        self.assertNotIn("in reverse to cut", " ".join(step(plan(), "thread").notes))

    def test_two_starts_need_half_the_turns(self) -> None:
        """1.25 in at a lead of 1/8 in is 10 turns, kept half a turn short: 9; at 1/16 in 20, so 19."""
        turns = [
            step(plan({"part.sections.0.thread": t}), "thread").figures["turns"].value
            for t in ("3/8-16 2-start", "3/8-16")
        ]
        self.assertEqual(turns, [9, 19])

    def test_a_head_nobody_measured_cuts_on_for_turns_not_pitches(self) -> None:
        """Two turns of a two-start 3/8-16 are two leads, 2 x 1/8 in: 1.25 in of thread stop after 1.00; of one start,
        2 x 1/16, after 1.125."""
        for thread, stop in (("3/8-16 2-start", 1.0), ("3/8-16", 1.125)):
            found = stop_after(read_designation(thread), 1.25 * 25.4, None, "in")
            self.assertAlmostEqual(found.value, stop, places=9)

    def test_the_class_called_is_the_class_used(self) -> None:
        """ASME B1.1: 3/8-16 UNC crest 2A 0.3643 to 0.3737, 3A 0.3656 to 0.3750 in: nominal suits 3A only."""
        by_class = {
            name: next(
                b
                for b in plan({"part.sections.0.thread": f"3/8-16 UNC-{name}"}).work.threads[0].blanks
                if b.school == "nominal"
            )
            for name in ("2A", "3A")
        }
        self.assertEqual((by_class["2A"].within_class, by_class["3A"].within_class), (False, True))


class Positions(unittest.TestCase):
    """By hand, from the face at Z 0 with the chuck to the left: a blade cuts from its edge one width on."""

    def value(self, key: str, figure: str, changes: dict[str, Any] | None = None) -> float:
        return step(plan(changes), key).figures[figure].value

    def test_parting_a_length_wants_the_left_edge_at_length_plus_width(self) -> None:
        self.assertAlmostEqual(self.value("part-off", "position"), -(2 + 3 / 32))

    def test_with_the_right_edge_touched_off_it_is_the_length(self) -> None:
        self.assertAlmostEqual(self.value("part-off", "position", {"setup.parting_edge": "right"}), -2)

    def test_a_groove_at_a_shoulder_wants_the_left_edge_at_the_shoulder(self) -> None:
        self.assertAlmostEqual(self.value("groove", "position"), -1.25)

    def test_with_the_right_edge_it_is_one_blade_nearer(self) -> None:
        self.assertAlmostEqual(self.value("groove", "position", {"setup.groove_edge": "right"}), -1.125)

    def test_a_groove_wider_than_the_blade_is_stepped_over(self) -> None:
        """3/8-16: three pitches are 0.1875; the last plunge of a 1/8 blade ends at 1.25 - 0.1875 = 1.0625."""
        self.assertAlmostEqual(self.value("groove", "last"), -(1.0625 + 0.125))
        wide = step(plan({"setup.groove_blade": "0.2"}), "groove")
        self.assertNotIn("last", wide.figures)

    def test_the_dial_is_halved_when_it_reads_radius(self) -> None:
        """3/8-16 in mild steel: blank 0.3688, groove 0.3073 - 0.2/16 = 0.2948."""
        self.assertAlmostEqual(self.value("groove", "dial"), 0.3688 - 0.2948, places=4)
        self.assertAlmostEqual(self.value("groove", "dial", {"setup.dial": "radius"}), 0.037, places=4)

    def test_turning_stops_at_the_shoulder(self) -> None:
        self.assertAlmostEqual(self.value("turn:s1", "stop"), -1.25)
        self.assertAlmostEqual(self.value("turn:s2", "stop", SCREW), -1.75)

    def test_turns_of_the_die_end_short_of_the_shoulder(self) -> None:
        """1-1/4 in of 16 to the inch is 20 turns; half a turn is kept, whole turns are counted."""
        self.assertEqual(self.value("thread", "turns"), 19)

    def test_stick_out_holds_part_kerf_and_clearance(self) -> None:
        self.assertAlmostEqual(self.value("face", "stick_out"), 2 + 3 / 32 + 6 / 25.4)

    def test_lengths_are_told_in_the_jobs_unit(self) -> None:
        made = plan(
            {
                "unit": "mm",
                "part.overall_length": "60",
                "part.sections.0.length": "30",
                "part.stock.across": "16",
                "setup.groove_blade": "3",
                "setup.parting_blade": "2.5",
            }
        )
        self.assertIn("−62.50 mm", sentence_text(step(made, "part-off"), "mm"))


class Said(unittest.TestCase):
    def test_a_long_stick_out_wants_a_centre(self) -> None:
        """Four inches of half inch, parted off the bar because somebody insists: eight diameters."""
        insists = {
            "part.overall_length": "4",
            "method.overruled": "no saw",
            "part.sections.1.shape": "round",
            "part.sections.1.across": "0.48",
        }
        self.assertIn("stick-out", [c.code for c in step(plan(insists), "face").cautions])
        self.assertNotIn("stick-out", [c.code for c in step(plan({"part.overall_length": "1.5"}), "face").cautions])

    def test_a_bar_that_stands_out_behind_whips(self) -> None:
        long = step(plan({"part.stock.bar_length": "36"}), "face")
        self.assertIn("long-bar", [c.code for c in long.cautions])
        sawn = step(plan({"part.stock.bar_length": "36", "method.order": "blanks-first"}), "face")
        self.assertNotIn("long-bar", [c.code for c in sawn.cautions])

    def test_pressure_defers_to_those_who_decide(self) -> None:
        made = plan({"hazards": ["pressure"]})
        self.assertIn("the inspector or a licensed trade", made.cautions[0].do)
        self.assertIn("pressure", [c.code for c in step(made, "thread").cautions])

    def test_power_and_hand_each_have_their_caution(self) -> None:
        by_hand, by_power = step(plan(), "thread"), step(plan({"method.holder": "floating-power"}), "thread")
        self.assertEqual([c.code for c in by_hand.cautions], ["die-snatch"])
        self.assertEqual([c.code for c in by_power.cautions], ["die-power", "coming-off"])
        self.assertIn("speed", by_power.figures)

    def test_the_lubricant_of_the_metal(self) -> None:
        self.assertIn("Lubricant: none (cut dry).", step(plan({"material": "brass"}), "thread").notes)

    def test_notices_name_their_field(self) -> None:
        for change, code, field in (
            ({"method.blank_fraction": "0.3"}, "blank-outside-class", "method.blank_school"),
            (
                {"part.stock.across": "3/8", "method.blank_school": "nominal"},
                "blank-outside-class",
                "method.blank_school",
            ),
            ({"part.sections.0.length": "0.35"}, "full-thread", "part.sections.0.runs"),
            ({"part.sections.0.thread": "G1/8"}, "thread-note", "part.sections.0.thread"),
        ):
            with self.subTest(code):
                self.assertIn((code, field), [(n.code, n.field) for n in plan(change).notices])

    def test_no_naked_numbers(self) -> None:
        """Every figure of every step has a formula, a named source, and a unit or a reason to have none."""
        for change in ({}, SCREW, {"method.holder": "floating-power", "method.finish": "die-turned-round"}):
            for operation in plan(change).operations:
                for figure in operation.figures.values():
                    with self.subTest(operation=operation.key, figure=figure.name):
                        self.assertIsInstance(figure, Figure)
                        self.assertTrue(figure.formula and figure.source.title and figure.name)

    def test_sentences_and_notes_use_only_figures_they_have(self) -> None:
        run_out = {**SCREW, "method.finish": "run-out"}
        for change in ({}, SCREW, run_out, {"method.holder": "floating-power"}, {"method.finish": "die-turned-round"}):
            for operation in plan(change).operations:
                for text in (operation.sentence, *operation.notes):
                    self.assertLessEqual(set(re.findall(r"{(\w+)}", text)), set(operation.figures))
                if operation.headline:
                    self.assertIn(operation.headline, operation.figures)

    @given(st.text(st.characters(codec="utf-8", exclude_characters="\x00"), max_size=60))
    def test_any_words_may_stand_for_the_mate(self, fits: str) -> None:
        """Braces in them name no figures."""
        for operation in plan({"fits": fits}).operations:
            self.assertNotIn("{", sentence_text(operation, "in"))

    def test_what_class_the_wires_should_measure(self) -> None:
        """3/8-16 2A, pitch diameter 0.3287 to 0.3331, over wires of 0.57735 P: 3 x 0.0361 - 0.86603 P + 0.75 W tan^2
        is 0.0542."""
        (note,) = notes_text(step(plan(), "gauge"), "in")
        self.assertRegex(note, r"three 0\.0361 in wires, class 2A measures 0\.3829 in to 0\.3873 in")


class AnyJob(unittest.TestCase):
    @settings(max_examples=150)
    @given(
        st.sampled_from([t for t in library() if 2 < t.major_mm < 60 and external_classes(t)]),
        st.sampled_from(sorted(materials())),
        st.sampled_from(["groove", "die-turned-round"]),
        st.sampled_from(["in", "mm"]),
        st.floats(6, 12),
    )
    def test_cuts_nest_and_nothing_reaches_the_chuck(
        self, thread: Thread, metal: str, finish: str, unit: str, pitches: float
    ) -> None:
        """For any thread: each step takes metal off the last, between the face and the stick-out."""
        length = thread.pitch_mm * pitches + 2
        made = plan(
            {
                "unit": unit,
                "material": metal,
                "method.finish": finish,
                "part.sections.0.thread": thread.designation,
                "part.stock.across": f"{thread.major_mm + 2:.3f} mm",
                "part.sections.0.length": f"{length:.3f} mm",
                "part.overall_length": f"{length * 2:.3f} mm",
                "setup.groove_blade": "1 mm",
                "setup.parting_blade": "2 mm",
            }
        )
        for operation in made.operations:
            cut = operation.cut
            if cut is None:
                continue
            self.assertGreaterEqual(cut.outer_mm, cut.inner_mm)
            self.assertLess(cut.left_mm, made.chuckings[0].stick_out_mm)
            if operation.kind != "face":
                self.assertGreaterEqual(cut.left_mm, cut.right_mm)
        self.assertLessEqual(made.work.threads[0].groove_width_mm, length)
        self.assertEqual(plan_shown(made).quantity, 6)


class Samples(unittest.TestCase):
    def test_a_reading_of_another_thread_is_caught(self) -> None:
        """ISO 228-1: G1/4 is 13.157 mm across the crests, no 5/8 in."""
        for typed, caught in (("5/8", True), ("0.510", False), ("13.1 mm", False), ("1/4", True)):
            made = plan({"part.stock.across": "1", "part.sections.0.thread": "G1/4", "part.sections.0.measured": typed})
            self.assertEqual("measured-unlike" in [n.code for n in made.notices], caught, typed)
