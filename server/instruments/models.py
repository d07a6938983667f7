"""What an instrument is off by, as a reference piece told it last."""

from __future__ import annotations

from django.db import models

LONGEST_NAME = 40


class Correction(models.Model):
    """What is added to the readings of the instrument of that name, and how surely one is known then (millimetres)."""

    name = models.CharField(max_length=LONGEST_NAME, primary_key=True)
    correction_mm = models.FloatField()
    uncertainty_mm = models.FloatField()
    reference_mm = models.FloatField()
    readings = models.PositiveIntegerField()
    at = models.DateTimeField()
