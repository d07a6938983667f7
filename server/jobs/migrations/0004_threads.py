"""A job of many threads is found by each of them: their names are kept whole from its next change on."""

from __future__ import annotations

from django.db import migrations, models


class Migration(migrations.Migration):
    dependencies = (("jobs", "0003_part"),)

    operations = (migrations.AlterField("job", "thread", models.TextField()),)
