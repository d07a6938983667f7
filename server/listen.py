"""The sockets and the servers on them: plain http on this machine; plain http or TLS on its network."""

from __future__ import annotations

import errno
import os
import select
import socket
import ssl
import threading
import time
from collections import Counter
from collections.abc import Callable
from contextlib import suppress
from typing import TYPE_CHECKING, Any

from server.network import HERE, Network
from server.site.refusals import tell_refusal

if TYPE_CHECKING:
    from cheroot.wsgi import Server

THREADS = 72
"""Each page that listens for news, and each bench that listens to its instruments, holds one; this machine and its
network have as many each: whatever strangers do, this machine is answered."""
MOST_HERE, MOST_OF_NETWORK, MOST_OF_ONE = 100, 512, 48
"""Connections at a time: of this machine, of all devices together, of each. A browser with ten pages has thirty."""
SILENT_S = 20
"""How long a device may be silent between its requests before it has to connect anew."""
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


def plain(application: Application, own: socket.socket, most_bytes: int, *, network: bool) -> Any:
    """A server of plain http on a socket of this machine or of its network: it takes a request in before it gives it a
    thread."""
    from waitress.adjustments import Adjustments
    from waitress.server import TcpWSGIServer

    class OfNetwork(TcpWSGIServer):
        """Takes only so many connections of one device."""

        def accept(self) -> tuple[socket.socket, tuple[str, int]] | None:
            """The next connection, None where there is none or its device has enough."""
            found: tuple[socket.socket, tuple[str, int]] | None = super().accept()
            # By what a socket is numbered; the library's own annotation is of another thing.
            guests: dict[int, Any] = self.active_channels  # type: ignore[assignment]
            if found and sum(one.addr[0] == found[1][0] for one in guests.values()) >= MOST_OF_ONE:
                found[0].close()
                return None
            return found

    told = Adjustments(
        sockets=[own],
        threads=THREADS,
        ident=None,
        max_request_body_size=most_bytes,
        clear_untrusted_proxy_headers=True,
        connection_limit=MOST_OF_NETWORK if network else MOST_HERE,
        asyncore_use_poll=hasattr(select, "poll"),
        **({"channel_timeout": SILENT_S, "cleanup_interval": 5} if network else {}),
    )
    about = (own.family, own.type, own.proto, own.getsockname())
    kind = OfNetwork if network else TcpWSGIServer
    return kind(application, _sock=own, adj=told, bind_socket=False, sockinfo=about)


def secured(application: Application, ip: str, port: int, network: Network, most_bytes: int) -> Server:
    """A server of TLS on a port of an address."""
    from cheroot.server import HTTPConnection
    from cheroot.ssl.builtin import BuiltinSSLAdapter
    from cheroot.wsgi import Server

    class Adapter(BuiltinSSLAdapter):
        """Greets a device in the thread that serves it: one that says nothing keeps nobody else waiting."""

        def wrap(self, sock: socket.socket) -> tuple[ssl.SSLSocket, dict[str, str]]:
            """The socket, its handshake made with the first read, and what the application is told of it."""
            wrapped = self.context.wrap_socket(sock, do_handshake_on_connect=False, server_side=True)
            return wrapped, {"wsgi.url_scheme": "https", "HTTPS": "on"}

    class Guest(HTTPConnection):
        """A connection of a device: known from its first moment to its last."""

        greeted = counted = False

        def close(self) -> None:
            """It is over."""
            super().close()
            self.server.leaves(self)

    class Quiet(Server):
        """Gives no thread to a device that has not spoken, and takes only so many connections of one; tells what went
        wrong with it in one line, once."""

        ConnectionClass = Guest
        keep_alive_conn_limit = MOST_OF_NETWORK

        def __init__(self, *about: Any, **more: Any) -> None:
            super().__init__(*about, **more)
            self._guests: Counter[str] = Counter()
            self._count = threading.Lock()

        def process_conn(self, conn: Guest) -> None:
            """A connection that is new, to be waited for, or one that speaks."""
            if conn.greeted:
                super().process_conn(conn)
                return
            conn.greeted = True
            if self._comes(conn):
                self.put_conn(conn)
            else:
                conn.close()

        def _comes(self, conn: Guest) -> bool:
            with self._count:
                if self._guests[conn.remote_addr] >= MOST_OF_ONE or self._guests.total() >= MOST_OF_NETWORK:
                    return False
                self._guests[conn.remote_addr] += 1
                conn.counted = True
                return True

        def leaves(self, conn: Guest) -> None:
            """A connection is over."""
            with self._count:
                if conn.counted:
                    conn.counted = False
                    self._guests[conn.remote_addr] -= 1

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
        self._network: Any = None
        if network and network.certificate:
            self._secured = secured(application, network.ip, self.port, network, most_bytes)
        elif network:
            self._network = plain(application, bound(network.ip, self.port), most_bytes, network=True)
        self._here = plain(application, here, most_bytes, network=False)

    def run(self) -> None:
        """Answer until interrupted."""
        if self._secured:
            threading.Thread(target=self._secured.serve, name="TLS", daemon=True).start()
        if self._network:
            threading.Thread(target=self._run_network, name="network", daemon=True).start()
        self._here.run()

    def _run_network(self) -> None:
        # What it waits on is closed under it when the program ends.
        with suppress(OSError, ValueError):
            self._network.run()

    def close(self) -> None:
        """Listen no more."""
        self._here.close()
        if self._secured:
            self._secured.stop()
        if self._network:
            self._network.close()
            self._network.task_dispatcher.shutdown()
