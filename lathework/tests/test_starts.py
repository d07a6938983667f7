"""A new job from a few sizes: the document it starts as, and where its errors are told."""

from __future__ import annotations

import unittest
from dataclasses import replace

from lathework.errors import InvalidDocument
from lathework.job.declaration import METHOD, SETUP
from lathework.job.document import read_document
from lathework.job.starts import OF_THE_JOB, STARTS, WORDS, Typed, beside_the_form, new_document, of_the_shop
from lathework.planning.plan import make_plan

STUD = Typed(
    "stud",
    "in",
    "Levelling studs",
    "3/8-16",
    "6",
    "mild-steel",
    "1/2",
    threaded="1-1/4",
    overall="2",
    shank="7/16",
    shank_length="1/2",
    flats="7/16",
)


class Starts(unittest.TestCase):
    def test_every_start_can_be_planned(self) -> None:
        self.assertEqual(tuple(WORDS), STARTS)
        for start in STARTS:
            with self.subTest(start):
                made = read_document(new_document(replace(STUD, start=start, threaded="1/2"), None, None))
                self.assertTrue(make_plan(made).operations)

    def test_what_each_is_made_of(self) -> None:
        for start, shapes in (
            ("stud", ["thread", "bar"]),
            ("rod", ["thread", "bar", "thread"]),
            ("screw", ["thread", "round", "bar"]),
            ("plug", ["thread", "hexagon"]),
            ("nut", ["bar"]),
        ):
            made = new_document(replace(STUD, start=start), None, None)  # type: ignore[arg-type]  # of the list
            self.assertEqual([one["shape"] for one in made["part"]["sections"]], shapes)
        nut = new_document(replace(STUD, start="nut"), None, None)["part"]
        self.assertEqual((nut["stock"]["form"], nut["bores"][0]["thread"]), ("hexagon", "3/8-16"))

    def test_the_shop_stays_the_job_does_not(self) -> None:
        kept = {"holder": "keyed-power", "percent": "60", "overruled": "x", "gone by now": "x"}
        method, setup = of_the_shop("mm", kept | {"finish": "a choice gone by now"}, {"lathe": "light"})
        self.assertEqual(method["finish"], "groove")
        self.assertEqual((method["holder"], method["percent"], method["overruled"]), ("keyed-power", "", ""))
        self.assertEqual((setup["lathe"], setup["groove_blade"]), ("light", "3"))
        self.assertEqual(of_the_shop("in", None, None)[1]["groove_blade"], "1/8")
        self.assertLessEqual(set(OF_THE_JOB), set(METHOD.keys))
        self.assertEqual((set(method), set(setup)), (set(METHOD.keys), set(SETUP.keys)))

    def test_errors_stand_beside_what_was_typed(self) -> None:
        for changes, start, field in (
            ({"thread": "3/8-17"}, "stud", "thread"),
            ({"thread": "3/8-17"}, "nut", "thread"),
            ({"overall": ""}, "stud", "overall"),
            ({"shank": "wide"}, "screw", "shank"),
            ({"flats": ""}, "plug", "flats"),
            ({"title": ""}, "stud", "title"),
            ({"quantity": "none"}, "stud", "quantity"),
        ):
            typed = replace(STUD, start=start, **changes)  # type: ignore[arg-type]  # texts all
            with self.subTest(changes), self.assertRaises(InvalidDocument) as told:
                read_document(new_document(typed, None, None))
            fields = [error.field for error in beside_the_form(told.exception, start).errors]  # type: ignore[arg-type]
            self.assertIn(field, fields)

    def test_a_rod_tells_its_thread_once(self) -> None:
        with self.assertRaises(InvalidDocument) as told:
            read_document(new_document(replace(STUD, start="rod", thread="3/8-17"), None, None))
        fields = [one.field for one in beside_the_form(told.exception, "rod").errors]
        self.assertEqual(fields.count("thread"), 1)
        self.assertFalse([field for field in fields if "." in field], "a path nobody typed at")
