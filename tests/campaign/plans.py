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
    """How many of `count` random jobs are planned, not read, read but left without steps, and refused by the lathe."""
    planned = refused = without = wrong = 0
    for number in range(seed, seed + count):
        try:
            job = read_document(document(random_job(random.Random(number))))
        except InvalidDocument:
            refused += 1
            continue
        made = make_plan(job)
        if not made.goes:
            without += 1
            continue
        planned += 1
        try:
            Bench(made).run()
        except Refused as why:
            wrong += 1
            print(f"job {number}: {why}", file=sys.stderr)
    return {"plans": planned, "plans_not_read": refused, "plans_without_steps": without, "plans_wrong": wrong}
