"""Where the settings of a die are counted from: where its screw touches, or a place that has only a name."""

from __future__ import annotations

from lathework.dies.scale import Scale
from lathework.dies.setting import turn_words

TOUCH, HERE = "", "here"
"""Where the screw touches, or the mark of a scale; where it stood at the start of a job, which nobody said."""
_ON = "on "


def on_screw(name: str) -> str:
    """Where it nips a known screw, by the name of that.

    >>> on_screw("the union")
    'on the union'
    """
    return f"{_ON}{name}"


def screw_of(start: str) -> str:
    """The name of the screw that is nipped where settings are counted from; "" where they are counted otherwise.

    >>> screw_of("on the union"), screw_of("here")
    ('the union', '')
    """
    return start.removeprefix(_ON) if start.startswith(_ON) else ""


def stands_from(scale: Scale, marks: float, start: str) -> str:
    """Where a die stands, so many `marks` (a number) from where its settings are counted, in words.

    >>> from lathework.dies.scale import SCREW
    >>> stands_from(SCREW, -1, on_screw("the union")), stands_from(SCREW, 0, on_screw("the union"))
    ('closed 1/8 turn from where it grips the union', 'just gripping the union')
    """
    screw = screw_of(start)
    if screw and not marks:
        return f"just gripping {screw}"
    stands = scale.stands(marks)
    if not marks or start == TOUCH:
        return stands
    return f"{stands} from where it {f'grips {screw}' if screw else 'started'}"


def order_on(screw: str, marks: float) -> str:
    """How a die is set on a known `screw`, and so many `marks` (eighths of a turn, a number) from there. Source:
    practice."""
    order = (
        f"Clean the die and its pocket. Open the die until it runs freely onto {screw}. Slacken the middle screw and "
        f"tighten the outer screws evenly until the die just grips {screw}"
    )
    if not marks:
        return f"{order}."
    if marks > 0:
        return f"{order}. Then slacken the outer screws and turn the middle screw in {turn_words(marks)}."
    return (
        f"{order}. Run it off, slacken the middle screw {turn_words(-marks)} more, and tighten the outer screws evenly "
        "until the middle one touches again."
    )
