"""What changed since this server was started, in its memory."""

from __future__ import annotations

import threading
from collections import deque
from dataclasses import dataclass
from typing import Literal

from django.db import transaction

Topic = Literal["job", "kit", "devices", "week"]
KEPT = 256
"""Changes that a page may be behind; one that is further behind is told to look at everything again."""


@dataclass(frozen=True, slots=True)
class Change:
    """What changed, numbered; `job` is 0 where it is no job; `key` that of the act, "" where it had none."""

    number: int
    topic: Topic
    job: int
    key: str


class News:
    """Changes in their order, kept for as long as a page may be behind."""

    def __init__(self) -> None:
        self._heard = threading.Condition()
        self._changes: deque[Change] = deque(maxlen=KEPT)
        self._number = 0
        self.closed = False

    def tell(self, topic: Topic, job: int = 0, key: str = "") -> None:
        """Say that something changed, at once."""
        with self._heard:
            self._number += 1
            self._changes.append(Change(self._number, topic, job, key))
            self._heard.notify_all()

    def tell_once_stored(self, topic: Topic, job: int = 0, key: str = "") -> None:
        """Say that something changed, when the transaction under way is on the disk; never if it is not."""
        transaction.on_commit(lambda: self.tell(topic, job, key))

    def newest(self) -> int:
        """The number of the last change."""
        with self._heard:
            return self._number

    def wait(self, after: int, seconds: float) -> list[Change]:
        """Wait for what comes after number `after`, at most so many `seconds`: the changes, each said once."""
        with self._heard:
            self._heard.wait_for(lambda: self._number > after or self.closed, timeout=seconds)
            return [change for change in self._changes if change.number > after]

    def close(self) -> None:
        """Let every stream end at once: the server does. Called by a signal, in a thread that never waits here."""
        with self._heard:
            self.closed = True
            self._heard.notify_all()


NEWS = News()
"""The one of this process."""
