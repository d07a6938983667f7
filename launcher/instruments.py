"""`./conch instruments`: stand-ins of a readout and a caliper that speak to a running server, as real ones would."""

from __future__ import annotations

import http.cookiejar
import json
import random
import select
import sys
import time
import urllib.error
import urllib.request

from lathework.errors import InputError
from lathework.instruments.sample import Sample
from lathework.instruments.stand_in import FAULTS, StandIn
from lathework.lengths import read_length

HELP = f"""x -0.5 · z 2 · zero x · preset x 12.7 · send 12.69 · fault {"|".join(FAULTS)} · quit
Lengths as on paper: 1/4 in, 6.35, 0.25 in; a bare number is millimetres."""


class Server:
    """The server that the stand-ins speak to, with the page's token."""

    def __init__(self, url: str) -> None:
        self.url, jar = url, http.cookiejar.CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(jar))
        self.opener.open(f"{url}/", timeout=10).read()
        self.token = next((one.value or "" for one in jar if one.name == "csrftoken"), "")

    def say(self, sample: Sample) -> None:
        """Send a sample. Raises OSError where nobody answers."""
        body = {"name": sample.name, "source": sample.source, "unit": "mm", "sent": sample.sent, "at": sample.at_s}
        request = urllib.request.Request(
            f"{self.url}/api/instruments/samples",
            json.dumps(body | dict(sample.axes)).encode(),
            {"Content-Type": "application/json", "X-CSRFToken": self.token, "Referer": self.url},
        )
        self.opener.open(request, timeout=10).read()


def _mm(text: str) -> float:
    bare = text.replace("−", "-")
    return (-1 if bare.startswith("-") else 1) * read_length(bare.lstrip("+-"), "mm", "value").mm


def obey(made: StandIn, line: str, now_s: float) -> Sample | None:
    """Do what a line says at `now_s` (seconds); what the caliper sends, where it is told to. Raises InputError."""
    word, *rest = line.split(maxsplit=2)
    match [word.lower(), *rest]:
        case ["x" | "z" as axis, by]:
            made.jog(axis, _mm(by), now_s)
        case ["zero", axis]:
            made.preset(axis.lower(), 0.0, now_s)
        case ["preset", axis, shows]:
            made.preset(axis.lower(), _mm(shows), now_s)
        case ["fault", fault]:
            made.fail(fault)
        case ["send", *size] if size:
            return made.caliper(_mm(" ".join(size)), now_s)
        case _:
            raise InputError("unknown-command", "line", HELP)
    return None


def _typed() -> str | None:
    """A line that was typed, "" for none yet; None at the end of it all."""
    if not select.select([sys.stdin], [], [], 0)[0]:
        return ""
    line = sys.stdin.readline()
    return None if not line or line.strip() == "quit" else line.strip()


def _speak(server: Server, made: StandIn, rate: float) -> None:
    while True:
        line = _typed()
        if line is None:
            return
        try:
            sent = obey(made, line, time.time()) if line else None
        except InputError as error:
            print(error.message, flush=True)
            sent = None
        for sample in (made.readout(time.time()), sent):
            if sample is not None:
                server.say(sample)
        time.sleep(1 / rate)


def instruments(port: int, rate: float, seed: int | None) -> int:
    """Run the stand-ins until they are told to quit, or nobody answers; `rate` samples a second."""
    url = f"http://127.0.0.1:{port}"
    try:
        server = Server(url)
        print(
            f"Simulated readout and caliper are sending to {url}, {rate:g} samples per second. Type a command:\n{HELP}",
            flush=True,
        )
        _speak(server, StandIn(random.Random(seed)), rate)
    except (OSError, urllib.error.URLError) as error:
        print(f"conch: Conch is not running at {url} ({error}). Start it with `./conch start`.", file=sys.stderr)
        return 2
    except KeyboardInterrupt:
        return 0
    return 0
