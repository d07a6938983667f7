"""The sockets and the servers on them: plain http on this machine; plain http or TLS on its network."""

from __future__ import annotations

import errno
import os
import socket
import ssl
import threading
import time
from collections.abc import Callable
from typing import TYPE_CHECKING, Any

from server.network import HERE, Network
from server.site.refusals import tell_refusal

if TYPE_CHECKING:
    from cheroot.wsgi import Server

THREADS = 72
"""Each page that listens for news, and each bench that listens to its instruments, holds one."""
PORT_PATIENCE_S = 30.0
"""How long a port that is still in use is waited for: a server that was stopped lets it go a little later."""
SLOW_S = 15
"""How long a device may be silent in the middle of its request over TLS, which holds a thread meanwhile."""
Application = Callable[..., Any]


def bound(ip: str, port: int) -> socket.socket:
    """A socket on a port of an address, any that is free for 0. Raises OSError."""
    deadline = time.monotonic() + PORT_PATIENCE_S
    while True:
        made = socket.socket(socket.AF_INET, socket.SOCK_STREAM)
        if os.name == "posix":
            # Elsewhere this would share the port with whoever has it.
            made.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            made.bind((ip, port))
            return made
        except OSError as error:
            made.close()
            if error.errno != errno.EADDRINUSE or time.monotonic() > deadline:
                raise
            time.sleep(0.05)


def plain(application: Application, sockets: list[socket.socket], most_bytes: int) -> Any:
    """A server of plain http on sockets: it takes a request in before it gives it a thread."""
    from waitress.server import create_server

    return create_server(
        application,
        sockets=sockets,
        threads=THREADS,
        ident=None,
        max_request_body_size=most_bytes,
        clear_untrusted_proxy_headers=True,
    )


def secured(application: Application, ip: str, port: int, network: Network, most_bytes: int) -> Server:
    """A server of TLS on a port of an address."""
    from cheroot.ssl.builtin import BuiltinSSLAdapter
    from cheroot.wsgi import Server

    class Adapter(BuiltinSSLAdapter):
        """Greets a device in the thread that serves it: one that says nothing keeps nobody else waiting."""

        def wrap(self, sock: socket.socket) -> tuple[ssl.SSLSocket, dict[str, str]]:
            """The socket, its handshake made with the first read, and what the application is told of it."""
            wrapped = self.context.wrap_socket(sock, do_handshake_on_connect=False, server_side=True)
            return wrapped, {"wsgi.url_scheme": "https", "HTTPS": "on"}

    class Quiet(Server):
        """Tells in one line, once, what went wrong with a device."""

        def error_log(self, msg: str = "", level: int = 20, traceback: bool = False) -> None:
            """What went wrong."""
            tell_refusal(f"a connection that broke off or does not speak TLS: {msg.strip().partition(chr(10))[0]}")

    server = Quiet((ip, port), application, numthreads=THREADS, timeout=SLOW_S, server_name="conch")
    server.max_request_body_size = most_bytes
    server.ssl_adapter = Adapter(str(network.certificate), str(network.key))
    server.prepare()
    return server


class Listening:
    """Everything this process listens with. Raises OSError where an address cannot be had."""

    def __init__(self, application: Application, port: int, network: Network | None, most_bytes: int) -> None:
        here = bound(HERE, port)
        self.port = int(here.getsockname()[1])
        self._secured: Server | None = None
        sockets = [here]
        if network and network.certificate:
            self._secured = secured(application, network.ip, self.port, network, most_bytes)
        elif network:
            sockets.append(bound(network.ip, self.port))
        self._plain = plain(application, sockets, most_bytes)

    def run(self) -> None:
        """Answer until interrupted."""
        if self._secured:
            threading.Thread(target=self._secured.serve, name="TLS", daemon=True).start()
        self._plain.run()

    def close(self) -> None:
        """Listen no more."""
        self._plain.close()
        if self._secured:
            self._secured.stop()
