"""Devices: who asks, pairing, and looking after those that are known."""

from __future__ import annotations

import time
from typing import Annotated, Literal

from django.conf import settings
from django.http import HttpRequest, HttpResponse
from ninja import Field, Query, Router

from lathework.answers.declared_answer import answer as declared
from server.devices import actions
from server.devices.codes import CODES
from server.devices.known import COOKIE, hosts, looks, who
from server.devices.models import LONGEST_ID, Device, Role
from server.devices.picture import Picture, picture
from server.site.document_model import Strict
from server.site.place import address_of
from server.site.problems import PROBLEMS, answer

router = Router(tags=["devices"])
REMEMBERED_S = 400 * 24 * 3600
"""As long as browsers keep a cookie."""
LONGEST_TYPED = 60
PathOfPage = Annotated[str, Query(max_length=120, pattern=r"^/[\w/-]*$")]


class PairIn(Strict):
    """The code as typed, and what the device is called."""

    code: str = Field(max_length=LONGEST_TYPED)
    name: str = Field(max_length=LONGEST_TYPED)


class RoleIn(Strict):
    """What the next device becomes."""

    role: Role = "fitter"


class DeviceIn(Strict):
    """What a device is called from now on, and what it may do."""

    name: str = Field(max_length=LONGEST_TYPED)
    role: Role


@declared
class MeShown:
    """Who asks: `role` is "" for a device that is not known here; `network` whether others than the host are served."""

    role: Literal["host", "fitter", "onlooker", ""]
    name: str
    network: bool


@declared
class DeviceShown:
    """A device that is known here, when it was paired and when it was here last."""

    ident: str
    name: str
    role: Role
    paired_at: str
    seen_at: str


@declared
class CodeShown:
    """A code that pairs one device, what that becomes, how long it serves (seconds), and where to go with it."""

    digits: str
    role: Role
    seconds: int
    address: str
    picture: Picture


@declared
class DevicesShown:
    """Where the network finds this server, "" where only the host is served; the code that serves now; who is known."""

    address: str
    secure: bool
    code: CodeShown | None
    devices: tuple[DeviceShown, ...]


@declared
class PlaceShown:
    """Where a page is found from the network, and the same as a picture that a tablet reads; "" and None without."""

    address: str
    picture: Picture | None


def pairing_address(digits: str) -> str:
    """Where a device goes to be paired: what stands behind # is sent to no server, and kept in no log."""
    return address_of(f"/pair#{digits}")


def _code() -> CodeShown | None:
    now_s = time.monotonic()
    code = CODES.shown(now_s) if settings.NETWORK_ADDRESS else None
    if code is None:
        return None
    address = pairing_address(code.digits)
    return CodeShown(code.digits, code.role, round(code.until_s - now_s), address, picture(address))


def _device(device: Device) -> DeviceShown:
    role: Role = "onlooker" if device.role == "onlooker" else "fitter"
    return DeviceShown(device.ident, device.name, role, device.paired_at.isoformat(), device.seen_at.isoformat())


def _devices() -> HttpResponse:
    known = tuple(_device(one) for one in Device.objects.filter(revoked_at=None))
    return answer(DevicesShown(settings.NETWORK_ADDRESS, settings.NETWORK_ADDRESS.startswith("https"), _code(), known))


@router.get("/me", response={200: MeShown, **PROBLEMS}, auth=None)
def me(request: HttpRequest) -> HttpResponse:
    """Who asks."""
    known = who(request)
    network = bool(settings.NETWORK_ADDRESS)
    return answer(MeShown(known.role, known.name, network) if known else MeShown("", "", network))


@router.post("/pairing", response={200: MeShown, **PROBLEMS}, auth=None)
def pair(request: HttpRequest, payload: PairIn) -> HttpResponse:
    """Become known here, by the code that the host shows."""
    device, secret = actions.pair(payload.code, payload.name, request.META["REMOTE_ADDR"])
    told = answer(MeShown(_device(device).role, device.name, network=True))
    told.set_cookie(COOKIE, secret, max_age=REMEMBERED_S, httponly=True, samesite="Strict", secure=request.is_secure())
    return told


@router.get("/devices", response={200: DevicesShown, **PROBLEMS}, auth=hosts)
def devices(request: HttpRequest) -> HttpResponse:
    """The devices that are known, and the code that serves now."""
    return _devices()


@router.post("/devices/code", response={200: DevicesShown, **PROBLEMS}, auth=hosts)
def new_code(request: HttpRequest, payload: RoleIn) -> HttpResponse:
    """A code for one more device; the one before it serves no more."""
    if settings.NETWORK_ADDRESS:
        CODES.make(payload.role, time.monotonic())
    return _devices()


@router.put("/devices/{ident}", response={200: DevicesShown, **PROBLEMS}, auth=hosts)
def change(request: HttpRequest, ident: str, payload: DeviceIn) -> HttpResponse:
    """Another name, or another role."""
    actions.change(ident[:LONGEST_ID], payload.name, payload.role)
    return _devices()


@router.post("/devices/{ident}/let-go", response={200: DevicesShown, **PROBLEMS}, auth=hosts)
def let_go(request: HttpRequest, ident: str) -> HttpResponse:
    """Know a device no more."""
    actions.let_go(ident[:LONGEST_ID])
    return _devices()


@router.get("/place", response={200: PlaceShown, **PROBLEMS}, auth=looks)
def place(request: HttpRequest, path: PathOfPage) -> HttpResponse:
    """Where a page of this server is found from the network."""
    address = address_of(path)
    return answer(PlaceShown(address, picture(address) if address else None))
