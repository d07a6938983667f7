"""Job documents of version 2. Those stored before are lifted after the last migration, by the rules of that day."""

from django.db import migrations


class Migration(migrations.Migration):
    dependencies = [("jobs", "0001_initial")]
    operations = []
