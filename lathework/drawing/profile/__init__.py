"""Thread profiles: one thread, one laid over another, the thread a hole leaves."""
