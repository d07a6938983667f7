"""Which tool must find its zero anew before a step."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace

from lathework.planning.operation import Kind, Operation

_POSITIONED: tuple[Kind, ...] = ("groove", "neck", "part-begin", "part-off", "turn")
_TOOLPOST: tuple[Kind, ...] = (
    *_POSITIONED,
    "face",
    "edge",
    "chamfer",
    "knurl",
    "rough",
    "chase",
    "gear",
    "screwcut",
    "taper",
)
"""Steps of the toolpost: a drill or a die in the tailstock leaves its tool, and its zero, where it was."""


def zeroed(operations: Iterator[Operation | None], *, kept: bool) -> tuple[Operation, ...]:
    """The steps in order, each told which tool must find its zero anew; `kept` where it stands while another is in."""
    out: list[Operation] = []
    tool, moved, begun, known = "", False, False, set[str]()
    for operation in operations:
        if operation is None:
            continue
        zero, moved = "", moved or operation.kind == "hold"
        # The blade goes back into the slot that it began.
        slot = operation.kind == "part-off" and begun
        fresh = operation.tool not in known if kept else operation.tool != tool
        if operation.kind in _POSITIONED and (moved or fresh) and not slot:
            why = "The work has moved" if moved else "New tool"
            zero = f"{why}: touch off the {operation.edge} of the {operation.tool} on the face and set Z 0 again."
        begun = begun or operation.kind == "part-begin"
        moved = moved and operation.kind not in (*_POSITIONED, "face")
        tool = operation.tool if operation.kind in _TOOLPOST else tool
        known |= {operation.tool} if operation.kind in (*_POSITIONED, "face") else set()
        # Most stay as they were made.
        out.append(replace(operation, zero=zero) if zero else operation)
    return tuple(out)
