"""What every endpoint shares, as an app."""

from __future__ import annotations

from django.apps import AppConfig


class SiteConfig(AppConfig):
    """What is settled before any endpoint is declared."""

    name = "server.site"
    label = "site"

    def ready(self) -> None:
        """Answers are serialised as they are: their shapes are worked out for the published schema alone, when that is
        asked for, and not at each start."""
        from ninja import Schema

        Schema.model_config["defer_build"] = True
