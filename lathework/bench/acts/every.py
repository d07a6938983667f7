"""Every act there is, by its kind; and what holds for all of them."""

from __future__ import annotations

from dataclasses import replace

from lathework.bench.acts.act import Act, At
from lathework.bench.acts.die import Cause, Setting
from lathework.bench.acts.ended import Accept, Again, Done, Scrap
from lathework.bench.acts.gauged import Verdict
from lathework.bench.acts.measured import Reading
from lathework.bench.acts.note import GoOn, Note, Pause, Read
from lathework.bench.acts.pieces import TakeUp, TurnTo
from lathework.bench.acts.zero import Zero, ZeroLost
from lathework.bench.bench import Bench
from lathework.bench.entry import KINDS, Entry, Kind
from lathework.errors import InputError

_DECLARED: tuple[type[Act], ...] = (
    *(Reading, Verdict, Setting, Cause),
    *(Done, Accept, Scrap, Again),
    *(Note, Pause, GoOn, Read, ZeroLost, Zero, TurnTo, TakeUp),
)
ACTS: dict[Kind, type[Act]] = {act.kind: act for act in _DECLARED}
"""By kind: the kinds of entries that are kept, no more and no less."""
if set(ACTS) != set(KINDS):
    raise TypeError(f"An act has no entry, or an entry no act: {sorted(set(ACTS) ^ set(KINDS))}")


def check_read(now: Bench, kind: Kind) -> None:
    """Whether `kind` may be recorded before the job's cautions were read. Raises InputError on "caution"."""
    if now.unread and kind not in ("read", "note", "pause", "go-on"):
        raise InputError("not-read", "caution", "Read the caution and confirm it: for this use others decide.")


def entry_of(act: Act, at: At, device: str = "") -> Entry:
    """The entry that an act makes, said on a `device`. Raises InputError beside the field that is wrong."""
    entry = replace(act.entry(at), device=device)
    check_read(at.bench, entry.kind)
    return entry
