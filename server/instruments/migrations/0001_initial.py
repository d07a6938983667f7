

from django.db import migrations, models


class Migration(migrations.Migration):

    initial = True

    dependencies = [
    ]

    operations = [
        migrations.CreateModel(
            name='Correction',
            fields=[
                ('name', models.CharField(max_length=40, primary_key=True, serialize=False)),
                ('correction_mm', models.FloatField()),
                ('uncertainty_mm', models.FloatField()),
                ('reference_mm', models.FloatField()),
                ('readings', models.PositiveIntegerField()),
                ('at', models.DateTimeField()),
            ],
        ),
    ]
