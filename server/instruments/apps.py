"""The instruments app."""

from django.apps import AppConfig


class InstrumentsConfig(AppConfig):
    """Instruments as sources of readings."""

    name = "server.instruments"
    label = "instruments"
