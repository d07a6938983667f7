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
from lathework.methods.gears import Train, as_pitch_diameter, over_length, per_hundred, trains
from lathework.methods.thread_dial import NutTimes, nut_times
from lathework.shop.dial import check_dial
from lathework.shop.kinds.lathes import DIAL_LINES, DIAL_TEETH, GEARS
from lathework.shop.leadscrew import Lead, lead_of, read_lead
from lathework.threads.designation import read_called
from lathework.threads.thread import Thread

LENGTH = Span("A length of thread", 1, 600)
USUAL_MM = 25.4
"""Length of thread over which an error is told where nobody says one: an inch."""
SIXTY = 60.0


@dataclass(frozen=True, slots=True)
class Geared:
    """The trains for a `pitch`, on a leadscrew, with the wheels owned; errors over `length_mm`; the `dial` by
    its teeth and lines, 0 for none."""

    pitch: Lead
    leadscrew: Lead
    trains: tuple[Train, ...]
    dial: tuple[int, int]
    length_mm: float
    flank_angle_deg: float

    def nuts(self, train: Train) -> NutTimes:
        """When the half nuts may be closed with a train: what it really cuts decides, not the pitch that was wanted."""
        teeth, marks = self.dial
        return nut_times(train.cuts(self.leadscrew.mm), self.leadscrew.mm, teeth=teeth, marks=marks)

    def errors(self, train: Train) -> tuple[Figure, ...]:
        """What a train is off: over 100 mm, over the thread, and what that costs of its pitch diameter."""
        off = over_length(train, self.length_mm)
        return per_hundred(train), off, as_pitch_diameter(off.value, self.flank_angle_deg)


@answer
class TrainShown:
    """A train: its drivers and the wheels they drive, in words, what it is off, whether it meshes; when the half nuts
    may be closed with it, and at which lines of the dial where it matters which."""

    drivers: tuple[int, ...]
    driven: tuple[int, ...]
    words: str
    exact: bool
    meshes: bool
    errors: tuple[FigureShown, ...]
    nuts: str
    lines: tuple[int, ...]
    drawing: SheetShown


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


def _wheels(reader: FieldReader) -> tuple[int, ...]:
    gears = reader.numbers("gears", GEARS)
    if not gears and not reader.errors:
        reader.fail("empty", "gears", "Type the teeth of your change gears, separated by commas: 20, 30, 40, 40, 65.")
    return tuple(int(teeth) for teeth in gears)


def _dial(reader: FieldReader) -> tuple[int, int]:
    teeth, lines = reader.maybe("dial_teeth", DIAL_TEETH), reader.maybe("dial_lines", DIAL_LINES)
    check_dial(reader, teeth, lines)
    return int(teeth or 0), int(lines or 0)


def geared(typed: dict[str, str]) -> Geared:
    """Trains for what was typed: pitch (or a thread), leadscrew, gears, dial_teeth, dial_lines, length.

    Raises InvalidDocument with every error beside its field.
    """
    reader = in_its_unit(typed, "pitch")
    pitch = _pitch(reader)
    screw = reader.made("leadscrew", reader.text("leadscrew", required=True), read_lead)
    wheels, dial = _wheels(reader), _dial(reader)
    length: Length | None = reader.length("length", LENGTH, optional=True)
    if reader.errors or pitch is None or screw is None:
        raise reader.invalid()
    lead, thread = pitch
    angle = thread.form.angle_deg if thread is not None else SIXTY
    found = trains(lead.mm, screw.mm, wheels)
    return Geared(lead, screw, found, dial, length.mm if length else USUAL_MM, angle)


def _train_shown(told: Geared, train: Train) -> TrainShown:
    nuts = told.nuts(train)
    return TrainShown(
        train.drivers,
        train.driven,
        train.words,
        train.off == 0,
        train.meshes,
        tuple(figure_shown(error) for error in told.errors(train)),
        nuts.words,
        nuts.lines if nuts.every != 1 else (),
        sheet_shown(train_sheet(train)),
    )


def gears_shown(told: Geared) -> GearsShown:
    """Trains for a screen."""
    ratio = told.pitch.mm / told.leadscrew.mm
    return GearsShown(
        told.pitch.typed,
        told.leadscrew.typed,
        f"{ratio.numerator}/{ratio.denominator}",
        tuple(_train_shown(told, train) for train in told.trains),
        (cautions.GEARS,),
    )


def lines_of(told: Geared) -> Sequence[str]:
    """Trains for a terminal."""
    ratio = told.pitch.mm / told.leadscrew.mm
    lines = [f"{told.pitch.typed} with a {told.leadscrew.typed} leadscrew: {ratio.numerator}/{ratio.denominator}"]
    for train in told.trains:
        off = f"error {1000 * float(train.off):+.3f} in 1000" if train.off else "exact"
        lines.append(f"  {train.words}  ({off}{'' if train.meshes else '; does not fit: a gear hits a shaft'})")
        lines.append(f"      {told.nuts(train).words}")
    if not told.trains:
        lines.append("  no set of these gears comes within 5 in 1000")
    return lines
