"""Faults put into the program one at a time: whether its tests notice. Run by `mutants` in an environment of its own.

What is put in comes from cosmic-ray's operators; which tests run a line, from coverage's contexts. Of every fault that
changes more than an annotation or a decorator so many are drawn, and each is tried on the tests that run its line,
those that run the least besides it first.
"""

from __future__ import annotations

import argparse
import ast
import os
import random
import subprocess
import sys
import time
from collections import Counter, defaultdict
from collections.abc import Iterator, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from functools import cache
from itertools import islice
from pathlib import Path
from queue import Queue

from cosmic_ray.ast import ast_nodes, get_ast
from cosmic_ray.mutating import mutate_code
from cosmic_ray.plugins import get_operator, operator_names
from coverage import CoverageData

ROOMS = (
    *("lathework/cutting", "lathework/bench", "lathework/dies", "lathework/methods", "lathework/planning/steps"),
    "server/jobs/actions",
)
"""Where faults are put."""
LABELS = (
    "lathework",
    "tests.validation",
    "tests.contract.test_working",
    "server.jobs.tests.test_acts",
    "server.jobs.tests.test_bench",
    "server.jobs.tests.test_jobs",
    "server.jobs.tests.test_shelves",
)
OPERATORS = (
    *("ReplaceComparisonOperator", "ReplaceBinaryOperator", "ReplaceUnaryOperator", "NumberReplacer"),
    *("ReplaceTrueWithFalse", "ReplaceFalseWithTrue", "ReplaceAndWithOr", "ReplaceOrWithAnd", "AddNot"),
    *("ReplaceBreakWithContinue", "ReplaceContinueWithBreak", "ZeroIterationForLoop"),
)
"""Those whose faults are a person's slips, by how their names begin."""
LONGEST_S, MOST_TESTS = 120, 150
"""How long the tests of one fault may take, in seconds, and how many of them are run."""


@dataclass(frozen=True)
class Fault:
    """One fault: where, which, and the source with it."""

    file: str
    line: int
    operator: str
    source: str
    was: str
    now: str

    def __str__(self) -> str:
        return f"{self.file}:{self.line} {self.was} -> {self.now}"


class _Bare(ast.NodeTransformer):
    """A module without what no run of it meets: annotations, decorators, words about things."""

    def visit_FunctionDef(self, node: ast.FunctionDef) -> ast.AST:
        node.decorator_list, node.returns = [], None
        return self.generic_visit(node)

    def visit_ClassDef(self, node: ast.ClassDef) -> ast.AST:
        node.decorator_list = []
        return self.generic_visit(node)

    def visit_arg(self, node: ast.arg) -> ast.AST:
        node.annotation = None
        return node

    def visit_AnnAssign(self, node: ast.AnnAssign) -> ast.AST:
        node.annotation = ast.Constant(None)
        return self.generic_visit(node)


def _bare(source: str) -> str:
    return ast.dump(_Bare().visit(ast.parse(source)))


@dataclass(frozen=True)
class Place:
    """Where a fault can be put: the which-th place of an operator in a file."""

    file: str
    operator: str
    which: int
    line: int


def places_of(root: Path, file: str) -> Iterator[Place]:
    """Every place of a file."""
    nodes = list(ast_nodes(get_ast((root / file).read_text(encoding="utf-8"))))
    for name in operator_names():
        if name.partition("/")[2].startswith(OPERATORS):
            operator = get_operator(name)()
            places = (at for node in nodes for at in operator.mutation_positions(node))
            yield from (Place(file, name, which, start[0]) for which, (start, _) in enumerate(places))


def fault_at(root: Path, place: Place) -> Fault | None:
    """The fault of a place; None where it means nothing: an annotation, a decorator, no program any more."""
    source = (root / place.file).read_text(encoding="utf-8")
    changed = mutate_code(source, get_operator(place.operator)(), place.which)
    try:
        if changed is None or _bare(changed) == _bare(source):
            return None
    except SyntaxError:
        return None
    pairs = zip(source.splitlines(), changed.splitlines(), strict=False)
    was, now = next((one.strip(), other.strip()) for one, other in pairs if one != other)
    return Fault(place.file, place.line, place.operator, changed, was, now)


def _environment(root: Path, data: Path) -> dict[str, str]:
    quiet = {"PYTHONDONTWRITEBYTECODE": "1", "CI": "1", "CONCH_DATA": str(data)}
    return {**os.environ, **quiet, "PYTHONPATH": str(root)}


def _tests(labels: Sequence[str]) -> list[str]:
    return ["server/manage.py", "test", "--testrunner", "tests.runner.TimedRunner", "--failfast", *labels]


@cache
def _classes(module: Path) -> dict[str, set[str]]:
    """The methods of each class of a module."""
    tree = ast.parse(module.read_text(encoding="utf-8"))
    classes = (node for node in tree.body if isinstance(node, ast.ClassDef))
    return {each.name: {one.name for one in each.body if isinstance(one, ast.FunctionDef)} for each in classes}


@cache
def tests_named(root: Path, context: str) -> tuple[str, ...]:
    """The tests that coverage means by a context; it calls one that draws its examples by what wraps it, and not by its
    class."""
    parts, name = context.split("."), context.rpartition(".")[2]
    modules = (parts[:n] for n in range(len(parts), 0, -1))
    module = next((one for one in modules if (root / f"{'/'.join(one)}.py").is_file()), None)
    if module is None:
        return ()
    classes = _classes(root / f"{'/'.join(module)}.py")
    return tuple(f"{'.'.join(module)}.{each}.{name}" for each, methods in classes.items() if name in methods)


def covered(root: Path, data: Path) -> tuple[dict[tuple[str, int], set[str]], Counter[str]]:
    """Which tests run each line of the rooms, and how many lines each test runs."""
    options = root / "mutants.coveragerc"
    options.write_text(f"[run]\ndynamic_context = test_function\nsource = {','.join(ROOMS)}\n", encoding="utf-8")
    out = data / "coverage"
    command = [sys.executable, "-m", "coverage", "run", f"--rcfile={options}", f"--data-file={out}", *_tests(LABELS)]
    subprocess.run(command, cwd=root, env=_environment(root, data), stdout=sys.stderr, check=True)
    found = CoverageData(str(out))
    found.read()
    by_line: dict[tuple[str, int], set[str]] = defaultdict(set)
    weights: Counter[str] = Counter()
    for file in found.measured_files():
        name = str(Path(file).relative_to(root))
        for line, contexts in found.contexts_by_lineno(file).items():
            tests = {test for context in contexts if context for test in tests_named(root, context)}
            by_line[name, line] |= tests
            weights.update(tests)
    return by_line, weights


def _tests_of(fault: Fault, by_line: dict[tuple[str, int], set[str]], weights: Counter[str]) -> list[str]:
    """The tests that may notice a fault, the narrowest first; those of its whole file where its line runs at import."""
    known = by_line.get((fault.file, fault.line)) or {
        test for (file, _), tests in by_line.items() if file == fault.file for test in tests
    }
    return sorted(known, key=lambda test: (weights[test], test))[:MOST_TESTS]


def fails(root: Path, data: Path, tests: Sequence[str]) -> bool:
    """Whether some of the tests fails on a clone as it is. Raises TimeoutExpired."""
    own = all(test.startswith(("lathework.", "tests.")) for test in tests)
    command = [sys.executable, *(["-m", "unittest", "-f", *tests] if own else _tests(tests))]
    done = subprocess.run(
        command, cwd=root, env=_environment(root, data), capture_output=True, timeout=LONGEST_S, check=False
    )
    return done.returncode != 0


def noticed(root: Path, data: Path, fault: Fault, tests: Sequence[str]) -> bool:
    """Whether some test fails with the fault that did not without it; what outlasts LONGEST_S was not noticed."""
    if not tests:
        return False
    if fails(root, data, tests):
        raise RuntimeError(f"they fail without a fault too: {' '.join(tests)}")
    file = root / fault.file
    before = file.read_text(encoding="utf-8")
    file.write_text(fault.source, encoding="utf-8")
    try:
        return fails(root, data, tests)
    except subprocess.TimeoutExpired:
        return False
    finally:
        file.write_text(before, encoding="utf-8")


def drawn_faults(root: Path, count: int, seed: int) -> list[Fault]:
    """So many faults, drawn over all the places of the rooms."""
    files = [str(file.relative_to(root)) for room in ROOMS for file in sorted((root / room).rglob("*.py"))]
    places = [place for file in files if "/tests/" not in file for place in places_of(root, file)]
    random.Random(seed).shuffle(places)
    faults = (fault for place in places if (fault := fault_at(root, place)) is not None)
    return list(islice(faults, count))


def tried(clones: Sequence[Path], faults: Sequence[Fault]) -> list[bool]:
    """Whether each fault is noticed, as many at a time as there are clones."""
    data = {clone: clone.parent / f"{clone.name}-data" for clone in clones}
    for folder in data.values():
        folder.mkdir()
    by_line, weights = covered(clones[0], data[clones[0]])
    free: Queue[Path] = Queue()
    for clone in clones:
        free.put(clone)

    def one(fault: Fault) -> bool:
        clone, began = free.get(), time.monotonic()
        try:
            return noticed(clone, data[clone], fault, _tests_of(fault, by_line, weights))
        finally:
            free.put(clone)
            print(f"{time.monotonic() - began:5.1f} s  {fault}", file=sys.stderr, flush=True)

    with ThreadPoolExecutor(len(clones)) as pool:
        return list(pool.map(one, faults))


def main() -> None:
    """Draw faults, try each, print those that nobody noticed, and how many of each room were."""
    parser = argparse.ArgumentParser()
    parser.add_argument("clones", type=Path, nargs="+", help="clones of the program to put faults into")
    parser.add_argument("--count", type=int, required=True)
    parser.add_argument("--seed", type=int, required=True)
    options = parser.parse_args()
    faults = drawn_faults(options.clones[0], options.count, options.seed)
    found = list(zip(faults, tried(options.clones, faults), strict=True))
    for room in ROOMS:
        own = [caught for fault, caught in found if fault.file.startswith(f"{room}/")]
        print(f"room {room} {sum(own)} {len(own)}")
    for fault, caught in found:
        if not caught:
            print(f"lives {fault}")


if __name__ == "__main__":
    main()
