"""A problem on its way to the process that searches, and back, as JSON."""

from __future__ import annotations

from typing import Any

import orjson

from lathework.week.hours import Span
from lathework.week.model import Due, Person, Problem, SetUp, Task


def _items(held: SetUp) -> list[list[str]]:
    return [list(item) for item in sorted(held)]


def _held(items: list[list[str]]) -> SetUp:
    return frozenset((kind, name) for kind, name in items)


def problem_json(problem: Problem) -> bytes:
    """A problem as JSON: what its titles say is left at home."""
    return orjson.dumps(
        {
            "tasks": [
                [
                    task.ident,
                    task.job,
                    task.station,
                    task.minutes,
                    _items(task.holds),
                    task.after,
                    task.ready,
                    task.people,
                ]
                for task in problem.tasks
            ],
            "dues": [[job, due.at, due.weight] for job, due in problem.dues.items()],
            "people": [
                [one.name, [[span.begin, span.end] for span in one.spans], sorted(one.not_at)] for one in problem.people
            ],
            "setting_up": problem.setting_up,
            "standing": {station: _items(held) for station, held in problem.standing.items()},
        }
    )


def problem_of(content: bytes) -> Problem:
    """The problem that JSON says."""
    said: dict[str, Any] = orjson.loads(content)
    return Problem(
        tasks=tuple(
            Task(ident, job, "", station, minutes, _held(holds), 0.0, tuple(after), ready, tuple(people))
            for ident, job, station, minutes, holds, after, ready, people in said["tasks"]
        ),
        dues={job: Due(at, weight) for job, at, weight in said["dues"]},
        people=tuple(
            Person(name, tuple(Span(*span) for span in spans), frozenset(not_at))
            for name, spans, not_at in said["people"]
        ),
        setting_up=said["setting_up"],
        standing={station: _held(items) for station, items in said["standing"].items()},
    )
