"""Where a page of this server is found from the network."""

from __future__ import annotations

from django.conf import settings


def address_of(path: str) -> str:
    """The address of a page, by its `path` with the slash before it; "" where only this machine is served."""
    return f"{settings.NETWORK_ADDRESS}{path[1:]}" if settings.NETWORK_ADDRESS else ""
