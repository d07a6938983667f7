"""Serves the application: checks the store, migrates, loads the demo into a new one, answers."""

from __future__ import annotations

import argparse
import gc
import os
import signal
import sys
import threading
from contextlib import suppress
from pathlib import Path
from types import FrameType
from typing import NoReturn

import django
from django.core.management import call_command

from server import backups, store, warming
from server.listen import Listening
from server.network import HERE, Network, NetworkProblem, find_network


def _mind_being_ended() -> None:
    """Told to end, let every stream end, and leave as with Ctrl-C."""
    from server.instruments.hub import HUB
    from server.site.news import NEWS

    def leave(signal_number: int, frame: FrameType | None) -> None:
        HUB.close()
        NEWS.close()
        raise KeyboardInterrupt

    signal.signal(signal.SIGTERM, leave)


def _with_parent() -> None:
    """End with whoever started this: their end of our input closes when they do, even where they were killed."""

    def watch() -> None:
        # Not through a buffer: its lock would be held for good, and the end of the program waits for it.
        while os.read(0, 1):
            pass
        os.kill(os.getpid(), signal.SIGTERM)

    threading.Thread(target=watch, name="parent", daemon=True).start()


def _stop(text: str) -> NoReturn:
    """Say in one line why it cannot go on."""
    print(f"conch: {text}", file=sys.stderr, flush=True)
    raise SystemExit(2)


def _checked(file: Path) -> bool:
    """Check the store, and keep a copy of one that is to be migrated; whether it is one of this version that has begun.
    Stops where it cannot be used."""
    if not file.exists() or store.is_unborn(file):
        return False
    try:
        store.check_store(file, "quick_check")
        if store.is_behind(file):
            kept = store.free_name(file.parent, "before-upgrade")
            with store.copied(file, file.parent) as made:
                made.replace(kept)
            print(
                f"This is a new version. A copy of your data from before it is kept in {kept}",
                file=sys.stderr,
                flush=True,
            )
            return False
        return store.has_begun(file)
    except store.LaterVersion as problem:
        before = store.kept_before_upgrade(file.parent)
        back = f". To go back, run `./conch restore {before}`" if before else ""
        _stop(f"{problem}{back}")
    except store.StoreProblem as problem:
        _stop(f"{problem}. Restore a backup with `./conch restore FILE`.")


def _prepared(file: Path, *, empty: bool) -> None:
    """Make the store, or bring it up to date; one that a start of this version left is looked at alone."""
    known = _checked(file)
    if not known:
        call_command("migrate", verbosity=0)
        call_command("begin", empty=empty)
        return
    from server.jobs.lift import bring_up_to_date

    bring_up_to_date()


def _told(port: int, network: Network | None) -> str:
    """Where it is; on the network also the code that pairs a device, and a picture of both."""
    here = f"Conch is running. Open http://{HERE}:{port}/ in a browser. Stop with Ctrl-C."
    if network is None:
        return here
    from server.devices.invitation import invitation

    return f"{here}\n{invitation(secure=network.certificate is not None)}"


def _listening(port: int, network: Network | None) -> Listening:
    """What listens, and is known to the settings by its address."""
    from django.conf import settings

    from server.wsgi import application

    try:
        listening = Listening(application, port, network, settings.DATA_UPLOAD_MAX_MEMORY_SIZE)
    except OSError as error:
        _stop(f"cannot listen on port {port}: {error.strerror}")
    if network:
        settings.NETWORK_ADDRESS = network.url(listening.port)
    return listening


def _serve(options: argparse.Namespace, network: Network | None) -> None:
    django.setup()
    from django.conf import settings
    from django.db import connection

    _prepared(Path(str(settings.DATABASES["default"]["NAME"])), empty=options.empty)
    listening = _listening(options.port, network)
    try:
        # Nothing is loaded once the signal is minded: where it comes in the middle of a module, Python ends as if it
        # had not been.
        told = _told(listening.port, network)
        # Whoever waits for the line may stop it before it is written to the end.
        with suppress(KeyboardInterrupt):
            _mind_being_ended()
            if options.with_parent:
                _with_parent()
            print(told, flush=True)
            warming.begin()
            with backups.daily(settings.DATA, wanted=not options.no_backups):
                listening.run()
    finally:
        listening.close()
        with connection.cursor() as cursor:
            cursor.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        connection.close()


def _network(options: argparse.Namespace) -> Network | None:
    """The network that is to be served; its names are known to the settings."""
    if not options.lan:
        return None
    try:
        network = find_network(options.address, options.certificate, options.key)
    except NetworkProblem as problem:
        _stop(str(problem))
    os.environ["CONCH_HOSTS"] = ",".join(network.names)
    return network


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser()
    parser.add_argument("--port", type=int, required=True)
    parser.add_argument("--empty", action="store_true")
    parser.add_argument("--no-backups", action="store_true")
    parser.add_argument("--with-parent", action="store_true")
    parser.add_argument("--lan", action="store_true")
    parser.add_argument("--address", default="")
    parser.add_argument("--certificate", type=Path)
    parser.add_argument("--key", type=Path)
    return parser


def main() -> None:
    """Run until interrupted."""
    # Nothing of what is loaded now is ever let go.
    gc.disable()
    options = _parser().parse_args()
    os.umask(store.FILE_MASK)
    network = _network(options)
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.settings")
    from django.conf import settings
    from django.db import DatabaseError

    from server.site.faults import fault_of

    try:
        with store.held(settings.DATA):
            store.make_private(settings.DATA)
            _serve(options, network)
    except store.StoreProblem as problem:
        _stop(str(problem))
    except OSError as error:
        _stop(f"cannot open {error.filename or 'the disk'}: {error.strerror}")
    except DatabaseError as error:
        fault = fault_of(error)
        if fault is None:
            raise
        _stop(fault.sentence)


if __name__ == "__main__":
    main()
