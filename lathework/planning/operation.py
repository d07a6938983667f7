"""What one operation is: a sentence to do, its figures, its cautions, its acts on lathe and metal."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Literal

from lathework.cautions import Caution
from lathework.cutting.cuts import SPRING
from lathework.cutting.dimension import Dimension, Target
from lathework.figures import Figure
from lathework.lathe.acts import Act, cut_of
from lathework.lathe.cut import Cut
from lathework.part.thread_cutters import SET_CUTTERS, SetCutter, ThreadCutter
from lathework.threads.thread import Thread
from lathework.value import value

Measure = Literal["diameter", "verdict"]
Kind = Literal[
    "saw",
    "hold",
    "face",
    "centre",
    "turn",
    "neck",
    "groove",
    "edge",
    "chamfer",
    "knurl",
    "thread",
    "finish",
    "gauge",
    "part-begin",
    "part-off",
    "flats",
    "keyway",
    "undercut",
    "deburr",
    "spot",
    "drill",
    "ream",
    "countersink",
    "tap",
    "chase",
    "gear",
    "screwcut",
    "rough",
    "fit",
    "taper",
]


def keyed(kind: str, made: str) -> str:
    """The key of a step: what kind of work it is, and the id of what it makes, a section, a hole or an end.

    >>> keyed("turn", "s1")
    'turn:s1'
    """
    return f"{kind}:{made}"


def makes(**sizes: float | str) -> str:
    """What a step leaves behind it, in words that stay: its `sizes` by name, lengths in millimetres, threads as named.

    A step that makes something else than it did when it was ticked off is to be done again.

    >>> makes(diameter=12.7, length=31.75)
    'diameter 12.700; length 31.750'
    """
    told = {name: size if isinstance(size, str) else f"{size:.3f}" for name, size in sizes.items()}
    return "; ".join(f"{name} {size}" for name, size in told.items())


def quoted(text: str) -> str:
    """A person's own words for use in a sentence or a note, where braces would name figures.

    >>> quoted("the {large} nut")
    'the (large) nut'
    """
    return text.replace("{", "(").replace("}", ")")


@value
class Operation:
    """One step of chucking number `chucking`.

    `key` follows from what it makes, never from its place among the others; `makes` are the sizes it leaves.
    `sentence` and `notes` name its figures in braces; `headline` is the key of the one that matters most. `passes` are
    what each cut leaves or dials. `dimensions` are the sizes that can be measured, the first one, where `measure` is
    "diameter", drives the cuts. `zero` says which edge to touch off first, "" when the last step's zero still stands.
    `acts` are what it does on the lathe, in order: its drawing, and whether it can be done at all, follow from them.
    `thread` is the one that a step turns the blank of, cuts or gauges, `class_name` its class, `inside` that it is
    a hole's, `cutter` what cuts it outside; `to_mate` that it is made to a mate that was measured, and not to a class.
    `oil` says what must be on the tool before it turns, since it is likely to break without; "" where it is not.
    """

    key: str
    kind: Kind
    title: str
    sentence: str
    headline: str
    figures: Mapping[str, Figure]
    tool: str
    edge: str
    chucking: int = 1
    cautions: tuple[Caution, ...] = ()
    notes: tuple[str, ...] = ()
    measure: Measure | None = None
    dimensions: tuple[Dimension, ...] = ()
    acts: tuple[Act, ...] = ()
    figure_words: str = ""
    passes: tuple[Figure, ...] = ()
    zero: str = ""
    thread: Thread | None = None
    class_name: str = ""
    inside: bool = False
    cutter: SetCutter = "die"
    to_mate: bool = False
    makes: str = ""
    oil: str = ""

    @property
    def cut_by(self) -> ThreadCutter:
        """What is set, or goes deeper, where its thread does not pass; a fixed tap counts as a die."""
        return SET_CUTTERS[self.cutter]

    @property
    def gauged_only(self) -> bool:
        """Whether its thread is inside and nothing can be set where it does not pass: a fixed tap cut it."""
        return self.inside and self.cut_by.sized_by != "graduations"

    @property
    def big(self) -> str:
        """The key of the figure that is largest at the bench: what is dialled, else the step's own key figure."""
        return "dial" if "dial" in self.figures else self.headline

    @property
    def cut(self) -> Cut | None:
        """The band of metal that it is drawn by; None where it takes none."""
        return cut_of(self.acts)

    @property
    def target(self) -> Target | None:
        """The diameter that must be met; None where nothing is turned to one."""
        return self.dimensions[0].target if self.measure == "diameter" else None

    def dimension(self, measured: str) -> Dimension | None:
        """The size of that name that can be measured of it; None where there is none."""
        return next((one for one in self.dimensions if one.measured == measured), None)

    @property
    def passes_told(self) -> str:
        """What its cuts are told by: what the dial reads at each, or the diameter it leaves."""
        dialled = self.kind == "screwcut" or self.cut_by.on_leadscrew
        return "by what the dial reads" if dialled else "by the diameter each leaves"

    @property
    def passes_end(self) -> str:
        """What is remarked on the last of its cuts; "" where it is one like the others."""
        spring = self.passes and self.passes[-1].name == SPRING
        return "the last one a spring pass" if spring else ""
