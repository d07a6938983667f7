"""`python -m tests.campaign [--kills N] [--cuts N] [--requests N] [--parts N] [--seed N]`: the long run."""

from __future__ import annotations

import argparse
import json
import sys

from tests.campaign.fuzz import fuzz
from tests.campaign.kills import cuts, kills
from tests.campaign.parts import parts


def main() -> int:
    """Run it; the exit status is 1 where anything was lost, doubled or failed at."""
    parser = argparse.ArgumentParser(prog="tests.campaign", description=__doc__)
    parser.add_argument("--kills", type=int, default=300)
    parser.add_argument("--cuts", type=int, default=300)
    parser.add_argument("--requests", type=int, default=30_000)
    parser.add_argument("--parts", type=int, default=2_000)
    parser.add_argument("--seed", type=int, default=1)
    options = parser.parse_args()
    fuzzed, failed = fuzz(options.requests, options.seed)
    figures = {**kills(options.kills, options.seed), **cuts(options.cuts), **fuzzed, **parts(options.parts)}
    print(json.dumps(figures, indent=1))
    for request in failed[:20]:
        print(request, file=sys.stderr)
    bad = ("kills_lost", "kills_doubled", "cuts_lost", "cuts_doubled", "fuzz_5xx", "parts_wrong")
    return int(any(figures[name] for name in bad))


if __name__ == "__main__":
    sys.exit(main())
