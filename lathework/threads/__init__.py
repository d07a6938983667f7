"""Threads: forms, the standard series, designations as people type them, limits of the crest."""
