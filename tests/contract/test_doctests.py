"""Every example in a docstring of the core and the launcher runs."""

from __future__ import annotations

import doctest
import importlib
import pkgutil
import unittest

import lathework
import launcher


class Doctests(unittest.TestCase):
    def test_examples_run(self) -> None:
        tried = 0
        for package in (lathework, launcher):
            for found in pkgutil.walk_packages(package.__path__, f"{package.__name__}."):
                if ".tests" in found.name:
                    continue
                with self.subTest(found.name):
                    result = doctest.testmod(importlib.import_module(found.name))
                    self.assertEqual(result.failed, 0)
                    tried += result.attempted
        self.assertGreater(tried, 15)
