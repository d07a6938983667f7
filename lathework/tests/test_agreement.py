"""Lines that a person sees at once, held against each other: who drives, which way it comes off, the half nuts."""

from __future__ import annotations

import itertools
import unittest
from typing import Any

from lathework.answers.gears_shown import geared, lines_of
from lathework.bench.count import count_of
from lathework.methods.die_holdings import HOLDERS
from lathework.methods.tap import TAPPINGS
from lathework.outfit.needs import needs
from lathework.planning.operation import Operation
from lathework.planning.plan import Plan
from lathework.shop.lathe_facts import MOUNTS
from lathework.tests.samples import body, bore, plan, said, step
from lathework.tests.test_outfit import shop

BY_POWER = "then reverse it"
BY_HAND = "off by hand"
SMALL = {"material": "brass", "part.sections.0.thread": "1/4-20", "part.stock.across": "3/8"}


def everything(made: Plan, one: Operation) -> list[str]:
    """All lines that the bench shows at a step, those of its counter among them."""
    count = count_of(one, made.job.setup)
    beats = [beat.words for beat in count.beats] if count is not None else []
    return [one.sentence, *one.notes, *(caution.do for caution in one.cautions), *beats]


class ComingOff(unittest.TestCase):
    def test_counter_caution_and_notes_say_one_thing(self) -> None:
        """Whatever holds the die and however the chuck sits: reversed under power or backed off by hand, never both."""
        for holder, mount, thread in itertools.product(HOLDERS, MOUNTS, ("1/4-20", "1/4-20 LH")):
            made = plan(
                SMALL
                | {"method.holder": holder, "method.because": "the only way here"}
                | {"setup.mount": mount, "part.sections.0.thread": thread}
            )
            self.assert_one_way(made, step(made, "thread"))

    def test_so_for_taps(self) -> None:
        sawn = {"method.order": "blanks-first", "material": "brass"}
        for tapping, mount in itertools.product(TAPPINGS, MOUNTS):
            made = plan(body(bore("M5"), **sawn, **{"method.tapping": tapping, "setup.mount": mount}))
            self.assert_one_way(made, step(made, "tap"))

    def assert_one_way(self, made: Plan, one: Operation) -> None:
        """The lines of a step agree on how the tool comes off, and with the chuck."""
        lines = everything(made, one)
        powered = "seconds" in one.figures
        reverses = [line for line in lines if BY_POWER in line]
        by_hand = [line for line in lines if BY_HAND in line]
        self.assertFalse(reverses and by_hand, lines)
        if powered and one.thread is not None and one.thread.hand == "right":
            # The caution and the counter's last beat, in the same words.
            locked = made.job.setup.mount == "locked"
            self.assertEqual(len(reverses if locked else by_hand), 2, lines)

    def test_a_bar_is_never_put_into_a_holder_that_must_slip(self) -> None:
        """3/8-16 in brass takes some 3 N m: by hand the holder wants a bar, under power that would hold it back."""
        things = shop("3/8-16 die 1 in; 1 in die holder 2MT")
        powered = {"method.holder": "floating-power", "material": "brass", "setup.mount": "locked"}
        for holder, wants in (({}, True), (powered, False)):
            made = plan({"material": "brass"} | holder)
            told = " ".join(need.note for need in needs(made, things))
            self.assertEqual("bar in it" in told, wants, told)

    def test_what_ends_is_told_before_what_goes_on(self) -> None:
        """Switched off at a turn that comes before the holder slips: told in that order."""
        for holder in ("slipping-hand", "floating-power"):
            made = plan(SMALL | {"method.holder": holder, "setup.mount": "locked"})
            words = step(made, "thread").sentence
            self.assertLess(words.index("{stop}"), words.index("{turns}"))


SCREWS = (
    {"setup.leadscrew": ""},
    {"setup.leadscrew": "8 tpi"},
    {"setup.leadscrew": "8 tpi", "setup.dial_teeth": "32", "setup.dial_lines": "8"},
    {"setup.leadscrew": "8 tpi", "setup.gears": "20, 30, 40, 40, 50, 60, 63, 65, 80, 80"},
    {"setup.leadscrew": "3 mm", "setup.gears": "20, 25, 30, 40, 50, 60, 127"},
)
OPEN = "open the half nuts"
SHUT = "half nuts closed"


class HalfNuts(unittest.TestCase):
    def test_open_or_closed_and_never_both(self) -> None:
        """Outside and inside, right and left hand, into a groove, up to a shoulder and off the end, on five lathes."""
        shapes: list[dict[str, Any]] = [
            {"part.sections.0.cut": "threading-tool", "part.sections.0.thread": thread, "method.finish": finish}
            for thread in ("3/8-16", "3/8-16 LH", "M8", "3/8-11 UNS")
            for finish in ("groove", "run-out")
        ]
        shapes += [
            body(bore(thread, depth=depth, cut="boring-tool"))
            for thread in ("5/8-11", "M16x1.5", "5/8-11 LH")
            for depth in ("", "3/4")
        ]
        for shape, screw, mount in itertools.product(shapes, SCREWS, ("screwed", "locked")):
            made = plan(shape | screw | {"setup.mount": mount})
            lines = [line.lower() for operation in made.operations for line in everything(made, operation)]
            opens = [line for line in lines if OPEN in line or "close the half nuts at" in line]
            shut = [line for line in lines if SHUT in line]
            self.assertTrue(opens or shut, shape)
            self.assertFalse(opens and shut, (opens, shut))
            warned = any(c.code == "carriage-back" for operation in made.operations for c in operation.cautions)
            self.assertEqual(warned, bool(shut) and mount == "screwed")

    def test_the_train_that_is_shown_decides(self) -> None:
        """M8 on 8 to the inch by 63 and 80: 1.25 / 3.175 = 50/127 is wanted; what the wheels give decides for the plan,
        the page and the command alike. 40 x 63 over 80 x 80 turns the screw 63/160 of the spindle: its whole turns and
        the spindle's meet again after 63 of it, so that nobody waits for them."""
        wheels = {"setup.leadscrew": "8 tpi", "setup.gears": "63, 80, 80, 40"}
        made = plan({"part.sections.0.cut": "threading-tool", "part.sections.0.thread": "M8"} | wheels)
        asked = geared({"pitch": "M8", "leadscrew": "8 tpi", "gears": "63, 80, 80, 40"})
        best = next(one for one in asked.settings if one.meshes)
        nuts = asked.nuts(best)
        self.assertEqual((nuts.every, nuts.opens), (63, False))
        self.assertIn(nuts.words, step(made, "gear").notes)
        self.assertTrue(any(nuts.words in line for line in lines_of(asked)))

    def test_a_train_tells_for_itself(self) -> None:
        """13 to the inch on 8: exact trains line up after 8 turns; one off by a little after its own number."""
        asked = geared({"pitch": "13 tpi", "leadscrew": "8 tpi", "gears": "20,30,40,50,60,65,80,37,47"})
        for one in asked.settings:
            assert one.train is not None
            self.assertEqual(asked.nuts(one).every, one.train.ratio.numerator, one.words)


class Sentences(unittest.TestCase):
    def test_air_is_never_blown_without_the_eyes_covered(self) -> None:
        made = plan(body(bore("1/2-13", depth="3/4")))
        for operation in made.operations:
            for line in everything(made, operation):
                if "blow" in line.lower().split():
                    self.assertIn("cover your eyes", line.lower())
        self.assertIn("Cover your eyes", said(step(made, "try")))

    def test_nothing_is_nipped_again(self) -> None:
        made = plan({"part.overall_length": "10"})
        self.assertFalse([operation.key for operation in made.operations if "nip it" in said(operation)])
