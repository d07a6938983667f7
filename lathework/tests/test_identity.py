"""What is recorded means the same next year: entries count for what they were made for, whatever comes."""

from __future__ import annotations

import json
import random
import unittest
from collections.abc import Callable
from copy import deepcopy
from dataclasses import replace
from typing import Any

from hypothesis import given, settings
from hypothesis import strategies as st

from lathework.bench.acts.die import setting_entry
from lathework.bench.acts.ended import again_entry, done_entry, settled_entry
from lathework.bench.acts.measured import reading_entry
from lathework.bench.acts.note import note_entry, read_entry
from lathework.bench.acts.pieces import turn_to
from lathework.bench.acts.zero import zero_entry
from lathework.bench.bench import Bench
from lathework.bench.entry import Entry, story_of
from lathework.bench.fold import State, fold, follow, state_of, steps_of_parts
from lathework.bench.gauge.verdict_entry import verdict_entry
from lathework.bench.progress import Progress, progress, progress_of
from lathework.errors import InputError, InvalidDocument
from lathework.job.document import read_document
from lathework.lengths import Length, read_length
from lathework.planning.plan import Plan, make_plans
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, document, section
from lathework.tests.test_parts import other, together

Document = dict[str, Any]


def read(now: Bench, text: str) -> Entry:
    return reading_entry(now, read_length(text, "in", "reading"))


class Shop:
    """A document that is changed, and what is recorded for it meanwhile."""

    def __init__(self, started: Document) -> None:
        self.document, self.entries = started, [Entry("note", 1, "", text="begun")]
        self.plans: tuple[Plan, ...] = make_plans(read_document(started))

    @property
    def now(self) -> Progress:
        return progress(self.plans, self.entries)

    def change(self, changed: Document) -> bool:
        """Take a changed document; one that cannot be used leaves everything as it was."""
        try:
            self.plans = make_plans(read_document(changed))
        except InvalidDocument:
            return False
        self.document = changed
        return True

    def record(self, entry: Entry) -> None:
        now = self.now
        part = entry.part if entry.kind == "turn-to" else now.ids[now.number - 1]
        plan = self.plans[now.ids.index(part)]
        self.entries.append(replace(entry, part=part, story=story_of(plan, entry.step, "", 1, entry.measured)))

    def set(self, path: str, value: object) -> bool:
        changed: Any = deepcopy(self.document)
        at = changed
        *parents, last = path.split(".")
        for key in parents:
            if isinstance(at, list) and int(key) >= len(at):
                return False
            at = at[int(key)] if isinstance(at, list) else at[key]
        if isinstance(at, list):
            at[int(last)] = value
        else:
            at[last] = value
        return self.change(changed)

    def sections(self, edit: Callable[[list[Any]], None]) -> bool:
        changed = deepcopy(self.document)
        edit(changed["part"]["sections"])
        return self.change(changed)


class AChangedPart(unittest.TestCase):
    """A shank of 7/16 in, turned and measured; then the part is changed."""

    def setUp(self) -> None:
        self.shop = Shop(document(SCREW | {"part.stock.across": "5/8", "part.overall_length": "2-1/2"}))
        self.shop.record(done_entry(self.shop.now.bench))
        self.shop.record(read(self.shop.now.bench, "0.4375"))

    def test_a_section_put_in_before_it_takes_nothing(self) -> None:
        """0.4375 was measured for the shank; the new 0.47 in section asks for its own reading, the shank for none."""
        new = section("round", "1/4", across="0.47") | {"id": "fresh"}
        self.assertTrue(self.shop.sections(lambda rows: rows.insert(2, new)))
        now = self.shop.now.bench
        assert now.step is not None
        self.assertEqual((now.step.key, now.readings, now.hindrance), ("turn:fresh", (), ""))
        self.shop.record(read(now, "0.4700"))
        self.shop.record(done_entry(self.shop.now.bench))
        shank = self.shop.now.bench
        assert shank.step is not None
        self.assertEqual(shank.step.key, "turn:s2")
        self.assertEqual([round(reading.value_mm / 25.4, 4) for reading in shank.readings], [0.4375])

    def test_a_target_that_changed_asks_again_and_says_so(self) -> None:
        self.assertTrue(self.shop.set("part.sections.1.across", "0.4500"))
        now = self.shop.now.bench
        assert now.outdated is not None
        self.assertEqual(now.readings, ())
        self.assertEqual(
            now.outdated.inch,
            "This 0.4375 was measured for a target of 0.4375; the target is now 0.4500. Measure again.",
        )
        self.assertEqual(
            now.outdated.mm, "This 11.113 was measured for a target of 11.113; the target is now 11.430. Measure again."
        )
        self.shop.record(read(now, "0.4500"))
        self.assertIsNone(self.shop.now.bench.outdated)

    def test_changed_back_it_counts_again(self) -> None:
        self.shop.set("part.sections.1.across", "0.4500")
        self.shop.set("part.sections.1.across", "7/16")
        now = self.shop.now.bench
        self.assertEqual((len(now.readings), now.outdated), (1, None))

    def test_a_step_done_over_another_length_is_done_again(self) -> None:
        """The reading stands, the diameter is as it was; but the shank is longer than what was turned."""
        self.shop.record(done_entry(self.shop.now.bench))
        self.assertTrue(self.shop.set("part.sections.1.length", "3/4"))
        now = self.shop.now.bench
        assert now.step is not None and now.outdated is not None
        self.assertEqual((now.step.key, len(now.readings)), ("turn:s2", 1))
        self.assertIn("length 0.500, now 0.750", now.outdated.inch)

    def test_what_only_speaks_of_the_job_changes_nothing(self) -> None:
        for path, value in (("title", "Pins"), ("notes", "soon"), ("quantity", 9), ("method.holder", "keyed-power")):
            self.assertTrue(self.shop.set(path, value))
            self.assertEqual(len(self.shop.now.bench.readings), 1, path)

    def test_a_piece_that_is_made_stays_made(self) -> None:
        shop = Shop(document())
        while shop.now.good == 0:
            _work(shop, random.Random(1), tidy=True)
        self.assertTrue(shop.set("part.sections.0.thread", "7/16-14"))
        self.assertEqual((shop.now.good, shop.now.bench.piece), (1, 2))

    def test_steps_taken_out_do_not_leave_the_bench_without_one(self) -> None:
        """All but the groove is done; then no groove is wanted any more: the piece is whole, the next one is begun."""
        shop = Shop(document())
        plan = shop.plans[0]
        for step in plan.operations:
            if step.kind != "groove":
                shop.record(Entry("done", 1, step.key))
        self.assertTrue(shop.set("method.finish", "run-out"))
        now = shop.now.bench
        assert now.step is not None
        self.assertEqual((now.good, now.piece, now.step.key), (1, 2, "face:right"))


def _work(shop: Shop, rng: random.Random, *, tidy: bool = False) -> None:
    """One thing done at the bench, as a person might: mostly what is asked, now and then something else."""
    now = shop.now.bench
    step = now.step
    if step is None:
        return
    choice = 0.5 if tidy else rng.random()
    try:
        if now.unread:
            shop.record(read_entry(now))
        elif now.zero and choice < 0.9:
            shop.record(zero_entry(now, lost=False))
        elif step.target is not None and not now.readings:
            shop.record(reading_entry(now, Length(step.target.aim_mm, "mm", "")))
        elif step.measure == "verdict" and now.verdict is None:
            shop.record(verdict_entry(now, "snug" if tidy else rng.choice(["snug", "binds", "slight-shake"])))
        elif now.advice is not None and now.advice.recut and not now.adjusted:
            shop.record(setting_entry(now))
        elif choice < 0.05 and now.done:
            shop.record(again_entry(now, rng.choice(sorted(now.done))))
        elif choice < 0.08:
            shop.record(settled_entry(now, "scrap", "slipped"))
        elif choice < 0.12:
            shop.record(settled_entry(now, "as-it-is", "it will do"))
        elif choice < 0.14:
            shop.record(zero_entry(now, lost=True))
        elif choice < 0.2 and len(shop.plans) > 1:
            shop.record(turn_to(shop.now, rng.choice(shop.now.ids)))
        else:
            shop.record(done_entry(now))
    except InputError:
        shop.record(settled_entry(now, "as-it-is", "so be it") if now.step else note_entry(now, "so be it"))


SIZES = ("0.41", "7/16", "0.45", "1/2", "0.7")
VALUES: dict[str, tuple[object, ...]] = {
    "part.sections.0.thread": ("3/8-16", "3/8-24", "M8"),
    "part.overall_length": ("2-1/2", "4", "6", "1-1/4"),
    "part.sections.0.length": ("3/4", "1", "1-1/4"),
    "part.sections.1.length": ("", "1/2", "3/4"),
    "part.sections.1.across": SIZES,
    "method.finish": ("groove", "run-out", "die-turned-round"),
    "method.holder": ("stock-in-vise", "sliding-by-hand", "keyed-power"),
    "method.order": ("from-the-bar", "blanks-first"),
    "method.blank_school": ("nominal", "pitch-fraction", "mid-limits"),
    "material": ("mild-steel", "brass", "stainless"),
    "quantity": (1, 2, 6),
    "setup.groove_blade": ("1/8", "3/32"),
    "part.stock.across": ("1/2", "5/8", "7/8"),
}


def _edit(shop: Shop, rng: random.Random) -> None:
    """One change of the document: a value, or sections put in, taken out, moved; parts swapped or taken out."""
    choice, fresh = rng.random(), f"n{rng.randrange(10**6)}"
    new = section(rng.choice(["round", "knurl"]), "1/4", across=rng.choice(SIZES)) | {"id": fresh}
    if choice < 0.6:
        path = rng.choice(list(VALUES))
        shop.set(path, rng.choice(VALUES[path]))
    elif choice < 0.75:
        shop.sections(lambda rows: rows.insert(rng.randrange(len(rows) + 1), new))
    elif choice < 0.85:
        shop.sections(lambda rows: rows.pop(rng.randrange(len(rows))))
    elif choice < 0.95:
        shop.sections(lambda rows: rng.shuffle(rows))
    elif shop.document["others"]:
        changed = deepcopy(shop.document)
        one = changed["others"][0]
        own = ("fits", "quantity", "material", "method", "part")
        changed["others"][0], changed = {k: changed[k] for k in own}, changed | {k: one[k] for k in own if k in one}
        shop.change(changed)


BASES: tuple[dict[str, Any], ...] = ({}, SCREW, PLUG, TIE_ROD, {"hazards": ["lifting"]})


class AnyHistory(unittest.TestCase):
    @settings(max_examples=60, deadline=None)
    @given(st.integers(0, 10**9))
    def test_no_entry_counts_for_another_target(self, seed: int) -> None:
        rng = random.Random(seed)
        base = rng.choice([*map(document, BASES), together(other({"quantity": 1}))])
        shop = Shop(base)
        for _ in range(rng.randrange(10, 60)):
            _edit(shop, rng) if rng.random() < 0.25 else _work(shop, rng)
            self.check(shop)

    def check(self, shop: Shop) -> None:
        """What stands on every bench, held against the entries themselves."""
        now = shop.now
        for plan, part in zip(shop.plans, now.benches, strict=True):
            mine = [e for e in shop.entries if e.part == plan.job.part.id and e.piece == part.piece]
            if part.step is not None and part.readings:
                target = part.step.target
                assert target is not None
                own = [e for e in mine if e.kind == "reading" and e.step == part.step.key]
                stand = [e.value_mm for e in own if abs((e.story.aim_mm or 0.0) - target.aim_mm) < 0.0005]
                shown = [reading.value_mm for reading in part.readings]
                self.assertEqual(shown, stand[len(stand) - len(shown) :])
            for key in part.done:
                step = plan.operation(key)
                said = [e for e in mine if e.kind in ("done", "accept") and e.step == key]
                if step is not None:
                    self.assertTrue([e for e in said if e.story.makes == step.makes], key)
            if part.verdict is not None and part.step is not None:
                said = [e for e in mine if e.kind == "verdict" and e.step == part.step.key]
                counting = [e for e in said if e.story.makes == part.step.makes]
                self.assertEqual(counting[-1].word, part.verdict)
        self.assertEqual(self.kept(shop), now.state.kept())

    def kept(self, shop: Shop) -> dict[str, Any]:
        """The state of the same history, folded one by one and stored between: what the server does."""
        state, steps = State(), steps_of_parts(shop.plans)
        for entry in shop.entries:
            state = state_of(json.loads(json.dumps(state.kept())))
            follow(state, entry, steps)
        return state.kept()

    def test_a_piece_that_ended_stays_ended_under_any_plan(self) -> None:
        rng = random.Random(5)
        shop = Shop(document())
        while shop.now.good < 2:
            _work(shop, rng, tidy=True)
        for _ in range(40):
            _edit(shop, rng)
            state, _ = fold(shop.plans, shop.entries)
            self.assertEqual(progress_of(shop.plans, state).benches[0].good, 2)
