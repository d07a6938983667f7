"""What the large button of the bench is for, from the first step to the last: nothing it asks for is refused."""

from __future__ import annotations

import random
import unittest
from typing import Any, ClassVar, get_args

from lathework.bench.acts.act import Act, At
from lathework.bench.acts.die import Setting
from lathework.bench.acts.ended import Accept, Done, Scrap
from lathework.bench.acts.every import ACTS, entry_of
from lathework.bench.acts.gauged import Verdict
from lathework.bench.acts.measured import Reading
from lathework.bench.acts.note import Read
from lathework.bench.acts.zero import Zero
from lathework.bench.entry import KINDS, Entry
from lathework.bench.next_act import UNGAUGED, UNMEASURED, Does, NextAct, before_it, next_act, next_of
from lathework.bench.progress import Progress, progress
from lathework.errors import InputError
from lathework.planning.plan import Plan
from lathework.tests.samples import SCREW, TIE_ROD, body, bore, plan, told


def pressed(now: Progress) -> NextAct | None:
    """What the button says with nothing typed, while the first size is looked at."""
    asks, sizes = next_act(now), now.bench.sizes
    return asks or (next_of(now.bench, sizes[0]) if sizes else None)


class Bench(unittest.TestCase):
    jobs: ClassVar = (SCREW | {"quantity": 2}, TIE_ROD, body(bore("6-32"), material="stainless"))

    def setUp(self) -> None:
        self.entries: list[Entry] = []
        self.plan: Plan | None = None

    def begin(self, job: dict[str, Any]) -> None:
        """Take up a job."""
        self.entries, self.plan = [], plan(job)

    def now(self) -> Progress:
        assert self.plan is not None
        return progress([self.plan], self.entries)

    def do(self, act: Act) -> None:
        """Record an act."""
        assert self.plan is not None
        self.entries.append(told(self.plan, entry_of(act, At(self.now(), self.plan.job.unit))))

    def answer(self, asks: NextAct, rng: random.Random) -> None:
        """Do as the button says; another cut is read where a size is wanted."""
        acts: dict[Does, Act] = {"zero": Zero(), "setting": Setting(), "done": Done()}
        if asks.does in acts:
            self.do(acts[asks.does])
        elif asks.does == "why":
            self.do(rng.choice((Accept(reason="it will do"), Scrap(reason="slipped"))))
        else:
            self.assertEqual(asks.does, "read")
            self.read(1.0)

    def read(self, share: float) -> None:
        """A reading so far from where the size was to where it shall be."""
        size = self.now().bench.sizes[0]
        last = size.readings[-1].value_mm if size.readings else size.dimension.start_mm
        mm = last + share * (size.dimension.target.aim_mm - last)
        self.do(Reading(reading=f"{mm:.4f}", unit="mm", sure=True))


class TheButton(Bench):
    def test_a_person_who_only_presses_it_makes_the_job(self) -> None:
        """Nothing it is for is refused, whatever was read or gauged in between, and it ends with closing the job."""
        said: set[str] = set()
        for seed in range(12):
            rng = random.Random(seed)
            self.begin(self.jobs[seed % len(self.jobs)])
            for _ in range(400):
                now = self.now()
                asks = pressed(now)
                if now.bench.unread:
                    self.do(Read())
                elif asks is None:
                    self.do(Verdict(verdict=rng.choice(("snug", "binds", "loose"))))
                elif asks.does == "close":
                    break
                elif now.bench.sizes and asks.does == "done" and rng.random() < 0.5 and not now.bench.sizes[0].readings:
                    self.read(rng.choice((0.6, 1.0)))
                else:
                    said |= {asks.does, *(one.does for one in before_it(now.bench))}
                    self.answer(asks, rng)
            self.assertTrue(self.now().finished, seed)
        self.assertEqual(said | {"close"}, set(get_args(Does)))

    def test_its_words_at_a_size(self) -> None:
        self.begin(SCREW)
        while not (now := self.now()).bench.sizes or now.bench.zero:
            self.answer(pressed(now) or self.fail(), random.Random(0))
        self.assertEqual(pressed(now), NextAct("done", UNMEASURED))
        self.read(0.6)
        self.assertEqual((pressed(self.now()) or self.fail()).does, "read")
        self.read(1.0)
        self.assertEqual(pressed(self.now()), NextAct("done", "Done"))
        size = self.now().bench.sizes[0]
        past_mm = size.dimension.target.low_mm - 0.2
        self.do(Reading(reading=f"{past_mm:.4f}", unit="mm", sure=True))
        self.assertEqual((pressed(self.now()) or self.fail()).does, "why")

    def test_a_thread_that_is_not_due_may_go_ungauged(self) -> None:
        self.begin(SCREW | {"quantity": 9})
        seen: set[str] = set()
        for _ in range(400):
            now = self.now()
            step, asks = now.bench.step, pressed(now)
            if step is None:
                break
            if step.measure == "verdict" and not now.bench.due.now and not now.bench.verdict:
                seen.add((asks or self.fail()).label)
            if asks is None:
                self.do(Verdict(verdict="snug"))
            elif step.dimensions and not now.bench.zero and not now.bench.sizes[0].readings:
                self.read(1.0)
            else:
                self.answer(asks, random.Random(0))
        self.assertEqual(seen, {UNGAUGED})


class EveryAct(Bench):
    def test_there_is_one_for_each_kind_of_entry(self) -> None:
        self.assertEqual(set(ACTS), set(KINDS))
        self.assertEqual({kind: act.kind for kind, act in ACTS.items()}, {kind: kind for kind in KINDS})

    def test_with_nothing_said_it_is_recorded_or_refused_beside_a_field(self) -> None:
        """At each step of a job: no act breaks, and what is refused says where."""
        self.begin(SCREW)
        rng = random.Random(1)
        while (asks := pressed(self.now())) is None or asks.does != "close":
            at = At(self.now(), "in")
            for act in ACTS.values():
                try:
                    entry = entry_of(act(), at)
                except InputError as error:
                    self.assertTrue(error.field and error.message, act)
                else:
                    self.assertEqual(entry.kind, act.kind)
            if asks is None:
                self.do(Verdict(verdict="snug"))
            else:
                self.answer(asks, rng)
