"""What the other apps may ask of the shop's rows: to be read. What changes them is an action."""

from __future__ import annotations

from django.db.models import QuerySet

from server.kit.models import Photograph, Thing

__all__ = ("Thing",)
"""What a row is, for those who are given some."""


def stored_things() -> QuerySet[Thing]:
    """Every thing as it is stored, the retired ones too, in the order it came."""
    return Thing.objects.order_by("added_at", "ident")


def photographs() -> QuerySet[Photograph]:
    """The photographs of things that have one."""
    return Photograph.objects.exclude(content=b"").order_by("pk")
