"""The code that pairs a device: one at a time, in the memory of this process, shown on the host alone."""

from __future__ import annotations

import secrets
import threading
from dataclasses import dataclass, replace

from lathework.errors import InputError
from server.devices.models import Role

DIGITS, LASTS_S, MOST_TRIES = 6, 600.0, 5
"""A guess at random is right once in 200,000 codes; each has to be asked for on the host."""
OVER = "No code is shown on the host now, or it was used or tried too often: ask there for a new one."


@dataclass(frozen=True, slots=True)
class Code:
    """A code, what a device becomes by it, until when it serves (seconds), and how often it was mistaken."""

    digits: str
    role: Role
    until_s: float
    mistaken: int = 0


class Codes:
    """The code in force, if there is one."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._code: Code | None = None

    def make(self, role: Role, now_s: float) -> Code:
        """A new code at `now_s` (seconds); the one before it serves no more."""
        with self._lock:
            self._code = Code(f"{secrets.randbelow(10**DIGITS):0{DIGITS}d}", role, now_s + LASTS_S)
            return self._code

    def shown(self, now_s: float) -> Code | None:
        """The code that serves at `now_s` (seconds)."""
        with self._lock:
            return self._live(now_s)

    def take(self, typed: str, now_s: float) -> Role:
        """What a device becomes that typed this at `now_s` (seconds): the code serves once. Raises InputError on
        "code"."""
        digits = "".join(typed.split())
        with self._lock:
            code = self._live(now_s)
            if code is None:
                raise InputError("no-code", "code", OVER)
            if not secrets.compare_digest(digits.encode("utf-8", "replace"), code.digits.encode("ascii")):
                self._code = replace(code, mistaken=code.mistaken + 1)
                raise InputError("wrong-code", "code", "That is not the code that the host shows.")
            self._code = None
            return code.role

    def forget(self) -> None:
        """No code serves any more."""
        with self._lock:
            self._code = None

    def _live(self, now_s: float) -> Code | None:
        code = self._code
        return code if code and now_s < code.until_s and code.mistaken < MOST_TRIES else None


CODES = Codes()
"""The one of this process."""
