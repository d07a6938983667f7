"""The server on its network over real sockets: who is let in, TLS, and devices that are slow, silent or cut off."""

from __future__ import annotations

import http.client
import json
import os
import re
import socket
import ssl
import subprocess
import sys
import tempfile
import time
import unittest
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from dataclasses import dataclass
from pathlib import Path
from typing import Any

import trustme

from tests.browser.server import ROOT, Server

THERE = "127.0.0.2"
"""Another address of this machine: it stands for the one that the network knows it by."""
STRANGER = "127.0.0.66"
NAME = "shop.example"
SILENT, PATIENCE_S = 20, 20.0


@dataclass(frozen=True)
class Told:
    """An answer over TLS."""

    status: int
    headers: http.client.HTTPMessage
    body: bytes


class Networked(unittest.TestCase):
    """A server on this machine and on its network."""

    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory(prefix="conch-network-")
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)

    def serve(self, *more: str) -> Server:
        server = Server(self.folder, empty=False, more=("--lan", "--address", THERE, *more))
        server.start()
        self.addCleanup(server.end)
        return server

    def get(self, port: int, path: str, ip: str, **headers: str) -> tuple[int, Any]:
        """Status and JSON of an answer over plain http."""
        with closing(http.client.HTTPConnection(ip, port, timeout=PATIENCE_S)) as connection:
            connection.request("GET", path, headers=headers)
            answer = connection.getresponse()
            return answer.status, json.loads(answer.read())

    def silent(self, port: int, count: int, said: bytes, source: str = "127.0.0.1") -> Iterator[socket.socket]:
        for _ in range(count):
            one = socket.create_connection((THERE, port), timeout=PATIENCE_S, source_address=(source, 0))
            self.addCleanup(one.close)
            one.sendall(said)
            yield one

    def crowd(self, port: int) -> None:
        """150 from one place that say nothing, and as many that begin and never end."""
        for said in (b"", b"POST /api/jobs HTTP/1.1\r\nHost: 127.0.0.2\r\n"):
            for _ in self.silent(port, 150, said, STRANGER):
                pass


class Plain(Networked):
    def test_a_crowd_of_one_stranger_keeps_no_other_device_out(self) -> None:
        port = self.serve().port
        self.get(port, "/api/me", "127.0.0.1")
        self.crowd(port)
        for ip in ("127.0.0.1", THERE):
            began = time.monotonic()
            self.assertEqual(self.get(port, "/api/me", ip)[0], 200)
            self.assertLess(time.monotonic() - began, PATIENCE_S / 4)

    def test_this_machine_is_let_in_and_the_network_is_asked_for_a_code(self) -> None:
        port = self.serve().port
        self.assertEqual(self.get(port, "/api/me", "127.0.0.1")[1]["role"], "host")
        self.assertEqual(self.get(port, "/api/me", THERE)[1], {"role": "", "name": "", "network": True})
        self.assertEqual(self.get(port, "/api/jobs", THERE)[0], 401)
        self.assertEqual(self.get(port, "/api/me", THERE, Host="evil.example")[1]["code"], "foreign-host")

    def test_nothing_but_loopback_answers_without_lan(self) -> None:
        server = Server(self.folder, empty=False)
        server.start()
        self.addCleanup(server.end)
        with self.assertRaises(ConnectionRefusedError):
            socket.create_connection((THERE, server.port), timeout=PATIENCE_S)

    def test_slow_devices_keep_nobody_waiting(self) -> None:
        """Twenty that began a request and never end it; twenty more that said how much they send and send nothing."""
        port = self.serve().port
        head = b"POST /api/jobs HTTP/1.1\r\nHost: 127.0.0.2\r\nContent-Type: application/json\r\n"
        waiting = [*self.silent(port, SILENT, head), *self.silent(port, SILENT, head + b"Content-Length: 900\r\n\r\n{")]
        for _ in range(5):
            began = time.monotonic()
            self.assertEqual(self.get(port, "/api/me", "127.0.0.1")[0], 200)
            self.assertLess(time.monotonic() - began, PATIENCE_S / 4)
        self.assertEqual(len(waiting), 2 * SILENT)


class Secured(Networked):
    """TLS with a certificate of an authority that the test makes."""

    def setUp(self) -> None:
        super().setUp()
        self.authority = trustme.CA()
        issued = self.authority.issue_cert(THERE, NAME)
        self.certificate, self.key = self.folder / "shop.pem", self.folder / "shop.key"
        issued.cert_chain_pems[0].write_to_path(str(self.certificate))
        issued.private_key_pem.write_to_path(str(self.key))
        self.trust = ssl.create_default_context()
        self.authority.configure_trust(self.trust)

    def serve(self, *more: str) -> Server:
        return super().serve("--certificate", str(self.certificate), "--key", str(self.key), *more)

    @contextmanager
    def connection(self, port: int) -> Iterator[http.client.HTTPSConnection]:
        with closing(http.client.HTTPSConnection(THERE, port, timeout=PATIENCE_S, context=self.trust)) as made:
            yield made

    def ask(self, port: int, method: str, path: str, body: Any = None, **headers: str) -> Told:
        with self.connection(port) as connection:
            connection.request(method, path, json.dumps(body) if body is not None else None, headers)
            answer = connection.getresponse()
            return Told(answer.status, answer.headers, answer.read())

    def test_a_device_is_paired_and_known_over_tls(self) -> None:
        server = self.serve()
        digits = json.loads(self.code(server.port))["code"]["digits"]
        page = self.ask(server.port, "GET", "/")
        token = str(re.search(r"csrftoken=([^;]+)", page.headers["Set-Cookie"])[1])  # type: ignore[index]
        self.assertIn("Secure", page.headers["Set-Cookie"])
        sent = {"Content-Type": "application/json", "X-CSRFToken": token, "Cookie": f"csrftoken={token}"}
        sent |= {"Origin": f"https://{THERE}:{server.port}", "Referer": f"https://{THERE}:{server.port}/"}
        pairing = {"code": digits, "name": "bench tablet"}
        foreign = self.ask(server.port, "POST", "/api/pairing", pairing, **sent | {"Origin": "https://evil.example"})
        self.assertEqual((foreign.status, json.loads(foreign.body)["code"]), (403, "csrf"))
        told = self.ask(server.port, "POST", "/api/pairing", pairing, **sent)
        self.assertEqual(told.status, 200, told.body)
        cookie = told.headers["Set-Cookie"].partition(";")[0]
        self.assertEqual(self.ask(server.port, "GET", "/api/jobs").status, 401)
        self.assertEqual(self.ask(server.port, "GET", "/api/jobs", Cookie=cookie).status, 200)
        with self.connection(server.port) as listening:
            listening.request("GET", "/api/jobs/2/live", headers={"Cookie": cookie})
            stream = listening.getresponse()
            self.assertEqual((stream.status, stream.headers["Content-Type"]), (200, "text/event-stream"))
            self.assertTrue(stream.read(1))

    def code(self, port: int) -> bytes:
        """What the host's own page, over plain http on this machine, says of the code."""
        with closing(http.client.HTTPConnection("127.0.0.1", port, timeout=PATIENCE_S)) as connection:
            connection.request("GET", "/api/devices")
            return connection.getresponse().read()

    def test_silent_and_plain_speakers_keep_nobody_waiting(self) -> None:
        """A handshake that is never begun holds one thread, not the door."""
        server = self.serve()
        waiting = [*self.silent(server.port, SILENT, b"")]
        for one in self.silent(server.port, 1, b"GET / HTTP/1.1\r\nHost: 127.0.0.2\r\n\r\n"):
            one.settimeout(PATIENCE_S)
            with suppress(ConnectionError):
                self.assertNotIn(b"200 OK", one.recv(1000))
        began = time.monotonic()
        self.assertEqual(self.ask(server.port, "GET", "/api/me").status, 200)
        self.assertLess(time.monotonic() - began, PATIENCE_S / 4)
        self.assertEqual(len(waiting), SILENT)

    def test_a_crowd_of_one_stranger_keeps_no_other_device_out(self) -> None:
        server = self.serve()
        self.get(server.port, "/api/me", "127.0.0.1")
        self.crowd(server.port)
        began = time.monotonic()
        self.assertEqual(self.ask(server.port, "GET", "/api/me").status, 200)
        self.assertLess(time.monotonic() - began, PATIENCE_S / 4)

    def test_what_is_larger_than_is_kept_is_refused(self) -> None:
        server = self.serve()
        sent = {"Content-Type": "application/json", "Content-Length": str(2**30)}
        with self.connection(server.port) as connection:
            connection.putrequest("POST", "/api/jobs")
            for name, value in sent.items():
                connection.putheader(name, value)
            connection.endheaders()
            self.assertEqual(connection.getresponse().status, 413)


class Refused(Networked):
    def refused(self, *arguments: str) -> str:
        """The one line that a server says which does not start."""
        command = [sys.executable, "-m", "server.serve", "--port", "0", "--lan", *arguments]
        env = {**os.environ, "CONCH_DATA": str(self.folder)}
        done = subprocess.run(command, cwd=ROOT, env=env, capture_output=True, text=True, timeout=60, check=False)
        self.assertEqual((done.returncode, done.stdout), (2, ""))
        [line] = done.stderr.splitlines()
        return line

    def test_what_cannot_be_served_is_told_in_a_line(self) -> None:
        certificate, key, other = (self.folder / name for name in ("a.pem", "a.key", "b.key"))
        authority = trustme.CA()
        issued = authority.issue_cert(NAME)
        issued.cert_chain_pems[0].write_to_path(str(certificate))
        issued.private_key_pem.write_to_path(str(key))
        authority.issue_cert("other.example").private_key_pem.write_to_path(str(other))
        self.assertIn("give both", self.refused("--certificate", str(certificate)))
        self.assertIn("give both", self.refused("--key", str(key)))
        self.assertIn("file not found", self.refused("--certificate", str(certificate), "--key", "nowhere.key"))
        self.assertIn("cannot use certificate", self.refused("--certificate", str(key), "--key", str(certificate)))
        self.assertIn("cannot use certificate", self.refused("--certificate", str(certificate), "--key", str(other)))
        self.assertIn("unknown address", self.refused("--address", "no.such.host.invalid"))
        self.assertIn("other devices cannot reach", self.refused("--address", "127.0.0.1"))
