"""Every answer of the demo store, to be laid beside those of another version of the program.

`python -m tests.contract.demo_answers write FILE` serves a fresh demo store and keeps what the API answers;
`python -m tests.contract.demo_answers compare OLD NEW` names every place where two such files differ.
"""

from __future__ import annotations

import json
import sys
import tempfile
import urllib.parse
import urllib.request
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from lathework.threads.families import SERIES
from lathework.threads.library import library
from tests.browser.server import Server

PASSES_BY = ("_at", "key", "at", "last")
"""Ends of the names of what differs from one start to the next: times, and keys drawn at random."""
MATINGS = (("3/8-16", "M10"), ("1/2 BSW", "1/2-13"), ("M8", "M8x1"), ("2 BA", "#10-32"))
HOLES = ({"q": "M8"}, {"q": "3/8-16", "metal": "brass", "depth": "1"}, {"q": "2 BA", "percent": "70"})
PIPES = ("Rc1/2", "1/4 NPT", "Rp1/2")
READINGS = (("0.369", "in", "across"), ("12.4", "mm", "thread"))


def _wanted(jobs: list[int]) -> Iterator[tuple[str, dict[str, str]]]:
    for path in ("/choices", "/jobs", "/log", "/threads/series", "/threads/favourites"):
        yield path, {}
    for shelf in ("open", "archive", "bin"):
        yield "/jobs", {"shelf": shelf}
    for job in jobs:
        yield f"/jobs/{job}", {}
        for part in ("bench", "standing", "job.json", "readings.csv", "part.svg"):
            yield f"/jobs/{job}/{part}", {}
    for series in SERIES:
        yield "/threads/rows", {"series": series}
    for thread in library()[::4]:
        yield "/threads/card", {"q": thread.designation}
        yield "/size", {"q": thread.designation}
    for bolt, nut in MATINGS:
        yield "/threads/mating", {"bolt": bolt, "nut": nut}
    for hole in HOLES:
        yield "/threads/hole", hole
    for pipe in PIPES:
        yield "/threads/pipe-hole", {"q": pipe}
    for reading, unit, of in READINGS:
        yield "/sample", {"reading": reading, "unit": unit, "of": of}


def _got(url: str) -> Any:
    try:
        with urllib.request.urlopen(url) as answer:
            text = answer.read().decode()
    except urllib.error.HTTPError as error:
        text = error.read().decode()
    try:
        return json.loads(text)
    except ValueError:
        return text


def _steady(value: Any) -> Any:
    """The answer without what differs from one start to the next."""
    if isinstance(value, dict):
        return {k: _steady(v) for k, v in value.items() if not k.endswith(PASSES_BY) or isinstance(v, list | dict)}
    return [_steady(v) for v in value] if isinstance(value, list) else value


def write(file: Path) -> None:
    """Serve a fresh demo store and keep its answers in `file`."""
    with tempfile.TemporaryDirectory(prefix="conch-answers-") as folder:
        server = Server(Path(folder), empty=False)
        server.start()
        try:
            api = f"{server.url}/api"
            jobs = [row["id"] for row in _got(f"{api}/jobs")["jobs"]]
            told = {}
            for path, query in _wanted(sorted(jobs)):
                url = f"{path}?{urllib.parse.urlencode(query)}" if query else path
                told[url] = _steady(_got(f"{api}{url}"))
        finally:
            server.end()
    file.write_text(json.dumps(told, indent=1, sort_keys=True), encoding="utf-8")


def differences(old: Any, new: Any, path: str = "") -> Iterator[str]:
    """Every place where two answers differ, in words."""
    if isinstance(old, dict) and isinstance(new, dict):
        for key in sorted(set(old) | set(new)):
            if key not in old or key not in new:
                yield f"{path}/{key}: only in the {'new' if key in new else 'old'}"
            else:
                yield from differences(old[key], new[key], f"{path}/{key}")
    elif isinstance(old, list) and isinstance(new, list) and len(old) == len(new):
        for at, (one, other) in enumerate(zip(old, new, strict=True)):
            yield from differences(one, other, f"{path}/{at}")
    elif old != new:
        yield f"{path}: {str(old)[:80]} -> {str(new)[:80]}"


def main(arguments: list[str]) -> int:
    """Write or compare; the status is 1 where two files differ."""
    match arguments:
        case ["write", file]:
            write(Path(file))
            return 0
        case ["compare", old, new]:
            found = list(differences(*(json.loads(Path(one).read_text(encoding="utf-8")) for one in (old, new))))
            sys.stdout.write("".join(f"{line}\n" for line in found))
            return 1 if found else 0
        case _:
            sys.stderr.write(f"{__doc__}\n")
            return 2


if __name__ == "__main__":
    raise SystemExit(main(sys.argv[1:]))
