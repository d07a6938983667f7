"""`conch backup` and `conch restore`: the whole store in one file, copied while the server may run."""

from __future__ import annotations

import os
import sqlite3
from contextlib import closing
from pathlib import Path

from launcher.messages import say, stop
from launcher.serve import data_folder
from server.store import (
    NAME,
    SIDES,
    StoreProblem,
    copied,
    free_name,
    held,
    sync_folder,
)


def _place(made: Path, target: Path) -> None:
    """Give a finished copy its name, never over another file."""
    try:
        os.link(made, target)
    except FileExistsError:
        raise
    except OSError:
        # A file system without links: nothing stood there a moment ago.
        made.replace(target)
    else:
        made.unlink()
    sync_folder(target.parent)


def backup(file: str, data: str | None) -> int:
    """Copy the store to `file`, and check the copy before it gets that name."""
    source, target = data_folder(data) / NAME, Path(file).resolve()
    if not source.exists():
        stop(f"no Conch data in {source.parent} to back up. Give the right folder with --data.")
    if target.exists():
        stop(f"{target} already exists. Nothing was written; choose another name.")
    try:
        with copied(source, target.parent) as made:
            _place(made, target)
    except StoreProblem as problem:
        stop(f"{problem}; nothing was written")
    except OSError as error:
        stop(f"cannot write {target}: {error.strerror}")
    say(f"Backup saved: {target}")
    return 0


def _settle(store: Path) -> None:
    """Bring what the write-ahead log still keeps into a store; one that is broken stays as it is."""
    try:
        with closing(sqlite3.connect(store)) as open_store:
            open_store.execute("PRAGMA wal_checkpoint(TRUNCATE)")
    except sqlite3.Error:
        pass


def _put_aside(store: Path) -> None:
    """Keep the store that is replaced, sound or not, under a name of its own."""
    if not store.exists():
        return
    _settle(store)
    kept = free_name(store.parent, "before-restore")
    for side in SIDES:
        beside = Path(f"{store}{side}")
        if beside.exists():
            beside.rename(f"{kept}{side}")
    store.rename(kept)
    say(f"The previous data is kept in {kept}")


def restore(file: str, data: str | None) -> int:
    """Put the store in `file` in place; the store that was there is kept beside it."""
    source, folder = Path(file).resolve(), data_folder(data)
    if not source.is_file():
        stop(f"file not found: {source}")
    try:
        with held(folder), copied(source, folder) as made:
            _put_aside(folder / NAME)
            made.replace(folder / NAME)
            sync_folder(folder)
    except StoreProblem as problem:
        stop(f"{problem}; nothing was changed")
    except OSError as error:
        stop(f"cannot restore into {folder}: {error.strerror}")
    say(f"Restored from {source}")
    return 0
