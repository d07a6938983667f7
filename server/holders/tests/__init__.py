"""Tests of the holders."""
