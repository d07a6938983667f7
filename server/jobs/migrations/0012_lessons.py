import django.db.models.deletion
from django.db import migrations, models


class Migration(migrations.Migration):

    dependencies = [
        ('jobs', '0011_why'),
    ]

    operations = [
        migrations.CreateModel(
            name='LessonRow',
            fields=[
                ('id', models.BigAutoField(auto_created=True, primary_key=True, serialize=False, verbose_name='ID')),
                ('piece', models.PositiveIntegerField()),
                ('of', models.CharField(max_length=60)),
                ('step', models.CharField(blank=True, max_length=120)),
                ('thread', models.CharField(blank=True, max_length=120)),
                ('die', models.CharField(blank=True, max_length=16)),
                ('metal', models.CharField(blank=True, max_length=120)),
                ('tool', models.CharField(blank=True, max_length=120)),
                ('became', models.CharField(blank=True, max_length=60)),
                ('said', models.TextField(blank=True)),
                ('why', models.CharField(max_length=20)),
                ('at', models.DateTimeField()),
                ('entry', models.OneToOneField(on_delete=django.db.models.deletion.CASCADE, related_name='+', to='jobs.entry')),
                ('job', models.ForeignKey(on_delete=django.db.models.deletion.CASCADE, related_name='lessons', to='jobs.job')),
            ],
            options={
                'indexes': [models.Index(fields=['of', '-entry'], name='jobs_lesson_of')],
            },
        ),
    ]
