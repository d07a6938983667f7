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

SEARCH_S = 20.0
BEST_KNOWN = {0: 1_009_498, 2: 4_132_225, 3: 2_636_685, 4: 419_349}
"""Random weeks by their seeds, and the least that any of some twenty searches has cost, of 17 to 60 s and by moves of
several kinds. To be found anew where what an order costs, or the random weeks, are changed."""
PEOPLE, BATCHES = 200, 5


def _search(seed: int, seconds: float) -> int:
    """What the best order of a random week costs that a search of so many seconds finds."""
    out = io.StringIO()
    seek(problem_json(week(seed)), seconds, out)
    *_, best = (orjson.loads(line)["cost"] for line in out.getvalue().splitlines()[:-1])
    return int(best)


def weeks() -> dict[str, float]:
    """Forty jobs, three lathes, two people."""
    placings = [Placing(week(seed)) for seed in range(10)]
    began = time.perf_counter()
    for placing in placings:
        simple_order(placing)
    first = (time.perf_counter() - began) / len(placings)
    over = [100 * (_search(seed, SEARCH_S) / best - 1) for seed, best in BEST_KNOWN.items()]
    return {
        "week_first_ms": round(first * 1000),
        "week_search_over_best_percent": round(statistics.median(over), 1),
        "week_search_over_best_worst_percent": round(max(over), 1),
        **paces(),
    }


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
