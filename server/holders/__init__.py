"""Holders one makes oneself: designed, not stored; the job that makes one is started as any other."""
