"""What the first page weighs, gzipped, beside a bare page of one button and one field from the same toolchain."""

from __future__ import annotations

import gzip
import json
from pathlib import Path
from typing import Any

Manifest = dict[str, dict[str, Any]]


def _closure(manifest: Manifest, start: list[str]) -> set[str]:
    """Everything that `start` imports statically."""
    seen: set[str] = set()
    todo = list(start)
    while todo:
        name = todo.pop()
        if name not in seen:
            seen.add(name)
            todo += manifest[name].get("imports", [])
    return seen


def weigh(built: Path, pages: list[str]) -> tuple[int, int]:
    """Gzipped bytes of JavaScript and CSS that the named entry chunks load."""
    manifest: Manifest = json.loads((built / ".vite" / "manifest.json").read_text(encoding="utf-8"))
    entries = [name for name, chunk in manifest.items() if chunk.get("isEntry")]
    chunks = _closure(manifest, [*entries, *pages])
    scripts = {manifest[name]["file"] for name in chunks}
    styles = {sheet for name in chunks for sheet in manifest[name].get("css", [])}

    def size(files: set[str]) -> int:
        return sum(len(gzip.compress((built / file).read_bytes(), 9)) for file in files)

    return size(scripts), size(styles)
