"""The week app."""

from django.apps import AppConfig


class WeekConfig(AppConfig):
    """Days, hours and the order of the jobs."""

    name = "server.week"
    label = "week"
