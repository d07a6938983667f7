"""What a run of the plan found: told first, beside the field that causes it, with what would mend it."""

from __future__ import annotations

from collections.abc import Iterator, Mapping

from lathework.lathe.breach import Breach, Code
from lathework.planning.notice import Notice, told
from lathework.planning.work import Work
from lathework.units import LengthUnit

TORQUES = ("torque", "holds")
"""Sizes of a breach that are newton metres; the others are lengths."""
LEFT: Mapping[Code, str] = {
    "bar-over-bore": "This bar ({bar}) does not fit the spindle bore ({bore}). Saw it into lengths that the jaws "
    "can hold.",
    "bar-springs": "A boring bar that fits {hole} springs over {deep}. Take light cuts, the last two alike, or "
    "use a reamer.",
    "blade-reach": "This parting blade reaches about {reach} deep; this bar needs {deep}. Part as deep as it "
    "goes and saw through with the spindle stopped, or use a wider blade.",
    "centre-wide": "A centre hole of {hole} is too large for this end, which is turned down to {end}. Leave a "
    "longer stub for the centre and cut it off last.",
    "comes-out": "Drilled {deep} deep, this hole breaks through the far end.",
    "cut-away": "Another hole removes {over} of this one.",
    "drill-reach": "This hole is {deep} deep; a standard drill of this size clears its chips to about {reach}. "
    "Use a long drill and withdraw it every half diameter, or drill from both ends.",
    "grip-lever": "{stick_out} sticks out and only {gripped} is in the jaws. Use a centre, or leave more to hold.",
    "holder-short": "{thread} of thread passes through the die; a standard holder takes about {takes}. Use a "
    "holder that is hollow right through, or a die stock.",
    "jaws-small": "The jaws of a standard chuck close down to {least}, not to {across}. Hold it in a collet or a "
    "drill chuck.",
    "no-wall": "Only {left} of diameter is left round a hole of {hole}. Make the hole or the chamfer smaller.",
    "not-made": "No step makes this size within its limits.",
    "slips": "Cutting this thread takes about {torque} N m, and the work slips in its holding at about {holds} N "
    "m. Mark the work at a jaw, tighten, and stop if the mark moves. Or hold it by flats or in a bush.",
    "tail-over-bore": "{behind} of this part is behind the jaws, {across} in diameter there, and the spindle "
    "bore is {bore}. Hold it by its far end instead, with a fixed steady near the end being worked.",
    "tap-reach": "The tap must go {deep} deep; a standard one of this size reaches about {reach}. Use a tap with "
    "a long, thin shank, or less thread: two diameters are enough.",
}
"""What is said where nothing else was found that goes."""
MENDED: Mapping[Code, str] = {
    "bar-over-bore": "This bar ({bar}) does not fit the spindle bore ({bore}), so it is sawn into lengths that "
    "the jaws hold.",
    "blade-reach": "This parting blade reaches about {reach} deep; this bar needs {deep}. So the plan starts "
    "with sawn blanks. To part it off, use a wider blade.",
    "grip-lever": "{stick_out} would stick out with only {gripped} in the jaws, so it runs on the centre.",
    "slips": "Cutting this thread takes about {torque} N m; held by the other end the work slips at about "
    "{holds} N m. So this thread is cut first, on the bar.",
    "tail-over-bore": "In the usual order {behind} of the part would be behind the jaws, {across} in diameter, "
    "and the spindle bore is {bore}. So the ends are made in the other order.",
}
"""What is said where the plan does otherwise for it."""
STEADIED = (
    "{behind} of this blank would be behind the jaws, {across} in diameter, and the spindle bore is {bore}. "
    "So the chuck holds the far end, and a fixed steady supports the end being worked."
)
"""The same, of a blank that runs in a steady."""
_FIELDS: Mapping[Code, str] = {
    "bar-over-bore": "setup.bore",
    "blade-reach": "setup.parting_blade",
    "centre-wide": "method.support",
    "grip-lever": "method.support",
    "holder-short": "method.holder",
    "tail-over-bore": "setup.bore",
}


def _field(work: Work, breach: Breach) -> str:
    """The field that causes a fault: of the lathe, or of the section or hole that it is about."""
    if breach.code in _FIELDS:
        return _FIELDS[breach.code]
    for number, section in enumerate(work.part.sections):
        if section.id == breach.made:
            return f"part.sections.{number}.thread" if section.thread is not None else f"part.sections.{number}"
    for number, bore in enumerate(work.part.bores):
        if bore.id == breach.made:
            return (
                f"part.bores.{number}.depth"
                if breach.code in ("tap-reach", "drill-reach", "bar-springs")
                else f"part.bores.{number}"
            )
    return "part.sections"


def _sizes(breach: Breach, unit: LengthUnit) -> dict[str, str]:
    """The sizes of a breach in words."""
    return {name: f"{size:.0f}" if name in TORQUES else told(size, unit) for name, size in breach.sizes.items()}


def run_notices(work: Work, mended: tuple[Breach, ...], left: tuple[Breach, ...]) -> Iterator[Notice]:
    """What the run found: what is not mended first, then what the plan does otherwise for it."""
    for sentences, breaches in ((LEFT, left), (MENDED, mended)):
        for breach in breaches:
            if breach.code in sentences:
                steadied = breach.code == "tail-over-bore" and breach.made in work.otherwise.steadied
                words = STEADIED if steadied and sentences is MENDED else sentences[breach.code]
                text = words.format(**_sizes(breach, work.job.unit))
                yield Notice(breach.code, _field(work, breach), text, first=sentences is LEFT)
