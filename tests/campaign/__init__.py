"""A campaign against a live server: killed, cut off, fuzzed; `python -m tests.campaign` prints its figures."""
