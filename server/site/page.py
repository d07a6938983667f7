"""The one page; the front end takes it from there. Its worker keeps it on a device."""

from __future__ import annotations

from pathlib import Path

from django.conf import settings
from django.http import FileResponse, Http404, HttpRequest, HttpResponse
from django.shortcuts import render
from django.views.decorators.cache import cache_control, never_cache
from django.views.decorators.csrf import ensure_csrf_cookie
from django.views.decorators.http import require_safe


@require_safe
@never_cache
@ensure_csrf_cookie
def page(request: HttpRequest) -> HttpResponse:
    """The built page, with this request's nonce in it."""
    return render(request, "index.html")


@require_safe
@cache_control(no_cache=True)
def worker(request: HttpRequest) -> FileResponse:
    """The installed page's worker: at the root, for it serves every address below the one it comes from."""
    script: Path = settings.BUILT_PAGE / "sw.js"
    if not script.exists():
        raise Http404("This page was built without a worker.")
    return FileResponse(script.open("rb"), content_type="text/javascript")
