"""Gives a new store its first contents: jobs of the Gull Rock light station, or nothing; once, all or none."""

from __future__ import annotations

import tomllib
from argparse import ArgumentParser
from typing import Any

import orjson
from django.conf import settings
from django.core.management.base import BaseCommand
from django.db import transaction

from lathework.job.furnish import furnish, pick_die
from lathework.shop.kinds.lathes import OwnLathe
from server.book.actions import keep
from server.jobs.actions.documents import begin, import_job
from server.jobs.queries import Job, has_begun
from server.kit.actions import add_typed
from server.kit.owned import things
from server.week.actions import Hand, Wished, set_people, wish


def load_demo() -> None:
    """Fill the shop of the demo folder, import every job file of it, in order, and keep the threads it names."""
    folder = settings.DEMO
    add_typed((folder / "shop.txt").read_text(encoding="utf-8"))
    made = {
        file.stem: import_job(_on_its_lathe(_by_its_dies(orjson.loads(file.read_bytes()))))
        for file in sorted(folder.glob("*.json"))
    }
    for designation in (folder / "favourites.txt").read_text(encoding="utf-8").splitlines():
        keep(designation)
    _plan_week(tomllib.loads((folder / "week.toml").read_text(encoding="utf-8")), made)


def _plan_week(said: dict[str, Any], made: dict[str, Job]) -> None:
    """Say who is in the shop, and when each job is wanted: days count from the first start."""
    set_people([Hand(one["name"], one["usual"], "") for one in said["people"]])
    for name, one in said["jobs"].items():
        after = made[one["after"]].pk if "after" in one else 0
        told = Wished(one.get("wanted", ""), one.get("weight", "usual"), after, "", one.get("who", ""))
        wish(made[name].pk, told)


def _by_its_dies(document: dict[str, Any]) -> dict[str, Any]:
    """A job whose record names the dies of the shop that its threads were cut with."""
    own = things()
    for entry in document.get("record", {}).get("entries", ()):
        told = entry.get("told", {})
        die = pick_die(told["thread"], own, ()) if told.get("thread") else None
        if die is not None:
            told["die"] = die.id
    return document


def _on_its_lathe(document: dict[str, Any]) -> dict[str, Any]:
    """A job that is open on the lathe of the shop whose dial it names, with its drills and dies; a closed one as it
    was."""
    if document.get("record", {}).get("closed"):
        return document
    own = next(thing for thing in things() if isinstance(thing, OwnLathe) and thing.dial == document["setup"]["dial"])
    return furnish(document | {"setup": document["setup"] | {"machine": own.id}}, things())


class Command(BaseCommand):
    """`manage.py begin [--empty]`"""

    help = "Give a new store its first contents, once."

    def add_arguments(self, parser: ArgumentParser) -> None:
        """Whether to begin with nothing."""
        parser.add_argument("--empty", action="store_true")

    @transaction.atomic
    def handle(self, *args: Any, **options: Any) -> None:
        """Load the demo into a store that never had anything; a store that has begun is left alone."""
        if not options["empty"] and not has_begun():
            load_demo()
        begin()
