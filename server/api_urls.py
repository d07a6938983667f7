"""The routes of the API."""

from server.api import api

urlpatterns = api.urls[0]
