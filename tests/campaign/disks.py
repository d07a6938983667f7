"""Disks that fail a server: full, read-only, with a damaged file. A small file system of memory stands for the disk."""

from __future__ import annotations

import json
import os
import shutil
import subprocess
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from functools import cache
from pathlib import Path

from server.store import NAME
from tests.browser.server import ROOT, Server, first_store
from tests.campaign.client import Client, Notes
from tests.campaign.kills import STUDS

SIZE_MB, TRIES = 24, 8
_UNSHARE = ("unshare", "--mount") if os.name == "posix" and os.geteuid() == 0 else ("unshare", "-r", "--mount")


@cache
def can_mount() -> bool:
    """Whether this machine lets a process have a file system of its own."""
    if not shutil.which("unshare") or not shutil.which("nsenter"):
        return False
    with tempfile.TemporaryDirectory() as place:
        done = subprocess.run([*_UNSHARE, "mount", "-t", "tmpfs", "tmpfs", place], capture_output=True, check=False)
    return done.returncode == 0


class OnDisk(Server):
    """A server whose folder is a file system of its own, of a few megabytes, that only it sees."""

    def __init__(self, data: Path, *, empty: bool, then: str = "true") -> None:
        super().__init__(data, empty=empty)
        self.then = then

    def command(self) -> list[str]:
        """Mount it, put the store there, do to the folder `then` what is wished, and serve."""
        script = f'mount -t tmpfs -o size="$2"m tmpfs "$1" && cp "$3" "$1" && {self.then} && shift 3 && exec "$@"'
        told = (str(self.data), str(SIZE_MB), str(first_store(empty=False)))
        return [*_UNSHARE, "sh", "-c", script, "sh", *told, *super().command()]

    @property
    def inside(self) -> Path:
        """The folder as the server sees it."""
        assert self.process is not None
        return Path(f"/proc/{self.process.pid}/root{self.data}")


def _fill(folder: Path) -> Path:
    """Leave no room on a disk."""
    filler = folder / "filler"
    with filler.open("wb", buffering=0) as out:
        try:
            while out.write(b"\x00" * 4096):
                pass
        except OSError:
            pass
    return filler


@contextmanager
def _served() -> Iterator[tuple[OnDisk, Client, Notes]]:
    with tempfile.TemporaryDirectory(prefix="conch-disk-") as folder:
        server = OnDisk(Path(folder), empty=True)
        server.start()
        try:
            yield server, Client(server.port), Notes(STUDS)
        finally:
            server.end()


def _refused(client: Client, notes: Notes, code: str) -> tuple[int, int]:
    """How many of a few notes were refused for that reason, and how often what is there could still be read."""
    refused = read = 0
    for _ in range(TRIES):
        _, key, body = notes.act(client)
        status, content = client.ask("POST", f"{notes.path}/entries", body, **{"Idempotency-Key": key})
        refused += status == 507 and json.loads(content)["code"] == code
        read += all(client.ask("GET", path)[0] == 200 for path in ("/api/jobs", "/api/log", f"{notes.path}/bench"))
    return refused, read


def full_disk() -> dict[str, int]:
    """A disk that fills while notes are recorded, and has room again: what was refused, read, lost, doubled."""
    with _served() as (server, client, notes):
        for _ in range(TRIES):
            notes.record(client)
        filler = _fill(server.inside)
        refused, read = _refused(client, notes, "disk-full")
        filler.unlink()
        for _ in range(TRIES):
            notes.record(client)
        lost, doubled = notes.lost_and_doubled(client)
    told = {"full_tries": TRIES, "full_unrefused": TRIES - refused, "full_unread": TRIES - read}
    return {**told, "full_lost": lost, "full_doubled": doubled}


_FIRST_BYTES = 8192
"""What stays of a file that is damaged: SQLite still knows it for a store."""
_ASKED = ("/", "/api/jobs", "/api/log", "/api/kit", "/api/devices", "/api/health", "/api/size?q=M8")


def damaged_file(rounds: int) -> dict[str, int]:
    """A store whose file is overwritten under its server: answers that neither are right nor name what is wrong."""
    with tempfile.TemporaryDirectory(prefix="conch-disk-") as folder:
        server = Server(Path(folder), empty=False)
        server.start()
        client, notes = Client(server.port), Notes(STUDS)
        _, key, body = notes.act(client)
        store = server.data / NAME
        with store.open("r+b") as file:
            file.seek(_FIRST_BYTES)
            file.write(b"\x55" * (store.stat().st_size - _FIRST_BYTES))
        answers = [client.ask("GET", path) for _ in range(rounds) for path in (*_ASKED, f"{notes.path}/bench")]
        answers += [client.ask("POST", f"{notes.path}/entries", body, **{"Idempotency-Key": key})]
        server.end()
    named = sum(status == 507 and json.loads(content)["code"] == "damaged" for status, content in answers)
    right = sum(status == 200 for status, _ in answers)
    return {"damaged_named": named, "damaged_wrong": len(answers) - named - right}


READ_ONLY = 'mount -o remount,ro "$1"'
NO_ROOM = 'dd if=/dev/zero of="$1/filler" bs=4k 2>/dev/null; true'


def start_on(then: str) -> tuple[int, str]:
    """A start over a folder that something was done to: its exit status, and what it says."""
    with tempfile.TemporaryDirectory(prefix="conch-disk-") as folder:
        server = OnDisk(Path(folder), empty=True, then=then)
        command, environment = server.command(), server.environment()
        done = subprocess.run(command, cwd=ROOT, env=environment, capture_output=True, text=True, check=False)
    return done.returncode, done.stderr
