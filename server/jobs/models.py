"""What is stored: jobs as documents, and everything recorded at the bench as an append-only list of entries."""

from __future__ import annotations

from django.db import models


class Job(models.Model):
    """A job. `document` is its job document; title and threads repeat it for the search."""

    document = models.JSONField()
    title = models.CharField(max_length=120)
    thread = models.TextField()
    revision = models.PositiveIntegerField(default=1)
    held = models.TextField(blank=True)
    closed = models.TextField(blank=True)
    closed_at = models.DateTimeField(null=True)
    created_at = models.DateTimeField()
    changed_at = models.DateTimeField()

    class Meta:
        ordering = ("-changed_at", "-id")


class Entry(models.Model):
    """One thing recorded at the bench. Undone entries stay, and no longer count."""

    job = models.ForeignKey(Job, on_delete=models.CASCADE, related_name="entries")
    kind = models.CharField(max_length=12)
    part = models.PositiveSmallIntegerField(default=1)
    piece = models.PositiveIntegerField()
    step = models.CharField(max_length=60)
    value_mm = models.FloatField(null=True)
    dialled_mm = models.FloatField(null=True)
    word = models.CharField(max_length=60, blank=True)
    eighths = models.FloatField(null=True)
    text = models.TextField(blank=True)
    typed = models.CharField(max_length=60, blank=True)
    at = models.DateTimeField()
    undone_at = models.DateTimeField(null=True)

    class Meta:
        ordering = ("id",)
        indexes = (models.Index(fields=("job", "undone_at")),)
