"""A copy of the store every day, the last ten kept: made by the server itself while it runs."""

from __future__ import annotations

import sys
import threading
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import datetime, timedelta
from pathlib import Path

from server import store

FOLDER, STEM, STAMP = "backups", "conch-daily-", "%Y%m%d-%H%M%S"
KEPT, EVERY = 10, timedelta(days=1)
FIRST_AFTER_S, LOOK_S = 60.0, 600.0
"""How long after its start a server looks whether a copy is due, and how often then: a start is not held up by it."""


def kept(data: Path) -> list[tuple[datetime, Path]]:
    """The daily copies of a data folder with their times, oldest first; what is named otherwise is none of them."""
    found = []
    for file in (data / FOLDER).glob(f"{STEM}*.sqlite3"):
        try:
            found.append((datetime.strptime(file.stem.removeprefix(STEM), STAMP), file))
        except ValueError:
            continue
    return sorted(found)


def due(data: Path, now: datetime) -> bool:
    """Whether a copy is to be made: none is a day old or younger. One from a time to come was made by a clock that was
    wrong, and counts for nothing."""
    if not (data / store.NAME).exists():
        return False
    past = [made for made, _ in kept(data) if made <= now]
    return not past or now - past[-1] >= EVERY


def back_up(data: Path, now: datetime) -> Path:
    """Copy the store, checked, into the folder of daily copies, and put the copy in place for a trial; then let the
    oldest go beyond the last ten, in which those from a time to come do not count. Raises StoreProblem, or OSError:
    then all that were there are there still."""
    folder = data / FOLDER
    folder.mkdir(mode=store.FOLDER_MODE, exist_ok=True)
    # What a server that was killed in the middle of a copy left: this process alone holds the store.
    for begun in folder.glob(".conch-*.part"):
        store.discard(begun)
    target = folder / f"{STEM}{now.strftime(STAMP)}.sqlite3"
    with store.copied(data / store.NAME, folder) as made:
        _try(made, folder)
        made.replace(target)
    store.sync_folder(folder)
    past = [file for made, file in kept(data) if made <= now]
    for file in past[:-KEPT]:
        file.unlink(missing_ok=True)
    return target


def _try(copy: Path, folder: Path) -> None:
    """Whether a copy, put in place as a restore would, has what it should have. Raises StoreProblem."""
    with store.copied(copy, folder) as restored:
        if store.counted(restored) != store.counted(copy):
            raise store.StoreProblem(f"{copy} does not hold the same jobs and records after it is restored")


class _Daily(threading.Thread):
    """Looks from time to time whether a copy is due; a fault is told once, not at each look."""

    def __init__(self, data: Path) -> None:
        super().__init__(name="daily backup", daemon=True)
        self.data, self.over, self.told = data, threading.Event(), ""

    def run(self) -> None:
        """Until it is over."""
        wait = FIRST_AFTER_S
        while not self.over.wait(wait):
            self.look(datetime.now())
            wait = LOOK_S

    def look(self, now: datetime) -> None:
        """Make a copy where one is due."""
        try:
            if due(self.data, now):
                back_up(self.data, now)
            self.told = ""
        except (store.StoreProblem, OSError) as problem:
            if str(problem) != self.told:
                self.told = str(problem)
                print(f"conch: daily backup failed: {problem}", file=sys.stderr, flush=True)


@contextmanager
def daily(data: Path, *, wanted: bool) -> Iterator[None]:
    """Daily copies of the store in a folder while this lasts, where they are wanted."""
    thread = _Daily(data)
    if wanted:
        thread.start()
    try:
        yield
    finally:
        thread.over.set()
