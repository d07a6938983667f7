"""What the log knows of the dies a job needs: blanks of the same thread in the same metal that gauged well."""

from __future__ import annotations

from functools import reduce
from operator import or_

from django.db.models import Q

from lathework.part import Job as JobSpec
from lathework.planning.proven import proven_blanks
from lathework.rules.die_record import DieRecord, die_record
from server.jobs.models import Job
from server.jobs.standing import entries_of, plans_of

MOST_JOBS = 40


def die_records(spec: JobSpec) -> list[DieRecord]:
    """The record of each thread of a part, those without one left out; the jobs touched last count."""
    blanks: dict[str, list[float]] = {}
    threads = {thread.designation: thread for thread in spec.part.threads}
    # The stored names say which plans are worth working out.
    named = reduce(or_, (Q(thread__contains=name) for name in threads))
    jobs = Job.objects.filter(named).prefetch_related("entries")
    for job in reversed(jobs[:MOST_JOBS]):
        entries = entries_of(job)
        for number, plan in enumerate(plans_of(job.document), 1):
            if plan.job.material.code != spec.material.code:
                continue
            mine = [entry for entry in entries if entry.part == number]
            for name, found in proven_blanks(plan, mine).items():
                if name in threads:
                    blanks.setdefault(name, []).extend(found)
    records = [die_record(thread, blanks.get(name, [])) for name, thread in threads.items()]
    return [record for record in records if record is not None]
