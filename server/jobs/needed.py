"""What the plans of a job work with, as the shop has it now."""

from __future__ import annotations

from collections.abc import Sequence

from lathework.outfit.choosing import Choosing, choosings
from lathework.outfit.need import Need
from lathework.outfit.needs import facts_of, needs
from lathework.planning.plan import Plan
from server.kit.owned import things


def needed(plan: Plan) -> tuple[Need, ...]:
    """Everything a plan works with, what is missing first."""
    return needs(plan, things())


def weighed(plan: Plan) -> tuple[Choosing, ...]:
    """The ways to make each thread of a plan, with what the shop has."""
    return tuple(choosings(plan, things()))


def kits(plans: Sequence[Plan]) -> list[tuple[tuple[str, str], ...]]:
    """The facts of a set-up sheet on the things that each part works with."""
    return [facts_of(needed(plan)) for plan in plans]
