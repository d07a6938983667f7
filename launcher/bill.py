"""What the product is made of: its packages as a software bill of materials (CycloneDX), and their licences."""

from __future__ import annotations

import json
import subprocess
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from launcher.environment import WEB, in_venv
from launcher.messages import stop
from server.version import VERSION

Bill = dict[str, Any]


def _python_bill(tools: Path, environment: Path) -> Bill:
    """Of the packages in a Python environment, by a program of the environment of `tools`."""
    command = [str(in_venv(tools, "cyclonedx-py")), "environment", "--output-reproducible", str(environment)]
    done = subprocess.run(command, capture_output=True, text=True, check=False)
    if done.returncode:
        stop(f"cannot say what the product is made of: {done.stderr[-400:]}")
    bill: Bill = json.loads(done.stdout)
    return bill


INLINED = ("workbox-core", "workbox-precaching", "workbox-routing", "workbox-strategies")
"""Packages whose code the build puts into the worker of the page."""


def _page_components() -> Iterator[Bill]:
    """The packages that the page is built from, as they are locked; those that only build it are left out."""
    locked = json.loads((WEB / "package-lock.json").read_text(encoding="utf-8"))["packages"]
    for path, told in sorted(locked.items()):
        name = path.rpartition("node_modules/")[2]
        builds = told.get("dev") or told.get("optional") or told.get("peer")
        if not path or (builds and name not in INLINED):
            continue
        yield {
            "type": "library",
            "bom-ref": f"pkg:npm/{name}@{told['version']}",
            "name": name,
            "version": told["version"],
            "purl": f"pkg:npm/{name.replace('@', '%40')}@{told['version']}",
            "licenses": [{"expression": told["license"]}] if "license" in told else [],
        }


_BUILT_WITH = ("pip", "setuptools")
"""In every environment, and no part of the product."""


def bill_of_materials(tools: Path, environment: Path) -> Bill:
    """Everything that runs: the Python packages of an environment, the packages of the page."""
    bill = _python_bill(tools, environment)
    packages = [one for one in bill["components"] if one["name"] not in _BUILT_WITH]
    product = {"type": "application", "bom-ref": "conch", "name": "conch", "version": VERSION}
    kept = {key: bill[key] for key in ("$schema", "bomFormat", "specVersion", "version")}
    return {**kept, "metadata": {"component": product}, "components": [*packages, *_page_components()]}


_IN_ITS_FILE = {"protobuf": "BSD-3-Clause"}
"""Licences that stand in a package's licence file alone, and not in what it says of itself."""


def _licence(component: Bill) -> str:
    told = []
    for one in component.get("licenses", ()):
        found = one.get("expression") or one["license"].get("id") or one["license"].get("name", "")
        told.append(found.splitlines()[0])
    return " / ".join(dict.fromkeys(told)) or _IN_ITS_FILE.get(component["name"], "not stated")


def licences(bill: Bill) -> str:
    """The packages of a bill with their licences, as a table of Markdown."""
    rows = sorted((one["name"].lower(), one["version"], _licence(one)) for one in bill["components"])
    lines = [f"| {name} | {version} | {licence} |" for name, version, licence in rows]
    head = [
        "# What Conch is made of",
        "",
        "Written by `./conch build` as `licences.md`.",
        "",
        "| package | version | licence |",
    ]
    return "\n".join([*head, "|---|---|---|", *lines, ""])
