"""Lathes and die heads as they stand in a line: what is measured of them is told with what it is."""

from __future__ import annotations

import re
from collections.abc import Iterator

from lathework.shop.typing.sizes import die_size

Documents = Iterator[dict[str, str]]


def lathe(rest: str, told: dict[str, str]) -> Documents:
    """A lathe by its name; bore, swing, speeds, gears, leadscrew and thread dial are told with what they are."""
    for field in ("speeds", "gears"):
        found = re.search(rf"{field}\s+(?P<numbers>\d[\d ]*)", rest, re.IGNORECASE)
        if found:
            told = {**told, field: ", ".join(found["numbers"].split())}
            rest = f"{rest[: found.start()]} {rest[found.end() :]}"
    for field, words in (("bore", "bore"), ("swing", "swing")):
        found = re.search(rf"(?P<size>[\d./-]+(?:\s*(?:mm|in))?)\s+{words}\b", rest, re.IGNORECASE)
        if found:
            told = {**told, field: die_size(found["size"])}
            rest = f"{rest[: found.start()]} {rest[found.end() :]}"
    screw = re.search(r"leadscrew\s+(?P<pitch>[\d./,-]+\s*(?:tpi|mm|in))\b", rest, re.IGNORECASE)
    if screw:
        told = {**told, "leadscrew": screw["pitch"]}
        rest = f"{rest[: screw.start()]} {rest[screw.end() :]}"
    box = re.search(r"gearbox\s+(?P<gives>\d[\d., ]*(?:tpi|mm)(?:\s*;\s*\d[\d., ]*(?:tpi|mm))?)", rest, re.IGNORECASE)
    if box:
        told = {**told, "gearbox": box["gives"]}
        rest = f"{rest[: box.start()]} {rest[box.end() :]}"
    dial = re.search(r"dial\s+(?P<teeth>\d+)\s+teeth\s+(?P<lines>\d+)\s+lines\b", rest, re.IGNORECASE)
    if dial:
        told = {**told, "dial_teeth": dial["teeth"], "dial_lines": dial["lines"]}
        rest = f"{rest[: dial.start()]} {rest[dial.end() :]}"
    name = " ".join([*rest.split(), "lathe"])
    return iter(({"name": name[0].upper() + name[1:], **told},))


def head(rest: str, told: dict[str, str]) -> Documents:
    """A die head by the threads it takes; how long a thread, its overrun and a graduation with what they are."""
    for field, words in (("swallows", "takes in"), ("overrun", "overrun"), ("graduation", "graduation")):
        found = re.search(rf"{words}\s+(?P<size>[\d./-]+\s*(?:mm|in))\b", rest, re.IGNORECASE)
        if found:
            told = {**told, field: found["size"]}
            rest = f"{rest[: found.start()]} {rest[found.end() :]}"
    run = re.match(r"\s*(?P<least>[\d./]+)-(?P<most>[\d./]+)\s*$", rest)
    if run:
        sizes = {name: die_size(run[name]) for name in ("least", "most")}
        return iter(({**sizes, **told},))
    named = zip(("least", "most"), re.split(r"\s*x\s*|\s+", rest.strip()), strict=False)
    return iter(({**{name: die_size(size) for name, size in named if size}, **told},))
