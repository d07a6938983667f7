"""Serves the application: migrate, load the demo into a new store, answer on 127.0.0.1."""

from __future__ import annotations

import argparse
import gc
import os
import signal
import sys
from types import FrameType

import django
from django.core.management import call_command

HOST = "127.0.0.1"
THREADS = 8
GC_ALLOCATIONS = 50_000


def _leave(signal_number: int, frame: FrameType | None) -> None:
    raise KeyboardInterrupt


def main() -> None:
    """Run until interrupted."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--port", type=int, required=True)
    parser.add_argument("--empty", action="store_true")
    options = parser.parse_args()
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.settings")
    django.setup()
    from django.conf import settings

    new = not settings.DATABASES["default"]["NAME"].exists()
    call_command("migrate", verbosity=0)
    if new and not options.empty:
        call_command("load_demo")
    from waitress.server import create_server

    from lathework.size import size_of
    from lathework.threads.series import library
    from server.wsgi import application

    for thread in library():
        size_of(thread)  # kept, so that the first keystroke is as quick as the next
    # What is kept for good is taken out of the collector's rounds, and these come seldom: an answer makes thousands
    # of small values, none of them in circles.
    gc.freeze()
    gc.set_threshold(GC_ALLOCATIONS)
    server = create_server(application, host=HOST, port=options.port, threads=THREADS, ident=None)
    signal.signal(signal.SIGTERM, _leave)
    print(f"Conch is at http://{HOST}:{options.port}/  (stop it with Ctrl-C)", flush=True)
    try:
        server.run()
    except KeyboardInterrupt:
        pass
    finally:
        server.close()


if __name__ == "__main__":
    sys.exit(main())
