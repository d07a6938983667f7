"""A batch made holding by holding: which piece is next, what stays with a piece that was put down."""

from __future__ import annotations

import unittest
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from lathework.bench.acts.ended import done_entry, settled_entry
from lathework.bench.acts.pieces import take_up_entry
from lathework.bench.acts.zero import zero_entry
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry
from lathework.bench.events import PieceEnded
from lathework.bench.fold import fold, state_of
from lathework.bench.gauge.verdict_entry import verdict_entry
from lathework.bench.progress import Progress, progress
from lathework.bench.put_down import RECHUCKED
from lathework.errors import InputError
from lathework.planning.plan import Plan
from lathework.tests.samples import TIE_ROD, plan, told

MOST_ACTS = 400


def rods(quantity: int, batch: str = "holding") -> Plan:
    """Tie rods threaded at both ends: held twice."""
    return plan(TIE_ROD | {"quantity": quantity, "method.batch": batch, "setup.tools": "kept", "hazards": []})


class Batch:
    """A batch in work: what was recorded, and where it stands."""

    def __init__(self, made: Plan) -> None:
        self.plan, self.entries = made, list[Entry]()

    @property
    def whole(self) -> Progress:
        return progress([self.plan], self.entries)

    @property
    def now(self) -> Bench:
        return self.whole.benches[0]

    def record(self, entry: Entry) -> None:
        self.entries.append(told(self.plan, entry))

    def step(self) -> tuple[int, int]:
        """Do the step in hand as it should be done: its piece and its holding."""
        now = self.now
        assert now.step is not None
        if now.zero:
            self.record(zero_entry(now, lost=False))
        elif now.step.measure == "verdict" and now.hindrance:
            self.record(verdict_entry(now, "snug"))
        else:
            self.record(done_entry(now))
        return now.piece, now.step.chucking

    def made(self) -> list[tuple[int, int]]:
        """Made to its end: pieces and holdings in the order they were worked on."""
        order: list[tuple[int, int]] = []
        for _ in range(MOST_ACTS):
            if self.now.step is None:
                return order
            at = self.step()
            if not order or order[-1] != at:
                order.append(at)
        raise AssertionError("it does not end")


class Order(unittest.TestCase):
    def test_each_holding_for_all_pieces_before_the_next(self) -> None:
        order = Batch(rods(3)).made()
        holdings = sorted({holding for _, holding in order})
        self.assertGreater(len(holdings), 1)
        self.assertEqual(order, [(piece, holding) for holding in holdings for piece in (1, 2, 3)])

    def test_piece_by_piece_each_is_whole_before_the_next(self) -> None:
        order = Batch(rods(3, "piece")).made()
        self.assertEqual([piece for piece, _ in order], sorted(piece for piece, _ in order))

    def test_what_is_told_ahead_is_what_comes(self) -> None:
        batch = Batch(rods(3))
        ahead = [turn.piece for turn in batch.now.turns]
        order = [piece for piece, _ in batch.made()]
        self.assertEqual(ahead, order[1:])

    def test_a_scrapped_piece_is_made_up_for(self) -> None:
        batch = Batch(rods(3))
        while batch.now.piece < 2:
            batch.step()
        batch.record(settled_entry(batch.now, "scrap", "slipped"))
        self.assertEqual(batch.now.piece, 3)
        batch.made()
        self.assertEqual((batch.now.good, batch.now.scrapped), (3, 1))

    @given(st.integers(1, 4), st.sets(st.integers(0, 60), max_size=4), st.integers(0, 99))
    @settings(max_examples=25, deadline=None)
    def test_whatever_is_scrapped_or_taken_up_all_are_made_and_none_twice(
        self, quantity: int, scraps: set[int], seed: int
    ) -> None:
        batch = Batch(rods(quantity))
        for count in range(MOST_ACTS):
            now = batch.now
            if now.step is None:
                break
            if count in scraps:
                batch.record(settled_entry(now, "scrap", "slipped"))
            elif now.aside and (count + seed) % 17 == 0:
                batch.record(take_up_entry(now, min(now.aside)))
            else:
                batch.step()
        self.assertEqual((batch.now.good, dict(batch.now.aside)), (quantity, {}))
        _, events = fold([batch.plan], batch.entries)
        ended = [event.piece for _, event in events if isinstance(event, PieceEnded)]
        self.assertEqual(sorted(ended), list(range(1, quantity + batch.now.scrapped + 1)))
        self.assertEqual(batch.whole.steps_done, batch.whole.steps)


class PutDown(unittest.TestCase):
    def begun(self) -> Batch:
        batch = Batch(rods(3, "piece"))
        for _ in range(4):
            batch.step()
        return batch

    def test_a_piece_keeps_what_was_done_for_it(self) -> None:
        batch = self.begun()
        done = batch.now.done
        batch.record(take_up_entry(batch.now, 2))
        self.assertEqual((batch.now.piece, batch.now.done, dict(batch.now.aside)), (2, frozenset(), {1: done}))
        batch.step()
        self.assertNotEqual(batch.now.zero, RECHUCKED)
        batch.record(take_up_entry(batch.now, 1))
        self.assertEqual((batch.now.piece, batch.now.done), (1, done))

    def test_what_was_out_of_the_chuck_between_two_cuts_is_trued_up(self) -> None:
        """No zero stands for it: neither where it is taken up by hand nor where it follows by itself."""
        for by_hand in (True, False):
            with self.subTest(by_hand=by_hand):
                batch = self.begun()
                batch.record(take_up_entry(batch.now, 2))
                if by_hand:
                    batch.record(take_up_entry(batch.now, 1))
                while batch.now.piece == 2:
                    batch.step()
                self.assertEqual((batch.now.piece, batch.now.zero), (1, RECHUCKED))
                batch.step()
                self.assertEqual((batch.now.piece, batch.now.zero), (1, ""))

    def test_a_holding_that_was_ended_needs_no_truing(self) -> None:
        batch = Batch(rods(3))
        while batch.now.step is not None:
            self.assertNotEqual(batch.now.zero, RECHUCKED)
            batch.step()

    def test_one_finished_the_other_is_gone_on_with(self) -> None:
        batch = self.begun()
        batch.record(take_up_entry(batch.now, 2))
        while batch.now.piece == 2:
            batch.step()
        self.assertEqual((batch.now.piece, batch.now.good), (1, 1))
        batch.made()
        self.assertEqual(batch.now.good, 3)

    def test_only_a_piece_that_waits_or_is_wanted_is_taken_up(self) -> None:
        batch = self.begun()
        for piece in (0, 1, 3, 99):
            with self.subTest(piece), self.assertRaises(InputError) as refused:
                take_up_entry(batch.now, piece)
            self.assertEqual((refused.exception.field, refused.exception.choices), ("piece", ("2",)))
        batch.record(take_up_entry(batch.now, 2))
        batch.record(take_up_entry(batch.now, 3))
        with self.assertRaises(InputError):
            take_up_entry(batch.now, 4)

    def test_what_was_folded_can_be_stored_and_read_back(self) -> None:
        batch = self.begun()
        batch.record(take_up_entry(batch.now, 2))
        batch.step()
        state, _ = fold([batch.plan], batch.entries)
        kept: dict[str, Any] = state.kept()
        self.assertEqual(state_of(kept), state)
