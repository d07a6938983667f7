"""Holders one makes oneself: each dimension designed from the thread, the stock and the bar at hand, with its reason,
and the job that makes it."""
