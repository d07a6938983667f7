"""The key of an act, sent with it."""

from __future__ import annotations

from typing import Annotated

from ninja import Header

LONGEST_ACT = 64
ActKey = Annotated[
    str,
    Header(
        alias="Idempotency-Key", max_length=LONGEST_ACT, description="of this act alone: sent twice, it is done once"
    ),
]
