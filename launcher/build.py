"""`conch build`: a wheel with the page inside, which needs Python alone; the wheels it needs beside it where wished."""

from __future__ import annotations

import json
import os
import shutil
import subprocess
from pathlib import Path

from launcher.bill import bill_of_materials, licences
from launcher.environment import HOME, ROOT, WEB, make_folder, prepared, venv_python
from launcher.messages import say, stop
from server.version import VERSION

PACKAGES = ("lathework", "server", "launcher")
_LEFT_OUT = shutil.ignore_patterns("tests", "__pycache__", "*.pyc", ".stamp")
_PROJECT = (
    '[build-system]\nrequires = ["setuptools"]\nbuild-backend = "setuptools.build_meta"\n\n[project]\nname = '
    '"conch"\nversion = "{version}"\ndescription = "Plan and cut threads on the lathe: sizes, job plans, '
    'bench guidance, log."\nrequires-python = ">=3.11"\ndependencies = {needs}\n\n[project.scripts]\nconch = '
    '"launcher.main:run"\n\n[tool.setuptools.packages.find]\nwhere = '
    '["."]\n\n[tool.setuptools.package-data]\n"*" = ["**/*"]\n'
)


def _stage(folder: Path) -> None:
    """Everything that is installed, in a folder of its own: the packages, the built page, the demo."""
    shutil.rmtree(folder, ignore_errors=True)
    for name in PACKAGES:
        shutil.copytree(ROOT / name, folder / name, ignore=_LEFT_OUT)
    built = folder / "server" / "built"
    shutil.copytree(WEB / "dist", built / "page", ignore=_LEFT_OUT)
    shutil.copytree(ROOT / "demo", built / "demo")
    (built / "__init__.py").write_text('"""What is built: the page, and the jobs of the demo."""\n', encoding="utf-8")
    lines = (ROOT / "requirements" / "run.in").read_text(encoding="utf-8").split()
    project = _PROJECT.format(version=VERSION, needs=json.dumps(lines))
    (folder / "pyproject.toml").write_text(project, encoding="utf-8")


def _pip(python: Path, *arguments: str | Path) -> None:
    command = [str(python), "-m", "pip", *map(str, arguments), "--quiet", "--disable-pip-version-check"]
    if subprocess.run(command, cwd=ROOT, env={**os.environ, "PIP_NO_INPUT": "1"}, check=False).returncode:
        stop("the package could not be built. See the output above.")


def build(target: str, *, with_needs: bool) -> int:
    """Make the wheel, its bill of materials and the list of licences; the locked wheels it needs where wished."""
    python, out = prepared(dev=True), make_folder(Path(target).resolve())
    stage = HOME / "stage"
    _stage(stage)
    _pip(python, "wheel", "--no-deps", "--no-build-isolation", "--no-index", "--wheel-dir", out, stage)
    shutil.rmtree(stage)
    if with_needs:
        locked = ROOT / "requirements" / "run.txt"
        _pip(python, "download", "--require-hashes", "--only-binary", ":all:", "--dest", out, "--requirement", locked)
    bill = bill_of_materials(python.parent.parent, venv_python())
    (out / f"conch-{VERSION}.sbom.json").write_text(json.dumps(bill, indent=1), encoding="utf-8")
    (out / "licences.md").write_text(licences(bill), encoding="utf-8")
    say(
        f"Built: {out}. To install on another machine: pip install --no-index --find-links {out} conch. Then run: "
        "conch start"
    )
    return 0
