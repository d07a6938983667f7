from django.apps.registry import Apps
from django.db import migrations, models
from django.db.backends.base.schema import BaseDatabaseSchemaEditor


def diameters(apps: Apps, schema_editor: BaseDatabaseSchemaEditor) -> None:
    """What was measured until now were diameters."""
    apps.get_model("jobs", "Entry").objects.filter(kind="reading").update(measured="diameter")


class Migration(migrations.Migration):
    dependencies = [("jobs", "0009_trials_and_causes")]

    operations = [
        migrations.AddField(
            model_name="entry",
            name="measured",
            field=models.CharField(blank=True, max_length=20),
        ),
        migrations.RunPython(diameters, migrations.RunPython.noop, elidable=True),
    ]
