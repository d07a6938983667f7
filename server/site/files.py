"""Answers that are files to keep."""

from __future__ import annotations

from typing import Any

from django.http import HttpResponse


def file_in_schema(content_type: str) -> dict[str, Any]:
    """How the schema tells of a file."""
    content = {content_type: {"schema": {"type": "string", "format": "binary"}}}
    return {"responses": {200: {"description": "The file", "content": content}}}


def file_answer(content: bytes | str, name: str, content_type: str) -> HttpResponse:
    """A file of that name to download."""
    response = HttpResponse(content, content_type=content_type)
    response["Content-Disposition"] = f'attachment; filename="{name}"'
    return response
