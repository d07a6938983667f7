"""The names this server answers to: a page from elsewhere that points its own name here gets nothing."""

from __future__ import annotations

from collections.abc import Callable

from django.core.exceptions import DisallowedHost
from django.http import HttpRequest, HttpResponse

from server.site.problems import problem
from server.site.refusals import tell_refusal


class KnownHosts:
    """Refuses a request that asks for a host of another name."""

    def __init__(self, get_response: Callable[[HttpRequest], HttpResponse]) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """Answer, or say that nobody of that name is here."""
        try:
            request.get_host()
        except DisallowedHost:
            tell_refusal(f"a request for the host {request.META.get('HTTP_HOST', '')!r}")
            return problem(400, "foreign-host", "Conch cannot be used at this address. Use the one shown on the host.")
        return self.get_response(request)
