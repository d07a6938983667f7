"""How far a run goes: as far as finds faults while one waits for it, or as far as a campaign does (`--long`)."""

from __future__ import annotations

import os
from typing import TypeVar

T = TypeVar("T")
WHICH = "CONCH_LONG"
"""Says "1" in the environment of a long run."""
LONG = os.environ.get(WHICH) == "1"
TAG = "long"
"""The tag of tests that only a long run has."""


def draws(gate: T, campaign: T) -> T:
    """How many of something, in the gate and in a campaign."""
    return campaign if LONG else gate
