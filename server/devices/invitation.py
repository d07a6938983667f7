"""What the terminal of a server on the network says: where it is, the code that pairs a device, both as a picture."""

from __future__ import annotations

import io
import time

import segno
from django.conf import settings

from server.devices.api import pairing_address
from server.devices.codes import CODES, LASTS_S

PLAINLY = (
    "Plain http: whoever is on this network can read along, and could act as a device of yours. Use it on a network "
    "that is yours alone, or give --certificate and --key."
)


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
        f"On this network it is at {settings.NETWORK_ADDRESS}",
        *([] if secure else [PLAINLY]),
        f"Pair a tablet within {LASTS_S / 60:.0f} minutes: point its camera here,",
        f"or go there and type {spaced(digits)}.",
        drawn.getvalue(),
    ]
    return "\n".join(lines)
