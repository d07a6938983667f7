"""A hole for a taper pipe thread, worked out for the drills one owns."""

from __future__ import annotations

from dataclasses import dataclass

from lathework.errors import InputError
from lathework.holes.taper_pipe import TaperHole, taper_hole
from lathework.shop.racks import owned
from lathework.threads.designation import read_called
from lathework.threads.taper import is_inside_taper
from lathework.threads.thread import Thread
from lathework.units import LengthUnit

WARNING = (
    "For gas, steam or water under pressure ask a licensed trade first: local codes decide, and a home-made "
    "joint may be unlawful."
)


@dataclass(frozen=True, slots=True)
class PipeHole:
    """The thread, its hole, and what must be said of it."""

    thread: Thread
    hole: TaperHole
    warning: str


def pipe_hole(text: str, drills: str = "", unit: LengthUnit = "in") -> PipeHole:
    """The taper hole for the thread that `text` designates, out of `drills` (bare numbers in `unit`).

    Raises InputError on "designation" for a thread that is not tapped on a taper, and on "drills".
    """
    thread = read_called(text).thread
    found = taper_hole(thread, owned(drills, unit))
    if found is None or not is_inside_taper(thread):
        raise InputError("not-a-taper", "designation", f"{thread.designation} does not go into a taper hole.")
    return PipeHole(thread, found, WARNING)
