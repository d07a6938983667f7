"""A new job as people type it: fits and bars in one field, empty fields with a meaning, a drawing that stays."""

from __future__ import annotations

import re

from playwright.sync_api import expect

from tests.browser.base import BrowserCase, type_into

SIZES = ((1280, 800), (1180, 820), (820, 1180), (390, 844))
SHAPES = ("thread at one end", "shouldered screw", "plug with a hexagon", "worn end to repair")


class StartForm(BrowserCase):
    empty = True

    def test_the_button_is_in_sight_at_every_size(self) -> None:
        for size in SIZES:
            page = self.new_page(size)
            for shape in SHAPES:
                with self.subTest(shape, size=size):
                    page.goto("/new")
                    page.get_by_role("radio", name=shape).click()
                    button = page.get_by_role("button", name="Show the plan")
                    expect(button).to_be_in_viewport(ratio=1)
                    expect(page.get_by_role("group").locator("path.part").first).to_be_in_viewport()
            page.context.close()

    def test_shapes_stand_in_groups_and_say_what_they_are(self) -> None:
        self.page.goto("/new")
        bolt = self.page.get_by_role("radio", name="bolt to cut down", exact=True)
        expect(bolt).to_have_accessible_description("the head stays; lengths are measured from under the head")
        for group in ("Threaded outside", "With a hole", "From a part you have"):
            expect(self.page.get_by_text(group, exact=True)).to_be_visible()
        bolt.click()
        expect(self.page.get_by_text("With a hole", exact=True)).to_be_hidden()

    def test_another_shape_on_a_phone(self) -> None:
        page = self.new_page((390, 844), has_touch=True)
        page.goto("/new")
        page.get_by_role("radio", name="nut or cap").tap()
        expect(page.get_by_role("radio", name="bush or sleeve")).to_be_hidden()
        page.get_by_role("button", name="Choose another shape").tap()
        page.get_by_role("radio", name="bush or sleeve").tap()
        expect(page.get_by_role("textbox", name="Outside diameter, in")).to_be_visible()
        expect(page.get_by_role("radio", name="nut or cap")).to_be_hidden()

    def test_fits_are_typed_as_drawings_have_them(self) -> None:
        sizes = {"Bar diameter, in": "32 mm", "Outside diameter, in": "26 mm s6", "Hole, in": "20 mm h7"}
        page = self.page
        page.goto("/new?as=bush")
        self.fill_job({"Name of the job": "Guide bush", "How many": "1", "Overall length, in": "1"} | sizes)
        page.get_by_role("textbox", name="Outside diameter, in").click()
        form = page.get_by_role("form", name="New job")
        expect(form).to_contain_text("h7 is not one of the fits here")
        expect(page.get_by_role("group").locator("path.part").first).to_be_visible()
        form.get_by_role("button", name="20 mm H7").click()
        form.get_by_role("button", name="Show the plan").click()
        expect(page.get_by_role("button", name="Turn to the fit")).to_be_visible()
        expect(self.field("Section 1, diameter")).to_have_value("26 mm")
        expect(page.get_by_role("combobox", name="Section 1, fit")).to_have_value(re.compile("drive or shrink"))
        self.open_facts("Holes")
        expect(page.get_by_role("combobox", name="Hole 1, fit")).to_have_value(re.compile("slide"))
        # Typed over on the plan, it goes where fits are kept, too.
        type_into(self.field("Section 1, diameter"), "26 mm p6")
        page.keyboard.press("Enter")
        expect(page.get_by_role("combobox", name="Section 1, fit")).to_have_value(re.compile("press"))
        expect(self.field("Section 1, diameter")).to_have_value("26 mm")

    def test_a_nut_needs_its_thread_and_no_more(self) -> None:
        page = self.page
        page.goto("/new?as=nut")
        self.fill_job({"Name of the job": "Gland nuts", "Thread": "M8", "How many": "4"})
        page.get_by_role("button", name="Show the plan").click()
        expect(page.get_by_role("button", name="Tap the hole")).to_be_visible()
        expect(self.field("Overall length")).to_have_value("6.8")

    def test_a_hexagon_bar_makes_the_head(self) -> None:
        page = self.page
        page.goto("/new?as=plug")
        typed = {"Name of the job": "Drain plug", "Thread": "M10", "How many": "1", "Bar diameter, mm": "17 hex"}
        self.fill_job(typed | {"Thread length, mm": "20", "Overall length, mm": "30"})
        page.get_by_role("button", name="Show the plan").click()
        expect(page.get_by_role("button", name="Part off")).to_be_visible()
        expect(page.get_by_role("button", name="Mill the hexagon")).to_have_count(0)

    def test_a_knurled_screw(self) -> None:
        page = self.page
        page.goto("/new?as=knob")
        typed = {"Name of the job": "Thumb screws", "Thread": "M6", "How many": "4", "Bar diameter, mm": "20"}
        sizes = {"Thread length, mm": "15", "Over the knurl, mm": "18", "Knurl pitch, mm": "1"}
        self.fill_job(typed | sizes | {"Overall length, mm": "25"})
        page.get_by_role("button", name="Show the plan").click()
        expect(page.get_by_role("button", name=re.compile(r"^\d Knurl "))).to_be_visible()

    def test_a_repair_is_drawn_with_what_lies_under_the_washer(self) -> None:
        page = self.page
        page.goto("/new?as=repair")
        drawing = page.get_by_role("group", name="The repaired part with its M12 stud")
        expect(drawing).to_be_visible()
        type_into(page.get_by_role("textbox", name="Stud thread"), "1/2 BSF")
        type_into(page.get_by_role("textbox", name="Face to washer, in"), "7/8")
        drawn = page.get_by_role("group", name="The repaired part with its 1/2 BSF stud")
        expect(drawn.get_by_text("0.875 face to washer")).to_be_visible()
        # A size that cannot be read is said, and the rest stays drawn.
        type_into(page.get_by_role("textbox", name="Washer thickness, in"), "thick")
        expect(drawn.get_by_text("0.875 face to washer")).to_be_visible()
