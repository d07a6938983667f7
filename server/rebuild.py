"""Makes the rows that are kept ready anew, of every job, from its entries; also while the server runs."""

from __future__ import annotations

import os
import sys

import django


def main() -> None:
    """Rebuild, and say how many jobs that were; exit status 2 for a store that is not of this version."""
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.settings")
    django.setup()
    from django.conf import settings

    from server import store
    from server.jobs.kept import rebuild

    try:
        store.check_current(settings.DATA / store.NAME)
    except store.StoreProblem as problem:
        print(f"conch: {problem}", file=sys.stderr)
        raise SystemExit(2) from None
    print(f"{rebuild()} jobs rebuilt.", file=sys.stderr)


if __name__ == "__main__":
    main()
