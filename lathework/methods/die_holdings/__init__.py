"""The ways to hold a die, each registered once by being here: what differs from one to the other is asked of it."""

from __future__ import annotations

from collections.abc import Mapping
from types import MappingProxyType

from lathework.methods.die_holdings.holding import DieHolding
from lathework.rooms import all_of, check_once

_ALL = all_of(__name__, __path__, DieHolding, place=lambda way: way.place)
check_once("ways to hold a die", [way.code for way in _ALL], [way.place for way in _ALL])
DIE_HOLDINGS: Mapping[str, DieHolding] = MappingProxyType({way.code: way for way in _ALL})
HOLDERS: tuple[str, ...] = tuple(DIE_HOLDINGS)
