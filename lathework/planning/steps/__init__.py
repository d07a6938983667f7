"""The steps of a plan, a module a kind of work."""
