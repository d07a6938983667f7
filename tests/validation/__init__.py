"""Published cases, one module a standard: the printed value, the formula by hand, ours.

Rows typed here are recalled from the printed tables they name and were not read off a copy again; a row that an
outside library carries is compared with that library instead. `docs/sources.md` says which is which.
"""
