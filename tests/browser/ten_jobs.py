"""Ten jobs as they are told in words, and how a person brings each to its set-up sheet, act by act."""

from __future__ import annotations

import re
from collections.abc import Callable
from dataclasses import dataclass

from playwright.sync_api import Page, expect

from tests.browser.base import choose, type_into

#: A practised person: a press of a key, a hand brought to the mouse and the mouse to its mark, a thought before an act.
#: Source: the keystroke-level model (Card, Moran and Newell, 1980), in seconds.
KEY_S, POINT_S, HAND_S, THINK_S = 0.28, 1.1, 0.4, 1.35


class Hand:
    """One who does the job: counts what is done, and how long that takes by the keystroke-level model."""

    def __init__(self, page: Page) -> None:
        self.page = page
        self.acts = 0
        self.seconds = 0.0

    def _act(self, keys: int = 0) -> None:
        self.acts += 1
        self.seconds += THINK_S + HAND_S + POINT_S + keys * KEY_S

    def press(self, name: str) -> None:
        """Press a button."""
        self.page.get_by_role("button", name=name, exact=True).click()
        self._act()

    def pick(self, name: str) -> None:
        """Choose a picture."""
        self.page.get_by_role("radio", name=name, exact=True).click()
        self._act()

    def type(self, label: str, text: str) -> None:
        """Fill a field."""
        field = self.page.get_by_role("textbox", name=label, exact=True)
        type_into(field, text)
        expect(field).to_have_value(text)
        self._act(len(text))

    def choose(self, label: str, option: str) -> None:
        """Choose from a list: open it, and take one."""
        choose(self.page, label, option)
        self._act()
        self._act()


@dataclass(frozen=True)
class Told:
    """A job in words; what is typed after its picture is chosen; what must stand on its set-up sheet."""

    words: str
    picture: str
    typed: dict[str, str]
    on_the_sheet: tuple[str, ...]
    metal: str = ""
    more: Callable[[Hand], None] | None = None


def _relieve_by_the_die(hand: Hand) -> None:
    hand.press("Process")
    hand.choose("Thread end at the shoulder", "die flipped")


def _drill_for_a_pin(hand: Hand) -> None:
    hand.press("Holes")
    hand.press("Add a cross hole")
    hand.type("Hole 1, drill", "1/16")
    hand.type("Hole 1, distance from the right-hand end", "1/4")


TEN = (
    Told(
        "Six levelling studs, 3/8-16, 1-1/4 of thread on one end, 2-1/2 long, from 5/8 steel.",
        "thread at one end",
        {
            "Name of the job": "Levelling studs",
            "Thread": "3/8-16",
            "How many": "6",
            "Bar diameter, in": "5/8",
            "Thread length, in": "1-1/4",
            "Overall length, in": "2-1/2",
        },
        ("0.3688", "1.250"),
    ),
    Told(
        "Four tie rods for the shutters, M10, 28 mm of thread on both ends, 160 long, from 12 mm bar.",
        "thread at both ends",
        {
            "Name of the job": "Tie rods",
            "Thread": "M10",
            "How many": "4",
            "Bar diameter, mm": "12",
            "Thread length, mm": "28",
            "Overall length, mm": "160",
        },
        ("9.85", "28.00"),
    ),
    Told(
        "Two pivot screws in brass, 1/4 BSW for 1/2, then a 3/8 pivot 3/4 long, 1-1/2 over all, from 1/2 bar.",
        "shouldered screw",
        {
            "Name of the job": "Pivot screws",
            "Thread": "1/4 bsw",
            "How many": "2",
            "Bar diameter, in": "1/2",
            "Thread length, in": "1/2",
            "Shank diameter, in": "3/8",
            "Shank length, in": "3/4",
            "Overall length, in": "1-1/2",
        },
        ("1/4 BSW", "0.3750", "brass"),
        metal="brass",
    ),
    Told(
        "A blanking plug, G1/2, 5/8 of thread, hexagon 15/16, 1-1/4 long, from 1-1/8 brass.",
        "plug with a hexagon",
        {
            "Name of the job": "Blanking plug",
            "Thread": "G1/2",
            "How many": "1",
            "Bar diameter, mm": "1-1/8 in",
            "Thread length, mm": "5/8 in",
            "Across the flats, mm": "15/16 in",
            "Overall length, mm": "1-1/4 in",
        },
        ("23.81", "brass"),
        metal="brass",
    ),
    Told(
        "Ten lengths of 4 BA screwed all along, 20 mm each, from 3.6 mm brass.",
        "fully threaded screw",
        {
            "Name of the job": "Terminal screws",
            "Thread": "4 BA",
            "How many": "10",
            "Bar diameter, mm": "3.6",
            "Overall length, mm": "20",
        },
        ("20.00", "brass"),
        metal="brass",
    ),
    Told(
        "Four nuts, M10, 8 mm thick, from 17 mm hexagon.",
        "nut or cap",
        {
            "Name of the job": "Nuts",
            "Thread": "M10",
            "How many": "4",
            "Bar across the flats, mm": "17",
            "Overall length, mm": "8",
        },
        ("11/32", "8.00"),
    ),
    Told(
        "A body of 1 in brass, 1-1/4 long, tapped 3/8-16, 5/8 deep.",
        "body, tapped hole",
        {
            "Name of the job": "Oil cup body",
            "Thread": "3/8-16",
            "How many": "1",
            "Bar diameter, in": "1",
            "Thread depth, in": "5/8",
            "Overall length, in": "1-1/4",
        },
        ("brass", "0.625"),
        metal="brass",
    ),
    Told(
        "Three 3/8-16 bolts, now 4 in long, cut down to 2-1/2 with 1-1/4 of thread.",
        "bolt to cut down",
        {
            "Name of the job": "Carriage bolts",
            "Thread": "3/8-16",
            "How many": "3",
            "Shank diameter, in": "3/8",
            "Length now, in": "4",
            "New length, in": "2-1/2",
            "Thread length, in": "1-1/4",
        },
        ("1.250",),
    ),
    Told(
        "Two M8 studs, 20 mm of thread to a shoulder with no groove, 45 long, from 12 mm steel.",
        "thread at one end",
        {
            "Name of the job": "Cover studs",
            "Thread": "M8",
            "How many": "2",
            "Bar diameter, mm": "12",
            "Thread length, mm": "20",
            "Overall length, mm": "45",
        },
        ("20.00", "Flip the die"),
        more=_relieve_by_the_die,
    ),
    Told(
        "A hinge pin, 1/2 BSF for 3/4 at one end, 2 long, from 5/8 steel, with a 1/16 hole across for a split pin.",
        "thread at one end",
        {
            "Name of the job": "Hinge pin",
            "Thread": "1/2 bsf",
            "How many": "1",
            "Bar diameter, in": "5/8",
            "Thread length, in": "3/4",
            "Overall length, in": "2",
        },
        ("0.0625",),
        more=_drill_for_a_pin,
    ),
)


def bring_to_the_sheet(hand: Hand, job: Told) -> str:
    """Do the job from the opened page to the address of its set-up sheet; every act counted."""
    page = hand.page
    page.goto("/")
    hand.press("New job")
    hand.pick(job.picture)
    for label, text in job.typed.items():
        hand.type(label, text)
    if job.metal:
        hand.choose("Material", job.metal)
    hand.press("Show the plan")
    expect(page).to_have_title(re.compile(", plan · Conch$"))
    if job.more:
        job.more(hand)
    # What was typed last is stored when its field is left, as it is on the way to the sheet.
    page.keyboard.press("Tab")
    expect(page.get_by_role("status")).to_have_text("stored")
    hand.press("Papers")
    return page.get_by_role("link", name="Set-up sheet").get_attribute("href") or ""
