"""Entries say which part of the job they belong to; those of before belong to the first."""

from __future__ import annotations

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = (("jobs", "0002_sections"),)

    operations = (migrations.AddField("entry", "part", models.PositiveSmallIntegerField(default=1)),)
