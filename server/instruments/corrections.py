"""What an instrument was found to be off by, as it is kept."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from server.instruments.models import Correction


def correction(name: str) -> Correction | None:
    """What the instrument of that name is off by; None where nobody found out."""
    return Correction.objects.filter(pk=name).first()


def kept_corrections() -> list[dict[str, Any]]:
    """All of them as plain values, by name."""
    return [dict(row) for row in Correction.objects.order_by("name").values()]


def put_back(told: Mapping[str, Any]) -> None:
    """Keep one that another store kept, as `kept_corrections` told it."""
    Correction.objects.create(**told)
