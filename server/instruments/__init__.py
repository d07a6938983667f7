"""Instruments that say what they show to this server: who they are, what they said last, what they are off by."""
