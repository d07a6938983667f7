"""The book app."""

from django.apps import AppConfig


class BookConfig(AppConfig):
    """The book of threads and what the shop keeps of it."""

    name = "server.book"
    label = "book"
