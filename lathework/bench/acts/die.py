"""A die that was moved, and what a nut bound for that was not the die."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import ClassVar, Literal

from lathework.bench.acts.act import Act, At, reason_of
from lathework.bench.bench import Bench
from lathework.bench.entry import CUT_AGAIN, ENDS, ON_SCREW, SET, Entry, Kind, Since
from lathework.bench.gauge.die import Preset
from lathework.dies.scale import Scale
from lathework.errors import InputError
from lathework.planning.operation import Operation

NO_DIE = "This step has no die to set."


@dataclass(frozen=True, slots=True, kw_only=True)
class Setting(Act):
    """The die was moved as advised; or, before it runs, where it `stands`: in eighths of a turn, opened above 0; or
    that it was set `on` a known screw of that name, where `stands` counts from there, or what came to it `since` its
    last thread."""

    kind: ClassVar[Kind] = "setting"
    stands: str = ""
    on: str = ""
    since: Literal["", "seated", "honed"] = ""

    def entry(self, at: At) -> Entry:
        """The setting. Raises InputError on "setting", "stands" or "on"."""
        if self.since:
            return since_entry(at.bench, self.since)
        if self.on.strip():
            return on_screw_entry(at.bench, self.on, self.stands)
        return setting_entry(at.bench, self.stands)


@dataclass(frozen=True, slots=True, kw_only=True)
class Cause(Act):
    """What a nut was found to bind for."""

    kind: ClassVar[Kind] = "cause"
    cause: str = ""

    def entry(self, at: At) -> Entry:
        """What it was. Raises InputError on "cause"."""
        return cause_entry(at.bench, self.cause)


def setting_entry(now: Bench, stands: str = "") -> Entry:
    """The die was moved as advised; or, before it runs, where it `stands`: a number of eighths of a turn from where its
    middle screw touches, opened above 0. Raises InputError on "setting" or "stands"."""
    if stands.strip():
        step, preset = _die_to_set(now, "stands")
        word = f"{SET}{ENDS[preset.scale.sets]}"
        return Entry("setting", now.piece, step.key, word=word, eighths=_marks(stands, preset.scale))
    if now.step is None or now.advice is None or now.adjusted:
        raise InputError("not-asked", "setting", "Gauge first: there is no advice on the die yet.")
    if now.advice.again:
        return Entry("setting", now.piece, now.step.key, word=CUT_AGAIN)
    if now.advice.eighths is None:
        raise InputError("not-asked", "setting", "Leave the die as it is: no change is advised.")
    word = f"{now.advice.move}{ENDS[now.scale.sets]}"
    return Entry("setting", now.piece, now.step.key, word=word, eighths=now.advice.eighths.value)


def _die_to_set(now: Bench, field: str) -> tuple[Operation, Preset]:
    """The step in hand and its die. Raises InputError on `field`."""
    if now.step is None or now.preset is None:
        raise InputError("not-asked", field, NO_DIE)
    return now.step, now.preset


def on_screw_entry(now: Bench, name: str, stands: str = "") -> Entry:
    """The die was opened until it ran onto a known screw of that `name`, and closed until it grips it; then moved until
    it `stands` so many eighths of a turn from there. Raises InputError on "on" or "stands"."""
    step, preset = _die_to_set(now, "on")
    if preset.scale.by != "screw":
        raise InputError("not-asked", "on", "Only a split die is set on a screw.")
    marks = _marks(stands, preset.scale) if stands.strip() else 0.0
    return Entry("setting", now.piece, step.key, word=ON_SCREW, mate=reason_of(name, "on"), eighths=marks)


def since_entry(now: Bench, since: Since) -> Entry:
    """What came to the die before it runs: it was put into its holder anew, or honed. Raises InputError on "since"."""
    step, _ = _die_to_set(now, "since")
    return Entry("setting", now.piece, step.key, word=since)


def _marks(text: str, scale: Scale) -> float:
    """A setting as typed. Raises InputError on "stands"."""
    try:
        told = float(text.replace(",", ".").replace("−", "-"))
    except ValueError:
        told = math.nan
    most = f"{scale.most:g}"
    if not abs(told) <= scale.most:
        text = f"Type 1/8 turns from −{most} (closed) to {most} (open). Beyond that the die cracks."
        if scale.by != "screw":
            text = f"Type graduations from −{most} (closed) to {most} (open), counted from its mark."
        raise InputError("out-of-range", "stands", text)
    return scale.opened(told)


def cause_entry(now: Bench, code: str) -> Entry:
    """What the nut bound for was found, and was not the die: it is tried again. Raises InputError on "cause"."""
    known = tuple(cause.code for cause in now.causes)
    if now.step is None or not known:
        raise InputError("not-asked", "cause", "The thread does not bind at this step.")
    if code not in known:
        raise InputError("unknown-choice", "cause", "Choose what made it bind.", known)
    return Entry("cause", now.piece, now.step.key, word=code)
