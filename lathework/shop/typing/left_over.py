"""Words of a line that nothing was made of: asked about, never taken for a name or a place."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from typing import TypeVar

from lathework.errors import InputError

LEFT_OVER = "left-over"
MOST_WORDS = 12
"""Words of a line up to which some are left out to read the rest: of more, nobody could say which."""
_Read = TypeVar("_Read")


def left_over(words: str) -> InputError:
    """That nothing was made of some `words` of a line."""
    return InputError(LEFT_OVER, "text", words)


def asked(line: str, words: str, called: str, lies: str = "") -> InputError:
    """The question what `words` of a `line` are: its place, a note on it, or nothing; each choice is the line put
    right. `called` is what the rest of it was read as, `lies` the word before a place where a comma does not say so."""
    kept = _without(line, words)
    text = f"Read as {called}. What is “{words}”: the place it lies in, a note on it, or nothing?"
    return InputError(LEFT_OVER, "text", text, (f"{kept}, {lies}{words}", f"{kept} ({words})", kept))


def _without(line: str, words: str) -> str:
    at = line.lower().find(words.lower())
    kept = line if at < 0 else f"{line[:at]} {line[at + len(words) :]}"
    return " ".join(kept.replace(" ,", ",").split()).strip(" ,")


def _drops(rest: str) -> Iterator[tuple[str, str]]:
    """A text without each run of its words that have no figure, the shortest first, and that run."""
    words = rest.split()
    for length in range(1, len(words)):
        for at in range(len(words) - length + 1):
            run = words[at : at + length]
            if not any(any(sign.isdigit() for sign in word) for word in run):
                yield " ".join([*words[:at], *words[at + length :]]), " ".join(run)


def read_most(rest: str, read: Callable[[str], list[_Read]]) -> tuple[list[_Read], str]:
    """What `rest` of a line is read as, and the words that had to be left out for that, "" for none. Raises InputError
    where leaving some out does not help."""
    try:
        return read(rest), ""
    except InputError as error:
        if error.code == LEFT_OVER or len(rest.split()) > MOST_WORDS:
            raise
        for kept, run in _drops(rest):
            try:
                return read(kept), run
            except InputError:
                continue
        raise
