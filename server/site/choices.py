"""A choice as a form offers it."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class ChoiceShown:
    """One choice: what is stored, what is shown, and a remark."""

    code: str
    name: str
    remark: str
