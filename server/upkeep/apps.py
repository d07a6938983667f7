"""The upkeep app."""

from django.apps import AppConfig


class UpkeepConfig(AppConfig):
    """How the store stands, its first contents, everything as one file."""

    name = "server.upkeep"
    label = "upkeep"
