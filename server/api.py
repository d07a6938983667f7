"""The API: one router per app, one shape for every error."""

from __future__ import annotations

from typing import Any

from ninja import NinjaAPI
from ninja.openapi.schema import OpenAPISchema

from server.book.api import router as book
from server.devices.api import router as devices
from server.devices.known import acts
from server.holders.api import router as holders
from server.identify.api import router as identify
from server.instruments.api import router as instruments
from server.jobs.api import router as jobs
from server.jobs.begun_api import router as begun
from server.kit.api import router as kit
from server.logbook.api import router as logbook
from server.news.api import router as news
from server.reference.api import router as reference
from server.site.problems import PROBLEM_CODES, PROBLEM_TYPE, TITLES, register_problems
from server.upkeep.api import router as upkeep
from server.week.api import router as week


class Api(NinjaAPI):
    """The API whose schema names the media type that errors really have."""

    def get_openapi_schema(self, **options: Any) -> OpenAPISchema:
        """The OpenAPI schema, errors as problem details."""
        schema = super().get_openapi_schema(**options)
        for path in schema["paths"].values():
            for operation in path.values():
                refused = operation["responses"].get(400)
                if refused is None:
                    continue
                [content] = refused["content"].values()
                for code in PROBLEM_CODES:
                    words = {"description": TITLES[code]}
                    operation["responses"][code] = words | {"content": {PROBLEM_TYPE: content}}
        return schema


api = Api(
    title="Conch",
    version="1",
    description="Plan and cut threads on the lathe: sizes, job plans, bench guidance, log.",
    docs_url=None,
    auth=acts,
)
api.add_router("", reference)
api.add_router("", devices)
api.add_router("", identify)
api.add_router("/threads", book)
api.add_router("", instruments)
api.add_router("/jobs", begun)
api.add_router("/jobs", jobs)
api.add_router("", holders)
api.add_router("/kit", kit)
api.add_router("", news)
api.add_router("", logbook)
api.add_router("", upkeep)
api.add_router("", week)
register_problems(api)
