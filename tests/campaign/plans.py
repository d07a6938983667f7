"""Random jobs of every shape, planned, and each plan done act by act on the tests' own lathe."""

from __future__ import annotations

import random
import sys

from lathework.errors import InvalidDocument
from lathework.job.document import read_document
from lathework.planning.plan import make_plan
from lathework.tests.own_lathe import Bench, Refused, random_job
from lathework.tests.samples import document


def plans(count: int, seed: int) -> dict[str, float]:
    """How many of `count` random jobs are planned, refused beside a field, and planned so that the lathe refuses."""
    planned = refused = wrong = 0
    for number in range(seed, seed + count):
        try:
            job = read_document(document(random_job(random.Random(number))))
        except InvalidDocument:
            refused += 1
            continue
        planned += 1
        try:
            Bench(make_plan(job)).run()
        except Refused as why:
            wrong += 1
            print(f"job {number}: {why}", file=sys.stderr)
    return {"plans": planned, "plans_not_read": refused, "plans_wrong": wrong}
