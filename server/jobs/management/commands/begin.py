"""Loads the demo: jobs of the Gull Rock light station, as job files, and the threads it keeps at hand."""

from __future__ import annotations

from typing import Any

import orjson
from django.conf import settings
from django.core.management.base import BaseCommand

from server.book.actions import keep
from server.jobs.actions import import_job


class Command(BaseCommand):
    """`manage.py load_demo`"""

    help = "Load the demo jobs."

    def handle(self, *args: Any, **options: Any) -> None:
        """Import every job file of the demo folder, in order, and keep the threads it names."""
        folder = settings.ROOT / "demo"
        for file in sorted(folder.glob("*.json")):
            import_job(orjson.loads(file.read_bytes()))
        for designation in (folder / "favourites.txt").read_text(encoding="utf-8").splitlines():
            keep(designation)
