"""The code that pairs a device: one at a time, in the memory of this process, shown on the host alone."""

from __future__ import annotations

import secrets
import threading
from collections import Counter
from dataclasses import dataclass

from lathework.errors import InputError
from server.devices.models import Role

DIGITS, LASTS_S, MOST_TRIES, MOST_MISTAKES = 6, 600.0, 5, 500
"""Five tries from each address: a stranger who guesses spends his own, and the code still serves whoever reads it from
the host. A hundred addresses that guess are no workshop: the code goes, having been found once in 2,000 times."""
OVER = "This code has expired or was used. Ask for a new one on the host."
TOO_OFTEN = "Too many wrong tries. Ask for a new code on the host."


@dataclass(frozen=True, slots=True)
class Code:
    """A code, what a device becomes by it, and until when it serves (seconds)."""

    digits: str
    role: Role
    until_s: float


class Codes:
    """The code in force, if there is one."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._code: Code | None = None
        self._mistaken: Counter[str] = Counter()

    def make(self, role: Role, now_s: float) -> Code:
        """A new code at `now_s` (seconds); the one before it serves no more."""
        with self._lock:
            self._mistaken.clear()
            self._code = Code(f"{secrets.randbelow(10**DIGITS):0{DIGITS}d}", role, now_s + LASTS_S)
            return self._code

    def shown(self, now_s: float) -> Code | None:
        """The code that serves at `now_s` (seconds)."""
        with self._lock:
            return self._live(now_s)

    def take(self, typed: str, address: str, now_s: float) -> Role:
        """What a device at an address becomes that typed this at `now_s` (seconds): the code serves once. Raises
        InputError on "code"."""
        digits = "".join(typed.split())
        with self._lock:
            code = self._live(now_s)
            if code is None:
                raise InputError("no-code", "code", OVER)
            if self._mistaken[address] >= MOST_TRIES:
                raise InputError("too-often", "code", TOO_OFTEN)
            if not secrets.compare_digest(digits.encode("utf-8", "replace"), code.digits.encode("ascii")):
                self._mistaken[address] += 1
                raise InputError("wrong-code", "code", "Wrong code. Check the code on the host.")
            self._code = None
            return code.role

    def forget(self) -> None:
        """No code serves any more."""
        with self._lock:
            self._code = None

    def _live(self, now_s: float) -> Code | None:
        code = self._code
        return code if code and now_s < code.until_s and self._mistaken.total() < MOST_MISTAKES else None


CODES = Codes()
"""The one of this process."""
