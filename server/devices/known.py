"""Who asks: the machine that Conch runs on, or a device that was paired; and what each may do."""

from __future__ import annotations

import hashlib
import ipaddress
from contextlib import suppress
from dataclasses import dataclass
from datetime import timedelta
from typing import Literal

from django.conf import settings
from django.db import DatabaseError
from django.http import HttpRequest
from django.http.request import split_domain_port
from django.utils import timezone

from server.devices.models import Device, Role
from server.site.bodies import stated_bytes
from server.site.problems import NotAllowed, Unpaired

COOKIE = "conch_device"
SEEN_EVERY = timedelta(minutes=10)
_SAFE = ("GET", "HEAD", "OPTIONS")
ONLOOKER_BYTES = 64 * 1024
"""What an onlooker may have worked out: the largest job of the demo has a tenth of it."""


@dataclass(frozen=True, slots=True)
class Known:
    """Who asks: `name` is "" for the host."""

    role: Literal["host"] | Role
    ident: str = ""
    name: str = ""


HOST = Known("host")


def hashed(secret: str) -> str:
    """What is stored of a cookie's secret."""
    return hashlib.sha256(secret.encode("utf-8", "replace")).hexdigest()


def _is_host(request: HttpRequest) -> bool:
    """Whether a request comes from this machine, and asks for it by a name that the network does not use."""
    try:
        near = ipaddress.ip_address(request.META.get("REMOTE_ADDR", "")).is_loopback
    except ValueError:
        return False
    name, _ = split_domain_port(request.get_host())
    return near and name not in settings.NETWORK_HOSTS


def _seen(device: Device) -> None:
    """Note that a device was here; a store that cannot be written is no reason to refuse what is only read."""
    now = timezone.now()
    if abs(now - device.seen_at) >= SEEN_EVERY:
        with suppress(DatabaseError):
            Device.objects.filter(pk=device.pk).update(seen_at=now)


def who(request: HttpRequest) -> Known | None:
    """Who asks; None for a device that is not known here, or no more."""
    if _is_host(request):
        return HOST
    secret = request.COOKIES.get(COOKIE, "")
    device = Device.objects.filter(secret=hashed(secret), revoked_at=None).first() if secret else None
    if device is None:
        return None
    _seen(device)
    return Known("onlooker" if device.role == "onlooker" else "fitter", device.ident, device.name)


def looks(request: HttpRequest) -> Known:
    """Whoever is known may look, an onlooker at what is not too large. Raises Unpaired, or NotAllowed."""
    known = who(request)
    if known is None:
        raise Unpaired
    if known.role == "onlooker" and (stated_bytes(request) or 0) > ONLOOKER_BYTES:
        raise NotAllowed("onlooker", f"This device can view only: it may send at most {ONLOOKER_BYTES // 1024} KiB.")
    return known


def acts(request: HttpRequest) -> Known:
    """Whoever is known may look, and all but onlookers may change. Raises Unpaired, or NotAllowed."""
    known = looks(request)
    if known.role == "onlooker" and request.method not in _SAFE:
        raise NotAllowed("onlooker", "This device can view only.")
    return known


def hosts(request: HttpRequest) -> Known:
    """Devices are looked after on the host alone. Raises Unpaired, or NotAllowed."""
    known = looks(request)
    if known.role != "host":
        raise NotAllowed("host-only", "This can be done only on the host.")
    return known


def let_in(request: HttpRequest) -> Known:
    """Who asks, once it was let in."""
    found: Known = request.auth  # type: ignore[attr-defined]  # set by the API's framework
    return found


def device_of(request: HttpRequest) -> str:
    """The name of the device that asks, "" for the host, once it was let in."""
    return let_in(request).name
