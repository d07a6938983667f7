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
LONGEST_S = 0.25
"""A kill comes within this time of the first note after a start."""


def _kill(server: Server, after_s: float) -> None:
    process = server.process
    assert process is not None
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
            killer = threading.Thread(target=_kill, args=(server, rng.uniform(0, LONGEST_S)))
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
