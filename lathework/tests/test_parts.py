"""A job of several parts: read as one document, each planned alone, made one after the other."""

from __future__ import annotations

import unittest
from typing import Any

from lathework.bench.acts.pieces import turn_to
from lathework.bench.entry import Entry
from lathework.bench.progress import Progress, progress
from lathework.bench.record.document import read_record
from lathework.errors import InputError, InvalidDocument
from lathework.job.document import read_document
from lathework.planning.plan import make_plans
from lathework.tests.samples import STUD, body, bore, document, plan, section, told


def other(changes: dict[str, Any] | None = None) -> dict[str, Any]:
    """A nut of hexagon bar that goes with the sample stud."""
    part = {
        "name": "nut",
        "stock": {"form": "hexagon", "across": "9/16", "bar_length": ""},
        "overall_length": "3/8",
        "sections": [section("bar")],
        "bores": [bore("3/8-16")],
    }
    made: dict[str, Any] = {
        "fits": "the stud",
        "quantity": 2,
        "material": "brass",
        "method": STUD["method"],
        "part": part,
    }
    return made | (changes or {})


def together(*others: dict[str, Any]) -> dict[str, Any]:
    return document({"others": list(others or (other(),)), "quantity": 1, "part.name": "stud"})


class Read(unittest.TestCase):
    def test_each_part_is_a_job_of_its_own(self) -> None:
        job = read_document(together())
        stud, nut = job.parts
        self.assertEqual((stud.quantity, nut.quantity), (1, 2))
        self.assertEqual((stud.material.code, nut.material.code), ("mild-steel", "brass"))
        self.assertEqual((nut.title, nut.setup, nut.others), (stud.title, stud.setup, ()))
        self.assertEqual(job.designations, "3/8-16 UNC")

    def test_what_a_part_does_not_say_is_the_firsts(self) -> None:
        bare = {"part": other()["part"]}
        nut = read_document(together(bare)).others[0]
        self.assertEqual((nut.quantity, nut.material.code, nut.fits), (1, "mild-steel", ""))

    def test_errors_name_the_part(self) -> None:
        wrong: tuple[tuple[dict[str, Any], str], ...] = (
            (other({"material": "wood"}), "others.0.material"),
            (other({"part": other()["part"] | {"bores": [bore("3/4-10")]}}), "others.0.part.bores.0.thread"),
            (other({"quantity": 0}), "others.0.quantity"),
            (other({"colour": "red"}), "others.0.colour"),
            ({"quantity": 1}, "others.0.part"),
        )
        for one, field in wrong:
            with self.subTest(field), self.assertRaises(InvalidDocument) as told:
                read_document(together(one))
            fields = {error.field for error in told.exception.errors}
            self.assertTrue(any(found.startswith(field) for found in fields), fields)

    def test_an_error_of_the_whole_is_told_once(self) -> None:
        with self.assertRaises(InvalidDocument) as told:
            read_document(together() | {"title": ""})
        self.assertEqual([error.field for error in told.exception.errors], ["title"])

    def test_at_most_six_parts(self) -> None:
        with self.assertRaises(InvalidDocument) as told:
            read_document(together(*[other()] * 6))
        self.assertEqual([error.field for error in told.exception.errors], ["others"])


class Made(unittest.TestCase):
    def setUp(self) -> None:
        self.plans = make_plans(read_document(together()))

    def done(self, number: int, pieces: int) -> list[Entry]:
        """Every step of a part ticked off, for a number of pieces."""
        return [
            told(self.plans[number - 1], Entry("done", piece, step.key))
            for piece in range(1, pieces + 1)
            for step in self.plans[number - 1].operations
        ]

    def stand(self, *entries: Entry) -> Progress:
        return progress(self.plans, [self.told(entry) for entry in entries])

    def told(self, entry: Entry) -> Entry:
        """An entry with the story of its step, where it has none yet."""
        plan = next(plan for plan in self.plans if plan.job.part.id == entry.part)
        return entry if entry.story.title or not entry.step else told(plan, entry)

    def test_the_second_part_begins_when_the_first_is_made(self) -> None:
        before = self.stand(*self.done(1, 1)[:-1])
        self.assertEqual((before.number, before.good), (1, 0))
        after = self.stand(*self.done(1, 1))
        self.assertEqual((after.number, after.good, after.finished), (2, 1, False))
        assert after.bench.step is not None
        self.assertEqual(after.bench.step.key, "face:right")
        whole = self.stand(*self.done(1, 1), *self.done(2, 2))
        self.assertEqual((whole.good, whole.quantity, whole.finished), (3, 3, True))

    def test_another_part_may_be_taken_up_out_of_turn(self) -> None:
        """The nut is turned to and made; then the stud, the first that is not finished, is in hand again."""
        turned = turn_to(self.stand(), "p2")
        self.assertEqual((turned.kind, turned.part), ("turn-to", "p2"))
        now = self.stand(turned)
        self.assertEqual((now.number, now.finished), (2, False))
        made = self.stand(turned, *self.done(2, 2))
        self.assertEqual((made.number, made.good), (1, 2))
        for asked, number, code in (
            (now, "p2", "not-asked"),
            (now, "p3", "out-of-range"),
            (now, "", "out-of-range"),
            (made, "p2", "finished"),
        ):
            with self.subTest(number=number, code=code), self.assertRaises(InputError) as told:
                turn_to(asked, number)
            self.assertEqual((told.exception.code, told.exception.field), (code, "part"))

    def test_turning_to_a_part_counts_no_piece_and_loses_every_zero(self) -> None:
        """Part 2 has one piece made when part 1, begun and its tool touched off, is turned to: nothing else changes."""
        first = self.plans[0].operations
        positioned = next(step for step in first if step.zero)
        begun = [Entry("done", 1, step.key) for step in first[: first.index(positioned)]]
        touched = [*begun, Entry("zero", 1, positioned.key)]
        self.assertEqual(self.stand(*touched).bench.zero, "")
        away = self.stand(*touched, Entry("turn-to", 1, "", part="p2"), *self.done(2, 1))
        self.assertEqual((away.number, away.good, away.bench.piece), (2, 1, 2))
        back = self.stand(
            *touched,
            Entry("turn-to", 1, "", part="p2"),
            *self.done(2, 1),
            Entry("turn-to", 2, "", part="p2"),
            turn_to(away, "p1"),
        )
        self.assertEqual((back.number, back.bench.piece, back.good), (1, 1, 1))
        self.assertEqual(back.bench.zero, positioned.zero)

    def test_one_die_serves_every_part_of_its_thread(self) -> None:
        """Opened an eighth for the stud, it stands an eighth open for a second stud of that thread, not for another."""
        for thread, stands in (("3/8-16", 1.0), ("1/4-20", 0.0)):
            second = document({"part.sections.0.thread": thread, "part.name": "second", "part.id": "p2"})["part"]
            self.plans = make_plans(read_document(together(other({"quantity": 1, "part": second}))))
            moved = Entry("setting", 1, "gauge:s1", word="open", eighths=1.0)
            with self.subTest(thread=thread):
                self.assertEqual(self.stand(moved).opened_eighths, 1.0)
                self.assertEqual(self.stand(moved, *self.done(1, 1)).opened_eighths, stands)

    def test_steps_of_the_whole_are_counted(self) -> None:
        first, second = (len(plan.operations) for plan in self.plans)
        halfway = self.stand(*self.done(1, 1), *self.done(2, 1))
        self.assertEqual((halfway.steps, halfway.steps_done), (first + 2 * second, first + second))

    def test_an_entry_of_one_part_does_nothing_to_another(self) -> None:
        """Both parts have a step called face."""
        found = self.stand(Entry("done", 1, "face:right", part="p2"))
        self.assertEqual((found.number, found.benches[0].done), (1, frozenset()))
        self.assertIn("face:right", found.benches[1].done)

    def test_a_caution_read_once_is_read_for_all(self) -> None:
        job = read_document(together() | {"hazards": ["lifting"]})
        plans = make_plans(job)
        self.assertTrue(all(part.unread for part in progress(plans, []).benches))
        read = Entry("read", 1, "", word="lifting")
        self.assertFalse(any(part.unread for part in progress(plans, [read]).benches))

    def test_a_job_with_nothing_to_gauge_is_gauged_enough(self) -> None:
        across = body(bore("1/4 NPT", end="across", at="1"))
        alone = make_plans(read_document(document(across | {"quantity": 1})))
        self.assertTrue(progress(alone, []).gauged_enough)
        self.assertFalse(self.stand().gauged_enough)


class Milled(unittest.TestCase):
    PIECE: dict[str, Any] = {
        "unit": "mm",
        "part.overall_length": "",
        "part.stock.across": "12",
        "part.sections": [
            section("thread", "12", thread="M6"),
            section("flats", "8", across="8"),
            section("round", "10", across="12", key="3", chamfer="1", edge="round"),
        ],
        "part.bores": [bore(across="2", depth="4", end="across", at="25")],
        "setup.groove_blade": "2",
        "setup.parting_blade": "2",
    }

    def test_on_the_bar_or_after(self) -> None:
        """A small piece is milled with its bar for a handle, before it is parted off; else when all is turned."""
        made = {way: plan(self.PIECE | {"method.milling": way}) for way in ("after", "on-the-bar")}
        for way, one in made.items():
            keys = [operation.key for operation in one.operations]
            for milled in ("flats:s2", "keyway:s3", "cross-drill:b1"):
                self.assertEqual(keys.index(milled) < keys.index("part-off"), way == "on-the-bar", milled)
            self.assertIn("method.milling", one.asks)
        first = made["on-the-bar"].operation("flats:s2")
        assert first is not None
        self.assertIn("as it was", first.notes[0])
        self.assertIn("the bar", first.sentence)

    def test_from_two_ends_it_is_milled_after_and_told_why(self) -> None:
        blanks = plan(self.PIECE | {"method.milling": "on-the-bar", "method.order": "blanks-first"})
        self.assertIn("mill-after", [notice.code for notice in blanks.notices])
        self.assertEqual([step.key for step in blanks.operations][-2:], ["cross-countersink:b1", "deburr"])

    def test_an_edge_is_rounded(self) -> None:
        told = " ".join(step.sentence for step in plan(self.PIECE).operations)
        self.assertNotIn("Round the edge", told, "the far edge is broken in the slot")
        near = [section("round", "10", across="10", chamfer="1", edge="round"), section("bar", "20")]
        edge = next(
            step
            for step in plan(self.PIECE | {"part.sections": near, "part.bores": []}).operations
            if step.kind == "edge"
        )
        self.assertIn("Round the edge to a radius of", edge.sentence)


class Kept(unittest.TestCase):
    ENTRY = {"kind": "done", "piece": 1, "step": "face", "at": "2031-03-01T10:00:00+00:00"}

    def test_the_part_of_an_entry(self) -> None:
        """Those of before belong to the first part."""
        plans = make_plans(read_document(together()))
        found = read_record({"entries": [self.ENTRY, self.ENTRY | {"part": 2}]}, plans, 2)
        self.assertEqual([kept.entry.part for kept in found.entries], ["p1", "p2"])
        for wrong in (0, 3, "2", True):
            with self.subTest(wrong), self.assertRaises(InvalidDocument):
                read_record({"entries": [self.ENTRY | {"part": wrong}]}, plans, 2)
