"""`conch benchmark`: prints the ratios, and how each was measured."""

from __future__ import annotations

import argparse
import json
from pathlib import Path

from benchmarks import lines
from benchmarks.dies import dies
from benchmarks.history import history
from benchmarks.identification import identification
from benchmarks.in_browser import in_the_browser
from benchmarks.kit import kit
from benchmarks.page import weigh
from benchmarks.speed import core_times, measure
from benchmarks.turning import turning
from benchmarks.ways import ways
from benchmarks.weeks import weeks
from lathework.threads.library import library

ROOT = Path(__file__).resolve().parent.parent
FIRST_PAGE = ["src/features/jobs/JobsView.vue"]


def results() -> dict[str, float | int | str]:
    """Everything measured."""
    times = measure(ROOT, [thread.designation for thread in library()])
    script, style = weigh(ROOT / "web" / "dist", FIRST_PAGE)
    bare_script, bare_style = weigh(ROOT / "web" / "dist-bare", [])
    tests, total = lines.count(ROOT)
    return {
        "size_over_null": round(times["size"] / times["null"], 2),
        "plan_over_null": round(times["plan"] / times["null"], 2),
        "js_over_bare": round(script / bare_script, 2),
        "css_over_bare": round(style / bare_style, 2),
        "test_share": round(tests / total, 3),
        "null_ms": round(times["null"] * 1000, 2),
        "size_ms": round(times["size"] * 1000, 2),
        "plan_ms": round(times["plan"] * 1000, 2),
        "js_bytes": script,
        "css_bytes": style,
        "bare_js_bytes": bare_script,
        "bare_css_bytes": bare_style,
        **in_the_browser(ROOT),
        **history(ROOT),
        **kit(ROOT),
        **core_times(),
        **identification(),
        **dies(),
        **turning(),
        **ways(),
        **weeks(),
        "test_lines": tests,
        "code_lines": total,
        "test_share_counts": lines.HOW,
    }


def main() -> None:
    """Measure and print."""
    parser = argparse.ArgumentParser()
    parser.add_argument("--json", action="store_true")
    found = results()
    if parser.parse_args().json:
        print(json.dumps(found))
        return
    for name, value in found.items():
        print(f"{name:26} {value}")


if __name__ == "__main__":
    main()
