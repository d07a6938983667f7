"""Keeping threads at hand, and letting them go."""

from __future__ import annotations

from django.db import transaction
from django.utils import timezone

from lathework.threads.designation import read_designation
from server.book.models import Favourite


def favourites() -> list[str]:
    """Designations kept, in order."""
    return list(Favourite.objects.values_list("designation", flat=True))


@transaction.atomic
def keep(text: str) -> list[str]:
    """Keep the thread that `text` designates; keeping it twice changes nothing. Raises InputError."""
    thread = read_designation(text)
    Favourite.objects.get_or_create(designation=thread.designation, defaults={"kept_at": timezone.now()})
    return favourites()


@transaction.atomic
def let_go(text: str) -> list[str]:
    """Let the thread that `text` designates go; one that is not kept changes nothing. Raises InputError."""
    Favourite.objects.filter(designation=read_designation(text).designation).delete()
    return favourites()
