"""A new job from a few sizes: the document it starts as, and where its errors are told."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from lathework.answers.start_shown import beginnings_shown, start_sketch
from lathework.errors import InvalidDocument
from lathework.job.beginnings import BEGINNINGS, STARTS, Start
from lathework.job.declaration import METHOD, SETUP
from lathework.job.document import read_document
from lathework.job.starts import OF_THE_JOB, check_start, new_document, of_the_shop
from lathework.job.typed import Typed
from lathework.planning.plan import make_plan
from lathework.tests.samples import step

STUD = Typed(
    start="stud",
    unit="in",
    title="Levelling studs",
    thread="3/8-16",
    quantity="6",
    stock="1/2",
    threaded="1-1/4",
    overall="2",
    shank="7/16",
    shank_length="1/2",
    flats="7/16",
    hole="1/4",
    head="1/2",
    knurl="1 mm",
)


class Starts(unittest.TestCase):
    def test_every_start_can_be_planned(self) -> None:
        self.assertEqual(tuple(beginning.code for beginning in BEGINNINGS), STARTS)
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
            ("knob", ["thread", "knurl"]),
            ("all-thread", ["thread"]),
            ("nut", ["bar"]),
            ("body", ["bar"]),
            ("bush", ["round"]),
            ("bolt", ["thread", "bar"]),
            ("sample", ["thread", "round", "bar"]),
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
            ({"flats": "wide"}, "plug", "flats"),
            ({"title": ""}, "stud", "title"),
            ({"quantity": "none"}, "stud", "quantity"),
        ):
            typed = replace(STUD, start=start, **changes)  # type: ignore[arg-type]  # texts all
            self.assertIn(field, self.wrong(typed), changes)

    def wrong(self, typed: Typed) -> list[str]:
        with self.assertRaises(InvalidDocument) as told:
            check_start(typed, new_document(typed, None, None))
        return [error.field for error in told.exception.errors]

    def test_a_rod_tells_its_thread_once(self) -> None:
        fields = self.wrong(replace(STUD, start="rod", thread="3/8-17"))
        self.assertEqual(fields.count("thread"), 1)
        self.assertFalse([field for field in fields if "." in field], "a path nobody typed at")

    def test_a_sample_keeps_what_it_measured_beside_what_was_decided(self) -> None:
        readings = {"shank": "0.431", "thread": "0.369", "overall": "1.97"}
        typed = replace(STUD, start="sample", threaded="1/2", readings=readings)
        first, shank, head = new_document(typed, None, None)["part"]["sections"]
        self.assertEqual((shank["across"], shank["measured"]), ("7/16", "0.431"))
        self.assertEqual((first["measured"], head["measured"]), ("0.369", ""))

    def test_a_bolt_says_how_long_it_is_now(self) -> None:
        typed = replace(STUD, start="bolt", stock="3/8", present="4", threaded="1/2")
        stock = new_document(typed, None, None)["part"]["stock"]
        self.assertEqual((stock["form"], stock["bar_length"]), ("bolt", "4"))

    def test_what_is_sawn_off_a_bolt_is_said(self) -> None:
        """4 in less 2 wanted leaves 2 to go, a little of it by facing."""
        typed = replace(STUD, start="bolt", stock="3/8", present="4", threaded="1/2")
        saw = step(make_plan(read_document(new_document(typed, None, None)).parts[0]), "saw")
        off, facing = saw.figures["off"], saw.figures["length"].value - 2
        self.assertAlmostEqual(off.value, 2 - facing, places=3)
        self.assertTrue(0 < facing < 0.04)
        self.assertIn("comes off", saw.sentence)

    def test_a_bolt_gets_no_groove_unless_one_is_wanted(self) -> None:
        """A groove to under the root leaves a bolt weaker than its thread."""
        usual = {one.code: one.finish for one in beginnings_shown()}
        self.assertEqual(usual.pop("bolt"), "run-out")
        self.assertEqual(set(usual.values()), {""})

    def test_a_bolt_is_never_made_longer(self) -> None:
        typed = replace(STUD, start="bolt", stock="3/8", present="1-3/4", threaded="1/2")
        self.assertEqual(self.wrong(typed), ["present"])
        self.assertTrue(read_document(new_document(replace(typed, present="2-1/4"), None, None)))

    def test_bar_of_a_few_millimetres_is_no_stock(self) -> None:
        form = new_document(STUD, None, None)
        form["part"]["stock"]["bar_length"] = "15 mm"
        with self.assertRaises(InvalidDocument) as told:
            read_document(form)
        self.assertEqual([error.field for error in told.exception.errors], ["part.stock.bar_length"])


class Sketches(unittest.TestCase):
    """A form is drawn however little of it is filled, and never told what nobody typed."""

    def test_an_empty_form_is_drawn_without_a_figure(self) -> None:
        for start in STARTS:
            with self.subTest(start):
                sketch = start_sketch(Typed(start, "mm"), None, None)
                self.assertEqual((sketch.drawing.labels, sketch.errors), ((), ()))

    def test_what_was_typed_is_told(self) -> None:
        typed = Typed("stud", "mm", thread="M8", threaded="20", overall="60")
        sketch = start_sketch(typed, None, None)
        self.assertEqual({label.mm for label in sketch.drawing.labels}, {"M8", "20.00", "36.25", "60.00"})
        self.assertEqual((sketch.unit, sketch.setup["groove_blade"]), ("mm", "3"))

    def test_a_name_of_two_threads_is_asked_about(self) -> None:
        """1/4 BSP is G1/4, that seals on a washer, or R1/4, that seals on its thread (ISO 228-1, ISO 7-1)."""
        asked = start_sketch(Typed("plug", "mm", thread="1/4 bsp"), None, None).errors
        self.assertEqual([error.field for error in asked], ["thread"])
        self.assertEqual(asked[0].choices[:2], ("G1/4", "R1/4"))

    def test_sizes_that_do_not_fit_are_told_and_the_others_drawn(self) -> None:
        sketch = start_sketch(Typed("stud", "mm", thread="M8", threaded="70", overall="60"), None, None)
        told = {label.mm for label in sketch.drawing.labels}
        self.assertIn("70.00", told)
        self.assertNotIn("60.00", told)
        self.assertIn("overall", [error.field for error in sketch.errors])

    @given(
        st.sampled_from(STARTS),
        st.sampled_from(("", "M3", "M24", "1/4-20", "G1/2", "2 BA", "R1/2", "no thread", "3/8")),
        st.dictionaries(
            st.sampled_from(("stock", "threaded", "shank", "shank_length", "flats", "overall", "present")),
            st.sampled_from(("", "3", "12", "40", "250", "1/2", "wide")),
        ),
    )
    def test_any_form_is_drawn_or_says_why_not(self, start: Start, thread: str, sizes: dict[str, str]) -> None:
        sketch = start_sketch(Typed(start, "mm", thread=thread, **sizes), None, None)  # type: ignore[arg-type]
        if sketch.drawing is None:
            # Sizes that do not fit each other; or a thread that no nut has.
            self.assertTrue(any(size.strip() for size in sizes.values()) or thread == "R1/2")
            return
        for path in sketch.drawing.paths:
            self.assertNotIn("nan", path.d)

    def test_every_beginning_has_a_picture(self) -> None:
        shown = beginnings_shown()
        self.assertEqual(len({one.name for one in shown}), len(STARTS) + 2)
        self.assertTrue(all(one.picture.paths for one in shown))
