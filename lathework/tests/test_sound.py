"""Whatever stands in a document, where no rule looks at it too: it can be kept, or is refused beside its field."""

from __future__ import annotations

import unittest
from collections.abc import Iterator
from copy import deepcopy
from typing import Any

from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.tests.samples import PLUG, SCREW, TIE_ROD, document

DEEP = 1000
"""Nearly as deep as a request may be nested."""
HALF = "\ud83d"


def leaves(value: object, path: tuple[str | int, ...] = ()) -> Iterator[tuple[str | int, ...]]:
    """The place of everything in a document that holds nothing else."""
    rows = value.items() if isinstance(value, dict) else enumerate(value) if isinstance(value, list) else None
    if rows is None:
        yield path
        return
    for key, one in rows:
        yield from leaves(one, (*path, key))


class Sound(unittest.TestCase):
    def test_half_a_character_and_what_is_no_text_are_refused_everywhere(self) -> None:
        for sample in (document(), document(SCREW), document(PLUG), document(TIE_ROD)):
            for path in leaves(sample):
                for wrong in (HALF, f"a{HALF}b", [HALF], {"a": HALF}):
                    with self.subTest(path=path, wrong=ascii(wrong)):
                        self.refused(sample, path, wrong)

    def test_what_is_nested_deeper_than_anybody_writes_is_refused_everywhere(self) -> None:
        deep: list[object] = []
        for _ in range(DEEP):
            deep = [deep]
        for path in leaves(document()):
            self.refused(document(), path, deep)

    def refused(self, sample: dict[str, Any], path: tuple[str | int, ...], wrong: object) -> None:
        made = deepcopy(sample)
        above: Any = made
        for key in path[:-1]:
            above = above[key]
        above[path[-1]] = wrong
        with self.assertRaises(InvalidDocument):
            read_document(made)
