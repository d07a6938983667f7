"""CSRF protection for the API too: there is no login, so a foreign page must not be able to post."""

from __future__ import annotations

from typing import Any

from django.conf import settings
from django.http import HttpRequest, HttpResponse, HttpResponseForbidden
from django.http.response import HttpResponseBase
from django.middleware.csrf import CsrfViewMiddleware


def _protected(request: HttpRequest) -> HttpResponse:
    """Stands for a view without an exemption."""
    return HttpResponse()


class ApiCsrfMiddleware(CsrfViewMiddleware):
    """Checks every unsafe request; the API framework marks its views exempt, which is not wanted here."""

    def process_view(self, request: HttpRequest, callback: Any, args: Any, kwargs: Any) -> HttpResponseForbidden | None:
        """Check as if the view were not exempt."""
        return super().process_view(request, _protected, args, kwargs)

    def process_response(self, request: HttpRequest, response: HttpResponseBase) -> HttpResponseBase:
        """The token of a page that came over TLS goes over nothing else."""
        told = super().process_response(request, response)
        if request.is_secure() and settings.CSRF_COOKIE_NAME in told.cookies:
            told.cookies[settings.CSRF_COOKIE_NAME]["secure"] = True
        return told
