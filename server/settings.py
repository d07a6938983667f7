"""Django settings. Everything that differs between installations comes from CONCH_* variables."""

from __future__ import annotations

import os
import secrets
from pathlib import Path

from csp.constants import NONCE, NONE, SELF

from server.store import FOLDER_MODE, NAME

ROOT = Path(__file__).resolve().parent.parent
DATA = Path(os.environ.get("CONCH_DATA", ROOT / ".conch" / "data"))
BUILT = ROOT / "server" / "built"
"""What a wheel brings along; in a checkout there is none."""
BUILT_PAGE = Path(os.environ.get("CONCH_WEB") or (BUILT / "page" if BUILT.exists() else ROOT / "web" / "dist"))
DEMO = BUILT / "demo" if BUILT.exists() else ROOT / "demo"


def _secret_key() -> str:
    """A key of this installation's own, made on the first start; whole, or not there at all."""
    file = DATA / "secret-key"
    if not file.exists() or not file.stat().st_size:
        DATA.mkdir(mode=FOLDER_MODE, parents=True, exist_ok=True)
        # Two first starts at once each write their own: either is whole, and one of the two leaves for the other.
        begun = DATA / f".secret-key.{os.getpid()}.part"
        begun.touch(mode=0o600)
        begun.write_text(secrets.token_urlsafe(48), encoding="ascii")
        begun.replace(file)
    return file.read_text(encoding="ascii")


SECRET_KEY = _secret_key()
DEBUG = False
SHOP_CLOCK = os.environ.get("CONCH_CLOCK", "")
"""Where the clock of the shop stands still, as ISO 8601, for tests of the week; "" for this machine's clock."""
NETWORK_HOSTS = [host for host in os.environ.get("CONCH_HOSTS", "").split(",") if host]
"""Names of this machine on the network; none where only this machine is served."""
NETWORK_ADDRESS = ""
"""Where devices of the network find the page: known once the server listens."""
ALLOWED_HOSTS = ["127.0.0.1", "localhost", "[::1]", *NETWORK_HOSTS]
INSTALLED_APPS = [
    "django.contrib.staticfiles",
    "csp",
    "ninja",
    "server.site",
    "server.jobs",
    "server.book",
    "server.kit",
    "server.instruments",
    "server.devices",
    "server.week",
    "server.upkeep",
]
MIDDLEWARE = [
    "server.site.hosts.KnownHosts",
    "django.middleware.security.SecurityMiddleware",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "csp.middleware.CSPMiddleware",
    "django.middleware.common.CommonMiddleware",
    "server.site.bodies.JsonBodies",
    "server.site.csrf.ApiCsrfMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
]
ROOT_URLCONF = "server.urls"
WSGI_APPLICATION = "server.wsgi.application"
TEMPLATES = [
    {
        "BACKEND": "django.template.backends.django.DjangoTemplates",
        "DIRS": [BUILT_PAGE],
        "OPTIONS": {"context_processors": ["django.template.context_processors.request"]},
    }
]
DATABASES = {
    "default": {
        "ENGINE": "server.site.sqlite",
        "NAME": DATA / NAME,
        "CONN_MAX_AGE": None,
        "OPTIONS": {
            "timeout": 20,
            "transaction_mode": "IMMEDIATE",
            # Every thread has a connection with pages of its own, 2 MB unless told: the system keeps them once for all.
            "init_command": "PRAGMA journal_mode=WAL; PRAGMA synchronous=FULL; PRAGMA cache_size=-200;",
        },
        "TEST": {"NAME": DATA / "test.sqlite3"},
    }
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"
USE_TZ = True
TIME_ZONE = "UTC"
STATIC_URL = "/static/"
STATIC_ROOT = BUILT_PAGE
WHITENOISE_IMMUTABLE_FILE_TEST = r"/assets/.+-[\w-]{8}\.\w+$"
"""The build names its files by their content."""

CSRF_FAILURE_VIEW = "server.site.problems.csrf_failure"
CSRF_COOKIE_SAMESITE = "Strict"
X_FRAME_OPTIONS = "DENY"
SECURE_REFERRER_POLICY = "no-referrer"
DATA_UPLOAD_MAX_MEMORY_SIZE = 8 * 1024 * 1024
CONTENT_SECURITY_POLICY = {
    "DIRECTIVES": {
        "default-src": [NONE],
        "script-src": [SELF, NONCE],
        "style-src": [SELF, NONCE],
        "font-src": [SELF],
        "img-src": [SELF, "data:"],
        "connect-src": [SELF],
        "manifest-src": [SELF],
        "worker-src": [SELF],
        "base-uri": [NONE],
        "form-action": [SELF],
        "frame-ancestors": [NONE],
        "object-src": [NONE],
    }
}
LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    # A refused keystroke is an answer, not a fault: only errors reach the terminal.
    "handlers": {"console": {"class": "logging.StreamHandler", "level": os.environ.get("CONCH_LOG", "ERROR")}},
    "root": {"handlers": ["console"]},
}
