"""Designations: forgiving in form, strict about what they could mean."""

from __future__ import annotations

import unittest

from hypothesis import given
from hypothesis import strategies as st

from lathework.errors import InputError
from lathework.threads.designation import read_called, read_designation
from lathework.threads.designation.spoken import spoken
from lathework.threads.library import library
from lathework.threads.limits import internal_limits

READ = (
    ("3/8-16", "3/8-16 UNC"),
    ("3/8 x 16 unc", "3/8-16 UNC"),
    ("3/8×16", "3/8-16 UNC"),
    ("3/8-16 tpi", "3/8-16 UNC"),
    ("3/8 UNC", "3/8-16 UNC"),
    ("3/8 nc", "3/8-16 UNC"),
    ('3/8"-16', "3/8-16 UNC"),
    (".375-16", "3/8-16 UNC"),
    ("3/8-16 UNC-2A", "3/8-16 UNC"),
    ("3/8 unf", "3/8-24 UNF"),
    ("1-8", "1-8 UNC"),
    ("1-1/4-7", "1-1/4-7 UNC"),
    ("1 1/4-7", "1-1/4-7 UNC"),
    ("10-32", "#10-32 UNF"),
    ("#10-32", "#10-32 UNF"),
    ("no. 10-24", "#10-24 UNC"),
    ("4-40", "#4-40 UNC"),
    ("M8", "M8"),
    ("m8x1", "M8x1"),
    ("M 8 x 1", "M8x1"),
    ("m8-1.25", "M8"),
    ("M8x1,0", "M8x1"),
    ("M8 coarse", "M8"),
    ("M10x1.25-6g", "M10x1.25"),
    ("M8x1.3 special", "M8x1.3 special"),
    ("1/4 bsw", "1/4 BSW"),
    ("1/4 BSF", "1/4 BSF"),
    ("1/2-12 bsw", "1/2 BSW"),
    ("5/16-18 whit", "5/16 BSW"),
    ("G3/8", "G3/8"),
    ("g 3/8", "G3/8"),
    ("3/8 bspp", "G3/8"),
    ("1-1/2 bspp", "G1-1/2"),
    ("3/8-19 bspp", "G3/8"),
    ("2 BA", "2 BA"),
    ("2ba", "2 BA"),
    ("BA 2", "2 BA"),
    ("0ba", "0 BA"),
    ("1/4-40 me", "1/4-40 ME"),
    ("1/4x32 model engineer", "1/4-32 ME"),
    ("0.51-20 uns", "0.51-20 UNS"),
    ("1-1/8-8 un", "1-1/8-8 UN"),
    ("1-1/8-8", "1-1/8-8 UN"),
    ("1/4-20 lh", "1/4-20 UNC LH"),
    ("M8x1-6g LH", "M8x1 LH"),
    ("m16xph3p1.5", "M16x1.5 2-start"),
    ("3/8-16 2 start left", "3/8-16 UNC 2-start LH"),
    ("1/4 npt", "1/4-18 NPT"),
    ("1/2-14 NPSM", "1/2-14 NPSM"),
    ("r 1/2", "R1/2"),
    ("Rp 3/4", "Rp3/4"),
    ("1/2 bspt", "R1/2"),
    ("M70x6", "M70x6"),
    ("1/4-26 brass", "1/4-26 Brass"),
)
#: Text, code, choices that must be offered.
ASKED = (
    ("7/16 whitworth", "ambiguous", ("7/16 BSW", "7/16 BSF")),
    ("1/4-19", "ambiguous", ("G1/4",)),
    ("M8x1.3", "non-standard-pitch", ("M8", "M8x1", "M8x0.75", "M8x1.3 special")),
    ("1/2-12", "ambiguous", ("1/2 BSW",)),
    ("1/4-26", "ambiguous", ("1/4 BSF",)),
    ("3/8", "ambiguous", ("3/8-16 UNC", "3/8-24 UNF", "3/8 BSW", "3/8 BSF")),
    ("3/8-20", "ambiguous", ("3/8 BSF", "3/8-20 UNS")),
    ("1/4-20 bsf", "count-mismatch", ("1/4 BSF", "1/4 BSW")),
    ("M8.3", "unknown-size", ("M8",)),
    ("M10 fine", "ambiguous", ("M10x1.25", "M10x1", "M10x0.75")),
    ("17 BA", "unknown-size", ("16 BA",)),
    ("1/4 nptf", "taper-pipe", ()),
    ("9 npt", "unknown-size", ("1/2-14 NPT",)),
    ("r 9", "unknown-size", ("R1/2",)),
    ("1/8-27", "ambiguous", ("1/8-27 NPT", "1/8-27 UNS")),
    ("M16xPh4P1.5", "unreadable", ()),
    ("M8 12 start", "unreadable", ()),
    ("1/0-20", "divided-by-zero", ()),
    ("", "empty", ()),
    ("bolt", "unreadable", ()),
    ("<script>alert(1)</script>", "unreadable", ()),
    ("1/4-0", "unreadable", ()),
    ("1/4-999", "unreadable", ()),
    ("M8x0", "non-standard-pitch", ("M8",)),
    ("M8x9 special", "incomplete", ()),
    ("9/10 uns", "incomplete", ()),
    ("m" * 60, "unreadable", ()),
)


class Designation(unittest.TestCase):
    def test_forgiving_in_form(self) -> None:
        for text, designation in READ:
            with self.subTest(text):
                self.assertEqual(read_designation(text).designation, designation)

    def test_strict_in_meaning(self) -> None:
        for text, code, choices in ASKED:
            with self.subTest(text), self.assertRaises(InputError) as told:
                read_designation(text)
            with self.subTest(text):
                self.assertEqual(told.exception.code, code)
                self.assertLessEqual(set(choices), set(told.exception.choices))

    def test_every_choice_offered_can_be_typed(self) -> None:
        for text, _, _ in ASKED:
            with self.assertRaises(InputError) as told:
                read_designation(text)
            for choice in told.exception.choices:
                with self.subTest(text=text, choice=choice):
                    self.assertTrue(read_designation(choice).designation)

    def test_a_choice_keeps_what_stood_behind_the_thread(self) -> None:
        for text, length in (("W 1/4 2-start LH x 1", "1 in"), ("M8 fine 2-start LH", ""), ("BSP 1/2 2-start LH", "")):
            with self.assertRaises(InputError) as told:
                read_called(text)
            for choice in told.exception.choices:
                called = read_called(choice)
                self.assertEqual((called.thread.hand, called.thread.starts, called.length), ("left", 2, length), choice)

    def test_a_class_said_with_the_thread_is_kept(self) -> None:
        for text, name in (
            ("3/8-16 UNC-2A", "2A"),
            ("3/8-16 unc 3b", "3B"),
            ("M10x1.25-5g6g", "5g6g"),
            ("M8 6H", "6H"),
            ("G1/2A", "A"),
            ("1/2 BSW close", "close"),
            ("M8-6g LH", "6g"),
            ("2 BA", ""),
        ):
            with self.subTest(text):
                self.assertEqual(read_called(text).class_name, name)

    def test_every_thread_reads_back_from_its_own_designation(self) -> None:
        for thread in library():
            with self.subTest(thread.designation):
                self.assertEqual(read_designation(thread.designation), thread)

    def test_bare_threads_of_a_unified_series_need_no_series(self) -> None:
        for thread in library():
            # The three that the model engineer has too are asked about.
            if thread.series in ("UNC", "UNF", "UNEF") and not thread.designation.endswith("-32 UNEF"):
                bare = thread.designation.rpartition(" ")[0]
                with self.subTest(bare):
                    self.assertEqual(read_designation(bare).designation, thread.designation)

    @given(st.text(alphabet="mMgGbB#ba wsfunc0123456789/.-x ", max_size=16))
    def test_any_text_is_one_thread_or_a_question(self, text: str) -> None:
        try:
            thread = read_designation(text)
        except InputError as error:
            self.assertEqual(error.field, "designation")
        else:
            self.assertEqual(read_designation(thread.designation), thread)
            self.assertLess(thread.minor, thread.pitch_diameter)
            self.assertLess(thread.pitch_diameter, thread.major)

    def test_a_pipe_size_is_explained_where_it_trips(self) -> None:
        """ISO 228-1: G1/4 measures 13.157 mm across the crests."""
        self.assertIn("13.157 mm over the crests", read_designation("1/4 bspp").notes[0])


class TwoBehindOneName(unittest.TestCase):
    """What names two threads is asked about, with what each is; a stored job is read as it was, and says so."""

    #: As typed, and what it must be asked to be.
    ASKED: tuple[tuple[str, tuple[str, ...]], ...] = (
        ("1/4 BSP", ("G1/4", "R1/4", "Rp1/4")),
        ("1/2 gas", ("G1/2", "R1/2", "Rp1/2")),
        ("5/16-32", ("5/16-32 UNEF", "5/16-32 ME")),
        ("1/4 x 32", ("1/4-32 UNEF", "1/4-32 ME")),
        ("3/8-32 LH", ("3/8-32 UNEF LH", "3/8-32 ME LH")),
        ("9/16 Whitworth", ("9/16 BSW", "9/16 BSF")),
        ("1-14", ("1-14 UNS", "1-12 UNF", "1-14 Whitworth special")),
        ("8x1.25", ("M8",)),
    )

    def test_it_is_asked(self) -> None:
        for text, choices in self.ASKED:
            with self.subTest(text), self.assertRaises(InputError) as caught:
                read_designation(text)
            self.assertEqual(caught.exception.choices, choices, text)

    def test_choices_tell_count_angle_and_purpose(self) -> None:
        with self.assertRaises(InputError) as caught:
            read_designation("1/4-32")
        told = caught.exception.message
        for words in ("32 per inch, 60°, extra fine", "32 per inch, 55°, model engineering"):
            self.assertIn(words, told)

    def test_a_stranger_of_the_same_pitch_is_named(self) -> None:
        """9/16 BSW and 9/16 UNC both have 12 to the inch: 55 and 60 degrees (BS 84, ASME B1.1)."""
        with self.assertRaises(InputError) as caught:
            read_designation("9/16 Whitworth")
        self.assertIn("9/16-12 UNC shares the pitch of 9/16 BSW at 60 degrees", caught.exception.message)

    def test_what_was_said_in_full_is_not_asked(self) -> None:
        for text in (
            "1/4-32 UNEF",
            "1/4-32 ME",
            "G1/4",
            "1/4 BSPP",
            "R1/4",
            "1/4 BSPT",
            "1-14 UNS",
            "M8",
            "1/4-32-2A",
            "G1/4 A",
        ):
            read_designation(text)

    def test_a_nut_by_its_bore_and_count(self) -> None:
        """1 in and 24 to the inch: 1 + 1.0825 / 24 = 1.0451. M8 is bored 6.647 to 6.912 (ISO 965-1, 6H), 3/8-16 UNC-2B
        0.307 to 0.321 in (ASME B1.1), G1/2 18.631 to 19.172 mm (ISO 228-1)."""
        for typed, name in (
            ("1 in bore, 24 to the inch", "1.045-24 UNS"),
            ("bore 1, 24 tpi", "1.045-24 UNS"),
            ("bore 6.647 mm, 1.25 mm", "M8"),
            ("6.912 mm bore 1.25 mm pitch", "M8"),
            ("hole 0.307 16 tpi", "3/8-16 UNC"),
            ("nut bore 0.321 x 16", "3/8-16 UNC"),
            ("bore of 5/16, 16 tpi", "3/8-16 UNC"),
            ("bore 19.172 mm 14 tpi", "G1/2"),
        ):
            with self.subTest(typed), self.assertRaises(InputError) as asked:
                read_designation(typed)
            self.assertEqual(asked.exception.code, "ambiguous")
            self.assertIn(name, asked.exception.choices)
            self.assertTrue(all(read_designation(choice) for choice in asked.exception.choices))
        for typed in ("bore 0 24 tpi", "bore 1 0 tpi", "bore 1/0 24 tpi", "bore 1", "bore", "24 bore tpi"):
            with self.subTest(typed), self.assertRaises(InputError):
                read_designation(typed)

    def test_every_nut_is_among_those_its_bore_may_be(self) -> None:
        """Whatever bore the class of a nut allows, its own thread is offered: by the standards' limits."""
        for thread in library():
            limits = internal_limits(thread) if not thread.taper and thread.family != "trapezoidal" else None
            if limits is None or thread.single_point or thread.starts > 1:
                continue
            count = f"{thread.tpi:g} tpi" if thread.tpi else f"{thread.pitch:g} mm"
            for bore in (limits.minor.minimum, limits.minor.maximum):
                with self.subTest(thread.designation, bore=bore), self.assertRaises(InputError) as asked:
                    read_designation(f"bore {bore:.4f} {thread.unit}, {count}")
                self.assertIn(thread.designation, asked.exception.choices)

    def test_a_stored_job_is_read_as_it_was(self) -> None:
        for text, name in (("1/4 bsp", "G1/4"), ("5/16-32", "5/16-32 UNEF")):
            found = read_called(text, stored=True).thread
            self.assertEqual(found.designation, name)
            self.assertIn(f"is read as {name}", found.notes[-1])

    def test_a_class_that_is_none_is_told_what_classes_are(self) -> None:
        for text in ("class A", "3/8-16 A", "3/8-16-2", "1/4-20 class A"):
            with self.subTest(text), self.assertRaises(InputError) as caught:
                read_designation(text)
            self.assertIn("2A", caught.exception.message)


class AsPeopleSayThem(unittest.TestCase):
    """What other hands typed: read at once, or asked with the right one among the choices; never another thread."""

    READ = (
        *(("1/2 by 13", "1/2-13 UNC"), ("7/16-20 national fine", "7/16-20 UNF"), ("3/8-16-UNC", "3/8-16 UNC")),
        *(('G1"', "G1"), ("G1 inch", "G1"), ("M10x1.5 mm", "M10"), ("M6 L", "M6 LH"), ("metric 8", "M8")),
        *(("10 mm coarse", "M10"), ("quarter inch UNC", "1/4-20 UNC"), ("half inch npt", "1/2-14 NPT")),
        *(
            ("inch and a quarter BSW", "1-1/4 BSW"),
            ("one and a half BSW", "1-1/2 BSW"),
            ("three eighths UNF", "3/8-24 UNF"),
        ),
        *(("ACME 3/4-6", "3/4-6 Acme"), ("26 tpi 1/4 brass", "1/4-26 Brass"), ("five sixteenths BSF", "5/16 BSF")),
        *(("3/8 british standard whitworth", "3/8 BSW"), ("2 british association", "2 BA"), ("M8 x 1.25 mm", "M8")),
        *(
            ("1/4 unified coarse", "1/4-20 UNC"),
            ("1/2 american national fine", "1/2-20 UNF"),
            ("eighth npt", "1/8-27 NPT"),
        ),
    )
    ASKED = (
        *(("1/4 pipe", "G1/4"), ("1/4 pipe", "1/4-18 NPT"), ("quarter BSP", "G1/4"), ("half inch bsp", "G1/2")),
        *(("8mm", "M8"), ("3 mm", "M3"), ("10/32", "#10-32 UNF"), ("8/32", "#8-32 UNC"), ("1.5x13", "1/2-13 UNC")),
        *(
            ("spark plug", "M14x1.25"),
            ("pedal thread", "9/16-20 BSC"),
            ("20 mm conduit", "M20x1.5"),
            ("5 mm 0.8", "M5"),
        ),
        *(("3/4 inch british standard pipe", "G3/4"), ("garden hose", "G3/4")),
    )

    def test_read_at_once(self) -> None:
        for typed, name in self.READ:
            with self.subTest(typed):
                self.assertEqual(read_called(typed).thread.designation, name)

    def test_several_starts_without_brackets(self) -> None:
        thread = read_called("Tr40x14P7").thread
        self.assertEqual((thread.pitch, thread.starts), (7.0, 2))

    def test_asked(self) -> None:
        for typed, name in self.ASKED:
            with self.subTest(typed), self.assertRaises(InputError) as raised:
                read_called(typed)
            self.assertIn(name, raised.exception.choices)
        with self.assertRaises(InputError) as raised:
            read_called("10/32")
        self.assertEqual(raised.exception.choices[0], "#10-32 UNF")

    def test_a_pitch_is_no_thread(self) -> None:
        for typed in ("13 tpi", "1.5 mm pitch", "pitch 1.5 mm", "20 threads per inch", "1.5 mm lead"):
            with self.subTest(typed), self.assertRaises(InputError) as raised:
                read_called(typed)
            self.assertEqual(raised.exception.code, "pitch-only")

    def test_notations_stay_what_they_were(self) -> None:
        """Words change no designation of the library."""
        for thread in library():
            self.assertEqual(spoken(thread.designation), thread.designation)
