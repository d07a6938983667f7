"""The words of entries and jobs, indexed for the log: SQLite's own full-text tables, by the id of what they tell of."""

from __future__ import annotations

from django.db import migrations

_TABLE = (
    "CREATE VIRTUAL TABLE {name} USING fts5(words, thread, kind, tokenize='unicode61 remove_diacritics 2', "
    "prefix='1 2 3')"
)


class Migration(migrations.Migration):
    dependencies = (("jobs", "0005_kept"),)

    operations = tuple(
        migrations.RunSQL(_TABLE.format(name=name), f"DROP TABLE {name}") for name in ("jobs_entrywords", "jobs_jobwords")
    )
