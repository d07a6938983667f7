"""The record of a job file: every wrong entry named, nothing guessed; records of before lifted."""

from __future__ import annotations

import gzip
import json
import unittest
from pathlib import Path
from typing import Any

from lathework.bench.record.document import read_record
from lathework.bench.record.second import second_keys
from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.planning.plan import make_plans
from lathework.tests.samples import plan

PLANS = [plan()]
RETITLED = {
    "Centre-drill the end": "Centre-drill, bring up the centre",
    "Bring up the centre": "Centre-drill, bring up the centre",
    "Turn the step": "Turn the shank",
    "Turn the round for the hexagon": "Turn round for the hexagon",
    "Turn the round for the square": "Turn round for the square",
    "Turn the round for the flats": "Turn round for the flats",
    "Turn the blank for the taper": "Turn round for the taper",
    "Flip the die, finish to the shoulder": "Turn the die round, finish to the shoulder",
    "Mark and spot the cross hole": "Mark and spot the hole across",
    "Drill the cross hole": "Drill across",
    "Countersink the cross hole": "Countersink the hole across",
    "Tap the cross hole": "Tap the hole across",
}
KEPT_KEYS = Path(__file__).parent / "data" / "second_keys.json.gz"
SOUND: dict[str, Any] = {
    "kind": "reading",
    "piece": 1,
    "part": "p1",
    "step": "turn:s1",
    "value_mm": 9.37,
    "typed": "9.37",
    "unit": "mm",
    "told": {
        "title": "Turn the thread blank",
        "aim_mm": 9.368,
        "makes": "diameter 9.368; length 31.750",
        "revision": 1,
    },
    "at": "2026-11-21T10:02:00+00:00",
}
WRONG: tuple[tuple[dict[str, Any], str, str], ...] = (
    ({"kind": "guess"}, "kind", "unknown-choice"),
    ({"piece": 0}, "piece", "not-a-count"),
    ({"piece": True}, "piece", "not-a-count"),
    ({"piece": 3}, "piece", "skipped"),
    ({"part": "p9"}, "part", "unknown-part"),
    ({"part": 1}, "part", "wrong-type"),
    ({"step": 4}, "step", "wrong-type"),
    ({"step": "turn-blank"}, "step", "unknown-step"),
    ({"step": "dance:s1"}, "step", "unknown-step"),
    ({"step": "turn:s9"}, "step", "unknown-id"),
    ({"step": "face:up"}, "step", "unknown-step"),
    ({"value_mm": "9.37"}, "value_mm", "not-a-number"),
    ({"value_mm": float("nan")}, "value_mm", "not-a-number"),
    ({"value_mm": None}, "value_mm", "empty"),
    ({"text": "x" * 2001}, "text", "wrong-type"),
    ({"text": "\ud83d"}, "text", "unreadable"),
    ({"unit": "ft"}, "unit", "unknown-choice"),
    ({"ended": "yes"}, "ended", "wrong-type"),
    ({"told": None}, "told.title", "untold"),
    ({"told": {"title": "Turn the thread blank"}}, "told.aim_mm", "untold"),
    ({"told": {"colour": "red"}}, "told.colour", "unknown-field"),
    ({"told": {"title": "x", "revision": -1}}, "told.revision", "not-a-count"),
    ({"at": "yesterday"}, "at", "not-a-date"),
    ({"at": "2026-11-21T10:02:00"}, "at", "not-a-date"),
    ({"at": "0001-01-01T00:00:00+14:00"}, "at", "not-a-date"),
    ({"at": "9999-12-31T23:59:59-14:00"}, "at", "not-a-date"),
    ({"colour": "red"}, "colour", "unknown-field"),
)
OLD = {"kind": "reading", "piece": 1, "step": "turn-blank", "value_mm": 9.37, "at": SOUND["at"]}


class RecordOfAJob(unittest.TestCase):
    def errors(self, value: object, version: int = 3) -> dict[str, str]:
        with self.assertRaises(InvalidDocument) as told:
            read_record(value, PLANS, version)
        return {error.field: error.code for error in told.exception.errors}

    def test_sound_ones(self) -> None:
        self.assertEqual(read_record(None, PLANS, 3).entries, ())
        found = read_record({"entries": [SOUND], "held": "a new die"}, PLANS, 3)
        first = found.entries[0]
        self.assertEqual((first.entry.value_mm, first.typed, first.unit, found.held), (9.37, "9.37", "mm", "a new die"))
        self.assertEqual((first.entry.story.title, first.entry.story.aim_mm), ("Turn the thread blank", 9.368))

    def test_each_wrong_entry_is_told_by_its_path(self) -> None:
        for change, field, code in WRONG:
            with self.subTest(change):
                found = self.errors({"entries": [SOUND, SOUND | change]})
                self.assertEqual(found, {f"record.entries.1.{field}": code})

    def test_all_at_once(self) -> None:
        found = self.errors({"entries": [SOUND | {"kind": "x"}, 7], "held": 3})
        self.assertEqual(set(found), {"record.entries.0.kind", "record.entries.1", "record.held"})

    def test_at_most_fifty_are_told_and_the_rest_counted(self) -> None:
        with self.assertRaises(InvalidDocument) as told:
            read_record({"entries": [7] * 3000}, PLANS, 3)
        self.assertEqual((len(told.exception.errors), told.exception.count), (50, 3000))

    def test_what_is_no_record(self) -> None:
        self.assertEqual(self.errors([]), {"record": "wrong-type"})
        self.assertEqual(self.errors({"entries": {}}), {"record.entries": "wrong-type"})
        self.assertEqual(self.errors({"other": 1}), {"record": "wrong-type"})
        self.assertEqual(self.errors({"gone": {}}), {"record.gone": "wrong-type"})
        self.assertEqual(self.errors({"gone": [{"part": "p1", "id": "no id"}]}), {"record.gone.0": "not-an-id"})

    def test_what_is_gone_from_the_job_may_be_spoken_of(self) -> None:
        spoken = SOUND | {"step": "turn:s9"}
        found = read_record({"entries": [spoken], "gone": [{"part": "p1", "id": "s9"}]}, PLANS, 3)
        self.assertEqual(found.entries[0].entry.step, "turn:s9")
        away = {"entries": [SOUND | {"part": "p7", "step": ""}], "gone": [{"part": "p7", "id": ""}]}
        self.assertEqual(read_record(away, PLANS, 3).entries[0].entry.part, "p7")


class Lifted(unittest.TestCase):
    def test_an_entry_of_version_two_tells_what_the_plan_makes(self) -> None:
        [kept] = read_record({"entries": [OLD]}, PLANS, 2).entries
        story = kept.entry.story
        self.assertEqual((kept.entry.part, kept.entry.step, story.title), ("p1", "turn:s1", "Turn the thread blank"))
        self.assertAlmostEqual(story.aim_mm or 0, 0.3688 * 25.4, places=6)

    def test_a_step_the_plan_no_longer_has_keeps_its_name(self) -> None:
        rows = [OLD | {"kind": "done", "step": step} for step in ("finish", "gauge-2", "saw", "never-heard-of")]
        told = [(k.entry.step, k.entry.story.title) for k in read_record({"entries": rows}, PLANS, 2).entries]
        self.assertEqual(
            told,
            [
                ("finish:gone", "Flip the die, finish to the shoulder"),
                ("gauge:gone-2", "Gauge with the nut"),
                ("saw", "Saw the blank"),
                ("fit", "never-heard-of"),
            ],
        )

    def test_a_piece_that_was_whole_says_so(self) -> None:
        old = ("face", "turn-blank", "groove", "chamfer", "thread", "gauge", "part-off")
        rows = [OLD | {"kind": "done", "step": step} for step in old]
        ended = [kept.entry.ended for kept in read_record({"entries": rows}, PLANS, 2).entries]
        self.assertEqual(ended, [False] * 6 + [True])

    def test_every_key_that_was_kept_is_found_again(self) -> None:
        """Keys and titles of 67 plans as version 2 gave them; each key must lead to the step of that title."""
        kept = json.loads(gzip.decompress(KEPT_KEYS.read_bytes()))
        self.assertGreater(len(kept), 60)
        for case in kept:
            job = read_document(case["document"])
            for part, made, old in zip(job.parts, make_plans(job), case["steps"], strict=True):
                keys = second_keys(part)
                titles = {step.key: step.title for step in made.operations}
                for key, title in old:
                    now = titles.get(keys[key], title).replace("back edge of the ", "").partition(", hole ")[0]
                    self.assertEqual(RETITLED.get(now, now), title)
                self.assertEqual(len({keys[key] for key, _ in old}), len(old))
                # Today's plan holds long work otherwise, and faces no end that it did not saw.
                gone = {keys[key].partition(":")[0] for key, _ in old if keys[key] not in titles}
                self.assertLessEqual(gone, {"part-off", "hold", "face", "saw", "centre", "spot", "pilot"})
