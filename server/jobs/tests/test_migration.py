"""Documents stored by an earlier version are lifted, and their jobs stand where they stood."""

from __future__ import annotations

from importlib import import_module

from django.apps import apps

from lathework.tests.test_document import OLD
from server.jobs.models import Job
from server.jobs.tests.case import ApiCase

sections = import_module("server.jobs.migrations.0002_sections")


class Lifted(ApiCase):
    def test_a_job_of_version_one_goes_on_where_it_stood(self) -> None:
        """A stud of version 1, faced and turned: after the lift the groove is next, and every length is there."""
        self.walk_to("groove")
        Job.objects.filter(pk=self.job.pk).update(document=OLD | {"pressure": False})
        sections.lift(apps, None)
        self.assertEqual(self.stored().document["version"], 2)
        self.assertEqual(self.get(self.url("/bench"))["step"]["key"], "groove")
        self.assertEqual(self.get(self.url())["plan"]["overall"]["in"]["text"], "2.500")
        sections.lift(apps, None)
        self.assertEqual(self.get(self.url("/bench"))["step"]["key"], "groove")
