"""Makes the rows that are kept ready anew, of every job, from its entries; also while the server runs."""

from __future__ import annotations

import os
import sys

import django


def main() -> None:
    """Rebuild, and say how many jobs that were."""
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "server.settings")
    django.setup()
    from server.jobs.kept import rebuild

    print(f"{rebuild()} jobs made anew from their entries.", file=sys.stderr)


if __name__ == "__main__":
    main()
