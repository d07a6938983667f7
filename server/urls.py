"""The routes: the API, the worker of an installed page, and the one page for everything a person may visit."""

from django.urls import path, re_path

from server.site.page import page, worker

API = "server.api_urls"

urlpatterns = [
    # By its name: it takes as long to load as all the rest, and the page is answered meanwhile.
    path("api/", (API, "ninja", "api-1")),
    path("sw.js", worker),
    re_path(r"^(?!api/|static/).*$", page),
]
