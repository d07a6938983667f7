"""Entries of before they told their own story: given the key of today, and the story that the plan tells of it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field, replace

from lathework.bench.entry import OF_EVERY_PART, Entry, story_of
from lathework.bench.record.second import lifted_key, old_title, second_keys
from lathework.planning.plan import Plan


@dataclass(slots=True)
class _Piece:
    """The piece of a part that was in hand, as those versions counted it."""

    number: int = 1
    done: set[str] = field(default_factory=set)

    def next_one(self) -> None:
        """Take up the next."""
        self.number += 1
        self.done = set()

    def ends(self, entry: Entry, wanted: frozenset[str]) -> bool:
        """Whether the piece was whole with `entry`, when all of `wanted` is to be done for one."""
        if entry.kind in OF_EVERY_PART:
            return False
        if entry.piece > self.number and self.done:
            self.next_one()
        if entry.kind == "scrap":
            self.next_one()
        elif entry.kind == "again":
            self.done.discard(entry.step)
        elif entry.kind in ("done", "accept"):
            self.done.add(entry.step)
            if wanted <= self.done:
                self.next_one()
                return True
        return False


BEGUN_SO = "this is how it was started"
"""Why a piece that is in hand is held as it was begun, whatever the plan of today would do with a new one."""


def begun_on_bar(plan: Plan, entries: Sequence[Entry]) -> bool:
    """Whether a part that would be sawn today was begun on its bar: faced there, and nothing sawn."""
    chosen, planned = plan.job.method.order, plan.work.order
    done = {
        entry.step.partition(":")[0] for entry in entries if entry.kind == "done" and entry.part == plan.job.part.id
    }
    return chosen == "from-the-bar" and planned == "blanks-first" and "face" in done and "saw" not in done


def lifted(entries: Sequence[Entry], plans: Sequence[Plan]) -> list[Entry]:
    """Entries with keys of versions 1 and 2, as they stand in version 3, for the parts of `plans`.

    They are taken to have been recorded for what the plan makes now: nothing else was kept. A step that the plan no
    longer has keeps what it was called.
    """
    names = plans[0].job.part_names if len(plans) > 1 else ("",)
    parts = {plan.job.part.id: (plan, name) for plan, name in zip(plans, names, strict=True)}
    keys = {part: second_keys(plan.job) for part, (plan, _) in parts.items()}
    # A piece was whole when all that those versions asked for was done, whatever the plan asks for today.
    wanted = {part: frozenset(keys[part].values()) for part in parts}
    pieces = {part: _Piece() for part in parts}
    out = []
    for entry in entries:
        plan, name = parts[entry.part]
        key = lifted_key(entry.step, keys[entry.part])
        story = story_of(plan, key, name, 1, entry.measured)
        if entry.step and not story.title:
            story = replace(story, title=old_title(entry.step))
        told = replace(entry, step=key, story=story)
        out.append(replace(told, ended=pieces[entry.part].ends(told, wanted[entry.part])))
    return out
