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
    "bar-over-bore": "This bar, {bar} thick, does not pass the spindle's bore of {bore}: saw it into lengths that the "
    "jaws alone hold.",
    "bar-springs": "A boring bar that goes into {hole} springs over {deep}: light cuts, the same dial thrice, or a "
    "reamer.",
    "blade-reach": "This parting blade reaches some {reach} deep; this bar wants {deep}. Part as deep as it goes and "
    "saw through with the spindle stopped, or take a wider blade.",
    "centre-wide": "A centre hole {hole} across is too large for this end, which comes down to {end}. Run the centre "
    "in a stub that is left longer and cut off last.",
    "comes-out": "Drilled {deep} deep, this hole comes out of the far end.",
    "cut-away": "Another hole takes {over} of this one away.",
    "drill-reach": "This hole is {deep} deep; a usual drill of this size clears its chips to some {reach}. Take a long "
    "one, drawn back at every half diameter, or drill from both ends.",
    "grip-lever": "{stick_out} stands out of {gripped} in the jaws: bring up a centre, or leave more to hold.",
    "holder-short": "{thread} of thread passes through the die; a usual holder takes in some {takes}. Use one that is "
    "hollow right through, or a die stock.",
    "jaws-small": "The jaws of a usual chuck close on {least} at the least, not on {across}: hold it in a collet or a "
    "drill chuck.",
    "no-wall": "This part comes down to {left} round a hole of {hole}: take a smaller hole, or less of a chamfer.",
    "not-made": "No step makes this size to its limits.",
    "slips": "Cutting this thread takes some {torque} N m, and what holds the work gives way at about {holds} N m. "
    "Mark the work at a jaw, tighten, and stop if the mark moves; or hold it by flats or in a bush.",
    "tail-over-bore": "{behind} of this part stands behind the jaws, {across} thick there, and the spindle's bore is "
    "{bore}: hold it by its far end instead, with a fixed steady near the end that is worked.",
    "tap-reach": "The tap has to go {deep} deep; a usual one of this size reaches some {reach}. Take one with a long, "
    "thin shank, or less thread: two diameters hold.",
}
"""What is said where nothing else was found that goes."""
MENDED: Mapping[Code, str] = {
    "bar-over-bore": "This bar, {bar} thick, does not pass the spindle's bore of {bore}: it is sawn into lengths, and "
    "the jaws alone hold them.",
    "blade-reach": "This parting blade reaches some {reach} deep; this bar wants {deep}. So the plan begins with sawn "
    "blanks. To part it off, take a wider blade.",
    "grip-lever": "{stick_out} would stand out of {gripped} in the jaws: it runs on the centre.",
    "slips": "Cutting this thread takes some {torque} N m; held by the other end the work gives way at about {holds} "
    "N m. So this thread is cut first, on the bar.",
    "tail-over-bore": "In the usual order {behind} of the part would stand behind the jaws, {across} thick, and the "
    "spindle's bore is {bore}. So its ends are made the other way round.",
}
"""What is said where the plan does otherwise for it."""
STEADIED = (
    "{behind} of this blank would stand behind the jaws, {across} thick, and the spindle's bore is {bore}: the chuck "
    "has its far end, and a fixed steady holds the end that is worked."
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
