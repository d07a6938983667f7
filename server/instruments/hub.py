"""What every instrument said last, in the memory of this process: streams wait here for what is new."""

from __future__ import annotations

import random
import threading
from collections import deque
from collections.abc import Mapping
from dataclasses import dataclass

from lathework.instruments.believed import doubt
from lathework.instruments.sample import Sample
from lathework.instruments.stand_in import SIMULATED, StandIn

MOST_INSTRUMENTS, SENDS_KEPT = 16, 32
TICK_S = 0.05
"""How often a stand-in is looked at, and the most often that a stream tells of a readout, in seconds."""


@dataclass(frozen=True, slots=True)
class Heard:
    """A sample, the number of it here, and why it is not believed, "" where it is."""

    number: int
    sample: Sample
    doubt: str


class Hub:
    """Samples as they arrive, however many a second: the last of each display is kept, and each that was sent."""

    def __init__(self) -> None:
        self._news = threading.Condition()
        self._number = 0
        self._shown: dict[str, Heard] = {}
        self._sent: deque[Heard] = deque(maxlen=SENDS_KEPT)
        self._ticked_s = 0.0
        self.stand_in: StandIn | None = None
        self.closed = False

    def put(self, sample: Sample, now_s: float) -> Heard | None:
        """Take a sample in at `now_s` (seconds); None where there are too many instruments."""
        with self._news:
            before = self._shown.get(sample.name)
            if before is None and len(self._shown) >= MOST_INSTRUMENTS:
                return None
            self._number += 1
            heard = Heard(self._number, sample, doubt(sample, before.sample if before else None, now_s))
            self._shown[sample.name] = heard
            if sample.sent:
                self._sent.append(heard)
            self._news.notify_all()
            return heard

    def tick(self, now_s: float) -> None:
        """Let the stand-in readout show where it is, where there is one and it is time (seconds)."""
        with self._news:
            made = self.stand_in
            if made is None or now_s - self._ticked_s < TICK_S:
                return
            self._ticked_s = now_s
            sample = made.readout(now_s)
        if sample is not None:
            self.put(sample, now_s)

    def wait(self, after: int, seconds: float) -> int:
        """Wait until something newer than number `after` is heard, at most so many `seconds`; the newest number."""
        with self._news:
            self._news.wait_for(lambda: self._number > after or self.closed, timeout=seconds)
            return self._number

    def shown(self) -> Mapping[str, Heard]:
        """What each instrument said last, by its name."""
        with self._news:
            return dict(self._shown)

    def sent(self, after: int = 0, name: str = "") -> list[Heard]:
        """Readings that were sent since number `after`, the oldest first; those of one instrument where it is named."""
        with self._news:
            return [one for one in self._sent if one.number > after and name in ("", one.sample.name)]

    def newest(self) -> int:
        """The number of what was heard last."""
        with self._news:
            return self._number

    def switch_on(self, seed: int | None = None) -> StandIn:
        """The stand-ins of this server, made where there are none."""
        with self._news:
            if self.stand_in is None:
                self.stand_in = StandIn(random.Random(seed))
            return self.stand_in

    def switch_off(self) -> None:
        """No stand-ins any more; what they showed is forgotten."""
        with self._news:
            self.stand_in = None
            self._shown = {name: one for name, one in self._shown.items() if not name.startswith(SIMULATED)}

    def close(self) -> None:
        """Let every stream end at once: the server does. Called by a signal, in a thread that never waits here."""
        with self._news:
            self.closed = True
            self._news.notify_all()


HUB = Hub()
"""The one of this process."""
