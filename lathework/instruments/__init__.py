"""Instruments as sources of lengths: what they say, whether to believe it, what they are off by; stand-ins of them."""
