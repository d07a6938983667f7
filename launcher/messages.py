"""What the launcher says: progress on standard error, one clear line when it cannot go on."""

from __future__ import annotations

import sys
from typing import NoReturn


def say(text: str) -> None:
    """Tell the person what is going on."""
    print(text, file=sys.stderr, flush=True)


def stop(text: str) -> NoReturn:
    """Say in one line why it cannot go on, and exit with 2."""
    say(f"conch: {text}")
    raise SystemExit(2)
