"""Errors of every kind as HTTP problem details with the field's path: the only place that knows status codes."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Any

import orjson
from django.db import DatabaseError
from django.http import Http404, HttpRequest, HttpResponse
from ninja import NinjaAPI
from ninja.errors import HttpError, ValidationError

from lathework.answers.values import FieldError, field_error
from lathework.bench.entry import KINDS
from lathework.errors import InputError, InvalidDocument
from lathework.reader import MOST_TOLD
from server.site.faults import KEPT, fault_of
from server.site.refusals import tell_refusal


@dataclass(frozen=True)
class Problem:
    """Problem details (RFC 9457) with the errors of the fields."""

    title: str
    status: int
    code: str
    detail: str
    errors: tuple[FieldError, ...]


CHANGED_ELSEWHERE = "Someone changed this after you opened it. Check it, then make your change again."


class Conflict(Exception):
    """The stored state moved on since the person's screen was drawn."""


class Unreadable(Exception):
    """A stored job that the rules no longer read: the reasons, by field."""

    def __init__(self, invalid: InvalidDocument) -> None:
        super().__init__(str(invalid))
        self.invalid = invalid


class Refused(Exception):
    """The request makes sense, but not now: what must be done first is in the message."""

    def __init__(self, error: InputError) -> None:
        super().__init__(error.message)
        self.error = error


class Unpaired(Exception):
    """The request comes from a device that is not known here."""


class NotAllowed(Exception):
    """The one who asks is known, and may not do that: a code, and why."""

    def __init__(self, code: str, message: str) -> None:
        super().__init__(message)
        self.code = code


TITLES = {
    400: "Request cannot be read",
    401: "Not paired",
    403: "Not allowed",
    404: "Not found",
    409: "Not now",
    413: "Too large",
    415: "Not JSON",
    422: "Check the fields",
    503: "Not now",
    507: "Not saved",
}
"""What each code is called here: the interpreters call some of them otherwise from one to the next."""
PROBLEM_TYPE = "application/problem+json"
_LONGEST_FIELD = 200
#: Declared by every endpoint that can fail. The API's schema names the other codes: a model each takes long to make.
PROBLEMS = {400: Problem}
PROBLEM_CODES = (400, 401, 403, 404, 409, 413, 415, 422)


def problem(status: int, code: str, detail: str, errors: Sequence[FieldError] = ()) -> HttpResponse:
    """One problem answer."""
    told = Problem(TITLES.get(status, "Error"), status, code, _whole(detail), tuple(_told(error) for error in errors))
    return HttpResponse(orjson.dumps(told), status=status, content_type=PROBLEM_TYPE)


_OF_AN_ACT = ("body", "payload")
_WHICH_ACT = ("union_tag_invalid", "union_tag_not_found")
"""What a body is refused as whose kind is no act's."""


def _whole(text: str) -> str:
    """The same text, one that can be written: what was refused may hold half a character."""
    return text.encode("utf-8", "replace").decode("utf-8")


def _told(error: FieldError) -> FieldError:
    return FieldError(error.code, _whole(error.field), _whole(error.message), tuple(map(_whole, error.choices)))


def _counted(errors: Sequence[FieldError], count: int) -> list[FieldError]:
    """The first errors, and how many there are besides."""
    told = list(errors[:MOST_TOLD])
    if count > len(told):
        told.append(FieldError("more", "", f"And {count - len(told)} more.", ()))
    return told


def answer(data: object, status: int = 200) -> HttpResponse:
    """A typed answer, serialised once; its shape is that of the endpoint's declared one."""
    return HttpResponse(orjson.dumps(data), status=status, content_type="application/json")


def csrf_failure(request: HttpRequest, reason: str = "") -> HttpResponse:
    """A request without this site's own token."""
    tell_refusal(f"a {request.method} of another page, {request.headers.get('Origin', 'of no origin')}: {reason}")
    return problem(403, "csrf", "Reload the page and try again.")


def _field(kind: str, location: tuple[Any, ...]) -> str:
    """The path of a field from where the framework found an error of that kind: ("body", "document", "title") is
    "title"; an act's is named without the kind of the act, ("body", "payload", "note", "reason") is "reason"."""
    if kind in _WHICH_ACT:
        return "kind"
    *_, last = location
    if location[:-2] == _OF_AN_ACT and location[-2] in KINDS:
        return str(last)
    skipped = {"body", "query", "path", "document", "payload", "typed"}
    return ".".join(str(part) for part in location if part not in skipped)


_PLAIN = {
    "missing": "This is missing.",
    "extra_forbidden": "There is no field of this name.",
    "string_type": "Write text.",
    "string_too_long": "At most {max_length} characters.",
    "too_long": "At most {max_length}.",
    "int_type": "Write a whole number.",
    "int_parsing": "Write a whole number.",
    "int_from_float": "Write a whole number.",
    "float_parsing": "Write a number.",
    "less_than_equal": "At most {le}.",
    "greater_than_equal": "At least {ge}.",
    "literal_error": "One of {expected}.",
    "enum": "One of {expected}.",
    "bool_parsing": "Write true or false.",
}
"""How a person is told of what the framework refuses, by its kind of error; the others in the framework's words."""


def _said(error: dict[str, Any]) -> str:
    """What is wrong with a field, in plain words."""
    plain = _PLAIN.get(error["type"])
    return plain.format(**error.get("ctx", {})) if plain else str(error["msg"])


def register_problems(api: NinjaAPI) -> None:
    """Map the families of errors to answers."""

    @api.exception_handler(InputError)
    def _input(request: HttpRequest, error: InputError) -> HttpResponse:
        return problem(422, error.code, error.message, [field_error(error)])

    @api.exception_handler(InvalidDocument)
    def _document(request: HttpRequest, error: InvalidDocument) -> HttpResponse:
        first = error.errors[0]
        told = _counted([field_error(e) for e in error.errors], error.count)
        return problem(422, first.code, first.message, told)

    @api.exception_handler(Unreadable)
    def _unreadable(request: HttpRequest, error: Unreadable) -> HttpResponse:
        told = _counted([field_error(e) for e in error.invalid.errors], error.invalid.count)
        text = "This version cannot open this job. Its file and its records are still here."
        return problem(409, "unreadable-job", text, told)

    @api.exception_handler(ValidationError)
    def _validation(request: HttpRequest, error: ValidationError) -> HttpResponse:
        errors = [
            FieldError(e["type"], _field(e["type"], e["loc"])[:_LONGEST_FIELD], _said(e), ())
            for e in error.errors[:MOST_TOLD]
        ]
        told = _counted(errors, len(error.errors))
        text = (
            "The request is not valid." if len(told) > 1 or not told[0].field else f"{told[0].field}: {told[0].message}"
        )
        return problem(422, "invalid", text, told)

    @api.exception_handler(HttpError)
    def _http(request: HttpRequest, error: HttpError) -> HttpResponse:
        return problem(error.status_code, "unreadable", str(error))

    @api.exception_handler(Http404)
    def _missing(request: HttpRequest, error: Http404) -> HttpResponse:
        return problem(404, "not-found", str(error) or f"There is no page at {request.path}.")

    @api.exception_handler(Unpaired)
    def _unpaired(request: HttpRequest, error: Unpaired) -> HttpResponse:
        return problem(401, "unpaired", "This device is not paired. Use the code shown on the host.")

    @api.exception_handler(NotAllowed)
    def _not_allowed(request: HttpRequest, error: NotAllowed) -> HttpResponse:
        return problem(403, error.code, str(error))

    @api.exception_handler(DatabaseError)
    def _store(request: HttpRequest, error: DatabaseError) -> HttpResponse:
        fault = fault_of(error)
        if fault is None:
            raise error
        tell_refusal(fault.sentence)
        kept = "" if request.method == "GET" else f" {KEPT}"
        told = problem(fault.status, fault.code, f"{fault.sentence}{kept}")
        told._has_been_logged = True  # type: ignore[attr-defined]  # the framework would tell it at each attempt
        return told

    @api.exception_handler(Conflict)
    def _conflict(request: HttpRequest, error: Conflict) -> HttpResponse:
        return problem(409, "moved-on", str(error))

    @api.exception_handler(Refused)
    def _refused(request: HttpRequest, error: Refused) -> HttpResponse:
        return problem(409, error.error.code, error.error.message, [field_error(error.error)])
