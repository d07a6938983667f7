"""A die that was moved, and what a nut bound for that was not the die."""

from __future__ import annotations

import math
from dataclasses import dataclass
from typing import ClassVar

from lathework.bench.acts.act import Act, At
from lathework.bench.bench import Bench
from lathework.bench.entry import CUT_AGAIN, ENDS, SET, Entry, Kind
from lathework.dies.scale import Scale
from lathework.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class Setting(Act):
    """The die was moved as advised; or, before it runs, where it `stands`: in eighths of a turn, opened above 0."""

    kind: ClassVar[Kind] = "setting"
    stands: str = ""

    def entry(self, at: At) -> Entry:
        """The setting. Raises InputError on "setting" or "stands"."""
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
        if now.step is None or now.preset is None:
            raise InputError("not-asked", "stands", "This step has no die to set.")
        scale = now.preset.scale
        word = f"{SET}{ENDS[scale.sets]}"
        return Entry("setting", now.piece, now.step.key, word=word, eighths=_marks(stands, scale))
    if now.step is None or now.advice is None or now.adjusted:
        raise InputError("not-asked", "setting", "Gauge first: there is no advice on the die yet.")
    if now.advice.again:
        return Entry("setting", now.piece, now.step.key, word=CUT_AGAIN)
    if now.advice.eighths is None:
        raise InputError("not-asked", "setting", "Leave the die as it is: no change is advised.")
    word = f"{now.advice.move}{ENDS[now.scale.sets]}"
    return Entry("setting", now.piece, now.step.key, word=word, eighths=now.advice.eighths.value)


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
