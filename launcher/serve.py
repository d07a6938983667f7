"""`conch start`: prepare, migrate, load the demo on a first run, serve."""

from __future__ import annotations

import errno
import os
import signal
import socket
import subprocess
from dataclasses import dataclass
from pathlib import Path

from launcher.environment import HOME, INSTALLED, ROOT, make_folder, prepared, venv_python
from launcher.messages import say, stop
from server.network import HERE, NetworkProblem, find_network
from server.store import NAME


def data_folder(chosen: str | None) -> Path:
    """The folder that holds the database, for this user alone: `chosen`, or the one inside the checkout; that of this
    user's data, as the system has it, where this is no checkout."""
    return make_folder(Path(chosen).resolve() if chosen else _usual_folder(), private=True)


def _usual_folder() -> Path:
    if not INSTALLED:
        return HOME / "data"
    from platformdirs import user_data_path

    return user_data_path("conch", appauthor=False)


def server_environment(data: Path) -> dict[str, str]:
    """The variables the server reads, and what its C library reads: each thread taking memory from a place of its own
    would hold more than is used."""
    own = {"CONCH_DATA": str(data), "DJANGO_SETTINGS_MODULE": "server.settings", "PYTHONPATH": str(ROOT)}
    return {"MALLOC_ARENA_MAX": "2", **os.environ, **own}


def many_starts(data: Path) -> dict[str, str]:
    """The variables of a run that starts many servers: what Python compiles is kept for the next one, out of the
    sources, also where it is told to keep nothing."""
    env = {**server_environment(data), "PYTHONPYCACHEPREFIX": str(HOME / "compiled")}
    env.pop("PYTHONDONTWRITEBYTECODE", None)
    return env


def check_port(port: int) -> None:
    """Stop unless the port is free."""
    if not 0 <= port < 65536:
        stop(f"{port} is not a valid port. Use 1024 to 65535, or 0 for any free port")
    with socket.socket(socket.AF_INET, socket.SOCK_STREAM) as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind((HERE, port))
        except OSError as error:
            if error.errno == errno.EADDRINUSE:
                stop(f"port {port} is in use. Is Conch running already? Otherwise choose another with --port")
            stop(f"cannot listen on port {port}: {error.strerror}")


@dataclass(frozen=True)
class OnNetwork:
    """How the network is served: at which address, with which certificate and key; all None for the usual."""

    address: str | None = None
    certificate: str | None = None
    key: str | None = None

    def arguments(self) -> list[str]:
        """What the server is told. Stops with one line where it cannot be."""
        files = [Path(file).resolve() if file else None for file in (self.certificate, self.key)]
        try:
            find_network(self.address or "", *files)
        except NetworkProblem as problem:
            stop(str(problem))
        named = [("--address", self.address), *zip(("--certificate", "--key"), files, strict=True)]
        return ["--lan", *(str(part) for name, value in named if value for part in (name, value))]


def start(port: int, data: str | None, network: OnNetwork | None = None, *, empty: bool, backups: bool = True) -> int:
    """Prepare everything and serve until interrupted."""
    check_port(port)
    told = network.arguments() if network else []
    folder = data_folder(data)
    python = prepared()
    say("Starting Conch ...")
    command = [str(python), "-m", "server.serve", "--port", str(port), *(["--empty"] if empty else [])]
    command += [*([] if backups else ["--no-backups"]), *told, "--with-parent"]
    # Nothing is ever written there: that it closes says that this process is gone, however it went.
    server = subprocess.Popen(command, cwd=ROOT, env=server_environment(folder), stdin=subprocess.PIPE)
    # Told to end, the launcher takes the server with it: nothing is left listening.
    signal.signal(signal.SIGTERM, lambda *_: server.terminate())
    try:
        return server.wait()
    except KeyboardInterrupt:
        server.wait()
        return 0


def on_store(module: str, arguments: list[str], data: str | None, *, new: bool = False) -> int:
    """Run a module of the server on the store of a folder; one that has none stops it, unless a `new` one is made."""
    folder = data_folder(data)
    if not new and not (folder / NAME).exists():
        stop(f"no Conch data in {folder}. Run `./conch start` once, or give the right folder with --data.")
    command = [str(venv_python()), "-m", module, *arguments]
    return subprocess.run(command, cwd=ROOT, env=server_environment(folder), check=False).returncode
