"""Django's SQLite backend: its statements are alike from one transaction to the next, and its test clones hold what the
write-ahead log still keeps."""

from __future__ import annotations

from pathlib import Path
from typing import Any

from django.db.backends.sqlite3 import base
from django.db.backends.sqlite3.creation import DatabaseCreation as SqliteCreation


class DatabaseCreation(SqliteCreation):
    """Checkpoints before Django copies the main file, and drops stale side files of the copy."""

    def _clone_test_db(self, suffix: str, verbosity: int, keepdb: bool = False) -> None:
        with self.connection.cursor() as cursor:
            cursor.execute("PRAGMA wal_checkpoint(TRUNCATE)")
        clone = self.get_test_db_clone_settings(suffix)["NAME"]
        for side in ("-wal", "-shm"):
            Path(f"{clone}{side}").unlink(missing_ok=True)
        super()._clone_test_db(suffix, verbosity, keepdb)  # type: ignore[misc]  # the stubs leave it out


class DatabaseWrapper(base.DatabaseWrapper):
    """The stock wrapper with the clone above."""

    creation_class: Any = DatabaseCreation

    def _start_transaction_under_autocommit(self) -> None:
        """Names of savepoints are counted anew in each transaction.

        Else each would have a name that is never asked for again, and push what is worth keeping out of the prepared
        statements of its connection.
        """
        super()._start_transaction_under_autocommit()  # type: ignore[misc]  # the stubs leave it out
        self.savepoint_state = 0
