"""The kit app."""

from django.apps import AppConfig


class KitConfig(AppConfig):
    """What the shop owns."""

    name = "server.kit"
    label = "kit"
