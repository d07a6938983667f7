"""Tests of the week."""
