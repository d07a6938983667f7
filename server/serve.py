"""Serves the application: check the store, migrate, load the demo into a new one, answer on 127.0.0.1."""

from __future__ import annotations

import argparse
import errno
import gc
import os
import signal
import sys
import time
from contextlib import suppress
from pathlib import Path
from types import FrameType
from typing import TYPE_CHECKING, Any, NoReturn

import django
from django.core.management import call_command

from server import backups, store

if TYPE_CHECKING:
    from waitress.server import TcpWSGIServer

HOST = "127.0.0.1"
THREADS = 40
"""Each bench that listens to its instruments holds one."""
GC_ALLOCATIONS = 50_000
PORT_PATIENCE_S = 30.0
"""How long a port that is still in use is waited for: a server that was stopped lets it go a little later."""


def _leave(signal_number: int, frame: FrameType | None) -> None:
    from server.instruments.hub import HUB

    HUB.close()
    raise KeyboardInterrupt


def _stop(text: str) -> NoReturn:
    """Say in one line why it cannot go on."""
    print(f"conch: {text}", file=sys.stderr, flush=True)
    raise SystemExit(2)


def _checked(file: Path) -> None:
    """Check the store, and keep a copy of one that is to be migrated. Stops where it cannot be used."""
    if not file.exists() or store.is_unborn(file):
        return
    try:
        store.check_store(file, "quick_check")
        if store.is_behind(file):
            kept = store.free_name(file.parent, "before-upgrade")
            with store.copied(file, file.parent) as made:
                made.replace(kept)
            print(f"The store as it was before this version is kept as {kept}", file=sys.stderr, flush=True)
    except store.StoreProblem as problem:
        _stop(f"{problem}. `./conch restore FILE` puts a backup in its place.")


def _bound(application: Any, port: int, most_bytes: int) -> TcpWSGIServer:
    """A server that listens on `port`, any that is free for 0."""
    from waitress.server import TcpWSGIServer, create_server

    deadline = time.monotonic() + PORT_PATIENCE_S
    while True:
        try:
            made = create_server(
                application, host=HOST, port=port, threads=THREADS, ident=None, max_request_body_size=most_bytes
            )
            assert isinstance(made, TcpWSGIServer)  # one address, so one socket
            return made
        except OSError as error:
            if error.errno != errno.EADDRINUSE or time.monotonic() > deadline:
                _stop(f"cannot listen on port {port}: {error.strerror}")
            time.sleep(0.05)


def _warm() -> None:
    """Work out beforehand what is asked first, and keep it out of the collector's rounds."""
    from lathework.answers.size import size_of
    from lathework.threads.library import library

    for thread in library():
        size_of(thread)  # kept, so that the first keystroke is as quick as the next
    # What is kept for good is taken out of the collector's rounds, and these come seldom: an answer makes thousands
    # of small values, none of them in circles.
    gc.freeze()
    gc.set_threshold(GC_ALLOCATIONS)


def _serve(port: int, *, empty: bool, daily: bool) -> None:
    django.setup()
    from django.conf import settings
    from django.db import connection

    _checked(Path(str(settings.DATABASES["default"]["NAME"])))
    call_command("migrate", verbosity=0)
    call_command("begin", empty=empty)
    from server.wsgi import application

    _warm()
    server = _bound(application, port, settings.DATA_UPLOAD_MAX_MEMORY_SIZE)
    try:
        # Whoever waits for the line may stop it before it is written to the end.
        with suppress(KeyboardInterrupt):
            signal.signal(signal.SIGTERM, _leave)
            port = server.effective_port  # type: ignore[attr-defined]  # the stubs leave it out
            print(f"Conch is at http://{HOST}:{port}/  (stop it with Ctrl-C)", flush=True)
            with backups.daily(settings.DATA, wanted=daily):
                server.run()
    finally:
        server.close()
        with connection.cursor() as cursor:
            cursor.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        connection.close()


def main() -> None:
    """Run until interrupted."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--port", type=int, required=True)
    parser.add_argument("--empty", action="store_true")
    parser.add_argument("--no-backups", action="store_true")
    options = parser.parse_args()
    os.umask(store.FILE_MASK)
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.settings")
    from django.conf import settings

    try:
        with store.held(settings.DATA):
            store.make_private(settings.DATA)
            _serve(options.port, empty=options.empty, daily=not options.no_backups)
    except store.StoreProblem as problem:
        _stop(str(problem))


if __name__ == "__main__":
    main()
