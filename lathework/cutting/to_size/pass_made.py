"""One pass at the lathe, as it was told."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.units import Millimetres


@dataclass(frozen=True, slots=True)
class PassMade:
    """One pass: what was dialled and what came off, in millimetres of the size that is measured.

    `stated` is False where nobody said what was dialled, and it is only what had been asked for; `follows` is False
    where the tool did not stand at the dial setting of the pass before it: a new piece, or a tool touched off anew.
    """

    dialled_mm: Millimetres
    came_off_mm: Millimetres
    stated: bool = True
    follows: bool = True
