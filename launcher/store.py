"""`conch backup` and `conch restore`: the whole store in one file, copied while the server may run."""

from __future__ import annotations

import sqlite3
from contextlib import closing
from pathlib import Path

from launcher.messages import say, stop
from launcher.serve import data_folder

NAME = "conch.sqlite3"


def _check(file: Path) -> None:
    """Stop unless `file` is a sound store of this product."""
    try:
        with closing(sqlite3.connect(f"file:{file}?mode=ro", uri=True)) as store:
            sound = store.execute("PRAGMA integrity_check").fetchone()[0] == "ok"
            tables = {row[0] for row in store.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
    except sqlite3.Error as error:
        stop(f"{file} is not a store of Conch: {error}")
    if not sound or not {"jobs_job", "jobs_entry"} <= tables:
        stop(f"{file} is not a sound store of Conch")


def _copy(source: Path, target: Path) -> None:
    with closing(sqlite3.connect(source)) as old, closing(sqlite3.connect(target)) as new:
        old.backup(new)


def backup(file: str, data: str | None) -> int:
    """Copy the store to `file`."""
    source, target = data_folder(data) / NAME, Path(file).resolve()
    if not source.exists():
        stop(f"there is nothing to back up in {source.parent}: start Conch once first")
    if target.exists():
        stop(f"{target} exists already: nothing was written")
    part = target.with_name(target.name + ".part")
    try:
        _copy(source, part)
        part.replace(target)
    except (OSError, sqlite3.Error) as error:
        part.unlink(missing_ok=True)
        stop(f"cannot write {target}: {error}")
    say(f"Backed up to {target}")
    return 0


def restore(file: str, data: str | None) -> int:
    """Put the store in `file` in place; the store that was there is kept beside it."""
    source, target = Path(file).resolve(), data_folder(data) / NAME
    if not source.is_file():
        stop(f"there is no file {source}")
    _check(source)
    if target.exists():
        kept = target.with_name("conch-before-restore.sqlite3")
        kept.unlink(missing_ok=True)
        _copy(target, kept)
        say(f"The store that was there is kept as {kept}")
    try:
        _copy(source, target)
    except (OSError, sqlite3.Error) as error:
        stop(f"cannot restore into {target.parent}: {error}; stop the server first")
    say(f"Restored from {source}")
    return 0
