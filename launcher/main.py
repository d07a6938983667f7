"""The command line."""

from __future__ import annotations

import argparse
import os
import subprocess
import sys
import tempfile
from pathlib import Path

from lathework.identify.evidence import FIELDS
from launcher.environment import INSTALLED, ROOT, check_python
from launcher.messages import stop

DEFAULT_PORT = 8420
OF_A_CHECKOUT = ("test", "benchmark", "build", "campaign")
LEAST_RATE, MOST_RATE = 0.5, 100.0
"""Samples a second that a stand-in may speak at."""


def _rate(text: str) -> float:
    """Samples a second, as typed."""
    rate = float(text)
    if not LEAST_RATE <= rate <= MOST_RATE:
        raise argparse.ArgumentTypeError(f"must be between {LEAST_RATE:g} and {MOST_RATE:g} per second")
    return rate


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(
        prog="conch", description="Plan and cut threads on the lathe: sizes, job plans, bench guidance, log."
    )
    commands = parser.add_subparsers(dest="command", required=True, metavar="COMMAND")

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
    benchmark.add_argument("--json", action="store_true")

    size = commands.add_parser("size", help="show limits, blank, drills, groove and wires of a thread")
    size.add_argument("designation", nargs="+")
    size.add_argument("--class", dest="class_name", default="", metavar="CLASS", help="class of the external thread")
    size.add_argument("--internal-class", default="", metavar="CLASS", help="class of the internal thread")
    size.add_argument("--engagement", default="", metavar="LENGTH", help="length of engagement")
    size.add_argument(
        "--drills",
        metavar="FILE",
        help="file of drills you own, one per line: sizes, or the sets number, letter, fraction, metric",
    )
    size.add_argument("--percent", default="", metavar="N", help="thread percentage wanted in a tapped hole")
    size.add_argument("--json", action="store_true", help="print JSON, print JSON per line")

    methods = commands.add_parser("methods", help="rank the methods of making a thread")
    methods.add_argument("designation")
    methods.add_argument("--length", default="", metavar="LENGTH", help="full thread length (default: 1.5 diameters)")
    methods.add_argument("--count", default="1", metavar="N", help="number of pieces")
    methods.add_argument("--metal", default="mild-steel", metavar="CODE")
    methods.add_argument("--kit", metavar="FILE", help="shop file exported from the Shop page")
    methods.add_argument("--json", action="store_true")

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
    gears.add_argument("--length", default="", metavar="LENGTH", help="thread length, to show the total pitch error")
    gears.add_argument("--json", action="store_true")

    identify = commands.add_parser("identify", help="identify a thread from what you can measure")
    for field in FIELDS:
        identify.add_argument(f"--{field}", default="", metavar="TEXT")
    identify.add_argument("--json", action="store_true", help="print JSON")

    plan = commands.add_parser("plan", help="print the plan of a job file")
    plan.add_argument("file", metavar="JOB.json", help="a job file, or - for standard input")
    plan.add_argument("--json", action="store_true")

    stand_ins = commands.add_parser("instruments", help="simulate a readout and a caliper for a running Conch")
    stand_ins.add_argument("--port", type=int, default=DEFAULT_PORT, help="port of the running Conch")
    stand_ins.add_argument("--rate", type=_rate, default=10.0, metavar="N", help="samples per second (default 10)")
    stand_ins.add_argument("--seed", type=int, default=None, metavar="N", help="repeat the same noise")

    rebuild = commands.add_parser("rebuild", help="rebuild lists and indexes from the records")
    rebuild.add_argument("--data", metavar="DIR", help="data folder (default: .conch/data)")

    check = commands.add_parser("check", help="check the data and the latest backup (Conch may be running)")
    check.add_argument("--data", metavar="DIR", help="data folder (default: .conch/data)")
    check.add_argument("--json", action="store_true")

    for name, words in (
        ("backup", "back up the data to FILE"),
        ("restore", "replace the data with the backup in FILE"),
        ("export", "export everything to one zip file"),
        ("import", "import such a zip into an empty data folder"),
    ):
        command = commands.add_parser(name, help=words)
        command.add_argument("file", metavar="FILE")
        command.add_argument("--data", metavar="DIR", help="data folder (default: .conch/data)")
    return parser


def _in_place(module: str, arguments: list[str], **more: str) -> int:
    """Run a module of the project over a store of its own; its exit status."""
    from launcher.environment import prepared
    from launcher.serve import many_starts

    python = prepared(dev=True)
    with tempfile.TemporaryDirectory(prefix="conch-run-") as data:
        env = {**many_starts(Path(data)), **more}
        return subprocess.run([str(python), "-m", module, *arguments], cwd=ROOT, env=env, check=False).returncode


def _benchmark(*, as_json: bool) -> int:
    from launcher.environment import built_page, chromium

    built_page(bare=True)
    return _in_place("benchmarks.run", ["--json"] if as_json else [], CONCH_CHROMIUM=chromium())


def _start(options: argparse.Namespace) -> int:
    from launcher.serve import OnNetwork, start

    asked = (options.address, options.certificate, options.key)
    if any(asked) and not options.lan:
        stop("--address, --certificate and --key need --lan")
    network = OnNetwork(*asked) if options.lan else None
    return start(options.port, options.data, network, empty=options.empty, backups=not options.no_backups)


def _ended(arguments: list[str]) -> int:
    """One subcommand, whoever reads what it prints; 141 where that one left before the end, as a program that the
    system ends for it."""
    try:
        status = main(arguments)
        sys.stdout.flush()
    except BrokenPipeError:
        # What is left to be printed goes nowhere; else the interpreter would speak of it at its end.
        os.dup2(os.open(os.devnull, os.O_WRONLY), sys.stdout.fileno())
        return 128 + 13
    return status


def run() -> int:
    """The command, of a checkout or an installed wheel."""
    return _ended(sys.argv[1:])


def main(arguments: list[str]) -> int:
    """Run one subcommand; its exit status."""
    check_python()
    if INSTALLED and arguments[:1] and arguments[0] in OF_A_CHECKOUT:
        stop(f"{arguments[0]} works only in a source checkout, not in an installed Conch")
    if arguments[:1] == ["campaign"]:
        # What it takes is the campaign's own affair.
        return _in_place("tests.campaign", arguments[1:])
    options = _parser().parse_args(arguments)
    match options.command:
        case "start":
            return _start(options)
        case "test":
            from launcher.check import run_tests

            return run_tests(options.only, same_draws=not options.random, long=options.long)
        case "build":
            from launcher.build import build

            return build(options.to, with_needs=options.with_needs)
        case "benchmark":
            return _benchmark(as_json=options.json)
        case "instruments":
            from launcher.instruments import instruments

            return instruments(options.port, options.rate, options.seed)
        case "size":
            from launcher.answers import Tapping, print_sizes

            return print_sizes(
                options.designation,
                class_name=options.class_name,
                internal_class=options.internal_class,
                engagement=options.engagement,
                tapping=Tapping(options.drills, options.percent) if options.drills or options.percent else None,
                as_json=options.json,
            )
        case "methods":
            from launcher.methods import print_methods

            return print_methods(
                options.designation,
                length=options.length,
                count=options.count,
                metal=options.metal,
                kit=options.kit,
                as_json=options.json,
            )
        case "gears":
            from launcher.methods import print_gears

            typed = {"pitch": options.pitch, "leadscrew": options.leadscrew, "gears": ",".join(options.gears)}
            typed |= {"dial_teeth": options.dial[0], "dial_lines": options.dial[1], "length": options.length}
            return print_gears(typed, as_json=options.json)
        case "identify":
            from launcher.answers import print_identified

            typed = {field: getattr(options, field) for field in FIELDS}
            return print_identified(typed, as_json=options.json)
        case "plan":
            from launcher.answers import print_plan

            return print_plan(options.file, as_json=options.json)
        case "rebuild":
            from launcher.serve import on_store

            return on_store("server.rebuild", [], options.data)
        case "export" | "import":
            from launcher.serve import on_store

            file = str(Path(options.file).resolve())
            new = options.command == "import"
            return on_store("server.upkeep.run", [options.command, file], options.data, new=new)
        case "check":
            from launcher.serve import on_store

            return on_store("server.upkeep.run", ["check", *(["--json"] if options.json else [])], options.data)
        case "backup":
            from launcher.store import backup

            return backup(options.file, options.data)
        case _:
            from launcher.store import restore

            return restore(options.file, options.data)
