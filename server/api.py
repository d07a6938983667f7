"""The API: one router per app, one shape for every error."""

from __future__ import annotations

from ninja import NinjaAPI

from server.jobs.api import router as jobs
from server.logbook.api import router as logbook
from server.reference.api import router as reference
from server.site.problems import register_problems

api = NinjaAPI(
    title="Conch",
    version="1",
    description="Threads cut on the lathe with dies and taps: sizes, plans, bench and log.",
    docs_url=None,
)
api.add_router("", reference)
api.add_router("/jobs", jobs)
api.add_router("", logbook)
register_problems(api)
