"""Makes what the product needs: a Python environment with the locked requirements, and the built page."""

from __future__ import annotations

import hashlib
import os
import re
import shutil
import subprocess
import sys
import sysconfig
from collections.abc import Iterable, Mapping, Sequence
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path
from typing import Literal

from launcher.messages import say, stop
from server.store import FOLDER_MODE

Environment = Literal["run", "dev", "mutants"]
ROOT = Path(__file__).resolve().parent.parent
HOME = ROOT / ".conch"
WEB = ROOT / "web"
INSTALLED = (ROOT / "server" / "built").is_dir()
"""Whether this is a wheel that was installed, with its page and all it needs, and no checkout."""
OLDEST_PYTHON = (3, 11)
OLDEST_NODE = (20, 19)
REFERENCE = ROOT / "requirements" / "reference.txt"
"""Tables that tests compare with; installed without its dependencies, none of its code is run."""


def check_python() -> None:
    """Stop unless this Python is new enough."""
    if sys.version_info < OLDEST_PYTHON:
        wanted = ".".join(map(str, OLDEST_PYTHON))
        stop(f"Python {wanted} or newer is needed; this is {sys.version.split()[0]}")


def check_node() -> None:
    """Stop unless Node and npm are there and new enough."""
    node = shutil.which("node")
    if node is None or shutil.which("npm") is None:
        stop(
            f"Node {'.'.join(map(str, OLDEST_NODE))} or newer with npm is needed to build the page, and was not "
            'found. Install it, or see "Without Node" in README.md.'
        )
    told = subprocess.run([node, "--version"], capture_output=True, text=True, check=False).stdout
    version = tuple(int(n) for n in re.findall(r"\d+", told)[:2])
    if version < OLDEST_NODE:
        stop(f"Node {'.'.join(map(str, OLDEST_NODE))} or newer is needed; this is {told.strip() or 'unreadable'}")


def chromium() -> str:
    """Debian's Chromium, without its window where that is to be had; installed when it is missing and this user may."""
    # The shell without a window draws the same pages, in less time.
    for package in ("chromium-headless-shell", "chromium"):
        found = shutil.which(package) or _installed(package)
        if found:
            return found
    return stop(
        "the browser tests need Chromium: install it with `apt-get install chromium` as root, then run this again"
    )


def _installed(package: str) -> str | None:
    """The program of a Debian package, installed now; None where that cannot be done."""
    if not shutil.which("apt-get") or os.geteuid() != 0:
        return None
    say(f"Installing {package} for the browser tests ...")
    for arguments in (["update"], ["install", "-y", "--no-install-recommends", package]):
        subprocess.run(["apt-get", *arguments], capture_output=True, check=False)
    return shutil.which(package)


def make_folder(folder: Path, *, private: bool = False) -> Path:
    """Make a folder, for this user alone where it is `private`, or stop when it cannot be written."""
    try:
        folder.mkdir(parents=True, exist_ok=True)
        if private:
            folder.chmod(FOLDER_MODE)
        probe = folder / ".writable"
        probe.touch()
        probe.unlink()
    except OSError as error:
        stop(f"cannot write to {folder}: {error.strerror}. Choose another with --data.")
    return folder


def _digest(files: Iterable[Path]) -> str:
    total = hashlib.sha256(sys.version.encode())
    for file in sorted(files):
        total.update(str(file.relative_to(ROOT)).encode())
        total.update(file.read_bytes())
    return total.hexdigest()


def _fresh(stamp: Path, digest: str) -> bool:
    return stamp.exists() and stamp.read_text(encoding="ascii") == digest


def _run(command: Sequence[str | Path], what: str, cwd: Path = ROOT, env: Mapping[str, str] | None = None) -> None:
    """Run a preparing command quietly; show what it printed when it fails."""
    done = subprocess.run(
        [str(part) for part in command],
        cwd=cwd,
        env=dict(env) if env else None,
        capture_output=True,
        text=True,
        check=False,
    )
    if done.returncode:
        say(done.stdout[-4000:] + done.stderr[-4000:])
        stop(f"{what} failed. See the output above.")


def in_venv(folder: Path, program: str) -> Path:
    """A program of a Python environment, where this system's Python puts it."""
    scripts = Path(sysconfig.get_path("scripts", "venv", {"base": str(folder)}))
    return scripts / (f"{program}.exe" if os.name == "nt" else program)


def npm() -> str:
    """npm by its whole path: on some systems it is a script, which is found by that alone."""
    return shutil.which("npm") or stop("npm is needed to build the page, and was not found")


def venv_python(name: Environment = "run") -> Path:
    """The Python of an environment, with its locked requirements installed."""
    check_python()
    if INSTALLED:
        return Path(sys.executable)
    make_folder(HOME)
    folder = HOME / f"python-{name}"
    python = in_venv(folder, "python")
    locked = ROOT / "requirements" / f"{name}.txt"
    stamp = folder / "stamp"
    digest = _digest([locked] if name == "run" else [locked, REFERENCE])
    if python.exists() and _fresh(stamp, digest):
        return python
    say(f"Installing Python packages ({name}; first start only, about a minute) ...")
    shutil.rmtree(folder, ignore_errors=True)
    _run([sys.executable, "-m", "venv", folder], "making the Python environment")
    install: list[str | Path] = [python, "-m", "pip", "install", "--quiet", "--disable-pip-version-check"]
    _run([*install, "--require-hashes", "-r", locked], "installing the Python packages")
    if name != "run":
        _run([*install, "--no-deps", "--require-hashes", "-r", REFERENCE], "installing the reference tables")
    stamp.write_text(digest, encoding="ascii")
    return python


def node_modules() -> None:
    """The front end's packages, as locked."""
    check_node()
    stamp = WEB / "node_modules" / ".conch-stamp"
    digest = _digest([WEB / "package.json", WEB / "package-lock.json"])
    if _fresh(stamp, digest):
        return
    say("Installing packages for the page (first start only, about a minute) ...")
    _run([npm(), "ci", "--no-audit", "--no-fund"], "installing the front end's packages", cwd=WEB)
    stamp.write_text(digest, encoding="ascii")


def _sources() -> list[Path]:
    files = [WEB / n for n in ("index.html", "vite.config.ts", "package-lock.json", "tsconfig.json")]
    folders = (WEB / "src", WEB / "public", WEB / "bare")
    return files + [file for folder in folders for file in folder.rglob("*") if file.is_file()]


def built_page(*, bare: bool = False) -> Path:
    """The built front end, built again when its sources changed; `bare` is the page sizes are measured against."""
    node_modules()
    out = WEB / ("dist-bare" if bare else "dist")
    stamp = out / ".stamp"
    digest = _digest(_sources())
    if _fresh(stamp, digest):
        return out
    if not bare:
        say("Building the page ...")
    env = {**os.environ, "CONCH_BARE": "1" if bare else "0"}
    _run([npm(), "run", "--silent", "build"], "building the page", cwd=WEB, env=env)
    if not bare:
        _run([venv_python(), "-m", "whitenoise.compress", "--quiet", out], "compressing the page")
    stamp.write_text(digest, encoding="ascii")
    return out


def prepared(*, dev: bool = False) -> Path:
    """The environment's Python, and the page built; what either side needs is fetched at the same time."""
    if INSTALLED:
        return venv_python()
    with ThreadPoolExecutor() as pool:
        page = pool.submit(node_modules)
        python = venv_python("dev" if dev else "run")
        venv_python()
        page.result()
    built_page()
    return python
