"""The record of a job file: every wrong entry named, nothing guessed."""

from __future__ import annotations

import unittest
from typing import Any

from lathework.errors import InvalidDocument
from lathework.record import read_record

SOUND: dict[str, Any] = {
    "kind": "reading",
    "piece": 1,
    "step": "turn-blank",
    "value_mm": 9.37,
    "typed": "9.37",
    "at": "2026-11-21T10:02:00+00:00",
}
WRONG: tuple[tuple[dict[str, Any], str, str], ...] = (
    ({"kind": "guess"}, "kind", "unknown-choice"),
    ({"piece": 0}, "piece", "not-a-count"),
    ({"piece": True}, "piece", "not-a-count"),
    ({"step": 4}, "step", "wrong-type"),
    ({"value_mm": "9.37"}, "value_mm", "not-a-number"),
    ({"value_mm": float("nan")}, "value_mm", "not-a-number"),
    ({"value_mm": None}, "value_mm", "empty"),
    ({"text": "x" * 2001}, "text", "wrong-type"),
    ({"at": "yesterday"}, "at", "not-a-date"),
    ({"at": "2026-11-21T10:02:00"}, "at", "not-a-date"),
    ({"colour": "red"}, "colour", "unknown-field"),
)


class RecordOfAJob(unittest.TestCase):
    def errors(self, value: object) -> dict[str, str]:
        with self.assertRaises(InvalidDocument) as told:
            read_record(value)
        return {error.field: error.code for error in told.exception.errors}

    def test_sound_ones(self) -> None:
        self.assertEqual(read_record(None).entries, ())
        found = read_record({"entries": [SOUND], "held": "a new die"})
        self.assertEqual(
            (found.entries[0].entry.value_mm, found.entries[0].typed, found.held), (9.37, "9.37", "a new die")
        )

    def test_each_wrong_entry_is_told_by_its_path(self) -> None:
        for change, field, code in WRONG:
            with self.subTest(change):
                found = self.errors({"entries": [SOUND, SOUND | change]})
                self.assertEqual(found, {f"record.entries.1.{field}": code})

    def test_all_at_once(self) -> None:
        found = self.errors({"entries": [SOUND | {"kind": "x"}, 7], "held": 3})
        self.assertEqual(set(found), {"record.entries.0.kind", "record.entries.1", "record.held"})

    def test_what_is_no_record(self) -> None:
        self.assertEqual(self.errors([]), {"record": "wrong-type"})
        self.assertEqual(self.errors({"entries": {}}), {"record.entries": "wrong-type"})
        self.assertEqual(self.errors({"other": 1}), {"record": "wrong-type"})
