"""The bench by keys alone and by touch alone, what it refuses, and how it fits the screens it is used on."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from tests.browser.base import TO_THE_BENCH, BrowserCase, type_into

TABLETS = ((1280, 800), (820, 1180), (1024, 768))


class Bench(BrowserCase):
    """On the demo's levelling studs: piece 3, half way down to the blank."""

    def open(self, title: str = "Levelling studs, lamp carriage") -> None:
        self.page.goto("/")
        row = self.page.get_by_role("article").filter(has_text=title)
        row.get_by_role("link", name=TO_THE_BENCH).click()
        expect(self.page).to_have_title(re.compile(", bench · Conch$"))

    def test_resumes_where_one_was(self) -> None:
        self.open()
        expect(self.page.get_by_text("piece 3 of 6")).to_be_visible()
        expect(self.page.get_by_role("heading", level=1)).to_contain_text("Turn to 0.4933 in")

    def test_keyboard_alone_is_enough(self) -> None:
        """A reading, the step, the notes and the undo, without the mouse."""
        self.open("Cover screws")
        keys = self.page.keyboard
        expect(self.page.get_by_role("textbox", name="New reading")).to_be_focused()
        keys.type("0.1881")
        keys.press("Enter")
        expect(self.page.get_by_text("On size")).to_be_visible()
        self.enter()
        expect(self.page.get_by_role("heading", level=1)).to_contain_text("Chamfer")
        keys.press("k")
        expect(self.page.get_by_role("heading", level=1)).to_contain_text("Turn to")
        keys.press("z")
        expect(self.page.get_by_role("heading", level=1)).to_contain_text("Chamfer")
        keys.press("n")
        keys.type("new bar from here")
        keys.press("Enter")
        expect(self.page.get_by_label("Note")).to_have_count(0)
        for words in ("Run the die on", "Flip the die", "Clean the thread"):
            expect(self.page.get_by_role("button", name="Done")).to_be_enabled()
            keys.press("d")
            expect(self.page.get_by_role("heading", level=1)).to_contain_text(words)
        self.measure_over_wires()
        keys.press("5")
        expect(self.page.get_by_role("status")).to_contain_text("metal cannot be put back")
        keys.press("3")
        expect(self.page.get_by_role("status")).to_contain_text("Leave the die as it is")
        for _ in range(8):
            with self.answered("**/undo"):
                keys.press("z")
        expect(self.page.get_by_role("heading", level=1)).to_contain_text("Turn to")

    def test_a_pause_is_said_and_ended_by_the_large_button(self) -> None:
        """It stands there after a reload too, and its end asks for what was asked before."""
        self.open()
        asked = self.page.get_by_role("heading", level=1).inner_text()
        self.page.get_by_role("button", name="pause", exact=True).click()
        go_on = self.page.get_by_role("button", name=re.compile(r"^Go on: paused since \d\d:\d\d$"))
        expect(go_on).to_be_focused()
        expect(self.page.get_by_role("textbox", name="New reading")).to_have_count(0)
        self.page.reload()
        expect(go_on).to_be_enabled()
        self.enter()
        expect(go_on).to_have_count(0)
        expect(self.page.get_by_role("textbox", name="New reading")).to_be_focused()
        expect(self.page.get_by_role("heading", level=1)).to_have_text(asked)

    def measure_over_wires(self) -> None:
        """The middle of what the class measures over its wires is in the class; what is far off is asked about."""
        step = self.page.request.get("/api/jobs/6/bench").json()["step"]
        figures = {one["key"]: one["figure"]["shown"]["inch"]["text"] for one in step["figures"]}
        middle = (float(figures["wires_least"]) + float(figures["wires_most"])) / 2
        wires = self.page.get_by_role("form", name="Over three wires")
        type_into(wires.get_by_label("over wires, in"), "1")
        wires.get_by_role("button", name="Record the reading").click()
        expect(wires).to_contain_text("Is your reading right?")
        type_into(wires.get_by_label("over wires, in"), f"{middle:.4f}")
        self.page.keyboard.press("Enter")
        expect(self.page.get_by_role("status")).to_contain_text("measured: in its class")
        expect(wires).to_contain_text("pitch diameter, measured")

    def test_an_undersize_reading_asks_for_a_decision(self) -> None:
        self.open("Governor adjusting screws")
        page = self.page
        page.get_by_role("button", name="Done", exact=True).click()
        field = page.get_by_role("textbox", name="New reading")
        for value in ("16.00", "9.80"):
            type_into(field, value)
            field.press("Enter")
            if value == "9.80":
                page.get_by_role("button", name="It reads 9.80").click()
            expect(page.get_by_role("table")).to_contain_text(value)
        expect(page.get_by_text("Undersize").first).to_be_visible()
        page.get_by_role("button", name="Give a reason, or scrap it").click()
        page.get_by_role("button", name="Scrap the piece").click()
        expect(page.get_by_role("alert")).to_contain_text("Give a reason")
        type_into(page.get_by_label("The last reading is undersize"), "slipped on the dial")
        page.get_by_role("button", name="Scrap the piece").click()
        expect(page.get_by_text("1 scrapped")).to_be_visible()
        expect(page.get_by_text("piece 1 of 2")).to_be_visible()

    def test_what_was_dialled_is_said_or_asked_about(self) -> None:
        """On a radius dial: the diameter typed is asked about, and the radius meant is taken by a press."""
        self.open("Governor adjusting screws")
        page = self.page
        page.get_by_role("button", name="Done", exact=True).click()
        field = page.get_by_role("textbox", name="New reading")
        type_into(field, "16.00")
        field.press("Enter")
        expect(page.get_by_role("table")).to_contain_text("16.000")
        type_into(field, "15.00")
        type_into(page.get_by_label("dialled"), "1.0")
        field.press("Enter")
        expect(page.get_by_role("alert")).to_contain_text("Half of what was dialled came off")
        page.get_by_role("button", name="0.500 mm").click()
        field.press("Enter")
        expect(page.get_by_role("table")).to_contain_text("15.000")
        expect(page.get_by_title("as you typed it")).to_have_text("1.000")

    def test_slips_are_caught_and_the_text_stays(self) -> None:
        self.open()
        field = self.page.get_by_role("textbox", name="New reading")
        for typed, told in (
            ("12.6", "Did you mean 12.6 mm"),
            ("0.6", "metal cannot come back"),
            ("abc", "is not a length"),
        ):
            with self.subTest(typed=typed):
                type_into(field, typed)
                field.press("Enter")
                expect(self.page.get_by_role("alert")).to_contain_text(told)
                expect(field).to_have_value(typed)

    def test_two_screens_do_not_overwrite_each_other(self) -> None:
        """What the other records stands here at once; told too late, this one keeps its text beside what was done."""
        self.open()
        self.page.route("**/api/news", lambda route: route.abort())
        self.page.reload()
        expect(self.page.get_by_role("textbox", name="New reading")).to_be_visible()
        other = self.new_page()
        other.goto(self.page.url)
        other.get_by_role("button", name="note n").click()
        type_into(other.get_by_label("Note"), "from the other tablet")
        other.get_by_role("button", name="Save the note").click()
        expect(other.get_by_label("Note")).to_have_count(0)
        field = self.page.get_by_role("textbox", name="New reading")
        type_into(field, "0.5000")
        field.press("Enter")
        expect(self.page.get_by_role("alert")).to_contain_text("Another device changed")
        expect(self.page.get_by_role("status", name="Meanwhile")).to_contain_text("from the other tablet")
        expect(field).to_have_value("0.5000")
        with self.answered("**/entries"):
            field.press("Enter")
        expect(self.page.get_by_role("table")).to_contain_text("0.5000")
        expect(self.page.get_by_role("alert")).to_have_count(0)
        expect(self.page.get_by_role("status", name="Meanwhile")).to_have_count(0)
        # The other screen was told of it.
        expect(other.get_by_role("table")).to_contain_text("0.5000")
        expect(other.get_by_role("status", name="Meanwhile")).to_contain_text("0.5000")
        for _ in (1, 2):
            with self.answered("**/undo", other):
                other.get_by_role("button", name="undo z").click()

    def test_holds_on_a_tablet_either_way_round(self) -> None:
        """No scrolling, no overlap of the figure and the field, and the big figure is big."""
        for size in TABLETS:
            with self.subTest(size=size):
                page = self.new_page(size)
                page.goto("/")
                page.goto("/jobs/2/bench")
                figure = page.locator(".big .fig").first
                expect(figure).to_be_visible()
                box, field = figure.bounding_box(), page.get_by_role("textbox", name="New reading").bounding_box()
                assert box is not None and field is not None
                self.assertGreaterEqual(box["height"], 90)
                self.assertLess(box["y"] + box["height"], field["y"])
                height, width = page.evaluate(
                    "() => [document.documentElement.scrollHeight, document.documentElement.scrollWidth]"
                )
                self.assertLessEqual(height, size[1])
                self.assertLessEqual(width, size[0])

    def test_touch_targets_are_thumb_wide(self) -> None:
        """Every control of the bench is at least 44 high (the least a thumb hits surely)."""
        self.open()
        for control in self.page.locator(".bench footer button, .bench footer a").all():
            box = control.bounding_box()
            assert box is not None
            self.assertGreaterEqual(box["height"], 44, control.inner_text())
