"""A small evaluator of formulas as they are shown: names of inputs, the signs of arithmetic, a few words.

It knows nothing of the core's functions. A formula is an expression over the names of the figure's inputs; what follows
a comma or a semicolon outside brackets is a remark. Lengths are taken in the figure's own unit, or in millimetres where
it is no length.
"""

from __future__ import annotations

import math
import re
from collections.abc import Callable

from lathework.figures import Figure

MM = {"mm": 1.0, "in": 25.4}
HAIR = 1e-9
"""What floating point leaves of a whole number."""
WORDS: dict[str, Callable[..., float]] = {
    "smallest of": min,
    "largest of": max,
    "whole part of": lambda value: math.floor(value + HAIR),
    "next whole of": lambda value: math.ceil(value - HAIR),
    "to 3 places of": lambda value: math.floor(1000 * value + 0.5 + HAIR) / 1000,
    "nearest whole of": lambda value: math.floor(value + 0.5),
    "sin": lambda degrees: math.sin(math.radians(degrees)),
    "cos": lambda degrees: math.cos(math.radians(degrees)),
    "tan": lambda degrees: math.tan(math.radians(degrees)),
    "cot": lambda degrees: 1 / math.tan(math.radians(degrees)),
    "atan": lambda ratio: math.degrees(math.atan(ratio)),
    "ln": math.log,
    "√": math.sqrt,
    "erf": math.erf,
}
SIGNS = {"+": "+", "−": "-", "×": "*", "÷": "/", "/": "/", "(": "(", ")": ")", ",": ","}
POWERS = {"²": "**2", "³": "**3", "⁴": "**4"}


class Unreadable(Exception):
    """A formula that is no expression over its inputs."""


def expression(formula: str) -> str:
    """The part of a formula before its first comma or semicolon outside brackets."""
    depth = 0
    for at, sign in enumerate(formula):
        depth += (sign == "(") - (sign == ")")
        if depth == 0 and sign in ",;:":
            return formula[:at]
    return formula


def _unit(figure: Figure) -> str:
    """The unit in which the lengths of a figure are taken."""
    return next((unit for unit in MM if re.fullmatch(rf"{unit}(?:²(?:/{unit})?)?", figure.unit)), "mm")


def _values(figure: Figure) -> list[tuple[str, float]]:
    """The inputs in the unit that the formula counts in."""
    base = MM[_unit(figure)]
    out: list[tuple[str, float]] = []
    for given in figure.inputs:
        length, _, rest = given.unit.partition("²")
        # An area a unit of length is a length again.
        power = 2 if given.unit.endswith("²") else 1
        scale = MM.get(length) if not rest or rest == f"/{length}" else None
        value = given.value if scale is None else given.value * (scale / base) ** power
        out.append((given.name, value))
    return out


def _by_name(values: list[tuple[str, float]]) -> dict[str, float]:
    names = dict(values)
    if len(names) < len(values):
        raise Unreadable("two inputs have one name")
    return names


def _tokens(text: str, names: dict[str, float]) -> list[str]:
    """The formula in Python's signs, each input and word as a name of its own."""
    known = sorted([*names, *WORDS], key=len, reverse=True)
    out: list[str] = []
    while text:
        text = text.lstrip()
        word = next((name for name in known if text.startswith(name) and not _goes_on(name, text[len(name) :])), None)
        number = re.match(r"\d+(?:\.\d+)?", text)
        if word is not None:
            out.append(f"names[{word!r}]" if word in names else f"words[{word!r}]")
            text = text[len(word) :]
        elif number:
            out.append(number[0])
            text = text[number.end() :]
        elif text[:1] == "π":
            out.append("pi")
            text = text[1:]
        elif text[:1] in SIGNS or text[:1] in POWERS:
            out.append((SIGNS | POWERS)[text[0]])
            text = text[1:]
        elif text:
            raise Unreadable(f"“{text}”")
    return out


def _goes_on(name: str, rest: str) -> bool:
    """Whether a name is only the beginning of a longer word."""
    return name[-1].isalpha() and rest[:1].isalpha()


def evaluated(figure: Figure) -> float:
    """The value of a figure's formula on the inputs beside it. Raises Unreadable."""
    values = _values(figure)
    if expression(figure.formula) == "sum of all":
        return math.fsum(value for _, value in values)
    names = _by_name(values)
    tokens = _tokens(expression(figure.formula), names)
    try:
        return float(eval("".join(tokens), {"__builtins__": {}}, {"names": names, "words": WORDS, "pi": math.pi}))
    except (SyntaxError, TypeError, ZeroDivisionError, ValueError) as error:
        raise Unreadable(f"{''.join(tokens)}: {error}") from error


def agrees(figure: Figure, value: float) -> bool:
    """Whether a formula gave the figure's value: to the half of a standard's printed digit for a length."""
    printed = {"in": 0.000051, "mm": 0.00051}.get(figure.unit, 0.0)
    return math.isclose(value, figure.value, rel_tol=1e-6, abs_tol=max(printed, 1e-9))
