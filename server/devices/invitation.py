"""What the terminal of a server on the network says: where it is, the code that pairs a device, both as a picture."""

from __future__ import annotations

import io
import time

import segno
from django.conf import settings

from server.devices.api import pairing_address
from server.devices.codes import CODES, LASTS_S

PLAINLY = "Not encrypted: use this only on a network you trust, or start with --certificate and --key."


def spaced(digits: str) -> str:
    """A code as it is read out.

    >>> spaced("482913")
    '482 913'
    """
    return f"{digits[:3]} {digits[3:]}"


def invitation(*, secure: bool) -> str:
    """A code for a first device, and how to use it."""
    digits = CODES.make("fitter", time.monotonic()).digits
    drawn = io.StringIO()
    segno.make_qr(pairing_address(digits), error="m").terminal(drawn, compact=True)
    lines = [
        f"On the network: {settings.NETWORK_ADDRESS}",
        *([] if secure else [PLAINLY]),
        f"To let a tablet in within {LASTS_S / 60:.0f} minutes, scan this code,",
        f"or open the address and type {spaced(digits)}.",
        drawn.getvalue(),
    ]
    return "\n".join(lines)
