"""`./conch campaign`: the long run; its figures as one JSON object."""

from __future__ import annotations

import argparse
import json
import subprocess
import sys
from collections.abc import Iterator

from tests.campaign.alone import offline
from tests.campaign.disks import can_mount, damaged_file, full_disk
from tests.campaign.door import bodies, pictures, strangers
from tests.campaign.fuzz import fuzz
from tests.campaign.kills import cuts, kills
from tests.campaign.load import load
from tests.campaign.mutants import mutants
from tests.campaign.parts import parts
from tests.campaign.plans import plans
from tests.campaign.pythons import pythons

COUNTS = (
    ("kills", 300, "times the server is killed while notes are recorded"),
    ("cuts", 300, "answers that are cut off"),
    ("offline", 1, "for an install from a folder of wheels that are fetched before, 0 for none"),
    ("pythons", 1, "for the core's tests on every interpreter that is found, 0 for none"),
    ("requests", 100_000, "odd requests"),
    ("parts", 2_000, "random parts of each kind that are made on the tests' own lathe"),
    ("plans", 7_000, "random jobs, each plan done on the tests' own lathe"),
    ("tests", 1, "for every test at its full length, 0 for none"),
    ("mutants", 300, "faults put into the program, for its tests to notice"),
    ("minutes", 120, "of a mixed load by eight people"),
    ("seed", 1, "of everything that is drawn"),
)
BAD = ("_lost", "_doubled", "_5xx", "_over_2s", "_wrong", "_unread", "_unrefused")


def _figures(options: argparse.Namespace, failed: list[str]) -> Iterator[tuple[str, float]]:
    """Each figure as it is known; requests that failed go to `failed`."""
    if options.kills:
        yield from kills(options.kills, options.seed).items()
    if options.cuts:
        yield from cuts(options.cuts).items()
    if can_mount():
        yield from full_disk().items()
    yield from damaged_file(50).items()
    yield from strangers(20).items()
    yield from bodies().items()
    yield from pictures(12).items()
    if options.offline:
        yield from offline().items()
    if options.pythons:
        yield from pythons().items()
    if options.requests:
        fuzzed, wrong = fuzz(options.requests, options.seed)
        failed.extend(wrong)
        yield from fuzzed.items()
    if options.parts:
        yield from parts(options.parts).items()
    if options.plans:
        yield from plans(options.plans, options.seed).items()
    if options.tests:
        yield "tests_wrong", float(subprocess.run([sys.executable, "conch", "test", "--long"], check=False).returncode)
    if options.mutants:
        yield from mutants(options.mutants, options.seed).items()
    if options.minutes:
        yield from load(options.minutes * 60, options.seed).items()


def main() -> int:
    """Run it; the exit status is 1 where anything was lost, doubled or failed at."""
    parser = argparse.ArgumentParser(
        prog="conch campaign", description="Endurance test: crashes, load and malformed requests."
    )
    for name, usual, words in COUNTS:
        parser.add_argument(f"--{name}", type=int, default=usual, metavar="N", help=f"{words} ({usual})")
    options = parser.parse_args()
    failed: list[str] = []
    figures: dict[str, float] = {}
    for figure, value in _figures(options, failed):
        figures[figure] = value
        print(f"{figure} {value}", file=sys.stderr, flush=True)
    print(json.dumps(figures, indent=1))
    for request in failed[:20]:
        print(request, file=sys.stderr)
    return int(any(value for name, value in figures.items() if name.endswith(BAD)))


if __name__ == "__main__":
    sys.exit(main())
