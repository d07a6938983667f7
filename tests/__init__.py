"""Tests that cross the layers: published cases, contracts, and the interface as a person drives it."""

import lathework.tests  # noqa: F401  # its profile of property tests
