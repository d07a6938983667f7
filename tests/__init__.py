"""Tests that cross the layers: published cases, contracts, and the interface as a person drives it."""
