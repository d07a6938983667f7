"""Where this machine is found on its network. Needs Python alone."""

from __future__ import annotations

import ipaddress
import socket
import ssl
from dataclasses import dataclass
from pathlib import Path

HERE = "127.0.0.1"
_ELSEWHERE = ("192.0.2.1", 9)
"""An address for examples alone (RFC 5737): a socket that is set up towards it sends nothing, and says from where it
would have sent."""


class NetworkProblem(Exception):
    """Why the network cannot be served: one sentence."""


@dataclass(frozen=True, slots=True)
class Network:
    """The address to listen at, the names that mean it, the one that is shown; the certificate and key of TLS."""

    ip: str
    names: tuple[str, ...]
    shown: str
    certificate: Path | None = None
    key: Path | None = None

    def url(self, port: int) -> str:
        """Where the page is found."""
        return f"http{'s' if self.certificate else ''}://{self.shown}:{port}/"


def _own_ip() -> str:
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        try:
            probe.connect(_ELSEWHERE)
            ip = str(probe.getsockname()[0])
        except OSError:
            ip = "0.0.0.0"
    found = ipaddress.ip_address(ip)
    if found.is_loopback or found.is_unspecified:
        raise NetworkProblem("no network found. If that is wrong, give this computer's address with --address.")
    return ip


def _ip_of(address: str) -> str:
    try:
        return socket.gethostbyname(address)
    except (OSError, UnicodeError):
        raise NetworkProblem(f"unknown address: {address}") from None


def check_certificate(certificate: Path, key: Path) -> None:
    """Whether a certificate can be served with its key. Raises NetworkProblem."""
    for file in (certificate, key):
        if not file.is_file():
            raise NetworkProblem(f"file not found: {file}")
    try:
        # A key with a password would be asked for at the terminal: nobody answers there.
        ssl.SSLContext(ssl.PROTOCOL_TLS_SERVER).load_cert_chain(certificate, key, password=lambda: "")
    except (OSError, ValueError) as error:
        # The library's own errors are errors of the system to Python.
        raise NetworkProblem(f"cannot use certificate {certificate} with key {key}: {error}") from None


def find_network(address: str, certificate: Path | None, key: Path | None) -> Network:
    """This machine on its network: by the `address` or name that was given, or as it finds itself. Raises
    NetworkProblem."""
    if (certificate is None) != (key is None):
        raise NetworkProblem("give both --certificate and --key")
    if certificate and key:
        check_certificate(certificate, key)
    ip = _ip_of(address) if address else _own_ip()
    if ip == HERE or ipaddress.ip_address(ip).is_unspecified:
        raise NetworkProblem(f"other devices cannot reach {address}. Give this computer's network address.")
    own = socket.gethostname()
    names = dict.fromkeys((address or ip, ip, own, f"{own}.local"))
    return Network(ip, tuple(name.lower() for name in names if name != "localhost"), address or ip, certificate, key)
