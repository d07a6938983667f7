"""The routes: the API, and the one page for everything a person may visit."""

from django.urls import path, re_path

from server.api import api
from server.site.page import page

urlpatterns = [
    path("api/", api.urls),
    re_path(r"^(?!api/|static/).*$", page),
]
