"""Threads and choices: nothing stored."""
