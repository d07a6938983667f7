"""The week: how long a first order takes, how far a search of twenty seconds is from the best known, what is learned of
times beside the plan's own opinion."""

from __future__ import annotations

import io
import statistics
import time

import orjson

from lathework.week.learned import learn
from lathework.week.ordering import simple_order
from lathework.week.placing import Placing
from server.week.search.carried import problem_json
from server.week.search.seek import seek
from tests.simulation.paces import Somebody
from tests.simulation.test_paces import foretold
from tests.simulation.weeks import week

WEEKS, SEARCH_S, LONG_S = 3, 20.0, 60.0
PEOPLE, BATCHES = 200, 5


def _search(seed: int, seconds: float) -> tuple[int, int]:
    """What the first order of a random week costs, and the best that a search of so many seconds finds."""
    out = io.StringIO()
    seek(problem_json(week(seed)), seconds, out)
    found = [orjson.loads(line)["cost"] for line in out.getvalue().splitlines()[:-1]]
    return found[0], found[-1]


def weeks() -> dict[str, float]:
    """Forty jobs, three lathes, two people."""
    placings = [Placing(week(seed)) for seed in range(10)]
    began = time.perf_counter()
    for placing in placings:
        simple_order(placing)
    first = (time.perf_counter() - began) / len(placings)
    over = []
    for seed in range(WEEKS):
        _, found = _search(seed, SEARCH_S)
        _, best = _search(seed, LONG_S)
        over.append(100 * (found / min(found, best) - 1))
    return {"week_first_ms": round(first * 1000), "week_search_over_best_percent": round(max(over), 2), **paces()}


def paces() -> dict[str, float]:
    """The median error of a batch after five others, in hundredths, beside that of the plan alone."""
    learned, planned = [], []
    for seed in range(PEOPLE):
        who = Somebody(seed)
        pace = learn([step for _ in range(BATCHES) for step in who.batch().steps])
        batch = who.batch()
        learned.append(abs(foretold(pace, batch)[0] / batch.worked - 1))
        planned.append(abs(sum(step.expected for step in batch.steps) / batch.worked - 1))
    return {
        "pace_error_percent": round(100 * statistics.median(learned), 1),
        "plan_error_percent": round(100 * statistics.median(planned), 1),
    }
