"""What does not hold before an act: coded, with the sizes that say so."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import field
from typing import Literal

from lathework.value import value

Code = Literal[
    "bar-over-bore",
    "bar-springs",
    "blade-reach",
    "centre-wide",
    "comes-out",
    "cut-away",
    "drill-reach",
    "grip-lever",
    "holder-short",
    "jaws-small",
    "no-wall",
    "not-made",
    "slips",
    "tail-over-bore",
    "tap-reach",
    "thin-wall",
]


@value
class Breach:
    """One condition that an act finds broken: its `code`, the id of the section, hole or end that it is about, and the
    `sizes` that decide it, by name, in millimetres (torques in newton metres).

    Breaches of one code about one thing are one.
    """

    code: Code
    made: str
    sizes: Mapping[str, float] = field(compare=False)
