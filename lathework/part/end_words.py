"""What an end of a part is called, so that one finds it again when the piece has been turned about."""

from __future__ import annotations

from lathework.lengths import Length
from lathework.part.model import Edge, Part, Section
from lathework.units import show_length

_SHAPES = {"knurl": "knurled", "hexagon": "hexagon", "square": "square", "flats": "flatted"}


def _told(across: Length) -> str:
    return f"{show_length(across.value, across.unit, across.unit, fine=False)} {across.unit}"


def _of_section(part: Part, section: Section) -> str:
    """What the outermost section makes of its end."""
    if section.thread is not None:
        return f"the {section.thread.designation} end"
    if section.taper is not None:
        return "the taper's end"
    if section.shape in _SHAPES:
        return f"the {_SHAPES[section.shape]} end"
    if section.shape == "bar" and part.stock.form in _SHAPES:
        return f"the {_SHAPES[part.stock.form]} end"
    across = part.stock.across if section.across is None else section.across
    return f"the {_told(across)} end"


def _of_hole(part: Part, edge: Edge) -> str:
    """What a blind hole makes of its end, where there is none at the other; "" for none."""
    here = [bore for bore in part.bores if bore.end == edge and bore.depth is not None]
    there = [bore for bore in part.bores if bore.end not in (edge, "across")]
    if not here or there:
        return ""
    bore = here[0]
    named = (
        bore.thread.designation if bore.thread is not None else _told(bore.across) if bore.across is not None else ""
    )
    return f"the end with the {named} hole"


def end_named(part: Part, edge: Edge) -> str:
    """What the end at that `edge` is called by what is on it: its section, else its hole; "" where both ends are
    alike."""
    own, other = (part.sections[0], part.sections[-1]) if edge == "right" else (part.sections[-1], part.sections[0])
    named = _of_section(part, own)
    if named != _of_section(part, other):
        return named
    by_hole, other_hole = _of_hole(part, edge), _of_hole(part, "left" if edge == "right" else "right")
    if not by_hole and other_hole:
        return f"the end away from {other_hole.removeprefix('the end with ')}"
    return by_hole


def end_words(part: Part, edge: Edge, near: Edge) -> str:
    """What the end at that `edge` is called on a part that is made: by what is on it, else by which was made first,
    `near`."""
    return end_named(part, edge) or ("the end made first" if edge == near else "the end made last")
