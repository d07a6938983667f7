"""`conch identify`: the contract for checks from outside."""

from __future__ import annotations

import json

from jsonschema import Draft202012Validator

from launcher.tests.case import CommandCase

ANSWER = Draft202012Validator(
    {
        "type": "object",
        "required": ["candidates", "none_of_these", "specials", "settled", "next", "priors", "mistake"],
        "properties": {
            "candidates": {
                "type": "array",
                "minItems": 1,
                "items": {
                    "required": ["designation", "probability", "reasons"],
                    "properties": {
                        "designation": {"type": "string"},
                        "probability": {"type": "number", "minimum": 0, "maximum": 1},
                        "reasons": {"items": {"required": ["evidence", "measured", "expected", "times"]}},
                    },
                },
            },
            "none_of_these": {"type": "number", "minimum": 0, "maximum": 1},
            "settled": {"type": "boolean"},
            "next": {
                "required": ["sentence", "question"],
                "properties": {
                    "question": {
                        "type": ["object", "null"],
                        "required": ["ask", "instrument", "how", "meanings", "gain_bits"],
                    }
                },
            },
        },
    }
)


class Identify(CommandCase):
    def told(self, *arguments: str) -> dict[str, object]:
        """One object that keeps to the contract."""
        status, out, _ = self.run_command("identify", "--json", *arguments)
        self.assertEqual(status, 0, out)
        told = json.loads(out)
        ANSWER.validate(told)
        return dict(told)

    def test_a_pipe_thread_by_diameter_and_leaf(self) -> None:
        """ISO 228-1: G1/4 measures 13.157 mm, 0.518 in, with 19 to the inch."""
        told = self.told("--outside", "0.518in", "--tpi", "19")
        self.assertEqual(told["candidates"][0]["designation"], "G1/4")  # type: ignore[index]

    def test_every_flag_is_evidence(self) -> None:
        for arguments in (
            ("--bore", "6.75mm", "--pitch", "1.25mm"),
            ("--outside", "9.4mm", "--count", "20", "--over", "31.8mm", "--angle", "60", "--hand", "right"),
            ("--outside", "20.8mm", "--tpi", "14", "--taper", "no", "--trade", "pipe"),
            ("--outside", "0.247", "--mate", "1/4-20", "--goes", "all-the-way", "--origin", "american"),
            ("--outside", "7.9", "--unit", "mm", "--marking", "8.8", "--worn", "badly"),
        ):
            with self.subTest(arguments):
                self.told(*arguments)

    def test_best_first_and_settled_when_sure(self) -> None:
        told = self.told("--outside", "9.85mm", "--pitch", "1.5mm")
        odds = [candidate["probability"] for candidate in told["candidates"]]  # type: ignore[attr-defined]
        self.assertEqual(odds, sorted(odds, reverse=True))
        self.assertTrue(told["settled"])
        self.assertIsNone(told["next"]["question"])  # type: ignore[index]

    def test_what_cannot_be_used_is_told_by_field(self) -> None:
        for arguments, field, code in (
            (("--outside", "0.518mm"), "outside", "out-of-range"),
            (("--outside", "0.5", "--bore", "0.6"), "bore", "contradiction"),
            (("--tpi", "20", "--pitch", "1mm"), "pitch", "one-of"),
            (("--count", "20"), "over", "incomplete"),
        ):
            status, out, _ = self.run_command("identify", "--json", *arguments)
            error = json.loads(out)["errors"][0]
            self.assertEqual((status, error["field"], error["code"]), (1, field, code))

    def test_for_people(self) -> None:
        status, out, _ = self.run_command("identify", "--outside", "0.2465", "--tpi", "20")
        self.assertEqual(status, 0)
        for words in ("1/4-20 UNC", "1/4 BSW", "none of these", "Next: ", "60 degrees means"):
            self.assertIn(words, out)
        _, out, _ = self.run_command("identify", "--outside", "0.3", "--tpi", "37")
        self.assertIn("special: 0.300-37 UNS", out)
        status, out, _ = self.run_command("identify", "--outside", "wide")
        self.assertEqual(status, 1)
        self.assertIn("outside: ", out)
