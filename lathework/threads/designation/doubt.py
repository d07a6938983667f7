"""Names behind which two threads stand: asked about where a person types them, remarked on where they were stored."""

from __future__ import annotations

import re
from dataclasses import replace

from lathework.threads.designation.common import ask
from lathework.threads.library import library
from lathework.threads.thread import Thread

_PIPE_WORDS = re.compile(r"\b(?:bsp|gas)\b", re.IGNORECASE)
_COUNTED = re.compile(r"tpi|x", re.IGNORECASE)
_NAMED = re.compile(r"[a-z]", re.IGNORECASE)


def twins(text: str, thread: Thread) -> tuple[Thread, ...]:
    """The other threads that `text`, read as `thread`, is a name of too.

    BSP alone is parallel, taper, and the hole for a taper; 1/4 by 32 is unified extra fine and the model engineer's.
    """
    if thread.series == "G" and _PIPE_WORDS.search(text):
        size = thread.plain_name.removeprefix("G")
        return tuple(t for t in library() if t.designation in (f"R{size}", f"Rp{size}"))
    if thread.series == "UNEF" and not _NAMED.search(_COUNTED.sub("", text)):
        return tuple(
            t for t in library() if (t.major, t.tpi) == (thread.major, thread.tpi) and t.family == "model-engineer"
        )
    return ()


def asked(text: str, thread: Thread) -> Thread:
    """The thread, where `text` names no other. Raises InputError with every thread it names."""
    others = twins(text, thread)
    if others:
        raise ask(text, (thread, *others))
    return thread


def remarked(text: str, thread: Thread) -> Thread:
    """The thread, with a note of what else `text` names: a stored job is read as it always was."""
    others = twins(text, thread)
    if not others:
        return thread
    names = " or ".join(other.designation for other in others)
    note = f"“{text}” is read as {thread.designation}; it could also be {names}. Type the one you mean."
    return replace(thread, notes=(*thread.notes, note))
