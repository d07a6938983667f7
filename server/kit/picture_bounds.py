"""How large a photograph may come, how large it is kept, and what is said of one that cannot be read."""

from __future__ import annotations

LARGEST_BYTES = 5 * 1024 * 1024
SIDE = 800
"""Dots of the longer side that is kept."""
NO_PICTURE = "This file is not a picture that Conch can open. Choose a JPEG, PNG, WebP or GIF."
