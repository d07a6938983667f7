"""Kills the server at random moments, and cuts answers off: what was acknowledged is there, once."""

from __future__ import annotations

import os
import random
import signal
import tempfile
import threading
import time
from pathlib import Path

from tests.browser.server import Server
from tests.campaign.client import Client, Lost, Notes

STUDS = 2
"""The job of the demo that is worked at: its bench stands at a diameter."""
MOST_NOTES, LONGEST_S = 4, 0.05
"""A kill comes after so many notes at most, and within this time of the last of them: in the middle of the next."""
LOOK_S = 0.002


def _kill(server: Server, notes: Notes, stored: int, after_s: float) -> None:
    """Kill the server `after_s` after it has said that so many notes are stored."""
    process = server.process
    assert process is not None
    while len(notes.stored) < stored:
        time.sleep(LOOK_S)
    time.sleep(after_s)
    os.kill(process.pid, signal.SIGKILL)


def _until_killed(notes: Notes, client: Client) -> None:
    try:
        while True:
            notes.record(client)
    except Lost:
        pass


def kills(count: int, seed: int) -> dict[str, int]:
    """Kill the server so many times (a count) while notes are recorded, one after the other."""
    rng, notes = random.Random(seed), Notes(STUDS)
    with tempfile.TemporaryDirectory(prefix="conch-kills-") as folder:
        server = Server(Path(folder), empty=False)
        for _ in range(count):
            server.start()
            client = Client(server.port)
            stored, after_s = len(notes.stored) + rng.randint(1, MOST_NOTES), rng.uniform(0, LONGEST_S)
            killer = threading.Thread(target=_kill, args=(server, notes, stored, after_s), daemon=True)
            killer.start()
            _until_killed(notes, client)
            killer.join()
            server.stop()
        server.start()
        client = Client(server.port)
        notes.record(client)
        lost, doubled = notes.lost_and_doubled(client)
        server.end()
    return {"kills": count, "kills_acknowledged": len(notes.stored), "kills_lost": lost, "kills_doubled": doubled}


def cuts(count: int) -> dict[str, int]:
    """Cut so many answers (a count) off, and send each act again."""
    notes = Notes(STUDS)
    with tempfile.TemporaryDirectory(prefix="conch-cuts-") as folder:
        server = Server(Path(folder), empty=False)
        server.start()
        client = Client(server.port)
        for _ in range(count):
            notes.cut_off(client)
            notes.record(client)
        lost, doubled = notes.lost_and_doubled(client)
        server.end()
    return {"cuts": count, "cuts_acknowledged": len(notes.stored), "cuts_lost": lost, "cuts_doubled": doubled}
