"""`conch size` and `conch plan`: the contract for checks from outside."""

from __future__ import annotations

import json
import subprocess
import sys

from jsonschema import Draft202012Validator

from lathework.tests.samples import document
from lathework.tests.test_parts import together
from lathework.threads.families import FAMILIES
from lathework.threads.library import library
from launcher.environment import ROOT
from launcher.tests.case import CommandCase

LENGTH = {"type": "number", "exclusiveMinimum": 0}
PAIR = {"type": "array", "items": LENGTH, "minItems": 2, "maxItems": 2}
SIZE = Draft202012Validator(
    {
        "type": "object",
        "required": [
            *("designation", "family", "series", "angle_deg", "unit", "tpi", "pitch", "basic"),
            *("blank", "tapping_drills", "groove", "wires", "external", "internal", "stress_area"),
        ],
        "properties": {
            "family": {"enum": [family.code for family in FAMILIES]},
            "unit": {"enum": ["in", "mm"]},
            "angle_deg": {"enum": [47.5, 55, 60, 30, 29, 53.13]},
            "tpi": {"type": ["number", "null"]},
            "pitch": LENGTH,
            "basic": {"required": ["major", "pitch_diameter", "minor"], "additionalProperties": LENGTH},
            "blank": {
                "maxItems": 4,
                "items": {
                    "required": ["school", "diameter"],
                    "properties": {
                        "school": {"enum": ["nominal", "pitch-fraction", "mid-limits", "mate-takes"]},
                        "diameter": LENGTH,
                    },
                },
            },
            "tapping_drills": {
                "items": {"required": ["name", "diameter", "percent", "convention"], "properties": {"diameter": LENGTH}}
            },
            "groove": {"type": ["object", "null"], "required": ["diameter", "width"], "additionalProperties": LENGTH},
            "wires": {"required": ["best", "over_wires"], "properties": {"best": LENGTH}},
            "external": {
                "type": ["object", "null"],
                "required": ["class", "major", "pitch_diameter", "minor_max"],
                "properties": {"major": PAIR, "pitch_diameter": PAIR, "minor_max": LENGTH},
            },
            "internal": {
                "type": ["object", "null"],
                "required": ["class", "minor", "pitch_diameter", "major_min"],
                "properties": {"minor": PAIR, "pitch_diameter": PAIR, "major_min": LENGTH},
            },
            "stress_area": {"type": ["number", "null"]},
        },
    }
)


class Size(CommandCase):
    def test_one_object_a_line_in_the_order_asked(self) -> None:
        names = [thread.designation for thread in library()]
        status, out, _ = self.run_command("size", "--json", *names)
        lines = [json.loads(line) for line in out.splitlines()]
        self.assertEqual((status, [line["designation"] for line in lines]), (0, names))
        for line in lines:
            with self.subTest(line["designation"]):
                SIZE.validate(line)

    def test_lengths_are_in_the_standards_own_unit(self) -> None:
        """ASME B1.1: 3/8-16 pitch diameter 0.3344 in. ISO 724: M8 7.188 mm."""
        _, out, _ = self.run_command("size", "--json", "3/8-16", "m8")
        inch, metric = (json.loads(line) for line in out.splitlines())
        self.assertEqual((inch["unit"], inch["basic"]["pitch_diameter"]), ("in", 0.3344))
        self.assertEqual((metric["unit"], metric["basic"]["pitch_diameter"]), ("mm", 7.188))

    def test_classes_and_engagement(self) -> None:
        """ASME B1.1: 1-8 UNC class 1A pitch diameter 0.9067 to 0.9168, class 3B to 0.9254 in."""
        status, out, _ = self.run_command("size", "--json", "1-8", "--class", "1A", "--internal-class", "3B")
        told = json.loads(out)
        self.assertEqual(status, 0)
        self.assertEqual(told["external"]["pitch_diameter"], [0.9067, 0.9168])
        self.assertEqual(told["internal"]["pitch_diameter"], [0.9188, 0.9254])
        _, longer, _ = self.run_command("size", "--json", "1-8", "--engagement", "2")
        self.assertLess(json.loads(longer)["external"]["pitch_diameter"][0], 0.9100)
        for wrong in (("--class", "9A"), ("--internal-class", "6H"), ("--engagement", "far"), ("--engagement", "0")):
            status, out, _ = self.run_command("size", "--json", "1-8", *wrong)
            self.assertEqual(status, 1, wrong)
            self.assertIn("error", json.loads(out))

    def test_what_cannot_be_read_is_told_and_the_rest_answered(self) -> None:
        status, out, _ = self.run_command("size", "--json", "7/16 whitworth", "bolt", "M8")
        asked, wrong, sound = (json.loads(line) for line in out.splitlines())
        self.assertEqual(status, 1)
        self.assertEqual(set(asked["error"]), {"code", "message", "choices"})
        self.assertEqual(asked["error"]["choices"], ["7/16 BSW", "7/16 BSF"])
        self.assertEqual(wrong["error"]["code"], "unreadable")
        SIZE.validate(sound)

    def test_for_people(self) -> None:
        status, out, _ = self.run_command("size", "G1/4", "nonsense")
        self.assertEqual(status, 1)
        for words in (
            "13.157 mm",
            "best wire",
            "relief groove",
            "A pipe size is not a diameter",
            "nonsense: ",
        ):
            self.assertIn(words, out)


class Reader(CommandCase):
    def test_who_stops_reading_ends_it_without_a_word(self) -> None:
        """As with any tool of the system: `conch size ... | head -1`."""
        conch = [sys.executable, str(ROOT / "conch"), "size", *["3/8-16", "M8", "1/4 BSW"] * 200]
        with subprocess.Popen(conch, stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True) as told:
            assert told.stdout is not None and told.stderr is not None
            told.stdout.readline()
            told.stdout.close()
            self.assertEqual(told.stderr.read(), "")
            self.assertEqual(told.wait(20), 141)

    def test_a_bare_length_is_in_the_threads_own_unit(self) -> None:
        for thread, long in (("M10", "10 mm long"), ("3/8-16", "10 in long")):
            status, out, _ = self.run_command("methods", thread, "--length", "10")
            self.assertEqual(status, 0)
            self.assertIn(long, out.splitlines()[0])


class Drills(CommandCase):
    def test_the_pick_is_out_of_what_one_owns(self) -> None:
        """8.5 mm leaves M10 77 per cent by its own size, a 9 mm one 51, above the class."""
        file = self.folder / "drills.txt"
        file.write_text("8.5 mm\n9 mm\n")
        status, out, _ = self.run_command("size", "M10", "--drills", str(file), "--percent", "70", "--json")
        found = json.loads(out)["hole"]
        self.assertEqual((status, found["pick"]), (0, "8.5 mm"))
        self.assertEqual([d["fit"] for d in found["drills"]], ["within", "too-large"])
        self.assertIn(
            "nearest to 70 % thread by its own size",
            self.run_command("size", "M10", "--drills", str(file), "--percent", "70")[1],
        )

    def test_a_taper_hole(self) -> None:
        """Rc3/8 of metric drills: 14.25 before the reamer, 14.75 without; the plug goes in 6.4, give or take 1.3."""
        file = self.folder / "drills.txt"
        file.write_text("metric\n")
        _, out, _ = self.run_command("size", "Rc3/8", "--drills", str(file), "--json")
        found = json.loads(out)["hole"]
        self.assertEqual((found["reamed"], found["plain"]), ("14.25 mm", "14.75 mm"))
        self.assertEqual((found["gauge_length"], found["give"]), (6.4, 1.3))
        self.assertIn("local codes", self.run_command("size", "Rc3/8", "--drills", str(file))[1])

    def test_what_cannot_be_read_is_told(self) -> None:
        self.assertIn("cannot read", self.stopped("size", "M10", "--drills", str(self.folder / "none.txt")))
        status, out, _ = self.run_command("size", "M10", "--percent", "lots", "--json")
        self.assertEqual((status, json.loads(out)["error"]["code"]), (1, "out-of-range"))


class Plan(CommandCase):
    def write(self, value: object) -> str:
        file = self.folder / "job.json"
        file.write_text(value if isinstance(value, str) else json.dumps(value))
        return str(file)

    def test_for_people_and_for_programs(self) -> None:
        file = self.write(document())
        status, out, _ = self.run_command("plan", file)
        self.assertEqual(status, 0)
        for words in (
            "Turn to 0.3688 in over 1.250 in",
            "Z −2.0938 in",
            "Caution: ",
            "die in the sliding tailstock holder",
            "New tool: touch off the left edge of the parting blade",
        ):
            self.assertIn(words, out)
        status, out, _ = self.run_command("plan", file, "--json")
        self.assertEqual(len(json.loads(out)["operations"]), 9)

    def test_every_part_of_a_job(self) -> None:
        file = self.write(together())
        _, out, _ = self.run_command("plan", file)
        self.assertIn("Levelling studs, nut: 2 of brass", out)
        _, out, _ = self.run_command("plan", file, "--json")
        self.assertIn("tap:b1", [step["key"] for step in json.loads(out)["others"][0]["operations"]])

    def test_a_wrong_job_names_its_fields(self) -> None:
        file = self.write(document({"quantity": 0, "part.sections.0.thread": "bolt"}))
        status, out, _ = self.run_command("plan", file, "--json")
        self.assertEqual(status, 1)
        self.assertEqual({e["field"] for e in json.loads(out)["errors"]}, {"quantity", "part.sections.0.thread"})
        self.assertIn("part.sections.0.thread: “bolt” is not a thread designation", self.run_command("plan", file)[1])

    def test_what_is_no_file(self) -> None:
        self.assertIn("cannot read", self.stopped("plan", str(self.folder / "none.json")))
        self.assertIn("is not a JSON file", self.stopped("plan", self.write("{nope")))
        self.assertIn("cannot read", self.stopped("plan", str(self.folder)))
        (self.folder / "binary.json").write_bytes(b"\xff\xfe\x00")
        self.assertIn("is not a JSON file", self.stopped("plan", str(self.folder / "binary.json")))
