"""Fields read as they are declared, threads among them."""

from __future__ import annotations

import math
import re
from collections.abc import Mapping
from dataclasses import replace
from typing import Any

from lathework.declared import Field
from lathework.errors import InputError
from lathework.fields import LONGEST_LINE, Choice, Designation, Extent, Ident, Numbers, Share, Text
from lathework.lengths import bare_number
from lathework.reader import Reader
from lathework.threads.designation import Called, read_called
from lathework.threads.limits import has_external, internal_classes, is_internal_class
from lathework.threads.taper import is_inside_taper, is_outside_taper
from lathework.threads.thread import Thread

NO_LIMITS = "can be looked up here but not planned: no standard at hand gives its limits"


def _without_length(called: Called) -> Called:
    """A thread with a remark where a screw's length was typed behind it: lengths of a part are typed for themselves."""
    if not called.length:
        return called
    note = f"The length behind the thread ({called.length}) is not read here. Type it in the length box."
    return replace(called, thread=replace(called.thread, notes=(*called.thread.notes, note)))


class FieldReader(Reader):
    """Reads fields as they are declared."""

    def thread(self, field: str, *, by_tool: bool = False) -> Called | None:
        """A thread that can be cut outside, with its class; or None with the error noted. One that no die makes is
        taken where it is cut `by_tool`."""
        try:
            called = read_called(self.text(field), stored=True)
            thread = called.thread
            single = by_tool and thread.single_point
            if not has_external(thread) and not is_outside_taper(thread) and not single:
                why = NO_LIMITS if thread.outside else "is not an external thread"
                if thread.single_point:
                    why = "must be cut single point: no die cuts it"
                raise InputError("not-for-a-die", field, f"{thread.designation} {why}.")
            if called.class_name and is_internal_class(thread, called.class_name, field):
                raise InputError(
                    "internal-class",
                    field,
                    f"{called.class_name} is a nut class. Choose a bolt class.",
                    (thread.designation,),
                )
        except InputError as error:
            self.note(error.at(field))
            return None
        return _without_length(called)

    def inside(self, field: str, *, by_tool: bool = False) -> Called | None:
        """A thread that can be cut in a hole, with its internal class; or None with the error noted. One that no tap
        makes is taken where it is cut `by_tool`."""
        try:
            called = read_called(self.text(field), stored=True)
            called = replace(called, class_name=called.inside_class or called.class_name)
            thread = called.thread
            single = by_tool and thread.single_point
            if not internal_classes(thread) and not is_inside_taper(thread) and not single:
                why = NO_LIMITS if thread.inside else "is not a thread for a hole"
                if thread.single_point:
                    why = "must be cut single point: choose the inside threading tool"
                raise InputError("not-for-a-tap", field, f"{thread.designation} {why}.")
            if called.class_name and not is_internal_class(thread, called.class_name, field):
                text = f"{called.class_name} is a bolt class. Choose a nut class."
                raise InputError("external-class", field, text, (thread.designation,))
        except InputError as error:
            self.note(error.at(field))
            return None
        return _without_length(called)

    def numbers(self, field: str, declared: Numbers) -> tuple[float, ...]:
        """Bare numbers with commas or spaces between, from the smallest up, each once unless it may repeat; empty is
        none."""
        text = self.text(field, longest=2 * LONGEST_LINE)
        values = [bare_number(word) for word in re.split(r"[,;\s]+", text) if word]
        if not declared.repeats:
            values = list(dict.fromkeys(values))
        if not text:
            return ()
        if len(values) > declared.most:
            self.fail("too-long", field, f"At most {declared.most} numbers fit here. You typed {len(values)}.")
            return ()
        if not all(declared.low <= value <= declared.high for value in values):
            self.fail("out-of-range", field, f"{declared.hint} each from {declared.low:g} to {declared.high:g}.")
            return ()
        if declared.whole and any(value % 1 for value in values):
            self.fail("not-a-count", field, f"{declared.hint} each a whole number.")
            return ()
        return tuple(sorted(values))

    def designation(self, field: str, declared: Designation) -> Thread | None:
        """A thread as designated, or None: empty where it may be, or with the error noted."""
        text = self.text(field)
        if declared.optional and not text:
            return None
        if declared.cut == "named":
            try:
                return read_called(text, stored=True).thread
            except InputError as error:
                self.note(error.at(field))
                return None
        called = self.thread(field) if declared.cut == "outside" else self.inside(field)
        return called.thread if called else None

    def maybe(self, field: str, declared: Share) -> float | None:
        """A bare number as it is declared; None where nobody said."""
        value = self.number(field, math.nan, declared.low, declared.high, declared.hint)
        if declared.whole and value % 1 > 0:
            self.fail("not-a-count", field, f"{declared.hint} a whole number.")
        return None if math.isnan(value) else value

    def declared(self, field: str, declared: Field) -> Any:
        """What stands at `field`, read as it is declared; TypeError for a field that needs a reader of its own."""
        match declared:
            case Text():
                return self.text(field, longest=declared.longest, required=declared.required)
            case Extent():
                return self.length(field, declared.span, optional=declared.optional)
            case Choice():
                return self.choice(field, declared.allowed, declared.default)
            case Share():
                return self.maybe(field, declared)
            case Designation():
                return self.designation(field, declared)
            case Numbers():
                return self.numbers(field, declared)
            case Ident():
                return self.ident(field)
            case _:
                raise TypeError(f"{field}: {type(declared).__name__}")


def in_its_unit(typed: Mapping[str, Any], field: str) -> FieldReader:
    """A reader of what was `typed` that takes a bare length in the unit of the thread or pitch in that `field`, where
    no unit was typed for the whole.

    >>> in_its_unit({"designation": "M10"}, "designation").unit, in_its_unit({"pitch": "1.5 mm"}, "pitch").unit
    ('mm', 'mm')
    """
    text = str(typed.get(field, ""))
    try:
        unit = read_called(text, stored=True).thread.unit
    except InputError:
        unit = "mm" if text.strip().lower().endswith("mm") else "in"
    return FieldReader({"unit": unit, **typed})
