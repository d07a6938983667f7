"""Which fields of a job are asked for: those that change its plan, and no others."""

from __future__ import annotations

from collections.abc import Iterator

from lathework.job.model import Job
from lathework.methods.die import DIE_HOLDINGS
from lathework.methods.tap import TAP_HOLDINGS
from lathework.planning.notice import Notice

HELD_OTHERWISE = ("long-part", "long-overruled", "wants-centre")
"""Remarks after which one may say why the work is held as chosen all the same."""


def _die(job: Job) -> Iterator[str]:
    """What concerns a thread outside."""
    method = job.method
    yield from ("method.blank_school", "method.finish", "method.holder")
    if method.blank_school == "pitch-fraction":
        yield "method.blank_fraction"
    if method.blank_school == "mate-takes":
        yield from ("method.mate_minor", "method.mate_pitch")


def _lathe(job: Job, *, outside: bool, inside: bool) -> Iterator[str]:
    """What concerns the spindle: how far it runs on, whether it may be reversed."""
    die = outside and DIE_HOLDINGS[job.method.holder].power
    tap = inside and TAP_HOLDINGS[job.method.tapping].power
    if die or tap:
        yield "setup.run_down"
    left = any(thread.hand == "left" for thread in job.part.threads)
    told = job.setup.mount != "unsaid"
    if (die or tap or left or told) and not (told and job.setup.machine):
        yield "setup.mount"


def asked(job: Job, notices: tuple[Notice, ...], *, blades: bool) -> tuple[str, ...]:
    """Fields of the document that concern this job, beside those that concern every one.

    `blades` where more than one tool of the tool post is set by its zero.
    """
    outside = any(section.thread is not None for section in job.part.sections)
    inside = bool(job.part.bores)
    fields = [*_die(job)] if outside else []
    fields += ["method.tapping", "method.percent", "setup.drills"] if inside else []
    fields += _lathe(job, outside=outside, inside=inside)
    # A lathe of the shop tells these itself.
    fields += [] if job.setup.machine else ["setup.lathe", "setup.dial", "setup.readout"]
    if not job.part.stock.one_ended:
        fields += ["method.order", "part.stock.bar_length", "setup.parting_blade", "setup.parting_edge"]
    if job.quantity > 1:
        fields.append("method.batch")
    if blades and not (job.setup.machine and job.setup.tools != "unsaid"):
        fields.append("setup.tools")
    if job.method.overruled or any(notice.code in HELD_OTHERWISE for notice in notices):
        fields.append("method.overruled")
    return tuple(fields)
