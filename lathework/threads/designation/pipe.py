"""Pipe designations: G, R, Rc, Rp, NPT, NPSM."""

from __future__ import annotations

import re

from lathework.threads.designation.common import SIZE, fail, named
from lathework.threads.library import library
from lathework.threads.thread import Thread

_PIPE = re.compile(rf"^g\s*(?P<size>{SIZE})(?:\s*-\s*(?P<tpi>\d{{2}}))?$", re.ASCII)
_SEALING = re.compile(rf"^(?P<series>rc|rp|r)\s*(?P<size>{SIZE})$|^(?P<bspt>{SIZE})\s*bspt$", re.ASCII)
_AMERICAN = re.compile(
    rf"^(?P<size>{SIZE})(?:\s*[-x]\s*(?P<tpi>\d{{1,2}}(?:\.\d)?)|\s)?\s*(?P<series>npt|npsm)$", re.ASCII
)
_DRYSEAL = re.compile(r"\b(?:nptf|npsf|npsl|npsc|nps)$")


def read_pipe(text: str) -> Thread | None:
    """The thread a pipe designation means, or None when `text` is none. Raises InputError."""
    if _DRYSEAL.search(text):
        raise fail("taper-pipe", f"“{text}” is an American pipe thread that is not covered here; NPT and NPSM are.")
    if match := _SEALING.match(text):
        series = (match["series"] or "r").capitalize()
        name = f"{series}{(match['size'] or match['bspt']).replace(' ', '-')}"
        return named(name, name, "bsp")
    if match := _AMERICAN.match(text):
        size, series = match["size"].replace(" ", "-"), match["series"].upper()
        for thread in library():
            if thread.series == series and thread.designation.rsplit("-", 1)[0] == size:
                if match["tpi"] and float(match["tpi"]) != thread.tpi:
                    break
                return thread
        raise fail(
            "unknown-size", f"There is no such {series}.", [t.designation for t in library() if t.series == series]
        )
    if match := _PIPE.match(text):
        thread = named(f"G{match['size'].replace(' ', '-')}", f"G{match['size']}", "bsp")
        if match["tpi"] and float(match["tpi"]) != thread.tpi:
            text = f"{thread.designation} has {thread.tpi:g} threads per inch."
            raise fail("count-mismatch", text, [thread.designation])
        return thread
    return None
