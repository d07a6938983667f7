"""What is typed in one field and kept in two: a size with its fit, a bar with its form; what an empty field stands for.

Fits are checked against ISO 286-2's printed limits, nuts against ISO 4032 and ASME B18.2.2.
"""

from __future__ import annotations

import unittest
from copy import deepcopy
from dataclasses import replace
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from lathework.answers.start_shown import start_sketch
from lathework.errors import InputError, InvalidDocument
from lathework.fits.called import read_fit
from lathework.fits.fit import FIT, Makes
from lathework.job.beginnings import BEGINNINGS
from lathework.job.document import read_document
from lathework.job.furnish import furnish
from lathework.job.model import Job
from lathework.job.starts import check_start, new_document
from lathework.job.typed import Typed
from lathework.part.fitted import bore_limits, section_limits
from lathework.part.stock import read_bar
from lathework.planning.plan import make_plan

SIZES = ["26", "1-1/4", "25,4", ".5", "25,4 mm", "1 in"]
BUSH = Typed("bush", "mm", title="Guide bush", quantity="2", stock="32", shank="26", hole="20", overall="25")
STUD = Typed("stud", "in", title="Studs", thread="3/8-16", quantity="2", stock="5/8", threaded="1", overall="2")


def job_of(typed: Typed) -> Job:
    document = new_document(typed, None, None)
    check_start(typed, document)
    return read_document(document).parts[0]


class Fits(unittest.TestCase):
    def test_limits_as_the_standard_prints_them(self) -> None:
        """ISO 286-2: 26 s6 +48/+35, 25 g6 −7/−20, 30 h6 0/−13, 12 f7 −16/−34, 50 k6 +18/+2, 40 p6 +42/+26 (µm)."""
        for shank, low, high in (
            ("26 s6", 26.035, 26.048),
            ("25g6", 24.980, 24.993),
            ("30 h6", 29.987, 30.000),
            ("12 f7", 11.966, 11.984),
            ("50 k6", 50.002, 50.018),
            ("40 mm p6", 40.026, 40.042),
        ):
            part = job_of(replace(BUSH, shank=shank, stock="60", hole="8")).part
            limits = section_limits(part.sections[0])
            assert limits is not None
            self.assertAlmostEqual(limits.low_mm, low, places=6, msg=shank)
            self.assertAlmostEqual(limits.high_mm, high, places=6, msg=shank)

    def test_a_hole_by_its_letter(self) -> None:
        """ISO 286-2: 20 H7 +21/0, 20 H8 +33/0 (µm)."""
        for hole, high in (("20 H7", 20.021), ("20H8", 20.033), ("20 H7/g6", 20.021)):
            limits = bore_limits(job_of(replace(BUSH, hole=hole)).part.bores[0])
            assert limits is not None
            self.assertEqual(limits.low_mm, 20.0)
            self.assertAlmostEqual(limits.high_mm, high, places=6, msg=hole)

    def test_in_words(self) -> None:
        for text, code in (
            ("26 press fit", "press"),
            ("26 sliding fit", "slide"),
            ("1 in running fit", "running"),
            ("26 close running", "close-running"),
            ("3/4 shrink fit", "drive"),
            ("26", ""),
            ("2 x 13 mm", ""),
            ("7/16+3/16", ""),
            ("F", ""),
        ):
            self.assertEqual(read_fit(text, "shaft", "across")[1], code, text)

    def test_what_is_no_fit_here_is_asked_about(self) -> None:
        for text, makes in (("26 m6", "shaft"), ("26 S6", "shaft"), ("20 h7", "hole"), ("20 F8/h6", "hole")):
            with self.assertRaises(InputError) as told:
                read_fit(text, makes, "across")  # type: ignore[arg-type]  # of the list
            self.assertTrue(told.exception.choices, text)
            for choice in told.exception.choices:
                self.assertTrue(read_fit(choice, makes, "across")[1], choice)  # type: ignore[arg-type]
        with self.assertRaises(InvalidDocument) as refused:
            job_of(replace(BUSH, shank="26 m6"))
        self.assertEqual([error.field for error in refused.exception.errors], ["shank"])

    @given(
        st.sampled_from([fit for fit in FIT.values() if fit.letter]),
        st.sampled_from(SIZES),
    )
    def test_every_fit_is_read_as_drawings_write_it(self, fit: Any, size: str) -> None:
        shaft, hole = f"{fit.letter}{fit.shaft_grade}", f"H{fit.hole_grade}"
        for text in (
            f"{size} {shaft}",
            f"{size}{shaft}",
            f"{size} {hole}/{shaft}",
            f"{size} {fit.name.split(' or ')[0]}",
        ):
            self.assertEqual(read_fit(text, "shaft", "across"), (size, fit.code), text)


class Bars(unittest.TestCase):
    def test_a_bar_as_one_asks_for_it(self) -> None:
        for text, said in (
            ("17 AF", ("17", "hexagon")),
            ("17 mm A/F", ("17 mm", "hexagon")),
            ("5/8 inch hex bar", ("5/8 inch", "hexagon")),
            ("1/2 in square", ("1/2 in", "square")),
            ("20 round", ("20", "round")),
            ("16", ("16", "")),
            ("#7", ("#7", "")),
            ("hex", ("hex", "")),
        ):
            self.assertEqual(read_bar(text), said, text)

    def test_a_stud_of_hexagon_bar(self) -> None:
        self.assertEqual(job_of(replace(STUD, stock="5/8 hex")).part.stock.form, "hexagon")

    def test_the_head_of_a_plug_is_its_bar(self) -> None:
        plug = Typed("plug", "mm", title="p", thread="M10", quantity="1", stock="17 AF", threaded="20", overall="30")
        part = job_of(plug).part
        self.assertEqual([section.shape for section in part.sections], ["thread", "bar"])
        titles = [one.title for one in make_plan(job_of(plug)).operations]
        self.assertNotIn("Mill the hexagon", titles)

    def test_a_bolt_is_no_bar(self) -> None:
        bolt = Typed("bolt", "in", title="b", thread="3/8-16", quantity="1", stock="3/8 hex", threaded="1", overall="2")
        with self.assertRaises(InvalidDocument) as told:
            job_of(replace(bolt, present="4"))
        self.assertEqual(told.exception.errors[0].choices, ("3/8",))


class Usual(unittest.TestCase):
    def test_a_nut_of_its_thread_alone(self) -> None:
        """ISO 4032: M8 13 across flats, 6.8 high at most; ASME B18.2.2: 3/8 hex nut 9/16 across, 21/64 high."""
        for thread, across, high in (("M8", 13.0, 6.8), ("3/8-16", 9 / 16 * 25.4, 21 / 64 * 25.4)):
            for unit in ("in", "mm"):
                part = job_of(Typed("nut", unit, title="nuts", thread=thread, quantity="4")).part
                self.assertAlmostEqual(part.stock.across.mm, across, places=2)
                self.assertAlmostEqual(part.overall_mm, high, places=1)

    def test_what_is_typed_stands(self) -> None:
        part = job_of(Typed("nut", "mm", title="nuts", thread="M8", quantity="4", stock="14", overall="8")).part
        self.assertEqual((part.stock.across.mm, part.overall_mm), (14.0, 8.0))

    def test_a_knurled_screw(self) -> None:
        knob = Typed(
            "knob", "mm", title="k", thread="M6", quantity="2", stock="20", threaded="15", head="18", overall="25"
        )
        part = job_of(replace(knob, knurl="1")).part
        self.assertEqual([section.shape for section in part.sections], ["thread", "knurl"])
        self.assertIsNotNone(part.sections[1].knurl)
        self.assertIn("Knurl", [one.title for one in make_plan(job_of(replace(knob, knurl="1"))).operations])
        self.assertIsNone(job_of(knob).part.sections[1].knurl)


class Kept(unittest.TestCase):
    """A stored document keeps each fact in its own field, and means what was typed."""

    def same(self, document: dict[str, Any]) -> dict[str, Any]:
        before = deepcopy(document)
        stored = furnish(document, ())
        self.assertEqual(document, before, "what was typed is left as it is")
        self.assertEqual(furnish(stored, ()), stored)
        typed, kept = (read_document(one).parts[0].part for one in (document, stored))
        self.assertEqual(typed, kept)
        return stored

    def test_a_bush(self) -> None:
        part = self.same(new_document(replace(BUSH, shank="26 s6", hole="20H7"), None, None))["part"]
        self.assertEqual((part["sections"][0]["across"], part["sections"][0]["fit"]), ("26", "drive"))
        self.assertEqual((part["bores"][0]["across"], part["bores"][0]["fit"]), ("20", "slide"))

    def test_a_bar(self) -> None:
        part = self.same(new_document(replace(STUD, stock="5/8 AF"), None, None))["part"]
        self.assertEqual((part["stock"]["form"], part["stock"]["across"]), ("hexagon", "5/8"))

    def test_what_cannot_be_read_stays_as_typed(self) -> None:
        document = new_document(replace(BUSH, shank="26 m6"), None, None)
        self.assertEqual(furnish(document, ())["part"]["sections"][0]["across"], "26 m6")

    @given(st.text(max_size=30), st.sampled_from(["shaft", "hole"]))
    def test_any_text_is_read_or_refused(self, text: str, makes: Makes) -> None:
        size, form = read_bar(text)
        self.assertEqual(read_bar(size)[0] if not form else size, size)
        try:
            read, _ = read_fit(text, makes, "across")
        except InputError as error:
            self.assertEqual(error.field, "across")
        else:
            self.assertIn(read, text)


class Drawn(unittest.TestCase):
    def test_a_drawing_stays_while_sizes_disagree(self) -> None:
        """Whatever one field says, the others are drawn: a part in work is seen while a size is being mended."""
        for beginning in BEGINNINGS:
            whole = {ask.field: ask.inch for ask in beginning.asks}
            for ask in beginning.asks:
                for text in ("0.001", "99", "what?", "1 1 1"):
                    typed = Typed(beginning.code, "in", **(whole | {ask.field: text}))  # type: ignore[arg-type]
                    with self.subTest(beginning.code, field=ask.field, text=text):
                        self.assertIsNotNone(start_sketch(typed, None, None).drawing)
