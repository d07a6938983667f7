"""The answers kept of closed jobs tell inches under "inch", as the API does since; they told them under "in"."""

import zlib
from typing import Any

import orjson
from django.apps.registry import Apps
from django.db import migrations
from django.db.backends.base.schema import BaseDatabaseSchemaEditor


def _renamed(value: Any) -> Any:
    if isinstance(value, dict):
        old = {"in": "inch"} if "in" in value and "mm" in value else {}
        return {old.get(key, key): _renamed(one) for key, one in value.items()}
    return [_renamed(one) for one in value] if isinstance(value, list) else value


def rename(apps: Apps, schema_editor: BaseDatabaseSchemaEditor) -> None:
    answers = apps.get_model("jobs", "ClosedAnswer").objects
    for answer in answers.filter(name="bench") | answers.filter(name__startswith="job-"):
        told = _renamed(orjson.loads(zlib.decompress(answer.content)))
        answer.content = zlib.compress(orjson.dumps(told))
        answer.save(update_fields=["content"])


class Migration(migrations.Migration):
    dependencies = [("jobs", "0006_words")]
    operations = [migrations.RunPython(rename, migrations.RunPython.noop)]
