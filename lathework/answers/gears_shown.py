"""Trains of change gears for a pitch, for a screen and for the command line."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from lathework import cautions
from lathework.answers.declared_answer import answer
from lathework.answers.sheet_shown import SheetShown, sheet_shown
from lathework.answers.values import FigureShown, figure_shown
from lathework.cautions import Caution
from lathework.drawing.gears.train import train_sheet
from lathework.errors import InputError
from lathework.field_reader import FieldReader, in_its_unit
from lathework.figures import Figure
from lathework.lengths import Length, Span
from lathework.methods.gearbox import Geared, settings
from lathework.methods.gears import as_pitch_diameter, over_length, per_hundred
from lathework.methods.thread_dial import NutTimes, nut_times
from lathework.shop.dial import check_dial
from lathework.shop.kinds.lathes import DIAL_LINES, DIAL_TEETH, GEARS
from lathework.shop.leadscrew import Lead, lead_of, read_lead, read_leads
from lathework.threads.designation import read_called
from lathework.threads.thread import Thread

LENGTH = Span("A length of thread", 1, 600)
USUAL_MM = 25.4
"""Length of thread over which an error is told where nobody says one: an inch."""
SIXTY = 60.0
LONGEST_BOX = 2000
"""Characters of what a gearbox cuts."""


@dataclass(frozen=True, slots=True)
class Trains:
    """The settings for a `pitch`, on a leadscrew, with the gearbox and the wheels owned; errors over `length_mm`; the
    `dial` by its teeth and lines, 0 for none."""

    pitch: Lead
    leadscrew: Lead
    settings: tuple[Geared, ...]
    dial: tuple[int, int]
    length_mm: float
    flank_angle_deg: float

    def nuts(self, one: Geared) -> NutTimes:
        """When the half nuts may be closed: what is really cut decides, not the pitch that was wanted."""
        teeth, marks = self.dial
        return nut_times(one.cuts(self.leadscrew.mm), self.leadscrew.mm, teeth=teeth, marks=marks)

    def errors(self, one: Geared) -> tuple[Figure, ...]:
        """What a train is off: over 100 mm, over the thread, and what that costs of its pitch diameter."""
        if one.train is None:
            return ()
        off = over_length(one.train, self.length_mm)
        return per_hundred(one.train), off, as_pitch_diameter(off.value, self.flank_angle_deg)


@answer
class TrainShown:
    """A train: its drivers and the wheels they drive, in words, what it is off, whether it meshes; when the half nuts
    may be closed with it, and at which lines of the dial where it matters which. `box` is where a gearbox stands with
    it, "" without one; no wheels where the box does it alone, and then nothing is drawn."""

    box: str
    drivers: tuple[int, ...]
    driven: tuple[int, ...]
    words: str
    exact: bool
    meshes: bool
    errors: tuple[FigureShown, ...]
    nuts: str
    lines: tuple[int, ...]
    drawing: SheetShown | None


@answer
class GearsShown:
    """Trains for a pitch, the best first; what to mind while they are put up."""

    pitch: str
    leadscrew: str
    ratio: str
    trains: tuple[TrainShown, ...]
    cautions: tuple[Caution, ...]


def _pitch(reader: FieldReader) -> tuple[Lead, Thread | None] | None:
    """A pitch as typed, or that of a thread as designated."""
    text = reader.text("pitch", required=True)
    if not text:
        return None
    try:
        return read_lead(text, "pitch"), None
    except InputError as error:
        pitch = error
    try:
        thread = read_called(text).thread
    except InputError:
        reader.note(pitch)
        return None
    return lead_of(thread), thread


def _wheels(reader: FieldReader, *, alone: bool) -> tuple[int, ...]:
    """The wheels owned: there must be some where they work `alone`, without a gearbox."""
    gears = reader.numbers("gears", GEARS)
    if alone and not gears and not reader.errors:
        reader.fail("empty", "gears", "Type the teeth of your change gears, separated by commas: 20, 30, 40, 40, 65.")
    return tuple(int(teeth) for teeth in gears)


def _dial(reader: FieldReader) -> tuple[int, int]:
    teeth, lines = reader.maybe("dial_teeth", DIAL_TEETH), reader.maybe("dial_lines", DIAL_LINES)
    check_dial(reader, teeth, lines)
    return int(teeth or 0), int(lines or 0)


def geared(typed: dict[str, str]) -> Trains:
    """Trains for what was typed: pitch (or a thread), leadscrew, gearbox, gears, dial_teeth, dial_lines, length.

    Raises InvalidDocument with every error beside its field.
    """
    reader = in_its_unit(typed, "pitch")
    pitch = _pitch(reader)
    screw = reader.made("leadscrew", reader.text("leadscrew", required=True), read_lead)
    box = reader.made("gearbox", reader.text("gearbox", longest=LONGEST_BOX), read_leads) or ()
    wheels, dial = _wheels(reader, alone=not box), _dial(reader)
    length: Length | None = reader.length("length", LENGTH, optional=True)
    if reader.errors or pitch is None or screw is None:
        raise reader.invalid()
    lead, thread = pitch
    angle = thread.form.angle_deg if thread is not None else SIXTY
    found = settings(lead.mm, screw.mm, box, wheels)
    return Trains(lead, screw, found, dial, length.mm if length else USUAL_MM, angle)


def _train_shown(told: Trains, one: Geared) -> TrainShown:
    nuts, train = told.nuts(one), one.train
    return TrainShown(
        one.box.typed if one.box else "",
        train.drivers if train else (),
        train.driven if train else (),
        one.words,
        one.off == 0,
        one.meshes,
        tuple(figure_shown(error) for error in told.errors(one)),
        nuts.words,
        nuts.lines if nuts.every != 1 else (),
        sheet_shown(train_sheet(train)) if train else None,
    )


def gears_shown(told: Trains) -> GearsShown:
    """Trains for a screen."""
    ratio = told.pitch.mm / told.leadscrew.mm
    return GearsShown(
        told.pitch.typed,
        told.leadscrew.typed,
        f"{ratio.numerator}/{ratio.denominator}",
        tuple(_train_shown(told, one) for one in told.settings),
        (cautions.GEARS,),
    )


def lines_of(told: Trains) -> Sequence[str]:
    """Trains for a terminal."""
    ratio = told.pitch.mm / told.leadscrew.mm
    lines = [f"{told.pitch.typed} with a {told.leadscrew.typed} leadscrew: {ratio.numerator}/{ratio.denominator}"]
    for one in told.settings:
        off = f"error {1000 * float(one.off):+.3f} in 1000" if one.off else "exact"
        lines.append(f"  {one.words}  ({off}{'' if one.meshes else '; does not fit: a gear hits a shaft'})")
        lines.append(f"      {told.nuts(one).words}")
    if not told.settings:
        lines.append("  no set of these gears comes within 5 in 1000")
    return lines
