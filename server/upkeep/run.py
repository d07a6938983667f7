"""`conch export`, `conch import` and `conch check`, over the store of a folder."""

from __future__ import annotations

import argparse
import json
import os
import sys
from dataclasses import asdict
from datetime import datetime
from pathlib import Path
from typing import NoReturn

import django


def _stop(text: str) -> NoReturn:
    print(f"conch: {text}", file=sys.stderr)
    raise SystemExit(2)


def _export(target: Path) -> int:
    from django.conf import settings

    from server import store
    from server.upkeep.whole import whole_shop

    try:
        store.check_current(settings.DATA / store.NAME)
    except store.StoreProblem as problem:
        _stop(f"{problem}; nothing was written")
    if target.exists():
        _stop(f"{target} already exists. Nothing was written; choose another name")
    begun = target.with_name(f".{target.name}.part")
    try:
        begun.write_bytes(whole_shop())
        begun.replace(target)
    except OSError as error:
        _stop(f"cannot write {target}: {error.strerror}")
    print(f"Everything is in {target}", file=sys.stderr)
    return 0


def _import(source: Path) -> int:
    from django.conf import settings
    from django.core.management import call_command

    from lathework.errors import InputError, InvalidDocument
    from server import store
    from server.upkeep.read_whole import read_whole

    try:
        content = source.read_bytes()
        with store.held(settings.DATA):
            call_command("migrate", verbosity=0)
            call_command("begin", empty=True)
            store.make_private(settings.DATA)
            read = read_whole(content)
    except (OSError, store.StoreProblem) as error:
        _stop(str(error))
    except InvalidDocument as error:
        _stop("; ".join(f"{one.field}: {one.message}" for one in error.errors[:3]))
    except InputError as error:
        _stop(f"{source}: {error.message}")
    print(f"Imported {read.jobs} jobs and {read.things} items.", file=sys.stderr)
    for name in read.unread:
        print(f"{name} was read by no version where it comes from, and is left out.", file=sys.stderr)
    return 0


def _check(*, as_json: bool) -> int:
    from django.conf import settings

    from server.upkeep.health import health, last_copy, whole_store

    whole = whole_store(settings.DATA)
    further = health(datetime.now()).findings if whole.well else ()
    found = (whole, last_copy(settings.DATA), *further)
    if as_json:
        print(json.dumps({"findings": [asdict(one) for one in found]}))
    else:
        print("\n".join(f"{'OK   ' if one.well else 'CHECK'} {one.name}: {one.told}" for one in found))
    return 0 if all(one.well for one in found) else 1


def main() -> int:
    """Do it; the exit status."""
    parser = argparse.ArgumentParser()
    parser.add_argument("do", choices=("export", "import", "check"))
    parser.add_argument("file", nargs="?", type=Path)
    parser.add_argument("--json", action="store_true")
    options = parser.parse_args()
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.settings")
    django.setup()
    if options.do == "check":
        return _check(as_json=options.json)
    return (_export if options.do == "export" else _import)(options.file)


if __name__ == "__main__":
    sys.exit(main())
