from django.db import migrations, models


class Migration(migrations.Migration):

    dependencies = [
        ('jobs', '0010_measured'),
    ]

    operations = [
        migrations.AddField(
            model_name='entry',
            name='why',
            field=models.CharField(blank=True, max_length=20),
        ),
    ]
