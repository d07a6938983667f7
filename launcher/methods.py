"""`conch methods` and `conch gears`: which way to take for a thread, which wheels cut its pitch."""

from __future__ import annotations

import json
from dataclasses import asdict, replace
from pathlib import Path

from lathework.answers.gears_shown import geared, gears_shown, lines_of
from lathework.answers.ways_shown import TakenBy, way_shown
from lathework.errors import InputError, InvalidDocument
from lathework.field_reader import in_its_unit
from lathework.job.part_declaration import ALONG
from lathework.methods.ways.choose import Weighed, cheapest, rank, what_changes
from lathework.methods.ways.contract import MOST_PIECES, Machine, Wanted
from lathework.planning.threads.wanted import wanted_thread
from lathework.shop.kinds.kind import Owned
from lathework.shop.kinds.lathes import OwnLathe
from lathework.shop.kit_file import read_kit_file
from lathework.shop.leadscrew import read_lead, read_leads
from lathework.shop.metals import materials
from lathework.units import convert
from launcher.answers import print_errors
from launcher.messages import stop


def _kit(file: str) -> tuple[Owned, ...]:
    """The things of a kit file. Stops with a line where it cannot be read. Raises InvalidDocument for a wrong row."""
    try:
        text = Path(file).read_text(encoding="utf-8")
    except (OSError, UnicodeDecodeError) as error:
        stop(f"cannot read {file}: {error}")
    rows = read_kit_file(text)
    wrong = [error.at(f"line {row.line}: {error.field}") for row in rows for error in row.errors]
    if wrong:
        raise InvalidDocument(tuple(wrong))
    return tuple(row.thing for row in rows if row.thing is not None)


def _machine(things: tuple[Owned, ...]) -> Machine:
    """The only lathe of a kit; a usual one where there is none, or several."""
    lathes = [thing for thing in things if isinstance(thing, OwnLathe) and thing.at_hand]
    if len(lathes) != 1:
        return Machine()
    own = lathes[0]
    screw = read_lead(own.leadscrew) if own.leadscrew else None
    gears = tuple(int(teeth) for teeth in own.gears)
    run_down = Machine().run_down if own.run_down is None else own.run_down
    box = read_leads(own.gearbox) if own.gearbox else ()
    return Machine(own.weight, own.mount, own.speeds, run_down, screw, box, gears)


def _wanted(typed: dict[str, str], kit: str | None) -> Wanted:
    """What was asked. Raises InvalidDocument with every error beside its field."""
    reader = in_its_unit(typed, "designation")
    called, length = reader.thread("designation"), reader.length("length", ALONG, optional=True)
    pieces = reader.whole("count", 1, MOST_PIECES)
    metal = reader.choice("metal", tuple(materials()))
    if reader.errors or called is None:
        raise reader.invalid()
    alone = wanted_thread(
        called.thread, metal=materials()[metal], length_mm=length.mm if length else None, pieces=pieces
    )
    if kit is None:
        return alone
    things = _kit(kit)
    return replace(alone, things=things, machine=_machine(things))


def _lines(number: int, way: Weighed) -> list[str]:
    if way.refused:
        return [f"  not suitable: {way.name}: {'; '.join(way.refused)}"]
    head = f"  {number:2}. {way.name}: {way.set_up.value:.0f} min to set up, {way.each.value:.1f} min each"
    lines = [f"{head}, {way.whole.value:.0f} min in all"]
    lines += [f"      missing: {'; '.join(way.lacking)}"] if way.lacking else []
    lines += [f"      for: {'; '.join(way.merits)}"] if way.merits else []
    return lines + ([f"      against: {'; '.join(way.faults)}"] if way.faults else [])


def print_methods(designation: str, *, length: str, count: str, metal: str, kit: str | None, as_json: bool) -> int:
    """Print the ways to make a thread, the best first; 1 when what was asked cannot be used."""
    try:
        wanted = _wanted({"designation": designation, "length": length, "count": count, "metal": metal}, kit)
    except InvalidDocument as error:
        return print_errors(error, as_json=as_json)
    except InputError as error:
        return print_errors(InvalidDocument((error,)), as_json=as_json)
    ways = rank(wanted)
    changes = what_changes(ways, wanted.pieces)
    if as_json:
        shown = [asdict(way_shown(way, tuple(TakenBy(*choice) for choice in way.takes))) for way in ways]
        told = {"thread": wanted.thread.designation, "ways": shown, "changes": changes, "cheapest": cheapest(ways)}
        print(json.dumps(told, ensure_ascii=False))
        return 0
    pieces = f"{wanted.pieces} piece{'' if wanted.pieces == 1 else 's'}"
    unit = wanted.thread.unit
    long = f"{convert(wanted.length_mm, 'mm', unit):.4g} {unit} long"
    lines = [f"{wanted.thread.designation}, {long}, {pieces} of {wanted.metal.name}"]
    for number, way in enumerate(ways, 1):
        lines += _lines(number, way)
    lines += [f"  {change}" for change in changes]
    print("\n".join([*lines, *([f"  {cheapest(ways)}"] if cheapest(ways) else [])]))
    return 0


def print_gears(typed: dict[str, str], *, as_json: bool) -> int:
    """Print trains of wheels for a pitch; 1 when what was asked cannot be used."""
    try:
        told = geared(typed)
    except InvalidDocument as error:
        return print_errors(error, as_json=as_json)
    print(json.dumps(asdict(gears_shown(told)), ensure_ascii=False) if as_json else "\n".join(lines_of(told)))
    return 0
