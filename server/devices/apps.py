"""The devices app."""

from django.apps import AppConfig


class DevicesConfig(AppConfig):
    """Devices of the network."""

    name = "server.devices"
    label = "devices"
