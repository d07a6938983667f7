"""The store as a file: who holds it, whether it is sound and this version's, copies of it. Needs Python alone."""

from __future__ import annotations

import os
import sqlite3
import sys
import tempfile
from collections.abc import Iterator
from contextlib import closing, contextmanager
from datetime import datetime
from pathlib import Path

NAME, LOCK = "conch.sqlite3", "conch.lock"
FOLDER_MODE, FILE_MODE, FILE_MASK = 0o700, 0o600, 0o077
SIDES = ("-wal", "-shm")
"""What SQLite keeps beside a store while it is open."""
_OURS = {"jobs_job", "jobs_entry"}
_BOOKKEEPING = {"django_migrations", "sqlite_sequence"}
"""Tables that stand before the first of ours."""
_JOBS, _OTHERS = "jobs", ("book", "devices", "instruments", "kit")
"""Whose tables a store has: some of the others' come before those of the jobs."""
_APPS = (_JOBS, *_OTHERS)
_MIGRATIONS = Path(__file__).resolve().parent


class StoreProblem(Exception):
    """A store that cannot be used: one sentence that says why."""


class LaterVersion(StoreProblem):
    """A store that a later version wrote."""


def kept_before_upgrade(folder: Path) -> Path | None:
    """The store as it was before its last upgrade, where it was kept."""
    kept = sorted(folder.glob("conch-before-upgrade-*.sqlite3"), key=lambda file: file.stat().st_mtime)
    return kept[-1] if kept else None


def _known_migrations() -> set[tuple[str, str]]:
    return {(app, file.stem) for app in _APPS for file in (_MIGRATIONS / app / "migrations").glob("0*.py")}


def _facts(file: Path, check: str) -> tuple[str, set[str], set[tuple[str, str]]]:
    """What SQLite says of a file, its tables, and the migrations it has been through."""
    with closing(sqlite3.connect(file)) as store:
        said = str(store.execute(f"PRAGMA {check}").fetchone()[0])
        tables = {str(row[0]) for row in store.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
        rows = store.execute("SELECT app, name FROM django_migrations") if "django_migrations" in tables else []
        return said, tables, {(str(app), str(name)) for app, name in rows if app in _APPS}


def check_store(file: Path, check: str = "integrity_check") -> None:
    """Whether `file` is a sound store of this version, or of one before it. Raises StoreProblem."""
    try:
        said, tables, been_through = _facts(file, check)
    except sqlite3.DatabaseError as error:
        raise StoreProblem(f"{file} is damaged, or is not Conch data: {error}") from None
    if said != "ok":
        raise StoreProblem(f"{file} is damaged: {said}")
    if not tables >= _OURS:
        raise StoreProblem(f"{file} is not Conch data")
    if been_through - _known_migrations():
        raise LaterVersion(f"{file} was written by a later version of Conch: use that one")


def counted(file: Path) -> tuple[int, int]:
    """How many jobs and entries a sound store has."""
    with closing(sqlite3.connect(file)) as store:
        jobs, entries = (store.execute(f"SELECT count(*) FROM {table}").fetchone()[0] for table in sorted(_OURS)[::-1])
        return int(jobs), int(entries)


def has_begun(file: Path) -> bool:
    """Whether a sound store had its first contents."""
    with closing(sqlite3.connect(file)) as store:
        return bool(store.execute("SELECT EXISTS (SELECT 1 FROM jobs_begun)").fetchone()[0])


def is_unborn(file: Path) -> bool:
    """Whether a file is what a first start that was killed left of a store: no table of jobs, none of others."""
    try:
        _, tables, been_through = _facts(file, "user_version")
    except sqlite3.DatabaseError:
        return False
    foreign = {name for name in tables - _BOOKKEEPING if name.partition("_")[0] not in _OTHERS}
    return not foreign and all(app != _JOBS for app, _ in been_through)


def make_private(folder: Path) -> None:
    """Leave a folder and what is in it to its owner alone."""
    folder.chmod(FOLDER_MODE)
    for file in folder.iterdir():
        if file.is_file():
            file.chmod(FILE_MODE)


def is_behind(file: Path) -> bool:
    """Whether a sound store is to be migrated before it is used."""
    return bool(_known_migrations() - _facts(file, "user_version")[2])


def check_current(file: Path) -> None:
    """Whether `file` is a sound store of this version. Raises StoreProblem."""
    if not file.exists():
        raise StoreProblem(
            f"no Conch data in {file.parent}. Run `./conch start` once, or give the right folder with --data"
        )
    check_store(file, "quick_check")
    if is_behind(file):
        raise StoreProblem(
            f"{file} was written by an earlier version of Conch. Run `./conch start` once: it saves a copy of the file "
            "and upgrades it"
        )


def free_name(folder: Path, why: str) -> Path:
    """A name for a store that is kept beside the one in use, which no other file has."""
    stem = f"conch-{why}-{datetime.now():%Y%m%d-%H%M%S}"
    numbers = ("", *(f"-{number}" for number in range(2, 1000)))
    return next(file for n in numbers if not (file := folder / f"{stem}{n}.sqlite3").exists())


def _copy(source: Path, made: Path) -> None:
    try:
        with closing(sqlite3.connect(source)) as old, closing(sqlite3.connect(made)) as new:
            old.backup(new)
            new.execute("PRAGMA journal_mode = DELETE")
    except sqlite3.DatabaseError as error:
        raise StoreProblem(f"{source} cannot be copied to {made.parent}: {error}") from None
    check_store(made)
    with made.open("rb") as written:
        os.fsync(written.fileno())


@contextmanager
def copied(source: Path, folder: Path) -> Iterator[Path]:
    """A checked copy of a store, also of one in use, under a passing name in `folder`: gone afterwards unless it was
    given another name. Raises StoreProblem, or OSError."""
    handle, name = tempfile.mkstemp(prefix=".conch-", suffix=".part", dir=folder)
    os.close(handle)
    made = Path(name)
    try:
        _copy(source, made)
        yield made
    finally:
        discard(made)


def discard(file: Path) -> None:
    """Take a store away with what stands beside it."""
    for side in ("", *SIDES, "-journal"):
        Path(f"{file}{side}").unlink(missing_ok=True)


def sync_folder(folder: Path) -> None:
    """Make the names in a folder last through a loss of power, where the system lets a program ask for that."""
    if sys.platform == "win32":
        return
    handle = os.open(folder, os.O_RDONLY)
    try:
        os.fsync(handle)
    finally:
        os.close(handle)


def _lock(file: int) -> None:
    """Lock an open file for this process, or raise OSError at once; the system lets it go with the process."""
    if sys.platform == "win32":
        import msvcrt

        msvcrt.locking(file, msvcrt.LK_NBLCK, 1)
    else:
        import fcntl

        fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)


@contextmanager
def held(folder: Path) -> Iterator[None]:
    """Hold the store of a folder for this process alone. Raises StoreProblem when another holds it."""
    with (folder / LOCK).open("a", encoding="ascii") as lock:
        try:
            _lock(lock.fileno())
        except (BlockingIOError, PermissionError):
            raise StoreProblem(f"Conch is already running with {folder}. Stop it first.") from None
        yield
