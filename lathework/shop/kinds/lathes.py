"""Lathes."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from lathework.field_reader import FieldReader
from lathework.fields import Choice, Extent, Numbers, Share, Text
from lathework.lengths import Length, Span
from lathework.shop.dial import check_dial
from lathework.shop.kinds.kind import LONGEST_NOTE, InLine, KindField, Owned, ThingKind, lies_under, no_size
from lathework.shop.kinds.lathe_line import reads_lathe
from lathework.shop.kinds.shared import SAID_WORDS
from lathework.shop.kit_choices import MORSE, SAID, Morse, Said
from lathework.shop.lathe_facts import DIALS, LATHES, MOUNTS, READOUTS, TOOL_ZEROS, Dial, Mount, Readout, ToolZeros
from lathework.shop.lathe_facts import Lathe as Weight
from lathework.shop.lathe_words import DIALS as DIAL_WORDS
from lathework.shop.lathe_words import LATHES as WEIGHT_WORDS
from lathework.shop.lathe_words import MOUNTS as MOUNT_WORDS
from lathework.shop.lathe_words import READOUTS as READOUT_WORDS
from lathework.shop.lathe_words import TOOL_ZEROS as ZERO_WORDS
from lathework.shop.leadscrew import read_lead, read_leads
from lathework.shop.typing.line_words import SOCKETS

MOST_SPEEDS, MOST_GEARS = 40, 60
SPINDLE_BORE, SWING, TRAVEL = Span("A spindle's bore", 4, 160), Span("A swing", 40, 1000), Span("A travel", 10, 500)
SPEEDS = Numbers(1, 6000, MOST_SPEEDS, "Speeds in rev/min,", "speeds in rev/min, back gear among them")
GEARBOX = Text("pitches of its gearbox: 8, 9, 10 tpi; 0.5, 1 mm", LONGEST_NOTE)
GEARS = Numbers(
    8, 200, MOST_GEARS, "Teeth of change gears,", "teeth of the change gears owned", repeats=True, whole=True
)
DIAL_TEETH = Share(
    8, 200, "Teeth of the thread dial's gear, such as 16,", "teeth of the thread dial's gear", whole=True
)
DIAL_LINES = Share(1, 32, "Lines of the thread dial, such as 8,", "lines of the thread dial", whole=True)


@dataclass(frozen=True, slots=True)
class OwnLathe(Owned):
    """A lathe: `speeds` in rev/min from the slowest up, `gears` by their teeth, each wheel owned; its `gearbox` by the
    pitches it gives, its thread dial by the teeth of its wheel and its lines."""

    name: str
    bore: Length | None
    swing: Length | None
    taper: Morse
    travel: Length | None
    speeds: tuple[float, ...]
    reverse: Said
    mount: Mount
    run_down: float | None
    dial: Dial
    readout: Readout
    tools: ToolZeros
    weight: Weight
    leadscrew: str
    gearbox: str
    gears: tuple[float, ...]
    dial_teeth: float | None
    dial_lines: float | None


def _check(reader: FieldReader, said: Mapping[str, Any]) -> None:
    reader.made("leadscrew", said["leadscrew"], read_lead)
    reader.made("gearbox", said["gearbox"], read_leads)
    check_dial(reader, said["dial_teeth"], said["dial_lines"])


LATHE = ThingKind(
    code="lathe",
    place=18,
    called="lathe",
    about="a lathe",
    made=OwnLathe,
    fields={
        "name": KindField(Text("what it is called here", required=True), "Name"),
        "bore": KindField(Extent(SPINDLE_BORE, "what passes through its spindle"), "Spindle bore"),
        "swing": KindField(Extent(SWING, "diameter it swings over the bed"), "Swing"),
        "taper": KindField(Choice(MORSE, "", "Morse taper of its tailstock"), "Tailstock taper"),
        "travel": KindField(Extent(TRAVEL, "travel of its tailstock barrel"), "Tailstock travel"),
        "speeds": KindField(SPEEDS, "Speeds, rev/min"),
        "reverse": KindField(Choice(SAID, "", "whether its spindle can be reversed"), "Reverse", SAID_WORDS),
        "mount": KindField(Choice(MOUNTS, "unsaid", "how the chuck sits on the spindle"), "Chuck", MOUNT_WORDS),
        "run_down": KindField(
            Share(0, 200, "Turns the spindle runs on, such as 1.5,", "turns it runs on after switch-off"),
            "Run-on, turns",
        ),
        "dial": KindField(Choice(DIALS, "diameter", "what its cross-slide dial reads"), "Dial", DIAL_WORDS),
        "readout": KindField(
            Choice(READOUTS, "readout", "what shows the position along the bed"), "Readout", READOUT_WORDS
        ),
        "tools": KindField(
            Choice(TOOL_ZEROS, "unsaid", "whether a tool's zero stays good while another tool is in the toolpost"),
            "Tool zeros",
            ZERO_WORDS,
        ),
        "weight": KindField(Choice(LATHES, "middling", "how deep it may cut"), "Weight", WEIGHT_WORDS),
        "leadscrew": KindField(Text("pitch of its leadscrew: 8 tpi, 3 mm"), "Leadscrew"),
        "gearbox": KindField(GEARBOX, "Gearbox pitches"),
        "gears": KindField(GEARS, "Change gears"),
        "dial_teeth": KindField(DIAL_TEETH, "Thread dial, teeth"),
        "dial_lines": KindField(DIAL_LINES, "Thread dial, lines"),
    },
    check=_check,
    name=lambda lathe: lathe.name,
    short=lambda lathe: lathe.name,
    drawer=lies_under("Lathes"),
    across=no_size,
    sign="M2 40h68v-6H2zM4 34V10h18v24zM22 16h8v12h-8zM54 34V18h14v16zM54 22l-8 1.500l8 1.500z",
    line=InLine(
        called=r"lathes?|tailstocks?",
        rank=13,
        words=SOCKETS
        | {
            "screwed": ("mount", "screwed"),
            "cam": ("mount", "locked"),
            "light": ("weight", "light"),
            "heavy": ("weight", "heavy"),
            "radius": ("dial", "radius"),
        },
        reads=reads_lathe,
        alone=False,
        more=False,
        whole=True,
    ),
)
