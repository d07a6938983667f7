"""CSRF protection for the API too: there is no login, so a foreign page must not be able to post."""

from __future__ import annotations

from typing import Any

from django.http import HttpRequest, HttpResponse, HttpResponseForbidden
from django.middleware.csrf import CsrfViewMiddleware


def _protected(request: HttpRequest) -> HttpResponse:
    """Stands for a view without an exemption."""
    return HttpResponse()


class ApiCsrfMiddleware(CsrfViewMiddleware):
    """Checks every unsafe request; the API framework marks its views exempt, which is not wanted here."""

    def process_view(self, request: HttpRequest, callback: Any, args: Any, kwargs: Any) -> HttpResponseForbidden | None:
        """Check as if the view were not exempt."""
        return super().process_view(request, _protected, args, kwargs)
