"""Orders of random weeks keep to everything that was said; small ones are the best there are."""

from __future__ import annotations

import os
import subprocess
import sys
import time
import unittest
from collections.abc import Callable, Sequence
from dataclasses import replace
from functools import partial
from itertools import permutations
from pathlib import Path
from random import Random
from typing import TypeVar

import orjson

from lathework.week.hours import Span
from lathework.week.model import Due, Person, Problem, Task
from lathework.week.ordering import WARM, Ordering, simple_order
from lathework.week.placing import DONE, LATE, LONGER, OF, RISKY, SETTING_UP, Placing
from server.week.search.carried import problem_json, problem_of
from server.week.search.seek import ATTENDED
from server.week.search.solver import solve
from tests.long import draws
from tests.simulation.weeks import faults, week

T = TypeVar("T")
CHILDREN = "/proc/{0}/task/{0}/children"
ROOT = Path(__file__).resolve().parents[2]
ALWAYS = (Span(0, 10_000),)
#: Fisher and Thompson (1963), six jobs on six machines: machine and minutes of each operation; the shortest makespan is
#: 55 (memory).
FT06 = (
    ((2, 1), (0, 3), (1, 6), (3, 7), (5, 3), (4, 6)),
    ((1, 8), (2, 5), (4, 10), (5, 10), (0, 10), (3, 4)),
    ((2, 5), (3, 4), (5, 8), (0, 9), (1, 1), (4, 7)),
    ((1, 5), (0, 5), (2, 5), (3, 3), (4, 8), (5, 9)),
    ((2, 9), (1, 3), (4, 5), (5, 4), (0, 3), (3, 1)),
    ((1, 3), (3, 3), (5, 9), (0, 10), (4, 4), (2, 1)),
)
SHORTEST = 55
#: TSPLIB (Reinelt 1991), br17: minutes from each of seventeen set-ups to each other one; the shortest round takes 39
#: (memory; a constraint solver proves it of these rows).
BR17 = """
9999 3 5 48 48 8 8 5 5 3 3 0 3 5 8 8 5
3 9999 3 48 48 8 8 5 5 0 0 3 0 3 8 8 5
5 3 9999 72 72 48 48 24 24 3 3 5 3 0 48 48 24
48 48 74 9999 0 6 6 12 12 48 48 48 48 74 6 6 12
48 48 74 0 9999 6 6 12 12 48 48 48 48 74 6 6 12
8 8 50 6 6 9999 0 8 8 8 8 8 8 50 0 0 8
8 8 50 6 6 0 9999 8 8 8 8 8 8 50 0 0 8
5 5 26 12 12 8 8 9999 0 5 5 5 5 26 8 8 0
5 5 26 12 12 8 8 0 9999 5 5 5 5 26 8 8 0
3 0 3 48 48 8 8 5 5 9999 0 3 0 3 8 8 5
3 0 3 48 48 8 8 5 5 0 9999 3 0 3 8 8 5
0 3 5 48 48 8 8 5 5 3 3 9999 3 5 8 8 5
3 0 3 48 48 8 8 5 5 0 0 3 9999 3 8 8 5
5 3 0 72 72 48 48 24 24 3 3 5 3 9999 48 48 24
8 8 50 6 6 0 0 8 8 8 8 8 8 50 9999 0 8
8 8 50 6 6 0 0 8 8 8 8 8 8 50 0 9999 8
5 5 26 12 12 8 8 0 0 5 5 5 5 26 8 8 9999
"""
SHORTEST_ROUND = 39
PATIENCE_S = 600.0
"""What a search takes is no matter of these tests: a slow machine is waited for."""


def job_shop(due: int) -> Problem:
    """Those jobs with a pair of hands at every machine, all wanted by a moment (minutes from now)."""
    tasks = []
    for job, operations in enumerate(FT06):
        for number, (machine, minutes) in enumerate(operations):
            after = (f"{job}.{number - 1}",) if number else ()
            ident, hands = f"{job}.{number}", (f"p{machine}",)
            tasks.append(Task(ident, job, "", f"m{machine}", minutes, frozenset(), after=after, people=hands))
    people = tuple(Person(f"p{number}", ALWAYS) for number in range(6))
    return Problem(tuple(tasks), {job: Due(due, 1) for job in range(6)}, people)


def late(placing: Placing, sequence: list[int], due: int) -> int:
    """Minutes that all jobs together end after they are due (minutes from now)."""
    order = placing.order(sequence)
    return sum(max(0, (order.done_at(job) or 0) - due) for job in range(6))


def gone(process: str) -> bool:
    """Whether a process is over, reaped or not."""
    try:
        return ") Z" in Path(f"/proc/{process}/stat").read_text()
    except (FileNotFoundError, ProcessLookupError):
        return True


def _noted(found: list[tuple[int, list[int]]], cost: int, sequence: Sequence[int]) -> None:
    found.append((cost, list(sequence)))


class Weeks(unittest.TestCase):
    def test_every_order_keeps_to_what_was_said(self) -> None:
        for seed in range(draws(60, 200)):
            problem = week(seed, jobs=12 + seed % 29)
            order = simple_order(Placing(problem), tries=120)
            with self.subTest(seed):
                self.assertEqual(faults(problem, order), [])

    def test_what_is_there_once_is_in_one_lathe_at_a_time(self) -> None:
        """Two people at two lathes: with the same die one after the other, with two dies side by side."""
        people = (Person("p", ALWAYS), Person("q", ALWAYS))
        for second, together in (("M6", False), ("M8", True)):
            dies = {"a": "M6", "b": second}
            tasks = tuple(Task(n, at, "", n, 60, frozenset({("die", dies[n])})) for at, n in enumerate(dies))
            problem = Problem(tasks, {0: Due(None, 1), 1: Due(None, 1)}, people)
            order = simple_order(Placing(problem))
            first, then = sorted(order.bookings, key=lambda one: one.begin)
            with self.subTest(second):
                self.assertEqual(then.begin < first.end, together)
                self.assertEqual(faults(problem, order), [])
        found: list[tuple[int, list[int]]] = []
        same = Problem(tuple(replace(task, holds=tasks[0].holds) for task in tasks), problem.dues, people)
        placing = Placing(same)
        self.assertTrue(solve(placing, simple_order(placing), PATIENCE_S, partial(_noted, found)))

    def test_the_checker_finds_faults(self) -> None:
        """An order of another week is none of this one."""
        problem = week(1)
        order = simple_order(Placing(problem), tries=30)
        early = Problem(problem.tasks, problem.dues, tuple(Person(one.name, one.spans[1:]) for one in problem.people))
        self.assertTrue(any("out of hours" in fault for fault in faults(early, order)))
        self.assertTrue(faults(Problem(problem.tasks[1:], problem.dues, problem.people), order))

    def test_the_same_week_is_put_in_the_same_order(self) -> None:
        one, again = (simple_order(Placing(week(5))) for _ in range(2))
        self.assertEqual([b.task.ident for b in one.bookings], [b.task.ident for b in again.bookings])

    def test_a_known_sequence_is_never_made_worse(self) -> None:
        placing = Placing(week(8, jobs=20))
        best = Ordering(placing).search(list(range(len(placing.tasks))), 4000, Random(2), warm=WARM)
        known = [placing.tasks[at].ident for at in best[1]]
        self.assertLessEqual(simple_order(placing, known).cost, best[0])

    def test_what_an_order_costs(self) -> None:
        """By its bookings, minute by minute, added up here."""
        problem = week(3)
        order = simple_order(Placing(problem), tries=60)
        total = SETTING_UP * sum(one.setting_up for one in order.bookings)
        hours = {one.name: [at for span in one.spans for at in range(span.begin, span.end)] for one in problem.people}
        for job, due in problem.dues.items():
            own = [one for one in order.bookings if one.task.job == job]
            worked = [sum(at < one.end for at in hours[one.person]) for one in own]
            total += due.weight * DONE * max(worked)
            if due.at is not None:
                wanted = [sum(at < due.at for at in hours[one.person]) for one in own]
                over = max(0, *(w - by for w, by in zip(worked, wanted, strict=True)))
                risky = max(0, *(LONGER * w - OF * by for w, by in zip(worked, wanted, strict=True)))
                total += due.weight * (LATE * over + RISKY * risky)
        self.assertEqual(order.cost, total)


class Best(unittest.TestCase):
    def test_as_good_as_trying_every_sequence(self) -> None:
        for seed in range(draws(12, 60)):
            placing = Placing(week(seed, jobs=4, lathes=2, people=1 + seed % 2))
            ordering, places = Ordering(placing), range(len(placing.tasks))
            if len(places) > 8:
                continue
            least = min(
                placing.place(turn)[0]
                for turn in permutations(places)
                if all(turn.index(before) < turn.index(at) for at in places for before in placing.after[at])
            )
            start = next(ordering.rules())
            with self.subTest(seed):
                found = min(ordering.search(start, 4000, Random(turn), warm=WARM)[0] for turn in range(3))
                self.assertLessEqual(found, least * 1.0005)

    def test_by_weight_and_minutes(self) -> None:
        """Smith (1956): on one machine the sum of weighted ends is least by minutes over weight."""
        random = Random(4)
        tasks = tuple(Task(str(n), n, "", "lathe:", random.randint(5, 90), frozenset()) for n in range(9))
        dues = {n: Due(None, random.choice((1, 2, 3, 6))) for n in range(9)}
        placing = Placing(Problem(tasks, dues, (Person("p", ALWAYS),)))
        smith = sorted(range(9), key=lambda at: tasks[at].minutes / dues[at].weight)
        self.assertEqual(simple_order(placing).cost, placing.place(smith)[0])

    def test_a_published_job_shop(self) -> None:
        """Wanted by its shortest makespan all are in time; a minute sooner somebody is late, and that is proven."""
        for due, over in ((SHORTEST, 0), (SHORTEST - 1, 1)):
            placing = Placing(job_shop(due))
            found: list[tuple[int, list[int]]] = []
            proven = solve(placing, simple_order(placing), PATIENCE_S, partial(_noted, found))
            with self.subTest(due):
                self.assertTrue(proven)
                self.assertEqual(late(placing, min(found)[1], due), over)

    def test_published_set_ups_that_depend_on_the_one_before(self) -> None:
        """One machine that is set up now as it has to be left: as many minutes of setting up as the shortest round."""
        minutes = [[int(cell) for cell in row.split()] for row in BR17.split("\n") if row]
        rounds = range(1, len(minutes))
        tasks = [Task(str(n), 1, "", "lathe:", 1, frozenset()) for n in rounds]
        back = Task("back", 1, "", "lathe:", 1, frozenset(), after=tuple(task.ident for task in tasks))
        placing = Placing(Problem((*tasks, back), {1: Due(None, 1)}, (Person("p", ALWAYS),)))
        of = [*rounds, 0]
        placing.first = [minutes[0][to] for to in of]
        placing.change = [[minutes[begin][to] for to in of] for begin in of]
        ordering = Ordering(placing)
        found = [ordering.search(next(ordering.rules()), 6000, Random(turn), warm=WARM)[1] for turn in range(3)]
        least = min(sum(one.setting_up for one in placing.order(sequence).bookings) for sequence in found)
        self.assertEqual(least, SHORTEST_ROUND)

    def test_the_solver_proves_it(self) -> None:
        """With a minute less somebody is late, and the solver knows the week it is given."""
        placing = Placing(week(2, jobs=5, lathes=2, people=1))
        found: list[tuple[int, list[int]]] = []
        start = simple_order(placing, tries=3)
        proven = solve(placing, start, PATIENCE_S, partial(_noted, found))
        self.assertTrue(proven)
        best = Ordering(placing).search(next(Ordering(placing).rules()), 8000, Random(1), warm=WARM)[0]
        self.assertLessEqual(min(found)[0], best)
        self.assertEqual(faults(placing.problem, placing.order(min(found)[1])), [])


class InItsProcess(unittest.TestCase):
    def asked(self) -> subprocess.Popen[bytes]:
        """A long search that has told of its first order."""
        asked = subprocess.Popen(
            [sys.executable, "-m", "server.week.search.seek", "600", ATTENDED],
            stdin=subprocess.PIPE,
            stdout=subprocess.PIPE,
            cwd=ROOT,
        )
        self.addCleanup(asked.kill)
        assert asked.stdin is not None and asked.stdout is not None
        asked.stdin.write(problem_json(week(6)) + b"\n")
        asked.stdin.flush()
        self.assertTrue(asked.stdout.readline())
        return asked

    def test_it_ends_with_whoever_asked(self) -> None:
        """Whoever listens is gone: nothing is left that works on."""
        asked = self.asked()
        assert asked.stdin is not None and asked.stdout is not None
        asked.stdin.close()
        self.assertNotEqual(asked.wait(timeout=PATIENCE_S), 0)
        asked.stdout.close()

    @unittest.skipUnless(Path("/proc/self/task").exists(), "no /proc here")
    def test_its_helper_ends_with_it(self) -> None:
        """Whoever asked is gone before the search is over: neither process is left."""
        asked = self.asked()
        assert asked.stdin is not None and asked.stdout is not None
        helper = self.waited(lambda: Path(CHILDREN.format(asked.pid)).read_text().split())
        asked.stdin.close()
        asked.wait(timeout=PATIENCE_S)
        self.waited(lambda: gone(helper[0]))
        asked.stdout.close()

    def waited(self, found: Callable[[], T]) -> T:
        """What comes to be, however slow the machine is."""
        until = time.monotonic() + PATIENCE_S
        while not (told := found()):
            self.assertLess(time.monotonic(), until)
            time.sleep(0.05)
        return told

    def test_a_problem_comes_over_whole(self) -> None:
        """But for titles and straying, which no search asks for."""
        problem = week(6)
        over = problem_of(problem_json(problem))
        self.assertEqual(over.dues, problem.dues)
        self.assertEqual(over.people, problem.people)
        kept = [(t.ident, t.job, t.station, t.minutes, t.holds, t.after, t.ready, t.people) for t in problem.tasks]
        self.assertEqual(
            [(t.ident, t.job, t.station, t.minutes, t.holds, t.after, t.ready, t.people) for t in over.tasks], kept
        )

    def test_it_tells_of_better_orders_and_ends(self) -> None:
        problem = week(6, jobs=6, people=1)
        ran = subprocess.run(
            [sys.executable, "-m", "server.week.search.seek", "2"],
            input=problem_json(problem),
            capture_output=True,
            cwd=ROOT,
            env={**os.environ, "DJANGO_SETTINGS_MODULE": "server.settings"},
            timeout=PATIENCE_S,
        )
        lines = [orjson.loads(line) for line in ran.stdout.splitlines()]
        *told, ended = lines
        self.assertTrue(ended["ended"])
        costs = [one["cost"] for one in told]
        self.assertEqual(costs, sorted(costs, reverse=True))
        self.assertEqual(sorted(told[-1]["sequence"]), sorted(task.ident for task in problem.tasks))
