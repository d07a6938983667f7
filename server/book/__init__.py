"""The book of threads: browse, look up, compare, keep."""
