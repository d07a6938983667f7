"""Which fields of a job are asked for: those that change its plan, and no others."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.job.model import Job
from lathework.methods.die_holdings import DIE_HOLDINGS
from lathework.methods.tap import TAP_HOLDINGS
from lathework.planning.notice import Notice

HELD_OTHERWISE = ("long-part", "long-overruled", "wants-centre")
"""Remarks after which one may say why the work is held as chosen all the same."""


def _die(job: Job) -> Iterator[str]:
    """What concerns a thread outside."""
    method = job.method
    yield from ("method.blank_school", "method.finish")
    cutters = [section.cutter for section in job.part.sections if section.thread is not None]
    if any(cutter.in_holder for cutter in cutters):
        yield "method.holder"
    if any(cutter.on_leadscrew for cutter in cutters):
        yield from ("method.infeed", "method.point")
        if method.point not in ("sharp", "full-form"):
            yield "method.tip"
    if any(cutter.opens for cutter in cutters):
        yield from (f"setup.head_{name}" for name in ("least", "most", "hollow", "overrun"))
    if method.because or method.holder == "chuck-jaws":
        yield "method.because"
    if method.blank_school == "pitch-fraction":
        yield "method.blank_fraction"
    if method.blank_school == "mate-takes":
        yield from ("method.mate_minor", "method.mate_pitch")


def _on_leadscrew(job: Job) -> bool:
    """Whether a thread is cut on the leadscrew, outside or in a hole."""
    outside = any(section.thread is not None and section.cutter.on_leadscrew for section in job.part.sections)
    return outside or any(bore.thread is not None and bore.cutter.on_leadscrew for bore in job.part.bores)


def _lathe(job: Job, *, outside: bool, inside: bool) -> Iterator[str]:
    """What concerns the spindle: how far it runs on, whether it may be reversed."""
    dies = any(section.thread is not None and section.cutter.in_holder for section in job.part.sections)
    die = outside and dies and DIE_HOLDINGS[job.method.holder].power
    tap = inside and TAP_HOLDINGS[job.method.tapping].power
    if die or tap:
        yield "setup.run_down"
    left = any(thread.hand == "left" for thread in job.part.threads)
    told = job.setup.mount != "unsaid"
    if (die or tap or left or told) and not (told and job.setup.machine):
        yield "setup.mount"


def asked(job: Job, notices: tuple[Notice, ...], *, blades: bool, milled: bool) -> tuple[str, ...]:
    """Fields of the document that concern this job, beside those that concern every one.

    `milled` where something is milled or drilled across, `blades` where more than one tool of the tool post is set by
    its zero.
    """
    outside = any(section.thread is not None for section in job.part.sections)
    inside = bool(job.part.bores)
    fields = [*_die(job)] if outside else []
    fields += ["method.lubricant"] if outside or inside else []
    fields += ["method.tapping", "method.percent"] if any(bore.thread for bore in job.part.bores) else []
    fields += ["setup.drills"] if inside else []
    fields += _lathe(job, outside=outside, inside=inside)
    # A lathe of the shop tells these itself.
    fields += [] if job.setup.machine else ["setup.lathe", "setup.dial", "setup.readout"]
    if _on_leadscrew(job) and not job.setup.machine:
        fields += ["setup.leadscrew", "setup.gearbox", "setup.gears", "setup.dial_teeth", "setup.dial_lines"]
    if not job.part.stock.one_ended:
        fields += ["method.order", "part.stock.bar_length", "setup.parting_blade", "setup.parting_edge"]
    if milled:
        fields.append("method.milling")
    if job.quantity > 1:
        fields.append("method.batch")
    fields.append("method.dear")
    if blades and not (job.setup.machine and job.setup.tools != "unsaid"):
        fields.append("setup.tools")
    if job.method.overruled or any(notice.code in HELD_OTHERWISE for notice in notices):
        fields.append("method.overruled")
    return tuple(fields)
