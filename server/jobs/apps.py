"""The jobs app."""

from django.apps import AppConfig


class JobsConfig(AppConfig):
    """Jobs and their entries."""

    name = "server.jobs"
    label = "jobs"
