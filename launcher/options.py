"""What can be typed after `conch`: each command and each of its options, with its help."""

from __future__ import annotations

import argparse
from collections.abc import Sequence
from typing import Protocol

from lathework.identify.evidence import ANGLES, FIELDS, FITS, GOES, WORN
from lathework.identify.priors import ORIGINS, TRADES
from lathework.shop.metals import materials
from lathework.units import LENGTH_UNITS


class Commands(Protocol):
    """What commands are added to: argparse has no public name for it."""

    def add_parser(self, name: str, *, help: str, add_help: bool = ...) -> argparse.ArgumentParser:
        """A command more."""


def _either(choices: Sequence[str]) -> str:
    """Choices as one reads them out."""
    return f"{', '.join(choices[:-1])} or {choices[-1]}"


DEFAULT_PORT = 8420
AS_JSON = "print JSON"
THREAD = "a thread as you would say it: 3/8-16, M8x1, 1/4 BSW, G3/8, 2BA"
#: What identification takes: how a value is named, and what it is.
EVIDENCE = {
    "outside": ("D", "outside diameter over the crests; several places with ; between"),
    "bore": ("D", "bore of a nut or hole, across the crests of its thread"),
    "tpi": ("N", "threads per inch of the pitch gauge that fits"),
    "pitch": ("P", "pitch of the metric pitch gauge that fits"),
    "fit": ("HOW", f"how well that pitch gauge sits: {_either(FITS)}"),
    "count": ("N", "threads counted along a rule, with --over"),
    "over": ("LENGTH", "the length that they take"),
    "angle": ("DEGREES", f"flank angle by a gauge: {_either(ANGLES)}"),
    "taper": ("YES-NO", "whether the thread tapers: yes or no"),
    "hand": ("HAND", "right or left"),
    "mate": ("DESIGNATION", "a known nut or bolt that was tried on it, with --goes"),
    "goes": ("HOW", f"how that went: {_either(GOES)}"),
    "marking": ("TEXT", "what is stamped on the part"),
    "origin": ("WHERE", f"where the part is from: {_either(ORIGINS)}"),
    "trade": ("TRADE", f"what it is from: {_either(TRADES)}"),
    "worn": ("HOW", f"wear: {_either(WORN)}"),
    "unit": ("UNIT", f"unit of numbers that have none: {_either(LENGTH_UNITS)}"),
}
LEAST_RATE, MOST_RATE = 0.5, 100.0
"""Samples a second that a stand-in may speak at."""


def _rate(text: str) -> float:
    """Samples a second, as typed."""
    rate = float(text)
    if not LEAST_RATE <= rate <= MOST_RATE:
        raise argparse.ArgumentTypeError(f"must be between {LEAST_RATE:g} and {MOST_RATE:g} per second")
    return rate


def _serving(commands: Commands) -> None:
    """Serving."""
    start = commands.add_parser("start", help="start Conch and print its address")
    start.add_argument(
        "--port", type=int, default=DEFAULT_PORT, help="port to serve on (default 8420; 0: any free port)"
    )
    start.add_argument("--data", metavar="DIR", help="data folder (default: .conch/data)")
    start.add_argument("--empty", action="store_true", help="start without the demo jobs")
    start.add_argument("--lan", action="store_true", help="also allow paired tablets on the local network")
    start.add_argument("--address", metavar="NAME", help="with --lan: this computer's address or name on the network")
    start.add_argument("--certificate", metavar="FILE", help="with --lan: encrypt with this certificate (PEM)")
    start.add_argument("--key", metavar="FILE", help="with --certificate: its private key (PEM)")
    start.add_argument("--no-backups", action="store_true", help="do not make daily backups")


def _of_a_checkout(commands: Commands) -> None:
    """What a checkout alone can do."""
    test = commands.add_parser("test", help="run every check and test")
    test.add_argument("only", nargs="*", metavar="TEST", help="run only these tests (Django test labels)")
    test.add_argument("--random", action="store_true", help="use new random examples in property tests")
    test.add_argument("--long", action="store_true", help="run every test at its full length (hours)")

    build = commands.add_parser("build", help="build an installable package (wheel) that needs only Python")
    build.add_argument("--to", default="build", metavar="DIR", help="output folder (default: build)")
    build.add_argument(
        "--with-needs", action="store_true", help="also fetch the packages it needs, for a machine without a network"
    )

    commands.add_parser(
        "campaign", help="endurance test: crashes, load and bad requests; prints figures", add_help=False
    )
    benchmark = commands.add_parser("benchmark", help="measure speed and size")
    benchmark.add_argument("--json", action="store_true", help=AS_JSON)


def _of_threads(commands: Commands) -> None:
    """Threads, methods, gears, identification, plans."""
    size = commands.add_parser("size", help="show limits, blank, drills, groove and wires of a thread")
    size.add_argument("designation", nargs="+", metavar="DESIGNATION", help=THREAD)
    size.add_argument("--class", dest="class_name", default="", metavar="CLASS", help="class of the external thread")
    size.add_argument("--internal-class", default="", metavar="CLASS", help="class of the internal thread")
    size.add_argument("--engagement", default="", metavar="LENGTH", help="length of engagement")
    size.add_argument(
        "--drills",
        metavar="FILE",
        help="file of drills you own, one per line: sizes, or the sets number, letter, fraction, metric",
    )
    size.add_argument("--percent", default="", metavar="N", help="thread percentage wanted in a tapped hole")
    size.add_argument("--json", action="store_true", help="print one JSON object per line")

    methods = commands.add_parser("methods", help="rank the methods of making a thread")
    methods.add_argument("designation", metavar="DESIGNATION", help=THREAD)
    methods.add_argument("--length", default="", metavar="LENGTH", help="full thread length (default: 1.5 diameters)")
    methods.add_argument("--count", default="1", metavar="N", help="number of pieces")
    methods.add_argument(
        "--metal", default="mild-steel", metavar="CODE", help=f"material (default mild-steel): {', '.join(materials())}"
    )
    methods.add_argument("--kit", metavar="FILE", help="shop file exported from the Shop page")
    methods.add_argument("--json", action="store_true", help=AS_JSON)

    gears = commands.add_parser("gears", help="find change gears for a pitch or a thread")
    gears.add_argument("pitch", metavar="PITCH", help="13 tpi, 1.5 mm, or a thread")
    gears.add_argument("--leadscrew", required=True, metavar="PITCH", help="8 tpi, 3 mm")
    gears.add_argument("--gears", required=True, nargs="+", metavar="TEETH", help="teeth of the gears you own")
    gears.add_argument(
        "--dial",
        nargs=2,
        default=("", ""),
        metavar=("TEETH", "LINES"),
        help="thread dial: teeth of its gear, number of lines",
    )
    gears.add_argument("--gearbox", default="", metavar="PITCHES", help="what a gearbox cuts: 8, 9, 10 tpi; 0.5, 1 mm")
    gears.add_argument("--length", default="", metavar="LENGTH", help="thread length, to show the total pitch error")
    gears.add_argument("--json", action="store_true", help=AS_JSON)

    identify = commands.add_parser("identify", help="identify a thread from what you can measure")
    for field in FIELDS:
        metavar, words = EVIDENCE[field]
        identify.add_argument(f"--{field}", default="", metavar=metavar, help=words)
    identify.add_argument("--json", action="store_true", help=AS_JSON)

    plan = commands.add_parser("plan", help="print the plan of a job file")
    plan.add_argument("file", metavar="JOB.json", help="a job file, or - for standard input")
    plan.add_argument("--json", action="store_true", help=AS_JSON)


def _beside_a_server(commands: Commands) -> None:
    """What speaks to a running server."""
    stand_ins = commands.add_parser("instruments", help="simulate a readout and a caliper for a running Conch")
    stand_ins.add_argument("--port", type=int, default=DEFAULT_PORT, help="port of the running Conch")
    stand_ins.add_argument("--rate", type=_rate, default=10.0, metavar="N", help="samples per second (default 10)")
    stand_ins.add_argument("--seed", type=int, default=None, metavar="N", help="repeat the same noise")


def _of_the_data(commands: Commands) -> None:
    """The data of a shop."""
    rebuild = commands.add_parser("rebuild", help="rebuild lists and indexes from the records")
    rebuild.add_argument("--data", metavar="DIR", help="data folder (default: .conch/data)")

    check = commands.add_parser("check", help="check the data and the latest backup (Conch may be running)")
    check.add_argument("--data", metavar="DIR", help="data folder (default: .conch/data)")
    check.add_argument("--json", action="store_true", help=AS_JSON)

    for name, words in (
        ("backup", "back up the data to FILE"),
        ("restore", "replace the data with the backup in FILE"),
        ("export", "export everything to one zip file"),
        ("import", "import such a zip into an empty data folder"),
    ):
        command = commands.add_parser(name, help=words)
        command.add_argument("file", metavar="FILE", help="the file to read or write")
        command.add_argument("--data", metavar="DIR", help="data folder (default: .conch/data)")


def parser() -> argparse.ArgumentParser:
    """The reader of a command line."""
    whole = argparse.ArgumentParser(
        prog="conch",
        description="Plan and cut threads on the lathe: sizes, job plans, bench guidance, log.",
        epilog="Exit status: 0 done; 1 something in the answer is wrong; 2 the command could not run.",
    )
    commands = whole.add_subparsers(dest="command", required=True, metavar="COMMAND")
    for add in (_serving, _of_a_checkout, _of_threads, _beside_a_server, _of_the_data):
        add(commands)
    return whole
