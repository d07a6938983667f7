"""Every kind of thing says all that is its own, and a line that calls one by its name is read back as it."""

from __future__ import annotations

import unittest
from collections.abc import Iterator
from dataclasses import fields

from lathework.errors import InvalidDocument
from lathework.fields import Choice
from lathework.shop.kinds import CODES, KIND, KINDS, kind_of, name_of
from lathework.shop.kinds.kind import COMMON, RING, ROD, ROUND, Owned, ThingKind
from lathework.shop.kit import read_thing
from lathework.shop.lines import read_line

LINES = {
    "die": "1/4 BSW split die 13/16",
    "tap": "M6 taper tap",
    "drill": "6.8 mm drill",
    "reamer": "10 mm reamer",
    "blade": "3 mm parting blade",
    "tool": "60 threading tool",
    "die-stock": "1 in die stock",
    "holder": "1 in die holder 2MT",
    "bush": "3/8 guide bush",
    "head": "self-opening die head 1/4-1/2",
    "collet": "1/2 collet",
    "chuck": "4-jaw chuck",
    "centre": "live centre 2MT",
    "gauge": "M8 ring gauge",
    "instrument": "micrometer 1",
    "bar": "5/8 hexagon brass bar",
    "mandrel": "20 x 16 mm expanding mandrel",
    "lathe": "bench lathe 2MT",
}
"""A thing of each kind, as one says it."""


def things() -> Iterator[tuple[ThingKind, Owned, dict[str, str]]]:
    """Each thing with its kind and its document."""
    for code, line in LINES.items():
        [typed] = read_line(line).things
        yield KIND[code], typed.thing, typed.document


class EveryKind(unittest.TestCase):
    def test_each_is_typed_and_read_back_as_itself(self) -> None:
        self.assertEqual(tuple(LINES), CODES)
        for kind, thing, document in things():
            with self.subTest(kind.code):
                self.assertIs(kind_of(thing), kind)
                self.assertEqual(read_thing(kind.code, {"id": "typed", **document}), thing)

    def test_what_it_is_made_of_is_what_is_asked(self) -> None:
        """A field of the class for each that is declared, in their order: neither knows one that the other does not."""
        for kind in KINDS:
            with self.subTest(kind.code):
                own = [field.name for field in fields(kind.made)]
                self.assertEqual(own, [*COMMON, *kind.fields])
                self.assertTrue(all(told.label for told in kind.fields.values()))

    def test_choices_in_words_are_choices(self) -> None:
        for kind in KINDS:
            for name, told in kind.fields.items():
                if told.choices is not None:
                    with self.subTest(kind.code, field=name):
                        assert isinstance(told.field, Choice)
                        self.assertLessEqual(set(told.choices), set(told.field.allowed))

    def test_words_of_a_line_are_choices_of_its_fields(self) -> None:
        for kind in KINDS:
            for word, (name, code) in kind.line.words.items():
                with self.subTest(kind.code, word=word):
                    field = kind.fields[name].field
                    assert isinstance(field, Choice)
                    self.assertIn(code, field.allowed)

    def test_each_is_called_drawn_and_put_somewhere(self) -> None:
        for kind, thing, _ in things():
            with self.subTest(kind.code):
                self.assertTrue(name_of(thing) and kind.short(thing) and kind.drawer(thing))
                across_mm, bore_mm = kind.across(thing)
                self.assertEqual(kind.sign in (ROUND, RING, ROD) and not across_mm, False)
                self.assertGreaterEqual(across_mm, bore_mm)
                self.assertTrue(kind.sign in (ROUND, RING, ROD) or kind.sign.startswith("M"))

    def test_a_kind_without_a_part_does_not_load(self) -> None:
        with self.assertRaises(TypeError):
            ThingKind(code="vice", place=99, called="vice")  # type: ignore[call-arg]  # that it is refused is the test


class Mandrels(unittest.TestCase):
    def test_an_expanding_one_has_a_range(self) -> None:
        with self.assertRaises(InvalidDocument) as refused:
            read_thing("mandrel", {"id": "m1", "form": "expanding", "most": "20"})
        self.assertEqual([error.field for error in refused.exception.errors], ["least"])

    def test_its_name(self) -> None:
        [typed] = read_line("20 x 16 mm expanding mandrel").things
        self.assertEqual(typed.name, "16 mm to 20 mm expanding mandrel")
