"""Which way the spindle runs: said where a tool that hates the other way follows a step that reversed it."""

from __future__ import annotations

from collections.abc import Iterable, Iterator
from dataclasses import replace

from lathework.cautions import FORWARD
from lathework.planning.operation import Operation


def directed(operations: Iterable[Operation | None]) -> Iterator[Operation]:
    """The steps in order; the first that cuts after the spindle was run backward says which way it has to turn."""
    backward = False
    for operation in operations:
        if operation is None:
            continue
        for act in operation.acts:
            if backward and act.hates_backward:
                operation = replace(operation, cautions=(FORWARD, *operation.cautions))
                backward = False
            backward = backward or act.ends_backward
        yield operation
