"""Devices come and go: paired by a code, named, given another role, let go."""

from __future__ import annotations

import secrets
import time

from django.db import transaction
from django.http import Http404
from django.utils import timezone

from lathework.errors import InputError
from lathework.reader import UNSTORABLE, storable
from server.devices.codes import CODES
from server.devices.known import hashed
from server.devices.models import LONGEST_NAME, Device, Role
from server.site.news import NEWS
from server.site.refusals import tell_refusal

MOST_DEVICES = 40


def _name(typed: str, besides: str = "") -> str:
    """A name that no other device has. Raises InputError on "name"."""
    name = " ".join(typed.split())
    if not name:
        raise InputError("empty", "name", "Give this device a name, for example bench tablet.")
    if len(name) > LONGEST_NAME:
        raise InputError("too-long", "name", f"The name is too long: {len(name)} characters, at most {LONGEST_NAME}.")
    if not storable(name):
        raise InputError("unreadable", "name", UNSTORABLE)
    if Device.objects.filter(name=name, revoked_at=None).exclude(pk=besides).exists():
        raise InputError("taken", "name", "Another device has this name. Choose a different one.")
    return name


@transaction.atomic
def pair(typed_code: str, typed_name: str, address: str) -> tuple[Device, str]:
    """A new device at an address of the network, and the secret that it is known by from now on. Raises InputError
    beside "code" or "name"."""
    # The name first: one that will not do leaves the code as it is.
    name = _name(typed_name)
    if Device.objects.filter(revoked_at=None).count() >= MOST_DEVICES:
        raise InputError(
            "too-many", "name", f"{MOST_DEVICES} devices are paired, the most there may be. Remove one first."
        )
    try:
        role = CODES.take(typed_code, address, time.monotonic())
    except InputError as error:
        tell_refusal(f"a pairing code: {error.message}")
        raise
    secret, now = secrets.token_urlsafe(32), timezone.now()
    NEWS.tell_once_stored("devices")
    device = Device.objects.create(
        ident=f"d{secrets.token_hex(5)}", name=name, role=role, secret=hashed(secret), paired_at=now, seen_at=now
    )
    return device, secret


def _device(ident: str) -> Device:
    found = Device.objects.filter(pk=ident, revoked_at=None).first()
    if found is None:
        raise Http404(f"There is no device {ident}.")
    return found


@transaction.atomic
def change(ident: str, typed_name: str, role: Role) -> Device:
    """Another name, or another role. Raises InputError beside "name"; Http404."""
    device = _device(ident)
    device.name, device.role = _name(typed_name, ident), role
    device.save(update_fields=["name", "role"])
    NEWS.tell_once_stored("devices")
    return device


@transaction.atomic
def let_go(ident: str) -> None:
    """The device is known no more: its cookie opens nothing. Raises Http404."""
    device = _device(ident)
    device.revoked_at = timezone.now()
    device.save(update_fields=["revoked_at"])
    NEWS.tell_once_stored("devices")
