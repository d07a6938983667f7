"""Upkeep over a real database."""
