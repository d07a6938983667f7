"""What the shop keeps of the book: threads it uses often."""

from __future__ import annotations

from django.db import models


class Favourite(models.Model):
    """A thread kept at hand, by its designation."""

    designation = models.CharField(max_length=60, unique=True)
    kept_at = models.DateTimeField()

    class Meta:
        ordering = ("designation",)
