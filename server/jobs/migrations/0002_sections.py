"""Stored documents lifted to version 2 of the job format."""

from django.db import migrations

from lathework.upgrade import upgraded


def lift(apps, schema_editor):
    """Rewrite each document in the newest version; titles and threads stay as they are."""
    for job in apps.get_model("jobs", "Job").objects.all():
        job.document = upgraded(job.document)
        job.save(update_fields=["document"])


class Migration(migrations.Migration):
    dependencies = [("jobs", "0001_initial")]
    operations = [migrations.RunPython(lift, migrations.RunPython.noop)]
