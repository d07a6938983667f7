"""The jobs app."""

from __future__ import annotations

from typing import Any

from django.apps import AppConfig
from django.db.models.signals import post_migrate


def _bring_up_to_date(**_: Any) -> None:
    from server.jobs.lift import bring_up_to_date

    bring_up_to_date()


class JobsConfig(AppConfig):
    """Jobs and their entries."""

    name = "server.jobs"
    label = "jobs"

    def ready(self) -> None:
        """After each migration the stored jobs are brought to what this version works with."""
        post_migrate.connect(_bring_up_to_date, sender=self, dispatch_uid="jobs.bring-up-to-date")
