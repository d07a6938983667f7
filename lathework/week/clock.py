"""Minutes of work on the clock of somebody who comes and goes."""

from __future__ import annotations

from bisect import bisect_left, bisect_right
from collections.abc import Sequence

from lathework.week.hours import Span


class Clock:
    """The stretches that somebody is in the shop, and how many minutes of work lie before the end of each."""

    def __init__(self, spans: Sequence[Span]) -> None:
        self.begins = [span.begin for span in spans]
        self.ends = [span.end for span in spans]
        self.worked: list[int] = []
        total = 0
        for span in spans:
            total += span.end - span.begin
            self.worked.append(total)

    @property
    def minutes(self) -> int:
        """Minutes of work there are in all."""
        return self.worked[-1] if self.worked else 0

    def until(self, at: int) -> int:
        """Minutes of work before a moment (minutes from now)."""
        before = bisect_right(self.begins, at) - 1
        if before < 0:
            return 0
        return self.worked[before] - max(0, self.ends[before] - at)

    def work(self, begin: int, minutes: int) -> tuple[int, int, int] | None:
        """When work of so many `minutes`, at least one, begins and ends that is taken up at `begin` (minutes from now)
        or later, closed hours in between, and how many minutes were worked from now until it ends. None where the hours
        run out.

        >>> Clock([Span(0, 60), Span(100, 160)]).work(30, 50)
        (30, 120, 80)
        """
        first = bisect_right(self.ends, begin)
        if first == len(self.ends):
            return None
        opens = self.begins[first]
        # Asked millions of times in a search: a comparison is half of what max() takes.
        start = begin if begin > opens else opens
        worked = self.worked[first] - (self.ends[first] - start) + minutes
        last = bisect_left(self.worked, worked)
        if last == len(self.worked):
            return None
        return start, self.ends[last] - (self.worked[last] - worked), worked
