"""Public functions of the core say what they take: a bare float tells its unit by its name or in the docstring."""

from __future__ import annotations

import importlib
import inspect
import pkgutil
import unittest
from collections.abc import Iterator
from typing import Any

import lathework

UNIT_ENDINGS = ("_mm", "_s", "_in", "_deg", "_percent", "_turns", "_pitches")
UNIT_WORDS = (
    *("unit", "millimetre", "inch", "m/min", "rev/min", "per cent", "pitch", "sheet", "decimals"),
    *("number", "degree", "mm"),
)


def public_functions() -> Iterator[tuple[str, Any]]:
    """Every public function and method defined in the core, by its full name."""
    for found in pkgutil.walk_packages(lathework.__path__, "lathework."):
        if ".tests" in found.name:
            continue
        module = importlib.import_module(found.name)
        for name, value in inspect.getmembers(module):
            if name.startswith("_") or getattr(value, "__module__", None) != module.__name__:
                continue
            if inspect.isfunction(value):
                yield f"{module.__name__}.{name}", value
            elif inspect.isclass(value):
                for inner, method in inspect.getmembers(value, inspect.isfunction):
                    if not inner.startswith("_") and method.__qualname__.startswith(value.__name__):
                        yield f"{module.__name__}.{name}.{inner}", method


class Docstrings(unittest.TestCase):
    def test_every_public_function_has_one(self) -> None:
        names = list(public_functions())
        self.assertGreater(len(names), 80)
        for name, function in names:
            with self.subTest(name):
                self.assertTrue(inspect.getdoc(function))

    def test_bare_floats_tell_their_unit(self) -> None:
        for name, function in public_functions():
            doc = inspect.getdoc(function) or ""
            for parameter in inspect.signature(function).parameters.values():
                kind = str(parameter.annotation)
                if "float" not in kind or parameter.name.endswith(UNIT_ENDINGS):
                    continue
                with self.subTest(function=name, parameter=parameter.name):
                    self.assertTrue(
                        parameter.name in doc.replace("`", " ") or len(parameter.name) == 1,
                        "the docstring does not speak of the parameter",
                    )
                    self.assertTrue(any(word in doc for word in UNIT_WORDS), "the docstring names no unit")
