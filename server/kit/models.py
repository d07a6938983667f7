"""What is stored of a thing in the shop: its document, and when it came and went."""

from __future__ import annotations

from django.db import models

from server.site.keys import LONGEST_ACT

LONGEST_ID = 16


class Put(models.Model):
    """The key of an act that put things in the shop: the same one sent twice is done once."""

    key = models.CharField(max_length=LONGEST_ACT, primary_key=True)


class Photograph(models.Model):
    """What a thing looks like: a small JPEG, empty once thrown away; `revision` counts how often it was taken."""

    thing = models.OneToOneField("Thing", on_delete=models.CASCADE, primary_key=True, related_name="photograph")
    content = models.BinaryField()
    revision = models.PositiveIntegerField(default=1)


class Thing(models.Model):
    """A die, a tap or a drill. One that is retired stays for what speaks of it; `revision` counts its changes."""

    ident = models.CharField(max_length=LONGEST_ID, primary_key=True)
    kind = models.CharField(max_length=12)
    document = models.JSONField()
    revision = models.PositiveIntegerField(default=1)
    added_at = models.DateTimeField()
    changed_at = models.DateTimeField()
    retired_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ("added_at", "ident")
