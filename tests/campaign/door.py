"""Strangers at the door: connections that say nothing, little or half, and requests that carry too much."""

from __future__ import annotations

import http.client
import json
import socket
import tempfile
import threading
import time
from base64 import b64encode
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import ExitStack, closing, contextmanager
from io import BytesIO
from pathlib import Path

from PIL import Image

from benchmarks.speed import resident_mb
from lathework.tests.samples import document
from tests.browser.server import Server
from tests.campaign.client import HOST, Client, Lost, Notes

THERE, GUEST = "127.0.0.2", "127.0.0.9"
"""Another address of this machine, which stands for the one that its network knows it by; and one of a device."""
FROM = tuple(f"127.0.1.{number}" for number in range(1, 13))
"""Where the strangers are: none has so many connections that he is refused for that alone."""
SILENT, DRIPPING, HALF_OPEN = 150, 110, 300
BEGUN = b"POST /api/jobs HTTP/1.1\r\nHost: 127.0.0.2\r\nX-Long: "
PATIENCE_S, PROMPT_S = 30.0, 1.0
MOST_BODY_MS, MOST_BODY_MB = 300.0, 30.0


@contextmanager
def _served(folder: str, *more: str) -> Iterator[Server]:
    server = Server(Path(folder), empty=False, more=more)
    server.start()
    try:
        yield server
    finally:
        server.end()


def _asked_s(port: int, ip: str, source: str) -> float:
    """How long a whole answer takes, connecting anew (seconds)."""
    began = time.monotonic()
    with closing(http.client.HTTPConnection(ip, port, PATIENCE_S, source_address=(source, 0))) as connection:
        connection.request("GET", "/api/me")
        assert connection.getresponse().status == 200
    return time.monotonic() - began


def _drip(dripping: list[socket.socket], over: threading.Event) -> None:
    while not over.wait(0.5):
        for one in dripping:
            try:
                one.send(b"x")
            except OSError:
                continue


def strangers(asks: int) -> dict[str, float]:
    """How long this machine waits for its own answer meanwhile, the worst of `asks` (seconds)."""
    with tempfile.TemporaryDirectory(prefix="conch-door-") as folder, ExitStack() as held:
        server = held.enter_context(_served(folder, "--lan", "--address", THERE))
        _asked_s(server.port, HOST, HOST)  # the first answer of a server takes longer, strangers or not
        dripping: list[socket.socket] = []
        for number in range(SILENT + DRIPPING + HALF_OPEN):
            place = (FROM[number % len(FROM)], 0)
            one = socket.create_connection((THERE, server.port), PATIENCE_S, source_address=place)
            held.enter_context(one)
            if number >= SILENT:
                one.sendall(BEGUN)
            if SILENT <= number < SILENT + DRIPPING:
                dripping.append(one)
        over = threading.Event()
        dripper = threading.Thread(target=_drip, args=(dripping, over))
        held.callback(dripper.join)
        held.callback(over.set)
        dripper.start()
        host = max(_asked_s(server.port, HOST, HOST) for _ in range(asks))
        return {"strangers_host_worst_s": host, "strangers_host_over_1s_wrong": float(host > PROMPT_S)}


def bodies() -> dict[str, float]:
    """How long requests of too many keys take to be refused (milliseconds), and what they leave in memory (MB)."""
    keys = document() | {f"k{number}": 1 for number in range(400_000)}
    few = json.dumps(keys).encode()
    much = few[:-1] + b', "x": "' + b"x" * (10 * 2**20 - len(few)) + b'"}'
    with tempfile.TemporaryDirectory(prefix="conch-door-") as folder, _served(folder) as server:
        client = Client(server.port)
        client.ask("POST", "/api/jobs/plan", json.dumps(document()).encode())
        assert server.process is not None
        before, worst, unrefused = resident_mb(server.process.pid), 0.0, 0
        for content in (few, much) * 3:
            began = time.monotonic()
            try:
                refused = client.ask("POST", "/api/jobs/plan", content)[0] == 413
            except Lost:
                # What is too long altogether is refused while it is still being sent: that may break the connection.
                refused = content is much
            unrefused += not refused
            worst = max(worst, (time.monotonic() - began) * 1000)
        kept = resident_mb(server.process.pid) - before
    return {
        "bodies_worst_ms": worst,
        "bodies_kept_mb": kept,
        "bodies_unrefused": float(unrefused),
        "bodies_kept_wrong": float(kept > MOST_BODY_MB),
        "bodies_slow_wrong": float(worst > MOST_BODY_MS),
    }


def pictures(count: int) -> dict[str, float]:
    """How much longer a note takes to be stored while so many large pictures arrive, as a ratio of medians."""
    out = BytesIO()
    Image.new("RGB", (7000, 7000), "tan").save(out, "PNG", compress_level=1)
    body = json.dumps({"content": b64encode(out.getvalue()).decode()}).encode()
    with tempfile.TemporaryDirectory(prefix="conch-door-") as folder, _served(folder) as server:
        client = Client(server.port)
        path = f"/api/kit/{client.get('/api/kit')['things'][0]['id']}/photograph"
        notes = Notes(2)
        usual = _median_note_s(client, notes, 15)
        with ThreadPoolExecutor(count) as pool:
            sent = [pool.submit(lambda: Client(server.port).ask("POST", path, body)[0]) for _ in range(count)]
            busy = _median_note_s(client, notes, 15)
            unread = sum(one.result() != 200 for one in sent)
        lost, _ = notes.lost_and_doubled(client)
    return {"pictures_note_ratio": busy / usual, "pictures_lost": float(lost), "pictures_unread": float(unread)}


def _median_note_s(client: Client, notes: Notes, count: int) -> float:
    took = []
    for _ in range(count):
        began = time.monotonic()
        notes.record(client)
        took.append(time.monotonic() - began)
    return sorted(took)[count // 2]
