"""A longer search for a better order of the week, in a process of its own."""
