"""SQLite in WAL mode, cloned whole for parallel test runs."""
