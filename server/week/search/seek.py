"""The search for a better order, in a process of its own: `python -m server.week.search.seek SECONDS [attended]
[helping]`, the problem a line of JSON on its input.

Each better order is a line of JSON: what it costs, and its tasks by their ids. The last line says how it ended. The
search by moves comes first, with a helper on the second core that moves otherwise; then a constraint solver begins from
the best of both, and proves a small week.
"""

from __future__ import annotations

import os
import subprocess
import sys
import threading
import time
from collections.abc import Callable, Sequence
from contextlib import suppress
from random import Random
from typing import BinaryIO, TextIO

import orjson

from lathework.week.ordering import WARM, Ordering, simple_order
from lathework.week.placing import Placing
from server.week.search.carried import problem_of

ATTENDED, HELPING = "attended", "helping"
"""Said where whoever asks keeps our input open: the search ends with it; and to the helper, which does no more than
move tasks about."""
HELPERS_SEED = 2
FIRST, LEAST = 1500, 200
"""Orders tried to see how fast it goes, and the fewest that are worth a search."""
SEARCHES = 3
"""Searches in the time there is: two from rules of thumb, one from the best of both."""
SMALL = 30
"""A week of so few tasks may be proven: the solver has most of the time for it, and little for a larger one."""
MOVES_SHARE = {True: 0.2, False: 0.85}
"""Which share of the time the moves have, by whether a week is small."""


class Best:
    """The best order so far; told of when it gets better."""

    def __init__(self, placing: Placing, tell: Callable[[int, Sequence[str]], None]) -> None:
        self.placing, self.tell = placing, tell
        self._lock = threading.Lock()
        self._of = {task.ident: n for n, task in enumerate(placing.tasks)}
        self.sequence = self._first()
        self.cost = placing.place(self.sequence)[0]
        self._told()

    def _first(self) -> list[int]:
        return [self._of[task.ident] for task in simple_order(self.placing).sequence]

    def _told(self) -> None:
        self.tell(self.cost, [self.placing.tasks[at].ident for at in self.sequence])

    def offer(self, cost: int, sequence: Sequence[int]) -> None:
        """Keep a sequence if it costs less."""
        with self._lock:
            if cost < self.cost:
                self.cost, self.sequence = cost, list(sequence)
                self._told()

    def offer_named(self, cost: int, idents: Sequence[str]) -> None:
        """The same of tasks by their ids."""
        self.offer(cost, [self._of[ident] for ident in idents])


def by_moves(best: Best, until: float, seed: int = 1) -> None:
    """Move tasks about until a moment of the clock that only goes on (seconds): long searches, each as long as the time
    allows, from the best order and from what rules of thumb say."""
    ordering, random = Ordering(best.placing), Random(seed)
    began = time.monotonic()
    best.offer(*ordering.search(best.sequence, FIRST, random, warm=WARM / 4))
    rate = FIRST / max(time.monotonic() - began, 1e-3)
    starts = sorted(ordering.rules(), key=lambda start: best.placing.place(start)[0])
    for turn in range(SEARCHES):
        left = until - time.monotonic()
        tries = int(rate * left / (SEARCHES - turn))
        if tries < LEAST:
            break
        start = best.sequence if turn == SEARCHES - 1 else starts[turn % len(starts)]
        best.offer(*ordering.search(start, tries, random, warm=WARM if turn < SEARCHES - 1 else WARM / 4))


class Helper:
    """A second search by moves, in a process of its own that ends with this one: what it finds is offered."""

    def __init__(self, content: bytes, seconds: float, best: Best) -> None:
        self.best = best
        self.process = subprocess.Popen(
            [sys.executable, "-m", __spec__.name, str(seconds), ATTENDED, HELPING],
            stdin=subprocess.PIPE,
            stdout=subprocess.PIPE,
            stderr=subprocess.DEVNULL,
        )
        self._thread = threading.Thread(target=self._listen, args=(content,), daemon=True)
        self._thread.start()

    def _listen(self, content: bytes) -> None:
        said, heard = self.process.stdin, self.process.stdout
        assert said is not None and heard is not None
        with suppress(OSError), said, heard:
            said.write(content.strip() + b"\n")
            said.flush()
            for line in heard:
                found = orjson.loads(line)
                self.best.offer_named(found["cost"], found["sequence"])

    def end(self) -> None:
        """End it, and hear what it said last."""
        self.process.terminate()
        self._thread.join()
        self.process.wait()


def seek(content: bytes, seconds: float, out: TextIO, *, helping: bool = False) -> None:
    """Search for so many `seconds`, telling what is found; `helping` another search by moves alone."""

    def tell(cost: int, idents: Sequence[str]) -> None:
        print(orjson.dumps({"cost": cost, "sequence": list(idents)}).decode(), file=out, flush=True)

    placing, began = Placing(problem_of(content)), time.monotonic()
    best = Best(placing, tell)
    if helping:
        by_moves(best, began + seconds, seed=HELPERS_SEED)
        return
    share = MOVES_SHARE[len(placing.tasks) <= SMALL]
    helper = Helper(content, seconds * share, best)
    try:
        by_moves(best, began + seconds * share)
    finally:
        helper.end()
    start, proven = placing.order(best.sequence), False
    left = began + seconds - time.monotonic()
    if start.bookings and not start.unplaced and left > 0:
        from server.week.search.solver import solve

        proven = solve(placing, start, left, best.offer)
    print(orjson.dumps({"ended": True, "proven": proven}).decode(), file=out, flush=True)


def _end_with(asker: BinaryIO) -> None:
    """End when whoever asked does: it keeps its end of our input open for as long as it listens."""
    asker.read()
    os._exit(1)


if __name__ == "__main__":
    asked = sys.stdin.buffer
    problem = asked.readline()
    if ATTENDED in sys.argv[2:]:
        threading.Thread(target=_end_with, args=(asked,), daemon=True).start()
    seek(problem, float(sys.argv[1]), sys.stdout, helping=HELPING in sys.argv[2:])
