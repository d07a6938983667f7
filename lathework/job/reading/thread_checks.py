"""Whether the threads of a part can be cut as the job says: behind a groove, by a die head."""

from __future__ import annotations

from lathework.cutting.groove import groove_width
from lathework.cutting.torque import cutting_torque
from lathework.job.model import Setup
from lathework.job.part_declaration import ALONG
from lathework.job.reading.job_reader import JobReader
from lathework.lengths import Length
from lathework.methods.head import refusals, why_beyond, why_too_short
from lathework.part.ends import ends_of
from lathework.part.model import Part, Section
from lathework.part.relief import start_mm
from lathework.shop.metals import Material
from lathework.threads.thread import Thread
from lathework.units import convert, show_length

FEWEST_TURNS = 2
"""Full threads that must stand before a relief groove."""


def _groove(part: Part, thread: Thread, blade: Length) -> float:
    """Width of the groove behind a thread, in its unit; 0 in a part that is one thread."""
    return 0.0 if len(part.sections) == 1 else groove_width(thread, convert(blade.mm, "mm", thread.unit)).value


def check_grooves(reader: JobReader, part: Part, blade: Length, *, grooved: bool) -> None:
    """Grooves must leave a thread between them; `blade` is the grooving blade's width, `grooved` says that shoulders
    are reached by one."""
    ends = ends_of(part)
    for number, section in enumerate(part.sections):
        thread = section.thread
        if thread is None:
            continue
        start = start_mm(part, ends, number, blade.mm)
        width = _groove(part, thread, blade) if grooved else 0.0
        wide_mm = convert(width, thread.unit, "mm") + start
        if not wide_mm or section.length.mm - wide_mm >= FEWEST_TURNS * thread.pitch_mm:
            continue
        told = show_length(wide_mm, "mm", thread.unit, fine=False)
        if start:
            text = f"The grooves ({told} {thread.unit} together) leave no thread between them. Make the section longer."
            reader.fail("does-not-fit", f"part.sections.{number}.length", text)
        else:
            text = (
                f"The relief groove ({told} {thread.unit} wide) leaves no thread. Flip the die, leave a "
                "run-out, use a narrower blade, or make the thread longer."
            )
            reader.fail("does-not-fit", "method.finish", text)
        return


def _why_no_head(section: Section, thread: Thread, setup: Setup, metal: Material, groove: float) -> str:
    """Why a section is not threaded with a die head, in front of a `groove` so wide (the thread's unit); "" where it
    may be."""
    head, torque = setup.head, cutting_torque(thread, metal.cutting_force).value
    long_mm = section.length.mm - convert(groove, thread.unit, "mm")
    beyond = why_beyond(thread, section.length.mm, least=head.least, most=head.most, hollow=head.hollow)
    refused = next(refusals(thread, setup.mount, torque), "") or (f"the die head {beyond}" if beyond else "")
    return refused or why_too_short(thread, long_mm, head.overrun)


def check_heads(reader: JobReader, part: Part, setup: Setup, metal: Material, *, grooved: bool) -> None:
    """A die head opens on parallel threads, takes in no more than its hollow is long, and must be borne; `grooved`
    where shoulders are reached by a groove."""
    for number, section in enumerate(part.sections):
        thread = section.thread
        if thread is None or not section.cutter.opens:
            continue
        groove = _groove(part, thread, setup.groove_blade) if grooved else 0.0
        why = _why_no_head(section, thread, setup, metal, groove)
        if why:
            text = f"{why[0].upper()}{why[1:]}."
            reader.fail("does-not-fit", f"part.sections.{number}.cut", text, ("die", "threading-tool"))


def check_rest(reader: JobReader, part: Part) -> None:
    """The section that takes the rest of the overall length still has some, once the grooves have theirs."""
    rest = part.rest
    if rest is None or rest.length.mm >= ALONG.low_mm:
        return
    number = part.sections.index(rest)
    text = "The relief grooves leave nothing for it. Make the part longer, or a thread shorter."
    reader.fail("does-not-fit", f"part.sections.{number}.length", text)
