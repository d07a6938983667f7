"""Limits of size, a module a standard: its classes, and what each allows."""
