"""What the log knows of the dies a job needs: blanks of the same thread in the same metal that gauged well."""

from __future__ import annotations

from lathework.planning.proven import proven_blanks
from lathework.rules.die_record import DieRecord, die_record
from server.jobs.models import Job
from server.jobs.standing import Standing, entries_of, plan_of

MOST_JOBS = 40


def die_records(now: Standing) -> list[DieRecord]:
    """The record of each thread of the job, those without one left out; the jobs touched last count."""
    spec = now.plan.job
    blanks: dict[str, list[float]] = {}
    threads = {thread.designation: thread for thread in spec.part.threads}
    jobs = Job.objects.filter(document__material=spec.material.code).prefetch_related("entries")
    for job in reversed(jobs[:MOST_JOBS]):
        # The stored names say which plans are worth working out.
        if not any(name in job.thread for name in threads):
            continue
        for name, found in proven_blanks(plan_of(job.document), entries_of(job)).items():
            blanks.setdefault(name, []).extend(found)
    records = [die_record(thread, blanks.get(name, [])) for name, thread in threads.items()]
    return [record for record in records if record is not None]
