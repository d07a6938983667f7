"""A test over the whole of a small space: every thread of the library, not those a random draw happens to name."""

from __future__ import annotations

import unittest
from collections.abc import Callable, Iterable
from functools import wraps
from itertools import product
from typing import Any


def each(*spaces: Iterable[Any]) -> Callable[[Callable[..., None]], Callable[[unittest.TestCase], None]]:
    """Call the test with every combination of `spaces`; each that fails is named, and the others still run."""
    combinations = list(product(*spaces))

    def over(test: Callable[..., None]) -> Callable[[unittest.TestCase], None]:
        @wraps(test)
        def whole(self: unittest.TestCase) -> None:
            for combination in combinations:
                with self.subTest(combination):
                    test(self, *combination)

        return whole

    return over
