"""What the choices of a thing are called, and what is remarked about each."""

from __future__ import annotations

from collections.abc import Mapping

from lathework.shop.kit_declaration import State

STATE_WORDS: Mapping[State, tuple[str, str]] = {
    "ready": ("ready", "there, and fit to work"),
    "worn": ("worn", "works, after the sound ones"),
    "lent": ("lent", "somebody has it"),
    "missing": ("missing", "belongs here and is not there"),
    "broken": ("broken", "kept, not used"),
}
