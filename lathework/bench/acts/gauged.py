"""A thread, gauged or measured."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar

from lathework.bench.acts.act import At, Measured
from lathework.bench.entry import Entry, Kind
from lathework.bench.gauge.verdict_entry import anvils_entry, verdict_entry, wires_entry


@dataclass(frozen=True, slots=True, kw_only=True)
class Verdict(Measured):
    """What a thread said to what it was `tried` with, a nut where that is empty; `mate` names the very one. With a
    `reading` it is measured: over three wires, of diameter `wire` where that is not the step's, or by a thread
    micrometer."""

    kind: ClassVar[Kind] = "verdict"
    verdict: str = ""
    tried: str = ""
    mate: str = ""
    wire: str = ""

    def entry(self, at: At) -> Entry:
        """The verdict. Raises InputError on "verdict", "tried", "reading", "wire" or "by"."""
        bench = at.bench
        if not self.reading.strip():
            return verdict_entry(bench, self.verdict, self.tried, self.mate)
        size = at.length(self.reading, self.unit, "reading")
        within_mm = at.strays(size.mm)
        if self.tried == "thread-micrometer":
            return self.sent(anvils_entry(bench, size, within_mm, sure=self.sure))
        wire = at.length(self.wire, self.unit, "wire") if self.wire.strip() else None
        return self.sent(wires_entry(bench, size, wire, within_mm, sure=self.sure))
