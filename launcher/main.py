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
from launcher.options import parser

OF_A_CHECKOUT = ("test", "benchmark", "build", "campaign")


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
    options = parser().parse_args(arguments)
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
            typed |= {"gearbox": options.gearbox}
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
